namespace VerdantSieve.Core.Drawing;

/// <summary>Curves and lengths.</summary>
internal static class Curves
{
    /// <summary>A quadratic Bézier curve.</summary>
    public static IReadOnlyList<Point> Bend(Point from, Point control, Point to, int steps = 8)
    {
        var points = new Point[steps + 1];
        for (var i = 0; i <= steps; i++)
        {
            var t = (double)i / steps;
            points[i] = from.Toward(control, t).Toward(control.Toward(to, t), t);
        }
        return points;
    }

    /// <summary>A cubic Bézier curve.</summary>
    public static IReadOnlyList<Point> Cubic(Point from, Point leave, Point arrive, Point to, int steps = 14)
    {
        var points = new Point[steps + 1];
        for (var i = 0; i <= steps; i++)
        {
            var t = (double)i / steps;
            var (a, b, c) = (from.Toward(leave, t), leave.Toward(arrive, t), arrive.Toward(to, t));
            points[i] = a.Toward(b, t).Toward(b.Toward(c, t), t);
        }
        return points;
    }

    /// <summary>Several curves or points one after another; where one begins as the one before ended, the point is kept once.</summary>
    public static IReadOnlyList<Point> Joined(params IEnumerable<IReadOnlyList<Point>> parts)
    {
        var line = new List<Point>();
        foreach (var part in parts)
            foreach (var point in part)
                if (line.Count == 0 || line[^1].To(point) > 1e-9)
                    line.Add(point);
        return line;
    }

    /// <summary>A smooth closed line through corners (Catmull and Rom’s splines).</summary>
    public static IReadOnlyList<Point> Smooth(IReadOnlyList<Point> corners, bool closed = false, int steps = 6)
    {
        var line = new List<Point>();
        var last = closed ? corners.Count : corners.Count - 1;
        for (var i = 0; i < last; i++)
        {
            var (before, from, to, after) = (At(i - 1), At(i), At(i + 1), At(i + 2));
            var leave = new Point(from.X + (to.X - before.X) / 6, from.Y + (to.Y - before.Y) / 6);
            var arrive = new Point(to.X - (after.X - from.X) / 6, to.Y - (after.Y - from.Y) / 6);
            line.AddRange(Cubic(from, leave, arrive, to, steps).Skip(i == 0 ? 0 : 1));
        }
        return line;

        Point At(int i) => closed ? corners[(i + corners.Count) % corners.Count] : corners[Math.Clamp(i, 0, corners.Count - 1)];
    }

    /// <summary>The line without the loops it makes where it crosses itself nearby: two teeth in a narrow bay become one edge.</summary>
    public static IReadOnlyList<Point> WithoutLoops(IReadOnlyList<Point> line)
    {
        // A loop longer than this is no pair of teeth.
        const int longest = 220;
        Point[] points = [.. line];
        var free = new List<Point>(points.Length);
        for (var i = 0; i < points.Length; i++)
        {
            free.Add(points[i]);
            if (i + 1 == points.Length)
                break;
            // The farthest crossing cuts off whatever lies between.
            for (var j = Math.Min(points.Length - 2, i + longest); j > i + 1; j--)
                if (Crossing(points[i], points[i + 1], points[j], points[j + 1]) is { } at)
                {
                    free.Add(at);
                    i = j;
                    break;
                }
        }
        return free;
    }

    private static Point? Crossing(in Point a, in Point b, in Point c, in Point d)
    {
        // Most pieces are nowhere near each other.
        if (Math.Max(a.Y, b.Y) < Math.Min(c.Y, d.Y) || Math.Max(c.Y, d.Y) < Math.Min(a.Y, b.Y))
            return null;
        var (first, second) = (Turn(a, b, c), Turn(a, b, d));
        if (first * second >= 0 || Turn(c, d, a) * Turn(c, d, b) >= 0)
            return null;
        return c.Toward(d, first / (first - second));
    }

    // Above 0 where c lies to the left of the way from a to b.
    private static double Turn(Point a, Point b, Point c) => (b.X - a.X) * (c.Y - a.Y) - (b.Y - a.Y) * (c.X - a.X);

    /// <summary>Whether a point lies within a closed line.</summary>
    public static bool Holds(IReadOnlyList<Point> outline, Point point)
    {
        var inside = false;
        for (var i = 0; i < outline.Count; i++)
        {
            var (a, b) = (outline[i], outline[(i + 1) % outline.Count]);
            if (a.Y > point.Y != b.Y > point.Y && point.X < a.X + (b.X - a.X) * (point.Y - a.Y) / (b.Y - a.Y))
                inside = !inside;
        }
        return inside;
    }

    public static double Length(IReadOnlyList<Point> line)
    {
        var length = 0.0;
        for (var i = 1; i < line.Count; i++)
            length += line[i - 1].To(line[i]);
        return length;
    }

    /// <summary>The line as points the same distance apart, its ends kept.</summary>
    public static IReadOnlyList<Point> Even(IReadOnlyList<Point> line, int count)
    {
        var total = Length(line);
        var points = new List<Point>(count) { line[0] };
        var (walked, at) = (0.0, 0);
        for (var i = 1; i < count - 1; i++)
        {
            var target = total * i / (count - 1);
            while (at < line.Count - 2 && walked + line[at].To(line[at + 1]) < target)
                walked += line[at].To(line[++at]);
            var step = line[at].To(line[at + 1]);
            points.Add(step < 1e-12 ? line[at] : line[at].Toward(line[at + 1], (target - walked) / step));
        }
        points.Add(line[^1]);
        return points;
    }

    public static IReadOnlyList<Point> Circle(Point centre, double radius, double flatten = 1, int steps = 20)
    {
        var points = new Point[steps];
        for (var i = 0; i < steps; i++)
        {
            var (sin, cos) = Math.SinCos(i * 2 * Math.PI / steps);
            points[i] = new Point(centre.X + radius * sin, centre.Y + flatten * radius * cos);
        }
        return points;
    }

    /// <summary>Where the line is widest at a height; 0 where it does not reach.</summary>
    public static double WidestAt(IReadOnlyList<Point> line, double y)
    {
        var x = 0.0;
        for (var i = 1; i < line.Count; i++)
        {
            var (a, b) = (line[i - 1], line[i]);
            if ((a.Y - y) * (b.Y - y) > 0 || a.Y == b.Y)
                continue;
            x = Math.Max(x, a.X + (b.X - a.X) * (y - a.Y) / (b.Y - a.Y));
        }
        return x;
    }

    /// <summary>How far it is from a point in a direction to the line; null where the line is not met.</summary>
    /// <param name="line">The line.</param>
    /// <param name="from">Where one starts.</param>
    /// <param name="along">The direction, of length 1.</param>
    public static double? Reach(IReadOnlyList<Point> line, Point from, Point along)
    {
        double? nearest = null;
        for (var i = 1; i < line.Count; i++)
        {
            var (a, b) = (line[i - 1], line[i]);
            var (ex, ey) = (b.X - a.X, b.Y - a.Y);
            var cross = along.X * ey - along.Y * ex;
            if (Math.Abs(cross) < 1e-12)
                continue;
            var (dx, dy) = (a.X - from.X, a.Y - from.Y);
            var far = (dx * ey - dy * ex) / cross;
            var part = (dx * along.Y - dy * along.X) / cross;
            if (far > 0.02 && part is >= 0 and <= 1 && (nearest is null || far < nearest))
                nearest = far;
        }
        return nearest;
    }

    /// <summary>The outline of a small leaf.</summary>
    /// <param name="at">Where it is attached.</param>
    /// <param name="turn">By how many degrees it is turned from straight up.</param>
    /// <param name="length">Its length.</param>
    /// <param name="half">How far its sides bend out.</param>
    public static IReadOnlyList<Point> Leaflike(Point at, double turn, double length, double half) =>
        [
            .. Joined(
                    Cubic(new Point(0, 0), new Point(half, 0.2 * length), new Point(half, 0.6 * length), new Point(0, length), 6),
                    Cubic(new Point(0, length), new Point(-half, 0.6 * length), new Point(-half, 0.2 * length), new Point(0, 0), 6)
                )
                .Select(p => p.Placed(new Placement(at, turn, 1))),
        ];
}
