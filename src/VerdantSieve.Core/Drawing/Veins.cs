namespace VerdantSieve.Core.Drawing;

/// <summary>The main veins of a blade, matched to its outline: they end at its edge, in its lobes, or loop within it.</summary>
internal static class Veins
{
    /// <summary>The veins of one half, as the right one, and the midrib.</summary>
    /// <param name="form">What is known of the leaf.</param>
    /// <param name="side">The half’s outline.</param>
    /// <param name="teeth">The tips of its teeth: straight veins end in them.</param>
    public static IEnumerable<IReadOnlyList<Point>> Of(LeafForm form, BladeSide side, IReadOnlyList<Point> teeth) =>
        All(form, side, teeth).Select(vein => Within(side.Line, vein, teeth.Count > 0)).Where(vein => vein.Count > 1);

    // As far as it lies within the blade: in a bay a vein would run out of it. Its first point, on the midrib, and its last, in a tooth,
    // may lie on the edge.
    private static IReadOnlyList<Point> Within(IReadOnlyList<Point> half, IReadOnlyList<Point> vein, bool isToothed)
    {
        var inside = 1 + vein.Skip(1).SkipLast(1).TakeWhile(point => Curves.Holds(half, point)).Count();
        var ends = Curves.Holds(half, vein[^1]) || (isToothed && half.Min(edge => edge.To(vein[^1])) < 0.07);
        return inside == vein.Count - 1 && ends ? vein : [.. vein.Take(inside)];
    }

    private static IEnumerable<IReadOnlyList<Point>> All(LeafForm form, BladeSide side, IReadOnlyList<Point> teeth)
    {
        var shape = form.State("shape", "elliptic");
        var palmate = form.State("lobing", "unlobed") == "palmate" && shape is not ("saddle" or "cross");
        var pinnate = form.State("lobing", "unlobed") is "pinnate" or "one-sided" && shape is not "cross";
        var usual = (shape, palmate) switch
        {
            ("fan", _) => "fan",
            (_, true) => "palmate",
            _ => "pinnate-looping",
        };
        var pattern = form.State("venation", usual);
        var pairs = (int)Math.Clamp(Math.Round(form.Number("vein-pairs", shape == "linear" ? 9 : 7)), 3, 15);
        var half = side.Line;
        return pattern switch
        {
            "fan" => Fan(half),
            "midrib-only" => [],
            _ when pinnate => side.Tips.Select(tip => ToLobe(half, tip)),
            _ when palmate => Spread(half, side.Tips),
            "palmate" => FromBase(half, form.State("base", "") is "wedge" or "tapered" ? [24, 48] : [32, 66, 100]),
            "three-from-base" => [Within(half, 0.01, 0.6, 0.8), .. Straight(half, 5, 0.4, 0.86, teeth: [])],
            "arcuate" => Enumerable
                .Range(0, Math.Min(pairs, 6))
                .Select(i => (double)i / Math.Min(pairs, 6))
                .Select(part => Within(half, 0.03 + 0.52 * part, 0.74 - 0.1 * part, 0.97)),
            "pinnate-straight" => Straight(half, pairs, 0.05, 0.88, teeth),
            "pinnate-looping" => Looping(half, pairs),
            // A pattern that nobody has drawn yet is left to the words.
            _ => [],
        };
    }

    private static IEnumerable<IReadOnlyList<Point>> Straight(
        IReadOnlyList<Point> half,
        int pairs,
        double from,
        double to,
        IReadOnlyList<Point> teeth
    )
    {
        for (var i = 0; i < pairs; i++)
        {
            var part = (double)i / Math.Max(1, pairs - 1);
            var start = new Point(0, from + (to - from) * Math.Pow(part, 0.92));
            if (Curves.Reach(half, start, Point.Direction(56 - 16 * part)) is not { } reach || reach < 0.03)
                continue;
            var end = start.Along(Point.Direction(56 - 16 * part), 0.985 * reach);
            // A straight vein runs into a tooth.
            if (teeth.Count > 0 && teeth.MinBy(tip => tip.To(end)) is var tooth && tooth.To(end) < 0.085)
                end = tooth.Toward(start, 0.02);
            var middle = start.Toward(end, 0.5);
            yield return Curves.Bend(start, middle with { Y = middle.Y - 0.03 * reach }, end, 5);
        }
    }

    // Each bends up before the edge and joins the next.
    private static IEnumerable<IReadOnlyList<Point>> Looping(IReadOnlyList<Point> half, int pairs)
    {
        for (var i = 0; i < pairs; i++)
        {
            var part = (double)i / Math.Max(1, pairs - 1);
            var start = new Point(0, 0.06 + 0.76 * part);
            var next = 0.06 + 0.76 * (double)(i + 1) / Math.Max(1, pairs - 1);
            var direction = Point.Direction(58 - 14 * part);
            if (Curves.Reach(half, start, direction) is not { } reach || reach < 0.04)
                continue;
            var far = start.Along(direction, 0.8 * reach);
            var up = Math.Min(far.Y + 0.9 * (next - start.Y), 0.965);
            var end = new Point(0.82 * Curves.WidestAt(half, up), up);
            yield return Curves.Joined(
                Curves.Bend(start, start.Along(direction, 0.45 * reach), far, 5),
                Curves.Bend(far, far.Along(direction, 0.11 * reach), end, 4)
            );
        }
    }

    // Sets off from the midrib and bends along the edge, at a part of the half’s width.
    private static IReadOnlyList<Point> Within(IReadOnlyList<Point> half, double from, double part, double to)
    {
        const int steps = 16;
        var line = new List<Point>(steps + 1);
        for (var i = 0; i <= steps; i++)
        {
            var t = (double)i / steps;
            var y = from + (to - from) * t;
            var out_ = 1 - Math.Exp(-4.2 * t);
            line.Add(new Point(Curves.WidestAt(half, y) * part * out_, y));
        }
        return line;
    }

    private static IEnumerable<IReadOnlyList<Point>> FromBase(IReadOnlyList<Point> half, double[] turns)
    {
        foreach (var turn in turns)
            if (Curves.Reach(half, new Point(0, 0), Point.Direction(turn)) is { } reach)
            {
                var end = new Point(0, 0).Along(Point.Direction(turn), 0.93 * reach);
                yield return Curves.Bend(new Point(0, 0), new Point(0, 0).Along(Point.Direction(turn + 9), 0.5 * reach), end, 6);
            }
        foreach (var vein in Straight(half, 3, 0.4, 0.8, []))
            yield return vein;
    }

    // One vein to each lobe, with lesser ones off it; those of the middle lobe stand on the midrib.
    private static IEnumerable<IReadOnlyList<Point>> Spread(IReadOnlyList<Point> half, IReadOnlyList<Point> tips)
    {
        var stalk = new Point(0, 0);
        foreach (var tip in tips)
        {
            yield return [stalk, tip.Toward(stalk, 0.03)];
            var axis = stalk.Towards(tip);
            var turn = Math.Atan2(axis.X, axis.Y) * 180 / Math.PI;
            foreach (var part in new[] { 0.5, 0.7 })
                foreach (var off in new[] { -38, 38 })
                {
                    var start = stalk.Toward(tip, part);
                    var direction = Point.Direction(turn + off);
                    if (Curves.Reach(half, start, direction) is { } reach && start.Along(direction, reach).X > 0)
                        yield return [start, start.Along(direction, Math.Min(0.85 * reach, 0.4 * tip.To(stalk)))];
                }
        }
        foreach (var y in new[] { 0.5, 0.66, 0.8 })
            if (Curves.Reach(half, new Point(0, y), Point.Direction(40)) is { } reach)
                yield return [new Point(0, y), new Point(0, y).Along(Point.Direction(40), 0.88 * reach)];
    }

    private static IReadOnlyList<Point> ToLobe(IReadOnlyList<Point> half, Point tip)
    {
        var start = new Point(0, Math.Max(0.02, tip.Y - 0.62 * tip.X));
        var end = tip.Toward(start, 0.06);
        var middle = start.Toward(end, 0.5);
        return Curves.Bend(start, middle with { Y = middle.Y - 0.02 }, end, 4);
    }

    // Forking again and again, as a ginkgo’s.
    private static IEnumerable<IReadOnlyList<Point>> Fan(IReadOnlyList<Point> half)
    {
        var stalk = new Point(0, 0.01);
        var rim = half.Where(p => p.Y > 0.3 && p.X > 0.02).ToArray();
        var widest = Math.Atan2(rim[0].X, rim[0].Y) * 180 / Math.PI;
        for (var i = 0; i < 5; i++)
        {
            var turn = widest * (i + 0.5) / 5;
            var fork = stalk.Along(Point.Direction(turn), 0.42);
            yield return [stalk, fork];
            foreach (var off in new[] { -0.26, 0.26 })
            {
                var direction = Point.Direction(turn + widest / 5 * off);
                if (Curves.Reach(half, stalk, direction) is { } reach && reach > 0.5)
                    yield return [fork, stalk.Along(direction, 0.95 * reach)];
            }
        }
    }
}
