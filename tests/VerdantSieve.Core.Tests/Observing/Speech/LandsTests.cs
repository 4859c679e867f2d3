using Xunit;

namespace VerdantSieve.Core.Tests.Observing.Speech;

/// <summary>Where a plant stands, as people say it.</summary>
public class LandsTests
{
    [Theory]
    [InlineData("Scottish moor", "GRB")]
    [InlineData("an English garden", "GRB")]
    [InlineData("Danish ditch, shrub", "DEN")]
    [InlineData("English oak wood", "GRB")]
    [InlineData("in the Austrian Alps", "AUT")]
    [InlineData("Cascade swamp", "WAS")]
    [InlineData("a cascade of flowers", null)]
    // Kinds are called after peoples as well.
    [InlineData("English oak", null)]
    [InlineData("leaf like the Austrian pine", null)]
    [InlineData("leaves of the English kind", null)]
    [InlineData("Irish", null)]
    public void A_people_is_a_land_only_before_a_place(string text, string? region) => Assert.Equal(region, Spoken.Hear(text).Region);

    [Theory]
    [InlineData("the Ozarks")]
    [InlineData("Ozarks, shrub")]
    public void A_landscape_goes_by_its_name_without_the_article_too(string text) => Assert.Equal("ARK", Spoken.Hear(text).Region);

    [Theory]
    [InlineData("northern Ontario", "ONT")]
    [InlineData("coastal Oregon", "ORE")]
    [InlineData("upstate New York", "NWY")]
    [InlineData("western North Carolina", "NCA")]
    [InlineData("northern England", "GRB")]
    [InlineData("northern Ireland", "IRE")]
    [InlineData("southern Germany", "GER")]
    [InlineData("West Virginia", "WVA")]
    [InlineData("western Virginia", "VRG")]
    public void A_part_of_a_country_is_in_it(string text, string region)
    {
        var heard = Spoken.Hear(text);
        Assert.Equal(region, heard.Region);
        Assert.Empty(heard.Left);
    }
}
