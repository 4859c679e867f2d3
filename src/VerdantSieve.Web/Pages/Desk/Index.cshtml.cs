using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Formats;
using VerdantSieve.Store.Curating;
using VerdantSieve.Store.Floras;

namespace VerdantSieve.Web.Pages.Desk;

/// <summary>The desk: how the flora stands, and where it is read and mended.</summary>
public sealed class IndexModel(FloraShelf shelf, RevisionBook revisions, FloraLoader loader, FloraFolder folder) : PageModel
{
    private const int Newest = 6;

    public FloraAbout About => shelf.Flora.About;
    public int Kinds => shelf.Flora.Taxa.Count;
    public int Characters => shelf.Flora.Characters.Count;
    public int Scores => shelf.Flora.Taxa.Sum(taxon => taxon.Scores.Count);
    public FloraReport? Report => shelf.ReportIfReady;
    public IReadOnlyList<RevisionRow> Changes { get; private set; } = [];
    public IReadOnlyList<Taxon> AheadOfFiles { get; private set; } = [];

    public async Task OnGet()
    {
        Changes = await revisions.List(About.Id, take: Newest);
        AheadOfFiles = Changes.Count == 0 ? [] : await loader.AheadOfFiles(folder.Path, shelf.Flora);
    }

    /// <summary>A taxon as its file would have it.</summary>
    public static IResult File(FloraShelf shelf, string slug) => shelf.FindBySlug(slug) is { } taxon
        ? Results.File(System.Text.Encoding.UTF8.GetBytes(TaxonWriter.Write(taxon, shelf.Flora.Characters)), "application/yaml", $"{taxon.Name.Epithet}.yaml") : Results.NotFound();
}
