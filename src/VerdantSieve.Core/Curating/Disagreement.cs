using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Curating;

/// <summary>What two drafts say of one taxon, where they are not alike.</summary>
/// <param name="Taxon">The taxon.</param>
/// <param name="First">The first draft’s score.</param>
/// <param name="Second">The second draft’s score.</param>
/// <param name="Apart">Whether they cannot both be right: neither’s chief state is among the other’s, or the ranges do not touch.</param>
public sealed record Disagreement(ScientificName Taxon, string First, string Second, bool Apart);
