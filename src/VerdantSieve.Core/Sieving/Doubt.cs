using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>How likely a reading is a slip, and what would come back without it.</summary>
public sealed record Doubt(Reading Reading, double SlipChance, IReadOnlyList<Taxon> WouldReturn)
{
    /// <summary>From this chance on a reading is pointed at.</summary>
    public const double Threshold = 0.5;

    /// <summary>Whether it is pointed at.</summary>
    public bool IsPointedAt => SlipChance >= Threshold;

    /// <summary>The leading kind without the reading, and its chance then; null where the reading is not doubtful.</summary>
    public (Taxon Leader, double Probability)? Without { get; init; }

    /// <summary>The reading it fits worst with; null where it fits with each alone.</summary>
    public Reading? Contradicts { get; init; }
}
