using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Sieving.Columns;

namespace VerdantSieve.Core.Simulating;

/// <summary>One made-up plant of a taxon: what it shows is drawn once from the flora's scores and then stays.</summary>
/// <param name="taxon">The taxon.</param>
/// <param name="flora">Its flora.</param>
/// <param name="circumstances">Where and when it stands: what is in flower or fruit.</param>
/// <param name="random">Where chance comes from.</param>
public sealed class SimulatedPlant(Taxon taxon, Flora flora, Circumstances circumstances, Random random)
{
    private readonly Dictionary<string, object?> shown = [];
    private readonly Occasion occasion = Occasion.From(circumstances);
    private readonly bool bearsFruit = random.NextDouble() < (IsSeparate(taxon) ? 0.5 : 1);

    /// <summary>The taxon it belongs to.</summary>
    public Taxon Taxon => taxon;

    /// <summary>The state it shows, for a character of states; null where it shows none or the flora does not say.</summary>
    public string? State(StateCharacter character) => (string?)Shown(character);

    /// <summary>Its usual number, for a count; null where it shows none or the flora does not say.</summary>
    public int? Number(CountCharacter character) => (int?)Shown(character);

    /// <summary>The centre of this very plant's leaves, for a measure, as a natural logarithm; null where it shows none or the flora does not say.</summary>
    public double? LogSize(MeasureCharacter character) => (double?)Shown(character);

    /// <summary>Whether it has the thing, for what is looked for; null where it can't or the flora does not say.</summary>
    public bool? Has(Character character) => (bool?)Shown(character);

    /// <summary>How far single leaves of this plant stray from its centre, as a standard deviation in log units.</summary>
    public double LeafSpread(MeasureCharacter character) => taxon.Scores.GetValueOrDefault(character.Id) is RangeScore range
        ? Math.Sqrt(LogSpread.WithinOnePlant) * LogSpread.From(range).BelowWidth : 0;

    private object? Shown(Character character)
    {
        if (shown.TryGetValue(character.Id, out var value)) return value;
        return shown[character.Id] = Holds(character.OnlyIf) ? Draw(character) : null;
    }

    private bool Holds(Condition? condition)
    {
        if (condition is null) return true;
        var on = flora.Character(condition.CharacterId);
        if (on is not StateCharacter states) return Has(on) == true;
        return State(states) is { } state && condition.States.Contains(state) != condition.Negated;
    }

    private object? Draw(Character character) => (character, taxon.Scores.GetValueOrDefault(character.Id)) switch
    {
        (StateCharacter, StateScore score) => Pick(score.States, state => state.Weight).State,
        (CountCharacter, RangeScore range) => CountSpread.From(range) is var chances ? Pick(Enumerable.Range(1, chances.Length - 1).ToArray(), n => chances[n]) : null,
        (MeasureCharacter, RangeScore range) => LogSpread.From(range) is var spread ? Centre(spread) : null,
        (PresenceCharacter, PresenceScore presence) => random.NextDouble() < presence.Frequency,
        (SeasonCharacter season, SeasonScore score) when occasion.DayAt(flora.WindowPlace(taxon).Position) is { } day =>
            random.NextDouble() < Phenology.ChanceSeen(score.Window, day, 0, season.Id == Vocabulary.Fruiting, false) && (season.Id != Vocabulary.Fruiting || bearsFruit),
        _ => null
    };

    // Each side has its own width, and holds mass in proportion to it.
    private double Centre(LogSpread spread)
    {
        var below = random.NextDouble() < spread.BelowWidth / (spread.BelowWidth + spread.AboveWidth);
        var away = Math.Abs(random.NextNormal()) * Math.Sqrt(1 - LogSpread.WithinOnePlant);
        return spread.Centre + (below ? -away * spread.BelowWidth : away * spread.AboveWidth);
    }

    private T Pick<T>(IReadOnlyList<T> items, Func<T, double> weight)
    {
        var at = random.NextDouble() * items.Sum(weight);
        foreach (var item in items)
            if ((at -= weight(item)) <= 0) return item;
        return items[^1];
    }

    private static bool IsSeparate(Taxon taxon) => taxon.Scores.GetValueOrDefault(Vocabulary.Sexes) is StateScore sexes
        && sexes.States.Any(state => state.State == Vocabulary.SeparateTrees && state.Frequency == Frequency.Usual);
}

/// <summary>Draws from the normal distribution.</summary>
internal static class RandomNormal
{
    /// <summary>A draw from the standard normal distribution (Box and Muller 1958).</summary>
    public static double NextNormal(this Random random) =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
