using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>The spread of a measure over single leaves: normal in the logarithm, with its own width on each side.</summary>
/// <param name="Centre">The natural logarithm of the typical value.</param>
/// <param name="Below">Standard deviation below the centre, in log units.</param>
/// <param name="Above">Standard deviation above the centre, in log units.</param>
internal readonly record struct LogSpread(double Centre, double Below, double Above)
{
    // Standard normal quantiles: 10 % lies beyond 1.2816 on one side, 1 % beyond 2.3263.
    private const double Tenth = 1.2815515655446004, Hundredth = 2.3263478740408408;
    private const double Narrowest = 0.06;

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

    /// <summary>The density of ln(value) for the mean of a sample of leaves read with an error.</summary>
    /// <remarks>Half of the variance lies between trees and half within one tree: only the second shrinks with more leaves.</remarks>
    public double Density(double logValue, int leaves, double error)
    {
        var shrink = 0.5 + 0.5 / leaves;
        var (below, above) = (Math.Sqrt(Below * Below * shrink + error * error), Math.Sqrt(Above * Above * shrink + error * error));
        var side = logValue < Centre ? below : above;
        var z = (logValue - Centre) / side;
        return Math.Exp(-z * z / 2) * 2 / (below + above) / Math.Sqrt(2 * Math.PI);
    }
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
        for (var n = 1; n < chances.Length; n++) chances[n] = 0.998 * chances[n] / sum + 0.002 / (chances.Length - 1);
        return chances;

        void Spread(int from, int to, double mass, Func<int, double> weight)
        {
            (from, to) = (Math.Max(1, from), Math.Min(to, chances.Length - 1));
            var total = Enumerable.Range(from, Math.Max(0, to - from + 1)).Sum(weight);
            for (var n = from; n <= to; n++) chances[n] += mass * weight(n) / total;
        }
    }
}

/// <summary>Shannon's measure of uncertainty, in bits (C. E. Shannon, 1948).</summary>
public static class Information
{
    /// <summary>The entropy of a distribution, in bits. Weights need not be normalised; all zero gives 0.</summary>
    public static double Entropy(ReadOnlySpan<double> weights)
    {
        double sum = 0, weighted = 0;
        foreach (var weight in weights)
        {
            if (weight <= 0) continue;
            sum += weight;
            weighted += weight * Math.Log2(weight);
        }
        return sum > 0 ? Math.Log2(sum) - weighted / sum : 0;
    }

    /// <summary>The bits an outcome tells about a row: H(outcome) − Σ P(row) H(outcome | row).</summary>
    /// <param name="rows">The chance of each row; need not be normalised.</param>
    /// <param name="outcomes">For each outcome, its chance given each row.</param>
    public static double Mutual(ReadOnlySpan<double> rows, IReadOnlyList<double[]> outcomes) => Mutual(rows, outcomes, RowEntropy(outcomes));

    /// <summary>As above, with <see cref="RowEntropy"/> worked out before.</summary>
    internal static double Mutual(ReadOnlySpan<double> rows, IReadOnlyList<double[]> outcomes, double[] rowEntropy)
    {
        double total = 0, given = 0;
        for (var t = 0; t < rows.Length; t++)
        {
            total += rows[t];
            given += rows[t] * (rowEntropy.Length > 0 ? rowEntropy[t] : 0);
        }
        if (total <= 0) return 0;
        Span<double> marginal = outcomes.Count <= 128 ? stackalloc double[outcomes.Count] : new double[outcomes.Count];
        for (var o = 0; o < outcomes.Count; o++)
        {
            var column = outcomes[o].AsSpan(0, rows.Length);
            double sum = 0;
            for (var t = 0; t < rows.Length; t++) sum += rows[t] * column[t];
            marginal[o] = sum / total;
        }
        return Math.Max(0, Entropy(marginal) - given / total);
    }

    /// <summary>The entropy of the outcomes within each row: H(outcome | row), in bits.</summary>
    internal static double[] RowEntropy(IReadOnlyList<double[]> outcomes)
    {
        if (outcomes.Count == 0) return [];
        var entropy = new double[outcomes[0].Length];
        foreach (var column in outcomes)
            for (var t = 0; t < entropy.Length; t++)
                if (column[t] > 0) entropy[t] -= column[t] * Math.Log2(column[t]);
        return entropy;
    }
}
