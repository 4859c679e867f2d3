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
        Assert.Contains(words, Wording.Of(new Reading(character, new StatesSeen([state], StateMode.Is), Certainty.Fair), ShippedFlora.Flora));

    [Fact]
    public void Lengths_follow_the_readers_units()
    {
        var reading = new Reading("blade-length", new Measured(12.7, 20.32, 3), Certainty.Fair);
        Assert.Contains("12.7–20.3 cm", Wording.Of(reading, ShippedFlora.Flora));
        Assert.Contains("5–8 in", Wording.Of(reading, ShippedFlora.Flora, LengthStyle.Inches));
    }

    [Fact]
    public void Scores_say_how_often()
    {
        var character = ShippedFlora.Flora.Character("arrangement");
        Assert.True(ScoreNotation.TryParse("opposite, rarely whorled", character, out var score, out _));
        var words = Wording.Of(score, character);
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
        foreach (var taxon in ShippedFlora.Flora.Taxa)
            foreach (var (id, score) in taxon.Scores) Assert.NotEmpty(Wording.Of(score, ShippedFlora.Flora.Character(id), LengthStyle.Inches));
    }

    [Fact]
    public void Names_are_found_however_they_are_typed()
    {
        foreach (var name in new[] { "Platanus × hispanica", "platanus x hispanica", "Platanus ×hispanica", "Platanus × acerifolia" })
            Assert.Equal("Platanus × hispanica", ShippedFlora.Flora.FindTaxon(name)?.Name.Text);
        Assert.Equal("hispanica", new ScientificName("Platanus × hispanica").Epithet);
        Assert.Equal([("Rhus", true), ("aromatica", true), ("var.", false), ("trilobata", true)], new ScientificName("Rhus aromatica var. trilobata").Words());
    }
}
