namespace VerdantSieve.Core.Drawing;

/// <summary>A point of a drawing. A blade is 1 long: its stalk joins at (0, 0), its tip is at (0, 1), y grows upward.</summary>
public readonly record struct Point(double X, double Y)
{
    /// <summary>The distance to another point.</summary>
    public double To(Point other) => Math.Sqrt((other.X - X) * (other.X - X) + (other.Y - Y) * (other.Y - Y));

    /// <summary>The point a part of the way to another.</summary>
    public Point Toward(Point other, double part) => new(X + (other.X - X) * part, Y + (other.Y - Y) * part);

    /// <summary>The point mirrored at the midrib.</summary>
    public Point Mirrored => new(-X, Y);

    /// <inheritdoc/>
    public override string ToString() => string.Create(System.Globalization.CultureInfo.InvariantCulture, $"({X:0.####}, {Y:0.####})");

    /// <summary>The point scaled about the origin, turned clockwise by degrees, then moved.</summary>
    public Point Placed(Placement placement)
    {
        var (sin, cos) = Math.SinCos(placement.Turn * Math.PI / 180);
        var (x, y) = (X * placement.Scale * (placement.Flip ? -1 : 1), Y * placement.Scale);
        return new Point(placement.At.X + x * cos + y * sin, placement.At.Y - x * sin + y * cos);
    }
}

/// <summary>Where a drawing goes within another.</summary>
/// <param name="At">Where its origin goes.</param>
/// <param name="Turn">Degrees clockwise from upright.</param>
/// <param name="Scale">Its size.</param>
/// <param name="Flip">Whether it is mirrored first.</param>
public readonly record struct Placement(Point At, double Turn, double Scale, bool Flip = false);

/// <summary>What a stroke of a drawing stands for; the pen is chosen by it.</summary>
public enum StrokeKind
{
    /// <summary>The face of a leaf: filled.</summary>
    Blade,
    /// <summary>A vein.</summary>
    Vein,
    /// <summary>A leaf stalk or the axis of a compound leaf.</summary>
    Stalk,
    /// <summary>A twig.</summary>
    Twig,
    /// <summary>A needle or scale.</summary>
    Needle,
    /// <summary>A bud, fruit or other body: filled with bark colour.</summary>
    Body,
    /// <summary>Something not known yet: dotted.</summary>
    Unknown
}

/// <summary>One line or area of a drawing.</summary>
public sealed record Stroke(StrokeKind Kind, IReadOnlyList<Point> Points, bool Closed = false)
{
    /// <summary>A straight line.</summary>
    public static Stroke Line(StrokeKind kind, Point from, Point to) => new(kind, [from, to]);

    /// <summary>The stroke put somewhere else.</summary>
    public Stroke Placed(Placement placement) => this with { Points = [.. Points.Select(point => point.Placed(placement))] };
}

/// <summary>Lines and areas of its own, then smaller drawings set within it. A leaf drawn six times on a shoot is kept once.</summary>
public sealed record Drawing(IReadOnlyList<Stroke> Strokes)
{
    private static readonly Placement Here = new(new Point(0, 0), 0, 1);

    /// <summary>The drawings set within this one, each with where it goes.</summary>
    public IReadOnlyList<(Drawing Part, Placement At)> Parts { get; private init; } = [];

    /// <summary>The drawing put somewhere else.</summary>
    public Drawing Placed(Placement placement) => new([]) { Parts = [(this, placement)] };

    /// <summary>Several drawings as one.</summary>
    public static Drawing Of(params IEnumerable<Drawing> parts) => new([]) { Parts = [.. parts.Select(part => (part, Here))] };

    /// <summary>All strokes where they are finally drawn.</summary>
    public IEnumerable<Stroke> Flat() =>
        Strokes.Concat(Parts.SelectMany(part => part.Part.Flat().Select(stroke => part.At == Here ? stroke : stroke.Placed(part.At))));

    /// <summary>The drawing as something not known yet: every area and line dotted, no veins.</summary>
    public Drawing AsUnknown() => new([.. Flat().Where(stroke => stroke.Kind != StrokeKind.Vein)
        .Select(stroke => stroke.Kind == StrokeKind.Twig ? stroke : stroke with { Kind = StrokeKind.Unknown })]);
}

/// <summary>Curves and lengths.</summary>
internal static class Curves
{
    /// <summary>A quadratic Bézier curve.</summary>
    public static IReadOnlyList<Point> Bend(Point from, Point control, Point to, int steps = 8) =>
        [.. Enumerable.Range(0, steps + 1).Select(i => (double)i / steps).Select(t => from.Toward(control, t).Toward(control.Toward(to, t), t))];

    public static double Length(IReadOnlyList<Point> line) => line.Zip(line.Skip(1), (a, b) => a.To(b)).Sum();

    /// <summary>The line as points the same distance apart, its ends kept.</summary>
    public static IReadOnlyList<Point> Even(IReadOnlyList<Point> line, int count)
    {
        var total = Length(line);
        var points = new List<Point>(count) { line[0] };
        var (walked, at) = (0.0, 0);
        for (var i = 1; i < count - 1; i++)
        {
            var target = total * i / (count - 1);
            while (at < line.Count - 2 && walked + line[at].To(line[at + 1]) < target) walked += line[at].To(line[++at]);
            var step = line[at].To(line[at + 1]);
            points.Add(step < 1e-12 ? line[at] : line[at].Toward(line[at + 1], (target - walked) / step));
        }
        points.Add(line[^1]);
        return points;
    }

    public static IReadOnlyList<Point> Circle(Point centre, double radius, double flatten = 1, int steps = 20) =>
        [.. Enumerable.Range(0, steps).Select(i => i * 2 * Math.PI / steps).Select(a => new Point(centre.X + radius * Math.Sin(a), centre.Y + flatten * radius * Math.Cos(a)))];
}
