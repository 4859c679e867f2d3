using Microsoft.AspNetCore.Mvc;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Formats;
using VerdantSieve.Store.Curating;
using VerdantSieve.Store.Floras;

namespace VerdantSieve.Web.Pages.Desk;

/// <summary>The desk: how the flora stands, and where it is read and mended.</summary>
public sealed class IndexModel(FloraShelf shelf, RevisionBook revisions, FloraLoader loader, FloraFolder folder) : FloraPage(shelf)
{
    private const int Newest = 6;

    public FloraAbout About => Open.Flora.About;
    public int Kinds => Open.Flora.Taxa.Count;
    public int Characters => Open.Flora.Characters.Count;
    public int Scores => Open.Flora.Taxa.Sum(taxon => taxon.Scores.Count);
    public FloraReport? Report => Open.ReportIfReady;
    public IReadOnlyList<RevisionRow> Changes { get; private set; } = [];
    public IReadOnlyList<Taxon> AheadOfFiles { get; private set; } = [];

    public async Task OnGet()
    {
        Open.StartReport();
        Changes = await revisions.List(About.Id, take: Newest);
        AheadOfFiles = Open.IsOwn || Changes.Count == 0 ? [] : await loader.AheadOfFiles(folder.Path, Open.Flora);
    }

    /// <summary>A taxon as its file would have it.</summary>
    public static IResult File(FloraShelf shelf, string slug) => shelf.Shipped.FindBySlug(slug) is { } taxon
        ? Results.File(System.Text.Encoding.UTF8.GetBytes(TaxonWriter.Write(taxon, shelf.Shipped.Flora.Characters)), "application/yaml", $"{taxon.Name.Epithet}.yaml") : Results.NotFound();
}
