using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Botany;

/// <summary>What a flora says of one taxon for one character.</summary>
public abstract record Score;

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
    public static Frequency Of(double weight) => weight is > 0 and <= 1 ? new(weight)
        : throw new ArgumentOutOfRangeException(nameof(weight), weight, "A frequency is above 0 and at most 1.");

    /// <summary>Its weight among the states of a score, before they are normalised.</summary>
    public double Weight => 1 - missing;
}

/// <summary>A state with how often it is met.</summary>
public readonly record struct StateFrequency(string State, Frequency Frequency)
{
    /// <summary>1, 1/4, 1/20 or what was counted, before the weights of a score are normalised.</summary>
    public double Weight => Frequency.Weight;
}

/// <summary>The states a taxon shows. Never empty; no state twice.</summary>
public sealed record StateScore(IReadOnlyList<StateFrequency> States) : Score
{
    /// <summary>Whether the taxon can show this state at all.</summary>
    public bool Allows(string stateId)
    {
        for (var i = 0; i < States.Count; i++)
            if (States[i].State == stateId) return true;
        return false;
    }
}

/// <summary>A range <c>(a–)b–c(–d)</c>: b to c holds the middle 80 % of single leaves, a and d the outer 1 %.</summary>
public sealed record RangeScore(double? Least, double Low, double High, double? Most) : Score
{
    /// <summary>The smallest value the score allows.</summary>
    public double Minimum => Least ?? Low;

    /// <summary>The largest value the score allows.</summary>
    public double Maximum => Most ?? High;
}

/// <summary>How often the thing, where the taxon can have it, is found: 0 (never) to 1 (always).</summary>
public sealed record PresenceScore(double Frequency) : Score;

/// <summary>The weeks in which a taxon flowers or fruits at the flora's reference place.</summary>
public sealed record SeasonScore(SeasonWindow Window) : Score;
