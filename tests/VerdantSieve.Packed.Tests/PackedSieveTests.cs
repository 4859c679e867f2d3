using FsCheck.Xunit;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Tests.Sieving;
using VerdantSieve.Packed;
using Xunit;

namespace VerdantSieve.Packed.Tests;

/// <summary>The packed sieve against the exact one, and its errors against the bounds it claims.</summary>
public class PackedSieveTests
{
    private static readonly int[] States = [2, 6, 3, 6, 4];

    // Any flora will do: chances of a usual and a second state, drawn from the seed.
    private static double[][][] Chances(int seed, int taxa)
    {
        var random = new Random(seed);
        return
        [
            .. Enumerable
                .Range(0, taxa)
                .Select(_ =>
                    States
                        .Select(count =>
                        {
                            var chances = new double[count];
                            var share = random.Next(3) switch
                            {
                                0 => 1,
                                1 => 0.8,
                                _ => 0.05 + random.NextDouble() * 0.9,
                            };
                            chances[random.Next(count)] += share;
                            chances[random.Next(count)] += 1 - share;
                            return chances;
                        })
                        .ToArray()
                ),
        ];
    }

    private static PackedSieve Pack(double[][][] chances) =>
        new(chances.Length, States, (taxon, character, to) => chances[taxon][character].CopyTo(to));

    [Theory]
    [InlineData(1)]
    [InlineData(63)]
    [InlineData(64)]
    [InlineData(1000)]
    public void Ranking_equals_the_exact_rule_within_the_rounding_of_a_cell(int taxa)
    {
        var chances = Chances(taxa, taxa);
        using var packed = Pack(chances);
        PackedReading[] readings = [new(0, 1, 0.1f), new(1, 5, 0.02f), new(3, 2, 0.3f), new(4, 3, 0.1f)];
        packed.Rank(readings);
        var got = new float[taxa];
        packed.Chance(got);

        // With two states a cell is off by at most 1/510, with more by at most 1/255; the sums of products follow.
        double Likely(int taxon, double off) =>
            readings.Aggregate(
                1.0,
                (product, r) =>
                {
                    var slip = r.SlipRate / (States[r.Character] - 1);
                    return product
                        * Math.Max(
                            slip,
                            slip
                                + (1 - r.SlipRate - slip)
                                    * (chances[taxon][r.Character][r.State] + off * (States[r.Character] > 2 ? 2 : 1) / 510.0)
                        );
                }
            );
        double low = Enumerable.Range(0, taxa).Sum(t => Likely(t, -1)),
            high = Enumerable.Range(0, taxa).Sum(t => Likely(t, 1));
        for (var t = 0; t < taxa; t++)
            Assert.InRange(got[t], 0.999 * Likely(t, -1) / high, 1.001 * Likely(t, 1) / low);
        Assert.Equal(1, got.Sum(), 4);
    }

    // Twenty-four readings that fit no taxon: the product of their chances is far below what a float can hold.
    [Fact]
    public void Readings_that_fit_nothing_still_rank_what_fits_least_badly()
    {
        var states = Enumerable.Repeat(6, 24).ToArray();
        using var packed = new PackedSieve(
            100,
            states,
            (taxon, character, to) =>
            {
                to.Clear();
                // Taxon 7 agrees in the last three characters, and nothing else agrees in any.
                to[taxon == 7 && character >= 21 ? 1 : 0] = 1;
            }
        );
        Assert.True(packed.Rank([.. Enumerable.Range(0, 24).Select(character => new PackedReading(character, 1, 0.02f))]));
        var chances = new float[100];
        packed.Chance(chances);
        Assert.All(chances, chance => Assert.True(float.IsFinite(chance)));
        Assert.Equal(1, chances.Sum(), 4);
        Assert.Equal(7, packed.Best().Taxon);
        Assert.True(packed.Best().Chance > 0.999);
        Assert.All(packed.Bits().ToArray(), bits => Assert.True(float.IsFinite(bits)));
    }

    [Fact]
    public void Where_nothing_can_fit_it_says_so_and_gives_no_chance_to_any()
    {
        using var packed = new PackedSieve(10, [2, 2], (_, _, to) => (to[0], to[1]) = (1, 0));
        Assert.False(packed.Rank([new PackedReading(0, 1, 0)]));
        var chances = new float[10];
        packed.Chance(chances);
        Assert.All(chances, chance => Assert.Equal(0, chance));
        Assert.True(packed.Rank([new PackedReading(0, 0, 0)]));
    }

    [Property(MaxTest = 30)]
    public bool Bits_are_those_of_the_exact_chances(int seed)
    {
        var chances = Chances(seed, 700);
        using var packed = Pack(chances);
        packed.Rank([new(1, 2, 0.1f)]);
        var weights = new float[700];
        packed.Chance(weights);
        var bits = packed.Bits();
        for (var c = 0; c < States.Length; c++)
        {
            var outcomes = Enumerable
                .Range(0, States[c])
                .Select(s => chances.Select(taxon => taxon[c][s] * 0.9 + (1 - taxon[c][s]) * 0.1 / (States[c] - 1)).ToArray())
                .ToArray();
            // The bound on the entropy of a distribution that is 0.02 off, and half a step of the entropies' own cells.
            var bound =
                Binary(PackedColumns.Tolerance)
                + PackedColumns.Tolerance * Math.Log2(Math.Max(1, States[c] - 1)) * 2
                + Math.Log2(States[c]) / 510
                + 0.02;
            if (Math.Abs(bits[c] - Information.Mutual([.. weights.Select(w => (double)w)], outcomes)) > bound)
                return false;
        }
        return true;

        static double Binary(double p) => -p * Math.Log2(p) - (1 - p) * Math.Log2(1 - p);
    }

    [Fact]
    public void Bits_are_far_closer_than_the_bound_and_nearly_exact_with_even_chances()
    {
        var chances = Chances(5, 6400);
        using var packed = Pack(chances);
        packed.Rank([]);
        var even = packed.Bits().ToArray();
        for (var c = 0; c < States.Length; c++)
        {
            var outcomes = Enumerable
                .Range(0, States[c])
                .Select(s => chances.Select(taxon => taxon[c][s] * 0.9 + (1 - taxon[c][s]) * 0.1 / (States[c] - 1)).ToArray())
                .ToArray();
            Assert.Equal(Information.Mutual([.. Enumerable.Repeat(1.0, 6400)], outcomes), even[c], 0.004);
        }
    }

    [Fact]
    public void It_agrees_with_the_sieve_of_the_application_on_a_plain_flora()
    {
        var flora = new MadeFlora().States("a", "s0 s1").States("b", "s0 s1 s2").States("c", "s0 s1 s2 s3");
        var random = new Random(3);
        for (var t = 0; t < 80; t++)
            flora.Taxon($"Aus s{t:00}", $"a: s{random.Next(2)} / b: s{random.Next(3)} / c: s{random.Next(4)}");
        var made = flora.Flora;
        var exact = new Sieve(made, SieveModel.Standard with { Strangers = 0, Damping = false, Telling = 0, Looseness = 0, Gaps = 0 }).Ask(
            new SieveQuestion
            {
                Readings =
                [
                    new Reading("a", new StatesSeen(["s1"], StateMode.Is), Certainty.Fair),
                    new Reading("b", new StatesSeen(["s2"], StateMode.Is), Certainty.Sure),
                ],
            }
        );
        using var packed = new PackedSieve(
            80,
            [2, 3, 4],
            (taxon, character, to) =>
            {
                to.Clear();
                to[
                    ((StateCharacter)made.Characters[character]).IndexOf(
                        ((StateScore)made.Taxa[taxon].Scores[made.Characters[character].Id]).States[0].State
                    )
                ] = 1;
            },
            SieveModel.Standard.SlipRate(Certainty.Fair)
        );
        packed.Rank([
            new(0, 1, (float)SieveModel.Standard.SlipRate(Certainty.Fair)),
            new(1, 2, (float)SieveModel.Standard.SlipRate(Certainty.Sure)),
        ]);
        var chances = new float[80];
        packed.Chance(chances);
        foreach (var candidate in exact.Candidates)
            Assert.Equal(candidate.Probability, chances[made.Taxa.ToList().IndexOf(candidate.Taxon)], 1e-5);
        Assert.Equal(exact.NextLooks.Single(look => look.Character.Id == "c").Bits, packed.Bits()[2], 0.02);
    }

    [Fact]
    public void Nothing_is_allocated_once_it_is_made()
    {
        using var packed = Pack(Chances(1, 5000));
        PackedReading[] readings = [new(0, 1, 0.1f), new(1, 3, 0.1f)];
        packed.Rank(readings);
        packed.Bits();
        var before = GC.GetAllocatedBytesForCurrentThread();
        for (var i = 0; i < 20; i++)
        {
            packed.Rank(readings);
            packed.Bits();
        }
        Assert.Equal(0, GC.GetAllocatedBytesForCurrentThread() - before);
    }
}
