using NodaTime;
using Xunit;

namespace VerdantSieve.Core.Tests.Observing.Speech;

/// <summary>A month beside what was seen is when that was seen; a month by itself is the day of the look.</summary>
public class MonthsTests
{
    [Theory]
    [InlineData("white flowers in May", "flower-colour", "2026-05-15")]
    [InlineData("flowers in late April", "flowering", "2026-04-25")]
    [InlineData("red berries in September", "fruit-colour", "2025-09-15")]
    [InlineData("white flowers on 3 June", "flower-colour", "2026-06-03")]
    [InlineData("May 3 white flowers", "flower-colour", "2026-05-03")]
    [InlineData("white flowers from May to July", "flower-colour", "2026-06-15")]
    [InlineData("white flowers", "flower-colour", null)]
    [InlineData("leaves may be opposite", "arrangement", null)]
    [InlineData("flowers may show white", "flower-colour", null)]
    public void What_was_seen_then_is_read_as_of_then(string text, string character, string? day)
    {
        var heard = Spoken.Hear(text);
        Assert.Null(heard.Date);
        var reading = heard.Readings.Single(each => each.Reading.Character == character).Reading;
        Assert.Equal(day, reading.Day is { } on ? NodaTime.Text.LocalDatePattern.Iso.Format(on) : null);
    }

    [Theory]
    [InlineData("12 May 2025, leaves opposite", "2025-05-12")]
    [InlineData("12 May, leaves opposite", "2026-05-12")]
    [InlineData("1 January 2026, leaves opposite", "2026-01-01")]
    [InlineData("31 December 2025, leaves opposite", "2025-12-31")]
    public void A_day_is_told_from_a_year(string text, string date)
    {
        var heard = Spoken.Hear(text);
        Assert.Equal(date, $"{heard.Date:yyyy-MM-dd}");
        Assert.Empty(heard.Left);
    }

    [Theory]
    [InlineData("May 45, leaves opposite", "45")]
    [InlineData("May 1800, leaves opposite", "1800")]
    public void What_is_neither_is_told(string text, string number)
    {
        var heard = Spoken.Hear(text);
        Assert.Equal(new LocalDate(2026, 5, 15), heard.Date);
        Assert.Contains(heard.Left, left => left.Text.Contains(number, StringComparison.Ordinal));
    }

    [Fact]
    public void Where_nothing_was_seen_it_is_told() =>
        Assert.Contains(Spoken.Hear("flowers in May before them").Left, left => left.Text.Contains("May", StringComparison.Ordinal));

    [Fact]
    public void By_itself_it_is_the_day_of_the_look_and_dates_nothing_else()
    {
        var heard = Spoken.Hear("May, white flowers, leaves opposite");
        Assert.Equal(new LocalDate(2026, 5, 15), heard.Date);
        Assert.All(heard.Readings, each => Assert.Null(each.Reading.Day));
    }

    [Fact]
    public void What_stands_in_another_clause_is_of_today()
    {
        var heard = Spoken.Hear("white flowers in May, leaves opposite");
        Assert.Equal(
            [("flower-colour", new LocalDate(2026, 5, 15)), ("arrangement", (LocalDate?)null)],
            heard.Readings.Select(each => (each.Reading.Character, each.Reading.Day))
        );
        Assert.Empty(heard.Left);
    }
}
