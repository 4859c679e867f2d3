namespace VerdantSieve.Core.Drawing;

/// <summary>Draws one needle, on its shoot and enlarged with what is seen of it under a lens.</summary>
internal static class NeedleDrawing
{
    /// <summary>A needle that grows upward from (0, 0).</summary>
    /// <param name="form">What is known of it.</param>
    /// <param name="length">How long it is drawn.</param>
    /// <param name="colour">Its colour; null for the usual one.</param>
    public static Drawing Needle(LeafForm form, double length, Tint? colour)
    {
        var width =
            form.State("needle-section", "") switch
            {
                "flat" => 0.056,
                "four-angled" => 0.042,
                _ => 0.034,
            } * Math.Clamp(length / 0.5, 0.8, 1.15);
        if (form.State("foliage", "") == "awl")
            return Awl(length, colour ?? Tint.DarkGreen);
        var tip = form.State("needle-tip", "pointed");
        var top = Tip(tip, width / 2, length);
        return new Drawing([
            // Without an outline, which would blacken a whole shoot of them.
            new Stroke(
                StrokeKind.Mark,
                [
                    new(width * 0.35, 0),
                    new(width / 2, 0.12 * length),
                    .. top,
                    .. top.Reverse().Select(p => p.Mirrored),
                    new(-width / 2, 0.12 * length),
                    new(-width * 0.35, 0),
                ],
                Closed: true
            )
            {
                Tint = colour ?? Tint.DarkGreen,
            },
        ]);
    }

    // Broadest where it leaves the twig.
    private static Drawing Awl(double length, Tint colour)
    {
        var half = 0.045 * Math.Clamp(length / 0.4, 0.8, 1.3);
        Point[] side = [new(half, 0), new(0.82 * half, 0.3 * length), new(0.4 * half, 0.72 * length)];
        return new Drawing([
            new Stroke(StrokeKind.Mark, [.. side, new(0, length), .. side.Reverse().Select(p => p.Mirrored)], Closed: true)
            {
                Tint = colour,
            },
        ]);
    }

    private static Point[] Tip(string tip, double half, double length) =>
        tip switch
        {
            "notched" => [new(half, 0.96 * length), new(half * 0.6, length), new(0, length - half * 1.2)],
            "blunt" => [new(half, 0.95 * length), new(half * 0.6, 0.99 * length), new(0, length)],
            "sharp" => [new(half, 0.8 * length), new(0, length + half)],
            _ => [new(half, 0.86 * length), new(half * 0.5, 0.96 * length), new(0, length)],
        };

    /// <summary>The enlarged tip of a needle with its midrib.</summary>
    public static Drawing TipOf(string tip)
    {
        Point[] right = tip switch
        {
            "notched" => [new(0.16, 0), new(0.16, 0.86), new(0.12, 0.97), new(0.06, 0.99), new(0, 0.9)],
            "blunt" => [new(0.16, 0), new(0.16, 0.84), new(0.12, 0.95), new(0.05, 0.995), new(0, 1)],
            "sharp" => [new(0.13, 0), new(0.12, 0.5), new(0.04, 0.84), new(0.008, 0.95), new(0, 1.06)],
            _ => [new(0.16, 0), new(0.15, 0.62), new(0.09, 0.85), new(0, 1)],
        };
        return new Drawing([
            new Stroke(StrokeKind.Blade, [.. right, .. right.Reverse().Skip(1).Select(point => point.Mirrored)], true),
            Stroke.Line(StrokeKind.Vein, new Point(0, 0), new Point(0, 0.8)),
        ]);
    }

    /// <summary>A needle cut across: flat, four-angled or half-round, with its thread of a vein.</summary>
    public static Drawing Section(string section)
    {
        IReadOnlyList<Point> outline = section switch
        {
            "flat" => Curves.Smooth(
                [
                    new(-0.6, 0.02),
                    new(-0.3, 0.13),
                    new(0, 0.1),
                    new(0.3, 0.13),
                    new(0.6, 0.02),
                    new(0.3, -0.1),
                    new(0, -0.14),
                    new(-0.3, -0.1),
                ],
                closed: true
            ),
            "four-angled" => [new(0, 0.5), new(0.42, 0), new(0, -0.5), new(-0.42, 0)],
            _ => [new(-0.5, -0.05), .. Curves.Cubic(new(-0.5, -0.05), new(-0.45, 0.6), new(0.45, 0.6), new(0.5, -0.05)), new(0.5, -0.05)],
        };
        return new Drawing([
            new Stroke(StrokeKind.Blade, outline, true),
            Stroke.Dot(new Point(0, section == "half-round" ? 0.15 : 0), 0.05),
        ]);
    }

    /// <summary>Where the pale bands of a needle are: it is seen from below and from above side by side.</summary>
    public static Drawing Bands(string bands)
    {
        var parts = new List<Stroke>();
        foreach (var (x, below) in new[] { (-0.28, true), (0.28, false) })
        {
            var half = 0.17;
            Point[] right = [new(half, 0), new(half, 0.9), new(half * 0.7, 1.05), new(0, 1.12)];
            Point Moved(Point p) => p with { X = p.X + x };
            parts.Add(
                new Stroke(StrokeKind.Blade, [.. right.Select(Moved), .. right.Reverse().Select(p => Moved(p.Mirrored))], true)
                {
                    Tint = below ? Tint.Paler : Tint.DarkGreen,
                }
            );
            if (bands == "all-sides" || (bands == "below" && below) || (bands == "above" && !below))
                foreach (var side in new[] { -1, 1 })
                    parts.Add(
                        Stroke.Area(
                            Tint.White,
                            new(x + side * 0.045, 0.04),
                            new(x + side * 0.12, 0.04),
                            new(x + side * 0.12, 0.92),
                            new(x + side * 0.045, 0.98)
                        )
                    );
            parts.Add(Stroke.Line(StrokeKind.Vein, new Point(x, 0), new Point(x, 1.02)));
        }
        return new Drawing(parts);
    }

    /// <summary>How needles run: three of them side by side, straight, bent to one side, or turned about themselves.</summary>
    public static Drawing Curve(string curve)
    {
        var strokes = new List<Stroke>();
        foreach (var x in new[] { -0.36, 0, 0.36 })
        {
            Point Axis(double up) => new(x + (curve == "curved" ? 0.5 * up * up - 0.1 : 0), 1.3 * up);
            double Half(double up) =>
                0.075 * Math.Min(1, 4.2 * (1 - up)) * (curve == "twisted" ? Math.Abs(Math.Cos(7.2 * up)) * 0.86 + 0.14 : 1);
            var ups = Enumerable.Range(0, 41).Select(i => i / 40.0).ToArray();
            strokes.Add(
                Stroke.Area(
                    Tint.DarkGreen,
                    [
                        .. ups.Select(up => Axis(up) with { X = Axis(up).X + Half(up) }),
                        .. ups.Reverse().Select(up => Axis(up) with { X = Axis(up).X - Half(up) }),
                    ]
                )
            );
        }
        return new Drawing(strokes);
    }

    /// <summary>How stiff needles are: how they bend against a finger.</summary>
    public static Drawing Stiffness(string stiffness)
    {
        var finger = Stroke.Area(
            Tint.Cream,
            Curves.Smooth([new(0.5, 0.9), new(0.95, 0.9), new(0.95, 1.35), new(0.55, 1.35), new(0.4, 1.12)], closed: true)
        );
        var lines = new[] { -0.12, 0, 0.12 }.Select(x =>
            stiffness switch
            {
                "soft" => Stroke.Line(StrokeKind.Needle, Curves.Cubic(new(x, 0), new(x, 0.9), new(x - 0.3, 1.2), new(x - 0.75, 0.75))),
                "prickly" => Stroke.Line(StrokeKind.Needle, new(x, 0), new(x + 0.42, 1.1)),
                _ => Stroke.Line(StrokeKind.Needle, Curves.Bend(new(x, 0), new(x + 0.08, 0.6), new(x - 0.15, 1.1))),
            }
        );
        return new Drawing([
            Stroke.Line(StrokeKind.Twig, new(-0.4, 0), new(0.4, 0)),
            .. lines,
            finger,
            .. stiffness == "prickly" ? [Stroke.Dot(new(0.55, 1.14), 0.07, Tint.Red)] : Array.Empty<Stroke>(),
        ]);
    }

    /// <summary>How a needle is joined to its twig, enlarged.</summary>
    public static Drawing Foot(string foot)
    {
        var twig = Stroke.Area(Tint.GreyBrown, new(-0.16, -0.6), new(0.16, -0.6), new(0.16, 0.7), new(-0.16, 0.7));
        List<Stroke> drawn = [twig];
        if (Feet.TryGetValue(foot, out var draw))
            draw(drawn);
        else
            FootSheath(drawn);
        return new Drawing(drawn);
    }

    // How needles are joined that stand alone.
    private static readonly Dictionary<string, Action<List<Stroke>>> Feet = new()
    {
        ["peg"] = FootPeg,
        ["disc"] = FootDisc,
        ["stalk"] = FootStalk,
        ["decurrent"] = FootDecurrent,
    };

    private static void FootPeg(List<Stroke> drawn)
    {
        drawn.Add(
            Stroke.Area(
                Tint.Brown,
                FootAt.Along(FootAside, -0.09),
                FootAt.Along(FootWay, 0.26).Along(FootAside, -0.06),
                FootAt.Along(FootWay, 0.26).Along(FootAside, 0.06),
                FootAt.Along(FootAside, 0.09)
            )
        );
        drawn.Add(FootBlade(0.27, 0.08, 0.06));
    }

    private static void FootDisc(List<Stroke> drawn)
    {
        drawn.Add(Stroke.Area(Tint.Green, Curves.Circle(FootAt.Along(FootWay, 0.05), 0.14)));
        drawn.Add(FootBlade(0.1, 0.1, 0.05));
    }

    private static void FootStalk(List<Stroke> drawn)
    {
        drawn.Add(Stroke.Line(StrokeKind.Stalk, FootAt, FootAt.Along(FootWay, 0.3)));
        drawn.Add(FootBlade(0.28, 0.1, 0.02));
    }

    private static void FootDecurrent(List<Stroke> drawn)
    {
        drawn.Add(
            new Stroke(
                StrokeKind.Blade,
                [FootAt with { Y = 0.08 }, FootAt.Along(FootWay, 0.05), new(0.1, -0.55), new(0.02, -0.55), new(0.1, 0)],
                Closed: true
            )
        );
        drawn.Add(FootBlade(0, 0.09, 0.09));
    }

    // Where the enlarged needle leaves the twig, which way it goes, and across it.
    private static readonly Point FootAt = new(0.16, 0);
    private static readonly Point FootWay = Point.Direction(62);
    private static readonly Point FootAside = new(FootWay.Y, -FootWay.X);

    private static Stroke FootBlade(double from, double width, double foot) =>
        new(
            StrokeKind.Blade,
            [
                FootAt.Along(FootWay, from).Along(FootAside, -foot),
                FootAt.Along(FootWay, from + 0.14).Along(FootAside, -width),
                FootAt.Along(FootWay, 1.1).Along(FootAside, -width),
                FootAt.Along(FootWay, 1.1).Along(FootAside, width),
                FootAt.Along(FootWay, from + 0.14).Along(FootAside, width),
                FootAt.Along(FootWay, from).Along(FootAside, foot),
            ],
            Closed: true
        );

    // A bundle held together at its foot.
    private static void FootSheath(List<Stroke> drawn)
    {
        var from = FootAt.Along(FootWay, 0.25);
        foreach (var turn in new[] { 50, 74 })
            drawn.Add(Stroke.Line(StrokeKind.Needle, from, from.Along(Point.Direction(turn), 0.85)));
        drawn.Add(
            Stroke.Area(
                Tint.Brown,
                FootAt.Along(FootAside, -0.08),
                FootAt.Along(FootWay, 0.42).Along(FootAside, -0.06),
                FootAt.Along(FootWay, 0.42).Along(FootAside, 0.06),
                FootAt.Along(FootAside, 0.08)
            )
        );
    }
}
