
namespace VerdantSieve.Core.Sieving;

/// <summary>Shannon's measure of uncertainty, in bits (C. E. Shannon, 1948).</summary>
public static class Information
{
    /// <summary>The entropy of a distribution, in bits. Weights need not be normalised; all zero gives 0.</summary>
    public static double Entropy(ReadOnlySpan<double> weights)
    {
        double sum = 0,
            weighted = 0;
        foreach (var weight in weights)
        {
            if (weight <= 0)
                continue;
            sum += weight;
            weighted += weight * Math.Log2(weight);
        }
        return sum > 0 ? Math.Log2(sum) - weighted / sum : 0;
    }

    /// <summary>The bits an outcome tells about a row: H(outcome) − Σ P(row) H(outcome | row).</summary>
    /// <param name="rows">The chance of each row; need not be normalised.</param>
    /// <param name="outcomes">For each outcome, its chance given each row.</param>
    public static double Mutual(ReadOnlySpan<double> rows, IReadOnlyList<double[]> outcomes)
    {
        var total = Sums.Of(rows);
        if (total <= 0 || outcomes.Count == 0)
            return 0;
        var given = Sums.OfProducts(rows, RowEntropy(outcomes));
        Span<double> marginal = outcomes.Count <= 128 ? stackalloc double[outcomes.Count] : new double[outcomes.Count];
        for (var o = 0; o < outcomes.Count; o++)
            marginal[o] = Sums.OfProducts(rows, outcomes[o].AsSpan(0, rows.Length));
        return Math.Max(0, Entropy(marginal) - given / total);
    }

    /// <summary>The entropy of the outcomes within each row: H(outcome | row), in bits.</summary>
    internal static double[] RowEntropy(IReadOnlyList<double[]> outcomes)
    {
        if (outcomes.Count == 0)
            return [];
        var entropy = new double[outcomes[0].Length];
        foreach (var column in outcomes)
            for (var t = 0; t < entropy.Length; t++)
                if (column[t] > 0)
                    entropy[t] -= column[t] * Math.Log2(column[t]);
        return entropy;
    }
}
