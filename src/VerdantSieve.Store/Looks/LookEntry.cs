namespace VerdantSieve.Store.Looks;

/// <summary>A tree as the notebook lists it, by its newest visit.</summary>
/// <param name="Id">The look that was the newest visit.</param>
/// <param name="Place">Where.</param>
/// <param name="Observer">Who.</param>
/// <param name="Date">When.</param>
/// <param name="Readings">How many readings that look has.</param>
/// <param name="Name">The name that stands; null while the tree is open.</param>
/// <param name="Rank">Its rank.</param>
/// <param name="Probability">Its chance when it was given.</param>
/// <param name="Changed">When the look was changed last.</param>
public sealed record LookEntry(
    string Id,
    string Place,
    string Observer,
    DateOnly? Date,
    int Readings,
    string? Name,
    string? Rank,
    double? Probability,
    DateTimeOffset Changed
)
{
    /// <summary>The tree.</summary>
    public string TreeId { get; init; } = Id;

    /// <summary>What the tree is called on the ground; empty where nothing.</summary>
    public string Tag { get; init; } = "";

    /// <summary>How often it was visited.</summary>
    public int Visits { get; init; } = 1;

    /// <summary>Whether it is another's, seen because it is shared: its looks are not the reader's to open.</summary>
    public bool IsShared { get; init; }

    /// <summary>Whether where it stands is not told to others.</summary>
    public bool IsSensitive { get; init; }

    /// <summary>Whether the whole tree was thrown away, and not this look alone.</summary>
    public bool IsTreeDiscarded { get; init; }

    /// <summary>Whether a second reader sees it otherwise.</summary>
    public bool IsDisputed { get; init; }
}
