using System.Numerics.Tensors;

namespace VerdantSieve.Core.Sieving.Columns;

/// <summary>The chances of rows, made ready once for asking many looks what they would tell.</summary>
internal sealed class RowWeights
{
    private readonly float[] all,
        onColumn;

    /// <summary>Makes chances ready.</summary>
    /// <param name="chances">The chance of each row of an answer, or of the taxa alone; they need not add up to 1.</param>
    /// <param name="rows">Who stands in which row.</param>
    public RowWeights(ReadOnlySpan<double> chances, RowLayout rows)
    {
        all = new float[chances.Length];
        TensorPrimitives.ConvertTruncating(chances, all);
        onColumn = new float[Math.Min(chances.Length, rows.Count)];
        if (chances.Length < rows.Count)
            TensorPrimitives.ConvertTruncating(chances, onColumn);
        else
        {
            var folded = new double[rows.Count];
            rows.FoldUnknown(chances, folded);
            TensorPrimitives.ConvertTruncating<double, float>(folded, onColumn);
        }
        Total = Sums.Of(chances);
    }

    /// <summary>What the chances add up to.</summary>
    public double Total { get; }

    /// <summary>The chance of each row.</summary>
    public ReadOnlySpan<float> All => all;

    /// <summary>The chances laid on the rows of a column.</summary>
    public ReadOnlySpan<float> OnColumn => onColumn;
}
