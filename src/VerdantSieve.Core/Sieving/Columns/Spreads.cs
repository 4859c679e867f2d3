using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving.Columns;

/// <summary>The spread of a measure over single leaves: normal in the logarithm, with its own width on each side.</summary>
/// <param name="Centre">The natural logarithm of the typical value.</param>
/// <param name="BelowWidth">Standard deviation below the centre, in log units.</param>
/// <param name="AboveWidth">Standard deviation above the centre, in log units.</param>
internal readonly record struct LogSpread(double Centre, double BelowWidth, double AboveWidth)
{
    // Standard normal quantiles: 10 % lies beyond 1.2816 on one side, 1 % beyond 2.3263.
    private const double Tenth = 1.2815515655446004,
        Hundredth = 2.3263478740408408;
    private const double Narrowest = 0.06;

    /// <summary>The part of the variance that lies within one plant; the rest lies between plants.</summary>
    public const double WithinOnePlant = 0.5;

    public static LogSpread From(RangeScore score)
    {
        var (low, high) = (Math.Log(score.Low), Math.Log(score.High));
        var centre = (low + high) / 2;
        var half = (high - low) / 2;
        return new LogSpread(centre, Side(centre - Log(score.Least), half), Side(Log(score.Most) - centre, half));

        static double? Log(double? value) => value is { } v ? Math.Log(Math.Max(v, 1e-3)) : null;
        // Both quantiles of a side describe one width: take their mean, so that neither is thrown away.
        static double Side(double? toExtreme, double toTenth) =>
            Math.Max(Narrowest, toExtreme is { } extreme ? (extreme / Hundredth + toTenth / Tenth) / 2 : toTenth / Tenth);
    }

    /// <summary>Several spreads taken together, widened by a factor since the one sought is not among them.</summary>
    public static LogSpread Pool(IReadOnlyList<LogSpread> spreads, double widen)
    {
        var centre = spreads.Average(s => s.Centre);
        var width =
            widen
            * Math.Sqrt(
                spreads.Average(s =>
                    (s.Centre - centre) * (s.Centre - centre) + (s.BelowWidth * s.BelowWidth + s.AboveWidth * s.AboveWidth) / 2
                )
            );
        return new LogSpread(centre, width, width);
    }

    /// <summary>The density of ln(value) for the mean of a sample of leaves read with an error.</summary>
    /// <remarks>Half of the variance lies between trees and half within one tree: only the second shrinks with more leaves.</remarks>
    public double Density(double logValue, int leaves, double error)
    {
        var (below, above) = Widths(leaves, error);
        var side = logValue < Centre ? below : above;
        var z = (logValue - Centre) / side;
        return Math.Exp(-z * z / 2) * 2 / (below + above) / Math.Sqrt(2 * Math.PI);
    }

    /// <summary>The chance that a typical leaf is at most this long.</summary>
    public double Below(double logValue, double error)
    {
        var (below, above) = Widths(1, error);
        // The two halves of the density hold mass in proportion to their widths.
        var lower = below / (below + above);
        return logValue < Centre
            ? 2 * lower * NormalBelow((logValue - Centre) / below)
            : lower + 2 * (1 - lower) * (NormalBelow((logValue - Centre) / above) - 0.5);
    }

    private (double Below, double Above) Widths(int leaves, double error)
    {
        var shrink = 1 - WithinOnePlant + WithinOnePlant / leaves;
        return (Math.Sqrt(BelowWidth * BelowWidth * shrink + error * error), Math.Sqrt(AboveWidth * AboveWidth * shrink + error * error));
    }

    // The standard normal distribution function by the logistic curve of Bowling et al. 2009 (error below 0.00014).
    private static double NormalBelow(double z) => 1 / (1 + Math.Exp(-(1.5976 + 0.07056 * z * z) * z));
}

/// <summary>The chances of each whole number, 0 to <see cref="CountCharacter.Largest"/>.</summary>
internal static class CountSpread
{
    public static double[] From(RangeScore score)
    {
        var chances = new double[CountCharacter.Largest + 1];
        var (low, high) = ((int)score.Low, (int)score.High);
        var (least, most) = ((int)(score.Least ?? low), (int)(score.Most ?? high));
        Spread(low, high, 0.8, _ => 1);
        Spread(least, low - 1, 0.1, n => n - least + 1);
        Spread(high + 1, most, 0.1, n => most - n + 1);
        var sum = chances.Sum();
        // A book is exceeded now and then: no number is quite impossible.
        for (var n = 1; n < chances.Length; n++)
            chances[n] = 0.998 * chances[n] / sum + 0.002 / (chances.Length - 1);
        return chances;

        void Spread(int from, int to, double mass, Func<int, double> weight)
        {
            (from, to) = (Math.Max(1, from), Math.Min(to, chances.Length - 1));
            var total = Enumerable.Range(from, Math.Max(0, to - from + 1)).Sum(weight);
            for (var n = from; n <= to; n++)
                chances[n] += mass * weight(n) / total;
        }
    }
}
