using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using NodaTime;
using NodaTime.Extensions;
using NodaTime.Text;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Observing.Speech;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Store.Looks;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Looks;

/// <summary>One look: its readings, what to look at next, what is in the pan.</summary>
public sealed class LookModel(LookBook book, FloraShelf shelf, IClock clock, IAntiforgery antiforgery) : PageModel
{
    private const int LongestInAddress = 1000;

    public LookView View { get; private set; } = null!;

    [BindProperty]
    public WhereForm? Where { get; set; }

    /// <summary>What the page calls this sending; see <see cref="LookBook.Change"/>.</summary>
    [BindProperty(Name = "sent")]
    public Guid? Sent { get; set; }

    public async Task<IActionResult> OnGet(
        string id,
        string? ask,
        bool several,
        string? taxon,
        string? find,
        bool more,
        bool where,
        bool? glance,
        string? on,
        string? said,
        CancellationToken cancel
    ) =>
        await book.Find(id, cancel) is { } look
            ? await Show(
                look,
                new LookRequest(ask, several, taxon, find, more, glance, on) { Said = Kept(said ?? "") },
                where: where ? WhereForm.Of(look.Content) : null
            )
            : NotFound();

    public async Task<IActionResult> OnPostRead(string id, ReadForm form, string? was)
    {
        if (await Find(id) is not { } look || await shelf.Take(look.FloraId) is not { } open)
            return NotFound();
        // A reading that is changed keeps its own certainty; what the reader is used to changes only where they set it.
        if (form.Certainty != was && EnumWords.TryRead<Certainty>(form.Certainty, out var certainty))
            Habits.Remember(HttpContext, certainty);
        var outcome = form.Check(open, Units.Of(Request), Today);
        if (outcome.Has(out var readings))
        {
            var changed = await Change(
                look,
                string.Join(", ", readings.Select(reading => Wording.Of(reading, open.Flora))),
                content => form.Glance ? content.Toggled(readings[0]) : content.With(readings)
            );
            return await Changed(changed, new LookRequest(Glance: form.Glance && IsStillGlancing(changed, open) ? true : null));
        }
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return await Show(
            look,
            new LookRequest(form.Character, form.States.Count > 1 || form.Tally.Count > 0, On: form.On),
            outcome.Faults[0],
            form
        );
    }

    // The last row answered sends the glance away; it comes back where it is asked for.
    private static bool IsStillGlancing(Look? look, OpenFlora open) =>
        look is not null && !FirstGlance.IsDone(FirstGlance.Of(open.Flora, LookQuestion.Of(look, open.Flora).Question.Readings));

    /// <summary>What is being said, read as it is typed: nothing is kept yet.</summary>
    public async Task<IActionResult> OnPostHear(string id, string? text, CancellationToken cancel)
    {
        if (await book.Find(id, cancel) is not { } look || await shelf.Take(look.FloraId) is not { } open)
            return NotFound();
        return Partial("Looks/_Heard", Shown(Hear(look, open, text ?? ""), look, open));
    }

    /// <summary>Takes what was said: all of it but what was left out, or one reading alone. What was not understood stays in the
    /// field.</summary>
    public async Task<IActionResult> OnPostSay(string id, string? text, string[] drop, string? only)
    {
        if (await Find(id) is not { } look || await shelf.Take(look.FloraId) is not { } open)
            return NotFound();
        var said = text ?? "";
        var heard = Hear(look, open, said);
        HeardChip[] taken =
        [
            .. HeardChip.Of(heard, open.Flora, Units.Of(Request)).Where(chip => only is null ? !drop.Contains(chip.Key) : chip.Key == only),
        ];
        var certainty = Habits.CertaintyOf(HttpContext);
        // What was said without a word of doubt is as sure as the reader said they are.
        Reading[] readings =
        [
            .. taken.Select(chip =>
                chip.Heard.Reading.Certainty == Certainty.Fair ? chip.Heard.Reading with { Certainty = certainty } : chip.Heard.Reading
            ),
        ];
        var rest = only is null ? string.Join(", ", heard.Left.Select(left => left.Text)) : Cut(said, taken);
        var request = new LookRequest { Said = rest };
        if (readings.Length == 0 && (only is not null || !heard.HasCircumstances))
            return await Show(look, request with { Said = said }, heard: heard.Left.Count > 0 ? heard : null);
        var changed = await Change(
            look,
            $"“{(said.Length > 60 ? said[..60] + "…" : said)}”",
            content => only is null ? content.With(readings).Placed(heard) : content.With(readings)
        );
        return await Changed(changed, request);
    }

    // What stands in an address has bounds of its own.
    private static string Kept(string said) => said.Length > LongestInAddress ? said[..LongestInAddress] : said;

    // The text without the words of what was taken from it.
    private static string Cut(string said, HeardChip[] taken) =>
        taken is [{ Heard.Span: var span }] ? (said[..span.Start] + said[span.End..]).Trim(' ', ',', ';', '.') : said;

    private Heard Hear(Look look, OpenFlora open, string text)
    {
        var question = LookQuestion.Of(look, open.Flora).Question;
        var about = new SpokenAbout(Today, Units.Of(Request), question.Readings.Any(IsOfACompoundLeaf), question.Circumstances.Region);
        return open.Speech.Read(text.Length > SpeechReader.Longest ? text[..SpeechReader.Longest] : text, about);
    }

    private static bool IsOfACompoundLeaf(Reading reading) =>
        reading is { Character: CharacterIds.Structure, Observation: StatesSeen { States: not ["simple"], Mode: StateMode.Is } };

    private LocalDate Today => clock.InTzdbSystemDefaultZone().GetCurrentDate();

    /// <summary>Makes a reading in the hand surer, or less sure.</summary>
    public async Task<IActionResult> OnPostSure(string id, string character, string? on, string certainty) =>
        EnumWords.TryRead<Certainty>(certainty, out var sure)
            ? await Changed(
                await Change(
                    id,
                    async look => $"{certainty}: {await LabelOf(look, character)}",
                    content => content.Surer(character, on, sure)
                )
            )
            : BadRequest();

    public async Task<IActionResult> OnPostDrop(string id, string? character, string? on) =>
        await Changed(
            await Change(id, async look => $"dropped {await LabelOf(look, character)}", content => content.Without(character, on))
        );

    private async Task<string> LabelOf(Look look, string? character) =>
        (await shelf.Take(look.FloraId))?.Flora.FindCharacter(character ?? "")?.Label ?? character ?? "a reading";

    public Task<IActionResult> OnPostUndo(string id, int? step) => Move(id, -1, step);

    public Task<IActionResult> OnPostRedo(string id, int? step) => Move(id, +1, step);

    // What the person did not see they can't mean to take back.
    private async Task<IActionResult> Move(string id, int steps, int? from)
    {
        var look = await book.Move(id, steps, from);
        if (look is null || from is null || look.Step == from + steps)
            return await Changed(look);
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        var (undone, button, means) = steps < 0 ? ("taken back", "Undo", look.Undoes) : ("done again", "Redo", look.Redoes);
        var next = means is null ? "" : $" {button} now means: {means}.";
        return await Show(look, new LookRequest { Note = $"This look was changed elsewhere meanwhile, so nothing was {undone}.{next}" });
    }

    private Task<Look?> Find(string id) => book.Find(id, sent: Sent);

    // What was read under a former name is changed under the name it has now.
    private async Task<Look?> Change(Look look, string done, Func<LookContent, LookContent?> change) =>
        await shelf.Take(look.FloraId) is { } open
            ? await book.Change(look, done, content => change(content.InWordsOf(open.Flora.Vocabulary)), Sent)
            : await book.Change(look, done, change, Sent);

    private async Task<Look?> Change(string id, string done, Func<LookContent, LookContent?> change) =>
        await Find(id) is { } look ? await Change(look, done, change) : null;

    private async Task<Look?> Change(string id, Func<Look, Task<string>> done, Func<LookContent, LookContent?> change) =>
        await Find(id) is { } look ? await Change(look, await done(look), change) : null;

    /// <summary>Chooses the school; the strict one with so many disagreements allowed.</summary>
    public async Task<IActionResult> OnPostSchool(string id, string school, int allowed)
    {
        var strict = school == School.Strict.Word();
        allowed = Math.Clamp(allowed, 0, SieveQuestion.MostAllowed);
        return await Changed(
            await Change(
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
        if (await Find(id) is not { } look)
            return NotFound();
        var form = Where ?? new WhereForm();
        if (form.Fill(look.Content) is not null)
        {
            var changed = await Change(
                look,
                "place and day",
                content =>
                {
                    if (form.Was is null || form.Was == content.PlaceMark)
                        return form.Fill(content);
                    (form.Was, form.Elsewhere) = (content.PlaceMark, Elsewhere(WhereForm.Of(content)));
                    return null;
                }
            );
            if (form.Elsewhere is null)
                return await Changed(changed);
            look = changed!;
        }
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return await Show(look, new LookRequest(), where: form);
    }

    private static string Elsewhere(WhereForm now)
    {
        string?[] said =
        [
            now.Place,
            now.Region is { Length: > 0 } region ? Regions.Name(region) : null,
            now.Date,
            now.Setting,
            now.Observer,
        ];
        var stands = string.Join(", ", said.Where(part => part is { Length: > 0 }));
        return $"Place and day were changed elsewhere meanwhile, to: {(stands.Length > 0 ? stands : "nothing")}. "
            + "Yours stand here; keep them again to have them instead.";
    }

    public async Task<IActionResult> OnPostNotes(string id, string? notes, string? was)
    {
        var form = new NotesForm((notes ?? "").ReplaceLineEndings("\n").Trim(), was);
        if (form.Problem is null)
        {
            var changed = await Change(
                id,
                "wrote notes",
                content =>
                {
                    if (was is null || was == content.NotesMark || form.Notes == content.Notes)
                        return content with { Notes = form.Notes };
                    form = form with { Was = content.NotesMark, Elsewhere = content.Notes };
                    return null;
                }
            );
            if (form.Problem is null || changed is null)
                return await Changed(changed);
        }
        if (await book.Find(id) is not { } look)
            return NotFound();
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return await Show(look, new LookRequest(), notes: form);
    }

    /// <summary>Keeps the sieve's determination, or the observer's own where a taxon is named.</summary>
    public async Task<IActionResult> OnPostSettle(string id, string? taxon)
    {
        if (await Find(id) is not { } look || await shelf.Take(look.FloraId) is not { } open)
            return NotFound();
        var saved = Determined(open, LookQuestion.Of(look, open.Flora).Question, taxon);
        return await Changed(await Change(look, "settled the look", content => content with { Determined = saved }));
    }

    public async Task<IActionResult> OnPostReopen(string id) =>
        await Changed(await Change(id, "opened the look again", content => content with { Determined = null }));

    public async Task<IActionResult> OnPostDiscard(string id) =>
        await book.Discard(id, true) ? RedirectToPage("/Notebook", new { discarded = id }) : NotFound();

    public async Task<IActionResult> OnPostRestore(string id) =>
        await book.Discard(id, false) ? RedirectToPage(null, null, new { id }) : NotFound();

    private SavedDetermination Determined(OpenFlora open, SieveQuestion question, string? slug)
    {
        var answer = open.Sieve.Ask(question);
        string[] readings = [.. question.Readings.Select(reading => Wording.Of(reading, open.Flora))];
        var said = answer.Determination;
        var today = clock.InTzdbSystemDefaultZone().GetCurrentDate().ToDateOnly();
        var edition = open.Flora.About.Edition;
        if (open.FindBySlug(slug) is not { } chosen)
            return new SavedDetermination(said.Name, said.Rank, said.Probability, said.Sentence.ToString(), edition, today)
            {
                Readings = readings,
            };
        var candidate = answer.Candidates.First(c => c.Taxon.Name == chosen.Name);
        var sentence = $"Determined by the observer as {chosen.Name}. The sieve said: {said.Sentence}";
        return new SavedDetermination(chosen.Name.Text, chosen.Rank, candidate.Probability, sentence, edition, today)
        {
            Readings = readings,
        };
    }

    // After a change a page without scripts is sent on to the look's own address, so that reloading repeats nothing.
    private async Task<IActionResult> Changed(Look? look, LookRequest? request = null)
    {
        if (look is null)
            return NotFound();
        if (!IsFragment)
            return RedirectToPage(
                new
                {
                    id = look.Id,
                    glance = request?.Glance is true ? "true" : null,
                    said = request?.Said is { Length: > 0 } said ? Kept(said) : null,
                }
            );
        Response.Headers["HX-Replace-Url"] = AddressOf(look);
        return await Show(look, request ?? new LookRequest());
    }

    private async Task<IActionResult> Show(
        Look look,
        LookRequest request,
        Fault? problem = null,
        ReadForm? sent = null,
        WhereForm? where = null,
        NotesForm? notes = null,
        Heard? heard = null
    )
    {
        Response.Headers.Append("Vary", "HX-Request");
        if (await shelf.Take(look.FloraId) is not { } open)
            return NotFound();
        heard ??= request.Said.Length > 0 ? Hear(look, open, request.Said) : null;
        View = new LookView(
            look,
            open,
            request with
            {
                Certainty = Habits.CertaintyOf(HttpContext),
            },
            Units.Of(Request),
            AddressesOf(look, open)
        )
        {
            Problem = problem,
            Sent = sent,
            Where = where,
            Notes = notes!,
            Heard = heard is null ? null : Shown(heard, look, open),
        };
        return IsFragment ? Partial("Looks/_Look", View) : Page();
    }

    private HeardView Shown(Heard heard, Look look, OpenFlora open) => new(heard, open.Flora, Units.Of(Request), AddressesOf(look, open));

    private LookAddresses AddressesOf(Look look, OpenFlora open) => new(Url, look, open, antiforgery);

    private string AddressOf(Look look) => Url.Page("/Looks/Look", new { id = look.Id })!;

    private bool IsFragment => Request.Headers.ContainsKey("HX-Request") && !Request.Headers.ContainsKey("HX-History-Restore-Request");
}
