using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>A hazard of a kind that is still possible.</summary>
public sealed record PossibleHazard(Taxon Taxon, Hazard Hazard, double Probability);
