using System.Numerics.Tensors;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>Who stands in which row. The columns have a row for each taxon and a last one, the flora's own average. Behind them every
/// answer has two rows for each taxon: its unknown kin, a kind the flora does not hold that is like the taxon but for some of its marks;
/// and
/// a stranger that is like it in some marks only. "None of these" is all strangers together, so that its likelihood is the mean of those of
/// the kinds. These rows need no columns of their own, since they are mixtures of the taxon's row and the average.</summary>
internal sealed class RowLayout
{
    private readonly Dictionary<ScientificName, Row> rowOf;

    public RowLayout(Flora flora)
    {
        Taxa = flora.Taxa.Count;
        var genera = flora
            .Taxa.Select(taxon => taxon.Name.Genus)
            .Distinct()
            .Select((genus, at) => (genus, at))
            .ToDictionary(pair => pair.genus, pair => pair.at);
        GenusOf = [.. flora.Taxa.Select(taxon => genera[taxon.Name.Genus])];
        var kinds = flora.Taxa.CountBy(taxon => taxon.Name.Genus).ToDictionary();
        Missing = [.. flora.Taxa.Select(taxon => Share(flora.About.MissingKinds, taxon.Name.Genus, kinds[taxon.Name.Genus]))];
        rowOf = flora.Taxa.Select((taxon, at) => (taxon.Name, at)).ToDictionary(pair => pair.Name, pair => new Row(pair.at));
    }

    /// <summary>How many taxa there are; they fill the first rows, in the order of the flora.</summary>
    public int Taxa { get; }

    /// <summary>The genus of each taxon, as a number.</summary>
    public IReadOnlyList<int> GenusOf { get; }

    /// <summary>For each taxon how many kinds its genus lacks here for each it has, where 1 is the usual measure of it.</summary>
    public IReadOnlyList<double> Missing { get; }

    // More than so many for each that is there make no difference, since what is lacking is rarer than what is there.
    private const double MostMissing = 3;

    private static double Share(IReadOnlyDictionary<string, int> missing, string genus, int kinds) =>
        missing.TryGetValue(genus, out var number) ? Math.Min(MostMissing, (double)number / kinds) : 1;

    /// <summary>The row of the flora's average.</summary>
    public Row Average => new(Taxa);

    /// <summary>The rows of a column.</summary>
    public int Count => Taxa + 1;

    /// <summary>The rows of an answer.</summary>
    public int All => 3 * Taxa + 1;

    /// <summary>The row of a taxon.</summary>
    public Row Of(Taxon taxon) => rowOf[taxon.Name];

    /// <summary>The row of the taxon of this name.</summary>
    public Row Of(ScientificName name) => rowOf[name];

    /// <summary>Whether the row is a taxon's.</summary>
    public bool IsTaxon(Row row) => row.Index < Taxa;

    /// <summary>The row of the unknown kin of the taxon in a row.</summary>
    public Row KinOf(Row taxon) => new(Taxa + 1 + taxon.Index);

    /// <summary>The row of the stranger that is like the taxon in a row.</summary>
    public Row StrangerLike(Row taxon) => new(2 * Taxa + 1 + taxon.Index);

    // The chance, in any character, that an unknown kind differs from the known one it is most like (the nearest kinds of the shipped flora
    // differ by about the first), and that a stranger does.
    private const double KinDiffer = 0.2,
        StrangersDiffer = 0.45;

    // The flora's average is loosened a little towards "anything at all", since a plant may show what no kind of the flora does.
    private const double Loosened = 0.05;

    /// <summary>Works out the rows of kin and strangers from those of a column.</summary>
    /// <param name="rows">Room for all rows of an answer, the first of which hold the column.</param>
    public void AddUnknown(Span<double> rows)
    {
        Mix(rows, KinDiffer, rows[Count..(Count + Taxa)]);
        Mix(rows, StrangersDiffer, rows[(Count + Taxa)..All]);
    }

    /// <summary>What one row of an answer comes to, from a column.</summary>
    public double At(ReadOnlySpan<float> column, int row)
    {
        if (row < Count)
            return column[row];
        var (taxon, differ) = row < Count + Taxa ? (row - Count, KinDiffer) : (row - Count - Taxa, StrangersDiffer);
        return (1 - differ) * column[taxon] + differ * column[Average.Index];
    }

    private void Mix(Span<double> rows, double differ, Span<double> unknown)
    {
        TensorPrimitives.Multiply(rows[..Taxa], 1 - differ, unknown);
        TensorPrimitives.Add(unknown, differ * rows[Average.Index], unknown);
    }

    /// <summary>Lays the weights of an answer's rows on those of a column: what a sum over all rows comes to where it is linear in the
    /// column.</summary>
    /// <param name="weights">The weight of each row of an answer, or of a column.</param>
    /// <param name="folded">Room for the rows of a column; it may be the first of the weights themselves.</param>
    public void FoldUnknown(ReadOnlySpan<double> weights, Span<double> folded)
    {
        weights[..Count].CopyTo(folded);
        if (weights.Length == Count)
            return;
        Fold(folded, KinDiffer, weights[Count..(Count + Taxa)]);
        Fold(folded, StrangersDiffer, weights[(Count + Taxa)..]);
    }

    private void Fold(Span<double> folded, double differ, ReadOnlySpan<double> unknown)
    {
        TensorPrimitives.MultiplyAdd(unknown, 1 - differ, folded[..Taxa], folded);
        folded[Average.Index] += differ * Sums.Of(unknown);
    }

    /// <summary>Fills a row for every taxon, its own values, else the mean of its genus in so far as its kinds have values, and of the
    /// flora for the rest; then that of the average.</summary>
    /// <remarks>What is noted of one birch alone is noted since it sets that one apart, and is no mark of the others.</remarks>
    /// <param name="own">The values of each taxon; null where it has none.</param>
    /// <param name="even">What is taken where nothing at all is known.</param>
    public double[][] Fill(IReadOnlyList<double[]?> own, double[] even)
    {
        var overall = Mean(own, even);
        var byGenus = ByGenus(own, overall);
        var known = Enumerable.Range(0, Taxa).GroupBy(t => GenusOf[t]).ToDictionary(genus => genus.Key, Known);
        return
        [
            .. own.Select((values, t) => values ?? Kin(GenusOf[t])),
            [.. overall.Select((value, i) => (1 - Loosened) * value + Loosened * even[i])],
        ];

        double Known(IEnumerable<int> genus) => genus.Average(t => own[t] is null ? 0 : 1);
        double[] Kin(int genus) => [.. overall.Select((value, i) => known[genus] * byGenus[genus][i] + (1 - known[genus]) * value)];
    }

    /// <summary>What each taxon may show where its score leaves something out: half as its genus does, half as the flora at large; then
    /// the row of the average.</summary>
    /// <param name="own">The values of each taxon; null where it has none.</param>
    /// <param name="even">What is taken where nothing at all is known.</param>
    public double[][] NearestKin(IReadOnlyList<double[]?> own, double[] even)
    {
        var average = Fill(own, even)[^1];
        var byGenus = ByGenus(own, average);
        var kin = byGenus.ToDictionary(genus => genus.Key, genus => genus.Value.Select((value, i) => (value + average[i]) / 2).ToArray());
        return [.. GenusOf.Select(genus => kin[genus]), average];
    }

    private Dictionary<int, double[]> ByGenus(IReadOnlyList<double[]?> own, double[] otherwise) =>
        Enumerable
            .Range(0, Taxa)
            .GroupBy(t => GenusOf[t])
            .ToDictionary(genus => genus.Key, genus => Mean([.. genus.Select(t => own[t])], otherwise));

    private static double[] Mean(IReadOnlyList<double[]?> rows, double[] otherwise)
    {
        var known = rows.Where(row => row is not null).ToArray();
        return known.Length == 0 ? otherwise : [.. Enumerable.Range(0, otherwise.Length).Select(i => known.Average(row => row![i]))];
    }
}
