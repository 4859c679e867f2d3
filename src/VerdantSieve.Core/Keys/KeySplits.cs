using System.Globalization;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Keys;

/// <summary>Finds the ways in which one character parts some taxa.</summary>
internal sealed class KeySplits(Flora flora)
{
    // A taxon that shows the other side on no more of its plants than that goes one way; what shows it more often comes out both ways.
    private const double Tolerated = 0.12;

    // What is there on so many plants is there, and on so few is not.
    private const double Always = 0.88,
        Never = 0.04;

    // Of so many states every way to part them is tried; of more, each against the rest and, where they are in order, each cut.
    private const int PartedInAllWays = 7;

    /// <summary>The ways.</summary>
    public IEnumerable<KeySplit> Of(Character character, IReadOnlyList<Taxon> taxa) =>
        character.Match(
            states: own => States(own, taxa),
            count: own => Numbers(own, taxa, whole: true),
            measure: own => Numbers(own, taxa, whole: false),
            presence: own => Presence(own, taxa),
            season: _ => []
        );

    private IEnumerable<KeySplit> States(StateCharacter character, IReadOnlyList<Taxon> taxa)
    {
        StateScore?[] scores = [.. taxa.Select(taxon => taxon.Score(character.Id) as StateScore)];
        // States nobody shows belong to neither side; a state within another goes where that goes.
        string[] shown = [.. character.States.Select(state => state.Id).Where(state => scores.Any(score => score?.Allows(state) == true))];
        if (shown.Length < 2)
            yield break;
        foreach (var first in Parted(character, shown))
        {
            var second = shown.Except(first).ToArray();
            if (Overlaps(character, first, second))
                continue;
            yield return new KeySplit(
                Said(character, first),
                Said(character, second),
                [.. scores.Select(score => SideOf(character, score, first))]
            );
        }
    }

    private static IEnumerable<string[]> Parted(StateCharacter character, string[] shown)
    {
        if (character.Ordered)
            return Enumerable.Range(1, shown.Length - 1).Select(cut => shown[..cut]);
        if (shown.Length > PartedInAllWays)
            return shown.Select(state => new[] { state });
        // Each way and its mirror are one: the first state is always on the first side.
        return Enumerable
            .Range(0, (1 << (shown.Length - 1)) - 1)
            .Select(bits => shown.Where((_, at) => at == 0 || (bits >> (at - 1) & 1) == 1).ToArray());
    }

    // "Toothed" and "doubly toothed" exclude each other in no couplet.
    private static bool Overlaps(StateCharacter character, string[] first, string[] second) =>
        first.Any(one => second.Any(other => character.IsWithin(one, other) || character.IsWithin(other, one)));

    private static Side SideOf(StateCharacter character, StateScore? score, string[] first)
    {
        if (score is null)
            return Side.Both;
        var shares = character.SharesOf(score);
        var share = first.Sum(state => shares[character.IndexOf(state)]);
        if (share >= 1 - Tolerated)
            return Side.First;
        return share <= Tolerated ? Side.Second : Side.Both;
    }

    private Statement Said(StateCharacter character, string[] states) =>
        new(
            character,
            Wording.Of(
                new Reading(character.Id, new StatesSeen(states, states.Length > 1 ? StateMode.Either : StateMode.Is), Certainty.Fair),
                flora
            ),
            states
        );

    private IEnumerable<KeySplit> Numbers(Character character, IReadOnlyList<Taxon> taxa, bool whole)
    {
        RangeScore?[] scores = [.. taxa.Select(taxon => taxon.Score(character.Id) as RangeScore)];
        foreach (
            var cut in scores.OfType<RangeScore>().Select(score => whole ? Math.Floor(score.High) : Round(score.High)).Distinct().Order()
        )
            yield return new KeySplit(
                new Statement(character, Limit(character, cut, whole, least: false), [], Most: cut),
                new Statement(character, Limit(character, cut, whole, least: true), [], Least: whole ? cut + 1 : cut),
                [.. scores.Select(score => SideOf(score, cut))]
            );
    }

    // Nobody measures finer than that, and a size that is easy to remember is easy to hold a leaf against.
    private static double Round(double size)
    {
        var step = Math.Pow(10, Math.Floor(Math.Log10(size))) / 2;
        return Math.Round(Math.Round(size / step) * step, 6);
    }

    private static Side SideOf(RangeScore? score, double cut)
    {
        if (score is null)
            return Side.Both;
        if (score.High <= cut)
            return Side.First;
        return score.Low > cut ? Side.Second : Side.Both;
    }

    private string Limit(Character character, double cut, bool whole, bool least)
    {
        // Of sizes the two leads would share the very limit.
        if (least && !whole)
            return character.Phrase.Replace(
                "{}",
                string.Create(CultureInfo.InvariantCulture, $"more than {cut}{UnitOf(character)}"),
                StringComparison.Ordinal
            );
        var limited = new Limited(least ? cut + 1 : cut, least ? LimitSide.AtLeast : LimitSide.AtMost);
        return Wording.Of(new Reading(character.Id, limited, Certainty.Fair), flora);
    }

    private static string UnitOf(Character character) =>
        character is MeasureCharacter { Unit: not MeasureUnit.Ratio } measure ? $" {measure.Unit.Symbol()}" : "";

    private IEnumerable<KeySplit> Presence(PresenceCharacter character, IReadOnlyList<Taxon> taxa)
    {
        yield return new KeySplit(
            new Statement(character, Found(character, true), [], Seen: true),
            new Statement(character, Found(character, false), [], Seen: false),
            [.. taxa.Select(taxon => SideOf(taxon.Score(character.Id) as PresenceScore))]
        );
    }

    private static Side SideOf(PresenceScore? score) =>
        score?.Frequency switch
        {
            >= Always => Side.First,
            <= Never => Side.Second,
            _ => Side.Both,
        };

    private string Found(PresenceCharacter character, bool seen) =>
        Wording.Of(new Reading(character.Id, new Sought(seen), Certainty.Fair), flora);
}
