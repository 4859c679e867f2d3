namespace VerdantSieve.Core.Observing;

/// <summary>One character recorded, with how sure the observer is.</summary>
public sealed record Reading(string Character, Observation Observation, Certainty Certainty)
{
    /// <summary>What part of the plant, or what plant, it was read on.</summary>
    public Origin Origin { get; init; } = Origin.FairSample;

    /// <summary>Whether the reading says anything about which plant this is.</summary>
    public bool Tells => Observation is not CannotTell;
}
