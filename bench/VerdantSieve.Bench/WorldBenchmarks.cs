using BenchmarkDotNet.Attributes;
using VerdantSieve.Packed;

namespace VerdantSieve.Bench;

/// <summary>A made-up flora of the size of the world's trees.</summary>
[MemoryDiagnoser]
public class WorldBenchmarks
{
    private PackedSieve sieve = null!;
    private PackedReading[] readings = [];

    /// <summary>How many taxa.</summary>
    [Params(600, 6_000, 60_000)]
    public int Taxa { get; set; }

    /// <summary>How many readings were made.</summary>
    [Params(0, 3, 10)]
    public int Readings { get; set; }

    /// <summary>Packs the flora.</summary>
    [GlobalSetup]
    public void Pack()
    {
        sieve = SyntheticFlora.Make(Taxa);
        readings = [.. Enumerable.Range(0, Readings).Select(c => new PackedReading(c, SyntheticFlora.Usual(Taxa / 3, c), 0.1f))];
        sieve.Rank(readings);
    }

    /// <summary>Ranking all taxa anew.</summary>
    [Benchmark]
    public void Rank() => sieve.Rank(readings);

    /// <summary>The bits of all characters.</summary>
    [Benchmark]
    public float NextLook() => sieve.Bits()[0];
}
