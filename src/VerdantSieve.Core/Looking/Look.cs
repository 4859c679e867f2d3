namespace VerdantSieve.Core.Looking;

/// <summary>A look as a page needs it.</summary>
/// <param name="Id">What it is called in addresses.</param>
/// <param name="FloraId">The flora it was made with.</param>
/// <param name="Content">What it says now.</param>
/// <param name="Step">Where its history stands, so that undo takes back what was shown and nothing else.</param>
/// <param name="Undoes">What undo would take back; null where there is nothing.</param>
/// <param name="Redoes">What redo would do again; null where there is nothing.</param>
/// <param name="IsDiscarded">Whether it was thrown away.</param>
public sealed record Look(string Id, string FloraId, LookContent Content, int Step, string? Undoes, string? Redoes, bool IsDiscarded)
{
    /// <summary>The tree it is a visit to.</summary>
    public string TreeId { get; init; } = Id;

    /// <summary>The other visits to the same tree, oldest first.</summary>
    public IReadOnlyList<Visit> Others { get; init; } = [];

    /// <summary>Another with every writing of it, so that whoever writes what they read notices that it was written meanwhile.</summary>
    public uint Version { get; init; }

    /// <summary>Whether what is being sent was kept before: the answer to it was lost, and it comes a second time.</summary>
    public bool IsKept { get; init; }
}
