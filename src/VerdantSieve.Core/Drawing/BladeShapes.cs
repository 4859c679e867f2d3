namespace VerdantSieve.Core.Drawing;

/// <summary>Measures of an outline.</summary>
public static class BladeShapes
{
    /// <summary>How far the sides may drift and still count as parallel: 4 % of the greatest width.</summary>
    private const double Parallel = 0.04;

    /// <summary>The class of an outline given as its right half, from base to tip.</summary>
    public static BladeShape Classify(IReadOnlyList<Point> rightHalf)
    {
        var (foot, top) = (rightHalf.Min(p => p.Y), rightHalf.Max(p => p.Y));
        var length = top - foot;
        var width = rightHalf.Max(p => p.X);
        if (length >= 10 * 2 * width)
            return BladeShape.Linear;
        var parallel = rightHalf.Where(p => p.X >= width * (1 - Parallel)).ToArray();
        var (low, high) = ((parallel.Min(p => p.Y) - foot) / length, (parallel.Max(p => p.Y) - foot) / length);
        if (low <= 1 / 3.0 && high >= 2 / 3.0)
            return BladeShape.Oblong;
        return ((low + high) / 2) switch
        {
            < 0.4 => BladeShape.Ovate,
            > 0.6 => BladeShape.Obovate,
            _ => BladeShape.Elliptic,
        };
    }
}
