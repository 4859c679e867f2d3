using static VerdantSieve.Core.Drawing.Point;

namespace VerdantSieve.Core.Drawing.Parts;

/// <summary>Draws cones and what looks like one.</summary>
internal static class Cones
{
    public static Drawing AggregateCone(Tint colour)
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

    /// <summary>One scale of a cone, its outer edge up.</summary>
    public static Drawing ScaleEdge(string edge)
    {
        IReadOnlyList<Point> top = edge switch
        {
            "ragged" =>
            [
                .. Enumerable
                    .Range(0, 15)
                    .Select(i =>
                        At(0.42 * Math.Cos(Math.PI * i / 14), 0.62 + 0.3 * Math.Sin(Math.PI * i / 14) + (i % 2 == 0 ? 0.05 : -0.05))
                    ),
            ],
            "pointed" => [At(0.42, 0.55), At(0.2, 0.86), At(0.04, 1.12), At(-0.04, 1.12), At(-0.2, 0.86), At(-0.42, 0.55)],
            _ => Curves.Cubic(At(0.42, 0.6), At(0.4, 1.06), At(-0.4, 1.06), At(-0.42, 0.6)),
        };
        return new Drawing([
            Stroke.Area(Tint.Brown, [At(-0.1, 0), At(0.1, 0), .. top]),
            .. new[] { -0.2, 0, 0.2 }.Select(x => Stroke.Line(StrokeKind.Vein, At(x * 0.4, 0.12), At(x, 0.56))),
        ]);
    }

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
        var colour = Fruits.Colour(form, Tint.Brown);
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

    public static Drawing CatkinCone(Tint colour, string shape)
    {
        var (wide, high) = shape == "long" ? (0.17, 1.3) : (0.3, 0.85);
        var strokes = new List<Stroke>
        {
            Fruits.Hanging(),
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

    public static Drawing BerryCone(Tint colour) =>
        new([
            Fruits.Hanging(),
            Stroke.Area(colour, Curves.Circle(At(0, -0.45), 0.42, 1.02, 28)),
            .. new[] { 0, 120, 240 }.Select(turn =>
                Stroke.Line(StrokeKind.Vein, At(0, -0.52), At(0, -0.52).Along(Point.Direction(turn), 0.2))
            ),
            Stroke.Line(StrokeKind.Vein, Curves.Bend(At(-0.38, -0.3), At(0, -0.16), At(0.38, -0.3))),
        ]);
}
