using VerdantSieve.Core.Drawing;

namespace VerdantSieve.Core.Leaves;

/// <summary>What is measured of one blade.</summary>
/// <remarks>Terms after B. Ellis et al. 2009, Manual of Leaf Architecture (from memory): angles of base and tip are taken at the stalk and
/// the tip between the lines to the margin a quarter of the blade’s length away; a base wider on one side is unequal.</remarks>
public sealed record LeafMeasures
{
    private const int Places = 900;

    /// <summary>From where the stalk joins to the tip along the midrib, curved where the blade is, in centimetres.</summary>
    public required double Length { get; init; }

    /// <summary>At the widest place, across the midrib, in centimetres.</summary>
    public required double Width { get; init; }

    /// <summary>Length over width.</summary>
    public double Slenderness => Length / Width;

    /// <summary>Where the blade is widest: 0 at the stalk, 1 at the tip.</summary>
    public required double Widest { get; init; }

    /// <summary>In square centimetres.</summary>
    public required double Area { get; init; }

    /// <summary>In centimetres, teeth and lobes followed.</summary>
    public required double Perimeter { get; init; }

    /// <summary>Its lobes.</summary>
    public required Lobes Lobes { get; init; }

    /// <summary>Its teeth.</summary>
    public required Teeth Teeth { get; init; }

    /// <summary>The angle of the base, in degrees: under 90 acute, under 180 obtuse, 180 and more heart-shaped.</summary>
    public required double BaseAngle { get; init; }

    /// <summary>The angle of the tip, in degrees.</summary>
    public required double TipAngle { get; init; }

    /// <summary>How far the blade’s sides hang below the stalk, over its length: 0 where they do not.</summary>
    public required double Hanging { get; init; }

    /// <summary>How unlike the halves are at the base: the wider over the narrower half-width a quarter of the way up.</summary>
    public required double BaseAsymmetry { get; init; }

    /// <summary>The widths of the blade at 0.05, 0.15 … 0.95 of its length, over the greatest.</summary>
    public required IReadOnlyList<double> Profile { get; init; }

    /// <summary>How much one side lacks of what the other has, at the worst place of the middle half of a blade not lobed on both: 0 where
    /// both are alike, 1 where one is gone.</summary>
    public required double Missing { get; init; }

    /// <summary>Where that is: 0 at the stalk, 1 at the tip.</summary>
    public required double MissingAt { get; init; }

    /// <summary>Whether it looks torn or folded over, or is lobed on one side alone: if it is torn, area and width are not those of the
    /// whole.</summary>
    public bool LooksTorn => Missing > 0.4;

    /// <summary>The class of its area.</summary>
    public LeafSizeClass SizeClass => LeafSizeClasses.Of(Area);

    /// <summary>Measures an outline.</summary>
    /// <param name="outline">The outline, in centimetres.</param>
    /// <param name="leastTooth">How far a tooth stands out at least, in centimetres: what the picture can show.</param>
    public static LeafMeasures Of(LeafOutline outline, double leastTooth = 0.02)
    {
        var upright = Polygon.Even(outline.Upright(), Places);
        var straight = outline.Foot.To(outline.Tip);
        var tip = Enumerable.Range(0, Places).MinBy(i => upright[i].To(new Point(0, straight)));
        var smooth = Smoothed(upright, 9, tip);
        var (width, widest) = WidestPlace(upright, straight);
        var lobes = Lobes.Of(smooth, straight, width);
        var left = HalfAt(upright, 0.25 * straight, right: false);
        var right = HalfAt(upright, 0.25 * straight, right: true);
        // Lobes on both sides are no tear, however unlike they are.
        var (missing, missingAt) = lobes.AreOnBothSides ? (0, 0) : MissingOf(upright, straight);
        return new LeafMeasures
        {
            Length = lobes.Count > 1 ? straight : Midrib(upright, straight),
            Width = width,
            Widest = widest,
            Area = Math.Abs(Polygon.SignedArea(outline.Points)),
            Perimeter = Polygon.Perimeter(outline.Points),
            Lobes = lobes,
            Teeth = TeethOf(upright, tip, leastTooth, lobes),
            BaseAngle = BaseAngleOf(smooth, straight),
            TipAngle = AngleAt(smooth, new Point(0, straight), 0.75 * straight),
            Missing = missing,
            MissingAt = missingAt,
            Hanging = Math.Max(0, -upright.Min(point => point.Y) / straight),
            BaseAsymmetry = Math.Max(left, right) / Math.Max(Math.Min(left, right), 0.02 * straight),
            Profile = [.. Enumerable.Range(0, 10).Select(i => WidthAt(upright, straight * (0.05 + 0.1 * i)) / width)],
        };
    }

    // Smoothing rounds lobes off as well: as few teeth as lobes have tips are none.
    private static Teeth TeethOf(Point[] upright, int tip, double least, Lobes lobes)
    {
        var teeth = Teeth.Of(upright, Smoothed(upright, 14, tip), least, tip);
        return lobes.Count > 1 && teeth.Count <= 3 * lobes.Count ? Teeth.None : teeth;
    }

    // Each place as the mean of its neighbours; stalk and tip stay where they are.
    private static Point[] Smoothed(Point[] points, int reach, int tip)
    {
        var count = points.Length;
        var smooth = points;
        for (var round = 0; round < 2; round++)
        {
            var from = smooth;
            smooth =
            [
                .. Enumerable
                    .Range(0, count)
                    .Select(i =>
                    {
                        var near = Math.Min(reach, Math.Min(Math.Min(i, count - i), Math.Abs(i - tip)));
                        var (x, y) = (0.0, 0.0);
                        for (var k = -near; k <= near; k++)
                        {
                            var point = from[(i + k + count) % count];
                            (x, y) = (x + point.X, y + point.Y);
                        }
                        return new Point(x / (2 * near + 1), y / (2 * near + 1));
                    }),
            ];
        }
        return smooth;
    }

    private static double WidthAt(IReadOnlyList<Point> upright, double y) =>
        Polygon.At(upright, y) is { Count: > 1 } at ? at[^1] - at[0] : 0;

    private static double HalfAt(IReadOnlyList<Point> upright, double y, bool right) =>
        Polygon.At(upright, y) is { Count: > 1 } at ? Math.Max(0, right ? at[^1] : -at[0]) : 0;

    private static (double Width, double Widest) WidestPlace(IReadOnlyList<Point> upright, double length)
    {
        const int steps = 240;
        var (low, high) = (upright.Min(p => p.Y), upright.Max(p => p.Y));
        var widths = Enumerable
            .Range(1, steps - 1)
            .Select(i => low + (high - low) * i / steps)
            .Select(y => (Y: y, Width: WidthAt(upright, y)))
            .ToArray();
        var width = widths.Max(one => one.Width);
        // Where much of the blade is as wide, the middle of that.
        var wide = widths.Where(one => one.Width >= 0.985 * width).ToArray();
        return (width, Math.Clamp(wide.Average(one => one.Y) / length, 0, 1));
    }

    // A blade that bends, or is wider on one side all along, lacks nothing: only what is unlike the rest of it is told.
    private static (double Missing, double At) MissingOf(IReadOnlyList<Point> upright, double length)
    {
        var places = Enumerable
            .Range(0, 21)
            .Select(i => 0.25 + 0.025 * i)
            .Select(at => (At: at, Left: HalfAt(upright, at * length, right: false), Right: HalfAt(upright, at * length, right: true)))
            .Select(half => (half.At, Lean: (half.Right - half.Left) / Math.Max(half.Right + half.Left, 1e-6)))
            .ToArray();
        var usual = places.Select(place => place.Lean).Order().ElementAt(places.Length / 2);
        var worst = places.MaxBy(place => Math.Abs(place.Lean - usual));
        return (Math.Min(1, Math.Abs(worst.Lean - usual)), worst.At);
    }

    // The middle between both margins from stalk to tip, as a curve through its quarters.
    private static double Midrib(IReadOnlyList<Point> upright, double length)
    {
        Point Middle(double part)
        {
            var at = Polygon.At(upright, part * length);
            return new Point(at.Count > 1 ? (at[0] + at[^1]) / 2 : 0, part * length);
        }
        IReadOnlyList<Point> curve = Curves.Smooth([new Point(0, 0), Middle(0.3), Middle(0.5), Middle(0.7), new Point(0, length)]);
        return Curves.Length(curve);
    }

    private static double BaseAngleOf(IReadOnlyList<Point> smooth, double length)
    {
        var angle = AngleAt(smooth, new Point(0, 0), 0.25 * length);
        // Sides that hang below the stalk go round it.
        return -smooth.Min(point => point.Y) > 0.02 * length ? 360 - angle : angle;
    }

    // The angle at a place between the lines to both margins at a height.
    private static double AngleAt(IReadOnlyList<Point> smooth, Point from, double y)
    {
        if (Polygon.At(smooth, y) is not { Count: > 1 } at)
            return 0;
        var rise = Math.Abs(y - from.Y);
        return (Math.Atan2(Math.Max(0, at[^1] - from.X), rise) + Math.Atan2(Math.Max(0, from.X - at[0]), rise)) * 180 / Math.PI;
    }
}
