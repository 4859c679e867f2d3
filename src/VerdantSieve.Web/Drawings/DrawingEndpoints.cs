using System.Collections.Frozen;
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
    // Drawn when first asked for, and kept.
    private static readonly FrozenDictionary<string, Lazy<byte[]>> OfStates = StateDrawings
        .All.GroupBy(drawn => drawn.Character)
        .ToFrozenDictionary(
            group => group.Key,
            group => new Lazy<byte[]>(() =>
                Encoding.UTF8.GetBytes(SvgPen.File(group.Select(drawn => (drawn.State, StateDrawings.Of(drawn.Character, drawn.State)!))))
            )
        );

    private static readonly Lazy<byte[]> Guide = new(() => Written(Guides.LeafOrLeaflet()));

    /// <summary>Adds the addresses.</summary>
    public static void MapDrawings(this IEndpointRouteBuilder routes)
    {
        routes
            .MapGet(
                $"{DrawingAddresses.States}/{{character}}.svg",
                (string character, HttpContext context) =>
                    OfStates.TryGetValue(character, out var file) ? File(context, file.Value) : Results.NotFound()
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
            .MapGet(DrawingAddresses.Guide, (HttpContext context) => File(context, Guide.Value))
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

    private static byte[] Written(Drawing drawing) => Encoding.UTF8.GetBytes(SvgPen.File(drawing));

    private static IResult File(HttpContext context, byte[] file)
    {
        context.Response.Headers.CacheControl = "public, max-age=86400";
        return Results.Bytes(file, "image/svg+xml", entityTag: new($"\"{Convert.ToHexStringLower(SHA256.HashData(file))[..16]}\""));
    }
}
