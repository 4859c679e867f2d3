namespace VerdantSieve.Core.Drawing;

/// <summary>Where a drawing goes within another.</summary>
/// <param name="At">Where its origin goes.</param>
/// <param name="Turn">Degrees clockwise from upright.</param>
/// <param name="Scale">Its size.</param>
/// <param name="Flip">Whether it is mirrored first.</param>
public readonly record struct Placement(Point At, double Turn, double Scale, bool Flip = false)
{
    // Worked out once for all the points that are placed by it.
    internal double Sin { get; } = Math.Sin(Turn * Math.PI / 180);

    internal double Cos { get; } = Math.Cos(Turn * Math.PI / 180);
}
