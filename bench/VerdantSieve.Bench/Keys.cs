using System.Diagnostics;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Keys;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Simulating;

namespace VerdantSieve.Bench;

/// <summary>How keys fare with observers who slip, beside keys that only part evenly and beside the sieve.</summary>
internal static class Keys
{
    /// <summary>Prints the table.</summary>
    /// <param name="plants">How many plants of each kind.</param>
    public static int Run(int plants)
    {
        var flora = Shipped.Flora();
        var trial = new KeyTrial(flora, new Sieve(flora), SieveModel.Standard);
        (string Name, string Country, Taxon[] Taxa)[] keys =
        [
            ("maples of Oregon", "ORE", Of(taxon => taxon.Name.Genus == "Acer" && taxon.Distribution.Includes("ORE"))),
            ("oaks of Ohio", "OHI", Of(taxon => taxon.Name.Genus == "Quercus" && taxon.Distribution.Includes("OHI"))),
            ("natives of Oregon", "ORE", Of(taxon => taxon.Distribution.Native.Contains("ORE"))),
            ("natives of Great Britain", "GRB", Of(taxon => taxon.Distribution.Native.Contains("GRB"))),
            ("200 of what grows in Ohio", "OHI", [.. Of(taxon => taxon.Distribution.Includes("OHI")).Take(200)]),
        ];
        Console.WriteLine(
            "| key, in leaf | kinds | couplets | mean, longest, bound | made in | right at 0, 5, 10 % slips | evenly "
                + "parted key | sieve, same readings |"
        );
        Console.WriteLine("|---|---|---|---|---|---|---|---|");
        foreach (var (name, country, taxa) in keys)
        {
            var clock = Stopwatch.StartNew();
            var key = new KeyBuilder(flora).Build(taxa, KeySeason.Leaf);
            var made = clock.ElapsedMilliseconds;
            var evenly = new KeyBuilder(flora) { IgnoresCost = true }.Build(taxa, KeySeason.Leaf);
            var where = new Circumstances { Region = country, Date = new LocalDate(2026, 7, 1) };
            double[] slips = [0, 0.05, 0.1];
            KeyScore[] own = [.. slips.Select(errs => trial.Run(key, where, errs, plants, 1))];
            KeyScore[] other = [.. slips.Select(errs => trial.Run(evenly, where, errs, plants, 1))];
            string All(IEnumerable<double> shares) => string.Join(", ", shares.Select(share => $"{share:P0}"));
            Console.WriteLine(
                $"| {name} | {taxa.Length} | {key.Couplets.Count} | {key.MeanLength:0.0}, {key.LongestLength}, "
                    + $"{key.Bound:0.0} | {made} ms | {All(own.Select(score => score.EndsRight))} | "
                    + $"{All(other.Select(score => score.EndsRight))} | {All(own.Select(score => score.SieveRight))} |"
            );
        }
        return 0;

        Taxon[] Of(Func<Taxon, bool> which) => [.. flora.Taxa.Where(which)];
    }
}
