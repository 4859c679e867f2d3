namespace VerdantSieve.Core.Observing;

/// <summary>What was observed of one character.</summary>
/// <remarks>The kinds are closed: <see cref="CannotTell"/>, <see cref="StatesSeen"/>, <see cref="Counted"/>, <see cref="Measured"/>,
/// <see cref="Limited"/>,
/// <see cref="Sought"/>, <see cref="Today"/>, <see cref="Tallied"/> and <see cref="Compared"/>.</remarks>
public abstract record Observation
{
    private protected Observation() { }

    /// <summary>What each kind of observation answers.</summary>
    public abstract T Match<T>(
        Func<CannotTell, T> cannotTell,
        Func<StatesSeen, T> states,
        Func<Counted, T> counted,
        Func<Measured, T> measured,
        Func<Limited, T> limited,
        Func<Sought, T> sought,
        Func<Today, T> today,
        Func<Tallied, T> tallied,
        Func<Compared, T> compared
    );
}
