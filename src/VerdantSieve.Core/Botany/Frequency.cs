namespace VerdantSieve.Core.Botany;

/// <summary>How often a state is met in a taxon, as a weight above 0 and at most 1. The default is <see cref="Usual"/>.</summary>
public readonly record struct Frequency
{
    // Kept as what is missing to 1, so that the default of the type is a legal frequency.
    private readonly double missing;

    private Frequency(double weight) => missing = 1 - weight;

    /// <summary>The ordinary case (weight 1).</summary>
    public static Frequency Usual => new(1);

    /// <summary>Now and then (weight 1/4).</summary>
    public static Frequency Sometimes => new(0.25);

    /// <summary>Seldom (weight 1/20).</summary>
    public static Frequency Rare => new(0.05);

    /// <summary>A frequency that was counted.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The weight is not above 0 and at most 1.</exception>
    public static Frequency Of(double weight) =>
        weight is > 0 and <= 1
            ? new(weight)
            : throw new ArgumentOutOfRangeException(nameof(weight), weight, "A frequency is above 0 and at most 1.");

    /// <summary>Its weight among the states of a score, before they are normalised.</summary>
    public double Weight => 1 - missing;
}
