using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using Xunit;

namespace VerdantSieve.Core.Tests.Measuring;

/// <summary>1 inch is 2.54 cm and 1 foot 30.48 cm exactly (international yard and pound agreement, 1959).</summary>
public class QuantityParserTests
{
    [Theory]
    [InlineData("14.5 cm", 14.5, 14.5)]
    [InlineData("145 mm", 14.5, 14.5)]
    [InlineData("14.5", 14.5, 14.5)]
    [InlineData("3 1/2 in", 8.89, 8.89)]
    [InlineData("3/4\"", 1.905, 1.905)]
    [InlineData("5-8 in", 12.7, 20.32)]
    [InlineData("5–8 in", 12.7, 20.32)]
    [InlineData("5 to 8 inches", 12.7, 20.32)]
    [InlineData("0.2 m", 20, 20)]
    [InlineData("½ in", 1.27, 1.27)]
    [InlineData("8-5 cm", 5, 8)]
    public void Lengths_are_read_in_the_units_people_use(string text, double low, double high)
    {
        var quantity = QuantityParser.Parse(text, MeasureUnit.Centimetre).Value;
        Assert.Equal(low, quantity.Low, 6);
        Assert.Equal(high, quantity.High, 6);
    }

    [Theory]
    [InlineData("60 ft", 18.288)]
    [InlineData("18 m", 18)]
    public void Heights_are_kept_in_metres(string text, double metres)
    {
        var quantity = QuantityParser.Parse(text, MeasureUnit.Metre).Value;
        Assert.Equal(metres, quantity.Low, 6);
    }

    [Theory]
    [InlineData("a hand")]
    [InlineData("")]
    [InlineData("-3 cm")]
    [InlineData("5 furlongs")]
    [InlineData("1/0 in")]
    public void What_is_no_length_is_refused_with_a_sentence(string text)
    {
        var problem = Assert.Single(QuantityParser.Parse(text, MeasureUnit.Centimetre).Faults).Sentence;
        Assert.NotEmpty(problem);
    }

    // Each blank used to be tried for each part of an amount: eight hundred of them held a processor for a minute.
    [Theory(Timeout = 5000)]
    [InlineData(' ')]
    [InlineData('\t')]
    [InlineData('1')]
    public async Task However_long_it_is_an_answer_comes_at_once(char filler)
    {
        var parsed = await Task.Run(
            () => QuantityParser.Parse("1" + new string(filler, 100_000) + "x!", MeasureUnit.Centimetre),
            TestContext.Current.CancellationToken
        );
        Assert.NotEmpty(parsed.Faults);
        Assert.Empty(QuantityParser.Parse("1" + new string(' ', 1000) + "cm", MeasureUnit.Centimetre).Faults);
    }

    [Fact]
    public void A_ratio_has_no_unit() => Assert.NotEmpty(QuantityParser.Parse("2 cm", MeasureUnit.Ratio).Faults);

    [Fact]
    public void Inches_are_said_in_fractions() =>
        Assert.Equal("3 1/2 in", LengthWords.Say(8.89, MeasureUnit.Centimetre, LengthStyle.Inches));
}

/// <summary>Samples, limits and estimates as people write them.</summary>
public class SampleParserTests
{
    [Theory]
    [InlineData("12, 14, 9.5 cm", 9.5, 14, 12.0, 3)]
    [InlineData("12; 14; 9.5; 13", 9.5, 14, 12.0, 4)]
    [InlineData("4 5 6 mm", 0.4, 0.6, 0.5, 3)]
    [InlineData("5-9 cm, mostly 7", 5, 9, 7.0, null)]
    [InlineData("5-9, mostly 7 cm", 5, 9, 7.0, null)]
    [InlineData("50-90 mm, mean 65", 5, 9, 6.5, null)]
    [InlineData("9,5 cm", 9.5, 9.5, null, null)]
    [InlineData("3 1/2 in", 8.89, 8.89, null, null)]
    public void Several_leaves(string text, double low, double high, double? usual, int? leaves)
    {
        var read = QuantityParser.Parse(text, MeasureUnit.Centimetre).Value;
        Assert.Equal(low, read.Low, 9);
        Assert.Equal(high, read.High, 9);
        Assert.Equal(leaves, read.Leaves);
        Assert.Equal(usual ?? 0, read.Usual ?? 0, 9);
    }

    [Theory]
    [InlineData("up to 5 cm", LimitSide.AtMost, 5, MeasuredBy.Ruler)]
    [InlineData("< 50 mm", LimitSide.AtMost, 5, MeasuredBy.Ruler)]
    [InlineData("at least 2 in", LimitSide.AtLeast, 5.08, MeasuredBy.Ruler)]
    [InlineData("about 6 cm", null, 6, MeasuredBy.Eye)]
    [InlineData("~ 6 cm", null, 6, MeasuredBy.Eye)]
    [InlineData("about up to 6 cm", LimitSide.AtMost, 6, MeasuredBy.Eye)]
    [InlineData("2 hands", null, 18, MeasuredBy.Hand)]
    [InlineData("1 1/2 hand-widths", null, 13.5, MeasuredBy.Hand)]
    public void Limits_and_estimates(string text, LimitSide? limit, double value, MeasuredBy by)
    {
        var read = QuantityParser.Parse(text, MeasureUnit.Centimetre).Value;
        Assert.Equal(limit, read.Limit);
        Assert.Equal(by, read.By);
        Assert.Equal(value, read.Low, 9);
    }

    [Theory]
    [InlineData("up to 5-8 cm")]
    [InlineData("5-9, mostly 12")]
    [InlineData("5 cm, mostly 2 in")]
    [InlineData("12, 14, cm")]
    [InlineData("about")]
    [InlineData("mostly 7")]
    [InlineData("0, 5 cm")]
    public void Nonsense_is_refused_with_a_message(string text)
    {
        var problem = Assert.Single(QuantityParser.Parse(text, MeasureUnit.Centimetre).Faults).Sentence;
        Assert.NotEmpty(problem);
    }

    [FsCheck.Xunit.Property(MaxTest = Cases.Many)]
    public bool What_is_said_of_a_reading_can_be_typed_back(int seed)
    {
        var random = new Random(seed);
        var length = new MeasureCharacter("length", MeasureUnit.Centimetre)
        {
            Part = "x",
            Label = "x",
            Question = "x",
            Phrase = "{}",
        };
        double Size() => Math.Round(0.5 + 30 * random.NextDouble(), 1);
        var (low, high) = (Size(), Size());
        if (low > high)
            (low, high) = (high, low);
        Observation observation = random.Next(3) switch
        {
            0 => new Limited(low, random.Next(2) == 0 ? LimitSide.AtMost : LimitSide.AtLeast),
            1 when low < high => new Measured(low, high, 3)
            {
                Typical = Math.Round((low + high) / 2, 1),
                By = random.Next(2) == 0 ? MeasuredBy.Eye : MeasuredBy.Ruler,
            },
            _ => new Measured(low, high, 3),
        };
        if (!QuantityParser.Parse(Wording.Typed(observation, length), MeasureUnit.Centimetre).Has(out var read))
            return false;
        return observation switch
        {
            Limited limited => read.Limit == limited.Side && Math.Abs(read.Low - limited.Limit) < 1e-9,
            Measured measured => Math.Abs(read.Low - measured.Low) < 1e-9
                && Math.Abs(read.High - measured.High) < 1e-9
                && Math.Abs((read.Usual ?? 0) - (measured.Typical ?? 0)) < 1e-9
                && read.By == measured.By,
            _ => false,
        };
    }
}
