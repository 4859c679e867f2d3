using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Looking;

/// <summary>A determination as it was saved, with what the sieve said at the time.</summary>
public sealed record SavedDetermination(string Name, TaxonRank? Rank, double Probability, string Sentence, int FloraEdition, DateOnly On);
