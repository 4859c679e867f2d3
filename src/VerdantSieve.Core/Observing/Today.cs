namespace VerdantSieve.Core.Observing;

/// <summary>Flowers or fruit looked for on the day of the look.</summary>
public sealed record Today(bool Seen) : Observation
{
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
    ) => today(this);
}
