
namespace VerdantSieve.Core.Sieving.Columns;

/// <summary>The outcomes of a look with their chance for each row, and the entropy they have in each row.</summary>
internal sealed class ExpectedOutcomes
{
    // Single precision: half the memory to walk through, and far finer than the thousandth of a bit that looks are ordered by.
    private readonly float[][] outcomes;
    private readonly float[] rowEntropy;

    /// <summary>Outcomes given that the character applies.</summary>
    /// <param name="given">For each outcome its chance in each row of a column.</param>
    /// <param name="applies">The chance that the character applies; null where it always does.</param>
    /// <param name="rows">Who stands in which row.</param>
    public ExpectedOutcomes(IReadOnlyList<double[]> given, double[]? applies, RowLayout rows)
    {
        IReadOnlyList<double[]> all = applies is null
            ? given
            :
            [
                .. given.Select(outcome => outcome.Select((chance, row) => chance * applies[row]).ToArray()),
                applies.Select(chance => 1 - chance).ToArray(),
            ];
        outcomes = [.. all.Select(outcome => Array.ConvertAll(outcome, chance => (float)chance))];
        rowEntropy = Array.ConvertAll(Information.RowEntropy([.. all.Select(outcome => WithUnknown(outcome, rows))]), bits => (float)bits);
    }

    private static double[] WithUnknown(double[] outcome, RowLayout rows)
    {
        var all = new double[rows.All];
        outcome.CopyTo(all, 0);
        rows.AddUnknown(all);
        return all;
    }

    /// <summary>The chance of each outcome in some rows of an answer.</summary>
    /// <param name="rows">Who stands in which row.</param>
    /// <param name="of">The rows asked about.</param>
    public double[][] In(RowLayout rows, int[] of) => [.. outcomes.Select(outcome => Array.ConvertAll(of, row => rows.At(outcome, row)))];

    /// <summary>The bits the look is expected to tell about the row.</summary>
    public double Bits(RowWeights weights)
    {
        if (outcomes.Length == 0 || weights.Total <= 0)
            return 0;
        Span<double> marginal = outcomes.Length <= 128 ? stackalloc double[outcomes.Length] : new double[outcomes.Length];
        for (var o = 0; o < outcomes.Length; o++)
            marginal[o] = Sums.OfProducts(weights.OnColumn, outcomes[o].AsSpan(0, weights.OnColumn.Length));
        var given = Sums.OfProducts(weights.All, rowEntropy.AsSpan(0, weights.All.Length));
        return Told(Information.Entropy(marginal) - given / weights.Total);
    }

    /// <summary>The bits between two rows of the same chance.</summary>
    public double Between(Row one, Row other)
    {
        if (outcomes.Length == 0)
            return 0;
        Span<double> marginal = outcomes.Length <= 128 ? stackalloc double[outcomes.Length] : new double[outcomes.Length];
        for (var o = 0; o < outcomes.Length; o++)
            marginal[o] = outcomes[o][one.Index] + outcomes[o][other.Index];
        return Told(Information.Entropy(marginal) - (rowEntropy[one.Index] + rowEntropy[other.Index]) / 2);
    }

    // What single precision can't tell from nothing is nothing, and what it can't tell apart is as good.
    private static double Told(double bits) => Math.Round(Math.Max(0, bits), 5);
}
