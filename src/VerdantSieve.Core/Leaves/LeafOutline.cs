using VerdantSieve.Core.Drawing;

namespace VerdantSieve.Core.Leaves;

/// <summary>The outline of a blade as it was traced, in centimetres, with the place where the stalk joins and the tip.</summary>
public sealed class LeafOutline
{
    /// <summary>The fewest corners that make an outline.</summary>
    public const int FewestPoints = 8;

    /// <summary>The most corners that are kept.</summary>
    public const int MostPoints = 4000;

    private LeafOutline(IReadOnlyList<Point> points, Point foot, Point tip)
    {
        Points = points;
        (Foot, Tip) = (foot, tip);
    }

    /// <summary>The outline, closed, anticlockwise, from the place where the stalk joins; the stalk is no part of it.</summary>
    public IReadOnlyList<Point> Points { get; }

    /// <summary>Where the stalk joins.</summary>
    public Point Foot { get; }

    /// <summary>The tip.</summary>
    public Point Tip { get; }

    /// <summary>An outline.</summary>
    /// <param name="points">Its corners, in centimetres, in either direction; y grows upward.</param>
    /// <param name="foot">Where the stalk joins: on the outline or nearly; else its nearest corner is taken.</param>
    /// <param name="tip">The tip, likewise.</param>
    /// <returns>The outline; or what is wrong with it.</returns>
    public static Outcome<LeafOutline> Of(IReadOnlyList<Point> points, Point foot, Point tip)
    {
        if (points.Count is < FewestPoints or > MostPoints)
            return Fault.AtField("outline", null, $"An outline has {FewestPoints} to {MostPoints} points.");
        if (
            points.Any(point =>
                !double.IsFinite(point.X) || !double.IsFinite(point.Y) || Math.Abs(point.X) > 1000 || Math.Abs(point.Y) > 1000
            )
        )
            return Fault.AtField("outline", null, "The points of an outline are numbers of centimetres, up to 1000.");
        if (foot.To(tip) < 0.05)
            return Fault.AtField("outline", null, "The tip and the place where the stalk joins are the same; set them apart.");
        var turned = Polygon.SignedArea(points) < 0 ? points.Reverse().ToArray() : points;
        var start = Nearest(turned, foot);
        IReadOnlyList<Point> from = [.. turned.Skip(start), .. turned.Take(start)];
        // A stalk may hide where it joins: a little off the outline they are taken as they were set.
        var near = 0.12 * foot.To(tip);
        Point Set(Point as_, Point corner) => as_.To(corner) <= near ? as_ : corner;
        return new LeafOutline(from, Set(foot, from[0]), Set(tip, from[Nearest(from, tip)]));
    }

    private static int Nearest(IReadOnlyList<Point> points, Point to) => Enumerable.Range(0, points.Count).MinBy(i => points[i].To(to));

    /// <summary>The same outline, its stalk at (0, 0) and its tip straight above.</summary>
    internal IReadOnlyList<Point> Upright()
    {
        var far = Foot.To(Tip);
        var (sin, cos) = ((Tip.X - Foot.X) / far, (Tip.Y - Foot.Y) / far);
        return
        [
            .. Points.Select(p => (X: p.X - Foot.X, Y: p.Y - Foot.Y)).Select(p => new Point(p.X * cos - p.Y * sin, p.X * sin + p.Y * cos)),
        ];
    }
}
