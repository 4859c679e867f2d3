using VerdantSieve.Core.Measuring;
using Xunit;

namespace VerdantSieve.Core.Tests.Measuring;

/// <summary>Samples measured with a ruler.</summary>
public class SizeSampleTests
{
    [Theory]
    [InlineData("12 x 7, 10 x 5 cm", 11, 6)]
    [InlineData("120 × 70; 100 × 50 mm", 11, 6)]
    [InlineData("12 cm x 70 mm, 10 x 5 cm", 11, 6)]
    public void A_unit_at_the_end_holds_for_sizes_without_one(string typed, double length, double width)
    {
        var sample = SizeSample.Read(typed).Value;
        Assert.Equal(length, sample.Lengths.Mean, 9);
        Assert.Equal(width, sample.Widths!.Mean, 9);
        Assert.Equal(2, sample.Slenderness!.Values.Count);
    }

    [Fact]
    public void Lengths_alone_have_no_widths() => Assert.Null(SizeSample.Read("12, 10, 9.5 cm").Value.Widths);

    [Theory]
    [InlineData("12 x 7, 10 cm", "a width for every leaf")]
    [InlineData("12 x , 10 x 5", "Type")]
    [InlineData(",", "1 to 100 leaves")]
    [InlineData("12 x 7 furlongs", "not a unit")]
    public void What_is_no_sample_is_refused_in_a_sentence(string typed, string said) =>
        Assert.Contains(said, SizeSample.Read(typed).Faults.Single().Sentence);

    // The textbook’s 2, 4, 4, 4, 5, 5, 7, 9: mean 5, squares off it 32 in all; common knowledge, no source.
    [Fact]
    public void The_spread_is_parted_by_one_fewer_than_there_are()
    {
        var sample = new Sample([2, 4, 4, 4, 5, 5, 7, 9]);
        Assert.Equal((5, Math.Sqrt(32.0 / 7)), (sample.Mean, sample.Spread!.Value));
        Assert.Null(new Sample([3]).Spread);
        Assert.Throws<ArgumentException>(() => new Sample([]));
    }
}
