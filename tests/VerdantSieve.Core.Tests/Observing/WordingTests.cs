using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using Xunit;

namespace VerdantSieve.Core.Tests.Observing;

public class WordingTests
{
    [Theory]
    [InlineData("arrangement", "opposite", "leaves in pairs")]
    [InlineData("lobe-tip", "bristle", "bristle")]
    public void Readings_are_said_plainly(string character, string state, string words) =>
        Assert.Contains(words, Wording.Of(new Reading(character, new StatesSeen([state], StateMode.Is), Certainty.Fair), SmallFlora.Flora));

    [Fact]
    public void Lengths_follow_the_readers_units()
    {
        var reading = new Reading("blade-length", new Measured(12.7, 20.32, 3), Certainty.Fair);
        Assert.Contains("12.7–20.3 cm", Wording.Of(reading, SmallFlora.Flora));
        Assert.Contains("5–8 in", Wording.Of(reading, SmallFlora.Flora, LengthStyle.Inches));
    }

    [Fact]
    public void Numbers_are_said_with_both_ends_where_they_differ()
    {
        string Said(Counted lobes) => Wording.Of(new Reading("lobe-count", lobes, Certainty.Fair), SmallFlora.Flora);
        Assert.Contains("3–5 ", Said(new Counted(3, 5)));
        Assert.Contains(" 5 ", $" {Said(new Counted(5, 5))}");
        Assert.DoesNotContain("–", Said(new Counted(5, 5)));
    }

    [Fact]
    public void Scores_say_how_often()
    {
        var character = SmallFlora.Flora.Character("arrangement");
        var score = ScoreNotation.Parse("opposite, rarely whorled", character).Value;
        var words = Wording.Of(new Scored(character, score));
        Assert.StartsWith("usually", words);
        Assert.Contains("rarely", words);
    }

    [Theory]
    [InlineData(0, "never")]
    [InlineData(0.05, "rarely")]
    [InlineData(0.25, "now and then")]
    [InlineData(0.6, "often")]
    [InlineData(0.9, "nearly always")]
    [InlineData(1, "always")]
    public void Presence_is_said_in_words(double frequency, string words) => Assert.Equal(words, Wording.HowOften(frequency));

    [Fact]
    public void Every_score_of_the_flora_can_be_said()
    {
        foreach (var taxon in SmallFlora.Flora.Taxa)
            foreach (var (id, score) in taxon.Scores)
                Assert.NotEmpty(Wording.Of(new Scored(SmallFlora.Flora.Character(id), score), LengthStyle.Inches));
    }

    [Fact]
    public void Names_are_found_however_they_are_typed()
    {
        foreach (var name in new[] { "Platanus × hispanica", "platanus x hispanica", "Platanus ×hispanica", "Platanus × acerifolia" })
            Assert.Equal("Platanus × hispanica", SmallFlora.Flora.FindTaxon(name)?.Name.Text);
        Assert.Equal("hispanica", new ScientificName("Platanus × hispanica").Epithet);
        Assert.Equal(
            [("Rhus", true), ("aromatica", true), ("var.", false), ("trilobata", true)],
            ScientificName.WordsOf("Rhus aromatica var. trilobata")
        );
    }

    [Fact]
    public void Samples_limits_and_estimates_are_said_as_they_were_made()
    {
        string Say(Observation observation, string character = "blade-length") =>
            Wording.Of(new Reading(character, observation, Certainty.Fair), SmallFlora.Flora);
        Assert.Equal("blade mostly 6 cm (4–9 cm) long", Say(new Measured(4, 9, 5) { Typical = 6 }));
        Assert.Equal("blade about 6 cm long", Say(new Measured(6, 6, 1) { By = MeasuredBy.Eye }));
        Assert.Equal("blade up to 5 cm long", Say(new Limited(5, LimitSide.AtMost)));
        Assert.Equal("blade at least about 18 cm long", Say(new Limited(18, LimitSide.AtLeast) { By = MeasuredBy.Hand }));
        Assert.Equal("mostly 7 (5–9) leaflets", Say(new Counted(5, 9) { Usual = 7 }, "leaflet-count"));
    }

    [Fact]
    public void What_a_kind_has_is_said_with_its_season_where_it_is_read()
    {
        var flora = SmallFlora.Flora;
        var maple = flora.FindTaxon("Acer macrophyllum")!;
        Assert.Equal("leaves in pairs", Wording.Has(new Scored(flora.Character("arrangement"), maple.Scores["arrangement"])));
        var (here, uphill) = (
            Wording.Has(new Scored(flora.Character("flowering"), maple.Scores["flowering"])),
            Wording.Has(new Scored(flora.Character("flowering"), maple.Scores["flowering"]), 14)
        );
        Assert.StartsWith("flowers ", here);
        Assert.NotEqual(here, uphill);
    }

    [Fact]
    public void What_was_counted_is_said_in_the_words_of_the_vocabulary_the_most_first()
    {
        string Say(string character, params TallyLine[] lines) =>
            Wording.Of(new Reading(character, new Tallied(lines), Certainty.Fair), SmallFlora.Flora);
        Assert.Contains(
            "lobed like a hand (7×) and lobed on one side (1×)",
            Say("lobing", new TallyLine("one-sided", 1), new TallyLine("palmate", 7))
        );
        Assert.Contains("3 (2×) and 5 (1×)", Say("leaflet-count", new TallyLine("3", 2), new TallyLine("5", 1)));
    }

    [Theory]
    [InlineData(1, "in pairs")]
    [InlineData(0.4, "sometimes")]
    [InlineData(0.05, "rarely")]
    public void A_counted_share_is_said_by_the_nearest_word(double share, string word) =>
        Assert.Contains(
            word,
            Wording.Of(
                new Scored(
                    SmallFlora.Flora.Character("arrangement"),
                    new StateScore([new StateFrequency("opposite", Frequency.Of(share)), new StateFrequency("alternate", Frequency.Usual)])
                )
            )
        );

    [Fact]
    public void Every_origin_but_a_fair_sample_has_words() =>
        Assert.All(Enum.GetValues<Origin>(), origin => Assert.Equal(origin == Origin.FairSample, Wording.Of(origin).Length == 0));
}
