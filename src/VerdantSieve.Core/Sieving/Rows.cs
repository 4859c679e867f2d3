using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>Who stands in which row of the columns: the taxa, then for each genus "another of its kind that is not in this flora", and last
/// "none of these", which reads as the flora's own average.</summary>
internal sealed class Rows
{
    public Rows(Flora flora)
    {
        Taxa = flora.Taxa.Count;
        Genera = [.. flora.Taxa.Select(taxon => taxon.Name.Genus).Distinct()];
        Families = [.. Genera.Select(genus => flora.Taxa.First(taxon => taxon.Name.Genus == genus).Family)];
        var rowOfGenus = Genera.Select((genus, i) => (genus, i)).ToDictionary(pair => pair.genus, pair => pair.i);
        GenusOf = [.. flora.Taxa.Select(taxon => rowOfGenus[taxon.Name.Genus])];
    }

    /// <summary>How many taxa there are; they fill the first rows.</summary>
    public int Taxa { get; }

    /// <summary>The genera; the stranger of genus i stands in row <see cref="Taxa"/> + i.</summary>
    public IReadOnlyList<string> Genera { get; }

    /// <summary>The family of each genus.</summary>
    public IReadOnlyList<string> Families { get; }

    /// <summary>The genus of each taxon, as an index into <see cref="Genera"/>.</summary>
    public IReadOnlyList<int> GenusOf { get; }

    /// <summary>The row of "none of these".</summary>
    public int None => Taxa + Genera.Count;

    /// <summary>All rows.</summary>
    public int Count => None + 1;

    // An unknown relative is taken to be half like its genus and half like anything.
    private const double LikeItsGenus = 0.55;
    // The flora's average is loosened towards "anything at all", so that an unknown plant may differ from all that is known.
    private const double Loosened = 0.3;

    /// <summary>Fills a row for every taxon, its own values, else the mean of its genus, else of the flora; then the strangers' rows.</summary>
    /// <param name="own">The values of each taxon; null where it has none.</param>
    /// <param name="even">What is taken where nothing at all is known.</param>
    public double[][] Fill(IReadOnlyList<double[]?> own, double[] even)
    {
        var overall = Mean(own, even);
        var byGenus = Enumerable.Range(0, Taxa).GroupBy(t => GenusOf[t]).ToDictionary(group => group.Key, group => Mean([.. group.Select(t => own[t])], overall));
        var none = Mix(overall, even, 1 - Loosened);
        return [.. own.Select((values, t) => values ?? byGenus[GenusOf[t]]), .. Enumerable.Range(0, Genera.Count).Select(g => Mix(byGenus[g], none, LikeItsGenus)), none];

        static double[] Mean(IReadOnlyList<double[]?> rows, double[] otherwise)
        {
            var known = rows.Where(row => row is not null).ToArray();
            return known.Length == 0 ? otherwise : [.. Enumerable.Range(0, otherwise.Length).Select(i => known.Average(row => row![i]))];
        }

        static double[] Mix(double[] a, double[] b, double share) => [.. a.Select((value, i) => share * value + (1 - share) * b[i])];
    }
}
