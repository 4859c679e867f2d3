using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Observing;

/// <summary>A count, or several: the least, the most and, where known, the usual one.</summary>
public sealed record Counted : Observation
{
    /// <summary>A count, or the least and the most of several.</summary>
    /// <param name="low">The least; at least 1.</param>
    /// <param name="high">The most; not below <paramref name="low"/>, at most <see cref="CountCharacter.Largest"/>.</param>
    /// <exception cref="ArgumentOutOfRangeException">They are not in bounds, or do not rise.</exception>
    public Counted(int low, int high)
    {
        if (!(low >= 1 && high >= low && high <= CountCharacter.Largest))
            throw new ArgumentOutOfRangeException(
                nameof(low),
                $"{low} to {high}",
                $"Counts go from 1 to {CountCharacter.Largest}, the least first."
            );
        (Low, High) = (low, high);
    }

    /// <summary>The least.</summary>
    public int Low { get; }

    /// <summary>The most.</summary>
    public int High { get; }

    /// <summary>The usual number on this plant, from <see cref="Low"/> to <see cref="High"/>; null where only the ends are known.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It does not lie between them.</exception>
    public int? Usual
    {
        get;
        init =>
            field =
                value is null || (value >= Low && value <= High)
                    ? value
                    : throw new ArgumentOutOfRangeException(nameof(Usual), value, $"The usual number lies from {Low} to {High}.");
    }

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
    ) => counted(this);
}
