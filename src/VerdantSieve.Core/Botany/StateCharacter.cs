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

    /// <summary>Which states are easily taken for which.</summary>
    public IReadOnlyList<Confusion> Confusions { get; init; } = [];

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
