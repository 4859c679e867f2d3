using VerdantSieve.Core.Drawing;
using Xunit;

namespace VerdantSieve.Core.Tests.Drawing;

/// <summary>Shoots of conifers as their scores have them.</summary>
public class ShootDrawingTests
{
    private static string Drawn(params (string Character, string State)[] scores) =>
        string.Join(' ', ShootDrawing.Likeness(LeafForm.With(scores)).Flat().SelectMany(stroke => stroke.Points));

    [Fact]
    public void Scales_are_drawn_as_scales_however_many_stand_together_and_awls_are_not()
    {
        var pairs = Drawn(("foliage", "scale"), ("needle-grouping", "opposite-scales"));
        Assert.Equal(pairs, Drawn(("foliage", "scale"), ("needle-grouping", "whorls")));
        Assert.Equal(pairs, Drawn(("foliage", "scale")));
        Assert.NotEqual(pairs, Drawn(("foliage", "awl"), ("needle-grouping", "whorls")));
    }

    // Between turned parts nothing is measured by a corner of a box.
    [Theory]
    [InlineData(0)]
    [InlineData(30)]
    [InlineData(90)]
    public void The_box_of_what_is_turned_within_what_is_turned_holds_each_point_and_no_more(double turn)
    {
        var line = new Core.Drawing.Drawing([Stroke.Line(StrokeKind.Vein, new Point(0, 0), new Point(0, 2))]);
        var inner = line.Placed(new Placement(new Point(1, 0), turn, 1));
        var outer = inner.Placed(new Placement(new Point(0, 3), turn, 2));
        var points = outer.Flat().SelectMany(stroke => stroke.Points).ToArray();
        var box = outer.Bounds();
        Assert.Equal(points.Min(point => point.X), box.Low.X, 9);
        Assert.Equal(points.Min(point => point.Y), box.Low.Y, 9);
        Assert.Equal(points.Max(point => point.X), box.High.X, 9);
        Assert.Equal(points.Max(point => point.Y), box.High.Y, 9);
    }
}
