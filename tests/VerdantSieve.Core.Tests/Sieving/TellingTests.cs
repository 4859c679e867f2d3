using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using Xunit;
using static VerdantSieve.Core.Tests.Sieving.Readings;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>Readings that fit together count for more, since people name what sets a plant apart; those that don't count as they
/// stand.</summary>
public class TellingTests
{
    private const double Most = 0.35;

    private static readonly MadeFlora Three = new MadeFlora()
        .States("leaf", "round long")
        .States("bark", "grey red")
        .States("bud", "blunt sharp")
        .States("fruit", "nut berry")
        .Taxon("Aus primus", "leaf: round / bark: grey / bud: blunt / fruit: nut")
        .Taxon("Bus alter", "leaf: round / bark: red / bud: sharp / fruit: nut")
        .Taxon("Cus tertius", "leaf: long / bark: red / bud: sharp / fruit: berry");

    private static readonly Sieve Plain = Three.Sieve(AsItStands),
        Telling = Three.Sieve(SieveModel.Standard with { Telling = Most });

    private static readonly Reading[] Fitting = [Is("leaf", "round"), Is("bark", "grey"), Is("bud", "blunt")];

    // The buds are those of other kinds than leaf, bark and fruit.
    private static readonly Reading[] AtOdds = [Is("leaf", "round"), Is("bark", "grey"), Is("bud", "sharp"), Is("fruit", "nut")];

    private static double Power(Reading[] readings) => Bits(Telling.Ask(readings)) / Bits(Plain.Ask(readings));

    private static double Bits(SieveAnswer answer) => Math.Log2(answer.Of("Aus primus") / answer.Of("Cus tertius"));

    [Fact]
    public void Readings_that_fit_together_count_for_more_and_those_at_odds_as_they_stand()
    {
        Assert.InRange(Power(Fitting), 1 + 0.6 * Most, 1 + Most);
        Assert.InRange(Power(AtOdds), 1, 1 + 0.4 * Most);
    }

    [Fact]
    public void The_next_look_is_chosen_as_if_nothing_counted_for_more()
    {
        var (telling, plain) = (Telling.Ask(Fitting[..2]), Plain.Ask(Fitting[..2]));
        Assert.NotEmpty(plain.NextLooks);
        Assert.Equal(
            plain.NextLooks.Select(look => (look.Character.Id, look.Worth)),
            telling.NextLooks.Select(look => (look.Character.Id, look.Worth))
        );
        Assert.True(telling.Of("Aus primus") > plain.Of("Aus primus"));
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void What_hurts_is_warned_of_as_long_as_it_is_possible_by_the_readings_as_they_stand(bool burns)
    {
        var flora = new MadeFlora()
            .States("leaf", "round long")
            .States("bark", "grey red")
            .States("fruit", "nut berry")
            .Taxon("Aus primus", "leaf: round / bark: grey / fruit: nut")
            .Taxon(
                "Bus alter",
                "leaf: long / bark: grey / fruit: nut",
                taxon => burns ? taxon with { Hazards = [new Hazard(HazardKind.SkinIrritant, "It burns.")] } : taxon
            );
        SieveAnswer With(double telling) =>
            flora.Sieve(SieveModel.Standard with { Telling = telling }).Ask(Is("leaf", "round", Certainty.Sure), Is("fruit", "nut"));
        Assert.True(With(0).Of("Bus alter") >= Sieve.Possible);
        var told = With(1);
        Assert.True(told.Of("Bus alter") < Sieve.Possible);
        Assert.Equal(burns, told.Hazards.Any(hazard => hazard.Taxon.Name.Text == "Bus alter"));
    }

    [Fact]
    public void Bayes_rule_alone_is_left_as_it_is() => Assert.Equal(0, SieveModel.Plain.Telling);
}
