using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Observing;

/// <summary>A measure, a count or a place in a series held against that of another kind: "narrower than a hornbeam's".</summary>
/// <param name="Than">The taxon of the same flora it is held against; one with a score for the character.</param>
/// <param name="Is">How it stands to it.</param>
public sealed record Compared(ScientificName Than, Comparison Is) : Observation
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
    ) => compared(this);
}
