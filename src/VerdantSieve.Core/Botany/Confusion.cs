namespace VerdantSieve.Core.Botany;

/// <summary>Observers take <paramref name="State"/> for <paramref name="TakenFor"/>; <paramref name="Share"/> (0 to 1) is
/// the part of that state's slips which goes there.</summary>
public sealed record Confusion(string State, string TakenFor, double Share);
