namespace VerdantSieve.Store.Lists;

/// <summary>A list as somebody sees it.</summary>
/// <param name="Id">Its id.</param>
/// <param name="FloraId">The flora its kinds are of.</param>
/// <param name="Content">What it says.</param>
/// <param name="IsOwn">Whether the reader may change it.</param>
public sealed record PlantList(string Id, string FloraId, ListContent Content, bool IsOwn)
{
    /// <summary>Whether whoever has its address may read it.</summary>
    public bool IsShared { get; init; }

    /// <summary>Whether it was thrown away.</summary>
    public bool IsDiscarded { get; init; }

    /// <summary>Whether the last change can be taken back.</summary>
    public bool CanUndo { get; init; }

    /// <summary>What tells two changes apart.</summary>
    public long Edition { get; init; }
}

/// <summary>A list among others.</summary>
public sealed record ListEntry(string Id, string Title, int Kinds, bool IsShared);

/// <summary>A class that works a list.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Title">What it is called.</param>
/// <param name="ListId">The list it works.</param>
/// <param name="IsOwn">Whether the reader is its teacher.</param>
/// <param name="IsOpen">Whether it takes answers.</param>
public sealed record PlantClass(string Id, string Title, string ListId, bool IsOwn, bool IsOpen);
