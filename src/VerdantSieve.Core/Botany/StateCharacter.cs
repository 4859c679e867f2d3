using System.Text.Json.Serialization;

namespace VerdantSieve.Core.Botany;

/// <summary>A character with named states.</summary>
public sealed record StateCharacter(string Id) : Character(Id)
{
    /// <summary>The states, in their natural order where <see cref="Ordered"/>. Never empty; no id twice.</summary>
    /// <exception cref="ArgumentException">There is none, or an id stands twice.</exception>
    public required IReadOnlyList<State> States
    {
        get;
        init =>
            field =
                value.Count > 0 && value.DistinctBy(state => state.Id).Count() == value.Count
                    ? value
                    : throw new ArgumentException($"{Id} needs at least one state, and each id once.", nameof(States));
    }

    /// <summary>Whether the states form a series, so that neighbours are confused most.</summary>
    public bool Ordered { get; init; }

    /// <summary>Whether one plant may show several of the states at once.</summary>
    public bool Variety { get; init; }

    /// <summary>Whether it counts one way only: a kind that is at home in many states is not the less at home in each of them.</summary>
    public bool OneSided { get; init; }

    /// <summary>Whether its scores name the most usual state first: of several that are called usual, each then counts for less than the
    /// one before it.</summary>
    public bool UsualFirst { get; init; }

    /// <summary>Which states are easily taken for which.</summary>
    public IReadOnlyList<Confusion> Confusions { get; init; } = [];

    /// <summary>Which states are kinds of others: of each finer one the broader ones, so that whoever names the broader is not
    /// wrong.</summary>
    /// <exception cref="ArgumentException">It names a state that is not there, or a state within itself.</exception>
    public IReadOnlyDictionary<string, IReadOnlyList<string>> Within
    {
        get;
        init =>
            field = value.All(pair => IndexOf(pair.Key) >= 0 && pair.Value.All(broader => broader != pair.Key && IndexOf(broader) >= 0))
                ? value
                : throw new ArgumentException($"States of {Id} lie within other states of it.", nameof(Within));
    } = new Dictionary<string, IReadOnlyList<string>>();

    /// <summary>Words that are read though never scored, each for several states.</summary>
    /// <exception cref="ArgumentException">One bears the id of a state, or covers a state that is not there.</exception>
    public IReadOnlyList<BroadWord> BroadWords
    {
        get;
        init =>
            field = value.All(word => IndexOf(word.Id) < 0 && word.States.Count > 1 && word.States.All(state => IndexOf(state) >= 0))
                ? value
                : throw new ArgumentException($"A broad word of {Id} covers several of its states, and is none.", nameof(BroadWords));
    } = [];

    // Of plants of kinds with two usual states nearly four in five were described by the first, of those with three four in seven
    // (docs/method.md). About half of that is believed, since a plant described by one state may show the other as well.
    private static readonly double[] ByPlace = [1, 0.6, 0.5, 0.45];

    /// <summary>How often a plant with this score shows each of the states, of all it shows: each 0 to 1, together 1.</summary>
    /// <exception cref="ArgumentException">The score names none of the states.</exception>
    public double[] SharesOf(StateScore score)
    {
        var shares = new double[States.Count];
        var usual = 0;
        foreach (var said in score.States)
        {
            if (IndexOf(said.State) is not (>= 0 and var state))
                continue;
            var isUsual = UsualFirst && said.Frequency == Frequency.Usual;
            shares[state] = said.Weight * (isUsual ? ByPlace[Math.Min(usual, ByPlace.Length - 1)] : 1);
            usual += isUsual ? 1 : 0;
        }
        var sum = shares.Sum();
        if (sum <= 0)
            throw new ArgumentException($"The score names no state of {Id}.", nameof(score));
        for (var state = 0; state < shares.Length; state++)
            shares[state] /= sum;
        return shares;
    }

    /// <summary>How often a plant with this score shows one of the states, of all it shows: 0 to 1, and 0 of a state that is not
    /// there.</summary>
    public double ShareOf(StateScore score, string stateId) => IndexOf(stateId) is >= 0 and var state ? SharesOf(score)[state] : 0;

    /// <summary>Where a score stands in the series of the states, counted from 0: the mean of its states by their shares.</summary>
    public double MiddleOf(StateScore score) => SharesOf(score).Select((share, state) => share * state).Sum();

    /// <summary>All that can be named in a reading: the states, then the broad words.</summary>
    [JsonIgnore]
    public IEnumerable<string> Words => States.Select(state => state.Id).Concat(BroadWords.Select(word => word.Id));

    /// <summary>The indexes of the states that a word covers in a reading: a state with those within it, or what a broad word stands for;
    /// empty where there is no such word.</summary>
    public IReadOnlyList<int> Covered(string word)
    {
        var named = BroadWords.FirstOrDefault(broad => broad.Id == word)?.States ?? [word];
        return
        [
            .. Enumerable
                .Range(0, States.Count)
                .Where(i => named.Contains(States[i].Id) || named.Any(broader => IsWithin(States[i].Id, broader))),
        ];
    }

    /// <summary>The indexes of the states that a word names: a state itself, or what a broad word stands for; empty where there is no such
    /// word.</summary>
    public IReadOnlyList<int> Named(string word) => IndexOf(word) is >= 0 and var state ? [state] : Covered(word);

    /// <summary>Whether the one state is a kind of the other.</summary>
    public bool IsWithin(string finer, string broader) => Within.TryGetValue(finer, out var around) && around.Contains(broader);

    /// <summary>The plain words for a state or a broad word; null where there is no such word.</summary>
    public string? LabelOf(string word) =>
        IndexOf(word) is >= 0 and var i ? States[i].Label : BroadWords.FirstOrDefault(broad => broad.Id == word)?.Label;

    /// <summary>The index of a state, or -1 where this character has no such state.</summary>
    public int IndexOf(string stateId)
    {
        for (var i = 0; i < States.Count; i++)
            if (States[i].Id == stateId)
                return i;
        return -1;
    }

    /// <summary>The state with this id.</summary>
    /// <exception cref="KeyNotFoundException">The character has no such state.</exception>
    public State this[string stateId] =>
        IndexOf(stateId) is >= 0 and var i ? States[i] : throw new KeyNotFoundException($"{Id} has no state '{stateId}'.");

    /// <inheritdoc/>
    public override T Match<T>(
        Func<StateCharacter, T> states,
        Func<CountCharacter, T> count,
        Func<MeasureCharacter, T> measure,
        Func<PresenceCharacter, T> presence,
        Func<SeasonCharacter, T> season
    ) => states(this);
}
