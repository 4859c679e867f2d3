namespace VerdantSieve.Core.Measuring;

/// <summary>One value, a range, a sample or a limit, in the unit asked for. <see cref="Low"/> equals <see cref="High"/> for one
/// value.</summary>
public readonly record struct Quantity
{
    /// <summary>One value or a range.</summary>
    /// <param name="low">The least; above 0.</param>
    /// <param name="high">The most; not below <paramref name="low"/>.</param>
    /// <exception cref="ArgumentOutOfRangeException">The numbers are not above 0, not finite, or do not rise.</exception>
    public Quantity(double low, double high)
    {
        if (!(low > 0 && high >= low && double.IsFinite(high)))
            throw new ArgumentOutOfRangeException(nameof(low), $"{low} to {high}", "The numbers of a quantity are above 0 and rise.");
        (Low, High) = (low, high);
    }

    /// <summary>The least.</summary>
    public double Low { get; }

    /// <summary>The most.</summary>
    public double High { get; }

    /// <summary>The usual one of several; null where it is not known.</summary>
    public double? Usual { get; init; }

    /// <summary>How many there were; null where it is not known.</summary>
    public int? Leaves { get; init; }

    /// <summary>On which side it is a limit; null where it is none.</summary>
    public LimitSide? Limit { get; init; }

    /// <summary>How it was found, as far as the words tell.</summary>
    public MeasuredBy By { get; init; }

    /// <summary>The sample of several values: its usual one is the median, which a single odd leaf does not move.</summary>
    /// <exception cref="ArgumentOutOfRangeException">A value is not above 0.</exception>
    public static Quantity Of(IReadOnlyList<double> values)
    {
        double[] sorted = [.. values.Order()];
        // The lower of two middle ones, so that the median of counts is a count.
        return new Quantity(sorted[0], sorted[^1]) { Usual = sorted[(sorted.Length - 1) / 2], Leaves = sorted.Length };
    }
}
