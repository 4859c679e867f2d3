namespace VerdantSieve.Core.Measuring;

/// <summary>Maps sizes to hundredths of a span, by their logarithm: where a size stands on a strip from the least to the most.</summary>
public sealed class LogScale
{
    // Sizes of nothing stand at the left end.
    private const double Tiny = 1e-3;
    private readonly double low,
        high;

    private LogScale(double low, double high) => (this.low, this.high) = (low, high);

    /// <summary>The scale that some spans take up together; null where there are none, or they take up no room.</summary>
    /// <param name="spans">The least and the most of each.</param>
    public static LogScale? Over(IEnumerable<(double Least, double Most)> spans)
    {
        (double Least, double Most)[] all = [.. spans];
        if (all.Length == 0)
            return null;
        var (low, high) = (Log(all.Min(span => span.Least)), Log(all.Max(span => span.Most)));
        return high - low < 1e-6 ? null : new LogScale(low, high);
    }

    /// <summary>Where a size stands: 0 at the least of all spans, 100 at the most.</summary>
    public double At(double size) => 100 * (Log(size) - low) / (high - low);

    private static double Log(double size) => Math.Log(Math.Max(size, Tiny));
}
