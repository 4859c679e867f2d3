using static VerdantSieve.Core.Drawing.Point;

namespace VerdantSieve.Core.Drawing.Parts;

/// <summary>Draws flowers and how they stand together.</summary>
internal static class Flowers
{
    /// <summary>One flower of a form, about 1 across, in the colour given.</summary>
    public static Drawing Of(string form, Tint colour, int petals = 5) =>
        form switch
        {
            "bell-or-urn" => Bell(colour),
            "pea" => Pea(colour),
            "trumpet" => Trumpet(colour),
            "tassel" => Tassel(colour),
            "tiny" => Tiny(colour),
            _ => Open(colour, petals),
        };

    private static Drawing Open(Tint colour, int petals)
    {
        petals = Math.Clamp(petals, 3, 9);
        var petal = Curves.Smooth([At(0, 0.05), At(0.2, 0.25), At(0.17, 0.48), At(0, 0.52), At(-0.17, 0.48), At(-0.2, 0.25)], closed: true);
        return Drawing.Of([
            .. Enumerable
                .Range(0, petals)
                .Select(i =>
                    new Drawing([Stroke.Area(colour, petal)]).Placed(new Placement(At(0, 0), 360.0 * i / petals, petals > 6 ? 0.9 : 1))
                ),
            new Drawing([
                .. Enumerable
                    .Range(0, 9)
                    .Select(i => Stroke.Line(StrokeKind.Hair, At(0, 0), At(0, 0).Along(Point.Direction(40 * i), 0.19))),
                .. Enumerable.Range(0, 9).Select(i => Stroke.Dot(At(0, 0).Along(Point.Direction(40 * i), 0.2), 0.022)),
                Stroke.Area(Tint.YellowGreen, Curves.Circle(At(0, 0), 0.07, steps: 12)),
            ]),
        ]);
    }

    private static Drawing Bell(Tint colour) =>
        new([
            Stroke.Line(StrokeKind.Stalk, Curves.Bend(At(-0.3, 0.5), At(0, 0.7), At(0, 0.35))),
            Stroke.Area(
                colour,
                Curves.Smooth(
                    [
                        At(0, 0.36),
                        At(0.22, 0.28),
                        At(0.33, 0),
                        At(0.22, -0.28),
                        At(0.34, -0.42),
                        At(0.12, -0.36),
                        At(0, -0.42),
                        At(-0.12, -0.36),
                        At(-0.34, -0.42),
                        At(-0.22, -0.28),
                        At(-0.33, 0),
                        At(-0.22, 0.28),
                    ],
                    closed: true
                )
            ),
        ]);

    private static Drawing Pea(Tint colour) =>
        new([
            Stroke.Line(StrokeKind.Stalk, At(-0.55, -0.1), At(-0.3, -0.05)),
            Stroke.Area(
                colour,
                Curves.Smooth([At(-0.3, -0.05), At(-0.28, 0.3), At(-0.02, 0.55), At(0.22, 0.5), At(0.12, 0.15)], closed: true)
            ),
            Stroke.Area(
                colour,
                Curves.Smooth([At(-0.26, -0.02), At(0.1, 0.14), At(0.45, 0.08), At(0.4, -0.16), At(0, -0.18)], closed: true)
            ),
            Stroke.Area(
                colour,
                Curves.Smooth([At(-0.28, -0.1), At(0.1, -0.18), At(0.46, -0.12), At(0.36, -0.36), At(0, -0.34)], closed: true)
            ),
            new Stroke(
                StrokeKind.Blade,
                Curves.Smooth([At(-0.38, -0.05), At(-0.26, 0.06), At(-0.16, -0.08), At(-0.26, -0.2)], closed: true),
                true
            ),
        ]);

    private static Drawing Trumpet(Tint colour) =>
        new([
            Stroke.Line(StrokeKind.Stalk, At(-0.7, -0.3), At(-0.5, -0.22)),
            Stroke.Area(
                colour,
                Curves.Smooth(
                    [
                        At(-0.5, -0.26),
                        At(-0.1, -0.16),
                        At(0.2, -0.2),
                        At(0.42, -0.44),
                        At(0.52, -0.2),
                        At(0.46, 0.02),
                        At(0.56, 0.24),
                        At(0.36, 0.34),
                        At(0.1, 0.12),
                        At(-0.15, -0.02),
                        At(-0.52, -0.16),
                    ],
                    closed: true
                )
            ),
            Stroke.Line(StrokeKind.Hair, At(0, -0.06), At(0.62, 0.04)),
            Stroke.Line(StrokeKind.Hair, At(0, -0.06), At(0.6, -0.06)),
        ]);

    private static Drawing Tassel(Tint colour) =>
        new([
            Stroke.Line(StrokeKind.Stalk, At(0, 0.6), At(0, 0.3)),
            .. Enumerable
                .Range(0, 19)
                .Select(i => -72 + 8 * i)
                .Select(turn =>
                    Stroke.Line(
                        StrokeKind.Hair,
                        At(0, 0.3),
                        At(0, 0.3).Along(Point.Direction(180 + turn), 0.72 - 0.002 * Math.Abs(turn))
                    ) with
                    {
                        Tint = colour is Tint.White or Tint.Cream ? Tint.GreyGreen : colour,
                    }
                ),
            .. Enumerable
                .Range(0, 19)
                .Select(i => -72 + 8 * i)
                .Select(turn => Stroke.Dot(At(0, 0.3).Along(Point.Direction(180 + turn), 0.74 - 0.002 * Math.Abs(turn)), 0.025, colour)),
        ]);

    private static Drawing Tiny(Tint colour) =>
        new([
            Stroke.Line(StrokeKind.Stalk, At(0, -0.7), At(0, 0.6)),
            .. Enumerable
                .Range(0, 7)
                .Select(i => Stroke.Area(colour, Curves.Circle(At(i % 2 == 0 ? 0.13 : -0.13, -0.5 + 0.17 * i), 0.075, steps: 10))),
        ]);

    /// <summary>How flowers stand together; null where nothing is known.</summary>
    public static Drawing? Cluster(string cluster, Tint colour, string form = "open", int petals = 5)
    {
        var flower = Of(form, colour, petals);
        return cluster switch
        {
            "single" => Drawing.Of(
                new Drawing([Stroke.Line(StrokeKind.Stalk, At(0, -1), At(0, 0))]),
                flower.Placed(new Placement(At(0, 0.2), 0, 0.95))
            ),
            "pair-or-few" => Few(flower),
            "catkin" => Catkin(colour),
            "hanging-raceme" => Along(flower, hanging: true),
            "upright-spike" => Along(flower, hanging: false),
            "panicle" => Panicle(flower),
            "flat-head" => FlatHead(flower),
            "umbel" => Umbel(flower),
            "ball" => Ball(colour),
            _ => null,
        };
    }

    private static Drawing Few(Drawing flower)
    {
        var parts = new List<Drawing>();
        foreach (var turn in new[] { -34, 0, 34 })
        {
            var end = At(0, -0.8).Along(Point.Direction(turn), turn == 0 ? 1.25 : 1.0);
            parts.Add(new Drawing([Stroke.Line(StrokeKind.Stalk, At(0, -0.8), end)]));
            parts.Add(flower.Placed(new Placement(end, turn, 0.5)));
        }
        return Drawing.Of(parts);
    }

    private static Drawing Catkin(Tint colour)
    {
        var strokes = new List<Stroke> { Stroke.Line(StrokeKind.Twig, At(-0.5, 1.06), At(0.5, 1.0)) };
        foreach (var (x, length) in new[] { (-0.2, 1.5), (0.2, 1.3) })
        {
            strokes.Add(Stroke.Line(StrokeKind.Stalk, At(x, 1.02), At(x, 0.85)));
            for (var i = 0; i < 15; i++)
                foreach (var side in new[] { -1, 1 })
                    strokes.Add(
                        Stroke.Area(
                            colour,
                            Curves.Circle(At(x + side * 0.06, 0.85 - length * i / 15), 0.075 * (1 - Math.Pow(i / 15.0, 4)), 0.8, 8)
                        )
                    );
        }
        return new Drawing(strokes);
    }

    private static Drawing Along(Drawing flower, bool hanging)
    {
        var way = hanging ? -1 : 1;
        var parts = new List<Drawing>();
        if (hanging)
            parts.Add(new Drawing([Stroke.Line(StrokeKind.Twig, At(-0.5, 0.06), At(0.5, 0))]));
        parts.Add(new Drawing([Stroke.Line(StrokeKind.Stalk, At(0, 0), At(0, way * 1.9))]));
        for (var i = 0; i < 11; i++)
        {
            var side = i % 2 == 0 ? 1 : -1;
            var (from, to) = (
                At(0, way * (0.35 + 0.14 * i)),
                At(side * (0.34 - 0.018 * i), way * (0.35 + 0.14 * i) + (hanging ? -0.1 : 0.1))
            );
            parts.Add(new Drawing([Stroke.Line(StrokeKind.Stalk, from, to)]));
            parts.Add(flower.Placed(new Placement(to, hanging ? side * 120 : side * 40, 0.36 - 0.014 * i)));
        }
        return Drawing.Of(parts);
    }

    private static Drawing Panicle(Drawing flower)
    {
        var parts = new List<Drawing> { new([Stroke.Line(StrokeKind.Stalk, At(0, -1), At(0, 0.9))]) };
        for (var i = 0; i < 6; i++)
        {
            var (side, length) = (i % 2 == 0 ? 1 : -1, 0.8 - 0.11 * i);
            var from = At(0, -0.65 + 0.25 * i);
            var end = from.Along(Point.Direction(side * 58), length);
            parts.Add(new Drawing([Stroke.Line(StrokeKind.Stalk, from, end)]));
            foreach (var (part, off) in new[] { (1.0, 0), (0.72, 26), (0.5, -26) })
                parts.Add(
                    flower.Placed(
                        new Placement(
                            from.Toward(end, part).Along(Point.Direction(side * 58 + off * 3), off == 0 ? 0 : 0.17),
                            side * 50,
                            0.28
                        )
                    )
                );
        }
        parts.Add(flower.Placed(new Placement(At(0, 0.95), 0, 0.3)));
        return Drawing.Of(parts);
    }

    private static Drawing FlatHead(Drawing flower)
    {
        var parts = new List<Drawing> { new([Stroke.Line(StrokeKind.Stalk, At(0, -1), At(0, -0.1))]) };
        for (var i = 0; i < 7; i++)
        {
            var x = -0.96 + 0.32 * i;
            // All the flowers stand at one height; the outer stalks leave lower down.
            var from = At(0, -0.6 + 0.14 * (3 - Math.Abs(i - 3)));
            var end = At(x, 0.32 - 0.05 * Math.Abs(i - 3));
            parts.Add(new Drawing([Stroke.Line(StrokeKind.Stalk, Curves.Bend(from, At(x * 0.7, -0.2), end))]));
            parts.Add(flower.Placed(new Placement(end, 0, 0.34)));
        }
        return Drawing.Of(parts);
    }

    private static Drawing Umbel(Drawing flower)
    {
        var parts = new List<Drawing> { new([Stroke.Line(StrokeKind.Stalk, At(0, -1.1), At(0, -0.35))]) };
        for (var i = 0; i < 9; i++)
        {
            var end = At(0, -0.35).Along(Point.Direction(-84 + 21 * i), 0.85);
            parts.Add(new Drawing([Stroke.Line(StrokeKind.Stalk, At(0, -0.35), end)]));
            parts.Add(flower.Placed(new Placement(end, 0, 0.3)));
        }
        return Drawing.Of(parts);
    }

    private static Drawing Ball(Tint colour) =>
        new([
            Stroke.Line(StrokeKind.Stalk, At(0, -1), At(0, -0.4)),
            .. Enumerable
                .Range(0, 36)
                .Select(i => Stroke.Line(StrokeKind.Hair, At(0, 0.05), At(0, 0.05).Along(Point.Direction(i * 10), 0.58))),
            Stroke.Area(colour, Curves.Circle(At(0, 0.05), 0.46, steps: 26)),
            .. Scatter.Dots(At(0, 0.05), 0.4, 0.4, 30, 0.03),
        ]);

    /// <summary>Where stamens and ovaries are: in one flower, in two of one tree, on two trees.</summary>
    public static Drawing Sexes(string sexes)
    {
        // With stamens; with an ovary; with both.
        Drawing Flower(bool stamens, bool ovary) =>
            new([
                .. Enumerable.Range(0, 5).Select(i => Stroke.Area(Tint.White, Curves.Leaflike(At(0, 0), 72 * i, 0.46, 0.2))),
                .. stamens
                    ? Enumerable
                        .Range(0, 7)
                        .Select(i => Stroke.Line(StrokeKind.Hair, At(0, 0), At(0, 0).Along(Point.Direction(i * 51), 0.26)))
                    : [],
                .. stamens
                    ? Enumerable.Range(0, 7).Select(i => Stroke.Dot(At(0, 0).Along(Point.Direction(i * 51), 0.27), 0.045, Tint.Yellow))
                    : [],
                .. ovary ? new[] { Stroke.Area(Tint.Green, Curves.Circle(At(0, 0), 0.13, 1.2, 14)) } : [],
            ]);
        var (male, female) = (Flower(true, false), Flower(false, true));
        var ground = Stroke.Line(StrokeKind.Hair, At(-1.1, -1.1), At(1.1, -1.1));
        Stroke Trunk(double x) => Stroke.Line(StrokeKind.Twig, At(x, -1.1), At(x, -0.3));
        return sexes switch
        {
            "both-on-one-tree" => Drawing.Of(
                new Drawing([
                    ground,
                    Trunk(0),
                    Stroke.Line(StrokeKind.Twig, At(0, -0.6), At(-0.4, -0.1)),
                    Stroke.Line(StrokeKind.Twig, At(0, -0.6), At(0.4, -0.1)),
                ]),
                male.Placed(new Placement(At(-0.5, 0.25), 0, 0.85)),
                female.Placed(new Placement(At(0.5, 0.25), 0, 0.85))
            ),
            "separate-trees" => Drawing.Of(
                new Drawing([ground, Trunk(-0.6), Trunk(0.6)]),
                male.Placed(new Placement(At(-0.6, 0.05), 0, 0.95)),
                female.Placed(new Placement(At(0.6, 0.05), 0, 0.95))
            ),
            _ => Drawing.Of(new Drawing([ground, Trunk(0)]), Flower(true, true).Placed(new Placement(At(0, 0.15), 0, 1.1))),
        };
    }
}
