using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Observing;

/// <summary>Where and when the plant is looked at. Every part may be unknown.</summary>
public sealed record Circumstances
{
    /// <summary>Nothing known of place or time.</summary>
    public static readonly Circumstances Unknown = new();

    /// <summary>The botanical country, a level 3 code of the World Geographical Scheme (such as ORE).</summary>
    public string? Region { get; init; }

    /// <summary>Degrees, degrees and metres.</summary>
    public Position? Position { get; init; }

    /// <summary>The day of the look.</summary>
    public LocalDate? Date { get; init; }

    /// <summary>Wild or planted.</summary>
    public Setting? Setting { get; init; }

    /// <summary>Young or full grown.</summary>
    public Age? Age { get; init; }

    /// <summary>Its sex, where that is known of a kind whose sexes stand apart.</summary>
    public PlantSex? Sex { get; init; }

    /// <summary>How far the plant is with its leaves, where that was said; else date and place tell.</summary>
    public LeafStage? Stage { get; init; }
}
