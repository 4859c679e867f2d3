namespace VerdantSieve.Core.Botany;

/// <summary>The states a taxon shows.</summary>
public sealed record StateScore : Score
{
    /// <summary>The states a taxon shows, in the order in which they are written.</summary>
    /// <exception cref="ArgumentException">There is none, or one stands twice.</exception>
    public StateScore(IReadOnlyList<StateFrequency> states)
    {
        if (states.Count == 0)
            throw new ArgumentException("A score names at least one state.", nameof(states));
        if (states.DistinctBy(state => state.State).Count() < states.Count)
            throw new ArgumentException("A score names each state once.", nameof(states));
        States = states;
    }

    /// <summary>The states. Never empty; no state twice.</summary>
    public IReadOnlyList<StateFrequency> States { get; }

    /// <summary>What it shows at places of the plant where that is something else: bark on the limbs, leaves in the shade. None of these
    /// names places in turn.</summary>
    /// <exception cref="ArgumentException">What it shows at one place names places in turn.</exception>
    public IReadOnlyDictionary<PlantPlace, StateScore> Elsewhere
    {
        get;
        init =>
            field = value.Values.All(score => score.Elsewhere.Count == 0)
                ? value
                : throw new ArgumentException("What is shown at a place is shown there.", nameof(Elsewhere));
    } = Nowhere;

    /// <summary>What it shows in countries where that is something else, by code: a tree of the woods at home may stand in hedges abroad.
    /// None of these names countries or places in turn.</summary>
    /// <exception cref="ArgumentException">What it shows in one country names countries or places in turn.</exception>
    public IReadOnlyDictionary<string, StateScore> ByCountry
    {
        get;
        init =>
            field = value.Values.All(score => score.Elsewhere.Count + score.ByCountry.Count == 0)
                ? value
                : throw new ArgumentException("What is shown in a country is shown there.", nameof(ByCountry));
    } = Everywhere;

    private static readonly IReadOnlyDictionary<string, StateScore> Everywhere = new Dictionary<string, StateScore>();

    private static readonly IReadOnlyDictionary<PlantPlace, StateScore> Nowhere = new Dictionary<PlantPlace, StateScore>();

    /// <summary>The state shown most; the first written where several are as usual.</summary>
    public string Chief => States.MaxBy(state => state.Weight)!.State;

    /// <summary>Whether the taxon can show this state at all.</summary>
    public bool Allows(string stateId) => States.Any(state => state.State == stateId);

    /// <summary>Whether it usually shows this state.</summary>
    public bool IsUsual(string stateId) => States.Any(state => state.State == stateId && state.Frequency == Frequency.Usual);

    /// <inheritdoc/>
    public override T Match<T>(
        Func<StateScore, T> states,
        Func<RangeScore, T> range,
        Func<PresenceScore, T> presence,
        Func<SeasonScore, T> season
    ) => states(this);

    /// <inheritdoc/>
    public bool Equals(StateScore? other) =>
        other is not null
        && States.SequenceEqual(other.States)
        && Elsewhere.Count == other.Elsewhere.Count
        && Elsewhere.All(pair => other.Elsewhere.TryGetValue(pair.Key, out var there) && pair.Value.Equals(there))
        && ByCountry.Count == other.ByCountry.Count
        && ByCountry.All(pair => other.ByCountry.TryGetValue(pair.Key, out var there) && pair.Value.Equals(there));

    /// <inheritdoc/>
    public override int GetHashCode() => States.Aggregate(0, (hash, state) => HashCode.Combine(hash, state));
}
