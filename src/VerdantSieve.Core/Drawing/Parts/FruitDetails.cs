using static VerdantSieve.Core.Drawing.Point;

namespace VerdantSieve.Core.Drawing.Parts;

/// <summary>Draws what is asked of a fruit whatever its kind: its outline, its hair, its stalk, and how several hang.</summary>
internal static class FruitDetails
{
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
            "twisted" => DryFruits.Pod(Tint.Brown, twisted: true).Strokes[1].Points,
            "lobed" =>
            [
                .. Enumerable
                    .Range(0, 72)
                    .Select(i => i * 5.0)
                    .Select(turn => At(0, -0.46).Along(Point.Direction(turn), 0.34 + 0.13 * Math.Abs(Math.Cos(turn * Math.PI / 90 * 1.0)))),
            ],
            _ => Curves.Circle(At(0, -0.45), 0.45, steps: 28),
        };
        return new Drawing([Fruits.Hanging(), new Stroke(StrokeKind.Body, outline, true)]);
    }

    /// <summary>A fruit smooth or with hairs.</summary>
    public static Drawing Hair(bool hairy) =>
        new([
            Fruits.Hanging(),
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
                new Stroke(StrokeKind.Blade, Curves.Leaflike(At(0, -0.1), 150, 0.85, 0.14), true),
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
