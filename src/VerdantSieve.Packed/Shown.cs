namespace VerdantSieve.Packed;

/// <summary>Writes the chances of a character's states for a taxon; they add up to 1.</summary>
public delegate void Shown(int taxon, int character, Span<double> chances);
