using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using NodaTime;
using NodaTime.Extensions;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Web.Notebooks;

namespace VerdantSieve.Web.Pages.Trees;

/// <summary>The days in the field.</summary>
public sealed class OutingsModel(OutingBook outings, IClock clock) : PageModel
{
    public IReadOnlyList<Outing> All { get; private set; } = [];
    public OutingForm Form { get; private set; } = new();

    /// <summary>One that was just thrown away.</summary>
    public string? Discarded { get; private set; }

    public async Task OnGet(string? discarded, CancellationToken cancel)
    {
        All = await outings.List(cancel);
        Form.Date = clock.InTzdbSystemDefaultZone().GetCurrentDate().ToString("uuuu-MM-dd", null);
        if (discarded is not null && await outings.Find(discarded, cancel) is { IsDiscarded: true })
            Discarded = discarded;
    }

    public async Task<IActionResult> OnPost(OutingForm form, CancellationToken cancel)
    {
        Form = form;
        if (form.Fill() is { } about)
            return RedirectToPage("/Trees/Outing", new { id = await outings.Begin(about) });
        All = await outings.List(cancel);
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }
}
