namespace VerdantSieve.Core.Observing;

/// <summary>One or several states of a <see cref="Botany.StateCharacter"/>, in the character's own order.</summary>
public sealed record StatesSeen : Observation
{
    /// <summary>One or several states.</summary>
    /// <exception cref="ArgumentException">There is none, one stands twice, one alone is either or all, or several are one.</exception>
    public StatesSeen(IReadOnlyList<string> states, StateMode mode)
    {
        if (states.Count == 0 || states.Distinct().Count() < states.Count)
            throw new ArgumentException("A reading names at least one state, and each once.", nameof(states));
        if (mode != StateMode.Not && states.Count == 1 != (mode == StateMode.Is))
            throw new ArgumentException("One state is “is” or “not”; several are “either”, “all-seen” or “not”.", nameof(mode));
        (States, Mode) = (states, mode);
    }

    /// <summary>The states, or broad words that stand for several. Never empty; none twice.</summary>
    public IReadOnlyList<string> States { get; }

    /// <summary>How several are meant; <see cref="StateMode.Is"/> where there is one.</summary>
    public StateMode Mode { get; }

    /// <inheritdoc/>
    public bool Equals(StatesSeen? other) => other is not null && Mode == other.Mode && States.SequenceEqual(other.States);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Mode, States.Count, States[0]);

    /// <inheritdoc/>
    public override T Match<T>(
        Func<CannotTell, T> cannotTell,
        Func<StatesSeen, T> states,
        Func<Counted, T> counted,
        Func<Measured, T> measured,
        Func<Limited, T> limited,
        Func<Sought, T> sought,
        Func<Today, T> today,
        Func<Tallied, T> tallied,
        Func<Compared, T> compared
    ) => states(this);
}
