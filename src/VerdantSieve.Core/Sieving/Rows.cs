using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>Who stands in which row. The columns have a row for each taxon and a last one, "none of these", which reads as the flora's own
/// average. Behind them every answer has a row for the unknown kin of each taxon: a kind the flora does not hold, like that taxon but for some
/// of its marks. These need no columns of their own, since they are a mixture of the taxon's row and the average.</summary>
internal sealed class Rows
{
    public Rows(Flora flora)
    {
        Taxa = flora.Taxa.Count;
        var genera = flora.Taxa.Select(taxon => taxon.Name.Genus).Distinct().ToList();
        GenusOf = [.. flora.Taxa.Select(taxon => genera.IndexOf(taxon.Name.Genus))];
    }

    /// <summary>How many taxa there are; they fill the first rows.</summary>
    public int Taxa { get; }

    /// <summary>The genus of each taxon, as a number.</summary>
    public IReadOnlyList<int> GenusOf { get; }

    /// <summary>The row of "none of these".</summary>
    public int None => Taxa;

    /// <summary>The rows of a column.</summary>
    public int Count => Taxa + 1;

    /// <summary>The rows of an answer.</summary>
    public int WithKin => 2 * Taxa + 1;

    /// <summary>The row of a taxon's unknown kin.</summary>
    public int KinOf(int taxon) => Taxa + 1 + taxon;

    /// <summary>The chance, in any character, that an unknown kind differs from the known one it is most like. The nearest kinds of the shipped
    /// flora differ by about this much.</summary>
    private const double KinDiffers = 0.2;

    // The flora's average is loosened towards "anything at all", so that an unknown plant may differ from all that is known.
    private const double Loosened = 0.3;

    /// <summary>The values of a column's rows, followed by those of each taxon's unknown kin.</summary>
    public double[] AddKin(double[] column)
    {
        var all = new double[WithKin];
        column.CopyTo(all, 0);
        for (var t = 0; t < Taxa; t++) all[KinOf(t)] = (1 - KinDiffers) * column[t] + KinDiffers * column[None];
        return all;
    }

    /// <summary>Fills a row for every taxon, its own values, else the mean of its genus, else of the flora; then the row of "none of these".</summary>
    /// <param name="own">The values of each taxon; null where it has none.</param>
    /// <param name="even">What is taken where nothing at all is known.</param>
    public double[][] Fill(IReadOnlyList<double[]?> own, double[] even)
    {
        var overall = Mean(own, even);
        var byGenus = Enumerable.Range(0, Taxa).GroupBy(t => GenusOf[t]).ToDictionary(group => group.Key, group => Mean([.. group.Select(t => own[t])], overall));
        return [.. own.Select((values, t) => values ?? byGenus[GenusOf[t]]), [.. overall.Select((value, i) => (1 - Loosened) * value + Loosened * even[i])]];

        static double[] Mean(IReadOnlyList<double[]?> rows, double[] otherwise)
        {
            var known = rows.Where(row => row is not null).ToArray();
            return known.Length == 0 ? otherwise : [.. Enumerable.Range(0, otherwise.Length).Select(i => known.Average(row => row![i]))];
        }
    }
}
