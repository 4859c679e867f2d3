using VerdantSieve.Core.Drawing;

namespace VerdantSieve.Imaging.Camera;

/// <summary>How a picture is taken.</summary>
public sealed record Shot
{
    /// <summary>The picture’s width, in pixels.</summary>
    public int Width { get; init; } = 1800;

    /// <summary>How far the camera leans, in degrees.</summary>
    public double TiltDegrees { get; init; }

    /// <summary>How far the sheet is turned on the picture, in degrees.</summary>
    public double TurnDegrees { get; init; }

    /// <summary>How much darker the dark corner is: 0 to 0.7.</summary>
    public double UnevenLight { get; init; } = 0.2;

    /// <summary>The grain of the picture: 0 to 0.2.</summary>
    public double Noise { get; init; } = 0.03;

    /// <summary>Whether the sheet is squared paper of half a centimetre.</summary>
    public bool SquaredPaper { get; init; }

    /// <summary>Of its chances.</summary>
    public int Seed { get; init; }
}

/// <summary>A leaf on a sheet, in centimetres from the sheet’s upper left corner, y downward.</summary>
/// <param name="Blade">The blade’s outline.</param>
/// <param name="Stalk">The stalk’s line; empty where it has none.</param>
/// <param name="Veins">Lines of veins.</param>
public sealed record LeafOnSheet(IReadOnlyList<Point> Blade, IReadOnlyList<Point> Stalk, IReadOnlyList<IReadOnlyList<Point>> Veins)
{
    /// <summary>Lays a leaf as it was drawn on a sheet.</summary>
    /// <param name="leaf">A simple leaf.</param>
    /// <param name="bladeLength">Of the blade, in centimetres.</param>
    /// <param name="at">Where its stalk’s lower end lies on the sheet.</param>
    /// <param name="turn">Degrees clockwise from upright.</param>
    public static LeafOnSheet Of(Drawing leaf, double bladeLength, Point at, double turn)
    {
        // On a sheet y grows downward.
        Point Laid(Point p)
        {
            var placed = p.Placed(new Placement(new Point(0, 0), turn, bladeLength));
            return new Point(at.X + placed.X, at.Y - placed.Y);
        }
        var strokes = leaf.Flat().ToArray();
        IReadOnlyList<Point> Line(Stroke stroke) => [.. stroke.Points.Select(Laid)];
        return new LeafOnSheet(
            Line(strokes.First(stroke => stroke.Kind == StrokeKind.Blade)),
            strokes.FirstOrDefault(stroke => stroke.Kind == StrokeKind.Stalk) is { } stalk ? Line(stalk) : [],
            [.. strokes.Where(stroke => stroke.Kind == StrokeKind.Vein).Select(Line)]
        );
    }

    /// <summary>The leaf with a piece torn out of its right side, halfway up.</summary>
    /// <param name="depth">How far towards the midrib, 0 to 1.</param>
    public LeafOnSheet Torn(double depth)
    {
        var (foot, tip) = (Stalk[^1], Veins[0][^1]);
        var length = foot.To(tip);
        var (ux, uy) = ((tip.X - foot.X) / length, (tip.Y - foot.Y) / length);
        Point Moved(Point p)
        {
            var along = ((p.X - foot.X) * ux + (p.Y - foot.Y) * uy) / length;
            var aside = (p.X - foot.X) * -uy + (p.Y - foot.Y) * ux;
            if (aside <= 0 || along is < 0.4 or > 0.66)
                return p;
            // Deepest a little above its middle, as a tear along a side vein is.
            var deep = depth * Math.Min(1, Math.Min((along - 0.4) / 0.16, (0.66 - along) / 0.06));
            return new Point(p.X + uy * aside * deep, p.Y - ux * aside * deep);
        }
        return this with { Blade = [.. Blade.Select(Moved)] };
    }
}

/// <summary>A picture that was taken.</summary>
/// <param name="Jpeg">The file.</param>
/// <param name="Width">In pixels.</param>
/// <param name="Height">In pixels.</param>
/// <param name="Corners">Where the sheet’s corners are on it, from the upper left clockwise.</param>
public sealed record Photograph(byte[] Jpeg, int Width, int Height, IReadOnlyList<Point> Corners);
