namespace VerdantSieve.Core.Drawing;

/// <summary>One line or area of a drawing.</summary>
public sealed record Stroke(StrokeKind Kind, IReadOnlyList<Point> Points, bool Closed = false)
{
    /// <summary>Its colour; null where its kind has one.</summary>
    public Tint? Tint { get; init; }

    /// <summary>A straight line.</summary>
    public static Stroke Line(StrokeKind kind, Point from, Point to) => new(kind, [from, to]);

    /// <summary>A line through points.</summary>
    public static Stroke Line(StrokeKind kind, params IReadOnlyList<Point> points) => new(kind, points);

    /// <summary>An area with a colour of its own.</summary>
    public static Stroke Area(Tint? tint, params IReadOnlyList<Point> points) => new(StrokeKind.Area, points, Closed: true) { Tint = tint };

    /// <summary>A small dark dot.</summary>
    public static Stroke Dot(Point at, double radius, Tint? tint = null) =>
        new(StrokeKind.Mark, Curves.Circle(at, radius, steps: 8), Closed: true) { Tint = tint };

    /// <summary>The stroke put somewhere else.</summary>
    public Stroke Placed(Placement placement)
    {
        var placed = new Point[Points.Count];
        for (var i = 0; i < placed.Length; i++)
            placed[i] = Points[i].Placed(placement);
        return this with { Points = placed };
    }
}
