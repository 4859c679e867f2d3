using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>A taxon with how it fared.</summary>
/// <param name="Taxon">The taxon.</param>
/// <param name="Probability">The chance that the plant is this, by weighing.</param>
/// <param name="Held">The ids of the characters whose readings it cannot allow.</param>
/// <param name="Passes">Whether it is in the pan: held no more often than disagreements are allowed.</param>
public sealed record Candidate(Taxon Taxon, double Probability, IReadOnlyList<string> Held, bool Passes)
{
    /// <summary>Whether it must still be reckoned with: it has one chance in a hundred, be it before readings that fit together count for
    /// more. What it can do to the skin is warned of so long.</summary>
    public bool IsPossible { get; init; }
}
