namespace VerdantSieve.Core.Observing;

/// <summary>A thing looked for: seen, or looked for and not seen.</summary>
public sealed record Sought(bool Seen) : Observation
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
    ) => sought(this);
}
