using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>A character that separates taxa: its bits, and for each taxon its score and whether it can apply.</summary>
public sealed record Separation(Character Character, double Bits, IReadOnlyList<Score?> Scores, IReadOnlyList<bool> Applies);
