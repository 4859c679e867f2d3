using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>The sieve on the shipped flora, as an observer meets it.</summary>
public class SieveTests
{
    [Fact]
    public void A_maple_with_milky_sap_and_huge_leaves_is_named_with_what_speaks_for_it()
    {
        var answer = Ask(
            State("arrangement", "opposite"),
            State("lobing", "palmate"),
            State("sap", "milky"),
            Length("blade-length", 24),
            State("bud-form", "rounded"),
            State("fruit-hair", "hairy"),
            State("bark-pattern", "interlacing-ridges")
        );
        Assert.Equal((TaxonRank.Species, "Acer macrophyllum"), (answer.Determination.Rank, answer.Determination.Name));
        Assert.StartsWith("This is Acer macrophyllum, bigleaf maple", answer.Determination.Sentence.ToString());
        Assert.Contains(answer.Determination.Sentence.Runs, run => run is { Name: true, Text: "Acer macrophyllum" });
    }

    [Fact]
    public void A_species_is_not_named_from_one_organ_alone()
    {
        var answer = Ask(
            State("arrangement", "opposite", Certainty.Sure),
            State("lobing", "palmate", Certainty.Sure),
            Length("blade-length", 26),
            Length("petiole-length", 24),
            State("lobe-depth", "deep")
        );
        Assert.Contains("look at", answer.Determination.Sentence.ToString());
        Assert.DoesNotContain("This is", answer.Determination.Sentence.ToString());
    }

    [Fact]
    public void Bristle_tipped_lobes_stop_at_the_red_oaks()
    {
        var answer = Ask(
            State("lobing", "pinnate", Certainty.Sure),
            State("lobe-tip", "bristle", Certainty.Sure),
            State("end-bud", "clustered", Certainty.Sure)
        );
        System.IO.File.WriteAllText(
            "/tmp/tmp.txt",
            string.Join("\n", answer.Candidates.Take(12).Select(c => $"{c.Taxon.Name} {c.Probability:0.000}"))
                + $" none {answer.NoneOfThese} slip "
                + string.Join(" ", answer.Doubts.Select(d => $"{d.Reading.Character} {d.SlipChance:0.00}"))
        );
        Assert.Equal((TaxonRank.Group, "red oaks"), (answer.Determination.Rank, answer.Determination.Name));
    }

    [Fact]
    public void A_slip_is_found_and_what_would_come_back_is_named()
    {
        var answer = Ask(
            State("arrangement", "opposite"),
            State("lobing", "pinnate", Certainty.Sure),
            State("lobe-tip", "rounded", Certainty.Sure),
            State("end-bud", "clustered"),
            State("fruit-type", "acorn", Certainty.Sure)
        );
        var doubt = answer.Doubts[0];
        Assert.Equal("arrangement", doubt.Reading.Character);
        Assert.True(doubt.SlipChance > 0.8);
        Assert.Equal("Quercus", answer.Candidates[0].Taxon.Name.Genus);
        Assert.Contains("arrangement", answer.Candidates[0].Held);
    }

    [Fact]
    public void Strict_holds_by_name_and_forgives_by_number()
    {
        Reading[] readings = [State("arrangement", "opposite"), State("lobing", "pinnate"), State("fruit-type", "acorn")];
        var unforgiving = SmallFlora.Sieve.Ask(
            new SieveQuestion
            {
                Readings = readings,
                School = School.Strict,
                AllowedDisagreements = 0,
            }
        );
        var forgiving = SmallFlora.Sieve.Ask(
            new SieveQuestion
            {
                Readings = readings,
                School = School.Strict,
                AllowedDisagreements = 1,
            }
        );
        Assert.Empty(unforgiving.Pan);
        Assert.All(forgiving.Pan, candidate => Assert.Single(candidate.Held));
        Assert.Equal(["arrangement"], forgiving.Pan.Single(candidate => candidate.Taxon.Name.Text == "Quercus garryana").Held);
    }

    [Fact]
    public void A_plant_of_another_flora_is_said_to_be_none_of_these()
    {
        // A coral tree of the tropics: three leaflets, prickles, red pea flowers.
        var answer = Ask(
            State("arrangement", "alternate", Certainty.Sure),
            State("structure", "trifoliate", Certainty.Sure),
            State("armature", "prickles", Certainty.Sure),
            Length("blade-length", 14, 5),
            State("margin", "entire", Certainty.Sure),
            State("flower-form", "pea", Certainty.Sure),
            State("flower-colour", "red", Certainty.Sure),
            State("flower-cluster", "upright-spike", Certainty.Sure),
            State("bark-pattern", "corky", Certainty.Sure)
        );
        Assert.True(answer.NoneOfThese > 0.5);
        Assert.Null(answer.Determination.Rank);
    }

    [Fact]
    public void One_of_these_keeps_the_kinds_of_all_of_them()
    {
        var either = Strictly(new Reading("arrangement", new StatesSeen(["opposite", "alternate"], StateMode.Either), Certainty.Fair));
        Assert.True(Passes(either, "Acer macrophyllum") && Passes(either, "Quercus garryana"));
        var both = Strictly(new Reading("arrangement", new StatesSeen(["alternate", "opposite"], StateMode.AllSeen), Certainty.Fair));
        Assert.False(Passes(both, "Acer macrophyllum") || Passes(both, "Quercus garryana"));
    }

    [Fact]
    public void All_seen_on_one_plant_speaks_for_kinds_that_vary()
    {
        var answer = Ask(
            State("armature", "thorn-tipped-shoots"),
            new Reading("lobing", new StatesSeen(["unlobed", "one-sided"], StateMode.AllSeen), Certainty.Sure)
        );
        Assert.Equal("Malus fusca", answer.Candidates[0].Taxon.Name.Text);
    }

    [Fact]
    public void A_conditional_reading_implies_its_condition()
    {
        // Nobody said that there is fruit; acorns say so themselves.
        var answer = Ask(State("fruit-type", "acorn"));
        Assert.True(answer.Candidates.Where(c => c.Taxon.Family == "Fagaceae").Sum(c => c.Probability) > 0.7);
        Assert.Contains(
            "lobe-count",
            Strictly(new Reading("lobe-count", new Counted(5, 5), Certainty.Fair))
                .Candidates.First(c => c.Taxon.Name.Text == "Salix sitchensis")
                .Held
        );
    }

    [Fact]
    public void No_flowers_in_winter_says_nothing_and_flowers_in_June_say_much()
    {
        var oceanspray = Chance(Ask(new Circumstances { Date = new LocalDate(2026, 6, 20) }), "Holodiscus discolor");
        Assert.True(
            Chance(
                Ask(new Circumstances { Date = new LocalDate(2026, 6, 20) }, new Reading("flowering", new Today(true), Certainty.Sure)),
                "Holodiscus discolor"
            )
                > 2 * oceanspray
        );
        Assert.InRange(
            Chance(
                Ask(new Circumstances { Date = new LocalDate(2026, 12, 20) }, new Reading("flowering", new Today(false), Certainty.Sure)),
                "Holodiscus discolor"
            ),
            0.8 * oceanspray,
            1.3 * oceanspray
        );
    }

    [Fact]
    public void Place_and_setting_weigh_before_anything_is_read()
    {
        var here = Ask(new Circumstances { Region = "ORE", Setting = Setting.Wild });
        Assert.True(Chance(here, "Pseudotsuga menziesii") > 5 * Chance(here, "Ginkgo biloba"));
        var street = Ask(new Circumstances { Region = "ORE", Setting = Setting.Planted });
        Assert.True(Chance(street, "Ginkgo biloba") > 2 * Chance(street, "Salix scouleriana"));
    }

    [Fact]
    public void Touching_waits_while_something_that_burns_is_possible()
    {
        var open = Ask(State("structure", "trifoliate"));
        Assert.Contains(open.Hazards, h => h.Taxon.Name.Text == "Toxicodendron diversilobum" && h.Hazard.Kind == HazardKind.SkinIrritant);
        Assert.All(open.NextLooks.Where(look => look.Character.Contact), look => Assert.StartsWith("Wait with touching: ", look.HeldBack));
        var oaks = Ask(State("lobe-tip", "bristle", Certainty.Sure), State("fruit-type", "acorn", Certainty.Sure));
        Assert.All(oaks.NextLooks, look => Assert.Null(look.HeldBack));
    }

    [Fact]
    public void The_next_look_is_never_one_that_was_answered_and_is_ordered_by_worth()
    {
        var answer = Ask(State("arrangement", "opposite"), new Reading("smell", new CannotTell(), Certainty.Fair));
        Assert.DoesNotContain(answer.NextLooks, look => look.Character.Id is "arrangement" or "smell");
        var free = answer.NextLooks.Where(look => look.HeldBack is null).ToArray();
        // What one glance shows comes first, then all else by worth.
        Assert.Equal(["structure"], free.TakeWhile(look => look.Character.IsGlance).Select(look => look.Character.Id));
        var asked = free.Where(look => !look.Character.IsGlance).Select(look => Math.Round(look.Worth, 3)).ToArray();
        Assert.Equal(asked.OrderDescending(), asked);
    }

    [Fact]
    public void Maple_and_plane_are_told_apart_by_how_their_leaves_sit()
    {
        var rows = SmallFlora.Sieve.TellApart([Taxon("Acer platanoides"), Taxon("Platanus × hispanica")], Circumstances.Unknown);
        Assert.Contains("arrangement", rows.Take(5).Select(row => row.Character.Id));
        Assert.True(rows.Single(row => row.Character.Id == "lobing").Bits < 0.05);
    }

    [Fact]
    public void Reasons_say_what_agrees_and_what_does_not()
    {
        var question = new SieveQuestion
        {
            Readings =
            [
                State("arrangement", "opposite"),
                State("lobing", "palmate"),
                new Reading("acorn-cup", new StatesSeen(["nearly-all"], StateMode.Is), Certainty.Fair),
            ],
        };
        var reasons = SmallFlora.Sieve.Bearings(Taxon("Acer macrophyllum"), question);
        Assert.Equal([Standing.Agrees, Standing.Agrees, Standing.CannotApply], reasons.Select(reason => reason.Standing));
        Assert.True(reasons[0].Bits > 1, $"{reasons[0].Bits}");
        Assert.True(reasons[2].Bits < 0, $"{reasons[2].Bits}");
    }

    [Fact]
    public void Genera_sum_their_kinds_and_a_little_for_kinds_unknown()
    {
        var answer = Ask(State("arrangement", "opposite"));
        var maples = answer.Candidates.Where(c => c.Taxon.Name.Genus == "Acer").Sum(c => c.Probability);
        Assert.InRange(answer.Ranking.Single(share => share is { Rank: TaxonRank.Genus, Name: "Acer" }).Probability, maples, maples + 0.05);
    }

    private static SieveAnswer Ask(params Reading[] readings) => Ask(Circumstances.Unknown, readings);

    private static SieveAnswer Ask(Circumstances circumstances, params Reading[] readings) =>
        SmallFlora.Sieve.Ask(new SieveQuestion { Circumstances = circumstances, Readings = readings });

    private static SieveAnswer Strictly(params Reading[] readings) =>
        SmallFlora.Sieve.Ask(
            new SieveQuestion
            {
                Readings = readings,
                School = School.Strict,
                AllowedDisagreements = 0,
            }
        );

    private static bool Passes(SieveAnswer answer, string name) => answer.Pan.Any(c => c.Taxon.Name.Text == name);

    private static double Chance(SieveAnswer answer, string name) => answer.Candidates.Single(c => c.Taxon.Name.Text == name).Probability;

    private static Taxon Taxon(string name) => SmallFlora.Flora.FindTaxon(name)!;

    private static Reading State(string character, string state, Certainty certainty = Certainty.Fair) =>
        new(character, new StatesSeen([state], StateMode.Is), certainty);

    private static Reading Length(string character, double cm, int leaves = 3) =>
        new(character, new Measured(cm, cm, leaves), Certainty.Fair);
}
