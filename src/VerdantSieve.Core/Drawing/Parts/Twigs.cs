using static VerdantSieve.Core.Drawing.Point;

namespace VerdantSieve.Core.Drawing.Parts;

/// <summary>Draws twigs, buds, leaf scars, pith and what arms them. A twig grows upward about x = 0.</summary>
internal static class Twigs
{
    // Beside the rest of a plant hairs are as short as they are; where they are what is asked about they are drawn to be seen.
    private const double HairOfAPlate = 0.06;

    private const double Half = 0.13;

    /// <summary>A piece of twig with a bud at each of its nodes.</summary>
    public static Drawing Piece(Tint tint, double half = Half, bool buds = true)
    {
        var strokes = new List<Stroke> { Stem(tint, half) };
        if (buds)
            foreach (var (y, side) in Nodes)
                strokes.Add(Bud(At(side * half, y), side * 32, 0.2, 0.07, Tint.Brown));
        return new Drawing(strokes);
    }

    // Drops of it on the bud at the twig's end.
    private static readonly Stroke[] Gum =
    [
        Stroke.Area(Tint.Yellow, Curves.Circle(At(0.1, 0.3), 0.06, 1.5, 12)),
        Stroke.Area(Tint.Yellow, Curves.Circle(At(-0.08, 0.48), 0.05, 1.5, 12)),
        Stroke.Area(Tint.Yellow, Curves.Circle(At(0, 0.16), 0.05, 1.5, 12)),
    ];

    private static readonly (double Y, int Side)[] Nodes = [(-0.55, 1), (0.05, -1), (0.6, 1)];

    private static Stroke Stem(Tint? tint, double half) =>
        Stroke.Area(tint ?? Tint.GreyBrown, At(-half, -1), At(half, -1), At(half * 0.8, 1), At(-half * 0.8, 1));

    private static Stroke Bud(Point at, double turn, double length, double half, Tint? tint) =>
        Stroke.Area(tint ?? Tint.Brown, Curves.Leaflike(at, turn, length, half * 1.33));

    /// <summary>The end of a plant’s twig, with what is known of it: colour, thickness, buds and how they stand, thorns, pores,
    /// hairs.</summary>
    public static Drawing Of(LeafForm form)
    {
        var half = form.State("twig-thickness", "medium") switch
        {
            "slender" => 0.07,
            "stout" => 0.18,
            _ => 0.11,
        };
        var tint = Tints.Of(form.State("twig-colour", "")) ?? Tint.GreyBrown;
        var budTint = Tints.Of(form.State("bud-colour", "")) ?? Tint.Brown;
        var parts = new List<Drawing>();
        if (form.State("twig-form", "plain") != "plain" && form.State("armature", "none") == "none")
            parts.Add(Form(form.State("twig-form", "")));
        else if (form.State("armature", "none") != "none")
            parts.Add(Armed(form.State("armature", "none"), tint));
        else
        {
            parts.Add(new Drawing([Stem(tint, half)]));
            var paired = form.State("arrangement", "") is "opposite" or "subopposite";
            var turn = form.State("bud-stance", "") == "pressed-to-twig" ? 6 : 42;
            foreach (var (y, side) in paired ? [(-0.4, 1), (-0.4, -1), (0.35, 1), (0.35, -1)] : Nodes)
            {
                parts.Add(new Drawing([Bud(At(side * half * 0.9, y), side * turn, 0.26, 0.085, budTint)]));
                // The scar a leaf has left, under its bud.
                parts.Add(new Drawing([Stroke.Area(Tint.Cream, Curves.Circle(At(side * half * 0.55, y - 0.05), 0.07, 0.6, 10))]));
            }
        }
        if (form.Has("lenticels") && form.State("lenticels", "") != "faint")
            parts.Add(
                new Drawing([
                    .. Scatter.Dots(At(0, 0), half * 0.7, 0.9, 16, form.State("lenticels", "") == "conspicuous" ? 0.03 : 0.018, Tint.Cream),
                ])
            );
        if (form.State("twig-hair", "none") is var hair && hair != "none")
            parts.Add(new Drawing([.. Hairy(hair, tint, half, HairOfAPlate).Strokes.Skip(1)]));
        if (form.State("end-bud", "single") is var end && end != "single")
            parts.Add(new Drawing([.. End(end).Strokes.Skip(1)]).Placed(new Placement(At(0, 1), 0, 0.6)));
        else
            parts.Add(
                new Drawing([
                    .. BudForm(form.State("bud-form", "pointed"), budTint).Strokes.Skip(1),
                    .. form.Shows("bud-gum") ? Gum : [],
                ]).Placed(new Placement(At(0, 1), 0, 0.62))
            );
        return Drawing.Of(parts);
    }

    /// <summary>The form of a twig.</summary>
    public static Drawing Form(string form)
    {
        return Forms.TryGetValue(form, out var draw) ? draw() : Piece(Tint.Brown);
    }

    /// <summary>Spines, thorns and prickles.</summary>
    public static Drawing Armed(string armature, Tint tint = Tint.GreyBrown)
    {
        var strokes = new List<Stroke> { Stem(tint, Half) };
        if (Arms.TryGetValue(armature, out var arm))
            arm(strokes, tint);
        else
            strokes.AddRange(Nodes.Select(node => Bud(At(node.Side * Half, node.Y), node.Side * 32, 0.2, 0.07, Tint.Brown)));
        return new Drawing(strokes);
    }

    /// <summary>How thick it is: beside a match.</summary>
    public static Drawing Thickness(string thickness)
    {
        var half = thickness switch
        {
            "slender" => 0.05,
            "stout" => 0.28,
            _ => 0.14,
        };
        return Drawing.Of(
            Piece(Tint.Brown, half),
            new Drawing([
                Stroke.Area(Tint.Cream, At(0.6, -0.8), At(0.7, -0.8), At(0.7, 0.5), At(0.6, 0.5)),
                Stroke.Area(Tint.Red, Curves.Circle(At(0.65, 0.58), 0.09, 1.3, 14)),
            ])
        );
    }

    /// <summary>The pores of its bark.</summary>
    public static Drawing Lenticels(string lenticels)
    {
        var strokes = new List<Stroke> { Stem(Tint.RedBrown, 0.26) };
        var (size, count) = lenticels switch
        {
            "dots" => (0.022, 26),
            "conspicuous" => (0.05, 22),
            _ => (0.008, 14),
        };
        foreach (var at in Scatter.Places(At(0, 0), 0.18, 0.92, count))
            strokes.Add(
                lenticels == "conspicuous" ? Stroke.Area(Tint.Cream, Curves.Circle(at, 0.065, 0.42, 10)) : Stroke.Dot(at, size, Tint.Cream)
            );
        return new Drawing(strokes);
    }

    /// <summary>A twig cut lengthwise: its pith.</summary>
    public static Drawing Pith(string pith, Tint? colour = null)
    {
        var tint = colour ?? Tint.Cream;
        var strokes = new List<Stroke>
        {
            Stem(Tint.GreyBrown, 0.34),
            Stroke.Area(Tint.Cream, At(-0.26, -1), At(0.26, -1), At(0.21, 1), At(-0.21, 1)),
        };
        IReadOnlyList<Point> core = [At(-0.14, -1), At(0.14, -1), At(0.11, 1), At(-0.11, 1)];
        strokes.Add(
            pith == "hollow" ? Stroke.Area(Tint.Dark, core) : Stroke.Area(colour ?? (pith == "chambered" ? Tint.Dark : Tint.White), core)
        );
        if (pith == "chambered")
            for (var i = 0; i < 12; i++)
                strokes.Add(
                    Stroke.Area(
                        tint,
                        At(-0.135, -0.9 + 0.16 * i),
                        At(0.135, -0.9 + 0.16 * i),
                        At(0.13, -0.86 + 0.16 * i),
                        At(-0.13, -0.86 + 0.16 * i)
                    )
                );
        return new Drawing(strokes);
    }

    /// <summary>The end of a twig with a bud in a colour.</summary>
    public static Drawing EndBud(Tint tint) =>
        OnTwig(Bud(At(0, 0), 0, 0.85, 0.27, tint), Stroke.Line(StrokeKind.Vein, Curves.Bend(At(-0.2, 0.3), At(0, 0.1), At(0.22, 0.35))));

    private static Drawing OnTwig(params IEnumerable<Stroke> strokes) =>
        new([Stroke.Area(Tint.GreyBrown, At(-0.16, -0.8), At(0.16, -0.8), At(0.16, 0.02), At(-0.16, 0.02)), .. strokes]);

    /// <summary>How many scales cover a bud.</summary>
    public static Drawing Scales(string scales)
    {
        var body = Bud(At(0, 0), 0, 0.95, 0.3, Tint.RedBrown);
        return scales switch
        {
            "none" => OnTwig(
                new Stroke(StrokeKind.Blade, Curves.Leaflike(At(0.02, 0), 8, 0.9, 0.2), true),
                new Stroke(StrokeKind.Blade, Curves.Leaflike(At(-0.05, 0), -8, 0.85, 0.16), true),
                Stroke.Line(StrokeKind.Vein, At(0.03, 0.1), At(0.13, 0.8)),
                Stroke.Line(StrokeKind.Vein, At(-0.05, 0.1), At(-0.14, 0.75))
            ),
            "one" => OnTwig(body),
            "two" => OnTwig(body, Bud(At(0.1, 0), 4, 0.9, 0.2, Tint.Brown)),
            _ => OnTwig([
                body,
                .. new[] { (0.2, 0.16), (0.2, -0.16), (0.42, 0.14), (0.42, -0.14), (0.64, 0.07) }.Select(scale =>
                    Stroke.Line(
                        StrokeKind.Stalk,
                        Curves.Bend(
                            At(scale.Item2 * 1.9, scale.Item1 - 0.1),
                            At(scale.Item2 * 0.5, scale.Item1 - 0.02),
                            At(-scale.Item2 * 0.25, scale.Item1 + 0.28)
                        )
                    )
                ),
            ]),
        };
    }

    /// <summary>The form of a bud, in a colour.</summary>
    public static Drawing BudForm(string form, Tint tint = Tint.Brown, double length = 0.8)
    {
        return BudForms.TryGetValue(form, out var draw) ? draw(tint) : OnTwig(Bud(At(0, 0), 0, length, 0.2, tint));
    }

    /// <summary>How hairy something long is: a twig, a stalk, an axis.</summary>
    /// <param name="hair">How hairy.</param>
    /// <param name="tint">Its colour.</param>
    /// <param name="half">Half of how thick it is.</param>
    /// <param name="length">How far the hairs stand off.</param>
    public static Drawing Hairy(string hair, Tint tint, double half = 0.14, double length = 0.15)
    {
        var strokes = new List<Stroke> { Stem(tint, half) };
        var count = hair switch
        {
            "dense" => 90,
            "sparse" => 22,
            _ => 0,
        };
        for (var i = 0; i < count; i++)
        {
            var y = -0.97 + 1.94 * (i + 0.5) / count;
            var side = i % 2 == 0 ? 1 : -1;
            strokes.Add(
                Stroke.Line(StrokeKind.Hair, At(side * half * 0.88, y), At(side * (half * 0.9 + length), y + 0.4 * length * (i % 3 - 1)))
            );
        }
        if (hair == "dense")
            strokes.AddRange(Scatter.Lines(At(0, 0), half * 0.7, 0.9, 40, 0.08, 40));
        return new Drawing(strokes);
    }

    /// <summary>A bud with hairs.</summary>
    public static Drawing BudHair(string hair)
    {
        var strokes = new List<Stroke> { Bud(At(0, 0), 0, 0.9, 0.28, Tint.Brown) };
        var count = hair switch
        {
            "dense" => 60,
            "sparse" => 26,
            _ => 0,
        };
        strokes.AddRange(Scatter.Lines(At(0, 0.42), 0.2, 0.36, count, hair == "dense" ? 0.14 : 0.13, 20));
        return OnTwig(strokes);
    }

    /// <summary>How a side bud stands.</summary>
    public static Drawing Stance(string stance) =>
        new([
            Stem(Tint.GreyBrown, Half),
            .. new[] { (-0.5, 1), (0.25, -1) }.Select(node =>
                stance == "pressed-to-twig"
                    ? Bud(At(node.Item2 * (Half + 0.035), node.Item1), node.Item2 * 3, 0.42, 0.08, Tint.RedBrown)
                    : Bud(At(node.Item2 * Half, node.Item1), node.Item2 * 58, 0.42, 0.1, Tint.RedBrown)
            ),
        ]);

    /// <summary>What stands at the end of a twig.</summary>
    public static Drawing End(string end) =>
        end switch
        {
            "clustered" => OnTwig(
                Bud(At(-0.14, 0), -28, 0.5, 0.15, Tint.Brown),
                Bud(At(0.14, 0), 28, 0.5, 0.15, Tint.Brown),
                Bud(At(-0.06, 0), -8, 0.58, 0.15, Tint.Brown),
                Bud(At(0.07, 0), 12, 0.58, 0.16, Tint.Brown)
            ),
            "absent" => OnTwig(
                Stroke.Area(Tint.Dark, Curves.Circle(At(0, 0.02), 0.1, 0.5, 12)),
                Bud(At(0.16, -0.2), 34, 0.4, 0.13, Tint.Brown)
            ),
            _ => OnTwig(Bud(At(0, 0), 0, 0.75, 0.22, Tint.Brown), Bud(At(0.16, -0.4), 34, 0.3, 0.1, Tint.Brown)),
        };

    /// <summary>The scars that a pair of leaves leaves.</summary>
    public static Drawing Scars(string scars)
    {
        var strokes = new List<Stroke> { Stem(Tint.GreyBrown, 0.34), Bud(At(0, 0.1), 0, 0.34, 0.12, Tint.Brown) };
        if (scars == "meeting-in-a-point")
            foreach (var side in new[] { 1, -1 })
                strokes.Add(
                    Stroke.Area(
                        Tint.Cream,
                        Curves.Smooth(
                            [At(0, 0.34), At(side * 0.12, 0.02), At(side * 0.33, -0.08), At(side * 0.33, 0.06), At(side * 0.16, 0.16)],
                            closed: true
                        )
                    )
                );
        else
        {
            foreach (var side in new[] { 1, -1 })
                strokes.Add(
                    Stroke.Area(
                        Tint.Cream,
                        Curves.Smooth(
                            [At(side * 0.33, 0.1), At(side * 0.16, 0.06), At(side * 0.18, -0.1), At(side * 0.33, -0.14)],
                            closed: true
                        )
                    )
                );
            if (scars == "joined-by-line")
                strokes.Add(Stroke.Area(Tint.Cream, At(-0.2, -0.05), At(0.2, -0.05), At(0.2, 0.02), At(-0.2, 0.02)));
        }
        return new Drawing(strokes);
    }

    /// <summary>The upper edge of a leaf scar, with its bud above.</summary>
    public static Drawing ScarTop(string top) => Scar(top == "notched", ThreeBundles);

    private static readonly Stroke[] ThreeBundles = [.. new[] { -0.12, 0, 0.12 }.Select(x => Stroke.Dot(At(x, -0.12), 0.03))];

    /// <summary>A leaf scar near at hand, with what the veins of the leaf have left in it.</summary>
    public static Drawing BundleScars(string bundles) =>
        new([
            Stroke.Area(
                Tint.Cream,
                Curves.Smooth([At(-0.5, 0.4), At(0, 0.3), At(0.5, 0.4), At(0.42, -0.14), At(0, -0.56), At(-0.42, -0.14)], closed: true)
            ),
            .. bundles switch
            {
                "one" => [Stroke.Area(Tint.Dark, Curves.Circle(At(0, -0.04), 0.24, 0.34))],
                "three" => new[] { -0.26, 0, 0.26 }.Select(x => Stroke.Dot(At(x, -0.1 + 0.5 * x * x), 0.075)),
                _ => Enumerable
                    .Range(0, 9)
                    .Select(i => Stroke.Dot(At(0.38 * Math.Sin((i - 4) * 0.4), 0.16 - 0.44 * Math.Cos((i - 4) * 0.34)), 0.045)),
            },
        ]);

    /// <summary>A leaf scar by its shape, with its bud.</summary>
    public static Drawing ScarShape(string shape)
    {
        IReadOnlyList<Point> scar = shape switch
        {
            "crescent" => Lens(At(-0.3, 0.16), -0.3, -0.12),
            "half-round" => [.. Curves.Cubic(At(-0.28, 0.14), At(-0.26, -0.34), At(0.26, -0.34), At(0.28, 0.14))],
            "round" => Curves.Circle(At(0, -0.1), 0.26),
            "heart" => Curves.Smooth(
                [At(-0.26, 0.16), At(0, 0.08), At(0.26, 0.16), At(0.24, -0.08), At(0, -0.5), At(-0.24, -0.08)],
                closed: true
            ),
            "three-lobed" => Curves.Smooth(
                [
                    At(-0.28, 0.2),
                    At(-0.16, 0.1),
                    At(0, 0.14),
                    At(0.16, 0.1),
                    At(0.28, 0.2),
                    At(0.3, 0),
                    At(0.12, -0.14),
                    At(0.14, -0.4),
                    At(0, -0.5),
                    At(-0.14, -0.4),
                    At(-0.12, -0.14),
                    At(-0.3, 0),
                ],
                closed: true
            ),
            "horseshoe" =>
            [
                .. Curves.Cubic(At(-0.2, 0.56), At(-0.42, -0.42), At(0.42, -0.42), At(0.2, 0.56)),
                .. Curves.Cubic(At(0.1, 0.5), At(0.26, -0.16), At(-0.26, -0.16), At(-0.1, 0.5)),
            ],
            _ => [At(-0.32, 0.3), At(0, -0.3), At(0.32, 0.3), At(0.32, 0.14), At(0, -0.46), At(-0.32, 0.14)],
        };
        var bud = shape == "horseshoe" ? Bud(At(0, 0.06), 0, 0.4, 0.1, Tint.Brown) : Bud(At(0, 0.22), 0, 0.42, 0.14, Tint.Brown);
        return new Drawing([Stem(Tint.GreyBrown, 0.42), Stroke.Area(Tint.Cream, scar), bud]);
    }

    // Between two bows that start at one place and end beside it.
    private static IReadOnlyList<Point> Lens(Point from, double low, double high) =>
        [
            .. Curves.Cubic(from, At(from.X * 0.6, low), At(-from.X * 0.6, low), from.Mirrored),
            .. Curves.Cubic(from.Mirrored, At(-from.X * 0.5, high), At(from.X * 0.5, high), from),
        ];

    private static Drawing Scar(bool notched, IEnumerable<Stroke> bundles) =>
        new([
            // A short piece of the twig, so that what is in the scar is seen.
            Stroke.Area(Tint.GreyBrown, At(-0.42, -0.52), At(0.42, -0.52), At(0.42, 0.74), At(-0.42, 0.74)),
            Stroke.Area(
                Tint.Cream,
                Curves.Smooth(
                    [At(-0.26, 0.24), At(0, notched ? 0.02 : 0.24), At(0.26, 0.24), At(0.22, -0.1), At(0, -0.36), At(-0.22, -0.1)],
                    closed: true
                )
            ),
            .. bundles,
            Bud(At(0, notched ? 0.12 : 0.3), 0, 0.36, 0.14, Tint.Brown),
        ]);

    /// <summary>What runs out of a cut.</summary>
    public static Drawing Sap(string sap) =>
        new([
            Stroke.Area(Tint.GreyBrown, At(-0.22, -0.2), At(0.22, -0.2), At(0.22, 0.9), At(-0.22, 0.9)),
            Stroke.Area(Tint.Cream, Curves.Circle(At(0, -0.2), 0.22, 0.4)),
            Stroke.Area(
                sap == "milky" ? Tint.White : Tint.Bluish,
                Curves.Smooth(
                    [At(0, -0.24), At(0.17, -0.62), At(0.12, -0.84), At(0, -0.9), At(-0.12, -0.84), At(-0.17, -0.62)],
                    closed: true
                )
            ),
            .. sap == "milky"
                ? [Stroke.Area(Tint.White, Curves.Circle(At(0, -0.2), 0.15, 0.4))]
                : new[] { Stroke.Line(StrokeKind.Vein, Curves.Bend(At(-0.07, -0.56), At(-0.1, -0.7), At(-0.04, -0.8))) },
        ]);

    // The forms of a twig.
    private static readonly Dictionary<string, Func<Drawing>> Forms = new()
    {
        ["zigzag"] = FormZigzag,
        ["corky-wings"] = FormCorkyWings,
        ["angled"] = FormAngled,
        ["waxy-bloom"] = FormWaxyBloom,
        ["striped"] = FormStriped,
        ["spur-shoots"] = FormSpurShoots,
        ["warty"] = FormWarty,
        ["swollen-joints"] = FormSwollenJoints,
    };

    private static Drawing FormWarty() =>
        new([
            .. Piece(Tint.RedBrown, 0.15).Strokes,
            .. Scatter.Places(At(0, 0), 0.13, 0.92, 34).Select(at => Stroke.Area(Tint.White, Curves.Circle(at, 0.038, steps: 8))),
        ]);

    // A knee above each of two leaf scars.
    private static Drawing FormSwollenJoints()
    {
        IReadOnlyList<Point> right =
        [
            At(0.1, -1),
            .. Curves.Smooth([At(0.1, -0.66), At(0.24, -0.5), At(0.24, -0.4), At(0.1, -0.28), At(0.09, 0.12)]),
            .. Curves.Smooth([At(0.09, 0.16), At(0.22, 0.32), At(0.22, 0.42), At(0.09, 0.54), At(0.08, 1)]),
        ];
        return new Drawing([
            Stroke.Area(Tint.Brown, [.. right, .. right.Reverse().Select(point => point.Mirrored)]),
            .. new[] { (At(0.12, -0.45), 34), (At(-0.12, 0.37), -34) }.Select(bud => Bud(bud.Item1, bud.Item2, 0.26, 0.08, Tint.RedBrown)),
        ]);
    }

    private static Drawing FormZigzag()
    {
        var corners = new[] { At(-0.1, -1), At(0.2, -0.6), At(-0.2, -0.1), At(0.2, 0.4), At(-0.15, 0.95) };
        var right = corners.Select(p => At(p.X + 0.07, p.Y));
        var left = corners.Reverse().Select(p => At(p.X - 0.07, p.Y));
        return new Drawing([
            Stroke.Area(Tint.GreyBrown, [.. right, .. left]),
            Bud(At(0.27, -0.6), 40, 0.2, 0.07, Tint.Brown),
            Bud(At(-0.27, -0.1), -40, 0.2, 0.07, Tint.Brown),
            Bud(At(0.27, 0.4), 40, 0.2, 0.07, Tint.Brown),
        ]);
    }

    private static Drawing FormCorkyWings()
    {
        IReadOnlyList<Point> wing = Curves.Smooth(
            [
                At(0.1, -0.95),
                At(0.34, -0.8),
                At(0.3, -0.5),
                At(0.42, -0.3),
                At(0.34, 0),
                At(0.44, 0.3),
                At(0.3, 0.55),
                At(0.36, 0.8),
                At(0.1, 0.95),
            ],
            closed: true
        );
        return new Drawing([
            Stroke.Area(Tint.PaleGrey, wing),
            Stroke.Area(Tint.PaleGrey, [.. wing.Select(p => p.Mirrored)]),
            Stem(Tint.GreyBrown, Half),
        ]);
    }

    private static Drawing FormAngled()
    {
        return new Drawing([
            Stem(Tint.YellowGreen, 0.22),
            Stroke.Line(StrokeKind.Stalk, At(-0.07, -1), At(-0.06, 1)),
            Stroke.Line(StrokeKind.Stalk, At(0.1, -1), At(0.08, 1)),
            Stroke.Area(Tint.YellowGreen, At(0.55, 0.5), At(0.95, 0.5), At(0.95, 0.9), At(0.55, 0.9)),
        ]);
    }

    private static Drawing FormWaxyBloom()
    {
        return new Drawing([
            Stem(Tint.Purple, 0.2),
            Stroke.Area(
                Tint.Bluish,
                Curves.Smooth(
                    [At(-0.17, -0.9), At(0.05, -0.8), At(0.1, -0.3), At(-0.02, 0.1), At(0.06, 0.5), At(-0.14, 0.8), At(-0.17, 0)],
                    closed: true
                )
            ),
        ]);
    }

    private static Drawing FormStriped()
    {
        return new Drawing([
            Stem(Tint.Green, 0.24),
            .. new[] { -0.16, -0.05, 0.06, 0.15 }.Select(x =>
                Stroke.Area(Tint.White, At(x, -1), At(x + 0.035, -1), At((x + 0.035) * 0.8, 1), At(x * 0.8, 1))
            ),
        ]);
    }

    private static Drawing FormSpurShoots()
    {
        var spurs = new List<Stroke> { Stem(Tint.GreyBrown, 0.1) };
        foreach (var (y, side) in new[] { (-0.6, 1), (-0.1, -1), (0.4, 1) })
        {
            for (var ring = 0; ring < 4; ring++)
                spurs.Add(Stroke.Area(Tint.GreyBrown, Curves.Circle(At(side * (0.16 + 0.09 * ring), y + 0.02 * ring), 0.085, 1.1, 12)));
            spurs.Add(Bud(At(side * 0.48, y + 0.07), side * 75, 0.2, 0.07, Tint.Brown));
        }
        return new Drawing(spurs);
    }

    // What arms a twig.
    private static readonly Dictionary<string, Action<List<Stroke>, Tint>> Arms = new()
    {
        ["paired-spines"] = ArmedPairedSpines,
        ["thorns"] = ArmedThorns,
        ["branched-thorns"] = ArmedBranchedThorns,
        ["prickles"] = ArmedPrickles,
        ["hooked-prickles"] = ArmedHookedPrickles,
        ["bristles"] = ArmedBristles,
        ["thorn-tipped-shoots"] = ArmedThornTippedShoots,
    };

    private static void ArmedPairedSpines(List<Stroke> strokes, Tint tint)
    {
        foreach (var y in new[] { -0.5, 0.35 })
        {
            strokes.Add(Thorn(At(Half, y), 66, 0.36, 0.07));
            strokes.Add(Thorn(At(-Half, y), -66, 0.36, 0.07));
            strokes.Add(Bud(At(0, y + 0.02), 0, 0.18, 0.07, Tint.Brown));
        }
    }

    private static void ArmedThorns(List<Stroke> strokes, Tint tint)
    {
        foreach (var (y, side) in Nodes)
            strokes.Add(Thorn(At(side * Half, y), side * 62, 0.72, 0.05));
    }

    private static void ArmedBranchedThorns(List<Stroke> strokes, Tint tint)
    {
        foreach (var (y, side) in new[] { (-0.5, 1), (0.2, -1) })
        {
            strokes.Add(Thorn(At(side * Half, y), side * 55, 0.95, 0.06));
            var fork = At(side * Half, y).Along(Point.Direction(side * 55), 0.4);
            strokes.Add(Thorn(fork, side * 10, 0.36, 0.04));
            strokes.Add(Thorn(fork, side * 105, 0.34, 0.04));
        }
    }

    private static void ArmedPrickles(List<Stroke> strokes, Tint tint)
    {
        foreach (var (x, y) in new[] { (1, -0.7), (-1, -0.45), (1, -0.15), (-1, 0.15), (1, 0.42), (-1, 0.7) })
            strokes.Add(Thorn(At(x * Half * 0.9, y), x * 88, 0.24, 0.1));
    }

    private static void ArmedHookedPrickles(List<Stroke> strokes, Tint tint)
    {
        foreach (var (x, y) in new[] { (1, -0.6), (-1, -0.2), (1, 0.25), (-1, 0.65) })
            strokes.Add(
                Stroke.Area(
                    Tint.RedBrown,
                    [
                        .. Curves.Cubic(
                            At(x * Half * 0.9, y + 0.13),
                            At(x * 0.3, y + 0.14),
                            At(x * 0.42, y + 0.02),
                            At(x * 0.4, y - 0.2),
                            8
                        ),
                        .. Curves.Cubic(
                            At(x * 0.4, y - 0.2),
                            At(x * 0.32, y - 0.02),
                            At(x * 0.2, y - 0.08),
                            At(x * Half * 0.9, y - 0.12),
                            6
                        ),
                    ]
                )
            );
    }

    private static void ArmedBristles(List<Stroke> strokes, Tint tint)
    {
        for (var i = 0; i < 30; i++)
            strokes.Add(
                Stroke.Line(
                    StrokeKind.Hair,
                    At((i % 2 == 0 ? 1 : -1) * Half * 0.85, -0.92 + 0.062 * i),
                    At((i % 2 == 0 ? 1 : -1) * (0.36 + 0.05 * (i % 3)), -0.9 + 0.062 * i)
                )
            );
    }

    private static void ArmedThornTippedShoots(List<Stroke> strokes, Tint tint)
    {
        strokes.Add(Stroke.Area(tint, At(0.08, -0.35), At(0.14, -0.5), At(0.95, 0.2)));
        strokes.Add(Stroke.Area(tint, At(-0.08, 0.1), At(-0.12, -0.05), At(-0.8, 0.65)));
        foreach (var (x, y) in new[] { (0.4, -0.2), (0.62, 0.0), (-0.4, 0.24) })
            strokes.Add(new Stroke(StrokeKind.Blade, Curves.Leaflike(At(x, y), x > 0 ? 0 : 10, 0.34, 0.1), true));
    }

    // The forms of a bud.
    private static readonly Dictionary<string, Func<Tint, Drawing>> BudForms = new()
    {
        ["hidden"] = BudHidden,
        ["stalked"] = BudStalked,
        ["long-pointed"] = BudLongPointed,
        ["triangular"] = BudTriangular,
        ["rounded"] = BudRounded,
    };

    private static Drawing BudHidden(Tint tint)
    {
        return OnTwig(
            Stroke.Line(StrokeKind.Stalk, Curves.Bend(At(0.1, -0.2), At(0.4, -0.1), At(0.8, 0.3))),
            Stroke.Area(Tint.Green, Curves.Smooth([At(0.13, -0.42), At(0.34, -0.3), At(0.36, -0.1), At(0.13, -0.02)], closed: true)),
            Stroke.Dot(At(0.16, -0.2), 0.035)
        );
    }

    private static Drawing BudStalked(Tint tint)
    {
        return OnTwig(Stroke.Line(StrokeKind.Twig, At(0, 0), At(0, 0.28)), Bud(At(0, 0.26), 0, 0.6, 0.2, tint));
    }

    private static Drawing BudLongPointed(Tint tint)
    {
        return OnTwig([
            Bud(At(0, 0), 0, 1.25, 0.1, tint),
            .. Enumerable
                .Range(0, 4)
                .Select(i =>
                    Stroke.Line(StrokeKind.Vein, Curves.Bend(At(-0.09, 0.15 + 0.2 * i), At(0, 0.12 + 0.2 * i), At(0.07, 0.3 + 0.2 * i)))
                ),
        ]);
    }

    private static Drawing BudTriangular(Tint tint)
    {
        return OnTwig(Stroke.Area(tint, At(-0.3, 0), At(0.3, 0), At(0, 0.52)), Stroke.Line(StrokeKind.Vein, At(0, 0.02), At(0, 0.4)));
    }

    private static Drawing BudRounded(Tint tint)
    {
        return OnTwig(
            Stroke.Area(tint, Curves.Circle(At(0, 0.24), 0.27, 1.0, 24)),
            Stroke.Line(StrokeKind.Vein, Curves.Bend(At(-0.2, 0.1), At(0, 0.02), At(0.18, 0.28)))
        );
    }

    private static Stroke Thorn(Point at, double turn, double length, double half)
    {
        var placement = new Placement(at, turn, 1);
        return Stroke.Area(Tint.RedBrown, At(-half, 0).Placed(placement), At(0, length).Placed(placement), At(half, 0).Placed(placement));
    }
}
