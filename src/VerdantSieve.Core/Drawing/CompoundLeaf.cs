namespace VerdantSieve.Core.Drawing;

/// <summary>Leaves of several leaflets. The stalk starts at (0, 0); a leaflet is about 1 long.</summary>
internal static class CompoundLeaf
{
    /// <summary>Three leaflets.</summary>
    public static Drawing Trifoliate(LeafForm form, Variation vary)
    {
        var endStalk = EndStalk(form, 0.38, 0.14);
        var join = new Point(0, 0.62);
        var end = join with { Y = join.Y + endStalk };
        var larger = form.State("end-leaflet-size", "like-others") == "larger" ? 1.15 : 1;
        var side = Side(form, vary, veins: true);
        return Drawing.Of([
            Axis(form, end),
            side.Placed(new Placement(join, 64 + vary.Off(3), 0.84 * vary.By(0.05))),
            side.Placed(new Placement(join, -64 + vary.Off(3), 0.84 * vary.By(0.05), Flip: true)),
            Leaflet(form, vary).Placed(new Placement(end, 0, 0.94 * larger)),
        ]);
    }

    /// <summary>Leaflets spread from one place, as a hand’s fingers.</summary>
    public static Drawing Palmate(LeafForm form, Variation vary)
    {
        var count = Math.Clamp((int)Math.Round(form.Number("leaflet-count", 5)), 3, 9);
        var spread = count switch
        {
            <= 3 => 60,
            <= 5 => 88,
            _ => 112,
        };
        var join = new Point(0, 0.8);
        var leaflet = Leaflet(form, vary);
        return Drawing.Of([
            Axis(form, join),
            .. Enumerable
                .Range(0, count)
                .Select(i => -spread + 2.0 * spread * i / (count - 1))
                .OrderByDescending(Math.Abs)
                .Select(turn =>
                    leaflet.Placed(
                        new Placement(join, turn + vary.Off(2.5), (1 - 0.42 * Math.Pow(Math.Abs(turn) / 112, 1.4)) * vary.By(0.04))
                    )
                ),
        ]);
    }

    /// <summary>Leaflets along an axis.</summary>
    public static Drawing Pinnate(LeafForm form, bool endLeaflet, Variation vary)
    {
        var row = new Row(form, endLeaflet);
        // Many leaflets are drawn small: veins would only blacken them.
        var side = Side(form, vary, veins: row.Pairs <= 5);
        var stalk = form.State("side-leaflet-stalk", "sessile") switch
        {
            "long" => 0.16,
            "short" => 0.07,
            _ => 0,
        };
        var parts = new List<Drawing> { Axis(form, row.End) };
        for (var i = 0; i < row.Pairs; i++)
        {
            var size = row.SizeOf(i) * vary.By(0.04);
            foreach (var flip in new[] { false, true })
            {
                var turn = (flip ? -1 : 1) * (66 - 10.0 * i / row.Pairs + vary.Off(2));
                var start = row.At(i).Along(Point.Direction(turn), stalk);
                if (stalk > 0)
                    parts.Add(new Drawing([Stroke.Line(StrokeKind.Stalk, row.At(i), start)]));
                parts.Add(side.Placed(new Placement(start, turn, size, flip)));
            }
        }
        if (endLeaflet)
            parts.Add(Leaflet(form, vary, veins: row.Pairs <= 5).Placed(new Placement(row.End, 0, row.IsLargest ? 1.22 : 1)));
        return Drawing.Of(parts);
    }

    // Where pairs of leaflets stand along an axis, and how large they are.
    private sealed class Row
    {
        private readonly double gap;
        private readonly double foot;
        private readonly bool isIrregular;

        public Row(LeafForm form, bool endLeaflet)
        {
            var (single, usual) = endLeaflet ? (1, 7) : (0, 8);
            Pairs = Math.Clamp((int)Math.Round((form.Number("leaflet-count", usual) - single) / 2), 1, 12);
            var closest = 1.05 * form.WidthOver(0.45);
            gap = Math.Clamp(Gap(form, endLeaflet) ?? closest * 1.1, 0.75 * closest, 2.2 * closest);
            foot = Math.Max(0.35, 0.22 * gap * Pairs);
            isIrregular = form.State("leaflet-likeness", "uniform") == "irregular";
            IsLargest = form.State("end-leaflet-size", "like-others") == "larger";
            var top = At(Pairs - 1).Y;
            End = new Point(0, endLeaflet ? top + EndStalk(form, 0.34, 0.16) + 0.2 * gap : top + 0.05);
        }

        public int Pairs { get; }

        public Point End { get; }

        public bool IsLargest { get; }

        public Point At(int pair) => new(0, foot + gap * pair);

        // The lowest pair is the smallest; where the end leaflet is larger they grow towards it.
        public double SizeOf(int pair)
        {
            var size = IsLargest
                ? 0.62 + 0.38 * (pair + 1.0) / Pairs
                : 0.86 + 0.14 * Math.Min(1, (pair + 0.6) / Math.Max(1.5, Pairs / 2.0));
            return isIrregular && pair % 2 == 1 ? 0.55 * size : size;
        }

        // A whole leaf’s length and a leaflet’s say how far apart the pairs are; the lowest fifth is stalk.
        private double? Gap(LeafForm form, bool endLeaflet)
        {
            if (!form.Has("leaf-length") || !form.Has("blade-length"))
                return null;
            var over = form.Number("leaf-length", 1) / form.Number("blade-length", 1);
            var (end, less) = endLeaflet ? (0.9, 0.3) : (0.3, 0.8);
            return over > 1.2 ? (over * 0.82 - end) / Math.Max(Pairs - less, 0.7) : null;
        }
    }

    /// <summary>Leaves along an axis, themselves of leaflets along an axis.</summary>
    public static Drawing Bipinnate(LeafForm form, Variation vary)
    {
        var leaflet = LeafForm
            .With(("shape", form.State("shape", "elliptic")), ("margin", form.State("margin", "entire")), ("base", "rounded"))
            .But("leaflet-count", 11)
            .But("slenderness", form.Number("slenderness", 2));
        // Leaflets as small as these have no outline, which would blacken them.
        var branch = new Drawing([
            .. Pinnate(leaflet, endLeaflet: true, vary)
                .Flat()
                .Where(stroke => stroke.Kind != StrokeKind.Vein)
                .Select(stroke => stroke.Kind == StrokeKind.Blade ? stroke with { Kind = StrokeKind.Mark, Tint = Tint.Green } : stroke),
        ]);
        const int pairs = 4;
        var parts = new List<Drawing> { new([Stroke.Line(StrokeKind.Stalk, new Point(0, 0), new Point(0, 2.5))]) };
        for (var i = 0; i < pairs; i++)
            foreach (var flip in new[] { false, true })
                parts.Add(
                    branch.Placed(
                        new Placement(
                            new Point(0, 0.6 + 0.58 * i),
                            (flip ? -1 : 1) * (62 + vary.Off(2)),
                            0.3 + (i is 1 or 2 ? 0.04 : 0),
                            flip
                        )
                    )
                );
        parts.Add(branch.Placed(new Placement(new Point(0, 2.5), 0, 0.32)));
        return Drawing.Of(parts);
    }

    private static double EndStalk(LeafForm form, double longest, double usual) =>
        form.State("terminal-leaflet", "short-stalked") switch
        {
            "long-stalked" => longest,
            "sessile" => 0.03,
            _ => usual,
        };

    private static Drawing Leaflet(LeafForm form, Variation vary, bool veins = true) => LeafDrawing.Blade(Lobed(form), vary, veins);

    // A leaflet of the side: symmetric, with a thumb, or fuller on one side.
    private static Drawing Side(LeafForm form, Variation vary, bool veins)
    {
        var leaflet = form.State("side-leaflets", "symmetric") switch
        {
            "one-sided-lobe" => Lobed(form).But("lobing", "one-sided"),
            "unequal-base" => Lobed(form).But("base", "unequal"),
            _ => Lobed(form),
        };
        return LeafDrawing.Blade(leaflet, vary, veins);
    }

    private static LeafForm Lobed(LeafForm form) =>
        form.State("lobing", "unlobed") == "pinnate" && !form.Has("lobe-depth")
            ? form.But("lobe-depth", "shallow").But("lobe-count", 5)
            : form;

    /// <summary>A piece of the axis between two pairs of leaflets, enlarged.</summary>
    public static Drawing AxisOf(string rachis)
    {
        var parts = new List<Drawing>();
        var leaflet = LeafDrawing.Blade(LeafForm.With(("shape", "elliptic")), veins: false);
        foreach (var y in new[] { -0.45, 0.55 })
            foreach (var flip in new[] { false, true })
                parts.Add(leaflet.Placed(new Placement(new Point(flip ? -0.06 : 0.06, y), flip ? -68 : 68, 0.8, flip)));
        if (rachis == "winged")
            foreach (var (from, to) in new[] { (-1.0, -0.5), (-0.45, 0.5), (0.55, 1.0) })
                parts.Add(
                    new Drawing([
                        new Stroke(
                            StrokeKind.Blade,
                            Curves.Smooth(
                                [
                                    new(0.05, from),
                                    new(0.22, from + 0.3 * (to - from)),
                                    new(0.24, to - 0.1),
                                    new(0.05, to),
                                    new(-0.05, to),
                                    new(-0.24, to - 0.1),
                                    new(-0.22, from + 0.3 * (to - from)),
                                    new(-0.05, from),
                                ],
                                closed: true
                            ),
                            Closed: true
                        ),
                    ])
                );
        parts.Add(new Drawing([Stroke.Area(Tint.YellowGreen, new(-0.07, -1), new(0.07, -1), new(0.06, 1), new(-0.06, 1))]));
        if (rachis == "grooved")
            parts.Add(new Drawing([Stroke.Area(Tint.DarkGreen, new(-0.028, -1), new(0.028, -1), new(0.022, 1), new(-0.022, 1))]));
        return Drawing.Of(parts);
    }

    // The stalk and the axis: plain, winged, or with a groove.
    private static Drawing Axis(LeafForm form, Point end)
    {
        var from = new Point(0, 0);
        var line = Stroke.Line(StrokeKind.Stalk, from, end);
        return form.State("rachis", "plain") switch
        {
            "winged" => new Drawing([
                new Stroke(
                    StrokeKind.Blade,
                    Curves.Smooth(
                        [
                            new(0, 0.1 * end.Y),
                            new(0.07, 0.35 * end.Y),
                            new(0.05, 0.55 * end.Y),
                            new(0.09, 0.8 * end.Y),
                            new(0.01, end.Y),
                            new(-0.01, end.Y),
                            new(-0.09, 0.8 * end.Y),
                            new(-0.05, 0.55 * end.Y),
                            new(-0.07, 0.35 * end.Y),
                        ],
                        closed: true
                    ),
                    Closed: true
                ),
                line,
            ]),
            "grooved" => new Drawing([
                Stroke.Line(StrokeKind.Stalk, new Point(0.022, 0), new Point(0.014, end.Y)),
                Stroke.Line(StrokeKind.Stalk, new Point(-0.022, 0), new Point(-0.014, end.Y)),
            ]),
            _ => new Drawing([line]),
        };
    }
}
