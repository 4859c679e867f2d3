using System.Collections.Concurrent;
using System.Security.Cryptography;
using System.Text;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;

namespace VerdantSieve.Web.Drawings;

/// <summary>Serves the drawings of states and taxa as small files that a browser keeps.</summary>
public static class DrawingEndpoints
{
    private const string States = "/drawings/state",
        Taxa = "/drawings/taxon",
        Guide = "/drawings/leaf-or-leaflet.svg";

    // The element of a file that pages take in.
    private const string Element = "#d";

    private static readonly ConcurrentDictionary<string, byte[]> Drawn = new();

    /// <summary>The address of the drawing that says what one leaf is.</summary>
    public const string LeafOrLeaflet = Guide + Element;

    /// <summary>The address of a state's drawing; null where it is told in words only.</summary>
    public static string? OfState(OpenFlora flora, string character, string state) =>
        flora.Drawn.Draws(character, state) ? $"{States}/{character}/{state}.svg{Element}" : null;

    /// <summary>The address of a taxon's likeness.</summary>
    public static string OfTaxon(OpenFlora flora, Taxon taxon) =>
        $"{Taxa}/{taxon.Name.Slug}.svg{QueryString.Create(Flora(flora))}{Element}";

    /// <summary>Adds the addresses.</summary>
    public static void MapDrawings(this IEndpointRouteBuilder routes)
    {
        routes
            .MapGet(
                $"{States}/{{character}}/{{state}}.svg",
                (string character, string state, HttpContext context) =>
                    Send(context, $"{character}/{state}", () => StateDrawings.Of(character, state))
            )
            .ExcludeFromDescription();
        routes
            .MapGet(
                $"{Taxa}/{{slug}}.svg",
                async (string slug, string? flora, FloraShelf shelf, HttpContext context) =>
                    await shelf.Take(flora) is { } open && open.FindBySlug(slug) is { } taxon
                        ? File(context, open.Drawing(taxon, form => Written(ShootDrawing.Likeness(form))))
                        : Results.NotFound()
            )
            .ExcludeFromDescription();
        routes.MapGet(Guide, (HttpContext context) => Send(context, "guide", Guides.LeafOrLeaflet)).ExcludeFromDescription();
    }

    private static IEnumerable<KeyValuePair<string, string?>> Flora(OpenFlora flora) =>
        flora.Named is { } id ? [KeyValuePair.Create("flora", (string?)id)] : [];

    private static IResult Send(HttpContext context, string key, Func<Drawing?> draw)
    {
        // Unknown names are not remembered, so that asking for nonsense fills no memory.
        if (!Drawn.TryGetValue(key, out var file))
        {
            if (draw() is not { } drawing)
                return Results.NotFound();
            Drawn[key] = file = Written(drawing);
        }
        return File(context, file);
    }

    private static byte[] Written(Drawing drawing) => Encoding.UTF8.GetBytes(SvgPen.File(drawing));

    private static IResult File(HttpContext context, byte[] file)
    {
        context.Response.Headers.CacheControl = "public, max-age=86400";
        return Results.Bytes(file, "image/svg+xml", entityTag: new($"\"{Convert.ToHexStringLower(SHA256.HashData(file))[..16]}\""));
    }
}
