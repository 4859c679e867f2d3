using VerdantSieve.Core.Observing;
using Xunit;

namespace VerdantSieve.Core.Tests.Observing.Speech;

/// <summary>Numbers and sizes as they are said.</summary>
public class AmountsSpokenTests
{
    [Theory]
    [InlineData("leaf 10 cm or more long", "at least 10")]
    [InlineData("leaf 10 or more cm long", "at least 10")]
    [InlineData("leaf 10 cm or less", "at most 10")]
    [InlineData("leaf 10+ cm long", "at least 10")]
    [InlineData("leaf at least 10 cm long", "at least 10")]
    [InlineData("leaf up to 10 cm long", "at most 10")]
    [InlineData("leaf 10 cm long", "10 to 10")]
    [InlineData("leaf 8 to 10 cm long", "8 to 10")]
    // A range is said in full: the word before it adds nothing.
    [InlineData("leaf up to 8 to 10 cm long", "8 to 10")]
    [InlineData("leathery, 10 cm long", "10 to 10")]
    [InlineData("leathery 10 cm long", "10 to 10")]
    public void A_limit_is_a_limit_and_a_size_a_size(string text, string expected)
    {
        var read = Spoken.Hear(text).Readings.Single(one => one.Reading.Character == "blade-length").Reading.Observation;
        Assert.Equal(
            expected,
            read switch
            {
                Limited limited => $"at {(limited.Side == Core.Measuring.LimitSide.AtMost ? "most" : "least")} {limited.Limit}",
                Measured measured => $"{measured.Low} to {measured.High}",
                _ => read.ToString(),
            }
        );
    }

    // What is denied of one side is said of the other.
    [Theory]
    [InlineData("leaves never more than 10 cm long", "blade-length=<=10")]
    [InlineData("leaves more than 10 cm long", "blade-length=>=10")]
    [InlineData("leaves rarely over 10 cm long", "blade-length=<=10")]
    [InlineData("leaves don't get over 10 cm long", "blade-length=<=10")]
    [InlineData("leaves do not exceed 10 cm", "blade-length=<=10")]
    [InlineData("leaves not less than 4 cm long", "blade-length=>=4")]
    [InlineData("leaves less than 4 cm long", "blade-length=<=4")]
    [InlineData("leaves no longer than 10 cm", "blade-length=<=10")]
    [InlineData("leaves longer than 10 cm", "blade-length=>=10")]
    [InlineData("leaves not wider than 4 cm", "blade-width=<=4")]
    [InlineData("leaves narrower than 4 cm", "blade-width=<=4")]
    [InlineData("leaves not bigger than my hand", "blade-length=<=18")]
    [InlineData("leaves bigger than my hand", "blade-length=>=18")]
    [InlineData("leaves not as long as my hand", "blade-length=<=18")]
    [InlineData("leaves as long as my hand", "blade-length=about 18")]
    [InlineData("never more than 5 lobes", "lobe-count=<=5")]
    [InlineData("no fewer than 5 lobes", "lobe-count=>=5")]
    // Behind it as well as before.
    [InlineData("leaves 10 cm at the most", "blade-length=<=10")]
    [InlineData("leaves 10 cm long at most", "blade-length=<=10")]
    [InlineData("leaves 10 cm long or more", "blade-length=>=10")]
    [InlineData("leaves 4 cm min", "blade-length=>=4")]
    [InlineData("five lobes or more", "lobe-count=>=5")]
    [InlineData("leaves 10 cm at least 3 cm wide", "blade-length=10; blade-width=>=3")]
    [InlineData("leaves up to about 10 cm long", "blade-length=<=10")]
    public void A_limit_that_is_denied_is_one_on_the_other_side(string text, string expected)
    {
        var heard = Spoken.Hear(text);
        Assert.Equal(expected, string.Join("; ", SpokenNotation.Of(heard)));
        Assert.Empty(heard.Left);
    }

    [Theory]
    [InlineData("leaves at least 5 cm and at most 8 cm long", "blade-length=5..8")]
    [InlineData("no more than 8 cm long, at least 5 cm", "blade-length=5..8")]
    [InlineData("leaves usually 6 to 8 cm long, never more than 10 cm", "blade-length=6..10")]
    [InlineData("leaves at least 5 cm, mostly 8 cm long", "blade-length=5..8")]
    [InlineData("leaves at most 8 cm, mostly 5 cm long", "blade-length=5..8")]
    [InlineData("leaves at most 8 cm, rarely 10 cm long", "blade-length=<=10")]
    [InlineData("leaves at least 5 cm, rarely 4 cm long", "blade-length=>=4")]
    // The first is kept of two that can't both be.
    [InlineData("leaves at least 8 cm, at most 5 cm long", "blade-length=>=8")]
    [InlineData("leaves 8 cm long, at most 5 cm long", "blade-length=8")]
    [InlineData("leaves at least 5 cm, at least 8 cm long", "blade-length=>=5")]
    [InlineData("leaves 5 cm long, 60 mm long", "blade-length=5..6")]
    [InlineData("leaves 2 in long, 6 cm long", "blade-length=5.1..6")]
    public void Two_amounts_of_one_thing_are_put_together(string text, string expected) =>
        Assert.Equal([expected], SpokenNotation.Of(Spoken.Hear(text)));

    [Theory]
    [InlineData("leaves 5 x 3, 6 x 4 and 7 x 4 cm", "blade-length=5..7; blade-width=3..4")]
    [InlineData("leaves 5 x 3 cm, 70 x 40 mm", "blade-length=5..7; blade-width=3..4")]
    [InlineData("leaves 50 x 30 mm", "blade-length=5; blade-width=3")]
    [InlineData("leaves 5-8 by 3-4 cm, 6-10 by 3 cm", "blade-length=5..10; blade-width=3..4")]
    [InlineData("leaves 5 mm to 2 cm long", "blade-length=0.5..2")]
    [InlineData("leaves 20 mm to 5 cm long", "blade-length=2..5")]
    public void Each_number_has_its_own_unit_or_that_of_what_comes_behind_it(string text, string expected) =>
        Assert.Equal(expected, string.Join("; ", SpokenNotation.Of(Spoken.Hear(text))));

    [Theory]
    [InlineData("not five-lobed", "five-lobed")]
    [InlineData("leaves do not have 3 lobes", "3 lobes")]
    [InlineData("leaves not 10 cm long", "10 cm long")]
    public void What_a_number_is_not_does_not_say_what_it_is(string text, string left)
    {
        var heard = Spoken.Hear(text);
        Assert.Empty(heard.Readings);
        Assert.Contains(heard.Left, one => one.Text.Contains(left, StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("leaves 12, 14 cm long", "blade-length=12..14")]
    [InlineData("leaves 12, 14, 9 long", "blade-length=9..14")]
    [InlineData("leaves 12, 14 and 9 cm", "blade-length=9..14")]
    // Two numbers with nothing behind them may be anything: the second alone has a way.
    [InlineData("leaves 12, 14 long", "blade-length=14")]
    public void Numbers_in_a_row_are_a_sample(string text, string expected) =>
        Assert.Equal([expected], SpokenNotation.Of(Spoken.Hear(text)));

    [Theory]
    [InlineData("leaf 5-9 cm, sometimes 11 long", "blade-length=5..11")]
    [InlineData("leaf 5-9, sometimes 11 cm long", "blade-length=5..11")]
    [InlineData("leaf 5-9, rarely 11 cm long", "blade-length=5..11")]
    [InlineData("leaf 5-9 cm, sometimes up to 11 cm", "blade-length=5..11")]
    [InlineData("leaf 5-9 cm long", "blade-length=5..9")]
    // Each in its own unit.
    [InlineData("leaf 2-3 in, sometimes 4 cm long", "blade-length=4..7.6")]
    [InlineData("leaf at most 8 cm, rarely 90 mm long", "blade-length=<=9")]
    public void What_is_met_now_and_then_widens_what_is_usual(string text, string expected) =>
        Assert.Equal([expected], SpokenNotation.Of(Spoken.Hear(text)));

    [Theory]
    [InlineData("leaf 8 cm in length and 5 cm in width", "blade-length=8; blade-width=5")]
    [InlineData("leaf with a length of 8 cm and a width of 5 cm", "blade-length=8; blade-width=5")]
    [InlineData("leaf length 8 cm width 5 cm", "blade-length=8; blade-width=5")]
    [InlineData("leaf width 5 cm length 8 cm", "blade-width=5; blade-length=8")]
    [InlineData("blade length: 8 cm; blade width: 5 cm", "blade-length=8; blade-width=5")]
    [InlineData("leaf is 8 cm long, 5 wide", "blade-length=8; blade-width=5")]
    [InlineData("leaf wide 5 cm", "blade-width=5")]
    [InlineData("petiole length 3 cm", "petiole-length=3")]
    public void A_way_that_is_named_before_a_size_is_that_of_the_size(string text, string expected)
    {
        var heard = Spoken.Hear(text);
        Assert.Equal(expected, string.Join("; ", SpokenNotation.Of(heard)));
        Assert.Empty(heard.Left);
    }

    [Theory]
    [InlineData("leaves 4 inches long", "blade-length=10.2")]
    [InlineData("leaves 4-ish inches long", "blade-length=about 10.2")]
    [InlineData("leaves 4 inches or so long", "blade-length=about 10.2")]
    [InlineData("leaves perhaps 4 inches long", "blade-length=about 10.2")]
    [InlineData("leaf a couple of inches long", "blade-length=5.1")]
    [InlineData("leaf a couple of lobes", "lobe-count=2")]
    public void Words_for_roughly_and_for_two_are_heard(string text, string expected) =>
        Assert.Equal([expected], SpokenNotation.Of(Spoken.Hear(text)));

    [Theory]
    [InlineData("twig 10 cm long")]
    [InlineData("thorns 10 cm long")]
    public void What_has_no_size_in_the_flora_is_told(string text)
    {
        var heard = Spoken.Hear(text);
        Assert.DoesNotContain(heard.Readings, one => one.Reading.Observation is Measured);
        Assert.Contains(heard.Left, left => left.Text.Contains("10 cm", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("two long needles", "needles-per-bundle=2")]
    [InlineData("two long stiff needles", "needles-per-bundle=2; needle-stiffness=firm")]
    [InlineData("needles 2 long", "foliage=needle; needle-length=2")]
    [InlineData("leaf 8 long with teeth", "blade-length=8; margin=toothed")]
    public void A_number_before_a_long_thing_counts_it_and_behind_it_says_how_long(string text, string expected) =>
        Assert.Equal(expected, string.Join("; ", SpokenNotation.Of(Spoken.Hear(text))));

    [Theory]
    [InlineData("berries 1 cm across", "fruit-length")]
    [InlineData("fruit 1 cm in diameter", "fruit-length")]
    [InlineData("leaf 10 cm across", "blade-width")]
    [InlineData("leaf 10 cm in diameter", "blade-width")]
    [InlineData("trunk 10 cm across", "trunk-thickness")]
    [InlineData("acorn 1 cm across", null)]
    [InlineData("white flowers 1 cm across", null)]
    [InlineData("thorns 1 cm wide", null)]
    public void A_width_is_that_of_what_was_named(string text, string? character) =>
        Assert.Equal(
            character,
            Spoken.Hear(text).Readings.Select(one => one.Reading).SingleOrDefault(read => read.Observation is Measured)?.Character
        );

    [Theory]
    [InlineData("leaves a hand long", true)]
    [InlineData("leaves like a hand", false)]
    [InlineData("leaves spread in a hand", false)]
    public void A_hand_is_a_size_where_it_is_no_shape(string text, bool size) =>
        Assert.Equal(size, Spoken.Hear(text).Readings.Any(one => one.Reading.Observation is Measured));

    [Theory]
    [InlineData("a shrub", false)]
    [InlineData("a shrub, no spines", true)]
    [InlineData("a shrub, doesn't have any spines", true)]
    [InlineData("a shrub, does not have spines", true)]
    [InlineData("a shrub, lacking spines", true)]
    public void What_is_said_to_be_lacking_is_read_as_lacking(string text, bool said) =>
        Assert.Equal(
            said,
            Spoken.Hear(text).Readings.Any(one => one.Reading is { Character: "armature", Observation: StatesSeen { States: ["none"] } })
        );

    [Theory]
    [InlineData("leaves the size of a dinner plate", "blade-length 27")]
    [InlineData("leaves as wide as a dinner-plate", "blade-width 27")]
    [InlineData("leaves as big as my hand", "blade-length 18")]
    [InlineData("leaves half as long as my hand", "blade-length 9")]
    [InlineData("leaves twice the size of my hand", "blade-length 36")]
    [InlineData("leaves bigger than my hand", "blade-length at least 18")]
    [InlineData("leaves narrower than a finger", "blade-width at most 8")]
    [InlineData("thumb-sized leaves", "blade-length 6")]
    [InlineData("leaves like dinner plates", "blade-length 27")]
    [InlineData("pea-sized acorns", "fruit-length 0.8")]
    [InlineData("acorns the size of a plum", "fruit-length 4.5")]
    // A shape, a kind of plant and a thing alone are no sizes.
    [InlineData("leaves like a hand")]
    [InlineData("leaves like an egg")]
    [InlineData("leaves bigger than a plum")]
    [InlineData("an egg on the ground")]
    public void Sizes_are_held_against_things(string text, params string[] sizes) =>
        Assert.Equal(sizes, Spoken.Hear(text).Readings.Select(one => SizeOf(one.Reading)).Where(size => size.Length > 0));

    private static string SizeOf(Reading reading) =>
        reading.Observation switch
        {
            Limited { Side: Core.Measuring.LimitSide.AtMost } limited => FormattableString.Invariant(
                $"{reading.Character} at most {limited.Limit}"
            ),
            Limited limited => FormattableString.Invariant($"{reading.Character} at least {limited.Limit}"),
            Measured { By: Core.Measuring.MeasuredBy.Eye } measured => FormattableString.Invariant($"{reading.Character} {measured.Low}"),
            _ => "",
        };
}
