using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
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
        Assert.True(QuantityParser.TryParse(text, MeasureUnit.Centimetre, out var quantity, out var problem), problem);
        Assert.Equal(low, quantity.Low, 6);
        Assert.Equal(high, quantity.High, 6);
    }

    [Theory]
    [InlineData("60 ft", 18.288)]
    [InlineData("18 m", 18)]
    public void Heights_are_kept_in_metres(string text, double metres)
    {
        Assert.True(QuantityParser.TryParse(text, MeasureUnit.Metre, out var quantity, out _));
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
        Assert.False(QuantityParser.TryParse(text, MeasureUnit.Centimetre, out _, out var problem));
        Assert.NotEmpty(problem);
    }

    [Fact]
    public void A_ratio_has_no_unit() => Assert.False(QuantityParser.TryParse("2 cm", MeasureUnit.Ratio, out _, out _));

    [Fact]
    public void Inches_are_said_in_fractions() =>
        Assert.Equal("3 1/2 in", LengthWords.Say(8.89, MeasureUnit.Centimetre, LengthStyle.Inches));
}
