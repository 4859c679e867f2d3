using VerdantSieve.Core.Drawing;

namespace VerdantSieve.Core.Leaves;

/// <summary>The lobes of an outline.</summary>
/// <param name="Count">How many, the tip’s with them; 1 where the blade is not lobed.</param>
/// <param name="Depth">How deep the bays are, the middle one of them: 0 to 1 of the way from the lobes’ tips to the midrib, or to the stalk
/// where they are spread from it.</param>
/// <param name="IsPalmate">Whether they are spread from where the stalk joins; else they stand along the midrib.</param>
/// <param name="Bays">The deepest places of the bays, on the outline set upright.</param>
public sealed record Lobes(int Count, double Depth, bool IsPalmate, IReadOnlyList<Point> Bays)
{
    // A bay shallower than this part of the blade’s width is a tooth’s.
    private const double LeastDepth = 0.075;

    /// <summary>Whether there are bays on the left and on the right.</summary>
    public bool AreOnBothSides => Bays.Any(bay => bay.X < 0) && Bays.Any(bay => bay.X > 0);

    /// <summary>Finds them: a lobe is where the outline is farther from the midrib than on both sides of it, with a bay on either side that
    /// lies inside the line from tip to tip.</summary>
    /// <param name="outline">The outline, smoothed of its teeth, the stalk at (0, 0), the tip straight above.</param>
    /// <param name="length">From stalk to tip.</param>
    /// <param name="width">At the widest place.</param>
    internal static Lobes Of(IReadOnlyList<Point> outline, double length, double width)
    {
        var count = outline.Count;
        var top = new Point(0, 0.78 * length);
        // How far each place is from the midrib, or from its upper end.
        double[] far = [.. outline.Select(place => Away(place, top))];
        var start = Enumerable.Range(0, count).MinBy(i => outline[i].To(new Point(0, 0)));
        var peaks = Peaks(far, start, 0.04 * width);
        var bays = new List<(Point Bay, double Depth, int Before, int After)>();
        for (var i = 0; i + 1 < peaks.Count; i++)
        {
            var (from, to) = (peaks[i], peaks[i + 1]);
            var (a, b) = (outline[from], outline[to]);
            var (deepest, depth) = (from, 0.0);
            // Going round anticlockwise the leaf lies on the left.
            for (var k = from + 1; k < to; k++)
                if (Off(a, b, outline[k]) is var inward && inward > depth)
                    (deepest, depth) = (k, inward);
            if (depth >= LeastDepth * width)
                bays.Add((outline[deepest], depth, from, to));
        }
        if (bays.Count == 0)
            return new Lobes(1, 0, false, []);
        var palmate = IsSpread(outline, bays, length);
        double[] depths = [.. bays.Select(bay => bay.Depth / (bay.Depth + Math.Max(0, Rest(bay.Bay, palmate)))).Order()];
        return new Lobes(bays.Count + 1, depths[depths.Length / 2], palmate, [.. bays.Select(bay => bay.Bay)]);
    }

    private static double Away(Point place, Point top)
    {
        if (place.Y > top.Y)
            return place.To(top);
        return place.Y < 0 ? place.To(new Point(0, 0)) : Math.Abs(place.X);
    }

    private static double Rest(Point bay, bool palmate) => palmate ? bay.To(new Point(0, 0)) : Math.Abs(bay.X);

    // Peaks that stand out from what lies between them and a higher one by at least a height, in their order round from the start.
    private static List<int> Peaks(double[] far, int start, double least)
    {
        var found = new List<int>();
        var (rising, candidate) = (true, start);
        var low = far[start];
        for (var step = 1; step <= far.Length; step++)
        {
            var i = start + step;
            var value = far[i % far.Length];
            if (rising)
            {
                if (value > far[candidate % far.Length])
                    candidate = i;
                else if (far[candidate % far.Length] - value >= least)
                {
                    found.Add(candidate % far.Length);
                    (rising, candidate) = (false, i);
                    low = value;
                }
            }
            else if (value < low)
                (low, candidate) = (value, i);
            else if (value - low >= least)
                (rising, candidate) = (true, i);
        }
        return [.. found.Order()];
    }

    // How far a point lies to the left of the way from a to b.
    private static double Off(Point a, Point b, Point p) =>
        ((b.X - a.X) * (p.Y - a.Y) - (b.Y - a.Y) * (p.X - a.X)) / Math.Max(a.To(b), 1e-9);

    // The axes of lobes spread from the stalk meet the midrib near it, those of others farther up.
    private static bool IsSpread(IReadOnlyList<Point> outline, List<(Point Bay, double Depth, int Before, int After)> bays, double length)
    {
        var feet = new List<double>();
        for (var i = 0; i < bays.Count; i++)
        {
            // The lobe below a bay on the right, above it on the left.
            var isRight = bays[i].Bay.X > 0;
            var tip = outline[isRight ? bays[i].Before : bays[i].After];
            var beside = isRight ? i - 1 : i + 1;
            var other = beside >= 0 && beside < bays.Count ? bays[beside].Bay : new Point(0, 0);
            var middle = bays[i].Bay.Toward(other, 0.5);
            if (Math.Abs(tip.X - middle.X) > 1e-6 && Math.Abs(tip.X) > 0.05 * length)
                feet.Add(tip.Y - tip.X * (middle.Y - tip.Y) / (middle.X - tip.X));
        }
        return feet.Count > 0 && feet.Average() < 0.2 * length;
    }
}
