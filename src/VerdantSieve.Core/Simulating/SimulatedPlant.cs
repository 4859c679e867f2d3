using NodaTime;
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
/// <param name="book">What scores leave out, so that the plant may show what its score does not list; null where they leave out
/// nothing.</param>
public sealed class SimulatedPlant(Taxon taxon, Flora flora, Circumstances circumstances, Random random, SieveModel? book = null)
{
    private readonly Dictionary<string, object?> shown = [];
    private readonly SiteAndDay when = SiteAndDay.From(circumstances);
    private bool bearsFruit = random.NextDouble() < (taxon.HasSeparateSexes ? 0.5 : 1);

    /// <summary>The taxon it belongs to.</summary>
    public Taxon Taxon => taxon;

    /// <summary>The state it shows, for a character of states; null where it shows none or the flora does not say.</summary>
    public string? State(StateCharacter character) => (string?)Shown(character);

    /// <summary>Its usual number, for a count; null where it shows none or the flora does not say.</summary>
    public int? Number(CountCharacter character) => (int?)Shown(character);

    /// <summary>The centre of this very plant's leaves, for a measure, as a natural logarithm; null where it shows none or the flora does
    /// not say.</summary>
    public double? LogSize(MeasureCharacter character) => (double?)Shown(character);

    /// <summary>Whether it has the thing, for what is looked for; null where it can't or the flora does not say.</summary>
    public bool? Has(Character character) => (bool?)Shown(character);

    /// <summary>How far single leaves of this plant stray from its centre, as a standard deviation in log units.</summary>
    public double LeafSpread(MeasureCharacter character) =>
        taxon.Score(character.Id) is RangeScore range ? Math.Sqrt(LogSpread.WithinOnePlant) * LogSpread.From(range).BelowWidth : 0;

    /// <summary>The same plant on another day: what is out in its season may be another, all else stays.</summary>
    public SimulatedPlant On(LocalDate day)
    {
        var later = new SimulatedPlant(taxon, flora, circumstances with { Date = day, Stage = null }, random, book);
        later.bearsFruit = bearsFruit;
        foreach (var (id, value) in shown)
            if (value is not null && flora.Character(id) is not SeasonCharacter)
                later.shown[id] = value;
        return later;
    }

    /// <summary>Whether there are leaves to look at, where the character is one of leaves.</summary>
    public bool CanShow(Character character) =>
        Organs.Of(character) != Organ.Leaf || when.Stage is not { } stage || KeepsLeaves || LeafYear.ChanceOfLeaves(stage) >= 0.5;

    private bool KeepsLeaves =>
        flora.FindCharacter(CharacterIds.LeafPersistence) is StateCharacter persistence
        && taxon.Score(CharacterIds.LeafPersistence) is StateScore score
        && persistence.ShareOf(score, CharacterIds.Evergreen) >= 0.5;

    private object? Shown(Character character)
    {
        if (shown.TryGetValue(character.Id, out var value))
            return value;
        return shown[character.Id] = Holds(character.OnlyIf) ? Draw(character) : null;
    }

    private bool Holds(Condition? condition)
    {
        if (condition is null)
            return true;
        var on = flora.Character(condition.CharacterId);
        if (on is not StateCharacter states)
            return Has(on) == true;
        return State(states) is { } state && condition.States.Contains(state) != condition.Negated;
    }

    // What a score leaves out is what its kin show or, as often, any other kind.
    private Score? ScoreOf(Character character)
    {
        var own = taxon.Score(character.Id);
        if (
            book is null
            || own is not StateScore states
            || random.NextDouble() >= book.GapOf(character, ScoreBasis.Own, states.States.Count > 1)
        )
            return own;
        var kin = random.Next(2) == 0;
        Score[] others =
        [
            .. flora
                .Taxa.Where(other => other != taxon && (!kin || other.Name.Genus == taxon.Name.Genus))
                .Select(other => other.Score(character.Id))
                .OfType<StateScore>(),
        ];
        return others.Length == 0 ? own : others[random.Next(others.Length)];
    }

    private object? Draw(Character character) =>
        ScoreOf(character) is { } score
            ? new Scored(character, score).Match<object?>(
                states: (states, shows) => DrawState(states, shows),
                count: (_, range) => CountOf(CountSpread.From(range)),
                measure: (_, range) => Centre(LogSpread.From(range)),
                presence: (_, presence) => random.NextDouble() < presence.Frequency,
                season: (season, score) => IsOut(season, score)
            )
            : null;

    private string DrawState(StateCharacter character, StateScore score)
    {
        var shares = character.SharesOf(score);
        return Pick(character.States, state => shares[character.IndexOf(state.Id)]).Id;
    }

    private int CountOf(double[] chances) => Pick(Enumerable.Range(1, chances.Length - 1).ToArray(), n => chances[n]);

    private bool? IsOut(SeasonCharacter season, SeasonScore score)
    {
        if (when.DayAt(flora.WindowPlace(taxon).Position, season) is not { } day)
            return null;
        var isFruit = season.Id == CharacterIds.Fruiting;
        return random.NextDouble() < Phenology.ChanceSeen(score.Window, day, 0, isFruit, false, score.Borne ?? season.Borne)
            && (!isFruit || bearsFruit);
    }

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
            if ((at -= weight(item)) <= 0)
                return item;
        return items[^1];
    }
}
