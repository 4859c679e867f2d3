using VerdantSieve.Core.Trees;
using Xunit;

namespace VerdantSieve.Core.Tests.Trees;

/// <summary>Heights and girths against worked examples.</summary>
public class TreeHeightTests
{
    // Common practice, no source: a stick as long as the arm covers a tree that is as high as it is far away.
    [Theory]
    [InlineData(65, 65, 20, 20)]
    [InlineData(62, 65, 24, 22.9)]
    [InlineData(30, 60, 50, 25)]
    public void By_a_stick_triangles_are_similar(double stick, double arm, double away, double metres) =>
        Assert.Equal(metres, TreeHeight.ByStick(stick, arm, away).Value.Metres);

    // From tables of tangents: tan 45° = 1, tan 30° = 0.5774, tan 5° = 0.0875.
    [Theory]
    [InlineData(45, 0, 30, 30)]
    [InlineData(45, -5, 20, 21.7)]
    [InlineData(30, 5, 40, 19.6)]
    public void By_a_clinometer_tangents_are_taken_from_each_other(double top, double foot, double away, double metres) =>
        Assert.Equal(metres, TreeHeight.ByClinometer(top, foot, away).Value.Metres);

    [Fact]
    public void The_arithmetic_stands_beside_the_number_and_what_it_may_be_off_by()
    {
        var near = TreeHeight.ByClinometer(45, -5, 20).Value;
        Assert.Equal("20 m × (tan 45° − tan -5°)", near.Arithmetic);
        // A degree at 45° is worth twice what it is on the level: d tan = 1 + tan².
        Assert.InRange(near.Error, 0.8, 1.2);
        Assert.True(TreeHeight.ByClinometer(75, -5, 20).Value.Error > 4 * near.Error);
        Assert.True(TreeHeight.Guessed(20).Value.Error > near.Error);
    }

    [Theory]
    [InlineData(0, 65, 20, "stick")]
    [InlineData(60, 5, 20, "arm")]
    [InlineData(60, 65, 900, "away")]
    [InlineData(200, 20, 400, "height")]
    public void Nonsense_is_refused_at_its_field(double stick, double arm, double away, string field) =>
        Assert.Equal(field, Assert.Single(TreeHeight.ByStick(stick, arm, away).Faults).At);

    [Fact]
    public void A_top_below_the_foot_is_refused() => Assert.Equal("top", TreeHeight.ByClinometer(5, 5, 20).Faults[0].At);

    [Fact]
    public void A_girth_is_as_many_times_the_diameter_as_pi_says()
    {
        Assert.Equal(100, new Girth(314.159).Diameter, 2);
        Assert.Throws<ArgumentOutOfRangeException>(() => new Girth(0));
        Assert.Throws<ArgumentOutOfRangeException>(() => new Girth(6001));
    }
}
