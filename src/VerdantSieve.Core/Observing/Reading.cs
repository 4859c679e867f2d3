using NodaTime;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Observing;

/// <summary>One character recorded, with how sure the observer is.</summary>
public sealed record Reading(string Character, Observation Observation, Certainty Certainty)
{
    /// <summary>What part of the plant, or what plant, it was read on.</summary>
    public Origin Origin { get; init; } = Origin.FairSample;

    /// <summary>Where on the plant it was read; null where that was not said.</summary>
    public PlantPlace? On { get; init; }

    /// <summary>The day it was read, where that is not the day of the look.</summary>
    public LocalDate? Day { get; init; }

    /// <summary>What tells it from other readings of the same plant: several of one character stand together where their places or days
    /// differ.</summary>
    public (string Character, PlantPlace? On, LocalDate? Day) Key => (Character, On, Day);

    /// <summary>Whether the reading says anything about which plant this is.</summary>
    public bool Tells => Observation is not CannotTell;
}
