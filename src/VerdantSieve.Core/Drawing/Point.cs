namespace VerdantSieve.Core.Drawing;

/// <summary>A point of a drawing. A blade is 1 long: its stalk joins at (0, 0), its tip is at (0, 1), y grows upward.</summary>
public readonly record struct Point(double X, double Y)
{
    /// <summary>The distance to another point.</summary>
    public double To(Point other) => Math.Sqrt((other.X - X) * (other.X - X) + (other.Y - Y) * (other.Y - Y));

    /// <summary>The point a part of the way to another.</summary>
    public Point Toward(Point other, double part) => new(X + (other.X - X) * part, Y + (other.Y - Y) * part);

    /// <summary>The point moved along a direction.</summary>
    public Point Along(Point direction, double far) => new(X + direction.X * far, Y + direction.Y * far);

    /// <summary>The point mirrored at the midrib.</summary>
    public Point Mirrored => new(-X, Y);

    /// <summary>The point with these coordinates; short, since drawings are made of little else.</summary>
    public static Point At(double x, double y) => new(x, y);

    /// <summary>The direction of length 1 that is turned clockwise from upright.</summary>
    /// <param name="degrees">The angle.</param>
    public static Point Direction(double degrees)
    {
        var (sin, cos) = Math.SinCos(degrees * Math.PI / 180);
        return new Point(sin, cos);
    }

    /// <inheritdoc/>
    public override string ToString() => string.Create(System.Globalization.CultureInfo.InvariantCulture, $"({X:0.####}, {Y:0.####})");

    /// <summary>The point scaled about the origin, turned clockwise by degrees, then moved.</summary>
    public Point Placed(Placement placement)
    {
        var (sin, cos) = (placement.Sin, placement.Cos);
        var (x, y) = (X * placement.Scale * (placement.Flip ? -1 : 1), Y * placement.Scale);
        return new Point(placement.At.X + x * cos + y * sin, placement.At.Y - x * sin + y * cos);
    }

    /// <summary>The direction from one point to another, of length 1.</summary>
    internal Point Towards(Point other)
    {
        var far = Math.Max(To(other), 1e-12);
        return new Point((other.X - X) / far, (other.Y - Y) / far);
    }
}
