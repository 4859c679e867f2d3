using VerdantSieve.Core.Botany;
using Xunit;

namespace VerdantSieve.Core.Tests.Botany;

/// <summary>Regions and their borders, names and their species, likeness.</summary>
public class KinshipTests
{
    [Fact]
    public void Borders_are_counted_over_land()
    {
        var from = Regions.BordersFrom("ORE");
        Assert.Equal((0, 1, 1, 2, 2), (from["ORE"], from["WAS"], from["CAL"], from["BRC"], from["MNT"]));
        Assert.False(from.ContainsKey("GRB"));
    }

    [Fact]
    public void Neighbours_are_neighbours_both_ways()
    {
        var oneWay = Regions
            .Codes.SelectMany(code =>
                Regions
                    .Neighbours(code)
                    .Where(Regions.Exists)
                    .Where(other => !Regions.Neighbours(other).Contains(code))
                    .Select(other => $"{code} {other}")
            )
            .ToArray();
        // Borders that the list knows from one side only are few, and none is in North America.
        Assert.All(
            oneWay,
            pair => Assert.DoesNotContain(pair[..3], new[] { "ORE", "WAS", "BRC", "CAL", "IDA", "NEV", "MNT", "ABT", "ONT", "NWY", "TEX" })
        );
    }

    [Theory]
    [InlineData("Pinus contorta var. latifolia", "Pinus contorta")]
    [InlineData("Alnus viridis subsp. sinuata", "Alnus viridis")]
    [InlineData("Platanus × hispanica", "Platanus × hispanica")]
    [InlineData("Acer rubrum", "Acer rubrum")]
    public void A_variety_knows_its_species(string name, string species) => Assert.Equal(species, new ScientificName(name).Species.Text);

    [Fact]
    public void Likeness_is_the_same_both_ways_and_nothing_is_unlike_itself()
    {
        var likeness = new Likeness(SmallFlora.Flora);
        foreach (var one in SmallFlora.Flora.Taxa.Take(20))
        {
            Assert.Equal(0, likeness.Difference(one, one), 12);
            foreach (var other in SmallFlora.Flora.Taxa.Take(20))
                Assert.Equal(likeness.Difference(one, other), likeness.Difference(other, one), 12);
        }
    }

    [Theory]
    [InlineData(0)]
    [InlineData(-0.5)]
    [InlineData(1.01)]
    public void A_frequency_is_above_0_and_at_most_1(double weight) =>
        Assert.Throws<ArgumentOutOfRangeException>(() => Frequency.Of(weight));

    [Fact]
    public void The_default_frequency_is_usual() => Assert.Equal(Frequency.Usual, default);
}
