using System.Collections.Concurrent;
using System.Security.Cryptography;
using System.Text;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;

namespace VerdantSieve.Web.Drawings;

/// <summary>Serves the drawings of states and taxa as small files that a browser keeps.</summary>
public static class DrawingEndpoints
{
    private static readonly ConcurrentDictionary<string, byte[]?> Drawn = new();

    /// <summary>The address of a state's drawing; null where it is told in words only.</summary>
    public static string? OfState(string character, string state) =>
        StateDrawings.Draws(character) ? $"/drawings/state/{character}/{state}.svg#d" : null;

    /// <summary>The address of a taxon's likeness.</summary>
    public static string OfTaxon(Taxon taxon) => $"/drawings/taxon/{taxon.Name.Slug}.svg#d";

    /// <summary>Adds the addresses.</summary>
    public static void MapDrawings(this IEndpointRouteBuilder routes)
    {
        routes.MapGet("/drawings/state/{character}/{state}.svg", (string character, string state, FloraShelf shelf, HttpContext context) =>
            Send(context, $"s/{character}/{state}", () =>
                shelf.Shipped.Flora.FindCharacter(character) is StateCharacter states && states.IndexOf(state) >= 0 ? StateDrawings.Of(character, state) : null)).ExcludeFromDescription();
        routes.MapGet("/drawings/taxon/{slug}.svg", async (string slug, string? flora, FloraShelf shelf, HttpContext context) =>
        {
            if (await shelf.Take(flora) is not { } open || open.FindBySlug(slug) is not { } taxon) return Results.NotFound();
            return File(context, open.Likeness(taxon, one => Encoding.UTF8.GetBytes(SvgPen.File(ShootDrawing.Likeness(LeafForm.Of(one))))));
        }).ExcludeFromDescription();
        routes.MapGet("/drawings/leaf-or-leaflet.svg", (HttpContext context) => Send(context, "leaf-or-leaflet", Guides.LeafOrLeaflet)).ExcludeFromDescription();
    }

    private static IResult Send(HttpContext context, string key, Func<Drawing?> draw)
    {
        // Unknown names are not remembered, so that asking for nonsense fills no memory.
        if (!Drawn.TryGetValue(key, out var file))
        {
            if (draw() is not { } drawing) return Results.NotFound();
            Drawn[key] = file = Encoding.UTF8.GetBytes(SvgPen.File(drawing));
        }
        return File(context, file!);
    }

    private static IResult File(HttpContext context, byte[] file)
    {
        context.Response.Headers.CacheControl = "public, max-age=86400";
        return Results.Bytes(file, "image/svg+xml", entityTag: new($"\"{Convert.ToHexStringLower(SHA256.HashData(file))[..16]}\""));
    }
}
