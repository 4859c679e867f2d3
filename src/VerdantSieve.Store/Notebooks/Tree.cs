using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Trees;

namespace VerdantSieve.Store.Notebooks;

/// <summary>A tree as its page needs it.</summary>
/// <param name="Id">What it is called in addresses.</param>
/// <param name="FloraId">The flora it is looked at with.</param>
/// <param name="Details">What is kept beside its visits.</param>
/// <param name="May">What the reader may do with it.</param>
public sealed record Tree(string Id, string FloraId, TreeDetails Details, Sharing May)
{
    /// <summary>Counts the changes of its details.</summary>
    public int Edition { get; init; }

    /// <summary>Whether the last change of its details can be taken back.</summary>
    public bool CanUndo { get; init; }

    /// <summary>Where it stands.</summary>
    public Position? Position { get; init; }

    /// <summary>Its visits that were not thrown away, oldest first.</summary>
    public IReadOnlyList<Visit> Visits { get; init; } = [];

    /// <summary>The visits that were thrown away and can still be brought back.</summary>
    public IReadOnlyList<Visit> ThrownAway { get; init; } = [];

    /// <summary>The history of determinations, oldest first.</summary>
    public IReadOnlyList<Opinion> History { get; init; } = [];

    /// <summary>Whose it is, by the name they go by; null where it is the reader's own.</summary>
    public string? Whose { get; init; }

    /// <summary>Whether it was thrown away.</summary>
    public bool IsDiscarded { get; init; }

    /// <summary>Where its history has come to.</summary>
    public OpinionStanding Standing => field ??= OpinionStanding.Of(History);

    /// <summary>What it is called: its tag, or the place of its last visit.</summary>
    public string Called =>
        (Details.Tag, Visits) switch
        {
            ({ Length: > 0 } tag, _) => tag,
            (_, [.., { Content.Place: { Length: > 0 } place }]) => place,
            _ => "A tree",
        };
}
