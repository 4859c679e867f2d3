using System.Diagnostics;
using NodaTime;
using VerdantSieve.Core.Planning;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Simulating;

namespace VerdantSieve.Bench;

/// <summary>How many visits it takes to settle trees by when one comes back, and how long a plan takes.</summary>
internal static class Visits
{
    private static readonly string[] Countries = ["ORE", "WAS", "OHI", "NWY", "GRB", "FRA", "GER"];

    /// <summary>Prints both.</summary>
    /// <param name="trees">How many trees are visited, and planned for.</param>
    public static int Run(int trees)
    {
        var flora = Shipped.Flora();
        var sieve = new Sieve(flora);
        var visits = new ReturnVisits(sieve, SieveModel.Standard);
        var made = Enumerable.Range(0, trees).Select(seed => Made(flora, seed)).ToArray();
        Console.WriteLine($"{trees} trees, those left open by a first visit of ten readings");
        Console.WriteLine("| come back | trees | settled after 1 | 2 | 3 visits | visits a tree | right of those settled |");
        Console.WriteLine("|---|---|---|---|---|---|---|");
        foreach (var strategy in Enum.GetValues<ReturnStrategy>())
        {
            ReturnResult[] results =
            [
                .. made.AsParallel()
                    .AsOrdered()
                    .Select((tree, seed) => visits.Visit(tree.Taxon, tree.Country, strategy, seed))
                    .OfType<ReturnResult>(),
            ];
            string By(int visit) => $"{100.0 * results.Count(result => result.Visits <= visit) / results.Length:0} %";
            var settled = results.Where(result => result.Visits is not null).ToArray();
            var mean = results.Average(result => result.Visits ?? ReturnVisits.MostVisits + 1);
            Console.WriteLine(
                $"| {strategy} | {results.Length} | {By(1)} | {By(2)} | {By(3)} | {mean:0.00} | "
                    + $"{100.0 * settled.Count(result => result.IsRight) / settled.Length:0} % |"
            );
        }
        var questions = made.Select((tree, seed) => visits.First(tree.Taxon, tree.Country, seed)).ToArray();
        var clock = Stopwatch.StartNew();
        var planned = new PlannedTree[questions.Length];
        Parallel.For(
            0,
            questions.Length,
            at =>
                planned[at] = new PlannedTree(
                    $"{at}",
                    "",
                    new Position(45 + at * 1e-4, -123, 0),
                    YearAhead.Of(sieve, questions[at], new LocalDate(2026, 11, 26))
                )
        );
        OutingPlan.Of(planned);
        Console.WriteLine($"a plan for {trees} trees: {clock.ElapsedMilliseconds} ms on {Environment.ProcessorCount} processors");
        return 0;
    }

    private static (Core.Botany.Taxon Taxon, string Country) Made(Core.Botany.Flora flora, int seed)
    {
        var random = new Random(seed);
        var country = Countries[random.Next(Countries.Length)];
        Core.Botany.Taxon[] grow = [.. flora.Taxa.Where(taxon => taxon.Distribution.Countries.Contains(country))];
        return (grow[random.Next(grow.Length)], country);
    }
}
