using VerdantSieve.Core.Trees;

namespace VerdantSieve.Store.Notebooks;

/// <summary>A line in a tree's history of determinations as stored.</summary>
public sealed class OpinionRow
{
    public int Id { get; init; }
    public required string TreeId { get; init; }

    /// <summary>The visit it was made on; null where it was made on the tree as a whole.</summary>
    public string? LookId { get; init; }

    public OpinionKind Kind { get; init; }
    public string Name { get; init; } = "";
    public string? Rank { get; init; }
    public double? Probability { get; init; }
    public Qualifier? Qualifier { get; init; }
    public string Reasons { get; init; } = "";

    /// <summary>What had been read, in words.</summary>
    public List<string> Readings { get; init; } = [];

    public int FloraEdition { get; init; }

    /// <summary>The owner or account it comes from.</summary>
    public required string From { get; init; }

    /// <summary>The name shown beside it.</summary>
    public string By { get; set; } = "";

    public DateTimeOffset At { get; init; }

    /// <summary>Set where it was taken back; it stays in the history.</summary>
    public DateTimeOffset? Withdrawn { get; set; }
}
