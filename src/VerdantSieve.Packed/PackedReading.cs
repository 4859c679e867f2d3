namespace VerdantSieve.Packed;

/// <summary>A reading for the packed sieve: a state of a character, with the chance that it is a slip.</summary>
public readonly record struct PackedReading(int Character, int State, float SlipRate);
