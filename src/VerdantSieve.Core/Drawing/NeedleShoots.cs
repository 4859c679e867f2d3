namespace VerdantSieve.Core.Drawing;

/// <summary>Draws shoots with needles or scales, one way for each grouping. The twig grows upward from (0, 0).</summary>
internal static class NeedleShoots
{
    private const double Twig = 2.4;

    private static readonly Dictionary<string, Action<Pen>> Groupings = new()
    {
        ["single-spiral"] = Spiral,
        ["single-two-ranked"] = pen => TwoRanked(pen, 17, step: 0.5),
        ["paired-two-ranked"] = pen => TwoRanked(pen, 11, step: 0),
        ["bundles"] = Bundles,
        ["spur-tufts"] = SpurTufts,
        ["whorls"] = Whorls,
        ["opposite-scales"] = Scales,
    };

    /// <summary>A shoot with needles grouped as named; null where that grouping is not drawn.</summary>
    public static Drawing? Of(string grouping, int perBundle)
    {
        if (!Groupings.TryGetValue(grouping, out var draw))
            return null;
        var pen = new Pen(perBundle);
        draw(pen);
        return new Drawing(pen.Strokes);
    }

    private sealed class Pen(int perBundle)
    {
        public List<Stroke> Strokes { get; } = [Stroke.Line(StrokeKind.Twig, new Point(0, -0.1), new Point(0, Twig))];

        public int PerBundle => Math.Clamp(perBundle, 2, 5);

        public void Needle(Point at, double turn, double length)
        {
            var (sin, cos) = Math.SinCos(turn * Math.PI / 180);
            Strokes.Add(Stroke.Line(StrokeKind.Needle, at, new Point(at.X + length * sin, at.Y + length * cos)));
        }

        public void Scale(Point at, double turn, double size)
        {
            Point[] outline = [new(-0.32, 0), new(-0.42, 0.5), new(0, 1.15), new(0.42, 0.5), new(0.32, 0)];
            Strokes.Add(new Stroke(StrokeKind.Blade, [.. outline.Select(point => point.Placed(new Placement(at, turn, size)))], true));
        }
    }

    private static void Spiral(Pen pen)
    {
        // Long ones at either side, shorter ones before and behind the twig.
        (double Turn, double Length)[] round = [(62, 0.55), (-62, 0.55), (38, 0.42), (-38, 0.42)];
        for (var i = 0; i < 26; i++)
            pen.Needle(new Point(0, 0.15 + 2.25 * i / 25), round[i % 4].Turn, round[i % 4].Length);
        pen.Needle(new Point(0, Twig), 0, 0.4);
    }

    // Two flat rows: face to face, or the one row half a step behind the other.
    private static void TwoRanked(Pen pen, int count, double step)
    {
        var gap = 2.15 / (count - 1);
        for (var i = 0; i < count; i++)
        {
            var length = 0.62 * (1 - 0.35 * Math.Pow(i / (count - 1.0) - 0.4, 2));
            pen.Needle(new Point(0, 0.2 + gap * i), 78, length);
            pen.Needle(new Point(0, 0.2 + gap * (i - step)), -78, length);
        }
    }

    private static void Bundles(Pen pen)
    {
        var apart = pen.PerBundle > 3 ? 6 : 9;
        foreach (var (y, turn) in new[] { (0.5, 58), (0.8, -55), (1.25, 50), (1.55, -48), (2.0, 36), (2.2, -32), (2.4, 4) })
            for (var i = 0; i < pen.PerBundle; i++)
                pen.Needle(new Point(0, y), turn + (i - (pen.PerBundle - 1) / 2.0) * apart, 1.0);
    }

    private static void SpurTufts(Pen pen)
    {
        foreach (var (y, side) in new[] { (0.4, 1), (0.9, -1), (1.4, 1), (1.9, -1), (2.35, 0) })
        {
            var spur = new Point(side * 0.14, y);
            pen.Strokes.Add(new Stroke(StrokeKind.Body, Curves.Circle(spur, 0.07), true));
            for (var i = 0; i < 11; i++)
                pen.Needle(spur, side * 78 + (i - 5) * 15, 0.5);
        }
    }

    private static void Whorls(Pen pen)
    {
        foreach (var y in new[] { 0.4, 0.85, 1.3, 1.75, 2.2 })
            foreach (var turn in new[] { 72, -72, 12 })
                pen.Needle(new Point(0, y), turn, 0.48);
    }

    private static void Scales(Pen pen)
    {
        for (var i = 0; i < 12; i++)
            pen.Scale(new Point(0, 0.05 + i * 0.19), 0, 0.2);
        foreach (var (y, side) in new[] { (0.5, 1), (0.7, -1), (1.1, 1), (1.3, -1), (1.7, 1), (1.9, -1) })
        {
            var (sin, cos) = Math.SinCos(side * 52 * Math.PI / 180);
            for (var i = 0; i < (y > 1.5 ? 4 : 6); i++)
                pen.Scale(new Point((0.08 + i * 0.15) * sin, y + (0.08 + i * 0.15) * cos), side * 52, 0.17);
        }
    }
}
