using VerdantSieve.Core.Drawing;

namespace VerdantSieve.Core.Leaves;

/// <summary>Measures of closed outlines.</summary>
public static class Polygon
{
    /// <summary>The area, above 0 where the corners go round anticlockwise (the surveyor’s formula).</summary>
    public static double SignedArea(IReadOnlyList<Point> points)
    {
        var sum = 0.0;
        for (var i = 0; i < points.Count; i++)
        {
            var (a, b) = (points[i], points[(i + 1) % points.Count]);
            sum += a.X * b.Y - b.X * a.Y;
        }
        return sum / 2;
    }

    /// <summary>The length of the way round.</summary>
    public static double Perimeter(IReadOnlyList<Point> points)
    {
        var sum = 0.0;
        for (var i = 0; i < points.Count; i++)
            sum += points[i].To(points[(i + 1) % points.Count]);
        return sum;
    }

    /// <summary>The middle of the area.</summary>
    public static Point Centroid(IReadOnlyList<Point> points)
    {
        var area = SignedArea(points);
        var (x, y) = (0.0, 0.0);
        for (var i = 0; i < points.Count; i++)
        {
            var (a, b) = (points[i], points[(i + 1) % points.Count]);
            var cross = a.X * b.Y - b.X * a.Y;
            x += (a.X + b.X) * cross;
            y += (a.Y + b.Y) * cross;
        }
        return new Point(x / (6 * area), y / (6 * area));
    }

    /// <summary>The axes of the ellipse that has the same second moments: as image analysis gives them.</summary>
    /// <returns>The longer and the shorter axis, whole and not half.</returns>
    public static (double Major, double Minor) Axes(IReadOnlyList<Point> points)
    {
        var (area, centre) = (SignedArea(points), Centroid(points));
        var (xx, yy, xy) = (0.0, 0.0, 0.0);
        for (var i = 0; i < points.Count; i++)
        {
            var (a, b) = (points[i], points[(i + 1) % points.Count]);
            var (ax, ay, bx, by) = (a.X - centre.X, a.Y - centre.Y, b.X - centre.X, b.Y - centre.Y);
            var cross = ax * by - bx * ay;
            xx += (ax * ax + ax * bx + bx * bx) * cross / 12;
            yy += (ay * ay + ay * by + by * by) * cross / 12;
            xy += (ax * by + 2 * ax * ay + 2 * bx * by + bx * ay) * cross / 24;
        }
        var (middle, spread) = ((xx + yy) / area / 2, Math.Sqrt((xx - yy) * (xx - yy) / 4 + xy * xy) / Math.Abs(area));
        return (4 * Math.Sqrt(middle + spread), 4 * Math.Sqrt(Math.Max(0, middle - spread)));
    }

    /// <summary>Where the outline meets a level line, from left to right.</summary>
    internal static IReadOnlyList<double> At(IReadOnlyList<Point> points, double y)
    {
        var found = new List<double>();
        for (var i = 0; i < points.Count; i++)
        {
            var (a, b) = (points[i], points[(i + 1) % points.Count]);
            if (a.Y > y != b.Y > y)
                found.Add(a.X + (b.X - a.X) * (y - a.Y) / (b.Y - a.Y));
        }
        found.Sort();
        return found;
    }

    /// <summary>The outline as corners the same distance apart, from its first.</summary>
    internal static Point[] Even(IReadOnlyList<Point> points, int count) => [.. Curves.Even([.. points, points[0]], count + 1).SkipLast(1)];
}
