using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Practising;
using VerdantSieve.Store.Lists;
using VerdantSieve.Store.Practising;
using VerdantSieve.Web.Practising;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Practice;

/// <summary>Practice: what is due, a set to choose, and the last ones.</summary>
public sealed class IndexModel(PracticeBook book, ListBook lists, PracticeDesk desk, FloraShelf shelf) : PageModel
{
    private const int MostRecent = 8;

    [BindProperty(SupportsGet = true)]
    public PoolForm Form { get; set; } = new();

    /// <summary>How many things are due.</summary>
    public int Due { get; private set; }
    public IReadOnlyList<ListEntry> Lists { get; private set; } = [];
    public IReadOnlyList<PracticeEntry> Recent { get; private set; } = [];
    public Fault? Problem { get; private set; }

    public IReadOnlyList<string> Countries => shelf.Shipped.Flora.Countries;

    public async Task OnGet(CancellationToken cancel)
    {
        Form.Region ??= Habits.RegionOf(Request);
        Form.Source ??= (Form.List is { Length: > 0 } ? PoolSource.List : PoolSource.Place).Word();
        await Load(cancel);
    }

    public async Task<IActionResult> OnPost(CancellationToken cancel)
    {
        Habits.Remember(HttpContext, Regions.Exists(Form.Region ?? "") ? Form.Region : null);
        var begun = await desk.Begin(Form, shelf.Shipped);
        if (begun.Has(out var id))
            return RedirectToPage("/Practice/Set", new { id });
        Problem = begun.Faults[0];
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        await Load(cancel);
        return Page();
    }

    private async Task Load(CancellationToken cancel)
    {
        Due = await book.Due(desk.Today.ToDateOnly(), cancel);
        Lists = await lists.All(cancel);
        Recent = await book.List(MostRecent, cancel);
    }
}
