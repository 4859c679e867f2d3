using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Simulating;
using Xunit;

namespace VerdantSieve.Flora.Tests;

/// <summary>How often the right kind comes out of made-up looks on the shipped flora. The full tables, of which these are a sample, are in
/// docs/method.md and are printed by the bench; no outside source, since the observers are made up.</summary>
public class RecoveryTests
{
    private static readonly Recovery Recovery = new(ShippedFlora.Sieve, ShippedFlora.Flora);

    // Every fifth taxon stands for all: the whole tables take minutes.
    private static LookResult[] Looks(
        double errs,
        int plants,
        Strategy strategy = Strategy.NextLook,
        int readings = 10,
        Func<SieveAnswer, bool>? enough = null
    ) =>
        [
            .. ShippedFlora
                .Flora.Taxa.Where(taxon => taxon.HybridOf.Count == 0)
                .Where((_, t) => t % 5 == 2)
                .SelectMany(
                    (taxon, t) =>
                        Enumerable
                            .Range(0, plants)
                            .Select(i => Recovery.Look(taxon, readings, errs, 0, strategy, new Random(1000 * t + i), enough))
                ),
        ];

    [Theory]
    [InlineData(0.1, 0.90, 0.96)]
    // Two of three plants bear no fruit, and observers err nearly three times as often as the sieve takes them to.
    [InlineData(0.2, 0.73, 0.86)]
    [Trait("Kind", "sweep")]
    public void Ten_proposed_readings_find_the_plant(double errs, double first, double firstThree)
    {
        var looks = Looks(errs, 4);
        Assert.True(
            looks.Average(look => Place(look) == 1 ? 1 : 0) >= first,
            $"first: {looks.Average(look => Place(look) == 1 ? 1.0 : 0):0.000}"
        );
        Assert.True(
            looks.Average(look => Place(look) <= 3 ? 1 : 0) >= firstThree,
            $"first three: {looks.Average(look => Place(look) <= 3 ? 1.0 : 0):0.000}"
        );
    }

    // Members of an aggregate are not to be parted, and a variety only on its own mark; each is as right as the other.
    private static int Place(LookResult look) =>
        look.Answer.Candidates.TakeWhile(candidate =>
                candidate.Taxon.Name.Species != look.Plant.Name.Species
                && (look.Plant.Aggregate is not { } aggregate || candidate.Taxon.Aggregate != aggregate)
            )
            .Count() + 1;

    [Fact]
    [Trait("Kind", "sweep")]
    public void Weighing_beats_the_strict_rule_where_observers_err()
    {
        var looks = Looks(0.1, 2);
        var weighed = looks.Average(look => look.Place == 1 ? 1.0 : 0);
        Assert.True(weighed > looks.Average(look => look.Strictly(1).Within(1)));
        Assert.True(weighed > looks.Average(look => look.Strictly(0).Within(1)));
    }

    [Fact]
    [Trait("Kind", "sweep")]
    public void The_next_look_needs_fewer_readings_than_any_order()
    {
        double Mean(Strategy strategy) =>
            Looks(0.1, 1, strategy, 30, answer => answer.Candidates[0].Probability >= 0.95)
                .Average(look => look.Answer.Candidates[0].Probability >= 0.95 ? look.Readings : 30);
        Assert.True(Mean(Strategy.NextLook) < 0.8 * Mean(Strategy.AnyOrder));
    }

    [Fact]
    [Trait("Kind", "sweep")]
    public void A_slip_among_ten_readings_that_agree_is_the_top_doubt()
    {
        var (found, tried) = (0, 0);
        foreach (var (taxon, t) in ShippedFlora.Flora.Taxa.Select((taxon, t) => (taxon, t)).Where(pair => pair.t % 5 == 2))
        {
            var random = new Random(t);
            var look = Recovery.Look(taxon, 10, 0, 0, Strategy.NextLook, random);
            if (look.Place != 1 || look.Readings < 10)
                continue;
            // One more reading, of a state that the kind never shows.
            var readings = look.Answer.Question.Readings;
            var unread = ShippedFlora
                .Flora.Characters.OfType<StateCharacter>()
                .FirstOrDefault(c =>
                    c.OnlyIf is null
                    && c.Weight == 1
                    && readings.All(r => r.Character != c.Id)
                    && taxon.Scores.GetValueOrDefault(c.Id) is StateScore score
                    && score.States.Count < c.States.Count
                );
            if (unread is null)
                continue;
            var never = unread.States.Last(state => !((StateScore)taxon.Scores[unread.Id]).Allows(state.Id));
            var slip = new Reading(unread.Id, new StatesSeen([never.Id], StateMode.Is), Certainty.Fair);
            tried++;
            if (
                ShippedFlora.Sieve.Ask(look.Answer.Question with { Readings = [.. readings, slip] }).Doubts[0].Reading.Character
                == unread.Id
            )
                found++;
        }
        Assert.True(tried > 40);
        Assert.True(found >= 0.8 * tried, $"{found} of {tried}");
    }
}
