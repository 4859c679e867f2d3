using System.Numerics.Tensors;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>Who stands in which row. The columns have a row for each taxon and a last one, "none of these", which reads as the flora's own
/// average. Behind them every answer has a row for the unknown kin of each taxon: a kind the flora does not hold, like that taxon but for
/// some
/// of its marks. These need no columns of their own, since they are a mixture of the taxon's row and the average.</summary>
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
        rowOf = flora.Taxa.Select((taxon, at) => (taxon.Name, at)).ToDictionary(pair => pair.Name, pair => new Row(pair.at));
    }

    /// <summary>How many taxa there are; they fill the first rows, in the order of the flora.</summary>
    public int Taxa { get; }

    /// <summary>The genus of each taxon, as a number.</summary>
    public IReadOnlyList<int> GenusOf { get; }

    /// <summary>The row of "none of these".</summary>
    public Row None => new(Taxa);

    /// <summary>The rows of a column.</summary>
    public int Count => Taxa + 1;

    /// <summary>The rows of an answer.</summary>
    public int WithKin => 2 * Taxa + 1;

    /// <summary>The row of a taxon.</summary>
    public Row Of(Taxon taxon) => rowOf[taxon.Name];

    /// <summary>Whether the row is a taxon's.</summary>
    public bool IsTaxon(Row row) => row.Index < Taxa;

    /// <summary>The row of the unknown kin of the taxon in a row.</summary>
    public Row KinOf(Row taxon) => new(Taxa + 1 + taxon.Index);

    /// <summary>The chance, in any character, that an unknown kind differs from the known one it is most like. The nearest kinds of the
    /// shipped
    /// flora differ by about this much.</summary>
    private const double KinDiffers = 0.2;

    // The flora's average is loosened towards "anything at all", so that an unknown plant may differ from all that is known.
    private const double Loosened = 0.3;

    /// <summary>Works out the rows of each taxon's unknown kin from those of a column.</summary>
    /// <param name="rows">Room for all rows of an answer, the first of which hold the column.</param>
    public void AddKin(Span<double> rows)
    {
        var kin = rows[Count..WithKin];
        TensorPrimitives.Multiply(rows[..Taxa], 1 - KinDiffers, kin);
        TensorPrimitives.Add(kin, KinDiffers * rows[None.Index], kin);
    }

    /// <summary>The weights of an answer's rows laid on those of a column: what a sum over all rows comes to where it is linear in the
    /// column.</summary>
    public double[] FoldKin(ReadOnlySpan<double> weights)
    {
        var folded = weights[..Count].ToArray();
        var kin = weights[Count..];
        if (kin.Length == 0)
            return folded;
        for (var t = 0; t < Taxa; t++)
            folded[t] += (1 - KinDiffers) * kin[t];
        folded[None.Index] += KinDiffers * TensorPrimitives.Sum(kin);
        return folded;
    }

    /// <summary>Fills a row for every taxon, its own values, else the mean of its genus, else of the flora; then the row of "none of
    /// these".</summary>
    /// <param name="own">The values of each taxon; null where it has none.</param>
    /// <param name="even">What is taken where nothing at all is known.</param>
    public double[][] Fill(IReadOnlyList<double[]?> own, double[] even)
    {
        var overall = Mean(own, even);
        var byGenus = Enumerable
            .Range(0, Taxa)
            .GroupBy(t => GenusOf[t])
            .ToDictionary(genus => genus.Key, genus => Mean([.. genus.Select(t => own[t])], overall));
        return
        [
            .. own.Select((values, t) => values ?? byGenus[GenusOf[t]]),
            [.. overall.Select((value, i) => (1 - Loosened) * value + Loosened * even[i])],
        ];

        static double[] Mean(IReadOnlyList<double[]?> rows, double[] otherwise)
        {
            var known = rows.Where(row => row is not null).ToArray();
            return known.Length == 0 ? otherwise : [.. Enumerable.Range(0, otherwise.Length).Select(i => known.Average(row => row![i]))];
        }
    }
}
