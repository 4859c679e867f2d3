using FsCheck;
using FsCheck.Xunit;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using Xunit;

namespace VerdantSieve.Core.Tests.Formats;

public class ScoreNotationTests
{
    private static readonly StateCharacter Arrangement = (StateCharacter)SmallFlora.Flora.Character("arrangement");
    private static readonly MeasureCharacter Length = (MeasureCharacter)SmallFlora.Flora.Character("blade-length");
    private static readonly CountCharacter Lobes = (CountCharacter)SmallFlora.Flora.Character("lobe-count");

    [Fact]
    public void States_carry_how_often_they_are_met()
    {
        var score = ScoreNotation.Parse("opposite, sometimes subopposite, rarely whorled", Arrangement).Value;
        Assert.Equal(
            [("opposite", Frequency.Usual), ("subopposite", Frequency.Sometimes), ("whorled", Frequency.Rare)],
            ((StateScore)score).States.Select(state => (state.State, state.Frequency))
        );
    }

    [Theory]
    [InlineData("(8–)15–30(–45) cm", 8d, 15d, 30d, 45d)]
    [InlineData("15-30 cm", null, 15d, 30d, null)]
    [InlineData("2.5–4(–5.5) cm", null, 2.5, 4d, 5.5)]
    public void Ranges_have_a_core_and_extremes(string text, double? least, double low, double high, double? most)
    {
        var score = ScoreNotation.Parse(text, Length).Value;
        Assert.Equal(new RangeScore(least, low, high, most), score);
    }

    [Theory]
    [InlineData("30–15 cm", "inverted")]
    [InlineData("(20–)15–30 cm", "inverted")]
    [InlineData("15–30 mm", "unit")]
    [InlineData("15–30", "unit")]
    [InlineData("about ten", "no range")]
    [InlineData("0–3 cm", "above 0")]
    public void Wrong_ranges_are_refused_with_what_is_wrong(string text, string says)
    {
        var problem = Assert.Single(ScoreNotation.Parse(text, Length).Faults).Message;
        Assert.Contains(says, problem);
    }

    [Theory]
    [InlineData("opposit", "no state")]
    [InlineData("mostly opposite", "not a frequency")]
    [InlineData("opposite, rarely opposite", "twice")]
    [InlineData("", "names no state")]
    public void Wrong_states_are_refused_with_what_is_wrong(string text, string says)
    {
        var problem = Assert.Single(ScoreNotation.Parse(text, Arrangement).Faults).Message;
        Assert.Contains(says, problem);
    }

    [Theory]
    [InlineData("flowering", "25 Mar – 10 May")]
    [InlineData("flowering", "15 Dec – 30 Apr")]
    [InlineData("base-sprouts", "often")]
    [InlineData("base-sprouts", "30 %")]
    [InlineData("base-sprouts", "never")]
    public void Seasons_and_presences_read_back_as_written(string character, string text)
    {
        var score = ScoreNotation.Parse(text, SmallFlora.Flora.Character(character)).Value;
        Assert.Equal(text, ScoreNotation.Format(new Scored(SmallFlora.Flora.Character(character), score)));
    }

    [Property(MaxTest = Cases.Some)]
    public bool Any_rising_range_reads_back_as_written(PositiveInt a, NonNegativeInt b, NonNegativeInt c, NonNegativeInt d)
    {
        var low = Math.Min(a.Get, 30);
        var score = new RangeScore(
            c.Get % 2 == 0 ? null : Math.Max(1, low - c.Get % 5),
            low,
            low + b.Get % 20,
            d.Get % 2 == 0 ? null : low + b.Get % 20 + d.Get % 9
        );
        return ScoreNotation.Parse(ScoreNotation.Format(new Scored(Lobes, score)), Lobes).Value.Equals(score);
    }
}
