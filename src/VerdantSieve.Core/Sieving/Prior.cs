using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>How likely a kind is before anything is read: by range, abundance and setting. The values are choices, written up in docs/method.md.</summary>
public static class Prior
{
    private const double Native = 1, Introduced = 0.4;
    private const double WrongSetting = 0.06;
    private const double Hybrid = 0.1, HybridWithoutParents = 0.01;

    // By how many borders lie between the place and the nearest country the kind is native to.
    private static readonly double[] ByBorders = [Native, 0.1, 0.04, 0.02];
    private const double Elsewhere = 0.01;
    private const double KinShare = 2.0 / 3;

    /// <summary>The chance of every row.</summary>
    /// <remarks>Of the chance of strangers a third goes to "none of these", the rest to unknown kin of the taxa, in proportion to these.</remarks>
    internal static double[] Of(Flora flora, Rows rows, SieveModel model, string? region, Setting? setting)
    {
        var borders = region is null ? null : Regions.BordersFrom(region);
        var weights = flora.Taxa.Select(taxon => Weight(taxon, region, borders, setting) * OfParents(taxon, flora, region)).ToArray();
        var sum = weights.Sum();
        var prior = new double[rows.WithKin];
        var strangers = setting == Setting.Planted ? Math.Min(0.5, 2 * model.Strangers) : model.Strangers;
        for (var t = 0; t < rows.Taxa; t++)
        {
            prior[t] = weights[t] / sum * (1 - strangers);
            prior[rows.KinOf(t)] = weights[t] / sum * strangers * KinShare;
        }
        prior[rows.None] = strangers * (1 - KinShare);
        return prior;
    }

    private static double Weight(Taxon taxon, string? region, IReadOnlyDictionary<string, int>? borders, Setting? setting) =>
        (region is null ? 1 : ByRange(taxon, region, borders!)) * (setting is { } here && !taxon.Settings.Contains(here) ? WrongSetting : 1);

    private static double ByRange(Taxon taxon, string region, IReadOnlyDictionary<string, int> borders)
    {
        var abundance = taxon.AbundanceIn(region).Weight();
        var nearest = taxon.Distribution.Native.Select(code => borders.GetValueOrDefault(code, int.MaxValue)).DefaultIfEmpty(int.MaxValue).Min();
        var native = nearest < ByBorders.Length ? ByBorders[nearest] : Elsewhere;
        return abundance * (taxon.Distribution.Introduced.Contains(region) ? Math.Max(Introduced, native) : native);
    }

    // A hybrid is rarer than its parents, and not to be looked for where they do not meet.
    private static double OfParents(Taxon taxon, Flora flora, string? region)
    {
        if (taxon.HybridOf.Count == 0) return 1;
        var both = taxon.HybridOf.All(parent => flora.FindTaxon(parent) is { } kind
            && (region is null || kind.Distribution.Includes(region)));
        return both ? Hybrid : HybridWithoutParents;
    }
}
