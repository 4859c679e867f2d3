using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>“None of these”, and readings that do not fit.</summary>
public class StrangersTests
{
    // Forty kinds in ten genera; one has a rare mark, one several shapes.
    private static MadeFlora Forty(bool supports = false, bool bark = false)
    {
        var flora = new MadeFlora()
            .States("smell", "none almond", c => c with { OnlySupports = supports })
            .States("shape", "ovate round lobed linear", c => c with { Variety = true, OnlySupports = supports })
            .States("tip", "sharp blunt", c => c with { OnlySupports = supports });
        if (bark)
            flora.States("bark", "grey red");
        for (var i = 0; i < 40; i++)
        {
            var shape = i == 7 ? "ovate, round, lobed" : new[] { "ovate", "round", "lobed", "linear" }[i % 4];
            flora.Taxon(
                $"{(char)('A' + i / 4)}us s{(char)('a' + i % 26)}{i}",
                $"smell: {(i == 3 ? "almond" : "none")} / shape: {shape} / tip: {(i % 2 == 0 ? "sharp" : "blunt")}"
                    + (bark ? $" / bark: {(i / 4 % 2 == 0 ? "grey" : "red")}" : "")
            );
        }
        return flora;
    }

    [Fact]
    public void A_rare_mark_speaks_for_the_kind_that_has_it_and_not_for_a_stranger()
    {
        var answer = Forty().Sieve().Ask(Readings.Is("smell", "almond", Certainty.Sure));
        Assert.Equal("Aus sd3", answer.Candidates[0].Taxon.Name.Text);
        Assert.True(answer.NoneOfThese < 0.3, $"{answer.NoneOfThese}");
        Assert.False(answer.Doubts[0].IsPointedAt);
        Assert.Contains("Rare: only one kind shows it; make sure of it.", answer.Determination.Sentence.ToString());
        Assert.DoesNotContain("Rare", Forty().Sieve().Ask(Readings.Is("tip", "sharp")).Determination.Sentence.ToString());
    }

    [Fact]
    public void Several_shapes_of_one_plant_speak_for_the_kind_that_varies_and_not_for_a_stranger()
    {
        var shapes = new Reading("shape", new StatesSeen(["ovate", "round", "lobed"], StateMode.AllSeen), Certainty.Sure);
        var answer = Forty().Sieve().Ask(shapes);
        Assert.Equal("Bus sh7", answer.Candidates[0].Taxon.Name.Text);
        Assert.True(answer.NoneOfThese < 0.3, $"{answer.NoneOfThese}");
    }

    [Fact]
    public void A_genus_that_lacks_no_kinds_has_next_to_no_unknown_kin()
    {
        double Unknown(int missing)
        {
            var made = Forty().Flora;
            var flora = new Flora(
                made.About with
                {
                    MissingKinds = "ABCDEFGHIJ".ToDictionary(letter => $"{letter}us", _ => missing),
                },
                made.Vocabulary,
                made.Taxa
            );
            return new Sieve(flora).Ask(Readings.Is("shape", "round")).NoneOfThese;
        }
        Assert.True(Unknown(0) < 0.05);
        Assert.True(Unknown(12) > 2 * Unknown(0));
    }

    [Theory, InlineData(3), InlineData(0)]
    public void A_genus_with_one_kind_here_names_it_with_a_doubt_where_it_has_others_elsewhere(int elsewhere)
    {
        var made = new MadeFlora()
            .States("leaf", "a b c", c => c with { Gaps = 0.001 })
            .States("bud", "a b c", c => c with { Part = "twig", Gaps = 0.001 })
            .Taxon("Aus solus", "leaf: a / bud: a")
            .Taxon("Bus unus", "leaf: b / bud: b")
            .Taxon("Cus duo", "leaf: c / bud: c")
            .Flora;
        var flora = new Flora(
            made.About with
            {
                MissingKinds = new Dictionary<string, int> { ["Aus"] = elsewhere },
            },
            made.Vocabulary,
            made.Taxa
        );
        var said = new Sieve(flora).Ask(Readings.Is("leaf", "a", Certainty.Sure), Readings.Is("bud", "a", Certainty.Sure)).Determination;
        Assert.Equal(elsewhere > 0 ? TaxonRank.Genus : TaxonRank.Species, said.Rank);
        Assert.Contains(elsewhere > 0 ? "Here that means Aus solus, unless" : "This is Aus solus", said.Sentence.ToString());
    }

    // A plant that no kind is like: every reading holds every kind that the others do not.
    private static readonly Reading[] LikeNone =
    [
        Readings.Is("smell", "almond", Certainty.Sure),
        Readings.Is("shape", "linear", Certainty.Sure),
        Readings.Is("tip", "sharp", Certainty.Sure),
    ];

    [Fact]
    public void By_what_only_supports_no_plant_is_more_likely_a_stranger_than_not()
    {
        var model = SieveModel.Standard with { Strangers = 0.6 };
        Assert.True(Forty().Sieve(model).Ask(LikeNone).NoneOfThese > 0.5);
        var supported = Forty(supports: true).Sieve(model).Ask(LikeNone);
        Assert.Equal(0.5, supported.NoneOfThese, 9);
        Assert.Equal(0.5, supported.Candidates.Sum(candidate => candidate.Probability), 9);
    }

    // A look that parts the forty in two tells more of those that are known than of a stranger, which might show either.
    [Fact]
    public void What_only_supports_leaves_a_look_at_something_else_its_worth()
    {
        double Bits(bool supports) =>
            Forty(supports, bark: true)
                .Sieve(SieveModel.Standard with { Strangers = 0.9 })
                .Ask(LikeNone)
                .NextLooks.Single(look => look.Character.Id == "bark")
                .Bits;
        Assert.True(Bits(supports: true) > 1.2 * Bits(supports: false), $"{Bits(supports: true)} and {Bits(supports: false)}");
    }

    private static SieveAnswer Contradicted(double gaps) =>
        new MadeFlora()
            .States("leaves", "alternate opposite", c => c with { Gaps = gaps })
            .States("lobes", "none palmate pinnate", c => c with { Gaps = 0.001 })
            .States("fruit", "acorn samara berry", c => c with { Gaps = 0.001 })
            .Taxon("Quercus prima", "leaves: alternate / lobes: pinnate / fruit: acorn")
            .Taxon("Acer secundum", "leaves: opposite / lobes: palmate / fruit: samara")
            .Taxon("Cornus tertia", "leaves: opposite / lobes: none / fruit: berry")
            .Sieve()
            .Ask(
                Readings.Is("leaves", "opposite"),
                Readings.Is("lobes", "pinnate", Certainty.Sure),
                Readings.Is("fruit", "acorn", Certainty.Sure)
            );

    [Fact]
    public void A_doubt_says_whether_the_reading_or_the_flora_is_the_likelier_to_be_wrong()
    {
        var slip = Contradicted(0.001);
        Assert.Equal("leaves", slip.Doubts[0].Reading.Character);
        Assert.True(slip.Doubts[0] is { IsPointedAt: true, IsFlorasFault: false });
        var gap = Contradicted(0.4);
        Assert.True(gap.Doubts[0] is { IsPointedAt: true, IsFlorasFault: true });
        Assert.True(gap.Doubts[0].GapChance > gap.Doubts[0].SlipChance);
    }

    [Fact]
    public void Strict_says_how_many_pass_with_a_disagreement_and_how_many_of_them_grow_here()
    {
        var flora = new MadeFlora().States("a", "x y").States("b", "x y").States("c", "x y");
        for (var i = 0; i < 8; i++)
            flora.Taxon(
                $"Aus s{(char)('a' + i)}",
                $"a: {(i == 0 ? "x" : "y")} / b: x / c: x",
                taxon =>
                    taxon with
                    {
                        Distribution = new Distribution(i < 3 ? ["ORE"] : ["FRA"], []),
                        Abundance = i == 0 ? Abundance.Scarce : Abundance.Common,
                    }
            );
        var question = new SieveQuestion
        {
            Circumstances = new Circumstances { Region = "ORE" },
            School = School.Strict,
            Readings = [Readings.Is("a", "x", Certainty.Guess), Readings.Is("b", "x"), Readings.Is("c", "x")],
        };
        var sentence = flora.Sieve().Ask(question).Determination.Sentence.ToString();
        Assert.Contains("Only Aus sa passes every mesh, but it weighs little; seven more pass if a disagreement is allowed", sentence);
        Assert.Contains("three of the eight grow here", sentence);
        var unforgiving = flora.Sieve().Ask(question with { AllowedDisagreements = 0 }).Determination;
        Assert.DoesNotContain("weighs little", unforgiving.Sentence.ToString());
    }
}
