using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>How likely a kind is before anything is read: by range, abundance and setting. The values are choices, written up in
/// docs/method.md.</summary>
public static class Prior
{
    private const double Native = 1;
    private const double WrongSetting = 0.06;
    private const double Hybrid = 0.1,
        HybridWithoutParents = 0.01;

    // Of what was brought to a country less has run wild than grows there by nature; in gardens and streets the two are alike.
    private const double RunWild = 0.7,
        PlantedAlike = 1,
        PlantedUnsaid = 0.5,
        PlantedFoundWild = 0.04;

    // What was looked for and not found may still be met: a new arrival, a garden, a slip of the pen.
    private const double LookedForInVain = 0.3;

    // What is planted all over the temperate zone may stand in any town.
    private const double InAnyTown = 0.1,
        InAnyTownUnsaid = 0.03;

    // By how many borders lie between the place and the nearest country the kind is native to.
    private static readonly double[] ByBorders = [Native, 0.1, 0.04, 0.02];
    private const double Elsewhere = 0.01;
    private const double KinShare = 2.0 / 3;

    // A wood’s list has gaps, and a garden new trees: of so many plants that are keyed one in ten is not on it.
    private const double NotListed = 0.1;

    // A country counts towards “anywhere” where the flora knows this part of what it knows of its best-known country.
    private const double WellKnown = 0.2;

    /// <summary>The chance of every row for a plant found in this country; for one found anywhere, where no country is named.</summary>
    /// <remarks>Of the chance of strangers a third goes to "none of these", spread evenly over what a stranger may be like; the rest to
    /// unknown kin, by how many kinds of each genus the flora lacks.</remarks>
    internal static double[] Of(Flora flora, RowLayout rows, SieveModel model, string? region, Setting? setting) =>
        OfRows(region is null ? Anywhere(flora, setting) : In(region, flora, setting), rows, model, setting);

    /// <summary>The same where a list says what stands there: all that is not on it, strangers with it, is met no oftener than lists have
    /// gaps. A list that names nothing of the flora says nothing.</summary>
    internal static double[] Among(double[] prior, RowLayout rows, Flora flora, IReadOnlySet<string> listed)
    {
        int[] on = [.. flora.Taxa.Where(taxon => listed.Contains(taxon.Name.Text)).Select(taxon => rows.Of(taxon).Index)];
        var sum = on.Sum(row => prior[row]);
        if (sum <= 0 || 1 - sum <= NotListed)
            return prior;
        var among = Array.ConvertAll(prior, chance => chance * NotListed / (1 - sum));
        foreach (var row in on)
            among[row] = prior[row] * (1 - NotListed) / sum;
        return among;
    }

    /// <summary>The chance of every row where neither place nor commonness is to speak.</summary>
    internal static double[] Even(Flora flora, RowLayout rows, SieveModel model) =>
        OfRows([.. flora.Taxa.Select(taxon => OfParents(taxon, flora, null))], rows, model, null);

    private static double[] OfRows(double[] weights, RowLayout rows, SieveModel model, Setting? setting)
    {
        var sum = weights.Sum();
        var prior = new double[rows.All];
        var strangers = setting == Setting.Planted ? Math.Min(0.5, 2 * model.Strangers) : model.Strangers;
        for (var t = 0; t < rows.Taxa; t++)
        {
            prior[t] = weights[t] / sum * (1 - strangers);
            prior[rows.KinOf(new Row(t)).Index] = weights[t] / sum * strangers * KinShare * rows.Missing[t];
            prior[rows.StrangerLike(new Row(t)).Index] = strangers * (1 - KinShare) / rows.Taxa;
        }
        var all = prior.Sum();
        for (var row = 0; row < prior.Length; row++)
            prior[row] /= all;
        return prior;
    }

    private static double[] In(string region, Flora flora, Setting? setting)
    {
        var borders = Regions.BordersFrom(region);
        return [.. flora.Taxa.Select(taxon => ByRange(taxon, flora, region, borders, setting) * OfParents(taxon, flora, region))];
    }

    // The mean over the countries the flora knows well, each as likely as it has taxa: a kind at home in thirty of them is met oftener than
    // one at home in three.
    private static double[] Anywhere(Flora flora, Setting? setting)
    {
        var known = flora
            .Countries.Select(code => (Code: code, Taxa: flora.Taxa.Count(taxon => taxon.Distribution.Includes(code))))
            .ToArray();
        if (known.Length == 0)
            return [.. flora.Taxa.Select(taxon => BySetting(taxon, setting) * OfParents(taxon, flora, null))];
        var least = WellKnown * known.Max(country => country.Taxa);
        var weights = new double[flora.Taxa.Count];
        foreach (var (code, taxa) in known.Where(country => country.Taxa >= least))
        {
            var here = In(code, flora, setting);
            var sum = here.Sum();
            for (var t = 0; t < weights.Length; t++)
                weights[t] += taxa * here[t] / sum;
        }
        return [.. weights.Select(Math.Sqrt)];
    }

    private static double BySetting(Taxon taxon, Setting? setting) =>
        setting is { } here && !taxon.Settings.Contains(here) ? WrongSetting : 1;

    private static double ByRange(Taxon taxon, Flora flora, string region, IReadOnlyDictionary<string, int> borders, Setting? setting)
    {
        var occurrence = flora.OccurrenceOf(taxon, region);
        var chance = occurrence switch
        {
            Occurrence.Native => Native * BySetting(taxon, setting),
            Occurrence.RunWild => setting == Setting.Planted ? PlantedAlike : RunWild * BySetting(taxon, setting),
            Occurrence.Planted => setting switch
            {
                Setting.Planted => PlantedAlike,
                Setting.Wild => PlantedFoundWild,
                null => PlantedUnsaid,
            },
            Occurrence.Absent => LookedForInVain * NotHere(taxon, borders) * BySetting(taxon, setting),
            Occurrence.NotLooked => NotHere(taxon, borders) * BySetting(taxon, setting),
        };
        return Math.Max(chance * taxon.AbundanceIn(region).Weight(), InTowns(taxon, setting));
    }

    private static double InTowns(Taxon taxon, Setting? setting)
    {
        if (!taxon.Distribution.PlantedWidely || setting == Setting.Wild)
            return 0;
        return setting == Setting.Planted ? InAnyTown : InAnyTownUnsaid;
    }

    private static double NotHere(Taxon taxon, IReadOnlyDictionary<string, int> borders)
    {
        var nearest = taxon
            .Distribution.Native.Select(code => borders.GetValueOrDefault(code, int.MaxValue))
            .DefaultIfEmpty(int.MaxValue)
            .Min();
        return nearest < ByBorders.Length ? ByBorders[nearest] : Elsewhere;
    }

    // A hybrid that was brought or planted is as common as is said of it. One that arises where its parents meet is rarer than they are,
    // and
    // not to be looked for where they do not.
    private static double OfParents(Taxon taxon, Flora flora, string? region)
    {
        if (!taxon.IsHybrid || region is not null && taxon.Distribution.IsIntroducedTo(region))
            return 1;
        var both = taxon.HybridOf.All(parent =>
            flora.FindTaxon(parent) is { } kind && (region is null || kind.Distribution.Includes(region))
        );
        return both ? Hybrid : HybridWithoutParents;
    }
}
