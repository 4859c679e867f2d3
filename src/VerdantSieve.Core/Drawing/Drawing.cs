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

    /// <summary>The drawing as something not known yet: every area and line dotted, no veins.</summary>
    public Drawing AsUnknown() =>
        new([
            .. Flat()
                .Where(stroke => stroke.Kind != StrokeKind.Vein)
                .Select(stroke => stroke.Kind == StrokeKind.Twig ? stroke : stroke with { Kind = StrokeKind.Unknown }),
        ]);
}
