namespace VerdantSieve.Core.Drawing.Parts;

/// <summary>Draws fruits and cones. A fruit hangs by its stalk from (0, 0.2) and is about 1 high.</summary>
internal static class Fruits
{
    private static readonly Dictionary<string, Func<LeafForm, Drawing>> Types = new()
    {
        ["paired-samara"] = form => PairedSamara(form.State("samara-angle", "right-angle"), Colour(form, Tint.YellowGreen)),
        ["single-samara"] = form => SingleSamara(form.State("wing-reach", "halfway"), Colour(form, Tint.YellowGreen)),
        ["round-winged"] = form => RoundWinged(Colour(form, Tint.YellowGreen)),
        ["acorn"] = form =>
            Acorn(
                form.State("acorn-cup", "quarter-to-half"),
                form.State("acorn-cup-scales", "flat"),
                form.State("acorn-stalk", "none"),
                Colour(form, Tint.Brown)
            ),
        ["husked-nut"] = form =>
            HuskedNut(form.State("husk-splitting", "partly"), form.State("fruit-shape", "round"), Colour(form, Tint.YellowGreen)),
        ["bract-or-husk-nut"] = form => BractNut(Colour(form, Tint.Brown)),
        ["spiny-capsule"] = form => SpinyCapsule(Colour(form, Tint.YellowGreen)),
        ["dry-capsule"] = form => DryCapsule(form.State("fruit-shape", "egg"), Colour(form, Tint.Brown)),
        ["cottony-capsule"] = _ => CottonyCapsule(),
        ["pod"] = form => Pod(Colour(form, Tint.Brown), form.State("fruit-shape", "flat") == "twisted"),
        ["drupe"] = form => Fleshy(form, Tint.Red, stones: 1),
        ["berry"] = form => Fleshy(form, Tint.Purple, stones: 3),
        ["pome"] = form => Pome(Colour(form, Tint.Red), form.State("fruit-shape", "round")),
        ["compound-berry"] = form => CompoundBerry(Colour(form, Tint.Purple), form.State("fruit-shape", "egg")),
        ["hip"] = form => Hip(Colour(form, Tint.Red), form.State("fruit-shape", "egg")),
        ["aggregate-cone"] = form => AggregateCone(Colour(form, Tint.Pink)),
        ["plumed-seeds"] = _ => PlumedSeeds(),
        ["seed-ball"] = form => SeedBall(Colour(form, Tint.Brown)),
        ["seed-cone"] = form => Cone(form),
        ["catkin-cone"] = form => CatkinCone(Colour(form, Tint.Brown), form.State("fruit-shape", "egg")),
        ["berry-cone"] = form => BerryCone(Colour(form, Tint.Blue)),
        ["aril"] = form => Aril(Colour(form, Tint.Red)),
        ["naked-seed"] = form => NakedSeeds(Colour(form, Tint.Yellow)),
    };

    /// <summary>One fruit of a plant; null where nothing is known of its type.</summary>
    public static Drawing? Of(LeafForm form) => Types.TryGetValue(form.State("fruit-type", ""), out var draw) ? draw(form) : null;

    private static Tint Colour(LeafForm form, Tint usual) => Tints.Of(form.State("fruit-colour", "")) ?? usual;

    private static Stroke Hanging(double from = 0) => Stroke.Line(StrokeKind.Stalk, new Point(0, 0.25), new Point(0, from));

    private static Point At(double x, double y) => new(x, y);

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
            Hanging(),
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

    private static Drawing RoundWinged(Tint colour) =>
        new([
            Hanging(),
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
        IReadOnlyList<Point> cap =
        [
            .. Curves.Cubic(At(-half, rim), At(-half - 0.03, 0.13), At(half + 0.03, 0.13), At(half, rim)),
            .. Curves.Bend(At(half, rim), At(0, rim - 0.07), At(-half, rim)),
        ];
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
        var strokes = new List<Stroke> { Hanging() };
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
            Hanging(),
            Stroke.Area(Tint.Green, Curves.Circle(centre, 0.52, steps: 28)),
            Stroke.Area(Tint.Brown, Curves.Circle(centre, 0.52 - thick, steps: 28)),
            Stroke.Area(Tint.Cream, Curves.Circle(centre, 0.44 - thick, steps: 24)),
            Stroke.Line(StrokeKind.Vein, At(0, -0.5 + 0.44 - thick), At(0, -0.5 - 0.44 + thick)),
        ]);
    }

    private static Drawing BractNut(Tint colour)
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
            Hanging(),
            new Stroke(StrokeKind.Blade, husk, true),
            Stroke.Area(colour, Curves.Circle(At(0.02, -0.5), 0.29, 1.05)),
            Stroke.Line(StrokeKind.Vein, At(0.02, -0.24), At(0.02, -0.1)),
            Stroke.Area(Tint.Cream, Curves.Circle(At(0.02, -0.3), 0.12, 0.5)),
        ]);
    }

    private static Drawing SpinyCapsule(Tint colour) =>
        new([
            Hanging(),
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

    private static Drawing DryCapsule(string shape, Tint colour)
    {
        var (wide, high) = shape switch
        {
            "long" => (0.2, 1.0),
            "round" or "lobed" => (0.44, 0.8),
            _ => (0.32, 0.9),
        };
        var strokes = new List<Stroke> { Hanging() };
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

    private static Drawing CottonyCapsule()
    {
        var strokes = new List<Stroke> { Hanging() };
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

    private static Drawing Pod(Tint colour, bool twisted)
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
            Hanging(),
            Stroke.Area(colour, Curves.Smooth(points, closed: true)),
            .. Enumerable
                .Range(0, 6)
                .Select(i => Stroke.Line(StrokeKind.Vein, Curves.Circle(At(twisted ? 0.05 : 0.02, -0.24 - 0.19 * i), 0.055, 1.4, 10))),
        ]);
    }

    private static Drawing Fleshy(LeafForm form, Tint usual, int stones)
    {
        var (wide, high) = form.State("fruit-shape", "round") switch
        {
            "egg" => (0.36, 0.46),
            "long" => (0.26, 0.52),
            "flat" => (0.48, 0.36),
            _ => (0.42, 0.42),
        };
        var centre = At(0, -high);
        var strokes = new List<Stroke> { Hanging(-0.01), Stroke.Area(Colour(form, usual), Curves.Circle(centre, wide, high / wide, 28)) };
        // Cut open, unless many hang together: one stone, or several seeds.
        if (form.State("fruit-cut", "") == "whole")
            strokes.Add(
                Stroke.Line(
                    StrokeKind.Vein,
                    Curves.Bend(At(-0.5 * wide, -high * 0.8), At(-0.5 * wide, -high * 0.4), At(-0.15 * wide, -high * 0.25))
                )
            );
        else if (stones == 1)
            strokes.Add(Stroke.Area(Tint.Cream, Curves.Circle(At(0.03, -high * 1.06), wide * 0.5, 1.25 * high / wide)));
        else
            for (var i = 0; i < stones; i++)
                strokes.Add(
                    Stroke.Area(Tint.Cream, Curves.Circle(centre.Along(Point.Direction(120 * i + 180), wide * 0.44), wide * 0.19, 1.3, 12))
                );
        return new Drawing(strokes);
    }

    private static Drawing Pome(Tint colour, string shape)
    {
        var high = shape is "egg" or "long" ? 1.12 : 0.92;
        return new Drawing([
            Stroke.Line(StrokeKind.Stalk, At(0.05, 0.3), At(0, -0.06)),
            Stroke.Area(
                colour,
                Curves.Smooth(
                    [
                        At(0, -0.06),
                        At(0.28, 0),
                        At(0.5, -0.3 * high),
                        At(0.42, -0.72 * high),
                        At(0.16, -0.96 * high),
                        At(0, -0.9 * high),
                        At(-0.16, -0.96 * high),
                        At(-0.42, -0.72 * high),
                        At(-0.5, -0.3 * high),
                        At(-0.28, 0),
                    ],
                    closed: true
                )
            ),
            .. new[] { -34, -12, 12, 34 }.Select(turn =>
                Stroke.Line(StrokeKind.Stalk, At(0, -0.9 * high), At(0, -0.9 * high).Along(Point.Direction(180 + turn), 0.16))
            ),
        ]);
    }

    private static Drawing CompoundBerry(Tint colour, string shape)
    {
        var strokes = new List<Stroke> { Hanging(-0.05) };
        var rows = shape == "long" ? 7 : 5;
        for (var row = 0; row < rows; row++)
        {
            var count = (row == 0, row == rows - 1) switch
            {
                (true, _) => 3,
                (_, true) => 2,
                _ => 4,
            };
            for (var i = 0; i < count; i++)
                strokes.Add(
                    Stroke.Area(
                        colour,
                        Curves.Circle(At((i - (count - 1) / 2.0) * 0.2 + (row % 2 == 0 ? 0 : 0.02), -0.12 - 0.17 * row), 0.125, steps: 14)
                    )
                );
        }
        return new Drawing(strokes);
    }

    private static Drawing Hip(Tint colour, string shape)
    {
        var wide = shape == "round" ? 0.42 : 0.33;
        return new Drawing([
            Hanging(),
            Stroke.Area(
                colour,
                Curves.Smooth(
                    [
                        At(0, 0.02),
                        At(wide * 0.8, -0.14),
                        At(wide, -0.5),
                        At(0.13, -0.86),
                        At(-0.13, -0.86),
                        At(-wide, -0.5),
                        At(-wide * 0.8, -0.14),
                    ],
                    closed: true
                )
            ),
            .. new[] { -62, -30, 0, 30, 62 }.Select(turn => new Stroke(
                StrokeKind.Blade,
                Leaflike(At(0, -0.84), 180 + turn, 0.36, 0.05),
                true
            )),
        ]);
    }

    private static Drawing AggregateCone(Tint colour)
    {
        var strokes = new List<Stroke> { Stroke.Line(StrokeKind.Twig, At(0, 0.3), At(0, 0)) };
        for (var row = 0; row < 6; row++)
            for (var i = 0; i < 3 + (row is 1 or 2 or 3 ? 1 : 0); i++)
            {
                var count = 3 + (row is 1 or 2 or 3 ? 1 : 0);
                var at = At((i - (count - 1) / 2.0) * 0.2, -0.12 - 0.17 * row);
                strokes.Add(
                    Stroke.Area(colour, At(at.X - 0.1, at.Y), At(at.X, at.Y + 0.1), At(at.X + 0.1, at.Y), At(at.X + 0.02, at.Y - 0.13))
                );
            }
        foreach (var (x, y) in new[] { (0.3, -0.5), (-0.26, -0.75), (0.16, -0.95) })
        {
            strokes.Add(Stroke.Line(StrokeKind.Hair, At(x * 0.8, y + 0.1), At(x * 1.15, y - 0.12)));
            strokes.Add(Stroke.Area(Tint.Red, Curves.Circle(At(x * 1.18, y - 0.17), 0.06, 1.3, 10)));
        }
        return new Drawing(strokes);
    }

    private static Drawing PlumedSeeds()
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

    private static Drawing SeedBall(Tint colour) =>
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

    /// <summary>A seed cone by shape, scales and length over width.</summary>
    public static Drawing Cone(LeafForm form)
    {
        var (wide, high) = form.State("cone-shape", "egg") switch
        {
            "globe" => (0.44, 0.44),
            "cylinder" => (0.25, 0.8),
            _ => (0.38, 0.58),
        };
        var egg = form.State("cone-shape", "egg") == "egg";
        var scales = form.State("cone-scales", "unarmed");
        var upright = form.State("cone-hang", "hanging") == "upright";
        var colour = Colour(form, Tint.Brown);
        var rows = (int)Math.Round(high / 0.075);
        var strokes = new List<Stroke>();
        double Wide(double part) =>
            wide * Math.Pow(Math.Sin(Math.PI * Math.Clamp(0.06 + 0.9 * part, 0, 1)), 0.6) * (egg ? 1.08 - 0.34 * part : 1);
        strokes.Add(
            Stroke.Area(
                colour,
                [
                    .. Enumerable.Range(0, 21).Select(i => At(Wide(i / 20.0), -2 * high * i / 20)),
                    .. Enumerable.Range(0, 21).Select(i => At(-Wide(1 - i / 20.0), -2 * high * (1 - i / 20.0))),
                ]
            )
        );
        for (var row = 0; row < rows; row++)
        {
            var part = (row + 0.5) / rows;
            var across = Wide(part);
            var count = Math.Max(2, (int)Math.Round(across / 0.1));
            for (var i = 0; i < count; i++)
            {
                var x = across * ((i + (row % 2 == 0 ? 0.5 : 0.15)) / count * 2 - 1);
                if (Math.Abs(x) > across * 0.98)
                    continue;
                var at = At(x, -2 * high * part);
                strokes.Add(
                    Stroke.Line(StrokeKind.Vein, At(at.X - 0.08, at.Y + 0.04), At(at.X, at.Y - 0.05), At(at.X + 0.08, at.Y + 0.04))
                );
                if (scales == "prickle")
                    strokes.Add(Stroke.Line(StrokeKind.Hair, At(at.X, at.Y - 0.04), At(at.X * 1.16 + 0.02, at.Y - 0.12)));
                if (scales == "bracts-showing" && (row + i) % 2 == 0)
                    foreach (var turn in new[] { 150, 180, 210 })
                        strokes.Add(
                            Stroke.Line(
                                StrokeKind.Hair,
                                At(at.X, at.Y - 0.03),
                                At(at.X, at.Y - 0.03).Along(Point.Direction(turn), turn == 180 ? 0.15 : 0.09)
                            )
                        );
            }
        }
        var cone = Drawing.Of(new Drawing(strokes));
        return upright
            ? Drawing.Of(
                new Drawing([Stroke.Line(StrokeKind.Twig, At(-0.5, -0.1), At(0.5, -0.02))]),
                cone.Placed(new Placement(At(0, -0.05), 180, 1))
            )
            : Drawing.Of(
                new Drawing([
                    Stroke.Line(StrokeKind.Stalk, At(0, 0.16), At(0, -0.02)),
                    Stroke.Line(StrokeKind.Twig, At(-0.45, 0.14), At(0.45, 0.2)),
                ]),
                cone
            );
    }

    /// <summary>How cones sit on the branch.</summary>
    public static Drawing ConeHang(string hang)
    {
        var cone = Cone(LeafForm.With(("cone-shape", "egg"))).Parts[^1].Part;
        var branch = Stroke.Line(StrokeKind.Twig, At(-0.9, 0), At(0.9, 0.08));
        return hang switch
        {
            "upright" => Drawing.Of(
                new Drawing([branch]),
                cone.Placed(new Placement(At(-0.35, 0.06), 180, 0.75)),
                cone.Placed(new Placement(At(0.35, 0.08), 180, 0.75))
            ),
            "hanging" => Drawing.Of(
                new Drawing([
                    branch,
                    Stroke.Line(StrokeKind.Stalk, At(-0.35, 0), At(-0.35, -0.25)),
                    Stroke.Line(StrokeKind.Stalk, At(0.35, 0.04), At(0.35, -0.25)),
                ]),
                cone.Placed(new Placement(At(-0.35, -0.22), 0, 0.75)),
                cone.Placed(new Placement(At(0.35, -0.22), 0, 0.75))
            ),
            _ => Drawing.Of(
                new Drawing([branch]),
                cone.Placed(new Placement(At(-0.35, 0.02), 112, 0.62, true)),
                cone.Placed(new Placement(At(0.2, 0.02), 248, 0.62))
            ),
        };
    }

    private static Drawing CatkinCone(Tint colour, string shape)
    {
        var (wide, high) = shape == "long" ? (0.17, 1.3) : (0.3, 0.85);
        var strokes = new List<Stroke>
        {
            Hanging(),
            Stroke.Area(Tint.Dark, Curves.Circle(At(0, -high / 2), wide * 0.8, 0.5 * high / (wide * 0.8), 24)),
        };
        for (var row = 0; row < 8; row++)
        {
            var part = (row + 0.4) / 8;
            var across = wide * (0.55 + 0.55 * Math.Sin(Math.PI * part));
            foreach (var side in new[] { -1, 1 })
            {
                var (x, y) = (side * across * (row % 2 == 0 ? 0.55 : 0.45), -high * part);
                strokes.Add(
                    Stroke.Area(
                        colour,
                        At(x - side * 0.4 * across, y + 0.02),
                        At(x + side * across * 0.6, y + 0.05),
                        At(x + side * across * 0.66, y - 0.02),
                        At(x - side * 0.3 * across, y - 0.035)
                    )
                );
            }
        }
        return new Drawing(strokes);
    }

    private static Drawing BerryCone(Tint colour) =>
        new([
            Hanging(),
            Stroke.Area(colour, Curves.Circle(At(0, -0.45), 0.42, 1.02, 28)),
            .. new[] { 0, 120, 240 }.Select(turn =>
                Stroke.Line(StrokeKind.Vein, At(0, -0.52), At(0, -0.52).Along(Point.Direction(turn), 0.2))
            ),
            Stroke.Line(StrokeKind.Vein, Curves.Bend(At(-0.38, -0.3), At(0, -0.16), At(0.38, -0.3))),
        ]);

    private static Drawing Aril(Tint colour) =>
        new([
            Hanging(),
            Stroke.Area(
                colour,
                Curves.Smooth(
                    [
                        At(0, 0),
                        At(0.36, -0.16),
                        At(0.42, -0.56),
                        At(0.24, -0.84),
                        At(0, -0.78),
                        At(-0.24, -0.84),
                        At(-0.42, -0.56),
                        At(-0.36, -0.16),
                    ],
                    closed: true
                )
            ),
            Stroke.Area(Tint.Dark, Curves.Circle(At(0, -0.82), 0.15, 1.2)),
        ]);

    private static Drawing NakedSeeds(Tint colour) =>
        new([
            Stroke.Line(StrokeKind.Stalk, At(0, 0.6), At(0, 0.1)),
            Stroke.Line(StrokeKind.Stalk, At(0, 0.1), At(-0.24, -0.12)),
            Stroke.Line(StrokeKind.Stalk, At(0, 0.1), At(0.24, -0.08)),
            Stroke.Area(colour, Curves.Circle(At(-0.28, -0.42), 0.27, 1.12, 24)),
            Stroke.Area(colour, Curves.Circle(At(0.3, -0.38), 0.27, 1.12, 24)),
        ]);

    internal static IReadOnlyList<Point> Leaflike(Point at, double turn, double length, double half) =>
        [
            .. Curves
                .Joined(
                    Curves.Cubic(At(0, 0), At(half, 0.2 * length), At(half, 0.6 * length), At(0, length), 6),
                    Curves.Cubic(At(0, length), At(-half, 0.6 * length), At(-half, 0.2 * length), At(0, 0), 6)
                )
                .Select(p => p.Placed(new Placement(at, turn, 1))),
        ];

    /// <summary>The outline of a fruit, whatever its kind.</summary>
    public static Drawing Shape(string shape)
    {
        IReadOnlyList<Point> outline = shape switch
        {
            "egg" => Curves.Smooth(
                [
                    At(0, 0),
                    At(0.34, -0.16),
                    At(0.4, -0.5),
                    At(0.22, -0.92),
                    At(0, -1.02),
                    At(-0.22, -0.92),
                    At(-0.4, -0.5),
                    At(-0.34, -0.16),
                ],
                closed: true
            ),
            "long" => Curves.Smooth(
                [
                    At(0, 0),
                    At(0.12, -0.12),
                    At(0.15, -0.7),
                    At(0.1, -1.26),
                    At(0, -1.36),
                    At(-0.1, -1.26),
                    At(-0.15, -0.7),
                    At(-0.12, -0.12),
                ],
                closed: true
            ),
            "flat" => Curves.Circle(At(0, -0.26), 0.56, 0.42, 28),
            "twisted" => Pod(Tint.Brown, twisted: true).Strokes[1].Points,
            "lobed" =>
            [
                .. Enumerable
                    .Range(0, 72)
                    .Select(i => i * 5.0)
                    .Select(turn => At(0, -0.46).Along(Point.Direction(turn), 0.34 + 0.13 * Math.Abs(Math.Cos(turn * Math.PI / 90 * 1.0)))),
            ],
            _ => Curves.Circle(At(0, -0.45), 0.45, steps: 28),
        };
        return new Drawing([Hanging(), new Stroke(StrokeKind.Body, outline, true)]);
    }

    /// <summary>A fruit smooth or with hairs.</summary>
    public static Drawing Hair(bool hairy) =>
        new([
            Hanging(),
            new Stroke(StrokeKind.Body, Curves.Circle(At(0, -0.45), 0.42, steps: 28), true),
            .. hairy
                ? Enumerable
                    .Range(0, 60)
                    .Select(i =>
                        Stroke.Line(
                            StrokeKind.Hair,
                            At(0, -0.45).Along(Point.Direction(i * 6), 0.4),
                            At(0, -0.45).Along(Point.Direction(i * 6 + 8), 0.5)
                        )
                    )
                : [Stroke.Line(StrokeKind.Vein, Curves.Bend(At(-0.24, -0.32), At(-0.22, -0.16), At(-0.06, -0.12)))],
        ]);

    /// <summary>How fruits hang together.</summary>
    public static Drawing Hang(string hang)
    {
        var strokes = new List<Stroke> { Stroke.Line(StrokeKind.Twig, At(-0.7, 0.04), At(0.7, 0)) };

        if (Hangs.TryGetValue(hang, out var draw))
            draw(strokes);
        else
            HangAlong(strokes, hang == "upright-cluster" ? 1 : -1);
        return new Drawing(strokes);
    }

    /// <summary>Several of one fruit as they hang.</summary>
    public static Drawing Together(Drawing fruit, string hang)
    {
        if (hang == "pairs")
            return Drawing.Of(
                new Drawing([
                    Stroke.Line(StrokeKind.Stalk, At(0, 0.6), At(-0.3, 0.2)),
                    Stroke.Line(StrokeKind.Stalk, At(0, 0.6), At(0.3, 0.2)),
                ]),
                fruit.Placed(new Placement(At(-0.36, 0), 12, 0.8)),
                fruit.Placed(new Placement(At(0.36, 0), -12, 0.8))
            );
        var way = hang == "upright-cluster" ? 1 : -1;
        var parts = new List<Drawing> { new([Stroke.Line(StrokeKind.Stalk, At(0, 0), At(0, way * 1.9))]) };
        for (var i = 0; i < 7; i++)
        {
            var side = i % 2 == 0 ? 1 : -1;
            parts.Add(fruit.Placed(new Placement(At(side * 0.12, way * (0.35 + 0.24 * i)), way > 0 ? side * 120 : -side * 40, 0.5)));
        }
        parts.Add(fruit.Placed(new Placement(At(0, way * 1.95), way > 0 ? 180 : 0, 0.5)));
        return Drawing.Of(parts);
    }

    /// <summary>What carries the fruit.</summary>
    public static Drawing StalkOf(string stalk)
    {
        var fruit = new Stroke(StrokeKind.Body, Curves.Circle(At(0, -0.75), 0.24, steps: 20), true);
        var twig = Stroke.Line(StrokeKind.Twig, At(-0.5, 0.04), At(0.5, 0));
        return stalk switch
        {
            "red-club" => new Drawing([
                twig,
                Stroke.Area(
                    Tint.Red,
                    Curves.Smooth(
                        [At(-0.02, 0), At(0.02, 0), At(0.05, -0.3), At(0.15, -0.52), At(-0.15, -0.52), At(-0.05, -0.3)],
                        closed: true
                    )
                ),
                fruit,
            ]),
            "winged" => new Drawing([
                twig,
                Stroke.Line(StrokeKind.Stalk, At(0, 0), At(0, -0.52)),
                new Stroke(StrokeKind.Blade, Leaflike(At(0, -0.1), 150, 0.85, 0.14), true),
                fruit,
            ]),
            "none" => new Drawing([twig, new Stroke(StrokeKind.Body, Curves.Circle(At(0, -0.24), 0.24, steps: 20), true)]),
            _ => new Drawing([twig, Stroke.Line(StrokeKind.Stalk, At(0, 0), At(0, -0.52)), fruit]),
        };
    }

    // Fruits that do not stand along an axis.
    private static readonly Dictionary<string, Action<List<Stroke>>> Hangs = new()
    {
        ["single"] = HangSingle,
        ["pairs"] = HangPairs,
        ["drooping-heads"] = HangDroopingHeads,
    };

    private static void HangSingle(List<Stroke> strokes)
    {
        Hung(strokes, 0, -0.5, 0, 0);
    }

    private static void HangPairs(List<Stroke> strokes)
    {
        strokes.Add(Stroke.Line(StrokeKind.Stalk, At(0, 0), At(0, -0.2)));
        Hung(strokes, -0.2, -0.6, 0, -0.2);
        Hung(strokes, 0.2, -0.6, 0, -0.2);
    }

    private static void HangDroopingHeads(List<Stroke> strokes)
    {
        strokes.Add(Stroke.Line(StrokeKind.Stalk, At(0, 0), At(0, -0.6)));
        foreach (var (x, y) in new[] { (0, -0.82), (-0.18, -0.72), (0.18, -0.72), (-0.1, -0.95), (0.1, -0.95) })
            Hung(strokes, x, y, 0, -0.6);
    }

    private static void HangAlong(List<Stroke> strokes, int way)
    {
        strokes.Add(Stroke.Line(StrokeKind.Stalk, At(0, 0), At(0, way * 1.1)));
        for (var i = 0; i < 7; i++)
            Hung(strokes, (i % 2 == 0 ? 1 : -1) * (0.34 - 0.03 * i), way * (0.36 + 0.11 * i), 0, way * (0.2 + 0.12 * i));
        Hung(strokes, 0, way * 1.18, 0, way * 1.1);
    }

    private static void Hung(List<Stroke> strokes, double x, double y, double fromX, double fromY)
    {
        strokes.Add(Stroke.Line(StrokeKind.Stalk, At(fromX, fromY), At(x, y)));
        strokes.Add(new Stroke(StrokeKind.Body, Curves.Circle(At(x, y), 0.13, steps: 16), true));
    }
}
