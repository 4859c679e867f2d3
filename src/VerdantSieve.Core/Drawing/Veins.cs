namespace VerdantSieve.Core.Drawing;

/// <summary>The main veins of a blade.</summary>
internal static class Veins
{
    public static IEnumerable<Stroke> Of(LeafForm form, IReadOnlyList<Point> rightHalf)
    {
        var shape = form.State("shape", "elliptic");
        var lobed = form.State("lobing", "unlobed") == "palmate";
        var usual = lobed ? "palmate" : "pinnate-looping";
        var pattern = form.State("venation", shape == "fan" ? "fan" : usual);
        if (pattern == "fan")
            return Fan(rightHalf);

        var tip = rightHalf[^1];
        var midrib = Stroke.Line(StrokeKind.Vein, new Point(0, 0), new Point(0, tip.Y * 0.985));
        var pairs = (int)Math.Clamp(Math.Round(form.Number("vein-pairs", shape == "linear" ? 9 : 7)), 3, 14);
        return pattern switch
        {
            "midrib-only" => [midrib],
            "palmate" => [midrib, .. lobed ? ToLobes(rightHalf) : FromBase(rightHalf, [40, 75])],
            "three-from-base" => [midrib, .. Both(Curved(rightHalf, 0.0, 0.62, 0.72)), .. Sides(rightHalf, 4, 0.42, 0.8, 0.16)],
            "arcuate" =>
            [
                midrib,
                .. Enumerable
                    .Range(0, Math.Min(pairs, 6))
                    .SelectMany(i => Both(Curved(rightHalf, 0.05 + 0.5 * i / Math.Min(pairs, 6), 0.8 + 0.03 * i, 0.66))),
            ],
            "pinnate-straight" => [midrib, .. Sides(rightHalf, pairs, 0.07, 0.97, 0.17)],
            "pinnate-looping" => [midrib, .. Loops(rightHalf, pairs)],
            // A pattern that nobody has drawn yet is left to the words.
            _ => [midrib],
        };
    }

    private static IEnumerable<Stroke> Sides(IReadOnlyList<Point> half, int pairs, double from, double reach, double rise)
    {
        for (var i = 0; i < pairs; i++)
        {
            var y = from + (0.82 - from) * i / Math.Max(1, pairs - 1);
            var end = Edge(half, y + rise * (1 - 0.5 * y));
            if (end.X < 0.03)
                continue;
            foreach (var stroke in Both([new Point(0, y), new Point(end.X * reach, y + (end.Y - y) * reach)]))
                yield return stroke;
        }
    }

    private static IEnumerable<Stroke> Loops(IReadOnlyList<Point> half, int pairs)
    {
        for (var i = 0; i < pairs; i++)
        {
            var y = 0.07 + 0.76 * i / Math.Max(1, pairs - 1);
            var end = Edge(half, y + 0.14);
            if (end.X < 0.03 || y + 0.2 > 0.94)
                continue;
            foreach (
                var stroke in Both(
                    Curves.Bend(
                        new Point(0, y),
                        new Point(end.X * 0.72, y + 0.07),
                        new Point(Edge(half, y + 0.2).X * 0.78, Math.Min(0.96, y + 0.2))
                    )
                )
            )
                yield return stroke;
        }
    }

    // A vein that sets off from the midrib and bends up along the edge.
    private static IReadOnlyList<Point> Curved(IReadOnlyList<Point> half, double y, double top, double reach)
    {
        var widest = Edge(half, (y + top) / 2).X;
        return Curves.Bend(
            new Point(0, y),
            new Point(widest * reach * 1.45, (y + top) / 2 - 0.04),
            new Point(Edge(half, top).X * 0.35, top + 0.04),
            12
        );
    }

    private static IEnumerable<Stroke> FromBase(IReadOnlyList<Point> half, double[] angles)
    {
        foreach (var angle in angles)
        {
            var (sin, cos) = Math.SinCos(angle * Math.PI / 180);
            var reach = Enumerable
                .Range(1, 60)
                .Select(i => i / 60.0)
                .TakeWhile(r => r * sin < Edge(half, r * cos).X)
                .DefaultIfEmpty(0.1)
                .Last();
            foreach (var stroke in Both([new Point(0, 0), new Point(reach * 0.92 * sin, reach * 0.92 * cos)]))
                yield return stroke;
        }
    }

    // One vein to the tip of every lobe: where the outline is farthest out.
    private static IEnumerable<Stroke> ToLobes(IReadOnlyList<Point> half)
    {
        for (var i = 2; i < half.Count - 2; i++)
        {
            var here = Out(half[i]);
            var window = Enumerable.Range(Math.Max(0, i - 7), Math.Min(half.Count, i + 8) - Math.Max(0, i - 7));
            if (half[i].X < 0.06 || window.Any(j => Out(half[j]) > here || (Out(half[j]) == here && j < i)))
                continue;
            foreach (var stroke in Both([new Point(0, 0.0), half[i].Toward(new Point(0, 0), 0.08)]))
                yield return stroke;
        }

        static double Out(Point p) => Math.Sqrt(p.X * p.X + (p.Y - 0.08) * (p.Y - 0.08));
    }

    private static IEnumerable<Stroke> Fan(IReadOnlyList<Point> half)
    {
        var rim = half.Where(p => p.Y > 0.45).ToArray();
        for (var i = 0; i < rim.Length; i += Math.Max(1, rim.Length / 7))
            foreach (var stroke in Both([new Point(0, 0.02), rim[i].Toward(new Point(0, 0), 0.05)]))
                yield return stroke;
    }

    private static IEnumerable<Stroke> Both(IReadOnlyList<Point> line) =>
        [new Stroke(StrokeKind.Vein, line), new Stroke(StrokeKind.Vein, [.. line.Select(p => p.Mirrored)])];

    /// <summary>Where the outline is at a height: its widest place there.</summary>
    private static Point Edge(IReadOnlyList<Point> half, double y)
    {
        var x = 0.0;
        for (var i = 1; i < half.Count; i++)
        {
            var (a, b) = (half[i - 1], half[i]);
            if ((a.Y - y) * (b.Y - y) > 0 || a.Y == b.Y)
                continue;
            x = Math.Max(x, a.X + (b.X - a.X) * (y - a.Y) / (b.Y - a.Y));
        }
        return new Point(x, y);
    }
}
