using NodaTime;
using NodaTime.Text;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Observing.Speech;
using Xunit;

namespace VerdantSieve.Core.Tests.Observing.Speech;

/// <summary>Parts of the year beside what was seen, and colours of leaves that mean one thing in summer and another in autumn. The days of
/// the parts are from memory, common practice without a source.</summary>
public class SeasonsTests
{
    private static readonly LocalDate InSummer = new(2026, 8, 20),
        InAutumn = new(2026, 10, 15);

    [Theory]
    [InlineData("white flowers in spring", "flower-colour", "2026-04-16")]
    [InlineData("white flowers in late spring", "flower-colour", "2026-05-16")]
    [InlineData("blooms in early summer", "flowering", "2026-06-10")]
    [InlineData("flowers from late spring to early summer", "flowering", "2026-05-28")]
    [InlineData("red berries in fall", "fruit-colour", "2025-10-11")]
    [InlineData("berries black in autumn", "fruit-colour", "2025-10-11")]
    [InlineData("yellow flowers in winter", "flower-colour", "2026-01-16")]
    [InlineData("flowers white, late spring", "flower-colour", "2026-05-16")]
    [InlineData("white flowers by a spring", "flower-colour", null)]
    public void What_was_seen_then_is_read_as_of_then(string text, string character, string? day)
    {
        var heard = Spoken.Hear(text);
        Assert.Null(heard.Date);
        Assert.Null(heard.Stage);
        Assert.Equal(day, DayOf(heard, character));
    }

    [Fact]
    public void Spring_comes_late_where_it_is_cold()
    {
        var (georgia, quebec) = (DayIn("GEO"), DayIn("QUE"));
        Assert.True(georgia < DayIn(null), $"in Georgia on {georgia}");
        Assert.True(quebec > DayIn(null), $"in Quebec on {quebec}");

        static LocalDate DayIn(string? region) =>
            Spoken
                .Hear("white flowers in spring", InSummer, region)
                .Readings.Single(one => one.Reading.Character == "flower-colour")
                .Reading.Day!.Value;
    }

    [Fact]
    public void By_itself_it_is_the_day_of_the_look()
    {
        Assert.Equal(new LocalDate(2026, 5, 16), Spoken.Hear("leaves opposite, late spring").Date);
        Assert.Equal(new LocalDate(2026, 5, 16), Spoken.Hear("late spring, white flowers").Date);
        Assert.Equal(Core.Seasons.LeafStage.Leafless, Spoken.Hear("in winter").Stage);
    }

    [Theory]
    [InlineData("leaves yellow", "leaf-colour")]
    [InlineData("leaves yellow in autumn", "autumn-colour")]
    [InlineData("leaves yellow in October", "autumn-colour")]
    public void In_summer_a_colour_of_leaves_is_the_foliages(string text, string character) =>
        Assert.Equal([character], Spoken.Hear(text, InSummer).Readings.Select(one => one.Reading.Character));

    [Theory]
    [InlineData("leaves yellow", "autumn-colour")]
    [InlineData("leaves yellow in summer", "leaf-colour")]
    [InlineData("flowers yellow", "flower-colour")]
    public void In_autumn_it_is_that_of_leaves_that_turn(string text, string character) =>
        Assert.Equal([character], Spoken.Hear(text, InAutumn).Readings.Select(one => one.Reading.Character));

    [Fact]
    public void What_young_leaves_show_is_not_said_of_the_grown_ones()
    {
        Assert.Contains(Spoken.Hear("leaves bronze").Readings, one => one.Reading.Observation is StatesSeen { States: ["purple"] });
        var young = Spoken.Hear("young leaves bronze");
        Assert.Empty(young.Readings);
        Assert.NotEmpty(young.Left);
    }

    private static string? DayOf(Heard heard, string character) =>
        heard.Readings.Single(one => one.Reading.Character == character).Reading.Day is { } day ? LocalDatePattern.Iso.Format(day) : null;
}
