using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>A character worth looking at now.</summary>
/// <param name="Character">The character.</param>
/// <param name="Bits">What its answer is expected to tell.</param>
/// <param name="Chance">The chance that it can be seen on this plant now.</param>
/// <param name="HeldBack">Why it must wait; null where it need not.</param>
public sealed record NextLook(Character Character, double Bits, double Chance, string? HeldBack)
{
    /// <summary>How many kinds would be left of those open, on average (2 to the power of the entropy); said of the first few looks
    /// only.</summary>
    public double? Leaves { get; init; }

    /// <summary>The bits that can be expected of the best of the looks which can only be asked once this one has been answered.</summary>
    public double Opens { get; init; }

    // A look further on is worth half a look now.
    private const double LookAhead = 0.5;

    /// <summary>What the looks are ordered by: bits × chance, and part of what an answer opens, ÷ effort.</summary>
    public double Worth => (Bits * Chance + LookAhead * Opens) / Character.Effort;
}
