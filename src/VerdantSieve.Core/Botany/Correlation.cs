namespace VerdantSieve.Core.Botany;

/// <summary>Characters that say nearly the same thing, such as the length of a blade and its width.</summary>
/// <param name="Group">The name they share.</param>
/// <param name="Share">How far one repeats another: 0 (not at all) to 1 (wholly).</param>
public sealed record Correlation(string Group, double Share);
