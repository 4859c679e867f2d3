using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>Counts, and how they are miscounted: by one half of the time, else to anything.</summary>
public class CountTests
{
    private static Reading Count(int number, Certainty certainty = Certainty.Fair) => new("lobes", new Counted(number, number), certainty);

    private static readonly Sieve Sieve = new MadeFlora()
        .Count("lobes")
        .Taxon("Aus quinque", "lobes: 5")
        .Taxon("Aus novem", "lobes: 9")
        .Taxon("Aus trium", "lobes: 3")
        .Sieve(SieveModel.Standard with { Strangers = 1e-9 });

    [Fact]
    public void The_number_read_is_the_number_that_leads() =>
        Assert.All(
            [(5, "Aus quinque"), (9, "Aus novem"), (3, "Aus trium")],
            pair => Assert.Equal(pair.Item2, Sieve.Ask(Count(pair.Item1)).Candidates[0].Taxon.Name.Text)
        );

    [Theory]
    [InlineData(6)]
    [InlineData(4)]
    public void A_miscount_by_one_is_likelier_than_one_by_more(int read)
    {
        var answer = Sieve.Ask(Count(read));
        Assert.True(answer.Of("Aus quinque") > 3 * answer.Of("Aus novem"), $"{answer.Of("Aus quinque")} {answer.Of("Aus novem")}");
    }

    [Fact]
    public void A_sure_count_leaves_less_to_its_neighbours()
    {
        double Left(Certainty certainty) =>
            Sieve.Ask(Count(4, certainty)).Of("Aus novem") / Sieve.Ask(Count(5, certainty)).Of("Aus quinque");
        Assert.True(Sieve.Ask(Count(5, Certainty.Sure)).Of("Aus quinque") > Sieve.Ask(Count(5, Certainty.Guess)).Of("Aus quinque"));
        Assert.True(Left(Certainty.Fair) > 0);
    }

    [Fact]
    public void The_chance_of_the_right_number_is_what_the_observer_does_not_slip()
    {
        // P(5 | five lobes) is 1 − slip plus what of the slips comes back; P(5 | nine lobes) is what of the slips could be anything.
        var answer = Sieve.Ask(Count(5));
        var odds = answer.Of("Aus quinque") / answer.Of("Aus novem");
        var slip = SieveModel.Standard.SlipWhenFair;
        Assert.InRange(odds, (1 - slip) / slip, 40 * (1 - slip) / slip);
    }

    [Fact]
    public void A_count_outside_the_range_holds_a_kind_and_one_inside_does_not()
    {
        var sieve = new MadeFlora().Count("lobes").Taxon("Aus primus", "lobes: (3–)5–7(–9)").Taxon("Aus alter", "lobes: 20").Sieve();
        bool Held(int number) => sieve.Ask(Count(number)).Candidates.Single(c => c.Taxon.Name.Text == "Aus primus").Held.Count > 0;
        Assert.All([3, 5, 7, 9], number => Assert.False(Held(number)));
        Assert.All([2, 10], number => Assert.True(Held(number)));
    }
}
