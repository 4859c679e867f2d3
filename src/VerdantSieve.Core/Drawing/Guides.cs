namespace VerdantSieve.Core.Drawing;

/// <summary>Pictures that teach how to look.</summary>
public static class Guides
{
    /// <summary>A simple and a compound leaf on one twig: a bud sits at the foot of each leaf, none at the foot of a leaflet.</summary>
    public static Drawing LeafOrLeaflet()
    {
        var simple = LeafDrawing.Of(LeafForm.With(("shape", "ovate")));
        var compound = LeafDrawing.Of(LeafForm.With(("structure", "odd-pinnate"), ("shape", "elliptic")));
        return Drawing.Of(
            new Drawing([Stroke.Line(StrokeKind.Twig, new Point(0, -0.2), new Point(0, 2.6))]),
            simple.Placed(new Placement(new Point(0, 1.75), 62, 1)),
            Bud(new Point(0.07, 1.9), 24),
            compound.Placed(new Placement(new Point(0, 0.4), -66, 0.82, Flip: true)),
            Bud(new Point(-0.07, 0.55), -24),
            Bud(new Point(0, 2.66), 0)
        );
    }

    private static Drawing Bud(Point at, double turn) =>
        new Drawing([
            new Stroke(
                StrokeKind.Body,
                [
                    .. Curves.Bend(new Point(0, -0.02), new Point(0.13, 0.08), new Point(0, 0.24)),
                    .. Curves.Bend(new Point(0, 0.24), new Point(-0.13, 0.08), new Point(0, -0.02)).Skip(1),
                ],
                true
            ),
        ]).Placed(new Placement(at, turn, 1));
}
