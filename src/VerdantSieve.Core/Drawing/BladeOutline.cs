namespace VerdantSieve.Core.Drawing;

/// <summary>The outline of a blade without its teeth: one generator for every shape, base, tip and lobing.</summary>
public static class BladeOutline
{
    /// <summary>The right half of the outline, from where the stalk joins to the tip.</summary>
    public static IReadOnlyList<Point> RightHalf(LeafForm form) => Side(form, Variation.None).Line;

    /// <summary>One half of the outline, as the right one; its lobes with it.</summary>
    internal static BladeSide Side(LeafForm form, Variation vary)
    {
        var shape = form.State("shape", "elliptic");
        var width = form.WidthOver(UsualWidth(shape)) / 2 * vary.By(0.04);
        var lobing = form.State("lobing", "unlobed");
        return (lobing, shape) switch
        {
            (_, "cross" or "saddle") => Plain(form, shape, width),
            ("palmate", "fan") => new(Fan(width, split: true, "rounded")),
            ("palmate", _) => LobedOutline.Palmate(form, width, vary),
            ("pinnate" or "one-sided", _) => LobedOutline.Pinnate(form, Profile(form, shape, width), vary),
            _ => Plain(form, shape, width),
        };
    }

    /// <summary>The width over the length that a shape has where nothing else is known.</summary>
    /// <remarks>Ratios of the shape classes in Ellis et al. 2009, Manual of Leaf Architecture.</remarks>
    private static double UsualWidth(string shape) =>
        shape switch
        {
            "linear" => 0.08,
            "lanceolate" => 0.27,
            "oblanceolate" => 0.3,
            "oblong" => 0.4,
            "spatulate" => 0.34,
            "elliptic" => 0.5,
            "ovate" or "obovate" => 0.62,
            "diamond" => 0.7,
            "triangular" => 0.8,
            "heart" => 0.85,
            "round" => 0.98,
            "kidney" => 1.3,
            "fan" => 1.25,
            "cross" => 0.9,
            "saddle" => 1.05,
            _ => 0.5,
        };

    private static BladeSide Plain(LeafForm form, string shape, double width) =>
        shape switch
        {
            "fan" => new(Fan(width, split: form.State("apex", "notched") == "notched", form.State("apex", "rounded"))),
            "cross" => Cornered(
                width,
                [
                    (0, 0),
                    (.16, .1),
                    (.24, .24),
                    (.3, .4),
                    (.62, .42),
                    (.98, .47),
                    (1, .62),
                    (.84, .7),
                    (.4, .68),
                    (.34, .78),
                    (.36, .9),
                    (.2, .985),
                    (0, 1),
                ],
                [(1, .56)]
            ),
            "saddle" => Cornered(
                width,
                [
                    (0, .02),
                    (.22, -.02),
                    (.5, .02),
                    (.78, .1),
                    (1, .27),
                    (.985, .3),
                    (.78, .4),
                    (.66, .52),
                    (.66, .7),
                    (.78, .97),
                    (.75, .98),
                    (.4, .88),
                    (0, .82),
                ],
                [(1, .27), (.78, .97)]
            ),
            _ => new(Profile(form, shape, width)),
        };

    // How far up the blade the widest place is, and the usual base and tip of each shape.
    private static (double Widest, string Base, string Apex) Habit(string shape) =>
        shape switch
        {
            "ovate" => (0.32, "rounded", "acute"),
            "lanceolate" => (0.3, "wedge", "acute"),
            "obovate" => (0.68, "wedge", "obtuse"),
            "oblanceolate" => (0.7, "wedge", "acute"),
            "spatulate" => (0.78, "tapered", "rounded"),
            "heart" => (0.24, "heart", "acute"),
            "kidney" => (0.4, "heart", "rounded"),
            "triangular" => (0.07, "truncate", "acute"),
            "diamond" => (0.45, "wedge", "acute"),
            "round" => (0.5, "rounded", "rounded"),
            _ => (0.5, "rounded", "acute"),
        };

    private static IReadOnlyList<Point> Profile(LeafForm form, string shape, double width)
    {
        var (widest, usualBase, usualApex) = Habit(shape);
        // Parallel over the middle two fifths, and for much longer where it is a ribbon.
        var flat = shape switch
        {
            "oblong" => 0.2,
            "linear" => 0.3,
            _ => 0,
        };
        var (low, high) = (new Point(width, widest - flat), new Point(width, widest + flat));
        return Curves.Joined(Foot(form.State("base", usualBase), shape, low), [high], Tip(form.State("apex", usualApex), shape, high));
    }

    // From where the stalk joins to the widest place.
    private static IReadOnlyList<Point> Foot(string foot, string shape, Point widest)
    {
        var (w, m) = (widest.X, widest.Y);
        var stalk = new Point(0, 0);
        // The sides of a heart hang lower the broader the blade.
        var drop = Math.Clamp(0.22 * w, 0.05, 0.16);
        return foot switch
        {
            "wedge" when shape == "diamond" => Curves.Cubic(stalk, new(0.45 * w, 0.45 * m), new(0.92 * w, 0.86 * m), widest),
            "wedge" => Curves.Cubic(stalk, new(0.4 * w, 0.3 * m), new(w, 0.62 * m), widest),
            "tapered" when shape == "spatulate" => Curves.Joined(
                Curves.Cubic(stalk, new(0.12 * w, 0.15 * m), new(0.2 * w, 0.42 * m), new(0.34 * w, 0.55 * m)),
                Curves.Cubic(new(0.34 * w, 0.55 * m), new(0.6 * w, 0.75 * m), new(w, 0.8 * m), widest)
            ),
            "tapered" => Curves.Cubic(stalk, new(0.1 * w, 0.36 * m), new(w, 0.42 * m), widest),
            "truncate" when shape == "triangular" => Curves.Joined(
                [stalk, new(0.8 * w, -0.012)],
                Curves.Bend(new(0.8 * w, -0.012), new(1.02 * w, -0.012), widest)
            ),
            "truncate" => Curves.Joined(
                [stalk, new(0.5 * w, 0)],
                Curves.Cubic(new(0.5 * w, 0), new(0.92 * w, 0), new(w, 0.42 * m), widest)
            ),
            "heart" => Curves.Joined(
                Curves.Cubic(stalk, new(0.06 * w, -0.7 * drop), new(0.2 * w, -drop), new(0.46 * w, -drop)),
                Curves.Cubic(new(0.46 * w, -drop), new(0.82 * w, -drop), new(w, 0.42 * m), widest)
            ),
            // Rounded, and the fuller half of an unequal one.
            _ => Curves.Cubic(stalk, new(0.56 * w, 0), new(w, 0.42 * m), widest),
        };
    }

    // From the widest place to the tip.
    private static IReadOnlyList<Point> Tip(string apex, string shape, Point widest)
    {
        var (w, m, rest) = (widest.X, widest.Y, 1 - widest.Y);
        var tip = new Point(0, 1);
        // How far below the tip, as a part of what lies above the widest place.
        double Down(double part) => 1 - part * rest;
        // A broad blade has no longer a drip tip than a narrow one.
        var neck = Math.Clamp(0.2 * w, 0.012, 0.05);
        return apex switch
        {
            "acuminate" => Curves.Joined(
                Curves.Cubic(widest, new(w, m + 0.42 * rest), new(1.7 * neck, Down(0.36)), new(neck, Down(0.2))),
                Curves.Cubic(new(neck, Down(0.2)), new(0.6 * neck, Down(0.12)), new(0.25 * neck, Down(0.05)), tip, 6)
            ),
            "obtuse" => Curves.Cubic(widest, new(w, m + 0.5 * rest), new(0.5 * w, Down(0.07)), tip),
            "rounded" => Curves.Cubic(widest, new(w, m + 0.55 * rest), new(0.56 * w, 1), tip),
            "truncate" => Curves.Joined(
                Curves.Cubic(widest, new(w, m + 0.5 * rest), new(0.92 * w, Down(0.1)), new(0.66 * w, Down(0.01))),
                [tip with { Y = Down(0.01) }]
            ),
            "notched" => Curves.Joined(
                Curves.Cubic(widest, new(w, m + 0.5 * rest), new(0.8 * w, 1), new(0.36 * w, 1)),
                Curves.Cubic(new(0.36 * w, 1), new(0.18 * w, 1), new(0.06 * w, 0.985), tip with { Y = 0.945 })
            ),
            "horned" => Curves.Joined(
                Curves.Cubic(widest, new(w, m + 0.4 * rest), new(0.8 * w, Down(0.3)), new(0.56 * w, Down(0.03))),
                Curves.Bend(new(0.56 * w, Down(0.03)), new(0.36 * w, Down(0.2)), new(0.22 * w, Down(0.24))),
                Curves.Bend(new(0.22 * w, Down(0.24)), new(0.06 * w, Down(0.16)), tip)
            ),
            "abrupt-tip" => Curves.Joined(
                Curves.Cubic(widest, new(w, m + 0.5 * rest), new(0.62 * w, 0.93), new(0.16 * w, 0.93)),
                Curves.Cubic(new(0.16 * w, 0.93), new(0.06 * w, 0.935), new(0.02 * w, 0.96), tip, 6)
            ),
            _ when shape is "triangular" or "diamond" => Curves.Cubic(widest, new(0.96 * w, m + 0.1 * rest), new(0.3 * w, Down(0.28)), tip),
            _ => Curves.Cubic(widest, new(w, m + 0.42 * rest), new(0.36 * w, Down(0.2)), tip),
        };
    }

    private static IReadOnlyList<Point> Fan(double width, bool split, string edge)
    {
        // A sector from the stalk; the upper edge is an arc, cut in the middle where split.
        var spread = Math.Atan2(width, 0.62);
        var arc = Enumerable
            .Range(0, 41)
            .Select(i => i / 40.0)
            .Select(t =>
            {
                var angle = spread * (1 - t);
                var radius = edge == "truncate" ? 0.9 + 0.04 * Math.Cos(angle) : 0.95 + 0.05 * t;
                radius += 0.012 * Math.Sin(angle * 17);
                if (split)
                    radius -= 0.42 * Math.Exp(-Math.Pow(angle / 0.07, 2));
                return new Point(radius * Math.Sin(angle), radius * Math.Cos(angle));
            })
            .ToArray();
        return
        [
            .. Curves.Bend(new Point(0, 0), new Point(arc[0].X * 0.35, arc[0].Y * 0.55), arc[0]),
            .. arc.Skip(1).SkipLast(1),
            arc[^1] with
            {
                X = 0,
            },
        ];
    }

    private static BladeSide Cornered(double width, (double X, double Y)[] corners, (double X, double Y)[] tips) =>
        new(Curves.Smooth([.. corners.Select(p => new Point(p.X * width, p.Y))]))
        {
            Tips = [.. tips.Select(p => new Point(p.X * width, p.Y))],
        };
}
