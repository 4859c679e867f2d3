namespace VerdantSieve.Core.Botany;

/// <summary>The part of planted plants (0 to 1) that lack what the wild plant has: thornless or fruitless garden forms.</summary>
/// <param name="State">The state such a plant shows; null for characters without states.</param>
/// <param name="Share">How many planted plants are such.</param>
public sealed record GardenForm(string? State, double Share);
