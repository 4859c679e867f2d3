namespace VerdantSieve.Core.Observing;

/// <summary>Looked at, but can't tell. Changes nothing in the answer; the record keeps it.</summary>
public sealed record CannotTell : Observation
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
    ) => cannotTell(this);
}
