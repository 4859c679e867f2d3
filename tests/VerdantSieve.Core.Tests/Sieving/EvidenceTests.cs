using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using Xunit;
using static VerdantSieve.Core.Tests.Sieving.Readings;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>What one reading is worth: signs that decide, signs that are required, samples, limits, origins, repeats.</summary>
public class EvidenceTests
{
    // Ten kinds alike in all but one sign.
    private static MadeFlora Ten(string first, string others) =>
        Enumerable
            .Range(1, 9)
            .Aggregate(new MadeFlora().Presence("sign").Taxon("Aus primus", first), (flora, i) => flora.Taxon($"Aus other{i}", others));

    [Fact]
    public void A_sign_of_some_plants_of_one_kind_settles_it_when_seen_and_costs_next_to_nothing_when_not()
    {
        var sieve = Ten("sign: 30 %", "sign: never").Sieve(SieveModel.Standard with { Strangers = 0 });
        var before = sieve.Ask().Of("Aus primus");
        Assert.True(sieve.Ask(Seen("sign", true)).Of("Aus primus") > 0.75);
        Assert.InRange(sieve.Ask(Seen("sign", false)).Of("Aus primus"), 0.6 * before, before);
    }

    [Fact]
    public void A_sign_of_every_plant_of_a_kind_rules_it_out_when_missing_and_proves_little_when_shared()
    {
        var sieve = Ten("sign: always", "sign: 70 %").Sieve(SieveModel.Standard with { Strangers = 0 });
        var before = sieve.Ask().Of("Aus primus");
        Assert.True(sieve.Ask(Seen("sign", false)).Of("Aus primus") < before / 10);
        Assert.InRange(sieve.Ask(Seen("sign", true)).Of("Aus primus"), before, 1.6 * before);
    }

    [Fact]
    public void A_sign_required_in_one_growth_form_only_is_asked_of_that_form_only()
    {
        var sieve = new MadeFlora()
            .States("habit", "shrub climber")
            .Presence("hairy-roots", c => c with { OnlyIf = new Condition("habit", ["climber"], false) })
            .Taxon("Aus rampant", "habit: shrub, climber / hairy-roots: always")
            .Taxon("Aus bare", "habit: shrub, climber / hairy-roots: never")
            .Sieve();
        var climbing = sieve.Ask(Is("habit", "climber", Certainty.Sure), Seen("hairy-roots", false));
        Assert.True(climbing.Of("Aus bare") > 10 * climbing.Of("Aus rampant"));
        var shrubby = sieve.Ask(Is("habit", "shrub", Certainty.Sure));
        Assert.Equal(shrubby.Of("Aus bare"), shrubby.Of("Aus rampant"), 9);
        Assert.DoesNotContain(shrubby.NextLooks, look => look.Character.Id == "hairy-roots" && look.Worth > 0.2);
    }

    private static Sieve Lobes =>
        new MadeFlora()
            .States("lobing", "unlobed lobed")
            .Count("lobe-count", c => c with { OnlyIf = new Condition("lobing", ["unlobed"], true) })
            .Taxon("Aus integer", "lobing: unlobed")
            .Taxon("Aus lobatus", "lobing: lobed, unlobed / lobe-count: 2–5")
            .Sieve(AsItStands);

    [Fact]
    public void A_count_of_lobes_says_that_there_are_lobes_where_the_observer_left_that_open()
    {
        var three = new Reading("lobe-count", new Counted(3, 3), Certainty.Fair);
        var open = new Reading("lobing", new StatesSeen(["unlobed", "lobed"], StateMode.Either), Certainty.Fair);
        var counted = Lobes.Ask(three);
        Assert.True(counted.Of("Aus lobatus") > 5 * counted.Of("Aus integer"));
        var both = Lobes.Ask(open, three);
        Assert.InRange(both.Of("Aus lobatus") / both.Of("Aus integer"), 5, double.MaxValue);
    }

    [Fact]
    public void What_was_settled_pays_for_itself_once()
    {
        var settled = Lobes.Ask(Is("lobing", "lobed")).Of("Aus integer");
        Assert.InRange(
            Lobes.Ask(Is("lobing", "lobed"), new Reading("lobe-count", new Counted(3, 3), Certainty.Fair)).Of("Aus integer"),
            settled / 3,
            settled
        );
    }

    [Fact]
    public void Where_no_place_is_named_a_kind_of_many_countries_is_likelier_than_one_of_few_and_less_so_than_where_it_grows()
    {
        var sieve = new MadeFlora()
            .States("bark", "grey red")
            .Taxon("Aus latus", "bark: grey", t => t with { Distribution = new Distribution(["ORE", "WAS", "IDA", "CAL"], []) })
            .Taxon("Aus angustus", "bark: grey", t => t with { Distribution = new Distribution(["FLA"], []) })
            .Sieve();
        double Odds(Circumstances where) => sieve.Ask(where).Of("Aus latus") / sieve.Ask(where).Of("Aus angustus");
        Assert.InRange(Odds(Circumstances.Unknown), 1.5, Odds(new Circumstances { Region = "ORE" }));
    }

    [Fact]
    public void A_flora_without_ranges_weighs_all_kinds_alike()
    {
        var sieve = new MadeFlora()
            .States("bark", "grey red")
            .Taxon("Aus primus", "bark: grey", t => t with { Distribution = new Distribution([], []) })
            .Taxon("Aus alter", "bark: red", t => t with { Distribution = new Distribution([], []) })
            .Sieve();
        Assert.Equal(sieve.Ask().Of("Aus primus"), sieve.Ask().Of("Aus alter"), 12);
    }

    private static MadeFlora Sizes =>
        new MadeFlora().Measure("length").Taxon("Aus small", "length: (2–)3–5(–6) cm").Taxon("Aus large", "length: (6–)8–12(–15) cm");

    [Fact]
    public void An_odd_leaf_does_not_overturn_the_rest_of_the_sample()
    {
        var flora = Sizes.Flora;
        var reading = ReadingDesk.Check(new RawReading("length") { Text = "4, 3.8, 4.1, 4.2, 13 cm" }, flora).Value;
        Assert.Equal(
            (3.8, 13, 5, 4.1),
            Assert.IsType<Measured>(reading!.Observation) is var m ? (m.Low, m.High, m.Leaves, m.Typical!.Value) : default
        );
        Assert.True(new Sieve(flora).Ask(reading).Of("Aus small") > 0.8);
        Assert.Empty(new Sieve(flora).Ask(reading).Candidates.First(c => c.Taxon.Name.Text == "Aus small").Held);
    }

    [Fact]
    public void More_leaves_say_more_than_one()
    {
        var sieve = new MadeFlora().Measure("length").Taxon("Aus small", "length: 4–8 cm").Taxon("Aus large", "length: 5–10 cm").Sieve();
        Assert.True(sieve.Ask(Long("length", 5, 12)).Of("Aus small") > sieve.Ask(Long("length", 5, 1)).Of("Aus small"));
    }

    [Fact]
    public void A_limit_stays_one_sided()
    {
        var sieve = Sizes.Taxon("Aus tiny", "length: (0.4–)0.5–1(–1.2) cm").Sieve();
        var answer = sieve.Ask(new Reading("length", new Limited(5, LimitSide.AtMost), Certainty.Sure));
        Assert.True(answer.Of("Aus small") > 5 * answer.Of("Aus large"));
        // Far inside the limit fits as well as at it.
        Assert.InRange(answer.Of("Aus tiny") / answer.Of("Aus small"), 0.9, 1.4);
        var strict = sieve.Ask(
            new SieveQuestion
            {
                Readings = [new Reading("length", new Limited(7, LimitSide.AtLeast), Certainty.Sure)],
                School = School.Strict,
                AllowedDisagreements = 0,
            }
        );
        Assert.Equal(["Aus large"], strict.Pan.Select(c => c.Taxon.Name.Text));
    }

    [Fact]
    public void By_eye_counts_for_less_than_by_ruler()
    {
        var sieve = Sizes.Sieve();
        double With(MeasuredBy by) => sieve.Ask(new Reading("length", new Measured(9, 9, 1) { By = by }, Certainty.Sure)).Of("Aus large");
        Assert.True(With(MeasuredBy.Eye) < With(MeasuredBy.Ruler));
    }

    [Theory]
    [InlineData(Origin.Sucker)]
    [InlineData(Origin.Litter)]
    [InlineData(Origin.Damaged)]
    [InlineData(Origin.Hedge)]
    public void What_is_no_fair_sample_says_less(Origin origin)
    {
        var sieve = Sizes.Sieve();
        var (fair, odd) = (Long("length", 4), Long("length", 4) with { Origin = origin });
        Assert.InRange(sieve.Ask(odd).Of("Aus small"), 0.5, sieve.Ask(fair).Of("Aus small") - 0.005);
    }

    [Fact]
    public void Litter_says_nothing_of_arrangement()
    {
        var reading = Is("arrangement", "opposite", Certainty.Sure) with { Origin = Origin.Litter };
        var (before, after) = (SmallFlora.Sieve.Ask(), SmallFlora.Sieve.Ask(reading));
        foreach (var candidate in before.Candidates)
            Assert.Equal(candidate.Probability, after.Of(candidate.Taxon.Name.Text), 9);
        Assert.All(after.Candidates, candidate => Assert.Empty(candidate.Held));
        Assert.True(after.Doubts.Single().SlipChance < 0.01);
    }

    [Fact]
    public void Width_beside_length_counts_by_the_form_it_adds()
    {
        var flora = new MadeFlora()
            .Measure("blade-length")
            .Measure("blade-width")
            .Measure("slenderness")
            .Taxon("Aus small", "blade-length: 4–6 cm / blade-width: 2–3 cm / slenderness: 1.8–2.2 cm")
            .Taxon("Aus large", "blade-length: 8–12 cm / blade-width: 4–6 cm / slenderness: 1.8–2.2 cm");
        var sieve = flora.Sieve(AsItStands with { Strangers = 0 });
        var length = sieve.Ask(Long("blade-length", 7.5));
        var both = sieve.Ask(Long("blade-length", 7.5), Long("blade-width", 3.75));
        // The two kinds are of one form, so that the width of a leaf of known length says nothing new.
        Assert.Equal(length.Of("Aus large"), both.Of("Aus large"), 3);
    }

    [Fact]
    public void Readings_that_repeat_each_other_are_damped()
    {
        Character Correlated(Character c) => c with { Correlation = new Correlation("hair", 1) };
        var alike = new MadeFlora()
            .States("twig-hair", "none dense", c => (StateCharacter)Correlated(c))
            .States("leaf-hair", "none dense", c => (StateCharacter)Correlated(c))
            .Taxon("Aus bald", "twig-hair: none / leaf-hair: none")
            .Taxon("Aus woolly", "twig-hair: dense / leaf-hair: dense")
            .Sieve(AsItStands);
        var one = alike.Ask(Is("twig-hair", "dense")).Of("Aus woolly");
        Assert.Equal(one, alike.Ask(Is("twig-hair", "dense"), Is("leaf-hair", "dense")).Of("Aus woolly"), 9);
        // Kish: two readings that repeat each other to 30 % count as 2 / 1.3.
        var third = new MadeFlora()
            .States("a", "no yes", c => c with { Correlation = new Correlation("x", 0.3) })
            .States("b", "no yes", c => c with { Correlation = new Correlation("x", 0.3) })
            .Taxon("Aus bald", "a: no / b: no")
            .Flora;
        Assert.Equal(1 / 1.3, Damping.Weight(Is("a", "yes"), [Is("a", "yes"), Is("b", "yes")], third), 12);
    }

    [Fact]
    public void What_only_supports_counts_for_less()
    {
        MadeFlora Flora(double weight) =>
            new MadeFlora()
                .States("crown", "round narrow", c => c with { Weight = weight })
                .Taxon("Aus round", "crown: round")
                .Taxon("Aus narrow", "crown: narrow");
        Assert.True(
            Flora(0.5).Sieve().Ask(Is("crown", "round")).Of("Aus round") < Flora(1).Sieve().Ask(Is("crown", "round")).Of("Aus round")
        );
    }

    [Fact]
    public void Habitat_is_one_sided()
    {
        var sieve = new MadeFlora()
            .States("habitat", "water woods dry sand", c => c with { OneSided = true, Variety = true })
            .Taxon("Aus tolerant", "habitat: water, woods, dry, sand")
            .Taxon("Aus picky", "habitat: water")
            .Sieve();
        // On its own ground the picky kind is not the likelier for being picky; elsewhere it is unlikely.
        var wet = sieve.Ask(Is("habitat", "water"));
        Assert.Equal(wet.Of("Aus tolerant"), wet.Of("Aus picky"), 3);
        Assert.True(sieve.Ask(Is("habitat", "dry")).Of("Aus tolerant") > 2.5 * sieve.Ask(Is("habitat", "dry")).Of("Aus picky"));
    }

    [Fact]
    public void Several_shapes_on_one_tree_say_much_and_one_shape_says_little()
    {
        var sieve = new MadeFlora()
            .States("shape", "ovate mitten three-lobed", c => c with { Variety = true })
            .Taxon("Aus varius", "shape: ovate, mitten, three-lobed")
            .Taxon("Aus simplex", "shape: ovate")
            .Sieve(SieveModel.Standard with { Strangers = 0 });
        Assert.True(
            sieve.Ask(new Reading("shape", new StatesSeen(["ovate", "mitten"], StateMode.AllSeen), Certainty.Fair)).Of("Aus varius") > 0.9
        );
        Assert.InRange(sieve.Ask(Is("shape", "ovate")).Of("Aus varius"), 0.2, 0.5);
    }

    [Fact]
    public void Young_trees_and_garden_forms_may_lack_what_the_kind_has()
    {
        var no = new Reading("fruiting", new Today(false), Certainty.Sure);
        var day = new Circumstances { Date = new LocalDate(2026, 9, 15) };
        double Loss(Circumstances circumstances) =>
            SmallFlora.Sieve.Ask(circumstances, no).Of("Sorbus aucuparia") / SmallFlora.Sieve.Ask(circumstances).Of("Sorbus aucuparia");
        Assert.True(Loss(day with { Age = Age.Young }) > Loss(day), $"{Loss(day with { Age = Age.Young })} {Loss(day)}");
        Reading thornless = Is("armature", "none", Certainty.Sure);
        double Kept(Setting setting) =>
            SmallFlora.Sieve.Ask(new Circumstances { Setting = setting }, thornless).Of("Robinia pseudoacacia")
            / SmallFlora.Sieve.Ask(new Circumstances { Setting = setting }).Of("Robinia pseudoacacia");
        Assert.True(Kept(Setting.Planted) > 1.5 * Kept(Setting.Wild), $"{Kept(Setting.Planted)} {Kept(Setting.Wild)}");
    }
}
