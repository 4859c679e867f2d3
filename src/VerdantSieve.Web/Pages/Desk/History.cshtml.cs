using Microsoft.AspNetCore.Mvc;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Formats;
using VerdantSieve.Store.Curating;
using VerdantSieve.Web.Curating;

namespace VerdantSieve.Web.Pages.Desk;

/// <summary>The changes to the flora, newest first, and the way back from each.</summary>
public sealed class HistoryModel(FloraShelf shelf, RevisionBook revisions) : FloraPage(shelf)
{
    public string? Taxon { get; private set; }
    public string? Problem { get; private set; }
    public bool Kept { get; private set; }
    public int Edition => Open.Flora.About.Edition;
    public bool MayChange => User.MayChange();
    public IReadOnlyList<(RevisionRow Row, IReadOnlyList<FieldChange> Changes)> Rows { get; private set; } = [];

    public async Task OnGet(string? taxon, bool kept)
    {
        (Taxon, Kept) = (taxon is { Length: > 0 } ? taxon : null, kept);
        Rows = [.. (await revisions.List(Open.Flora.About.Id, Taxon)).Select(row => (row, ChangesOf(row)))];
    }

    public async Task<IActionResult> OnPostUndo(long id, string? taxon)
    {
        if (!MayChange) return Forbid();
        try
        {
            var (flora, problem) = await revisions.Undo(Open.Flora, id, User.Shown());
            if (flora is not null)
            {
                Open.Replace(flora);
                return RedirectToPage("/Desk/History", new { taxon, kept = true, flora = Open.Named });
            }
            Problem = problem;
        }
        catch (StaleEditionException stale) { Problem = stale.Message; }
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        await OnGet(taxon, false);
        return Page();
    }

    // The files of an old edition may no longer fit the vocabulary; then the change is told by its reason alone.
    private IReadOnlyList<FieldChange> ChangesOf(RevisionRow row) =>
        Read(row, row.Before) is { } before && Read(row, row.After) is { } after ? ChangeEffect.Between(before, after, Open.Flora.Characters) : [];

    private Taxon? Read(RevisionRow row, string text) => FloraReader.ReadTaxon(new SourceFile(TaxonWriter.Path(new ScientificName(row.TaxonName)), text), Open.Flora).Taxon;
}
