namespace VerdantSieve.Core.Drawing.Parts;

/// <summary>Dots and short lines strewn evenly over an oval: by the golden angle, so that they are the same each time.</summary>
internal static class Scatter
{
    private const double GoldenAngle = 137.50776;

    /// <summary>Places within an oval.</summary>
    public static IEnumerable<Point> Places(Point centre, double wide, double high, int count)
    {
        for (var i = 0; i < count; i++)
        {
            var direction = Point.Direction(i * GoldenAngle);
            var far = Math.Sqrt((i + 0.5) / count);
            yield return new Point(centre.X + direction.X * far * wide, centre.Y + direction.Y * far * high);
        }
    }

    /// <summary>Dots within an oval.</summary>
    public static IEnumerable<Stroke> Dots(Point centre, double wide, double high, int count, double radius, Tint? tint = null) =>
        Places(centre, wide, high, count).Select(at => Stroke.Dot(at, radius, tint));

    /// <summary>Short lines within an oval.</summary>
    /// <param name="centre">The oval’s middle.</param>
    /// <param name="wide">Half its width.</param>
    /// <param name="high">Half its height.</param>
    /// <param name="count">How many.</param>
    /// <param name="length">Of a line.</param>
    /// <param name="turn">Degrees clockwise from upright; every other one leans a little more.</param>
    public static IEnumerable<Stroke> Lines(Point centre, double wide, double high, int count, double length, double turn) =>
        Places(centre, wide, high, count)
            .Select((at, i) => Stroke.Line(StrokeKind.Hair, at, at.Along(Point.Direction(turn + (i % 3 - 1) * 18), length)));
}
