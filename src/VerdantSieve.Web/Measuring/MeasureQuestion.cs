using System.Globalization;
using VerdantSieve.Core;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Leaves;
using VerdantSieve.Core.Observing;
using VerdantSieve.Imaging.Tracing;

namespace VerdantSieve.Web.Measuring;

/// <summary>Outlines to be measured, in pixels of the picture.</summary>
public sealed record MeasureQuestion
{
    private const int MostLeaves = 30;

    /// <summary>How many pixels of the picture are a centimetre.</summary>
    public double PixelsPerCentimetre { get; init; }

    /// <summary>The leaves that are to be measured.</summary>
    public IReadOnlyList<OutlineAsked>? Leaves { get; init; }

    /// <summary>The measures, of each leaf and of all; or what is wrong.</summary>
    public Outcome<MeasureAnswer> Measure()
    {
        if (!(PixelsPerCentimetre is > 1 and < 10_000))
            return Fault.AtField(
                "pixelsPerCentimetre",
                null,
                "The scale is missing: more than 1 and fewer than 10,000 pixels to the centimetre."
            );
        if (Leaves is not { Count: > 0 and <= MostLeaves })
            return Fault.AtField("leaves", null, $"Send 1 to {MostLeaves} outlines.");
        var measured = new List<LeafMeasures>();
        foreach (var leaf in Leaves)
        {
            var outline = leaf.Traced.InCentimetres(PixelsPerCentimetre);
            if (!outline.Has(out var one))
                return outline.Faults[0];
            // What stands out less than two pixels may be grain.
            measured.Add(LeafMeasures.Of(one, Math.Max(0.02, 2 / PixelsPerCentimetre)));
        }
        return MeasureAnswer.Of(measured, PixelsPerCentimetre);
    }
}

/// <summary>One outline, in pixels: each place as two numbers.</summary>
/// <param name="Outline">The places round the blade.</param>
/// <param name="Foot">Where the stalk joins.</param>
/// <param name="Tip">The tip.</param>
public sealed record OutlineAsked(IReadOnlyList<double[]>? Outline, double[]? Foot, double[]? Tip)
{
    internal TracedLeaf Traced => new([.. (Outline ?? []).Select(At)], At(Foot), At(Tip));

    // What is no place is far off: it is refused with the outline.
    private static Point At(double[]? place) => place is [var x, var y] ? new Point(x, y) : new Point(double.NaN, double.NaN);
}

/// <summary>A traced picture, as the board takes it.</summary>
public sealed record TracedAnswer(string Picture, int Width, int Height, double PixelsPerCentimetre, IReadOnlyList<OutlineAsked> Leaves)
{
    internal static TracedAnswer Of(TracedPicture traced) =>
        new(
            "data:image/jpeg;base64," + Convert.ToBase64String(traced.Picture),
            traced.Width,
            traced.Height,
            traced.PixelsPerCentimetre,
            [.. traced.Leaves.Select(leaf => new OutlineAsked([.. leaf.Outline.Select(Pair)], Pair(leaf.Foot), Pair(leaf.Tip)))]
        );

    private static double[] Pair(Point p) => [Math.Round(p.X, 1), Math.Round(p.Y, 1)];
}
