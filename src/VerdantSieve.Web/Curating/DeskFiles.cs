using System.Text;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Formats.Exchange;

namespace VerdantSieve.Web.Curating;

/// <summary>What the desk gives out as files: floras in each format, what a format can't hold, and the file of a taxon.</summary>
public static class DeskFiles
{
    /// <summary>The names of the addresses, for links.</summary>
    public const string Flora = "flora-file",
        Template = "flora-template",
        Lost = "flora-lost",
        Taxon = "taxon-file";

    /// <summary>Adds the addresses.</summary>
    public static void MapDeskFiles(this IEndpointRouteBuilder routes)
    {
        var desk = routes.MapGroup("/desk").ExcludeFromDescription();
        desk.MapGet("/floras/{id}/lost", SendLost).WithName(Lost);
        desk.MapGet("/floras/{id}/template", SendTemplate).WithName(Template);
        desk.MapGet("/floras/{id}/{format}", SendFlora).WithName(Flora);
        desk.MapGet("/file/{slug}", SendTaxon).WithName(Taxon);
    }

    private static async Task<IResult> SendFlora(FloraShelf shelf, FloraExports exports, string id, string format) =>
        FloraFormats.Find(format) is { } known && await shelf.Take(id) is { } open
            ? Sent(exports.Of(open.Flora, known), known, id)
            : Results.NotFound();

    // The template is a package: it is the one that holds all.
    private static async Task<IResult> SendTemplate(FloraShelf shelf, string id) =>
        await shelf.Take(id) is { } open
            ? Sent(FloraExports.Written(FloraFormats.Template(open.Flora), FloraFormats.All[0]), FloraFormats.All[0], $"{id}-template")
            : Results.NotFound();

    private static async Task<IResult> SendLost(FloraShelf shelf, string id)
    {
        if (await shelf.Take(id) is not { Flora: var flora })
            return Results.NotFound();
        var lost = FloraFormats.All.Select(format => (format.Name, Lost: format.Lost(flora))).Where(format => format.Lost.Count > 0);
        return Results.Text(string.Join("\n\n", lost.Select(format => $"{format.Name}\n{string.Join('\n', format.Lost)}")));
    }

    private static IResult SendTaxon(FloraShelf shelf, string slug)
    {
        var shipped = shelf.Shipped;
        if (shipped.FindBySlug(slug) is not { } taxon)
            return Results.NotFound();
        var text = Encoding.UTF8.GetBytes(TaxonWriter.Write(taxon, shipped.Flora.Vocabulary));
        return Results.File(text, "application/yaml", Path.GetFileName(TaxonWriter.Path(taxon.Name)));
    }

    private static IResult Sent(byte[] file, FloraFormat format, string name) =>
        Results.File(file, format.MediaType, name + format.Extensions[0]);
}
