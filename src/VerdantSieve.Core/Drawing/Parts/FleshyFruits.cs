using static VerdantSieve.Core.Drawing.Point;

namespace VerdantSieve.Core.Drawing.Parts;

/// <summary>Draws berries, stone fruits, pomes, hips and seeds with flesh about them.</summary>
internal static class FleshyFruits
{
    public static Drawing Fleshy(LeafForm form, Tint usual, int stones)
    {
        var (wide, high) = form.State("fruit-shape", "round") switch
        {
            "egg" => (0.36, 0.46),
            "long" => (0.26, 0.52),
            "flat" => (0.48, 0.36),
            _ => (0.42, 0.42),
        };
        var centre = At(0, -high);
        var strokes = new List<Stroke>
        {
            Fruits.Hanging(-0.01),
            Stroke.Area(Fruits.Colour(form, usual), Curves.Circle(centre, wide, high / wide, 28)),
        };
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

    public static Drawing Pome(Tint colour, string shape)
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

    public static Drawing CompoundBerry(Tint colour, string shape)
    {
        var strokes = new List<Stroke> { Fruits.Hanging(-0.05) };
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

    public static Drawing Hip(Tint colour, string shape)
    {
        var wide = shape == "round" ? 0.42 : 0.33;
        return new Drawing([
            Fruits.Hanging(),
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
                Curves.Leaflike(At(0, -0.84), 180 + turn, 0.36, 0.05),
                true
            )),
        ]);
    }

    public static Drawing Aril(Tint colour) =>
        new([
            Fruits.Hanging(),
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

    public static Drawing NakedSeeds(Tint colour) =>
        new([
            Stroke.Line(StrokeKind.Stalk, At(0, 0.6), At(0, 0.1)),
            Stroke.Line(StrokeKind.Stalk, At(0, 0.1), At(-0.24, -0.12)),
            Stroke.Line(StrokeKind.Stalk, At(0, 0.1), At(0.24, -0.08)),
            Stroke.Area(colour, Curves.Circle(At(-0.28, -0.42), 0.27, 1.12, 24)),
            Stroke.Area(colour, Curves.Circle(At(0.3, -0.38), 0.27, 1.12, 24)),
        ]);
}
