using System.Numerics.Tensors;
using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using System.Runtime.Intrinsics;
using System.Runtime.Intrinsics.X86;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Packed;

/// <summary>The chances of a flora of many thousand taxa, one byte a cell, for ranking and for the information of every character in one
/// pass.</summary>
/// <remarks>
/// <para>A cell is 255 p, rounded so that the cells of a row add up to 255 and the last state needs no cell of its own. The chance of a
/// state is off by
/// at most 1/255, since the running sum is off by at most half of that at either side of it. Beside the states every character has a cell
/// for the entropy of a fairly sure look,
/// round(255 H / log2 states).</para>
/// <para>Cells lie in bands of <see cref="BandCells"/>, each band in blocks of <see cref="BlockRows"/> rows, and in a block the rows of one
/// cell stand
/// together: the information pass reads all in the order of memory, and ranking reads runs of whole cache lines. Each block has the mean of
/// its cells beside it.
/// A block whose rows weigh nearly the same, be it next to nothing, is read by its means alone: what it adds to the distribution over
/// states is then
/// off by no more than δ = ½ Σ |weight − mean weight|, in total variation. Blocks are read so, the smallest δ first, while all δ together
/// stay within
/// <see cref="Tolerance"/>; the entropy of the distribution is then off by no more than h(δ) + δ log2(states − 1) (K. M. R. Audenaert
/// 2007), and before
/// anything is read, with even chances, by nothing.</para>
/// </remarks>
public sealed unsafe class PackedColumns : IDisposable
{
    /// <summary>How many rows lie together.</summary>
    public const int BlockRows = 64;

    /// <summary>How many cells make a band: so many that their sums stay in the nearest cache. An odd number, since the steps of a power of
    /// two from
    /// block to block would all fall on the same few places of a cache.</summary>
    public const int BandCells = 251;

    /// <summary>The most that a distribution over states may be off, in total variation, for blocks that are read by their means.</summary>
    public const float Tolerance = 0.02f;

    private const float Scale = 1f / 255;

    private readonly int[] states; // of each character
    private readonly int[] firstCell; // of each character; its entropy stands behind its states
    private readonly int cells,
        blocks;
    private readonly byte* bytes;
    private readonly float[] means; // block, cell
    private readonly float slip;
    private bool disposed;

    /// <summary>Makes room for a flora.</summary>
    /// <param name="rows">How many taxa; at least 1.</param>
    /// <param name="states">How many states each character has; each at least 2.</param>
    /// <param name="slip">The chance that a look is misread, evenly to the other states.</param>
    public PackedColumns(int rows, IReadOnlyList<int> states, double slip)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(rows, 1);
        (Rows, this.states) = (rows, [.. states]);
        this.slip = (float)slip;
        firstCell = new int[states.Count];
        for (var c = 0; c < states.Count; c++)
        {
            firstCell[c] = cells;
            cells += states[c];
        }
        blocks = (rows + BlockRows - 1) / BlockRows;
        bytes = LargePages.Allocate((nuint)blocks * (nuint)cells * BlockRows);
        means = new float[blocks * cells];
    }

    /// <summary>How many taxa there are.</summary>
    public int Rows { get; }

    /// <summary>The rows with room for whole blocks: the length of the weights that the methods take.</summary>
    public int PaddedRows => blocks * BlockRows;

    /// <summary>How many characters there are.</summary>
    public int Characters => states.Length;

    /// <summary>What all cells and means take up, in bytes.</summary>
    public long Size => (long)blocks * cells * (BlockRows + sizeof(float));

    /// <summary>Writes what one taxon shows for one character.</summary>
    /// <param name="character">The character.</param>
    /// <param name="row">The taxon.</param>
    /// <param name="chances">The chance of each of its states; they add up to 1.</param>
    public void Set(int character, int row, ReadOnlySpan<double> chances)
    {
        ArgumentOutOfRangeException.ThrowIfNotEqual(chances.Length, states[character]);
        ArgumentOutOfRangeException.ThrowIfGreaterThanOrEqual((uint)row, (uint)Rows);
        Span<double> read = stackalloc double[chances.Length];
        // Rounded so that the cells, with the one left out, add up to 255.
        var (sum, written) = (0.0, 0);
        for (var s = 0; s < chances.Length - 1; s++)
        {
            sum += chances[s] * 255;
            var cell = (int)Math.Round(sum) - written;
            written += cell;
            Cell(firstCell[character] + s, row) = (byte)cell;
            means[row / BlockRows * cells + firstCell[character] + s] += cell / (float)BlockRows;
        }
        for (var s = 0; s < chances.Length; s++)
            read[s] = Misread(chances[s], chances.Length);
        var entropy = Math.Round(255 * Information.Entropy(read) / Math.Log2(chances.Length));
        Cell(firstCell[character] + chances.Length - 1, row) = (byte)entropy;
        means[row / BlockRows * cells + firstCell[character] + chances.Length - 1] += (float)entropy / BlockRows;
    }

    private double Misread(double chance, int count) => chance * (1 - slip) + (1 - chance) * slip / (count - 1);

    private ref byte Cell(int cell, int row) => ref At(row / BlockRows, cell)[row % BlockRows];

    // Where the rows of a block stand for a cell.
    private byte* At(int block, int cell)
    {
        var (band, within) = (cell / BandCells * BandCells, cell % BandCells);
        return bytes + ((long)band * blocks + (long)block * InBand(band) + within) * BlockRows;
    }

    // The cells of the band that begins with this cell; the last band may be short.
    private int InBand(int band) => Math.Min(BandCells, cells - band);

    /// <summary>Ranks the rows by Bayes' rule from even chances: Π P(reading | row), made to add up to 1. A chance below 1e-19 may come out
    /// as 0.</summary>
    /// <param name="readings">What was read; at most <see cref="MostReadings"/>.</param>
    /// <param name="weights">The answer, <see cref="PaddedRows"/> of them; 0 for the rows that pad.</param>
    /// <returns>Whether anything fits at all; if nothing does, which takes readings that are never slips, all weights are 0.</returns>
    public bool Rank(ReadOnlySpan<PackedReading> readings, Span<float> weights)
    {
        ArgumentOutOfRangeException.ThrowIfNotEqual(weights.Length, PaddedRows);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(readings.Length, MostReadings);
        ObjectDisposedException.ThrowIf(disposed, this);
        var terms = stackalloc Term[readings.Length];
        for (var r = 0; r < readings.Length; r++)
            terms[r] = TermOf(readings[r]);
        float total;
        fixed (float* start = weights)
        {
            total = RankBlocks(terms, Math.Min(readings.Length, AtOnce), start, anew: true);
            // The best of each round is brought back to 1, so that no product falls below what a float can hold.
            for (var done = AtOnce; done < readings.Length && Rescaled(weights); done += AtOnce)
                total = RankBlocks(terms + done, Math.Min(readings.Length - done, AtOnce), start, anew: false);
        }
        total += TensorPrimitives.Sum<float>(weights[(Rows / BlockRows * BlockRows)..Rows]);
        weights[Rows..].Clear();
        if (!(total > 0))
        {
            weights.Clear();
            return false;
        }
        TensorPrimitives.Multiply(weights, 1 / total, weights);
        return true;
    }

    /// <summary>So many readings can be ranked at once: more than anybody makes.</summary>
    public const int MostReadings = 60;

    // So many are multiplied before the weights are rescaled: with slips of one in fifty among a hundred states their product still fits a
    // float.
    private const int AtOnce = 8;

    private bool Rescaled(Span<float> weights)
    {
        var best = TensorPrimitives.Max<float>(weights[..Rows]);
        if (!(best > 0))
            return false;
        TensorPrimitives.Multiply(weights, 1 / best, weights);
        return true;
    }

    // One reading: the factor of a row is Low + Slope × the sum of its cells.
    private struct Term
    {
        public byte* At;
        public long Stride;
        public int Cells;
        public float Low,
            Slope;
    }

    private Term TermOf(PackedReading reading)
    {
        var others = states[reading.Character] - 1;
        var wrong = reading.SlipRate / others;
        var gain = (1 - reading.SlipRate - wrong) * Scale;
        // The last state has what the others leave.
        var stored = reading.State < others;
        var cell = firstCell[reading.Character] + (stored ? reading.State : 0);
        return new Term
        {
            At = At(0, cell),
            Stride = Stride(cell),
            Cells = stored ? 1 : others,
            Low = stored ? wrong : 1 - reading.SlipRate,
            Slope = stored ? gain : -gain,
        };
    }

    // Gives the sum of the whole blocks; the last may hold rows that are no taxa.
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private float RankBlocks(Term* terms, int count, float* weights, bool anew)
    {
        // So many blocks ahead are asked for, since the processor's own prefetching ends at the page.
        const int ahead = 8;
        var whole = Rows / BlockRows;
        var (total, second) = (Vector512<float>.Zero, Vector512<float>.Zero);
        for (var block = 0; block < blocks; block++, weights += BlockRows)
        {
            if (Sse.IsSupported)
                for (var r = 0; r < count; r++)
                    Sse.Prefetch0(terms[r].At + (block + ahead) * terms[r].Stride);
            // Two vectors at a time, so that one need not wait for the other.
            for (var row = 0; row < BlockRows; row += 2 * Vector512<float>.Count)
            {
                var a = anew ? Vector512<float>.One : Vector512.Load(weights + row);
                var b = anew ? Vector512<float>.One : Vector512.Load(weights + row + Vector512<float>.Count);
                for (var term = terms; term < terms + count; term++)
                {
                    var at = term->At + block * term->Stride + row;
                    var (sumA, sumB) = (Floats(at), Floats(at + Vector512<float>.Count));
                    for (var cell = 1; cell < term->Cells; cell++)
                    {
                        at += BlockRows;
                        sumA += Floats(at);
                        sumB += Floats(at + Vector512<float>.Count);
                    }
                    var (low, slope) = (Vector512.Create(term->Low), Vector512.Create(term->Slope));
                    a *= Vector512.FusedMultiplyAdd(sumA, slope, low);
                    b *= Vector512.FusedMultiplyAdd(sumB, slope, low);
                }
                a.Store(weights + row);
                b.Store(weights + row + Vector512<float>.Count);
                if (block == whole)
                    continue;
                total += a;
                second += b;
            }
        }
        return Vector512.Sum(total + second);
    }

    // From a cell's rows in one block to its rows in the next.
    private long Stride(int cell) => (long)InBand(cell / BandCells * BandCells) * BlockRows;

    /// <summary>A workspace for <see cref="Bits"/>; one for each thread that asks.</summary>
    public PackedWorkspace MakeWorkspace() => new(cells, blocks);

    /// <summary>The bits that each character is expected to tell: H(look) − Σ P(row) H(look | row), for looks misread as often as was said
    /// when
    /// the columns were made.</summary>
    /// <param name="weights">The chances of the rows, <see cref="PaddedRows"/> of them, adding up to 1.</param>
    /// <param name="bits">The answer, one a character.</param>
    /// <param name="workspace">From <see cref="MakeWorkspace"/>.</param>
    public void Bits(ReadOnlySpan<float> weights, Span<float> bits, PackedWorkspace workspace)
    {
        ArgumentOutOfRangeException.ThrowIfNotEqual(weights.Length, PaddedRows);
        ArgumentOutOfRangeException.ThrowIfNotEqual(bits.Length, Characters);
        Sums(weights, workspace);
        Span<double> read = stackalloc double[256];
        for (var c = 0; c < states.Length; c++)
        {
            var (first, count) = (firstCell[c], states[c]);
            var last = 1.0;
            for (var s = 0; s < count - 1; s++)
            {
                var chance = workspace.Sums[first + s] * Scale;
                last -= chance;
                read[s] = Misread(chance, count);
            }
            read[count - 1] = Misread(Math.Max(0, last), count);
            var given = workspace.Sums[first + count - 1] * Scale * Math.Log2(count);
            bits[c] = (float)Math.Max(0, Information.Entropy(read[..count]) - given);
        }
    }

    // Σ weight × cell over all rows, for every cell.
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private void Sums(ReadOnlySpan<float> weights, PackedWorkspace workspace)
    {
        var sums = workspace.Sums.AsSpan();
        sums.Clear();
        var exact = Uneven(weights, workspace);
        fixed (
            float* start = weights,
                lanes = workspace.Lanes
        )
        fixed (int* chosen = workspace.Blocks)
        {
            for (var band = 0; band < cells; band += BandCells)
            {
                var inBand = InBand(band);
                new Span<float>(lanes, inBand * PackedWorkspace.LanesPerCell).Clear();
                for (var i = 0; i < exact; i++)
                    AddBlock(At(chosen[i], band), inBand, start + (long)chosen[i] * BlockRows, lanes);
                for (var cell = 0; cell < inBand; cell++)
                    sums[band + cell] += TensorPrimitives.Sum<float>(
                        new ReadOnlySpan<float>(lanes + cell * PackedWorkspace.LanesPerCell, PackedWorkspace.LanesPerCell)
                    );
            }
        }
    }

    // Puts the blocks that must be read cell by cell first, in the order of memory, and adds the others by their means.
    private int Uneven(ReadOnlySpan<float> weights, PackedWorkspace workspace)
    {
        for (var block = 0; block < blocks; block++)
        {
            workspace.Blocks[block] = block;
            // Rows that pad the last block show nothing at all, so that it must be read.
            workspace.Errors[block] =
                (block + 1) * BlockRows > Rows ? float.MaxValue : Unevenness(weights.Slice(block * BlockRows, BlockRows));
        }
        Array.Sort(workspace.Errors, workspace.Blocks);
        var (even, left) = (0, Tolerance);
        for (; even < blocks && (left -= workspace.Errors[even]) >= 0; even++)
        {
            var block = workspace.Blocks[even];
            var weight = TensorPrimitives.Sum(weights.Slice(block * BlockRows, BlockRows));
            if (weight > 0)
                TensorPrimitives.MultiplyAdd(means.AsSpan(block * cells, cells), weight, workspace.Sums, workspace.Sums);
        }
        Array.Copy(workspace.Blocks, even, workspace.Blocks, 0, blocks - even);
        Array.Sort(workspace.Blocks, 0, blocks - even);
        return blocks - even;
    }

    // ½ Σ |weight − mean|.
    private static float Unevenness(ReadOnlySpan<float> weights)
    {
        var (a, b, c, d) = (
            Vector512.Create(weights),
            Vector512.Create(weights[16..]),
            Vector512.Create(weights[32..]),
            Vector512.Create(weights[48..])
        );
        var mean = Vector512.Create(Vector512.Sum(a + b + c + d) / BlockRows);
        return Vector512.Sum(Vector512.Abs(a - mean) + Vector512.Abs(b - mean) + Vector512.Abs(c - mean) + Vector512.Abs(d - mean)) / 2;
    }

    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private static void AddBlock(byte* at, int count, float* weights, float* lanes)
    {
        var (w0, w1, w2, w3) = (
            Vector512.Load(weights),
            Vector512.Load(weights + 16),
            Vector512.Load(weights + 32),
            Vector512.Load(weights + 48)
        );
        for (var cell = 0; cell < count; cell++, at += BlockRows, lanes += PackedWorkspace.LanesPerCell)
        {
            var a = Vector512.FusedMultiplyAdd(Floats(at), w0, Vector512.Load(lanes));
            var b = Floats(at + 16) * w1;
            a = Vector512.FusedMultiplyAdd(Floats(at + 32), w2, a);
            b = Vector512.FusedMultiplyAdd(Floats(at + 48), w3, b);
            (a + b).Store(lanes);
        }
    }

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static Vector512<float> Floats(byte* at)
    {
        if (Avx512F.IsSupported)
            return Vector512.ConvertToSingle(Avx512F.ConvertToVector512Int32(Vector128.Load(at)));
        var (lower, upper) = Vector128.Widen(Vector128.Load(at));
        return Vector512.Create(Wide(lower), Wide(upper));

        static Vector256<float> Wide(Vector128<ushort> half) =>
            Vector256.ConvertToSingle(Vector256.Create(Vector128.WidenLower(half), Vector128.WidenUpper(half)).AsInt32());
    }

    /// <inheritdoc/>
    public void Dispose()
    {
        if (disposed)
            return;
        disposed = true;
        NativeMemory.AlignedFree(bytes);
        GC.SuppressFinalize(this);
    }

    /// <summary>Frees the cells.</summary>
    ~PackedColumns() => Dispose();
}
