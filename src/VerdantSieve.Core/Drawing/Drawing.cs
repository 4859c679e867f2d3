namespace VerdantSieve.Core.Drawing;

/// <summary>Lines and areas of its own, then smaller drawings set within it. A leaf drawn six times on a shoot is kept once.</summary>
public sealed record Drawing(IReadOnlyList<Stroke> Strokes)
{
    private static readonly Placement Here = new(new Point(0, 0), 0, 1);

    /// <summary>The drawings set within this one, each with where it goes.</summary>
    public IReadOnlyList<(Drawing Part, Placement At)> Parts { get; private init; } = [];

    /// <summary>The drawing put somewhere else.</summary>
    public Drawing Placed(Placement placement) => new([]) { Parts = [(this, placement)] };

    /// <summary>Several drawings as one.</summary>
    public static Drawing Of(params IEnumerable<Drawing> parts) => new([]) { Parts = [.. parts.Select(part => (part, Here))] };

    /// <summary>All strokes where they are finally drawn.</summary>
    public IEnumerable<Stroke> Flat() =>
        Strokes.Concat(Parts.SelectMany(part => part.Part.Flat().Select(stroke => part.At == Here ? stroke : stroke.Placed(part.At))));

    private Extent? bounds;

    /// <summary>The least box that holds it. Worked out once.</summary>
    public Extent Bounds() => bounds ??= FindBounds();

    private Extent FindBounds() => Holding(Extent.Nothing, this, []);

    // What stands upright keeps its box; of what is turned each point is asked, put where the parts it is in are put one after the other.
    private static Extent Holding(Extent box, Drawing drawing, ReadOnlySpan<Placement> put)
    {
        foreach (var stroke in drawing.Strokes)
            foreach (var point in stroke.Points)
                box = box.And(Put(point, put));
        foreach (var (part, at) in drawing.Parts)
            box =
                put.IsEmpty && at.Turn == 0
                    ? box.And(part.Bounds().Low.Placed(at)).And(part.Bounds().High.Placed(at))
                    : Holding(box, part, [at, .. put]);
        return box;
    }

    private static Point Put(Point point, ReadOnlySpan<Placement> put)
    {
        foreach (var placement in put)
            point = point.Placed(placement);
        return point;
    }

    /// <summary>The drawing as something not known yet: every area and line dotted, no veins.</summary>
    public Drawing AsUnknown() =>
        new([
            .. Flat()
                .Where(stroke => stroke.Kind != StrokeKind.Vein)
                .Select(stroke => stroke.Kind == StrokeKind.Twig ? stroke : stroke with { Kind = StrokeKind.Unknown }),
        ]);
}
