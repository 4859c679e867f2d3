namespace VerdantSieve.Core.Drawing;

/// <summary>One half of a blade’s outline, as the right one, without teeth.</summary>
/// <param name="Line">From where the stalk joins to the tip.</param>
internal sealed record BladeSide(IReadOnlyList<Point> Line)
{
    /// <summary>The tips of its lobes, from the lowest to the highest; the blade’s own tip is not among them.</summary>
    public IReadOnlyList<Point> Tips { get; init; } = [];

    /// <summary>Where bristles stand, each with its direction.</summary>
    public IReadOnlyList<(Point At, Point Direction)> Bristles { get; init; } = [];
}
