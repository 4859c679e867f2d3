using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>A character that separates taxa: its bits, and for each taxon its score and whether it can apply.</summary>
public sealed record Separation(Character Character, double Bits, IReadOnlyList<Score?> Scores, IReadOnlyList<bool> Applies)
{
    /// <summary>Whether it is a mark by which the flora itself tells two of them apart.</summary>
    public bool IsMark { get; init; }

    /// <summary>The chance that it can be seen on such plants on that day, 0 to 1.</summary>
    public double Now { get; init; } = 1;

    /// <summary>What looks are ordered by: bits × chance to see it ÷ effort.</summary>
    public double Worth => Bits * Now / Character.Effort;
}
