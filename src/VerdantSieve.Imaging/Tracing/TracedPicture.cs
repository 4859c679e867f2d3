using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Leaves;

namespace VerdantSieve.Imaging.Tracing;

/// <summary>What was found on a picture.</summary>
/// <param name="Picture">The picture, straightened where corners were given, as JPEG.</param>
/// <param name="Width">Its width, in pixels.</param>
/// <param name="Height">Its height, in pixels.</param>
/// <param name="PixelsPerCentimetre">Its scale.</param>
/// <param name="Leaves">The leaves, from left to right.</param>
public sealed record TracedPicture(byte[] Picture, int Width, int Height, double PixelsPerCentimetre, IReadOnlyList<TracedLeaf> Leaves);

/// <summary>One leaf on a picture, in its pixels.</summary>
/// <param name="Outline">The blade’s outline.</param>
/// <param name="Foot">Where the stalk joins.</param>
/// <param name="Tip">The tip.</param>
public sealed record TracedLeaf(IReadOnlyList<Point> Outline, Point Foot, Point Tip)
{
    /// <summary>The same in centimetres, y upward; or what is wrong with it.</summary>
    public Core.Outcome<LeafOutline> InCentimetres(double pixelsPerCentimetre)
    {
        Point Scaled(Point p) => new(p.X / pixelsPerCentimetre, -p.Y / pixelsPerCentimetre);
        return LeafOutline.Of([.. Outline.Select(Scaled)], Scaled(Foot), Scaled(Tip));
    }
}
