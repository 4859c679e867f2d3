using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>What can be said of the plant.</summary>
/// <param name="Rank">The rank that is reached; null where none is.</param>
/// <param name="Name">The name at that rank, or of the likeliest taxon where none is reached.</param>
/// <param name="Probability">Its chance.</param>
/// <param name="Sentence">All of it in plain words.</param>
public sealed record Determination(TaxonRank? Rank, string Name, double Probability, Prose Sentence)
{
    /// <summary>Whether the place decided between kinds that the readings leave open.</summary>
    public bool SettledByRange { get; init; }

    /// <summary>Whether much was read and little is left to look at, and still more than one kind fits.</summary>
    public bool IsHard { get; init; }

    /// <summary>The readings that speak for the leading kind over its rival, strongest first, as sentences.</summary>
    public IReadOnlyList<Prose> For { get; init; } = [];

    /// <summary>The readings that speak against the leading kind, strongest first, as sentences.</summary>
    public IReadOnlyList<Prose> Against { get; init; } = [];
}
