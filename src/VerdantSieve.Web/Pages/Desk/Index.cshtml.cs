using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Store.Curating;
using VerdantSieve.Store.Floras;

namespace VerdantSieve.Web.Pages.Desk;

/// <summary>The desk: how the flora stands, and where it is read and mended.</summary>
public sealed class IndexModel(FloraShelf shelf, RevisionBook revisions, FloraLoader loader, Settings settings) : FloraPage(shelf)
{
    private const int Newest = 6;

    public FloraAbout About => Open.Flora.About;
    public int Kinds => Open.Flora.Taxa.Count;
    public int Characters => Open.Flora.Characters.Count;
    public int Scores => Open.Flora.Taxa.Sum(taxon => taxon.Scores.Count);
    public FloraReport? Report => Open.ReportIfReady;
    public IReadOnlyList<Revision> Changes { get; private set; } = [];
    public IReadOnlyList<Taxon> AheadOfFiles { get; private set; } = [];

    public async Task OnGet(CancellationToken cancel)
    {
        Open.StartReport();
        Changes = await revisions.List(Open.Flora, take: Newest, cancel: cancel);
        AheadOfFiles = Open.IsOwn || Changes.Count == 0 ? [] : await loader.AheadOfFiles(settings.ShippedFlora, Open.Flora, cancel);
    }
}
