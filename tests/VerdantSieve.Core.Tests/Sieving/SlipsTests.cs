using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using Xunit;
using static VerdantSieve.Core.Tests.Sieving.Readings;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>How often observers slip, and to what.</summary>
public class SlipsTests
{
    [Theory]
    [InlineData(0)]
    [InlineData(0.02)]
    [InlineData(0.3)]
    [InlineData(1)]
    public void Every_row_of_a_confusion_table_adds_up_to_one(double rate)
    {
        foreach (var character in SmallFlora.Flora.Characters.OfType<StateCharacter>().Where(c => c.States.Count > 1))
        {
            var table = Slips.Confusion(character, rate);
            for (var shown = 0; shown < character.States.Count; shown++)
            {
                Assert.Equal(1, Enumerable.Range(0, character.States.Count).Sum(read => table[shown, read]), 12);
                Assert.Equal(1 - rate, table[shown, shown], 12);
            }
        }
    }

    [Fact]
    public void Declared_confusions_get_their_share_and_the_rest_goes_evenly()
    {
        var character = new StateCharacter("c")
        {
            Part = "",
            Label = "",
            Question = "",
            Phrase = "",
            States = [new("a", "", ""), new("b", "", ""), new("c", "", ""), new("d", "", "")],
            Confusions = [new Confusion("a", "b", 0.6)],
        };
        var table = Slips.Confusion(character, 0.1);
        Assert.Equal(0.06 + 0.04 / 3, table[0, 1], 12);
        Assert.Equal(0.04 / 3, table[0, 2], 12);
        Assert.Equal(table[0, 2], table[0, 3], 12);
    }

    [Fact]
    public void Where_some_words_are_declared_to_be_taken_for_others_the_rest_are_not_loose()
    {
        var made = new StateCharacter("c")
        {
            Part = "",
            Label = "",
            Question = "",
            Phrase = "",
            States = [new("a", "", ""), new("b", "", ""), new("c", "", "")],
        };
        var open = Slips.Words(made, 0.1, 0.2).Meant;
        var declared = Slips.Words(made with { Confusions = [new Confusion("a", "b", 0.6)] }, 0.1, 0.2).Meant;
        Assert.Equal(0.9 * 0.8, open[2, 2], 12);
        Assert.Equal(0.9, declared[2, 2], 12);
        Assert.Equal(0.9 * 0.8, declared[0, 0], 12);
    }

    [Fact]
    public void Neighbours_in_a_series_are_taken_for_each_other_most()
    {
        var table = Slips.Confusion((StateCharacter)SmallFlora.Flora.Character("underside-hair"), 0.1);
        Assert.True(table[0, 1] > 3 * table[0, 3]);
        Assert.Equal(table[1, 0], table[1, 2], 12);
    }

    [Fact]
    public void One_state_alone_cannot_be_misread() =>
        Assert.Equal(
            1,
            Slips.Confusion(
                new StateCharacter("c")
                {
                    Part = "",
                    Label = "",
                    Question = "",
                    Phrase = "",
                    States = [new("a", "", "")],
                },
                0.3
            )[0, 0]
        );

    [Theory]
    [InlineData(Certainty.Sure, MeasuredBy.Ruler, 0.04)]
    [InlineData(Certainty.Sure, MeasuredBy.Hand, 0.15)]
    [InlineData(Certainty.Guess, MeasuredBy.Hand, 0.25)]
    [InlineData(Certainty.Sure, MeasuredBy.Eye, 0.25)]
    public void The_error_of_a_measurement_is_the_larger_of_certainty_and_way(Certainty certainty, MeasuredBy by, double error) =>
        Assert.Equal(error, SieveModel.MeasuringError(certainty, by));

    [Fact]
    public void A_plant_from_a_garden_is_twice_as_often_a_stranger()
    {
        double None(Setting? setting) => SmallFlora.Sieve.Ask(new Circumstances { Setting = setting }).NoneOfThese;
        Assert.Equal(SieveModel.Standard.Strangers, None(null), 9);
        Assert.Equal(2 * None(Setting.Wild), None(Setting.Planted), 9);
    }

    [Fact]
    public void Native_and_common_come_before_introduced_and_scarce()
    {
        MadeFlora flora = new MadeFlora()
            .States("bark", "grey red")
            .Taxon("Aus communis", "bark: grey")
            .Taxon("Aus rarus", "bark: grey", t => t with { Abundance = Abundance.Scarce })
            .Taxon("Aus advena", "bark: grey", t => t with { Distribution = new Distribution(["FRA"], ["ORE"]) })
            .Taxon("Aus hortensis", "bark: grey", t => t with { Settings = [Setting.Planted] });
        var wild = flora.Sieve().Ask(new Circumstances { Region = "ORE", Setting = Setting.Wild });
        Assert.True(
            wild.Of("Aus communis") > wild.Of("Aus advena")
                && wild.Of("Aus advena") > wild.Of("Aus rarus")
                && wild.Of("Aus rarus") > wild.Of("Aus hortensis")
        );
        var planted = flora.Sieve().Ask(new Circumstances { Region = "ORE", Setting = Setting.Planted });
        Assert.Equal(planted.Of("Aus communis"), planted.Of("Aus advena"), 12);
        // Nothing said of the setting: it does not count.
        var anywhere = flora.Sieve().Ask();
        Assert.Equal(anywhere.Of("Aus communis"), anywhere.Of("Aus hortensis"), 12);
    }

    [Fact]
    public void Counts_are_judged_by_the_usual_number_and_limits_by_their_side()
    {
        var sieve = new MadeFlora()
            .Count("leaflets")
            .Taxon("Aus ternatus", "leaflets: 3(–5)")
            .Taxon("Aus multus", "leaflets: 9–15")
            .Sieve();
        Assert.True(sieve.Ask(new Reading("leaflets", new Counted(3, 9) { Usual = 3 }, Certainty.Fair)).Of("Aus ternatus") > 0.8);
        Assert.True(sieve.Ask(new Reading("leaflets", new Limited(8, LimitSide.AtLeast), Certainty.Fair)).Of("Aus multus") > 0.7);
        Assert.True(sieve.Ask(new Reading("leaflets", new Limited(5, LimitSide.AtMost), Certainty.Fair)).Of("Aus ternatus") > 0.7);
    }

    [Fact]
    public void More_slips_than_are_to_be_believed_keep_a_name_from_being_given()
    {
        // The same answer with and without the check: only the name is withheld.
        Reading[] readings =
        [
            Is("foliage", "needle", Certainty.Sure),
            Is("needle-grouping", "bundles", Certainty.Sure),
            new Reading("needles-per-bundle", new Counted(5, 5), Certainty.Sure),
            Long("cone-length", 40),
            Is("bark-pattern", "papery"),
            Is("twig-hair", "dense"),
            Is("bud-form", "stalked"),
            Is("needle-tip", "notched"),
        ];
        var (strict, lenient) = (
            new Sieve(SmallFlora.Flora).Ask(readings),
            new Sieve(SmallFlora.Flora, SieveModel.Standard with { BelievableSlips = 0 }).Ask(readings)
        );
        Assert.Equal(lenient.Candidates[0].Probability, strict.Candidates[0].Probability, 12);
        Assert.True(strict.Candidates[0].Held.Count >= 3);
        Assert.NotEqual(TaxonRank.Species, strict.Determination.Rank);
    }
}
