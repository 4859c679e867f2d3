namespace VerdantSieve.Core.Drawing;

/// <summary>Classes of blade shape, told from an outline.</summary>
/// <remarks>After B. Ellis et al. 2009, Manual of Leaf Architecture, character 11: elliptic is widest in the middle fifth,
/// ovate in the lower two fifths, obovate in the upper two fifths; oblong has opposite margins about parallel over at least
/// the middle third; linear is at least ten times as long as wide, whatever its outline.</remarks>
public enum BladeShape
{
    /// <summary>Widest in the middle fifth.</summary>
    Elliptic,
    /// <summary>Widest in the lower two fifths.</summary>
    Ovate,
    /// <summary>Widest in the upper two fifths.</summary>
    Obovate,
    /// <summary>Sides parallel over the middle third or more.</summary>
    Oblong,
    /// <summary>At least ten times as long as wide.</summary>
    Linear
}

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
        if (length >= 10 * 2 * width) return BladeShape.Linear;
        var parallel = rightHalf.Where(p => p.X >= width * (1 - Parallel)).ToArray();
        var (low, high) = ((parallel.Min(p => p.Y) - foot) / length, (parallel.Max(p => p.Y) - foot) / length);
        if (low <= 1 / 3.0 && high >= 2 / 3.0) return BladeShape.Oblong;
        return ((low + high) / 2) switch { < 0.4 => BladeShape.Ovate, > 0.6 => BladeShape.Obovate, _ => BladeShape.Elliptic };
    }
}
