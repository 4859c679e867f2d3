using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using NodaTime;
using NodaTime.Extensions;
using VerdantSieve.Core;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Store.Looks;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Looks;

/// <summary>One look: its readings, what to look at next, what is in the pan.</summary>
public sealed class LookModel(LookBook book, FloraShelf shelf, IClock clock) : PageModel
{
    public LookView View { get; private set; } = null!;

    [BindProperty]
    public WhereForm? Where { get; set; }

    public async Task<IActionResult> OnGet(
        string id,
        string? ask,
        bool several,
        string? taxon,
        string? find,
        bool more,
        bool where,
        CancellationToken cancel
    ) =>
        await book.Find(id, cancel) is { } look
            ? await Show(look, new LookRequest(ask, several, taxon, find, more), where: where ? WhereForm.Of(look.Content) : null)
            : NotFound();

    public async Task<IActionResult> OnPostRead(string id, ReadForm form)
    {
        if (await shelf.Take(await book.FloraOf(id)) is not { Flora: var flora })
            return NotFound();
        var outcome = form.Check(flora, Units.Of(Request));
        if (outcome.Has(out var reading))
            return await Changed(
                await book.Change(
                    id,
                    Wording.Of(reading, flora),
                    content =>
                        content with
                        {
                            Readings = [.. content.Readings.Where(r => r.Character != reading.Character), RawReading.From(reading)],
                        }
                )
            );
        if (await book.Find(id) is not { } look)
            return NotFound();
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return await Show(look, new LookRequest(form.Character, form.States.Count > 1), outcome.Faults[0], form);
    }

    public async Task<IActionResult> OnPostDrop(string id, string character)
    {
        var flora = (await shelf.Take(await book.FloraOf(id)))?.Flora;
        return await Changed(
            await book.Change(
                id,
                $"dropped {flora?.FindCharacter(character)?.Label ?? character}",
                content => content with { Readings = [.. content.Readings.Where(r => r.Character != character)] }
            )
        );
    }

    public async Task<IActionResult> OnPostUndo(string id) => await Changed(await book.Move(id, -1));

    public async Task<IActionResult> OnPostRedo(string id) => await Changed(await book.Move(id, +1));

    /// <summary>Chooses the school; the strict one with so many disagreements allowed.</summary>
    public async Task<IActionResult> OnPostSchool(string id, string school, int allowed)
    {
        var strict = school == School.Strict.Word();
        allowed = Math.Clamp(allowed, 0, SieveQuestion.MostAllowed);
        return await Changed(
            await book.Change(
                id,
                strict ? $"sieve strictly, {allowed} disagreements allowed" : "weigh every reading",
                content =>
                    content with
                    {
                        School = strict ? School.Strict : School.Weigh,
                        AllowedDisagreements = strict ? allowed : content.AllowedDisagreements,
                    }
            )
        );
    }

    public async Task<IActionResult> OnPostWhere(string id)
    {
        if (await book.Find(id) is not { } look)
            return NotFound();
        var form = Where ?? new WhereForm();
        if (form.Fill(look.Content) is not null)
            return await Changed(await book.Change(id, "place and day", content => form.Fill(content)!));
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return await Show(look, new LookRequest(), where: form);
    }

    public async Task<IActionResult> OnPostNotes(string id, string? notes)
    {
        var form = new NotesForm((notes ?? "").ReplaceLineEndings("\n").Trim());
        if (form.Problem is null)
            return await Changed(await book.Change(id, "wrote notes", content => content with { Notes = form.Notes }));
        if (await book.Find(id) is not { } look)
            return NotFound();
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return await Show(look, new LookRequest(), notes: form);
    }

    /// <summary>Keeps the sieve's determination, or the observer's own where a taxon is named.</summary>
    public async Task<IActionResult> OnPostSettle(string id, string? taxon, CancellationToken cancel)
    {
        if (await book.Find(id, cancel) is not { } look)
            return NotFound();
        if (await shelf.Take(look.FloraId) is not { } open)
            return NotFound();
        var saved = Determined(open, LookQuestion.Of(look.Content, open.Flora).Question, taxon);
        return await Changed(await book.Change(id, "settled the look", content => content with { Determined = saved }));
    }

    public async Task<IActionResult> OnPostReopen(string id) =>
        await Changed(await book.Change(id, "opened the look again", content => content with { Determined = null }));

    public async Task<IActionResult> OnPostDiscard(string id) =>
        await book.Discard(id, true) ? RedirectToPage("/Notebook", new { discarded = id }) : NotFound();

    public async Task<IActionResult> OnPostRestore(string id) =>
        await book.Discard(id, false) ? RedirectToPage(null, null, new { id }) : NotFound();

    private SavedDetermination Determined(OpenFlora open, SieveQuestion question, string? slug)
    {
        var answer = open.Sieve.Ask(question);
        var said = answer.Determination;
        var today = clock.InTzdbSystemDefaultZone().GetCurrentDate().ToDateOnly();
        var edition = open.Flora.About.Edition;
        if (open.FindBySlug(slug) is not { } chosen)
            return new SavedDetermination(said.Name, said.Rank, said.Probability, said.Sentence.ToString(), edition, today);
        var candidate = answer.Candidates.First(c => c.Taxon.Name == chosen.Name);
        var sentence = $"Determined by the observer as {chosen.Name}. The sieve said: {said.Sentence}";
        return new SavedDetermination(chosen.Name.Text, chosen.Rank, candidate.Probability, sentence, edition, today);
    }

    // After a change a page without scripts is sent on to the look's own address, so that reloading repeats nothing.
    private async Task<IActionResult> Changed(Look? look)
    {
        if (look is null)
            return NotFound();
        if (!IsFragment)
            return Redirect(AddressOf(look));
        Response.Headers["HX-Replace-Url"] = AddressOf(look);
        return await Show(look, new LookRequest());
    }

    private async Task<IActionResult> Show(
        Look look,
        LookRequest request,
        Fault? problem = null,
        ReadForm? sent = null,
        WhereForm? where = null,
        NotesForm? notes = null
    )
    {
        Response.Headers.Append("Vary", "HX-Request");
        if (await shelf.Take(look.FloraId) is not { } open)
            return NotFound();
        View = new LookView(look, open, request, Units.Of(Request), AddressOf(look))
        {
            Problem = problem,
            Sent = sent,
            Where = where,
            Notes = notes!,
        };
        return IsFragment ? Partial("Looks/_Look", View) : Page();
    }

    private string AddressOf(Look look) => Url.Page("/Looks/Look", new { id = look.Id })!;

    private bool IsFragment => Request.Headers.ContainsKey("HX-Request") && !Request.Headers.ContainsKey("HX-History-Restore-Request");
}
