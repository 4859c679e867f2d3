using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using Xunit;
using static VerdantSieve.Core.Tests.Sieving.Readings;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>How far a name is carried, on what grounds, and what is asked next.</summary>
public class DeterminationTests
{
    private static readonly Sieve Sieve = SmallFlora.Sieve;

    [Fact]
    public void The_place_settles_a_close_call_and_the_sentence_says_so()
    {
        var sieve = new MadeFlora()
            .States("bark", "grey red")
            .States("margin", "entire serrate", c => c with { Part = "twig" })
            .States("texture", "thin thick")
            .Taxon("Aus vulgaris", "bark: grey / margin: serrate / texture: thin")
            .Taxon(
                "Aus peregrinus",
                "bark: grey / margin: serrate / texture: thin",
                t => t with { Distribution = new Distribution(["FRA"], []) }
            )
            .Sieve(SieveModel.Standard with { Strangers = 0.001 });
        Reading[] readings = [Is("bark", "grey"), Is("margin", "serrate"), Is("texture", "thin")];
        var anywhere = sieve.Ask(readings);
        Assert.Equal(0.5, anywhere.Of("Aus vulgaris") / (anywhere.Of("Aus vulgaris") + anywhere.Of("Aus peregrinus")), 9);
        var here = sieve.Ask(new Circumstances { Region = "ORE" }, readings);
        Assert.True(here.Determination.SettledByRange);
        Assert.Equal(("Aus vulgaris", "Aus peregrinus"), (here.Grounds!.Leader.Name.Text, here.Grounds.Rival.Name.Text));
        Assert.Equal(1, here.Grounds.PlaceShare, 6);
        Assert.Contains("The place settles it", here.Determination.Sentence.ToString());
        Assert.False(anywhere.Determination.SettledByRange);
    }

    [Theory]
    [InlineData(0, "Still open between two kinds. Most likely Aus")]
    [InlineData(40, "Still wide open. Most likely Aus")]
    public void It_lies_between_a_few_kinds_where_they_weigh_more_than_all_the_others(int others, string sentence)
    {
        var flora = new MadeFlora().States("margin", "entire serrate").States("bark", "grey red");
        Add("Aus serratus", "margin: serrate / bark: grey");
        Add("Ausia dentata", "margin: serrate / bark: red");
        for (var other = 0; other < others; other++)
            Add($"Bus{(char)('a' + (other % 26))}{(char)('a' + (other / 26))} integra", "margin: entire / bark: grey");
        var certainty = others > 10 ? Certainty.Guess : Certainty.Fair;
        var said = flora.Sieve(SieveModel.Standard with { Strangers = 0.001 }).Ask(Is("margin", "serrate", certainty));
        Assert.StartsWith(sentence, said.Determination.Sentence.ToString());
        Assert.Equal(others == 0, said.Determination.Sentence.ToString().Contains("would part them"));

        void Add(string name, string scores) => flora.Taxon(name, scores, taxon => taxon with { Family = $"{taxon.Name.Genus}aceae" });
    }

    [Fact]
    public void Neighbours_count_by_the_borders_between()
    {
        var flora = new MadeFlora().States("bark", "grey red");
        foreach (var (name, region) in new[] { ("Aus hic", "ORE"), ("Aus iuxta", "IDA"), ("Aus ultra", "MNT"), ("Aus procul", "FRA") })
            flora.Taxon(name, "bark: grey", t => t with { Distribution = new Distribution([region], []) });
        var chances = flora.Sieve().Ask(new Circumstances { Region = "ORE" }).Candidates.Select(c => c.Taxon.Name.Text);
        Assert.Equal(["Aus hic", "Aus iuxta", "Aus ultra", "Aus procul"], chances);
    }

    [Fact]
    public void Disputed_kinds_stop_at_the_aggregate_with_the_reason()
    {
        var said = Sieve
            .Ask(
                Is("armature", "thorns", Certainty.Sure),
                Is("fruit-type", "pome", Certainty.Sure),
                Is("fruit-colour", "black", Certainty.Sure),
                Is("structure", "simple", Certainty.Sure),
                Is("shape", "obovate", Certainty.Sure),
                Is("tooth-extent", "upper-part", Certainty.Sure),
                Is("bud-form", "rounded", Certainty.Sure)
            )
            .Determination;
        Assert.Equal((TaxonRank.Aggregate, "Crataegus douglasii agg."), (said.Rank, said.Name));
        Assert.Contains("authorities differ", said.Sentence.ToString());
        Assert.NotEmpty(said.For);
        Assert.DoesNotContain(said.For, reason => reason.ToString().Contains("gaylussacia"));
    }

    [Fact]
    public void A_genus_of_kinds_near_alike_in_leaf_is_offered_as_such_with_what_to_look_at_instead()
    {
        var said = Sieve
            .Ask(
                Is("bud-scales", "one", Certainty.Sure),
                Is("structure", "simple", Certainty.Sure),
                Is("arrangement", "alternate", Certainty.Sure),
                Is("shape", "obovate"),
                Is("leaf-persistence", "deciduous", Certainty.Sure),
                Is("fruit-type", "cottony-capsule", Certainty.Sure)
            )
            .Determination;
        Assert.Equal((TaxonRank.Genus, "Salix"), (said.Rank, said.Name));
        Assert.Contains("near alike in leaf", said.Sentence.ToString());
    }

    [Fact]
    public void Stamens_part_the_aggregate()
    {
        var answer = Sieve.Ask(
            Is("armature", "thorns", Certainty.Sure),
            Is("flower-cluster", "flat-head", Certainty.Sure),
            new Reading("stamen-count", new Counted(20, 20), Certainty.Sure)
        );
        Assert.True(answer.Of("Crataegus gaylussacia") > 10 * answer.Of("Crataegus douglasii"));
    }

    [Fact]
    public void A_hybrid_rises_when_the_marks_of_both_parents_are_mixed()
    {
        var flora = new MadeFlora();
        foreach (var i in Enumerable.Range(0, 8))
            flora.States($"c{i}", "one other");
        string All(string state) => string.Join(" / ", Enumerable.Range(0, 8).Select(i => $"c{i}: {state}"));
        var sieve = flora
            .Taxon("Aus mater", All("one"))
            .Taxon("Aus pater", All("other"))
            .Taxon("Aus × mixtus", "", t => t with { HybridOf = ["Aus mater", "Aus pater"] })
            .Sieve();
        var mixed = sieve.Ask([.. Enumerable.Range(0, 8).Select(i => Is($"c{i}", i % 2 == 0 ? "one" : "other", Certainty.Sure))]);
        Assert.Equal("Aus × mixtus", mixed.Candidates[0].Taxon.Name.Text);
        var pure = sieve.Ask([.. Enumerable.Range(0, 8).Select(i => Is($"c{i}", "one", Certainty.Sure))]);
        Assert.True(pure.Of("Aus mater") > 100 * pure.Of("Aus × mixtus"));
    }

    [Fact]
    public void A_hybrid_is_not_looked_for_where_its_parents_do_not_meet()
    {
        double Share(string region) =>
            Sieve.Ask(new Circumstances { Region = region }).Of("Betula × utahensis")
            / Sieve.Ask(new Circumstances { Region = region }).Of("Betula occidentalis");
        Assert.True(Share("IDA") > 5 * Share("CAL"));
    }

    [Fact]
    public void A_kind_that_leads_only_because_the_rest_is_worse_is_not_named()
    {
        var flora = new MadeFlora();
        foreach (var i in Enumerable.Range(0, 8))
            flora.States($"c{i}", "one other third", c => c with { Part = i % 2 == 0 ? "blade" : "twig" });
        string All(string state) => string.Join(" / ", Enumerable.Range(0, 8).Select(i => $"c{i}: {state}"));
        var said = flora
            .Taxon("Aus primus", All("one"))
            .Taxon("Bus alter", All("other"))
            .Sieve()
            .Ask([.. Enumerable.Range(0, 8).Select(i => Is($"c{i}", i < 4 ? "one" : "third", Certainty.Sure))])
            .Determination;
        Assert.NotEqual(TaxonRank.Species, said.Rank);
    }

    [Fact]
    public void A_hard_case_is_called_hard_with_reasons_for_and_against()
    {
        var flora = new MadeFlora();
        foreach (var i in Enumerable.Range(0, 9))
            flora.States($"c{i}", "one other", c => c with { Part = i % 2 == 0 ? "blade" : "twig" });
        string Score(int differs) => string.Join(" / ", Enumerable.Range(0, 9).Select(i => $"c{i}: {(i == differs ? "other" : "one")}"));
        var said = flora
            .Taxon("Aus primus", Score(7))
            .Taxon("Bus alter", Score(8))
            .Sieve()
            .Ask([.. Enumerable.Range(0, 9).Select(i => Is($"c{i}", i >= 7 ? "other" : "one", Certainty.Fair))])
            .Determination;
        Assert.True(said.IsHard);
        Assert.Contains("hard case", said.Sentence.ToString());
        Assert.Single(said.For);
        Assert.Single(said.Against);
        Assert.Contains(said.For[0].Runs, run => run.Name);
    }

    [Fact]
    public void Several_looks_are_offered_from_different_organs()
    {
        var offered = Sieve
            .Ask(
                new Circumstances { Date = new LocalDate(2026, 6, 20) },
                Is("foliage", "broad", Certainty.Sure),
                Is("arrangement", "alternate", Certainty.Sure)
            )
            .Offered(5);
        Assert.True(offered.Select(look => Organs.Of(look.Character)).Distinct().Count() >= 3);
        Assert.Equal(offered.Count, offered.Distinct().Count());
    }

    [Fact]
    public void A_notorious_double_prompts_its_check_even_when_the_answer_looks_settled()
    {
        var answer = Sieve.Ask(
            new Circumstances { Region = "ORE" },
            Is("structure", "trifoliate", Certainty.Sure),
            Is("terminal-leaflet", "long-stalked", Certainty.Sure),
            Is("armature", "none", Certainty.Sure),
            Is("fruit-colour", "white", Certainty.Sure)
        );
        Assert.Equal("Toxicodendron diversilobum", answer.Check!.Leader.Name.Text);
        Assert.NotNull(answer.Check.Look);
        Assert.DoesNotContain(answer.Check.Look.Character.Id, new[] { "structure", "terminal-leaflet", "armature", "fruit-colour" });
    }

    [Fact]
    public void With_two_left_it_is_said_what_they_do_not_share_and_what_they_do()
    {
        var answer = new MadeFlora()
            .States("bark", "grey red")
            .States("gloss", "dull shiny")
            .States("hair", "none dense")
            .States("leaf", "broad needle")
            .Taxon("Aus primus", "bark: grey / gloss: dull / hair: none / leaf: broad")
            .Taxon("Aus alter", "bark: red / gloss: dull / hair: dense / leaf: broad")
            .Taxon("Bus acicularis", "bark: red / gloss: dull / hair: none / leaf: needle")
            .Sieve(SieveModel.Standard with { Strangers = 0.01 })
            .Ask(Is("leaf", "broad", Certainty.Sure));
        Assert.Equal(["bark", "hair"], answer.LastTwo!.Differ.Select(c => c.Id).Order());
        Assert.Equal(["gloss"], answer.LastTwo.Shared.Select(c => c.Id));
    }

    [Fact]
    public void Readings_that_contradict_each_other_are_named_as_a_pair()
    {
        var doubt = Sieve
            .Ask(
                Is("foliage", "needle", Certainty.Sure),
                Is("needle-grouping", "bundles", Certainty.Sure),
                Is("needle-tip", "sharp"),
                Is("fruit-type", "acorn")
            )
            .Doubts[0];
        Assert.Equal("fruit-type", doubt.Reading.Character);
        Assert.True(doubt.SlipChance > 0.5, $"{doubt.SlipChance}");
        Assert.NotNull(doubt.Without);
        Assert.True(doubt.Contradicts is not null, "no pair");
        Assert.Contains(doubt.Contradicts!.Character, new[] { "foliage", "needle-grouping", "needle-tip" });
        Assert.Equal("Pinus", doubt.Without!.Value.Leader.Name.Genus);
    }

    // A matrix of another's making: its characters belong to no organ, its taxa to no family.
    private static MadeFlora Matrix(string? part)
    {
        var flora = "one two three four"
            .Split(' ')
            .Aggregate(new MadeFlora(), (made, id) => made.States(id, "yes no", character => character with { Part = part }));
        foreach (var (name, scores) in new[] { ("Aus primus", "yes"), ("Aus alter", "no"), ("Bus primus", "no"), ("Bus alter", "no") })
            flora.Taxon(
                name,
                string.Join(" / ", "one two three four".Split(' ').Select(id => $"{id}: {scores}")),
                taxon => taxon with { Family = null }
            );
        return flora;
    }

    private static SieveAnswer AskAll(MadeFlora flora, string state) =>
        flora
            .Sieve(SieveModel.Standard with { Strangers = 0 })
            .Ask([.. "one two three four".Split(' ').Select(id => Readings.Is(id, state, Certainty.Sure))]);

    [Fact]
    public void A_species_is_named_on_one_organ_only_where_the_flora_does_not_say_which_is_which()
    {
        Assert.Equal("Aus primus", AskAll(Matrix(null), "yes").Determination.Name);
        Assert.NotEqual(TaxonRank.Species, AskAll(Matrix("blade"), "yes").Determination.Rank);
    }

    [Fact]
    public void A_family_that_is_not_given_is_not_named()
    {
        var answer = AskAll(Matrix(null), "no");
        Assert.NotEqual(TaxonRank.Family, answer.Determination.Rank);
        Assert.DoesNotContain("not given", answer.Determination.Sentence.ToString());
        Assert.DoesNotContain(answer.Ranking, share => share.Rank == TaxonRank.Family);
    }
}
