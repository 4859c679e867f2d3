namespace VerdantSieve.Core.Drawing;

/// <summary>Curves and lengths.</summary>
internal static class Curves
{
    /// <summary>A quadratic Bézier curve.</summary>
    public static IReadOnlyList<Point> Bend(Point from, Point control, Point to, int steps = 8) =>
        [
            .. Enumerable
                .Range(0, steps + 1)
                .Select(i => (double)i / steps)
                .Select(t => from.Toward(control, t).Toward(control.Toward(to, t), t)),
        ];

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
            while (at < line.Count - 2 && walked + line[at].To(line[at + 1]) < target)
                walked += line[at].To(line[++at]);
            var step = line[at].To(line[at + 1]);
            points.Add(step < 1e-12 ? line[at] : line[at].Toward(line[at + 1], (target - walked) / step));
        }
        points.Add(line[^1]);
        return points;
    }

    public static IReadOnlyList<Point> Circle(Point centre, double radius, double flatten = 1, int steps = 20) =>
        [
            .. Enumerable
                .Range(0, steps)
                .Select(i => i * 2 * Math.PI / steps)
                .Select(a => new Point(centre.X + radius * Math.Sin(a), centre.Y + flatten * radius * Math.Cos(a))),
        ];
}
