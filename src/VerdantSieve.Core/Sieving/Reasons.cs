using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>What speaks for the leading kind is what parts it from its rival; against it speaks that too, and all that holds it.</summary>
/// <param name="weighed">What the readings come to.</param>
/// <param name="leader">The leading kind.</param>
/// <param name="rival">The kind it is held against; null where there is none, and it is held against "none of these".</param>
internal sealed class Reasons(Weighed weighed, Candidate leader, Candidate? rival)
{
    // A reading this strong, in bits, is worth a sentence; this many sentences are enough.
    private const double WorthSaying = 0.7;
    private const int Most = 4;

    private readonly Row row = weighed.Table.Rows.Of(leader.Taxon);
    private readonly Row against = rival is null ? weighed.Table.Rows.Average : weighed.Table.Rows.Of(rival.Taxon);

    /// <summary>The readings that speak for the leader, strongest first: what was read, and what the rival is like.</summary>
    public IReadOnlyList<Prose> For() => Said((bits, holds) => bits >= WorthSaying && !holds, against);

    /// <summary>The readings that speak against it: what was read, and what the leader is like.</summary>
    public IReadOnlyList<Prose> Against() => Said((bits, holds) => bits <= -WorthSaying || holds, row);

    private Prose[] Said(Func<double, bool, bool> counts, Row like) =>
        [
            .. weighed
                .Evidence.All.Select(piece => (piece.Reading, Bits: piece.BitsBetween(row, against)))
                .Where(reason => counts(reason.Bits, leader.Held.Contains(reason.Reading.Character)))
                .OrderByDescending(reason => Math.Abs(reason.Bits))
                .Take(Most)
                .Select(reason => Reason(reason.Reading, like)),
        ];

    private Prose Reason(Reading reading, Row like)
    {
        var (table, flora) = (weighed.Table, weighed.Flora);
        var prose = new Prose().Say($"“{Wording.Of(reading, flora)}”");
        if (!table.Rows.IsTaxon(like))
            return prose.Say(", which few other plants show");
        var (taxon, character) = (table.TaxonOf(like), flora.Character(reading.Character));
        prose.Say(": ").Name(taxon.Name.Text);
        if (!table[character.Id].CanApply(like))
            return prose.Say($" shows no {character.Label}");
        if (taxon.Score(character.Id) is not { } score)
            return prose.Say(": the flora does not say");
        prose.Say($" has {Wording.Has(new Scored(character, score), weighed.When.DelayFrom(flora.WindowPlace(taxon).Position))}");
        return prose.Say(SignWords(reading, like));
    }

    // Whether the reading tells all but a few away from the leader, or the kind it is held against must have what was not read.
    private string SignWords(Reading reading, Row like)
    {
        var average = weighed.Table.Rows.Average;
        var piece = weighed.Evidence.All.First(piece => piece.Reading == reading);
        if (like != row && piece.BitsBetween(row, average) is var bits && Signs.Of(null, bits) == SignKind.TellsAll)
            return "; few other kinds show it";
        var score = weighed.Table[reading.Character].ScoreOf(like);
        var mustHave = Signs.Of(score, piece.BitsBetween(like, average)) == SignKind.MustHave;
        return mustHave && piece.BitsBetween(like, average) < 0 ? ", as it must" : "";
    }
}
