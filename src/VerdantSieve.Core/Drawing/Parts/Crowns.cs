using static VerdantSieve.Core.Drawing.Point;

namespace VerdantSieve.Core.Drawing.Parts;

/// <summary>Draws whole plants: habit, crown, branching. The ground is y = 0.</summary>
internal static class Crowns
{
    private static Stroke Ground => Stroke.Line(StrokeKind.Hair, At(-0.7, 0), At(0.7, 0));

    private static Stroke Trunk(double half, double top, double x = 0) =>
        Stroke.Area(Tint.GreyBrown, At(x - half * 1.3, 0), At(x + half * 1.3, 0), At(x + half * 0.7, top), At(x - half * 0.7, top));

    private static IReadOnlyList<Point> Outline(string crown) =>
        crown switch
        {
            "columnar" => Bumps([
                At(0, 0.22),
                At(0.17, 0.3),
                At(0.21, 0.8),
                At(0.17, 1.3),
                At(0, 1.62),
                At(-0.17, 1.3),
                At(-0.21, 0.8),
                At(-0.17, 0.3),
            ]),
            "conical" => Bumps([
                At(0, 0.2),
                At(0.5, 0.22),
                At(0.36, 0.62),
                At(0.2, 1.05),
                At(0, 1.6),
                At(-0.2, 1.05),
                At(-0.36, 0.62),
                At(-0.5, 0.22),
            ]),
            "spreading" => Bumps([
                At(0, 0.55),
                At(0.55, 0.5),
                At(0.92, 0.66),
                At(0.72, 0.98),
                At(0.3, 1.14),
                At(-0.3, 1.14),
                At(-0.72, 0.98),
                At(-0.92, 0.66),
                At(-0.55, 0.5),
            ]),
            "irregular" => Bumps([
                At(0.1, 0.5),
                At(0.48, 0.6),
                At(0.62, 0.86),
                At(0.34, 0.98),
                At(0.46, 1.28),
                At(0.1, 1.46),
                At(-0.12, 1.2),
                At(-0.5, 1.28),
                At(-0.36, 0.94),
                At(-0.66, 0.74),
                At(-0.3, 0.52),
            ]),
            _ => Bumps([
                At(0, 0.42),
                At(0.4, 0.46),
                At(0.6, 0.82),
                At(0.42, 1.22),
                At(0, 1.42),
                At(-0.42, 1.22),
                At(-0.6, 0.82),
                At(-0.4, 0.46),
            ]),
        };

    // Foliage has no smooth edge.
    private static IReadOnlyList<Point> Bumps(IReadOnlyList<Point> corners)
    {
        var line = Curves.Even([.. Curves.Smooth(corners, closed: true), corners[0]], 97);
        var middle = At(line.Average(p => p.X), line.Average(p => p.Y));
        return [.. line.SkipLast(1).Select((p, i) => p.Along(middle.Towards(p), 0.035 * Math.Abs(Math.Sin(i * Math.PI / 4))))];
    }

    /// <summary>The outline of a tree.</summary>
    public static Drawing Crown(string crown, Tint? foliage = null)
    {
        if (crown == "weeping")
            return Weeping(foliage);
        return new Drawing([Ground, Trunk(0.05, 0.6), new Stroke(StrokeKind.Blade, Outline(crown), true) { Tint = foliage }]);
    }

    private static Drawing Weeping(Tint? foliage)
    {
        var strokes = new List<Stroke> { Ground, Trunk(0.06, 0.85) };
        IReadOnlyList<Point> crown = Curves.Smooth(
            [
                At(0, 1.42),
                At(0.4, 1.3),
                At(0.66, 0.9),
                At(0.72, 0.3),
                At(0.58, 0.14),
                At(0.42, 0.5),
                At(0.22, 0.24),
                At(0.06, 0.6),
                At(-0.14, 0.2),
                At(-0.32, 0.5),
                At(-0.5, 0.12),
                At(-0.72, 0.32),
                At(-0.66, 0.9),
                At(-0.4, 1.3),
            ],
            closed: true
        );
        strokes.Add(new Stroke(StrokeKind.Blade, crown, true) { Tint = foliage });
        foreach (var x in new[] { -0.56, -0.36, -0.16, 0.14, 0.34, 0.56 })
            strokes.Add(Stroke.Line(StrokeKind.Vein, Curves.Bend(At(x * 0.4, 1.25), At(x, 1.15), At(x * 1.06, 0.4))));
        return new Drawing(strokes);
    }

    /// <summary>How it grows.</summary>
    public static Drawing Habit(string habit, string crown = "rounded", Tint? foliage = null) =>
        habit switch
        {
            "multi-stemmed-tree" => new Drawing([
                Ground,
                Stroke.Area(Tint.GreyBrown, At(-0.04, 0), At(0.02, 0), At(-0.3, 0.8), At(-0.36, 0.8)),
                Stroke.Area(Tint.GreyBrown, At(-0.02, 0), At(0.04, 0), At(0.04, 0.8), At(-0.02, 0.8)),
                Stroke.Area(Tint.GreyBrown, At(0, 0), At(0.06, 0), At(0.38, 0.8), At(0.32, 0.8)),
                new Stroke(
                    StrokeKind.Blade,
                    Bumps([
                        At(0, 0.55),
                        At(0.5, 0.6),
                        At(0.68, 0.9),
                        At(0.4, 1.25),
                        At(0, 1.36),
                        At(-0.4, 1.25),
                        At(-0.68, 0.9),
                        At(-0.5, 0.6),
                    ]),
                    true
                )
                {
                    Tint = foliage,
                },
            ]),
            "shrub" => new Drawing([
                Ground,
                .. new[] { -44, -22, 0, 22, 44 }.Select(turn =>
                    Stroke.Line(StrokeKind.Twig, At(0, 0), At(0, 0).Along(Point.Direction(turn), 0.4))
                ),
                new Stroke(
                    StrokeKind.Blade,
                    Bumps([
                        At(0, 0.14),
                        At(0.44, 0.12),
                        At(0.6, 0.36),
                        At(0.4, 0.62),
                        At(0, 0.72),
                        At(-0.4, 0.62),
                        At(-0.6, 0.36),
                        At(-0.44, 0.12),
                    ]),
                    true
                )
                {
                    Tint = foliage,
                },
                // A person’s knee and head beside it say how low it is.
                Stroke.Line(StrokeKind.Hair, At(0.85, 0), At(0.85, 0.72)),
                Stroke.Line(StrokeKind.Hair, Curves.Circle(At(0.85, 0.8), 0.07, steps: 12)),
            ]),
            "climber" => new Drawing([
                Ground,
                Stroke.Area(Tint.GreyBrown, At(-0.1, 0), At(0.1, 0), At(0.08, 1.5), At(-0.08, 1.5)),
                Stroke.Line(
                    StrokeKind.Twig,
                    Curves.Smooth([
                        At(0.3, 0),
                        At(0.14, 0.15),
                        At(-0.12, 0.35),
                        At(0.12, 0.6),
                        At(-0.12, 0.85),
                        At(0.12, 1.1),
                        At(-0.1, 1.35),
                        At(0.06, 1.5),
                    ])
                ) with
                {
                    Tint = Tint.Green,
                },
                .. new[] { (0.22, 0.3), (-0.24, 0.48), (0.24, 0.72), (-0.24, 0.98), (0.24, 1.22), (-0.2, 1.46) }.Select(at => new Stroke(
                    StrokeKind.Blade,
                    Curves.Leaflike(At(at.Item1 * 0.5, at.Item2), at.Item1 > 0 ? 70 : -70, 0.3, 0.12),
                    true
                )
                {
                    Tint = foliage,
                }),
            ]),
            _ => Crown(crown, foliage),
        };

    /// <summary>How long leaves last: the tree in winter.</summary>
    public static Drawing Persistence(string persistence)
    {
        var bare = new List<Stroke> { Ground, Trunk(0.05, 0.7) };
        foreach (var turn in new[] { -56, -34, -12, 12, 34, 56 })
        {
            var end = At(0, 0.55).Along(Point.Direction(turn), 0.72);
            bare.Add(Stroke.Line(StrokeKind.Stalk, At(0, 0.5), end) with { Tint = Tint.GreyBrown });
            foreach (var off in new[] { -26, 26 })
                bare.Add(
                    Stroke.Line(
                        StrokeKind.Stalk,
                        At(0, 0.55).Along(Point.Direction(turn), 0.4),
                        At(0, 0.55).Along(Point.Direction(turn), 0.4).Along(Point.Direction(turn + off), 0.34)
                    ) with
                    {
                        Tint = Tint.GreyBrown,
                    }
                );
        }
        IEnumerable<Stroke> snow =
        [
            Stroke.Area(Tint.White, Curves.Smooth([At(-0.75, 0), At(-0.3, 0.06), At(0.3, 0.05), At(0.75, 0), At(0, -0.07)], closed: true)),
        ];
        return persistence switch
        {
            "evergreen" => new Drawing([.. Crown("rounded").Strokes, .. snow]),
            "half-evergreen" => new Drawing([
                .. bare,
                .. Scatter
                    .Places(At(0, 0.95), 0.5, 0.4, 16)
                    .Select((at, i) => new Stroke(StrokeKind.Blade, Curves.Leaflike(at, i * 40, 0.16, 0.06), true)),
                .. snow,
            ]),
            _ => new Drawing([.. bare, .. snow]),
        };
    }

    /// <summary>How the branches leave the trunk.</summary>
    public static Drawing Branching(string branching)
    {
        var strokes = new List<Stroke> { Ground, Trunk(0.05, 1.5) };
        for (var i = 0; i < 6; i++)
            foreach (var side in new[] { 1, -1 })
            {
                var (from, length) = (At(0, 0.4 + 0.19 * i), 0.62 - 0.07 * i);
                var line = branching switch
                {
                    "ascending" => Curves.Bend(
                        from,
                        from.Along(Point.Direction(side * 40), length * 0.6),
                        from.Along(Point.Direction(side * 30), length)
                    ),
                    "drooping" => Curves.Bend(
                        from,
                        from.Along(Point.Direction(side * 90), length * 0.8),
                        from.Along(Point.Direction(side * 128), length * 1.1)
                    ),
                    "contorted" => Curves.Smooth([
                        from,
                        from.Along(Point.Direction(side * 50), length * 0.35),
                        from.Along(Point.Direction(side * 110), length * 0.5),
                        from.Along(Point.Direction(side * 60), length * 0.75),
                        from.Along(Point.Direction(side * 100), length),
                    ]),
                    _ => [from, from.Along(Point.Direction(side * 89), length)],
                };
                strokes.Add(Stroke.Line(StrokeKind.Stalk, line) with { Tint = Tint.Brown });
            }
        return new Drawing(strokes);
    }

    /// <summary>What a climber climbs by.</summary>
    public static Drawing ClimbingBy(string by)
    {
        var stem = Curves.Smooth([At(0.05, 0), At(-0.02, 0.4), At(0.06, 0.8), At(0, 1.3)]);
        var strokes = new List<Stroke>();
        if (Climbers.TryGetValue(by, out var climb))
            climb(strokes, stem);
        else
            ClimbTwining(strokes);
        foreach (var (y, side) in new[] { (0.2, -1), (0.6, 1), (1.1, 1) })
            strokes.Add(new Stroke(StrokeKind.Blade, Curves.Leaflike(At(side * 0.05, y), side * 60, 0.34, 0.14), true));
        return new Drawing(strokes);
    }

    // What holds a climber that does not twine.
    private static readonly Dictionary<string, Action<List<Stroke>, IReadOnlyList<Point>>> Climbers = new()
    {
        ["tendrils"] = ClimbTendrils,
        ["discs"] = ClimbDiscs,
        ["aerial-roots"] = ClimbAerialRoots,
    };

    private static void ClimbTendrils(List<Stroke> strokes, IReadOnlyList<Point> stem)
    {
        strokes.Add(Stroke.Line(StrokeKind.Twig, stem) with { Tint = Tint.Green });
        foreach (var (y, side) in new[] { (0.35, 1), (0.85, -1) })
        {
            var coil = Enumerable
                .Range(0, 40)
                .Select(i => At(side * (0.1 + 0.009 * i), y + 0.006 * i))
                .Select((p, i) => i < 14 ? p : At(p.X + 0.05 * Math.Sin(i * 0.9), p.Y + 0.05 * Math.Cos(i * 0.9)));
            strokes.Add(Stroke.Line(StrokeKind.Stalk, coil.ToArray()) with { Tint = Tint.Green });
        }
    }

    // Each branch of a tendril ends in a pad on the wall.
    private static void ClimbDiscs(List<Stroke> strokes, IReadOnlyList<Point> stem)
    {
        strokes.Add(Stroke.Area(Tint.PaleGrey, At(-0.7, 0), At(-0.42, 0), At(-0.42, 1.3), At(-0.7, 1.3)));
        strokes.Add(Stroke.Line(StrokeKind.Twig, stem) with { Tint = Tint.Green });
        foreach (var y in new[] { 0.35, 0.8 })
            foreach (var (up, part) in new[] { (-0.16, 1.0), (-0.02, 0.94), (0.14, 1.0) })
            {
                var end = At(-0.4 * part, y + up);
                strokes.Add(Stroke.Line(StrokeKind.Stalk, Curves.Bend(At(0, y), At(-0.16, y + 0.3 * up), end)) with { Tint = Tint.Green });
                strokes.Add(Stroke.Area(Tint.Green, Curves.Circle(end, 0.045, 1.5, 12)));
            }
    }

    private static void ClimbAerialRoots(List<Stroke> strokes, IReadOnlyList<Point> stem)
    {
        strokes.Add(Stroke.Area(Tint.PaleGrey, At(-0.5, 0), At(-0.1, 0), At(-0.1, 1.3), At(-0.5, 1.3)));
        strokes.Add(Stroke.Line(StrokeKind.Twig, stem) with { Tint = Tint.Green });
        for (var i = 0; i < 16; i++)
            strokes.Add(Stroke.Line(StrokeKind.Hair, At(0, 0.06 + 0.078 * i), At(-0.13, 0.03 + 0.078 * i)));
    }

    private static void ClimbTwining(List<Stroke> strokes)
    {
        strokes.Add(Stroke.Area(Tint.GreyBrown, At(-0.08, 0), At(0.08, 0), At(0.08, 1.3), At(-0.08, 1.3)));
        for (var i = 0; i < 4; i++)
            strokes.Add(
                Stroke.Line(StrokeKind.Twig, Curves.Bend(At(0.16, 0.1 + 0.3 * i), At(0, 0.12 + 0.3 * i), At(-0.16, 0.28 + 0.3 * i))) with
                {
                    Tint = Tint.Green,
                }
            );
    }
}
