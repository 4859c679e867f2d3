using System.Collections.Concurrent;
using System.Security.Cryptography;
using System.Text;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Drawing.Plates;
using VerdantSieve.Imaging;
using VerdantSieve.Views.Drawings;

namespace VerdantSieve.Web.Drawings;

/// <summary>Serves the drawings of states and taxa as small files that a browser keeps.</summary>
public static class DrawingEndpoints
{
    private static readonly ConcurrentDictionary<string, byte[]> Drawn = new();

    /// <summary>Adds the addresses.</summary>
    public static void MapDrawings(this IEndpointRouteBuilder routes)
    {
        routes
            .MapGet(
                $"{DrawingAddresses.States}/{{character}}/{{state}}.svg",
                (string character, string state, HttpContext context) =>
                    Send(context, $"{character}/{state}", () => StateDrawings.Of(character, state))
            )
            .ExcludeFromDescription();
        routes
            .MapGet(
                $"{DrawingAddresses.Taxa}/{{slug}}.svg",
                async (string slug, string? flora, FloraShelf shelf, HttpContext context) =>
                    await shelf.Take(flora) is { } open && open.FindBySlug(slug) is { } taxon
                        ? File(context, open.Drawing(taxon, form => Written(ShootDrawing.Likeness(form))))
                        : Results.NotFound()
            )
            .ExcludeFromDescription();
        routes
            .MapGet(
                $"{DrawingAddresses.Plates}/{{slug}}.svg",
                async (string slug, string? flora, FloraShelf shelf, HttpContext context) =>
                    await shelf.Take(flora) is { } open && open.FindBySlug(slug) is { } taxon
                        ? File(context, open.Plate(taxon).File)
                        : Results.NotFound()
            )
            .ExcludeFromDescription();
        routes
            .MapGet(
                $"{DrawingAddresses.Sheets}/{{slug}}.{{format:regex(^(svg|pdf)$)}}",
                async (string slug, string format, string? flora, FloraShelf shelf, HttpContext context) =>
                    await shelf.Take(flora) is { } open && open.FindBySlug(slug) is { } taxon
                        ? Sheet(context, open, taxon, isPdf: format == "pdf")
                        : Results.NotFound()
            )
            .ExcludeFromDescription();
        routes
            .MapGet(DrawingAddresses.Guide, (HttpContext context) => Send(context, "guide", Guides.LeafOrLeaflet))
            .ExcludeFromDescription();
    }

    private static IResult Sheet(HttpContext context, OpenFlora open, Taxon taxon, bool isPdf)
    {
        var svg = PlateSheets.Of(open, taxon);
        if (!isPdf)
            return File(context, Encoding.UTF8.GetBytes(svg));
        var pdf = PdfSheets.Make(
            svg,
            PlateSvg.SheetWidth,
            PlateSvg.SheetHeight,
            taxon.Name.Text,
            SheetFaces.Of(context.RequestServices.GetRequiredService<IWebHostEnvironment>())
        );
        return Results.File(pdf, "application/pdf", $"{taxon.Name.Slug}.pdf");
    }

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
