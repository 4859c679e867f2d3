using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>A look at a plant that is most likely one of a list.</summary>
public class AmongTests
{
    private static readonly Sieve Sieve = Made().Sieve();

    // Ten kinds alike but for the last, whose bark is red.
    private static MadeFlora Made()
    {
        var made = new MadeFlora().States("bark", "grey red").States("bud", "long short").States("twig", "thin thick");
        for (var i = 0; i < 10; i++)
            made.Taxon(
                $"Aus s{i}",
                $"bark: {(i == 9 ? "red" : "grey")} / bud: {(i == 9 ? "long" : "short")} / twig: {(i == 9 ? "thin" : "thick")}"
            );
        return made;
    }

    private static SieveAnswer Among(string[] listed, params Core.Observing.Reading[] readings) =>
        Sieve.Ask(new SieveQuestion { Among = listed.ToHashSet(), Readings = readings });

    [Fact]
    public void Nine_plants_in_ten_are_on_the_list_and_keep_their_proportions()
    {
        var answer = Among(["Aus s0", "Aus s1"]);
        Assert.Equal(0.9, answer.Of("Aus s0") + answer.Of("Aus s1"), 6);
        Assert.Equal(answer.Of("Aus s0"), answer.Of("Aus s1"), 9);
        Assert.True(answer.Of("Aus s5") > 0);
        Assert.Equal(1, answer.Candidates.Sum(candidate => candidate.Probability) + answer.NoneOfThese, 2);
    }

    [Fact]
    public void What_is_read_brings_forward_a_kind_that_is_not_on_the_list()
    {
        var answer = Among(["Aus s0", "Aus s1"], Readings.Is("bark", "red"), Readings.Is("bud", "long"), Readings.Is("twig", "thin"));
        Assert.Equal("Aus s9", answer.Candidates[0].Taxon.Name.Text);
    }

    [Fact]
    public void A_list_of_nothing_the_flora_has_says_nothing_and_one_of_all_no_more() =>
        Assert.All(
            new[] { Among(["Bus ignotus"]), Among([.. Sieve.Flora.Taxa.Select(taxon => taxon.Name.Text)]) },
            answer => Assert.Equal(Sieve.Ask().Of("Aus s4"), answer.Of("Aus s4"), 9)
        );
}
