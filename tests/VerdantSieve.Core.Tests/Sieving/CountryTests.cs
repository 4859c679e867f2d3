using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>What holds in one country and not in another: how a kind stands there, and what it shows there.</summary>
public class CountryTests
{
    [Fact]
    public void What_is_no_more_than_planted_is_met_planted_and_hardly_ever_wild()
    {
        var sieve = Stands(new Distribution(["ORE"], [], ["GRB"]), new Distribution(["GRB"], [])).Sieve();
        Assert.Equal(1, Share(sieve, "GRB", Setting.Planted), 2);
        Assert.InRange(Share(sieve, "GRB", null), 0.3, 0.8);
        Assert.InRange(Share(sieve, "GRB", Setting.Wild), 0.01, 0.1);
    }

    [Fact]
    public void What_has_run_wild_is_met_wild_and_planted()
    {
        var sieve = Stands(new Distribution(["ORE"], ["GRB"]), new Distribution(["GRB"], [])).Sieve();
        Assert.True(Share(sieve, "GRB", Setting.Wild) > 0.3);
        Assert.Equal(1, Share(sieve, "GRB", Setting.Planted), 2);
    }

    // Both are native two borders away and in no list of Washington’s; only of the second has somebody looked.
    [Fact]
    public void What_was_looked_for_and_not_found_is_less_likely_than_what_nobody_looked_for()
    {
        var made = Stands(new Distribution(["CAL"], [], [], ["WAS"]), new Distribution(["CAL"], []));
        Assert.InRange(Share(made.Sieve(), "WAS", null), 0.1, 0.5);
        var looked = Stands(new Distribution(["CAL"], []) { Looked = true }, new Distribution(["CAL"], []));
        var keyed = new Flora(looked.Flora.About with { Keyed = ["WAS"] }, looked.Flora.Vocabulary, looked.Flora.Taxa);
        Assert.InRange(Share(new Sieve(keyed), "WAS", null), 0.1, 0.5);
        Assert.Equal(1, Share(looked.Sieve(), "WAS", null), 9);
        Assert.Equal(Occurrence.Absent, keyed.OccurrenceOf(keyed.FindTaxon("Aus primus")!, "WAS"));
        Assert.Equal(["WAS"], keyed.AbsentFrom(keyed.FindTaxon("Aus primus")!));
        Assert.Equal(Occurrence.NotLooked, keyed.OccurrenceOf(keyed.FindTaxon("Aus secundus")!, "WAS"));
    }

    [Fact]
    public void What_is_planted_in_all_temperate_towns_may_stand_in_any_but_not_in_the_wild()
    {
        var sieve = Stands(new Distribution(["JAP"], []) { PlantedWidely = true }, new Distribution(["JAP"], [])).Sieve();
        Assert.True(Share(sieve, "OHI", Setting.Planted) > 5);
        Assert.True(Share(sieve, "OHI", null) > 2);
        Assert.Equal(1, Share(sieve, "OHI", Setting.Wild), 9);
    }

    [Fact]
    public void A_planted_hybrid_is_as_common_as_is_said_and_a_wild_one_rarer_than_its_parents()
    {
        var hybrid = Stands(
            new Distribution([], [], ["GRB"]),
            new Distribution(["GRB"], []),
            aus => aus with { HybridOf = ["Aus secundus", "Aus tertius"] }
        );
        Assert.Equal(1, Share(hybrid.Sieve(), "GRB", Setting.Planted), 2);
        var wild = Stands(
            new Distribution(["GRB"], []),
            new Distribution(["GRB"], []),
            aus => aus with { HybridOf = ["Aus secundus", "Aus tertius"] }
        );
        Assert.True(Share(wild.Sieve(), "GRB", Setting.Planted) < 0.2);
    }

    [Fact]
    public void A_tree_of_the_woods_at_home_stands_where_it_was_planted_abroad()
    {
        var sieve = Habitats("woods, sometimes water").Sieve();
        double Likes(string country, string habitat) =>
            sieve.Ask(new Circumstances { Region = country }, Seen(habitat)).Of("Aus primus")
            / sieve.Ask(new Circumstances { Region = country }).Of("Aus primus");
        Assert.True(Likes("ORE", "woods") > 1);
        Assert.True(Likes("ORE", "planted") < 0.5);
        Assert.True(Likes("GRB", "planted") > 1);
        Assert.True(Likes("GRB", "woods") < 0.5);
        Assert.True(Likes("GRB", "water") < Likes("ORE", "water"));
    }

    [Fact]
    public void A_score_may_say_what_holds_in_one_country()
    {
        var made = Habitats("woods; FRA GRB: water");
        var sieve = made.Sieve();
        double Water(string country) => sieve.Ask(new Circumstances { Region = country }, Seen("water")).Of("Aus primus");
        Assert.True(Water("GRB") > 2 * Water("ORE"));
        var habitat = made.Flora.Character(CharacterIds.Habitat);
        var score = made.Flora.FindTaxon("Aus primus")!.Score(CharacterIds.Habitat)!;
        Assert.Equal("woods; FRA GRB: water", ScoreNotation.Format(new Scored(habitat, score)));
        Assert.Equal("woods; in France and Great Britain water", Wording.Of(new Scored(habitat, score)));
        Assert.NotEqual(score, ScoreNotation.Parse("woods; GRB: water", habitat).Value);
        Assert.Contains("stands twice", ScoreNotation.Parse("woods; GRB: water; GRB: planted", habitat).Faults[0].Message);
    }

    [Fact]
    public void A_double_is_to_be_checked_only_where_it_grows()
    {
        var sieve = new MadeFlora()
            .States("bark", "grey red")
            .States("bud", "black brown")
            .States("leaf", "round long")
            .Taxon(
                "Aus primus",
                "bark: grey / bud: black / leaf: round",
                t => t with { Distribution = new Distribution(["ORE", "GRB"], []), Doubles = [new PlantDouble("Aus secundus", "bark")] }
            )
            .Taxon("Aus secundus", "bark: red / bud: brown / leaf: round", t => t with { Distribution = new Distribution(["ORE"], []) })
            .Sieve();
        string? Checked(string? country) =>
            sieve
                .Ask(
                    new Circumstances { Region = country },
                    Readings.Is("bark", "grey"),
                    Readings.Is("bud", "black"),
                    Readings.Is("leaf", "round")
                )
                .Check?.Double.Name;
        Assert.Equal("Aus secundus", Checked("ORE"));
        Assert.Equal("Aus secundus", Checked(null));
        Assert.Null(Checked("GRB"));
    }

    private static Reading Seen(string habitat) => new(CharacterIds.Habitat, new StatesSeen([habitat], StateMode.Is), Certainty.Fair);

    private static MadeFlora Habitats(string score) =>
        new MadeFlora()
            .States(CharacterIds.Habitat, "woods water planted")
            .Taxon("Aus primus", $"habitat: {score}", t => t with { Distribution = new Distribution(["ORE"], [], ["GRB"]) })
            .Taxon("Aus secundus", "habitat: woods, water, planted", t => t with { Distribution = new Distribution(["ORE", "GRB"], []) });

    private static MadeFlora Stands(Distribution first, Distribution second, Func<Taxon, Taxon>? with = null) =>
        new MadeFlora()
            .States("bark", "grey red")
            .Taxon("Aus primus", "bark: grey", t => (with ?? (x => x))(t with { Distribution = first }))
            .Taxon("Aus secundus", "bark: grey", t => t with { Distribution = second })
            .Taxon("Aus tertius", "bark: grey", t => t with { Distribution = second });

    // How likely the first is for one of the second.
    private static double Share(Sieve sieve, string country, Setting? setting)
    {
        var answer = sieve.Ask(new Circumstances { Region = country, Setting = setting });
        return answer.Of("Aus primus") / answer.Of("Aus secundus");
    }
}
