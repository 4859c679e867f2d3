using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>The last two kinds, with what they do not share and what they do.</summary>
/// <param name="One">The likelier one.</param>
/// <param name="Other">The other.</param>
/// <param name="Differ">What parts them and has not been read, the best first: the marks the flora names, then what can be seen
/// now.</param>
/// <param name="Shared">What they share, so that nobody wastes time on it.</param>
/// <param name="Answered">What parts them and has been read.</param>
public sealed record LastTwo(
    Taxon One,
    Taxon Other,
    IReadOnlyList<Character> Differ,
    IReadOnlyList<Character> Shared,
    IReadOnlyList<Character> Answered
);
