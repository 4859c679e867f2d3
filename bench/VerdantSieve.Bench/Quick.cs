using System.Diagnostics;
using System.Text.Json;
using VerdantSieve.Packed;

namespace VerdantSieve.Bench;

/// <summary>The same two passes timed plainly, for bench/compare: the median of many runs on one thread, printed as JSON.</summary>
internal static class Quick
{
    public static int Run(int taxa)
    {
        using var sieve = SyntheticFlora.Make(taxa);
        var three = Read(taxa, 3);
        sieve.Rank([]);
        var flat = Median(() => sieve.Bits());
        sieve.Set(Uneven(taxa));
        var uneven = Median(() => sieve.Bits());
        var rank = Median(() => sieve.Rank(three));
        var after = Median(() => sieve.Bits());
        var allocated = GC.GetAllocatedBytesForCurrentThread();
        for (var i = 0; i < 100; i++)
            sieve.Rank(three);
        allocated = GC.GetAllocatedBytesForCurrentThread() - allocated;
        Console.WriteLine(
            JsonSerializer.Serialize(
                new
                {
                    taxa,
                    rankThree = Math.Round(rank, 4),
                    nextLookFlat = Math.Round(flat, 3),
                    nextLookUneven = Math.Round(uneven, 3),
                    nextLookThree = Math.Round(after, 3),
                    bytes = sieve.Size,
                    allocatedPerRank = allocated / 100,
                    best = sieve.Best().Taxon,
                }
            )
        );
        return 0;
    }

    // Chances without any order, so that no block can be read by its mean: the most the pass can cost.
    private static float[] Uneven(int taxa)
    {
        var random = new Random(1);
        float[] chances = [.. Enumerable.Range(0, taxa).Select(_ => random.NextSingle())];
        var sum = chances.Sum();
        return [.. chances.Select(chance => chance / sum)];
    }

    private static PackedReading[] Read(int taxa, int readings) =>
        [.. Enumerable.Range(0, readings).Select(c => new PackedReading(c, SyntheticFlora.Usual(taxa / 3, c), 0.1f))];

    private static double Median(Action action)
    {
        // Until the compiler has made its best of the code.
        for (var start = Stopwatch.GetTimestamp(); Stopwatch.GetElapsedTime(start).TotalMilliseconds < 700;)
            action();
        return Enumerable
            .Range(0, 101)
            .Select(_ =>
            {
                var start = Stopwatch.GetTimestamp();
                action();
                return Stopwatch.GetElapsedTime(start).TotalMilliseconds;
            })
            .Order()
            .ElementAt(50);
    }
}
