using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Botany;

/// <summary>What a flora says of one taxon for one character.</summary>
public abstract record Score;

/// <summary>How often a state is met in a taxon.</summary>
public enum Frequency
{
    /// <summary>The ordinary case (weight 1).</summary>
    Usual,
    /// <summary>Now and then (weight 1/4).</summary>
    Sometimes,
    /// <summary>Seldom (weight 1/20).</summary>
    Rare
}

/// <summary>A state with how often it is met.</summary>
public readonly record struct StateFrequency(string State, Frequency Frequency)
{
    /// <summary>1, 1/4 or 1/20, before the weights of a score are normalised.</summary>
    public double Weight => Frequency switch { Frequency.Usual => 1, Frequency.Sometimes => 0.25, _ => 0.05 };
}

/// <summary>The states a taxon shows. Never empty; no state twice.</summary>
public sealed record StateScore(IReadOnlyList<StateFrequency> States) : Score
{
    /// <summary>Whether the taxon can show this state at all.</summary>
    public bool Allows(string stateId) => States.Any(s => s.State == stateId);
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
