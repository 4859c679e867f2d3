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
    [InlineData("a shrub", false)]
    [InlineData("a shrub, no spines", true)]
    public void What_is_said_to_be_lacking_is_read_as_lacking(string text, bool said) =>
        Assert.Equal(
            said,
            Spoken.Hear(text).Readings.Any(one => one.Reading is { Character: "armature", Observation: StatesSeen { States: ["none"] } })
        );
}
