using static VerdantSieve.Core.Drawing.Point;

namespace VerdantSieve.Core.Drawing.Parts;

/// <summary>Draws what is seen and felt of a leaf’s faces, stalk and foot.</summary>
internal static class Surfaces
{
    private static Drawing Leaf(params IEnumerable<Stroke> more) =>
        Drawing.Of(LeafDrawing.Blade(LeafForm.With(("shape", "ovate"))), new Drawing([.. more]));

    /// <summary>Whether the upper face shines.</summary>
    public static Drawing Gloss(string gloss) =>
        gloss == "glossy"
            ? Leaf(
                Stroke.Area(
                    Tint.White,
                    Curves.Smooth([At(0.1, 0.2), At(0.2, 0.36), At(0.17, 0.62), At(0.08, 0.78), At(0.12, 0.5)], closed: true)
                ),
                Stroke.Area(Tint.White, Curves.Smooth([At(-0.2, 0.22), At(-0.15, 0.4), At(-0.17, 0.52), At(-0.22, 0.38)], closed: true))
            )
            : Leaf(Scatter.Dots(At(0, 0.42), 0.24, 0.36, 60, 0.006));

    /// <summary>How the upper face feels.</summary>
    public static Drawing Touch(string touch) =>
        touch switch
        {
            "soft-hairy" => Leaf(Scatter.Lines(At(0, 0.42), 0.25, 0.36, 70, 0.07, 20)),
            "rough" => Leaf(
                Scatter
                    .Places(At(0, 0.42), 0.25, 0.36, 44)
                    .Select(at =>
                        Stroke.Line(StrokeKind.Hair, At(at.X - 0.016, at.Y - 0.01), At(at.X, at.Y + 0.02), At(at.X + 0.016, at.Y - 0.01))
                    )
            ),
            _ => Leaf(),
        };

    /// <summary>How hairy the underside is.</summary>
    public static Drawing UndersideHair(string hair)
    {
        var under = LeafDrawing.Blade(LeafForm.With(("shape", "ovate"), ("venation", "pinnate-straight")));
        var pale = new Drawing([under.Strokes[0] with { Tint = Tint.Paler }, .. under.Strokes.Skip(1)]);
        IEnumerable<Stroke> hairs = hair switch
        {
            "on-veins" => under
                .Strokes.Where(stroke => stroke.Kind == StrokeKind.Vein)
                .SelectMany(vein =>
                    Curves
                        .Even(vein.Points, 9)
                        .SelectMany(at =>
                            new[] { 40, -40 }.Select(turn => Stroke.Line(StrokeKind.Hair, at, at.Along(Point.Direction(turn), 0.05)))
                        )
                ),
            "sparse" => Scatter.Lines(At(0, 0.42), 0.26, 0.38, 26, 0.06, 30),
            "dense" => Scatter.Lines(At(0, 0.42), 0.27, 0.4, 150, 0.07, 30),
            _ => [],
        };
        return Drawing.Of(pale, new Drawing([.. hairs]));
    }

    /// <summary>Tufts in the angles of the veins.</summary>
    public static Drawing VeinTufts(string tufts)
    {
        var strokes = new List<Stroke>
        {
            Stroke.Area(Tint.Paler, At(-0.7, -0.2), At(0.7, -0.2), At(0.7, 1), At(-0.7, 1)),
            Stroke.Line(StrokeKind.Stalk, At(0, -0.2), At(0, 1)),
        };
        foreach (var y in new[] { 0, 0.4 })
            foreach (var side in new[] { 1, -1 })
            {
                strokes.Add(Stroke.Line(StrokeKind.Stalk, At(0, y), At(side * 0.7, y + 0.5)));
                if (tufts == "none")
                    continue;
                for (var i = 0; i < 9; i++)
                    strokes.Add(
                        Stroke.Line(
                            StrokeKind.Stalk,
                            At(side * 0.01, y + 0.01),
                            At(side * 0.01, y + 0.01).Along(Point.Direction(side * (4 + 6 * i)), 0.2)
                        ) with
                        {
                            Tint = tufts == "rusty" ? Tint.Rusty : Tint.White,
                        }
                    );
            }
        return new Drawing(strokes);
    }

    /// <summary>The hairs under a lens.</summary>
    public static Drawing HairType(string type)
    {
        var strokes = new List<Stroke> { Stroke.Area(Tint.Paler, Curves.Circle(At(0, 0), 1, steps: 36)) };
        foreach (var at in Scatter.Places(At(0, 0), 0.72, 0.72, 7))
            if (HairTypes.TryGetValue(type, out var draw))
                draw(strokes, at);
            else
                strokes.Add(
                    Stroke.Line(StrokeKind.Stalk, Curves.Bend(at, at.Along(Point.Direction(20), 0.24), at.Along(Point.Direction(48), 0.42)))
                );
        return new Drawing(strokes);
    }

    /// <summary>How thick the blade is: its edge, bent.</summary>
    public static Drawing Texture(string texture)
    {
        var thick = texture switch
        {
            "thin" => 0.03,
            "leathery" => 0.2,
            _ => 0.09,
        };
        // A thin blade hangs, a leathery one stands.
        var sag = texture switch
        {
            "thin" => -0.6,
            "leathery" => 0.14,
            _ => -0.15,
        };
        var upper = Curves.Cubic(At(-0.9, 0), At(-0.3, 0.3), At(0.4, 0.3 + sag * 0.2), At(1, sag));
        return new Drawing([new Stroke(StrokeKind.Blade, [.. upper, .. upper.Reverse().Select(p => At(p.X, p.Y - thick))], true)]);
    }

    /// <summary>The blade seen from its tip: flat, folded, with its edges rolled, wrinkled or hanging on both sides.</summary>
    public static Drawing Fold(string fold) =>
        fold switch
        {
            "folded" => new Drawing([
                Stroke.Line(StrokeKind.Twig, At(-0.8, 0.7), At(0, 0), At(0.8, 0.7)) with
                {
                    Tint = Tint.Green,
                },
                Stroke.Dot(At(0, 0), 0.06),
            ]),
            "rolled-edges" => new Drawing([
                Stroke.Line(StrokeKind.Twig, [.. RolledEdge.Reverse().Select(point => point.Mirrored), At(0, 0), .. RolledEdge]) with
                {
                    Tint = Tint.Green,
                },
                Stroke.Dot(At(0, 0), 0.06),
            ]),
            "wrinkled" => new Drawing([
                Stroke.Line(
                    StrokeKind.Twig,
                    [.. Enumerable.Range(0, 61).Select(i => At(-0.9 + 0.03 * i, 0.11 * Math.Abs(Math.Sin(0.314 * i)) - 0.04))]
                ) with
                {
                    Tint = Tint.Green,
                },
                Stroke.Dot(At(0, 0), 0.06),
            ]),
            "drooping" => new Drawing([
                Stroke.Line(
                    StrokeKind.Twig,
                    [
                        .. Curves.Bend(At(-0.62, -0.72), At(-0.56, 0.02), At(0, 0.06)),
                        .. Curves.Bend(At(0, 0.06), At(0.56, 0.02), At(0.62, -0.72)),
                    ]
                ) with
                {
                    Tint = Tint.Green,
                },
                Stroke.Dot(At(0, 0.06), 0.06),
            ]),
            _ => new Drawing([
                Stroke.Line(StrokeKind.Twig, At(-0.9, 0.02), At(0, 0), At(0.9, 0.02)) with
                {
                    Tint = Tint.Green,
                },
                Stroke.Dot(At(0, 0), 0.06),
            ]),
        };

    private static readonly Point[] RolledEdge =
    [
        .. Enumerable.Range(0, 12).Select(i => At(0.78, -0.14).Along(Point.Direction(-20 + i * 20), 0.13)),
    ];

    /// <summary>A leaf stalk cut across.</summary>
    public static Drawing PetioleForm(string form) =>
        form switch
        {
            "flattened" => new Drawing([
                new Stroke(StrokeKind.Blade, Curves.Circle(At(0, 0), 0.16, 3.2, 28), true),
                Stroke.Dot(At(0, 0), 0.05),
            ]),
            "grooved" => new Drawing([
                new Stroke(
                    StrokeKind.Blade,
                    Curves.Smooth(
                        [
                            At(0, 0.16),
                            At(0.16, 0.42),
                            At(0.42, 0.3),
                            At(0.46, -0.1),
                            At(0.26, -0.42),
                            At(-0.26, -0.42),
                            At(-0.46, -0.1),
                            At(-0.42, 0.3),
                            At(-0.16, 0.42),
                        ],
                        closed: true
                    ),
                    true
                ),
                Stroke.Dot(At(0, -0.1), 0.05),
            ]),
            "winged" => new Drawing([
                new Stroke(
                    StrokeKind.Blade,
                    Curves.Smooth(
                        [
                            At(0, 0.3),
                            At(0.26, 0.16),
                            At(0.95, 0.2),
                            At(0.95, 0.12),
                            At(0.26, -0.16),
                            At(0, -0.36),
                            At(-0.26, -0.16),
                            At(-0.95, 0.12),
                            At(-0.95, 0.2),
                            At(-0.26, 0.16),
                        ],
                        closed: true
                    ),
                    true
                ),
                Stroke.Dot(At(0, 0), 0.05),
            ]),
            "hollow-over-bud" => new Drawing([
                Stroke.Area(Tint.GreyBrown, At(-0.9, -1), At(-0.6, -1), At(-0.6, 0.9), At(-0.9, 0.9)),
                new Stroke(
                    StrokeKind.Blade,
                    Curves.Smooth([At(-0.6, 0.3), At(-0.2, 0.42), At(0.6, 0.8), At(0.7, 0.66), At(0, 0.02), At(-0.6, -0.42)], closed: true),
                    true
                ),
                Stroke.Area(Tint.Cream, Curves.Smooth([At(-0.6, 0.2), At(-0.24, 0.16), At(-0.2, 0.02), At(-0.6, -0.24)], closed: true)),
                Stroke.Area(Tint.Brown, Curves.Leaflike(At(-0.6, -0.08), 60, 0.32, 0.12)),
            ]),
            _ => new Drawing([new Stroke(StrokeKind.Blade, Curves.Circle(At(0, 0), 0.4, steps: 28), true), Stroke.Dot(At(0, 0), 0.05)]),
        };

    /// <summary>What the hairs of a leaf stalk are like.</summary>
    public static Drawing PetioleHair(string type)
    {
        var strokes = new List<Stroke> { Stroke.Area(Tint.Green, At(-0.12, -1), At(0.12, -1), At(0.12, 1), At(-0.12, 1)) };
        for (var i = 0; i < 18; i++)
        {
            var side = i % 2 == 0 ? 1 : -1;
            var from = At(side * 0.11, -0.9 + 0.105 * i);
            if (PetioleHairs.TryGetValue(type, out var draw))
                draw(strokes, from, side);
            else
                strokes.Add(
                    Stroke.Line(StrokeKind.Hair, Curves.Bend(from, At(side * 0.28, from.Y + 0.06), At(side * 0.34, from.Y - 0.12)))
                );
        }
        return new Drawing(strokes);
    }

    /// <summary>What stands at the foot of a leaf stalk.</summary>
    public static Drawing Stipules(string stipules)
    {
        var twig = Stroke.Area(Tint.GreyBrown, At(-0.12, -1), At(0.12, -1), At(0.1, 1), At(-0.1, 1));
        var leaf = Drawing.Of(
            new Drawing([Stroke.Line(StrokeKind.Stalk, At(0.1, -0.1), At(0.5, 0.25))]),
            LeafDrawing.Blade(LeafForm.With(("shape", "elliptic"))).Placed(new Placement(At(0.5, 0.25), 48, 0.8))
        );
        IEnumerable<Stroke> more = stipules switch
        {
            "leafy" =>
            [
                new Stroke(StrokeKind.Blade, Curves.Leaflike(At(0.12, -0.1), 120, 0.42, 0.17), true),
                new Stroke(StrokeKind.Blade, Curves.Leaflike(At(0.05, -0.06), -20, 0.42, 0.17), true),
            ],
            "spines" =>
            [
                Stroke.Area(Tint.RedBrown, At(0.1, -0.2), At(0.44, -0.34), At(0.12, -0.06)),
                Stroke.Area(Tint.RedBrown, At(-0.1, -0.14), At(-0.42, 0.1), At(-0.1, 0.02)),
            ],
            "collar" => [Stroke.Area(Tint.Cream, At(-0.17, -0.12), At(0.17, -0.12), At(0.2, 0.0), At(-0.2, 0.0))],
            _ => [],
        };
        return Drawing.Of(new Drawing([twig]), leaf, new Drawing([.. more]));
    }

    /// <summary>Glands as dots all over the blade.</summary>
    public static Drawing Dotted() => Leaf(Scatter.Dots(At(0, 0.42), 0.25, 0.38, 60, 0.012));

    // Hairs that are not plain lines.
    private static readonly Dictionary<string, Action<List<Stroke>, Point>> HairTypes = new()
    {
        ["star-shaped"] = HairsStarShaped,
        ["scales"] = HairsScales,
    };

    private static void HairsStarShaped(List<Stroke> strokes, Point at)
    {
        strokes.AddRange(Enumerable.Range(0, 7).Select(i => Stroke.Line(StrokeKind.Stalk, at, at.Along(Point.Direction(i * 51), 0.22))));
    }

    private static void HairsScales(List<Stroke> strokes, Point at)
    {
        strokes.Add(Stroke.Area(Tint.Rusty, Curves.Circle(at, 0.17, steps: 16)));
        strokes.Add(Stroke.Dot(at, 0.03));
    }

    // Hairs of a leaf stalk that are not soft.
    private static readonly Dictionary<string, Action<List<Stroke>, Point, int>> PetioleHairs = new()
    {
        ["bristly"] = PetioleBristly,
        ["glandular"] = PetioleGlandular,
    };

    private static void PetioleBristly(List<Stroke> strokes, Point from, int side)
    {
        strokes.Add(Stroke.Line(StrokeKind.Stalk, from, At(side * 0.5, from.Y)));
    }

    private static void PetioleGlandular(List<Stroke> strokes, Point from, int side)
    {
        strokes.Add(Stroke.Line(StrokeKind.Hair, from, At(side * 0.32, from.Y + 0.03)));
        strokes.Add(Stroke.Dot(At(side * 0.34, from.Y + 0.03), 0.045, Tint.Red));
    }
}
