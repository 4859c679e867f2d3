using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Store.Looks;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Looks;

/// <summary>One look: its readings, what to look at next, what is in the pan.</summary>
public sealed class LookModel(LookBook book, FloraShelf shelf) : PageModel
{
    public LookView View { get; private set; } = null!;

    [BindProperty]
    public WhereForm? Where { get; set; }

    public async Task<IActionResult> OnGet(string id, string? ask, bool several, string? taxon, string? find, bool more, bool where) =>
        await book.Find(id) is { } look
            ? await Show(look, new LookRequest(ask, several, taxon, find, more), where: where ? WhereForm.Of(look.Content) : null) : NotFound();

    public async Task<IActionResult> OnPostRead(string id, ReadForm form)
    {
        if (await shelf.Take(await book.FloraOf(id)) is not { Flora: var flora }) return NotFound();
        var (reading, problem) = form.Check(flora, Units.Of(Request));
        if (reading is not null)
            return await Changed(await book.Change(id, Wording.Of(reading, flora), content => content with
            {
                Readings = [.. content.Readings.Where(r => r.Character != reading.Character), RawReading.From(reading)]
            }));
        if (await book.Find(id) is not { } look) return NotFound();
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return await Show(look, new LookRequest(form.Character, form.States.Count > 1, null, null, false), problem, form);
    }

    public async Task<IActionResult> OnPostDrop(string id, string character)
    {
        var flora = (await shelf.Take(await book.FloraOf(id)))?.Flora;
        return await Changed(await book.Change(id, $"dropped {flora?.FindCharacter(character)?.Label ?? character}",
            content => content with { Readings = [.. content.Readings.Where(r => r.Character != character)] }));
    }

    public async Task<IActionResult> OnPostUndo(string id) => await Changed(await book.Move(id, -1));

    public async Task<IActionResult> OnPostRedo(string id) => await Changed(await book.Move(id, +1));

    public async Task<IActionResult> OnPostSchool(string id, string school, int slips)
    {
        var strict = school == "strict";
        var allowed = Math.Clamp(slips, 0, SieveQuestion.MostSlips);
        return await Changed(await book.Change(id, strict ? $"sieve strictly, {allowed} slips allowed" : "weigh every reading",
            content => content with { School = strict ? School.Strict : School.Weigh, Slips = strict ? allowed : content.Slips }));
    }

    public async Task<IActionResult> OnPostWhere(string id)
    {
        if (await book.Find(id) is not { } look) return NotFound();
        var form = Where ?? new WhereForm();
        if (form.Fill(look.Content) is not null) return await Changed(await book.Change(id, "place and day", content => form.Fill(content)!));
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return await Show(look, new LookRequest(null, false, null, null, false), where: form);
    }

    public async Task<IActionResult> OnPostNotes(string id, string? notes) =>
        await Changed(await book.Change(id, "wrote notes", content => content with { Notes = (notes ?? "")[..Math.Min(notes?.Length ?? 0, 4000)].Trim() }));

    /// <summary>Keeps the sieve's determination, or the observer's own where a taxon is named.</summary>
    public async Task<IActionResult> OnPostSettle(string id, string? taxon)
    {
        if (await book.Find(id) is not { } look) return NotFound();
        if (await shelf.Take(look.FloraId) is not { } open) return NotFound();
        var answer = open.Sieve.Ask(LookQuestion.Of(look.Content, open.Flora));
        var said = answer.Determination;
        var today = DateOnly.FromDateTime(DateTime.Today);
        var edition = open.Flora.About.Edition;
        var saved = open.FindBySlug(taxon) is { } chosen
            ? new SavedDetermination(chosen.Name.Text, chosen.Rank, answer.Candidates.First(c => c.Taxon == chosen).Probability,
                $"Determined by the observer as {chosen.Name}. The sieve said: {said.Sentence}", edition, today)
            : new SavedDetermination(said.Name, said.Rank, said.Probability, said.Sentence.ToString(), edition, today);
        return await Changed(await book.Change(id, "settled the look", content => content with { Determined = saved }));
    }

    public async Task<IActionResult> OnPostReopen(string id) =>
        await Changed(await book.Change(id, "opened the look again", content => content with { Determined = null }));

    public async Task<IActionResult> OnPostDiscard(string id) =>
        await book.Discard(id, true) ? RedirectToPage("/Notebook", new { discarded = id }) : NotFound();

    public async Task<IActionResult> OnPostRestore(string id) => await book.Discard(id, false) ? Redirect($"/look/{id}") : NotFound();

    // After a change a page without scripts is sent on to the look's own address, so that reloading repeats nothing.
    private async Task<IActionResult> Changed(Look? look)
    {
        if (look is null) return NotFound();
        if (!IsFragment) return Redirect($"/look/{look.Id}");
        Response.Headers["HX-Replace-Url"] = $"/look/{look.Id}";
        return await Show(look, new LookRequest(null, false, null, null, false));
    }

    private async Task<IActionResult> Show(Look look, LookRequest request, FieldProblem? problem = null, ReadForm? sent = null, WhereForm? where = null)
    {
        Response.Headers.Append("Vary", "HX-Request");
        Response.Headers.CacheControl = "no-cache";
        if (await shelf.Take(look.FloraId) is not { } open) return NotFound();
        View = new LookView(look, open, request, Units.Of(Request)) { Problem = problem, Sent = sent, Where = where };
        return IsFragment ? Partial("Looks/_Look", View) : Page();
    }

    private bool IsFragment => Request.Headers.ContainsKey("HX-Request") && !Request.Headers.ContainsKey("HX-History-Restore-Request");
}
