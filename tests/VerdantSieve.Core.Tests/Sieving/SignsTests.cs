using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>Signs that one growth form must have, hybrids between their parents, what can be seen now, and care.</summary>
public class SignsTests
{
    private static Sieve Climbers(string roots) =>
        new MadeFlora()
            .States("habit", "shrub climber")
            .Presence(CharacterIds.AerialRoots)
            .Taxon("Toxicus radicans", $"habit: shrub, climber / aerial-roots: {roots}")
            .Taxon("Innocuus scandens", "habit: climber / aerial-roots: never")
            .Sieve();

    private static Reading[] Seen(string habit, bool roots) =>
        [Readings.Is("habit", habit, Certainty.Sure), Readings.Seen("aerial-roots", roots)];

    [Fact]
    public void A_climber_looked_over_without_roots_is_not_the_kind_whose_climbers_have_them()
    {
        var sieve = Climbers("always when habit is climber");
        var climber = sieve.Ask(Seen("climber", false));
        Assert.True(climber.Of("Toxicus radicans") < 0.06, $"{climber.Of("Toxicus radicans")}");
        Assert.Equal(["aerial-roots"], climber.Candidates.Single(c => c.Taxon.Name.Text == "Toxicus radicans").Held);
        // As a shrub it need not have them.
        var shrub = sieve.Ask(Seen("shrub", false));
        Assert.Equal("Toxicus radicans", shrub.Candidates[0].Taxon.Name.Text);
        Assert.Empty(shrub.Candidates[0].Held);
        // Where it is said without the condition, the form makes no difference.
        Assert.True(Climbers("sometimes").Ask(Seen("climber", false)).Of("Toxicus radicans") > 0.1);
    }

    [Fact]
    public void A_sign_by_form_is_written_as_it_is_read_and_must_name_a_form()
    {
        var flora = Climbers("always when habit is climber").Flora;
        var (score, character) = (flora.FindTaxon("Toxicus radicans")!.Scores["aerial-roots"], flora.Character("aerial-roots"));
        Assert.Equal("always when habit=climber", ScoreNotation.Format(new Scored(character, score)));
        Assert.Contains("no condition", ScoreNotation.Parse("always when climbing", character).Faults[0].Message);
        Assert.Throws<ArgumentException>(() => Climbers("always when habit=tree"));
    }

    private static SieveAnswer Hybrid(string hair) =>
        new MadeFlora()
            .States("hair", "none sparse dense", c => c with { Ordered = true })
            .Measure("length")
            .Taxon("Aus calvus", "hair: none / length: 2–3 cm")
            .Taxon("Aus lanatus", "hair: dense / length: 8–12 cm")
            .Taxon("Aus × medius", "", taxon => taxon with { HybridOf = ["Aus calvus", "Aus lanatus"] })
            .Sieve()
            .Ask(Readings.Is("hair", hair, Certainty.Sure), Readings.Long("length", 5));

    [Fact]
    public void What_lies_between_its_parents_speaks_for_the_hybrid()
    {
        var thin = Hybrid("sparse");
        Assert.Equal("Aus × medius", thin.Candidates[0].Taxon.Name.Text);
        Assert.Empty(thin.Candidates[0].Held);
        Assert.True(Hybrid("none").Of("Aus × medius") < thin.Of("Aus × medius"));
    }

    [Fact]
    public void A_hybrid_flowers_from_the_first_of_its_parents_to_the_last()
    {
        SeasonWindow Window(string text) => SeasonWindow.Parse(text).Value;
        Assert.Equal("1 Apr – 30 Jun", Window("1 Apr – 10 May").Through(Window("20 May – 30 Jun")).ToString());
        Assert.Equal("1 Apr – 30 Jun", Window("20 May – 30 Jun").Through(Window("1 Apr – 10 May")).ToString());
        Assert.Equal("1 Dec – 10 Feb", Window("20 Jan – 10 Feb").Through(Window("1 Dec – 5 Jan")).ToString());
        Assert.Equal("1 Apr – 10 May", Window("1 Apr – 10 May").Through(Window("5 Apr – 20 Apr")).ToString());
    }

    private static Sieve Woods() =>
        new MadeFlora()
            .States("shape", "ovate round", c => c with { Part = "blade" })
            .States("bud", "red black", c => c with { Part = "twig" })
            .States(CharacterIds.LeafPersistence, "deciduous evergreen", c => c with { Part = "whole-plant" })
            .States("autumn", "red yellow", c => c with { Part = "surface", Stages = [LeafStage.Turning, LeafStage.LeafFall] })
            .Taxon("Aus unus", "shape: ovate / bud: red / leaf-persistence: deciduous / autumn: red")
            .Taxon("Bus duo", "shape: round / bud: black / leaf-persistence: deciduous / autumn: yellow")
            .Taxon("Cus tres", "shape: ovate / bud: black / leaf-persistence: deciduous / autumn: red")
            .Sieve();

    private static string[] Looks(Circumstances circumstances) =>
        [.. Woods().Ask(circumstances).NextLooks.Select(look => look.Character.Id)];

    [Fact]
    public void In_winter_nothing_is_asked_of_leaves_and_autumn_colour_in_autumn_only()
    {
        Circumstances In(int month) => new() { Region = "OHI", Date = new LocalDate(2026, month, 15) };
        Assert.Equal(["bud"], Looks(In(1)));
        Assert.Equal(["shape", "bud"], Looks(In(7)).Order(StringComparer.Ordinal).Reverse());
        Assert.Contains("autumn", Looks(In(10)));
        // Said of this very plant it counts, whatever the day; without place or day all is asked.
        Assert.DoesNotContain("shape", Looks(In(7) with { Stage = LeafStage.Leafless }));
        Assert.Contains("shape", Looks(In(1) with { Stage = LeafStage.Leaf }));
        Assert.Contains("shape", Looks(Circumstances.Unknown));
    }

    [Theory]
    [InlineData("ORE", 1, LeafStage.Leafless)]
    [InlineData("ORE", 7, LeafStage.Leaf)]
    [InlineData("ONT", 4, LeafStage.Bud)]
    [InlineData("GEO", 4, LeafStage.Leaf)]
    [InlineData("GRB", 10, LeafStage.Turning)]
    [InlineData("QUE", 11, LeafStage.Leafless)]
    public void The_stage_of_the_leaves_is_told_from_date_and_country(string region, int month, LeafStage stage) =>
        Assert.Equal(stage, LeafYear.StageOn(new LocalDate(2026, month, 15).DayOfYear - 1, Regions.CentreOf(region)!.Value));

    [Fact]
    public void Every_country_has_a_centre_on_its_own_side_of_the_sea()
    {
        Assert.All(Regions.Codes, code => Assert.NotNull(Regions.CentreOf(code)));
        Assert.All(
            Regions.Codes.SelectMany(code => Regions.Neighbours(code).Select(next => (code, next))).Where(pair => pair.code != "ASK"),
            pair =>
                Assert.InRange(Math.Abs(Regions.CentreOf(pair.code)!.Value.Latitude - Regions.CentreOf(pair.next)!.Value.Latitude), 0, 16)
        );
        Assert.Null(Regions.CentreOf("XXX"));
    }

    [Fact]
    public void Only_contact_with_the_part_that_hurts_waits()
    {
        SieveAnswer With(HazardPart part) =>
            new MadeFlora()
                .States("shape", "a b", c => c with { Part = "blade" })
                .States("sap", "clear milky", c => c with { Part = "whole-plant", Contact = true })
                .States("feel", "rough smooth", c => c with { Part = "surface", Contact = true })
                .Taxon(
                    "Aus malus",
                    "shape: a / sap: milky / feel: rough",
                    taxon => taxon with { Hazards = [new Hazard(HazardKind.SkinIrritant, "It burns.") { Part = part }] }
                )
                .Taxon("Bus bonus", "shape: b / sap: clear / feel: smooth")
                .Sieve()
                .Ask();
        string[] Held(HazardPart part) =>
            [.. With(part).NextLooks.Where(look => look.HeldBack is not null).Select(look => look.Character.Id)];
        Assert.Equal(["sap"], Held(HazardPart.Sap));
        Assert.Equal(["feel", "sap"], Held(HazardPart.Any).Order(StringComparer.Ordinal));
        Assert.Empty(Held(HazardPart.Seed));
    }

    [Fact]
    public void When_all_that_is_left_burns_the_sieve_says_so_and_asks_for_nothing_near()
    {
        SieveAnswer Ask(bool bothBurn) =>
            new MadeFlora()
                .States("structure", "simple trifoliate", c => c with { Part = "blade" })
                .States("fruit", "white red", c => c with { Part = "fruit", Effort = 1 })
                .States("lens", "a b", c => c with { Part = "blade", Effort = 2.5 })
                .Taxon("Aus urens", "structure: trifoliate / fruit: white / lens: a", Burns)
                .Taxon("Aus acris", "structure: trifoliate / fruit: red / lens: b", bothBurn ? Burns : taxon => taxon)
                .Taxon("Bus mitis", "structure: simple / fruit: red / lens: b")
                .Sieve()
                .Ask(Readings.Is("structure", "trifoliate", Certainty.Sure));

        static Taxon Burns(Taxon taxon) => taxon with { Hazards = [new Hazard(HazardKind.SkinIrritant, "Touch no part.")] };

        var near = Ask(bothBurn: true);
        Assert.Equal("Touch no part.", near.Enough?.Caution);
        Assert.EndsWith("That is enough to keep away.", near.Determination.Sentence.ToString());
        Assert.Equal(["fruit"], near.NextLooks.Select(look => look.Character.Id));
        var open = Ask(bothBurn: false);
        Assert.Null(open.Enough);
        Assert.Contains("lens", open.NextLooks.Select(look => look.Character.Id));
    }

    [Fact]
    public void The_marks_the_flora_names_come_first_and_what_can_not_be_seen_today_last()
    {
        var flora = new MadeFlora()
            .States("bud", "red black", c => c with { Part = "twig" })
            .States("shape", "ovate round", c => c with { Part = "blade" })
            .States("autumn", "red yellow", c => c with { Part = "surface", Stages = [LeafStage.Turning] })
            .Taxon(
                "Aus unus",
                "bud: red, sometimes black / shape: ovate / autumn: red",
                taxon => taxon with { Doubles = [new PlantDouble("Aus duo", "bud red") { Marks = ["bud"] }] }
            )
            .Taxon("Aus duo", "bud: black / shape: round / autumn: yellow")
            .Flora;
        string[] On(int month, int day) =>
            [
                .. new Sieve(flora)
                    .TellApart([.. flora.Taxa], new Circumstances { Region = "OHI", Date = new LocalDate(2026, month, day) })
                    .Select(separation => separation.Character.Id),
            ];
        Assert.Equal(["bud", "shape", "autumn"], On(7, 1));
        Assert.Equal("bud", On(10, 10)[0]);
        var unmarked = flora.With(flora.FindTaxon("Aus unus")! with { Doubles = [] });
        Assert.Equal("shape", new Sieve(unmarked).TellApart([.. unmarked.Taxa], Circumstances.Unknown)[0].Character.Id);
    }

    [Fact]
    public void It_is_said_which_kind_of_sign_a_reading_is()
    {
        var flora = new MadeFlora().States("leaves", "alternate opposite").Presence("milk").States("bark", "grey brown").Count("lobes");
        for (var i = 0; i < 40; i++)
            flora.Taxon(
                $"Aus s{(char)('a' + i % 26)}{i}",
                $"leaves: {(i < 20 ? "alternate" : "opposite")} / milk: {(i == 0 ? "always" : "never")} / bark: grey, brown"
            );
        Reading[] readings = [Readings.Is("leaves", "alternate"), Readings.Seen("milk", true), Readings.Is("bark", "grey")];
        var bearings = flora.Sieve().Bearings(flora.Flora.FindTaxon("Aus sa0")!, new SieveQuestion { Readings = readings });
        Assert.Equal([SignKind.MustHave, SignKind.TellsAll, SignKind.ProvesLittle], bearings.Select(bearing => bearing.Sign));
    }
}
