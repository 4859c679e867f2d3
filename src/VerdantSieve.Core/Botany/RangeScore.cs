namespace VerdantSieve.Core.Botany;

/// <summary>A range <c>(a–)b–c(–d)</c>: b to c holds the middle 80 % of single leaves, a and d the outer 1 %.</summary>
public sealed record RangeScore : Score
{
    /// <summary>A range.</summary>
    /// <param name="least">The outer lower end, at least 0 and not above <paramref name="low"/>; null where it is not known.</param>
    /// <param name="low">The lower end of what is usual; above 0.</param>
    /// <param name="high">The upper end of what is usual; not below <paramref name="low"/>.</param>
    /// <param name="most">The outer upper end, not below <paramref name="high"/>; null where it is not known.</param>
    /// <exception cref="ArgumentException">The numbers do not rise from left to right, or are not above 0.</exception>
    public RangeScore(double? least, double low, double high, double? most)
    {
        (Least, Low) = (least, low);
        (High, Most) = (high, most);
        if (Amiss(least, low, high, most) is { } amiss)
            throw new ArgumentException($"The range “{Write(value => $"{value:R}")}” {amiss}.");
    }

    /// <summary>A range as above, or what is wrong with it, in lower case and without a full stop.</summary>
    public static Outcome<RangeScore> Of(double? least, double low, double high, double? most, string written) =>
        Amiss(least, low, high, most) is { } amiss
            ? Fault.AtField("range", written, $"the range “{written}” {amiss}")
            : new RangeScore(least, low, high, most);

    private static string? Amiss(double? least, double low, double high, double? most)
    {
        if (!((least ?? low) <= low && low <= high && high <= (most ?? high)))
            return "is inverted: its numbers must rise from left to right";
        return (least ?? low) < 0 || low <= 0 || double.IsInfinity(most ?? high) ? "must be above 0" : null;
    }

    /// <summary>The outer lower end; null where it is not known.</summary>
    public double? Least { get; }

    /// <summary>The lower end of what is usual.</summary>
    public double Low { get; }

    /// <summary>The upper end of what is usual.</summary>
    public double High { get; }

    /// <summary>The outer upper end; null where it is not known.</summary>
    public double? Most { get; }

    /// <summary>The smallest value the score allows.</summary>
    public double Minimum => Least ?? Low;

    /// <summary>The largest value the score allows.</summary>
    public double Maximum => Most ?? High;

    /// <summary>Whether values from the one to the other touch what the score allows.</summary>
    public bool Touches(double low, double high) => high >= Minimum && low <= Maximum;

    /// <summary>The range as text, <c>(a–)b–c(–d)</c>.</summary>
    /// <param name="number">How each number is written.</param>
    public string Write(Func<double, string> number)
    {
        var core = Low == High ? number(Low) : $"{number(Low)}–{number(High)}";
        var least = Least is { } a ? $"({number(a)}–)" : "";
        var most = Most is { } d ? $"(–{number(d)})" : "";
        return least + core + most;
    }

    /// <inheritdoc/>
    public override T Match<T>(
        Func<StateScore, T> states,
        Func<RangeScore, T> range,
        Func<PresenceScore, T> presence,
        Func<SeasonScore, T> season
    ) => range(this);
}
