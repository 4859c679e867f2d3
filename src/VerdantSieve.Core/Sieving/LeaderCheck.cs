using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>A notorious double of the leading kind, with the look that would tell the two apart; null where all such looks are
/// taken.</summary>
public sealed record LeaderCheck(Taxon Leader, PlantDouble Double, NextLook? Look);
