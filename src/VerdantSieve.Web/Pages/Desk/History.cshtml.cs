using Microsoft.AspNetCore.Mvc;
using VerdantSieve.Store.Curating;
using VerdantSieve.Web.Curating;

namespace VerdantSieve.Web.Pages.Desk;

/// <summary>The changes to the flora, newest first, and the way back from each.</summary>
[AuthorizePosts(CuratorAccess.ChangesTaxa)]
public sealed class HistoryModel(FloraShelf shelf, RevisionBook revisions) : FloraPage(shelf)
{
    public string? Taxon { get; private set; }
    public string? Problem { get; private set; }
    public bool Kept { get; private set; }
    public int Edition => Open.Flora.About.Edition;
    public bool MayChange => User.MayChange();
    public IReadOnlyList<Revision> Rows { get; private set; } = [];

    public async Task OnGet(string? taxon, bool kept, CancellationToken cancel)
    {
        (Taxon, Kept) = (taxon is { Length: > 0 } ? taxon : null, kept);
        Rows = await revisions.List(Open.Flora, Taxon, cancel: cancel);
    }

    public async Task<IActionResult> OnPostUndo(long id, string? taxon, CancellationToken cancel)
    {
        try
        {
            var outcome = await revisions.Undo(Open.Flora, id, User.Shown(), cancel);
            if (outcome.Has(out var flora))
            {
                Shelf.Put(flora);
                return RedirectToPage(
                    null,
                    null,
                    new
                    {
                        taxon,
                        kept = true,
                        flora = Open.Named,
                    }
                );
            }
            Problem = outcome.Faults[0].Message;
        }
        catch (StaleEditionException stale)
        {
            Problem = stale.Message;
        }
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        await OnGet(taxon, false, cancel);
        return Page();
    }
}
