using System.Globalization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Practising;
using VerdantSieve.Store.Practising;
using VerdantSieve.Views.Drawings;
using VerdantSieve.Web.Listing;
using VerdantSieve.Web.Practising;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Practice;

/// <summary>A practice set: the exercise that is open, the reasoning after an answer, and the recap at the end.</summary>
public sealed class SetModel(PracticeBook book, FloraShelf shelf) : PageModel
{
    private const int LongestSaid = 200;

    // Of a centimetre.
    private const double Millimetres = 10;

    public OpenFlora Open { get; private set; } = null!;
    public PracticeSet Set { get; private set; } = null!;

    /// <summary>The answer whose reasoning is shown; null where an exercise is open, or the set is done.</summary>
    public GivenAnswer? After { get; private set; }

    /// <summary>What is wrong with what was typed; null where nothing is.</summary>
    public Fault? Problem { get; private set; }

    /// <summary>What was typed, where it can't be used.</summary>
    public string Typed { get; private set; } = "";

    public Flora Flora => Open.Flora;

    /// <summary>The exercise on the page; null where the recap is.</summary>
    public Exercise? Exercise => After?.Answered.Exercise ?? Set.Now;

    /// <summary>The choices of it; null where there are none.</summary>
    public Posed? Posed { get; private set; }

    /// <summary>Where the drawing of the exercise lies: its address tells nothing of what it shows.</summary>
    public string Picture => PracticeEndpoints.PictureOf(Set.Id, After?.At ?? Set.At);

    public Certainty Certainty => Habits.CertaintyOf(HttpContext);

    public async Task<IActionResult> OnGet(string id, int? after, CancellationToken cancel) =>
        await Load(id, after, cancel) ? Page() : NotFound();

    public async Task<IActionResult> OnPostAnswer(string id, int at, string? said, string? certainty, CancellationToken cancel)
    {
        if (!await Load(id, null, cancel))
            return NotFound();
        if (EnumWords.TryRead<Certainty>(certainty, out var sure))
            Habits.Remember(HttpContext, sure);
        // An answer that is sent twice, or from a page left open, is not the answer to what is open now.
        if (Set.Now is not { } exercise || at != Set.At)
            return RedirectToPage(new { id, after = at < Set.At ? at + 1 : (int?)null });
        var judged = Judge(exercise, said?.Trim() ?? "", Certainty);
        if (!judged.Has(out var answer))
        {
            (Problem, Typed) = (judged.Faults[0], said ?? "");
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            return Page();
        }
        await book.Answer(id, at, answer);
        return RedirectToPage(new { id, after = at + 1 });
    }

    public async Task<IActionResult> OnPostAsk(string id, int at, string? character, CancellationToken cancel)
    {
        if (!await Load(id, null, cancel))
            return NotFound();
        if (at == Set.At && Set.Now is NameRecord && Flora.FindCharacter(character ?? "") is { } asked)
            await book.Ask(id, at, asked.Id);
        return RedirectToPage(new { id });
    }

    public async Task<IActionResult> OnPostTakeBack(string id, int at) => await book.Find(id) is null ? NotFound() : await Done(id, at);

    private async Task<IActionResult> Done(string id, int at)
    {
        await book.TakeBack(id, at);
        return RedirectToPage(new { id });
    }

    private async Task<bool> Load(string id, int? after, CancellationToken cancel)
    {
        if (await book.Find(id, cancel) is not { } set || await shelf.Take(set.FloraId) is not { } open)
            return false;
        (Set, Open) = (set, open);
        After = after is > 0 && after <= set.At ? set.Answers[after.Value - 1] : null;
        if (Exercise is { } exercise)
            Posed = PracticeDesk.Pose(exercise, set, open);
        return true;
    }

    private Outcome<Answer> Judge(Exercise exercise, string said, Certainty certainty)
    {
        if (said.Length > LongestSaid)
            return new Fault("said", $"At most {LongestSaid} letters are read.");
        return exercise.Match(
            name: _ => Chosen(said, certainty),
            part: _ => Chosen(said, certainty),
            read: _ => Chosen(said, certainty),
            record: own => Named(own, said, certainty),
            measure: own => Measured(own, said, certainty)
        );
    }

    // What the flora no longer has is taken as answered: nobody can.
    private Outcome<Answer> Chosen(string said, Certainty certainty)
    {
        if (Posed is not { } posed)
            return Skipped(certainty);
        return said.Length == 0 || posed.Choices.Contains(said)
            ? posed.Judge(said, certainty)
            : Fault.AtField("said", said, "Choose one of those shown.");
    }

    private static Answer Skipped(Certainty certainty) => new("", "", true, true, certainty);

    private Outcome<Answer> Named(NameRecord exercise, string said, Certainty certainty)
    {
        if (PracticeDesk.RecordOf(exercise, Open) is not { } record)
            return Skipped(certainty);
        if (said.Length == 0)
            return record.Judge(null, certainty);
        return ListText.TaxonOf(said, Open) is { } taxon
            ? record.Judge(taxon, certainty)
            : Fault.AtField(
                "said",
                said,
                "No kind of this flora goes by that name. Write a scientific or a common name, or leave it open."
            );
    }

    private Outcome<Answer> Measured(MeasureLeaf exercise, string said, Certainty certainty)
    {
        if (Specimen.Of(exercise, Flora, Open.Drawn) is not { } specimen)
            return Skipped(certainty);
        var right = SizeOf(specimen.Truth, specimen);
        if (said.Length == 0)
            return new Answer("", right, false, false, certainty);
        if (specimen.Character is CountCharacter)
            return
                int.TryParse(said, NumberStyles.None, CultureInfo.InvariantCulture, out var number)
                && number is > 0 and <= CountCharacter.Largest
                ? Judged(specimen, number, said, right, certainty)
                : Fault.AtField("said", said, $"Write a number from 1 to {CountCharacter.Largest}.");
        return QuantityParser
            .Parse(said, MeasureUnit.Centimetre)
            .Map(size => Judged(specimen, Millimetres * (size.Usual ?? Math.Sqrt(size.Low * size.High)), said, right, certainty));
    }

    private static Answer Judged(Specimen specimen, double value, string said, string right, Certainty certainty)
    {
        var (isRight, isNear) = specimen.Judge(value);
        return new Answer(said, right, isRight, isNear, certainty);
    }

    /// <summary>A size as it is written here.</summary>
    public string SizeOf(double truth, Specimen specimen) =>
        specimen.Character is CountCharacter
            ? Say.Number(truth)
            : LengthWords.Say(truth / Millimetres, MeasureUnit.Centimetre, Units.Of(Request));

    /// <summary>The record on the page; null where there is none.</summary>
    public PlantRecord? Record => Exercise is NameRecord own ? record ??= PracticeDesk.RecordOf(own, Open) : null;

    private PlantRecord? record;

    /// <summary>The specimen on the page; null where there is none.</summary>
    public Specimen? Specimen => Exercise is MeasureLeaf own ? Core.Practising.Specimen.Of(own, Flora, Open.Drawn) : null;

    /// <summary>What has been asked of the record on the page, in the order it was asked.</summary>
    public IReadOnlyList<Reading> AskedOf(PlantRecord record) =>
        [.. (After?.Asked ?? Set.Asked).Select(Flora.FindCharacter).OfType<Character>().Select(record.Ask)];

    /// <summary>The shoot as far as it is known from what was asked.</summary>
    public string Shoot(PlantRecord record) =>
        SvgPen.Inline(
            ShootDrawing.Of(Open.Drawn.FormsOf(AskedOf(record).Where(reading => reading.Tells))),
            "shoot",
            "The shoot, as far as it is known; what is not known is dotted"
        );

    /// <summary>What tells a kind from another, in a sentence; its score and the other’s where no mark is written down.</summary>
    public string MarkOf(Taxon taxon, Taxon other) =>
        PartingMark.Between(taxon, other, Open.Sieve) switch
        {
            null => "The flora knows no mark that parts the two.",
            { Character: { } character } => $"{Say.Capital(character.Label)}: {ScoreOf(taxon, character)} in {taxon.CommonName}, "
                + $"{ScoreOf(other, character)} in {other.CommonName}.",
            var mark => $"{Say.Capital(mark.Of!.CommonName)}: {mark.Written}.",
        };

    /// <summary>What a kind shows of a character, in words; "not said" where the flora does not say.</summary>
    public string ScoreOf(Taxon taxon, Character character) =>
        taxon.Score(character.Id) is { } score ? Wording.Of(new Scored(character, score), Units.Of(Request)) : "not said";

    /// <summary>A reading in words.</summary>
    public string Words(Reading reading) => Wording.Of(reading, Flora, Units.Of(Request));

    /// <summary>All answers of the set.</summary>
    public IReadOnlyList<Answered> Answers => [.. Set.Answers.Select(answer => answer.Answered)];
}
