using VerdantSieve.Core.Drawing;

namespace VerdantSieve.Core.Leaves;

/// <summary>The teeth of an outline.</summary>
/// <param name="Count">How many.</param>
/// <param name="PerCentimetre">How many on a centimetre of margin.</param>
/// <param name="Height">How far they stand out, their mean, in centimetres.</param>
/// <param name="Lean">Where their tips lie between two bays: 0.5 in the middle, above it towards the leaf’s tip.</param>
/// <param name="Roundness">How blunt their tips are: 0 where tips are as sharp as bays are round, 1 the other way about.</param>
public sealed record Teeth(int Count, double PerCentimetre, double Height, double Lean, double Roundness)
{
    // Fewer than these are corners of the blade.
    private const int FewestTeeth = 7;

    /// <summary>No teeth.</summary>
    public static Teeth None { get; } = new(0, 0, 0, 0.5, 0.5);

    /// <summary>Finds them: where the outline stands out from itself smoothed.</summary>
    /// <param name="outline">Places the same distance apart, anticlockwise from the stalk.</param>
    /// <param name="smooth">The same places without teeth.</param>
    /// <param name="least">How far a tooth stands out at least, in centimetres.</param>
    /// <param name="tip">Which of the places is the tip.</param>
    internal static Teeth Of(IReadOnlyList<Point> outline, IReadOnlyList<Point> smooth, double least, int tip)
    {
        var count = outline.Count;
        var step = Polygon.Perimeter(smooth) / count;
        var out_ = new double[count];
        for (var i = 0; i < count; i++)
        {
            var way = smooth[(i + count - 2) % count].Towards(smooth[(i + 2) % count]);
            // Outward is to the right of the way round.
            out_[i] = (outline[i].X - smooth[i].X) * way.Y - (outline[i].Y - smooth[i].Y) * way.X;
        }
        var turns = Turns(out_, least);
        // The blade’s own tip and foot stand out as well, and are no teeth.
        var near = Math.Max(3, count / 60);
        var found = turns.Where(turn => turn.IsPeak && Apart(turn.At, tip, count) > near && Apart(turn.At, 0, count) > near).ToArray();
        if (found.Length < FewestTeeth)
            return None;
        var (heights, leans, rounds) = (new List<double>(), new List<double>(), new List<double>());
        for (var i = 1; i + 1 < turns.Count; i++)
        {
            var (before, peak, after) = (turns[i - 1], turns[i], turns[i + 1]);
            if (!peak.IsPeak || after.At - before.At < 3)
                continue;
            heights.Add(out_[peak.At] - (out_[before.At] + out_[after.At]) / 2);
            var along = (double)(peak.At - before.At) / (after.At - before.At);
            // On the left half one goes from tip to stalk.
            leans.Add(peak.At < tip ? along : 1 - along);
            rounds.Add(Share(out_, before.At, after.At));
        }
        if (heights.Count == 0)
            return None;
        return new Teeth(found.Length, found.Length / (count * step), heights.Average(), Median(leans), Median(rounds));
    }

    private static int Apart(int one, int other, int count) => Math.Min(Math.Abs(one - other), count - Math.Abs(one - other));

    // How much of a tooth’s stretch lies above its half height: much of a round one, little of a pointed one.
    private static double Share(double[] out_, int from, int to)
    {
        var stretch = out_[from..(to + 1)];
        var half = (stretch.Max() + stretch.Min()) / 2;
        return (double)stretch.Count(value => value > half) / stretch.Length;
    }

    private static double Median(List<double> values)
    {
        values.Sort();
        return values[values.Count / 2];
    }

    // Peaks and the lows between them that differ by at least a height.
    private static List<(int At, bool IsPeak)> Turns(double[] values, double least)
    {
        var turns = new List<(int, bool)>();
        var (high, low) = (0, 0);
        bool? rising = null;
        for (var i = 1; i < values.Length; i++)
        {
            if (values[i] > values[high])
                high = i;
            if (values[i] < values[low])
                low = i;
            if (rising != false && values[high] - values[i] >= least)
            {
                turns.Add((high, true));
                (rising, low) = (false, i);
                high = i;
            }
            else if (rising != true && values[i] - values[low] >= least)
            {
                turns.Add((low, false));
                (rising, high) = (true, i);
                low = i;
            }
        }
        return turns;
    }
}
