using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>How likely a reading does not fit, by whose fault, and what would come back without it.</summary>
/// <param name="Reading">The reading.</param>
/// <param name="SlipChance">The chance that it is the observer's slip.</param>
/// <param name="WouldReturn">What would come back without it, the likeliest first.</param>
public sealed record Doubt(Reading Reading, double SlipChance, IReadOnlyList<Taxon> WouldReturn)
{
    /// <summary>From this chance on a reading is pointed at.</summary>
    public const double Threshold = 0.5;

    /// <summary>The chance that the flora leaves out what was read.</summary>
    public double GapChance { get; init; }

    /// <summary>Whether it is the other readings that make it doubtful: a rare mark by itself is rare, and not wrong.</summary>
    public bool AgainstOthers { get; init; }

    /// <summary>Whether it is pointed at.</summary>
    public bool IsPointedAt => AgainstOthers && SlipChance + GapChance >= Threshold;

    /// <summary>Whether the flora is likelier at fault than the observer.</summary>
    public bool IsFlorasFault => GapChance > SlipChance;

    /// <summary>The leading kind without the reading, and its chance then; null where the reading is not doubtful.</summary>
    public (Taxon Leader, double Probability)? Without { get; init; }

    /// <summary>The reading it fits worst with; null where it fits with each alone.</summary>
    public Reading? Contradicts { get; init; }
}
