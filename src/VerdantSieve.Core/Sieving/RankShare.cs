using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>A genus or family with the chance that the plant belongs to it.</summary>
public sealed record RankShare(TaxonRank Rank, string Name, double Probability);
