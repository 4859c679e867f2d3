using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Keys;
using Xunit;

namespace VerdantSieve.Flora.Tests;

/// <summary>Keys made from the shipped flora.</summary>
public class KeysOfTheFlora
{
    public static TheoryData<string, KeySeason> Asked =>
        new()
        {
            { "ORE", KeySeason.Leaf },
            { "ORE", KeySeason.Winter },
            { "GRB", KeySeason.Fruit },
            { "OHI", KeySeason.Flower },
        };

    [Theory]
    [MemberData(nameof(Asked))]
    public void Every_kind_comes_out_and_the_leads_of_a_couplet_exclude_each_other(string country, KeySeason season)
    {
        var flora = ShippedFlora.Flora;
        Taxon[] taxa = [.. flora.Taxa.Where(taxon => taxon.Distribution.Native.Contains(country))];
        var key = new KeyBuilder(flora).Build(taxa, season);
        var ends = key.Couplets.SelectMany(couplet => couplet.Leads).Where(lead => lead.Ends).SelectMany(lead => lead.Taxa).ToHashSet();
        Assert.Empty(taxa.Except(ends));
        foreach (var couplet in key.Couplets)
        {
            Assert.All(couplet.Leads, lead => Assert.NotEmpty(lead.Taxa));
            Assert.All(couplet.Leads, lead => Assert.True(lead.To is null or > 0));
            Assert.Equal(
                couplet.First.Statements.Select(statement => statement.Character.Id),
                couplet.Second.Statements.Select(statement => statement.Character.Id)
            );
            foreach (var (first, second) in couplet.First.Statements.Zip(couplet.Second.Statements))
            {
                Assert.Empty(first.States.Intersect(second.States));
                Assert.NotEqual(first.Words, second.Words);
            }
        }
        Assert.True(key.MeanLength < key.Bound + 2, $"{key.MeanLength} couplets on the way, and {key.Bound} at least");
    }
}
