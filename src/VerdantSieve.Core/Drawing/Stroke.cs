namespace VerdantSieve.Core.Drawing;

/// <summary>One line or area of a drawing.</summary>
public sealed record Stroke(StrokeKind Kind, IReadOnlyList<Point> Points, bool Closed = false)
{
    /// <summary>A straight line.</summary>
    public static Stroke Line(StrokeKind kind, Point from, Point to) => new(kind, [from, to]);

    /// <summary>The stroke put somewhere else.</summary>
    public Stroke Placed(Placement placement) => this with { Points = [.. Points.Select(point => point.Placed(placement))] };
}
