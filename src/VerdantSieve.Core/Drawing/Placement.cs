namespace VerdantSieve.Core.Drawing;

/// <summary>Where a drawing goes within another.</summary>
/// <param name="At">Where its origin goes.</param>
/// <param name="Turn">Degrees clockwise from upright.</param>
/// <param name="Scale">Its size.</param>
/// <param name="Flip">Whether it is mirrored first.</param>
public readonly record struct Placement(Point At, double Turn, double Scale, bool Flip = false);
