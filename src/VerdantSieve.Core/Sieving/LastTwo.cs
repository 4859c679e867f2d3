using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>The last two kinds: the characters they do not share, best first, and those they do, on which no time need be spent.</summary>
public sealed record LastTwo(Taxon One, Taxon Other, IReadOnlyList<Character> Differ, IReadOnlyList<Character> Shared);
