using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Observing;

/// <summary>A measure in the character's own unit, or the least and most of several.</summary>
public sealed record Measured : Observation
{
    /// <summary>The most leaves of one sample.</summary>
    public const int MostLeaves = 1000;

    /// <summary>A measure, or the least and the most of several.</summary>
    /// <param name="low">The least; above 0.</param>
    /// <param name="high">The most; not below <paramref name="low"/>.</param>
    /// <param name="leaves">How many were measured; 1 to <see cref="MostLeaves"/>.</param>
    /// <exception cref="ArgumentOutOfRangeException">They are not in bounds, or do not rise.</exception>
    public Measured(double low, double high, int leaves)
    {
        if (!(low > 0 && high >= low && double.IsFinite(high)))
            throw new ArgumentOutOfRangeException(nameof(low), $"{low} to {high}", "Measures are above 0, the least first.");
        if (leaves is < 1 or > MostLeaves)
            throw new ArgumentOutOfRangeException(nameof(leaves), leaves, $"Of a sample 1 to {MostLeaves} leaves are measured.");
        (Low, High) = (low, high);
        Leaves = leaves;
    }

    /// <summary>The least.</summary>
    public double Low { get; }

    /// <summary>The most.</summary>
    public double High { get; }

    /// <summary>How many were measured.</summary>
    public int Leaves { get; }

    /// <summary>The typical one of several, from <see cref="Low"/> to <see cref="High"/>; null where only the ends are known.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It does not lie between them.</exception>
    public double? Typical
    {
        get;
        init =>
            field =
                value is null || (value >= Low && value <= High)
                    ? value
                    : throw new ArgumentOutOfRangeException(nameof(Typical), value, $"The typical one lies from {Low} to {High}.");
    }

    /// <summary>How it was found.</summary>
    public MeasuredBy By { get; init; } = MeasuredBy.Ruler;

    /// <summary>The middle of the sample: the typical one, else the geometric mean of the ends, since sizes are log-normal.</summary>
    public double Middle => Typical ?? Math.Sqrt(Low * High);

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
    ) => measured(this);
}
