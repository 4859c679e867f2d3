namespace VerdantSieve.Core.Botany;

/// <summary>One state of a character: its id, the plain words for it, and its meaning.</summary>
public sealed record State(string Id, string Label, string Meaning);
