using static VerdantSieve.Core.Drawing.Point;

namespace VerdantSieve.Core.Drawing.Parts;

/// <summary>Draws fruits that are dry when ripe: winged ones, nuts, capsules, pods and heads of seeds.</summary>
internal static class DryFruits
{
    /// <summary>A pair of winged fruits.</summary>
    public static Drawing PairedSamara(string angle, Tint colour)
    {
        var turn = angle switch
        {
            "narrow" => 24,
            "wide" => 82,
            _ => 52,
        };
        var half = new Drawing([
            Stroke.Area(
                colour,
                Curves.Joined(
                    Curves.Cubic(At(0.02, 0.02), At(0.2, 0.25), At(0.36, 0.75), At(0.2, 1.1)),
                    Curves.Cubic(At(0.2, 1.1), At(0.08, 1.24), At(-0.1, 0.8), At(-0.06, 0.04))
                )
            ),
            .. Enumerable
                .Range(0, 4)
                .Select(i =>
                    Stroke.Line(StrokeKind.Vein, Curves.Bend(At(-0.03, 0.2), At(-0.02, 0.6), At(0.0 + 0.06 * i, 1.08 - 0.06 * i), 4))
                ),
            new Stroke(StrokeKind.Body, Curves.Circle(At(0, 0.08), 0.13, 1.25), true),
        ]);
        return Drawing.Of(
            new Drawing([Stroke.Line(StrokeKind.Stalk, At(0, 0.6), At(0, 0))]),
            half.Placed(new Placement(At(0.07, 0), 180 - turn, 1, true)),
            half.Placed(new Placement(At(-0.07, 0), 180 + turn, 1))
        );
    }

    /// <summary>A seed with one wing.</summary>
    public static Drawing SingleSamara(string reach, Tint colour)
    {
        // How far down the seed the wing reaches.
        var foot = reach switch
        {
            "tip-only" => -0.52,
            "to-the-base" => -0.02,
            _ => -0.28,
        };
        var width = reach == "to-the-base" ? 0.2 : 0.17;
        return new Drawing([
            Fruits.Hanging(),
            Stroke.Area(
                colour,
                Curves.Smooth(
                    [
                        At(0.05, foot),
                        At(width, foot - 0.25),
                        At(width, -0.95),
                        At(0.06, -1.24),
                        At(-0.06, -1.24),
                        At(-width, -0.95),
                        At(-width, foot - 0.25),
                        At(-0.05, foot),
                    ],
                    closed: true
                )
            ),
            Stroke.Line(StrokeKind.Vein, At(0, -0.5), At(0, -1.15)),
            new Stroke(
                StrokeKind.Body,
                Curves.Smooth(
                    [At(0, 0), At(0.075, -0.14), At(0.07, -0.42), At(0, -0.56), At(-0.07, -0.42), At(-0.075, -0.14)],
                    closed: true
                ),
                true
            ),
        ]);
    }

    public static Drawing RoundWinged(Tint colour) =>
        new([
            Fruits.Hanging(),
            Stroke.Area(
                colour,
                Curves.Smooth(
                    [
                        At(0, 0),
                        At(0.4, -0.14),
                        At(0.5, -0.55),
                        At(0.3, -0.92),
                        At(0.05, -0.98),
                        At(0, -0.88),
                        At(-0.05, -0.98),
                        At(-0.3, -0.92),
                        At(-0.5, -0.55),
                        At(-0.4, -0.14),
                    ],
                    closed: true
                )
            ),
            .. Enumerable
                .Range(0, 9)
                .Select(i =>
                    Stroke.Line(
                        StrokeKind.Vein,
                        At(0, -0.5).Along(Point.Direction(i * 40), 0.16),
                        At(0, -0.5).Along(Point.Direction(i * 40), 0.38)
                    )
                ),
            new Stroke(StrokeKind.Body, Curves.Circle(At(0, -0.5), 0.14, 1.2), true),
        ]);

    /// <summary>An acorn with hair on its cup.</summary>
    public static Drawing CupHair(string hair)
    {
        var (every, length) = hair switch
        {
            "dense" => (1, 0.13),
            "sparse" => (4, 0.1),
            _ => (0, 0),
        };
        var acorn = Acorn("half-to-most", "flat", "none", Tint.Brown);
        if (every == 0)
            return acorn;
        // Out of the edge of the cup, away from its middle; and on its face.
        var edge = CupEdge(0.43, -0.627, 44)
            .Where((_, at) => at % every == every / 2)
            .Select(from => Stroke.Line(StrokeKind.Hair, from, At(from.X * (1 + 2 * length), from.Y + (from.Y + 0.4) * 2 * length)));
        var face = Scatter.Lines(At(0, -0.32), 0.36, 0.24, hair == "dense" ? 70 : 16, length, 30);
        return new Drawing([.. acorn.Strokes, .. edge, .. face]);
    }

    private static IReadOnlyList<Point> CupEdge(double half, double rim, int steps = 14) =>
        Curves.Cubic(At(-half, rim), At(-half - 0.03, 0.13), At(half + 0.03, 0.13), At(half, rim), steps);

    /// <summary>An acorn in its cup.</summary>
    public static Drawing Acorn(string cup, string scales, string stalk, Tint colour)
    {
        var covered = cup switch
        {
            "under-quarter" => 0.18,
            "half-to-most" => 0.66,
            "nearly-all" => 0.88,
            _ => 0.4,
        };
        var rim = -covered * 0.95;
        var half = cup == "under-quarter" ? 0.4 : 0.43;
        var nut = Curves.Joined(
            Curves.Cubic(At(0, -0.02), At(0.4, -0.02), At(0.42, -0.3), At(0.37, -0.6)),
            Curves.Cubic(At(0.37, -0.6), At(0.32, -0.85), At(0.1, -0.92), At(0, -1.02)),
            Curves.Cubic(At(0, -1.02), At(-0.1, -0.92), At(-0.32, -0.85), At(-0.37, -0.6)),
            Curves.Cubic(At(-0.37, -0.6), At(-0.42, -0.3), At(-0.4, -0.02), At(0, -0.02))
        );
        IReadOnlyList<Point> cap = [.. CupEdge(half, rim), .. Curves.Bend(At(half, rim), At(0, rim - 0.07), At(-half, rim))];
        var strokes = new List<Stroke> { Stroke.Area(colour, nut), Stroke.Area(Tint.GreyBrown, cap) };
        for (var row = 0; row < 5; row++)
            for (var i = 0; i < 7; i++)
            {
                var part = (i - 3 + (row % 2 == 0 ? 0 : 0.5)) / 3.4;
                var y = 0.05 + (rim - 0.02) * (row + 0.7) / 5;
                var wide = half * Math.Sqrt(Math.Max(0.05, 1 - Math.Pow(Math.Max(0, (y - rim) / (0.12 - rim)), 2)));
                var at = At(part * wide * 0.95, y);
                if (Math.Abs(part) > 1)
                    continue;
                if (scales == "knobbly")
                    strokes.Add(Stroke.Area(Tint.GreyBrown, Curves.Circle(at, 0.05, steps: 8)));
                else
                    strokes.Add(Stroke.Line(StrokeKind.Hair, At(at.X - 0.05, at.Y), At(at.X, at.Y - 0.045), At(at.X + 0.05, at.Y)));
            }
        if (scales == "fringed")
            for (var i = 0; i <= 12; i++)
                strokes.Add(
                    Stroke.Line(
                        StrokeKind.Hair,
                        Curves.Bend(
                            At(-half + half * i / 6, rim),
                            At(-half * 1.3 + half * 1.3 * i / 6, rim - 0.04),
                            At(-half * 1.42 + half * 1.42 * i / 6, rim - 0.2),
                            4
                        )
                    )
                );
        var top = stalk switch
        {
            "long" => 0.75,
            "short" => 0.28,
            _ => 0.1,
        };
        strokes.Add(Stroke.Line(StrokeKind.Stalk, At(0, 0.06), At(0, top)));
        strokes.Add(Stroke.Line(StrokeKind.Twig, At(-0.4, top + 0.04), At(0.4, top)));
        return new Drawing(strokes);
    }

    /// <summary>A nut in a husk that splits or not.</summary>
    public static Drawing HuskedNut(string splitting, string shape, Tint colour)
    {
        var (wide, high) = shape is "egg" or "long" ? (0.42, 0.56) : (0.5, 0.5);
        var centre = At(0, -0.5);
        var strokes = new List<Stroke> { Fruits.Hanging() };
        if (splitting == "to-the-base")
        {
            strokes.Add(new Stroke(StrokeKind.Body, Curves.Circle(centre, 0.3, high / wide), true));
            foreach (var side in new[] { 1, -1 })
                strokes.Add(
                    Stroke.Area(
                        colour,
                        Curves.Joined(
                            Curves.Cubic(At(0, 0), At(side * wide * 0.9, -0.02), At(side * wide * 1.3, -0.5), At(side * wide * 1.15, -1.0)),
                            Curves.Cubic(At(side * wide * 1.15, -1.0), At(side * wide * 0.9, -0.7), At(side * wide * 0.7, -0.2), At(0, 0))
                        )
                    )
                );
            return new Drawing(strokes);
        }
        strokes.Add(Stroke.Area(colour, Curves.Circle(centre, wide, high / wide, 28)));
        if (splitting == "partly")
        {
            strokes.Add(
                Stroke.Area(
                    Tint.Brown,
                    Curves.Joined(
                        Curves.Cubic(At(0, -0.4), At(0.12, -0.6), At(0.16, -0.8), At(0.1, -0.97)),
                        Curves.Cubic(At(-0.1, -0.97), At(-0.16, -0.8), At(-0.12, -0.6), At(0, -0.4))
                    )
                )
            );
            strokes.Add(Stroke.Line(StrokeKind.Vein, Curves.Bend(At(0.05, -0.02), At(wide * 0.8, -0.4), At(wide * 0.6, -0.85))));
            strokes.Add(Stroke.Line(StrokeKind.Vein, Curves.Bend(At(-0.05, -0.02), At(-wide * 0.8, -0.4), At(-wide * 0.6, -0.85))));
        }
        else
            strokes.AddRange(Scatter.Dots(centre, wide * 0.85, high * 0.85, 16, 0.014));
        return new Drawing(strokes);
    }

    /// <summary>How thick a husk is: the fruit cut through.</summary>
    public static Drawing Husk(string husk)
    {
        var thick = husk switch
        {
            "thin" => 0.05,
            "thick" => 0.24,
            _ => 0.13,
        };
        var centre = At(0, -0.5);
        return new Drawing([
            Fruits.Hanging(),
            Stroke.Area(Tint.Green, Curves.Circle(centre, 0.52, steps: 28)),
            Stroke.Area(Tint.Brown, Curves.Circle(centre, 0.52 - thick, steps: 28)),
            Stroke.Area(Tint.Cream, Curves.Circle(centre, 0.44 - thick, steps: 24)),
            Stroke.Line(StrokeKind.Vein, At(0, -0.5 + 0.44 - thick), At(0, -0.5 - 0.44 + thick)),
        ]);
    }

    /// <summary>A nut in what wraps it.</summary>
    public static Drawing WrappedNut(string wrap, Tint colour) =>
        wrap switch
        {
            "beak" => BeakedNut(),
            "fringe" => FringedNut(colour),
            "lobed-bract" => NutOnABract(colour),
            "bag" => BaggedNut(colour),
            _ => NutInACup(colour),
        };

    private static Drawing NutInACup(Tint colour)
    {
        IReadOnlyList<Point> husk = Curves.Smooth(
            [
                At(0, 0.02),
                At(0.36, -0.1),
                At(0.46, -0.5),
                At(0.52, -0.92),
                At(0.34, -0.78),
                At(0.26, -1.02),
                At(0.1, -0.8),
                At(-0.06, -1.02),
                At(-0.2, -0.8),
                At(-0.4, -0.98),
                At(-0.44, -0.5),
                At(-0.36, -0.1),
            ],
            closed: true
        );
        return new Drawing([
            Fruits.Hanging(),
            new Stroke(StrokeKind.Blade, husk, true),
            Stroke.Area(colour, Curves.Circle(At(0.02, -0.5), 0.29, 1.05)),
            Stroke.Line(StrokeKind.Vein, At(0.02, -0.24), At(0.02, -0.1)),
            Stroke.Area(Tint.Cream, Curves.Circle(At(0.02, -0.3), 0.12, 0.5)),
        ]);
    }

    // All of the nut is hidden: what is seen is the husk, narrowed into a tube with bristles.
    private static Drawing BeakedNut()
    {
        Point[] side = [At(0.3, -0.08), At(0.38, -0.34), At(0.2, -0.58), At(0.1, -0.82), At(0.14, -1.12)];
        return new Drawing([
            Fruits.Hanging(),
            .. Scatter.Lines(At(0, -0.36), 0.4, 0.32, 26, 0.08, 180),
            new Stroke(
                StrokeKind.Blade,
                Curves.Smooth([At(0, 0), .. side, At(0, -1.06), .. side.Reverse().Select(point => At(-point.X, point.Y))], closed: true),
                true
            ),
            .. new[] { -1, 1 }.Select(way =>
                Stroke.Line(StrokeKind.Vein, Curves.Bend(At(way * 0.12, -0.1), At(way * 0.22, -0.5), At(way * 0.04, -0.98)))
            ),
        ]);
    }

    private static Drawing FringedNut(Tint colour) =>
        new([
            Fruits.Hanging(),
            .. Enumerable
                .Range(0, 11)
                .Select(i => new Stroke(
                    StrokeKind.Blade,
                    Curves.Leaflike(At(0.05 * (i - 5), -0.12), 180 + 19 * (i - 5), 0.86 + 0.1 * (i % 2), 0.07),
                    true
                )),
            Stroke.Area(colour, Curves.Circle(At(0, -0.46), 0.26, 1.05)),
            Stroke.Area(Tint.Cream, Curves.Circle(At(0, -0.26), 0.12, 0.5)),
        ]);

    private static Drawing NutOnABract(Tint colour)
    {
        Point[] side = [At(0.1, -0.06), At(0.46, -0.3), At(0.5, -0.52), At(0.3, -0.42), At(0.17, -0.46), At(0.2, -0.8)];
        return new Drawing([
            Fruits.Hanging(),
            new Stroke(
                StrokeKind.Blade,
                Curves.Smooth([At(0, 0), .. side, At(0, -1.16), .. side.Reverse().Select(point => At(-point.X, point.Y))], closed: true),
                true
            ),
            Stroke.Line(StrokeKind.Vein, At(0, -0.1), At(0, -1.06)),
            Stroke.Line(StrokeKind.Vein, At(0, -0.14), At(0.4, -0.44)),
            Stroke.Line(StrokeKind.Vein, At(0, -0.14), At(-0.4, -0.44)),
            Stroke.Area(colour, Curves.Circle(At(0, -0.16), 0.13, 1.15, 16)),
        ]);
    }

    // Thin enough for the nut to show through.
    private static Drawing BaggedNut(Tint colour)
    {
        var bag = Curves.Joined(
            Curves.Cubic(At(0, 0), At(0.46, -0.1), At(0.44, -0.72), At(0, -1.06)),
            Curves.Cubic(At(0, -1.06), At(-0.44, -0.72), At(-0.46, -0.1), At(0, 0))
        );
        return new Drawing([
            Fruits.Hanging(),
            Stroke.Area(Tint.Cream, bag),
            Stroke.Area(colour, Curves.Circle(At(0, -0.24), 0.1, 1.6, 16)),
            Stroke.Line(StrokeKind.Vein, At(0, -0.42), At(0, -1.02)),
            .. new[] { -0.2, -0.1, 0.1, 0.2 }.Select(x =>
                Stroke.Line(StrokeKind.Vein, Curves.Bend(At(x * 0.6, -0.08), At(x * 2.1, -0.5), At(x * 0.3, -0.98)))
            ),
        ]);
    }

    public static Drawing SpinyCapsule(Tint colour) =>
        new([
            Fruits.Hanging(),
            .. Enumerable
                .Range(0, 40)
                .Select(i =>
                    Stroke.Line(
                        StrokeKind.Hair,
                        At(0, -0.5).Along(Point.Direction(i * 9), 0.4),
                        At(0, -0.5).Along(Point.Direction(i * 9 + 3), 0.56 + 0.05 * (i % 2))
                    )
                ),
            Stroke.Area(colour, Curves.Circle(At(0, -0.5), 0.42, steps: 26)),
            Stroke.Line(StrokeKind.Vein, Curves.Bend(At(0.04, -0.1), At(0.2, -0.5), At(0.06, -0.9))),
            .. Scatter.Lines(At(0, -0.5), 0.34, 0.34, 22, 0.09, 200),
        ]);

    public static Drawing DryCapsule(string shape, Tint colour)
    {
        var (wide, high) = shape switch
        {
            "long" => (0.2, 1.0),
            "round" or "lobed" => (0.44, 0.8),
            _ => (0.32, 0.9),
        };
        var strokes = new List<Stroke> { Fruits.Hanging() };
        foreach (var (from, to) in new[] { (-1.0, -0.36), (-0.36, 0.36), (0.36, 1.0) })
            strokes.Add(
                Stroke.Area(
                    colour,
                    Curves.Joined(
                        Curves.Cubic(
                            At(0, 0),
                            At(from * wide * 1.2, -0.1 * high),
                            At(from * wide * 1.25, -0.6 * high),
                            At((from + 0.1) * wide * 1.15, -high)
                        ),
                        Curves.Cubic(
                            At((to - 0.1) * wide * 1.15, -high + 0.05),
                            At(to * wide * 1.25, -0.6 * high),
                            At(to * wide * 1.2, -0.1 * high),
                            At(0, 0)
                        )
                    )
                )
            );
        return new Drawing(strokes);
    }

    public static Drawing CottonyCapsule()
    {
        var strokes = new List<Stroke> { Fruits.Hanging() };
        foreach (var side in new[] { 1, -1 })
            strokes.Add(
                Stroke.Area(
                    Tint.YellowGreen,
                    Curves.Joined(
                        Curves.Cubic(At(0, 0), At(side * 0.3, -0.05), At(side * 0.34, -0.25), At(side * 0.46, -0.5)),
                        Curves.Cubic(At(side * 0.46, -0.5), At(side * 0.2, -0.4), At(side * 0.05, -0.3), At(0, 0))
                    )
                )
            );
        strokes.Add(
            Stroke.Area(
                Tint.White,
                Curves.Smooth(
                    [
                        At(0, -0.12),
                        At(0.24, -0.34),
                        At(0.44, -0.6),
                        At(0.34, -0.95),
                        At(0.05, -1.08),
                        At(-0.3, -0.98),
                        At(-0.46, -0.66),
                        At(-0.24, -0.36),
                    ],
                    closed: true
                )
            )
        );
        strokes.AddRange(Scatter.Lines(At(0, -0.68), 0.4, 0.34, 30, 0.16, 0));
        return new Drawing(strokes);
    }

    public static Drawing Pod(Tint colour, bool twisted)
    {
        var points = twisted
            ? new[]
            {
                At(0.02, 0),
                At(0.26, -0.18),
                At(0.1, -0.42),
                At(0.3, -0.66),
                At(0.1, -0.9),
                At(0.24, -1.18),
                At(0, -1.4),
                At(-0.02, -1.15),
                At(-0.2, -0.92),
                At(0.0, -0.66),
                At(-0.2, -0.42),
                At(0, -0.2),
            }
            :
            [
                At(0.02, 0),
                At(0.14, -0.14),
                At(0.17, -0.7),
                At(0.12, -1.28),
                At(0, -1.42),
                At(-0.12, -1.25),
                At(-0.13, -0.7),
                At(-0.1, -0.14),
            ];
        return new Drawing([
            Fruits.Hanging(),
            Stroke.Area(colour, Curves.Smooth(points, closed: true)),
            .. Enumerable
                .Range(0, 6)
                .Select(i => Stroke.Line(StrokeKind.Vein, Curves.Circle(At(twisted ? 0.05 : 0.02, -0.24 - 0.19 * i), 0.055, 1.4, 10))),
        ]);
    }

    public static Drawing PlumedSeeds()
    {
        var strokes = new List<Stroke>();
        for (var seed = 0; seed < 5; seed++)
        {
            var turn = -76 + 38 * seed;
            var line = Curves.Bend(
                At(0, -0.2),
                At(0, -0.2).Along(Point.Direction(turn + 16), 0.6),
                At(0, -0.2).Along(Point.Direction(turn - 14), 1.05)
            );
            strokes.Add(Stroke.Line(StrokeKind.Stalk, line));
            for (var i = 2; i < line.Count - 1; i++)
                foreach (var side in new[] { 46, -46 })
                    strokes.Add(Stroke.Line(StrokeKind.Hair, line[i], line[i].Along(Point.Direction(turn + side), 0.15)));
            strokes.Add(
                new Stroke(StrokeKind.Body, Curves.Circle(At(0, -0.2).Along(Point.Direction(turn + 12), 0.1), 0.07, 1.2, 10), true)
            );
        }
        strokes.Add(Stroke.Line(StrokeKind.Stalk, At(0, -0.6), At(0, -0.2)));
        return new Drawing(strokes);
    }

    public static Drawing SeedBall(Tint colour) =>
        new([
            Stroke.Line(StrokeKind.Stalk, At(0, 0.7), At(0, -0.1)),
            Stroke.Area(colour, Curves.Circle(At(0, -0.5), 0.4, steps: 26)),
            .. Enumerable
                .Range(0, 30)
                .Select(i =>
                    Stroke.Line(
                        StrokeKind.Hair,
                        At(0, -0.5).Along(Point.Direction(i * 12), 0.4),
                        At(0, -0.5).Along(Point.Direction(i * 12), 0.46)
                    )
                ),
            .. Scatter.Dots(At(0, -0.5), 0.33, 0.33, 34, 0.022),
        ]);
}
