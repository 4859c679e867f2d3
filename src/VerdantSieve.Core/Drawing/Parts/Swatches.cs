using static VerdantSieve.Core.Drawing.Point;

namespace VerdantSieve.Core.Drawing.Parts;

/// <summary>Draws colours, as they are seen on the part of the plant.</summary>
internal static class Swatches
{
    /// <summary>A blot of colour.</summary>
    public static Drawing Blot(Tint tint) =>
        new([
            Stroke.Area(
                tint,
                Curves.Smooth(
                    [At(-0.5, -0.36), At(0, -0.42), At(0.5, -0.36), At(0.56, 0), At(0.48, 0.38), At(0, 0.42), At(-0.5, 0.36), At(-0.56, 0)],
                    closed: true
                )
            ),
        ]);

    /// <summary>A leaf in a colour; green and white in patches where it has both.</summary>
    public static Drawing Leaf(Tint tint)
    {
        var leaf = LeafDrawing.Blade(LeafForm.With(("shape", "elliptic")));
        var coloured = leaf
            .Strokes.Select(stroke => stroke.Kind == StrokeKind.Blade ? stroke with { Tint = tint, Kind = StrokeKind.Area } : stroke)
            .ToList();
        if (tint == Tint.Variegated)
        {
            coloured[0] = coloured[0] with { Tint = Tint.Green };
            coloured.Insert(
                1,
                Stroke.Area(
                    Tint.Cream,
                    Curves.Smooth([At(0, 0.02), At(0.16, 0.2), At(0.22, 0.5), At(0.1, 0.8), At(0.16, 0.55), At(0.06, 0.4)], closed: true)
                )
            );
            coloured.Insert(
                2,
                Stroke.Area(
                    Tint.Cream,
                    Curves.Smooth([At(-0.02, 0.3), At(-0.2, 0.4), At(-0.2, 0.65), At(-0.06, 0.9), At(-0.1, 0.6)], closed: true)
                )
            );
        }
        return new Drawing(coloured);
    }

    /// <summary>A leaf stalk in a colour, under a plain leaf.</summary>
    public static Drawing Petiole(Tint tint) =>
        new([
            .. LeafDrawing.Blade(LeafForm.With(("shape", "ovate"), ("base", "rounded"))).Strokes,
            Stroke.Area(tint, [At(-0.03, 0.02), At(0.03, 0.02), At(0.045, -0.55), At(0.06, -0.62), At(-0.06, -0.62), At(-0.045, -0.55)]),
        ]);

    /// <summary>A leaf with its tip turned over, so that its underside is seen.</summary>
    public static Drawing Underside(Tint tint)
    {
        var leaf = LeafDrawing.Blade(LeafForm.With(("shape", "ovate")));
        return new Drawing([
            leaf.Strokes[0] with
            {
                Tint = Tint.Green,
                Kind = StrokeKind.Area,
            },
            .. leaf.Strokes.Skip(1),
            Stroke.Area(
                tint,
                Curves.Joined(
                    Curves.Cubic(At(-0.28, 0.5), At(-0.1, 0.62), At(0.14, 0.66), At(0.25, 0.56)),
                    Curves.Cubic(At(0.25, 0.56), At(0.5, 0.5), At(0.44, 0.02), At(0.3, -0.06)),
                    Curves.Cubic(At(0.3, -0.06), At(0.1, 0.14), At(-0.2, 0.26), At(-0.28, 0.5))
                )
            ),
            Stroke.Line(StrokeKind.Vein, At(0.3, -0.04), At(0.02, 0.56)),
        ]);
    }

    /// <summary>A twig in a colour.</summary>
    public static Drawing Twig(Tint tint) => Twigs.Piece(tint);

    /// <summary>A bud in a colour.</summary>
    public static Drawing Bud(Tint tint) => Twigs.EndBud(tint);

    /// <summary>A fruit in a colour.</summary>
    public static Drawing Fruit(Tint tint) =>
        new([
            Stroke.Line(StrokeKind.Stalk, At(0.05, 0.35), At(0, 0)),
            Stroke.Area(tint, Curves.Circle(At(0, -0.42), 0.42, steps: 28)),
            Stroke.Line(StrokeKind.Vein, Curves.Bend(At(-0.24, -0.3), At(-0.22, -0.14), At(-0.06, -0.1))),
        ]);

    /// <summary>A flower in a colour.</summary>
    public static Drawing Flower(Tint tint) => Flowers.Of("open", tint);

    /// <summary>A patch of bark in a colour.</summary>
    public static Drawing Bark(Tint tint) => Barks.Of("scales", tint);

    /// <summary>Bark cut into: what is under it.</summary>
    public static Drawing InnerBark(Tint? tint)
    {
        var patch = Barks.Of("shallow-ridges", Tint.GreyBrown);
        return Drawing.Of(
            patch,
            new Drawing([
                Stroke.Area(
                    tint ?? Tint.GreyBrown,
                    Curves.Smooth([At(0.3, 0.25), At(0.75, 0.3), At(0.8, 0.75), At(0.5, 0.85), At(0.25, 0.7)], closed: true)
                ),
            ])
        );
    }

    /// <summary>A twig cut lengthwise with the colour of its pith.</summary>
    public static Drawing Pith(Tint tint) => Twigs.Pith("solid", tint);
}
