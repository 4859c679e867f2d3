using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>A number of things or a size, as said.</summary>
/// <param name="Low">The least.</param>
/// <param name="High">The most; the same where one number was said.</param>
internal sealed record Amount(double Low, double High)
{
    /// <summary>The usual one of a range.</summary>
    public double? Usual { get; init; }

    /// <summary>One number for each leaf, where they were said in a row; else empty.</summary>
    public IReadOnlyList<double> Values { get; init; } = [];

    /// <summary>The unit, as in <see cref="QuantityParser"/>; null where none was said.</summary>
    public string? Unit { get; init; }

    /// <summary>On which side it is a limit.</summary>
    public LimitSide? Limit { get; init; }

    /// <summary>How it was measured.</summary>
    public MeasuredBy By { get; init; }

    /// <summary>Which way it was taken, where it says so itself: “as wide as a hand”.</summary>
    public Dimension? Way { get; init; }

    /// <summary>What stands behind “by”: 7 in “12 x 7 cm”.</summary>
    public Amount? Across { get; init; }

    /// <summary>The same in another unit; what was said without one is taken to be in it.</summary>
    /// <param name="unit">As in <see cref="QuantityParser"/>; null leaves it as it is.</param>
    public Amount In(string? unit)
    {
        if (unit is null || Unit is null || Unit == unit)
            return this with { Unit = unit ?? Unit };
        var times = Centimetres(Unit) / Centimetres(unit);
        return this with
        {
            Low = Low * times,
            High = High * times,
            Usual = Usual * times,
            Values = [.. Values.Select(one => one * times)],
            Unit = unit,
        };
    }

    private static double Centimetres(string unit) =>
        QuantityParser.Factor(unit, MeasureUnit.Centimetre)
        ?? throw new ArgumentOutOfRangeException(nameof(unit), unit, "It is no unit of length.");
}
