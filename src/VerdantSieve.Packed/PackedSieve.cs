using System.Numerics.Tensors;

namespace VerdantSieve.Packed;

/// <summary>The sieve for floras of many thousand taxa whose characters all have states: ranks, and finds what is most worth looking at.
/// One for each thread; nothing is allocated once it is made.</summary>
public sealed class PackedSieve : IDisposable
{
    // Rows that show the same states in the first characters lie together, so that most of them fall out of sight together.
    private const int SortedBy = 6;

    private readonly PackedColumns columns;
    private readonly int[] taxonOf; // of each row
    private readonly float[] weights,
        bits;
    private readonly PackedWorkspace workspace;

    /// <summary>Packs a flora.</summary>
    /// <param name="taxa">How many taxa.</param>
    /// <param name="states">How many states each character has, in the order in which characters are usually read.</param>
    /// <param name="shown">What each taxon shows.</param>
    /// <param name="slip">The chance that the look to come is misread.</param>
    public PackedSieve(int taxa, IReadOnlyList<int> states, Shown shown, double slip = 0.1)
    {
        columns = new PackedColumns(taxa, states, slip);
        taxonOf = Order(taxa, states, shown);
        var chances = new double[states.Max()];
        for (var row = 0; row < taxa; row++)
            for (var c = 0; c < states.Count; c++)
            {
                var own = chances.AsSpan(0, states[c]);
                shown(taxonOf[row], c, own);
                columns.Set(c, row, own);
            }
        weights = new float[columns.PaddedRows];
        bits = new float[states.Count];
        workspace = columns.MakeWorkspace();
    }

    /// <summary>What the packed flora takes up, in bytes.</summary>
    public long Size => columns.Size + taxonOf.Length * sizeof(int) + weights.Length * sizeof(float);

    /// <summary>Ranks all taxa by Bayes' rule from even chances, and keeps the result for <see cref="Bits"/> and
    /// <see cref="Chance"/>.</summary>
    /// <returns>Whether any taxon fits at all; if none does, all chances are 0.</returns>
    public bool Rank(ReadOnlySpan<PackedReading> readings) => columns.Rank(readings, weights);

    /// <summary>Sets the chances of all taxa instead of ranking them, such as those of a place.</summary>
    /// <param name="chances">One a taxon, adding up to 1.</param>
    public void Set(ReadOnlySpan<float> chances)
    {
        weights.AsSpan(taxonOf.Length).Clear();
        for (var row = 0; row < taxonOf.Length; row++)
            weights[row] = chances[taxonOf[row]];
    }

    /// <summary>The bits each character is expected to tell, after the last ranking.</summary>
    public ReadOnlySpan<float> Bits()
    {
        columns.Bits(weights, bits, workspace);
        return bits;
    }

    /// <summary>The likeliest taxon after the last ranking, and its chance.</summary>
    public (int Taxon, float Chance) Best() =>
        TensorPrimitives.IndexOfMax<float>(weights) is var row ? (taxonOf[row], weights[row]) : default;

    /// <summary>The chance of every taxon after the last ranking.</summary>
    /// <param name="chances">The answer, one a taxon.</param>
    public void Chance(Span<float> chances)
    {
        for (var row = 0; row < taxonOf.Length; row++)
            chances[taxonOf[row]] = weights[row];
    }

    private static int[] Order(int taxa, IReadOnlyList<int> states, Shown shown)
    {
        var keys = new long[taxa];
        var chances = new double[states.Max()];
        for (var taxon = 0; taxon < taxa; taxon++)
            for (var c = 0; c < Math.Min(SortedBy, states.Count); c++)
            {
                var own = chances.AsSpan(0, states[c]);
                shown(taxon, c, own);
                keys[taxon] = keys[taxon] * 256 + TensorPrimitives.IndexOfMax<double>(own);
            }
        var order = Enumerable.Range(0, taxa).ToArray();
        Array.Sort(keys, order);
        return order;
    }

    /// <inheritdoc/>
    public void Dispose() => columns.Dispose();
}
