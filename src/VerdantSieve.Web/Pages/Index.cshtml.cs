using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using NodaTime;
using NodaTime.Extensions;
using NodaTime.Text;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Store.Floras;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Store.Practising;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages;

/// <summary>The first page: where and when, and off.</summary>
public sealed class IndexModel(LookBook book, TreeBook trees, PracticeBook practice, FloraShelf shelf, FloraLibrary library, IClock clock)
    : PageModel
{
    [BindProperty]
    public WhereForm Where { get; set; } = new();

    /// <summary>The flora to key with; the shipped one where none is named.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Flora { get; set; }

    public IReadOnlyList<LookEntry> Recent { get; private set; } = [];

    /// <summary>The trees that are best visited now.</summary>
    public IReadOnlyList<DueTree> Due { get; private set; } = [];

    /// <summary>How many things are due to be practised.</summary>
    public int ToPractise { get; private set; }

    /// <summary>The floras there are to choose from.</summary>
    public IReadOnlyList<FloraEntry> Floras { get; private set; } = [];

    public async Task OnGet(CancellationToken cancel)
    {
        var today = clock.InTzdbSystemDefaultZone().GetCurrentDate();
        Where = new WhereForm { Region = Habits.RegionOf(Request), Date = LocalDatePattern.Iso.Format(today) };
        await Lists(cancel);
    }

    public async Task<IActionResult> OnPost(Guid? sent, CancellationToken cancel)
    {
        if (Where.Fill(Habits.NewLook(Request)) is not { } content)
        {
            await Lists(cancel);
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            return Page();
        }
        if (await shelf.Take(Flora) is not { } open)
            return NotFound();
        Habits.Remember(HttpContext, content.Circumstances.Region);
        var look = await book.Start(open.Flora.About.Id, content, sent: sent);
        return RedirectToPage("/Looks/Look", new { id = look.Id });
    }

    public DateOnly Today => clock.InTzdbSystemDefaultZone().GetCurrentDate().ToDateOnly();

    private const int MostRecent = 4,
        MostDue = 4;

    private async Task Lists(CancellationToken cancel)
    {
        (Recent, Floras) = (await book.List(take: MostRecent, cancel: cancel), await library.List(cancel: cancel));
        ToPractise = await practice.Due(Today, cancel);
        Due = await trees.Due(Today, MostDue, cancel);
    }
}
