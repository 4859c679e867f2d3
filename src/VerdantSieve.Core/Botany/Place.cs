using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Botany;

/// <summary>A place that seasons hold for, with the words for it.</summary>
public sealed record Place(string Name, Position Position);
