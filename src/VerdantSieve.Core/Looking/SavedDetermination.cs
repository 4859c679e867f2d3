using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Looking;

/// <summary>A determination as it was saved, with what the sieve said at the time.</summary>
public sealed record SavedDetermination(string Name, TaxonRank? Rank, double Probability, string Sentence, int FloraEdition, DateOnly On)
{
    /// <summary>What had been read, in words; empty in looks settled before words were kept.</summary>
    public IReadOnlyList<string> Readings { get; init; } = [];

    /// <inheritdoc/>
    public bool Equals(SavedDetermination? other) =>
        other is not null
        && (Name, Rank, Probability, Sentence, FloraEdition, On)
            == (other.Name, other.Rank, other.Probability, other.Sentence, other.FloraEdition, other.On);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Name, On);
}
