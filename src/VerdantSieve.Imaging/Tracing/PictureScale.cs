using VerdantSieve.Core;
using VerdantSieve.Core.Drawing;

namespace VerdantSieve.Imaging.Tracing;

/// <summary>How large things on a picture are. Places on a picture are in pixels from its upper left corner, y growing downward.</summary>
public abstract record PictureScale
{
    // Of a sheet narrower than these nothing would be left on the straightened picture.
    private const double LeastSide = 1;
    private const double MostNarrow = 20;

    private PictureScale() { }

    /// <summary>Two places whose distance is known: on a ruler, or across a disc. The picture was taken from straight above.</summary>
    public sealed record TwoPoints(Point From, Point To, double Centimetres) : PictureScale;

    /// <summary>The four corners of a sheet or of a square whose sides are known, in order round: the picture is straightened by
    /// them.</summary>
    public sealed record FourCorners(IReadOnlyList<Point> Corners, double WidthCentimetres, double HeightCentimetres) : PictureScale;

    /// <summary>Two places whose distance is known; or what is wrong with them.</summary>
    public static Outcome<PictureScale> Between(Point from, Point to, double centimetres)
    {
        if (!(centimetres is > 0 and <= 1000))
            return Fault.AtField("centimetres", null, "The distance is above 0 and at most 1000 cm.");
        return from.To(to) < 10
            ? Fault.AtField("scale", null, "The two places lie within ten pixels of each other; set them farther apart.")
            : new TwoPoints(from, to, centimetres);
    }

    /// <summary>Four corners; or what is wrong with them.</summary>
    public static Outcome<PictureScale> Sheet(IReadOnlyList<Point> corners, double width, double height)
    {
        if (corners.Count != 4)
            return Fault.AtField("corners", null, "A sheet has four corners.");
        if (!(width is >= LeastSide and <= 1000 && height is >= LeastSide and <= 1000))
            return Fault.AtField("centimetres", null, $"The sides are at least {LeastSide} and at most 1000 cm.");
        if (Math.Max(width, height) > MostNarrow * Math.Min(width, height))
            return Fault.AtField("centimetres", null, $"No side is more than {MostNarrow} times as long as the other.");
        // Going round, all turns are to the same side, or lines would cross.
        var turns = Enumerable
            .Range(0, 4)
            .Select(i => (A: corners[i], B: corners[(i + 1) % 4], C: corners[(i + 2) % 4]))
            .Select(t => (t.B.X - t.A.X) * (t.C.Y - t.B.Y) - (t.B.Y - t.A.Y) * (t.C.X - t.B.X))
            .ToArray();
        return turns.All(turn => turn > 100) || turns.All(turn => turn < -100)
            ? new FourCorners(corners, width, height)
            : Fault.AtField("corners", null, "Set the corners one after another round the sheet.");
    }
}
