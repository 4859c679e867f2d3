namespace VerdantSieve.Store.Curating;

/// <summary>What curators may do.</summary>
public static class CuratorRoles
{
    /// <summary>Changes taxa, and undoes changes.</summary>
    public const string Curator = "curator";

    /// <summary>All that a curator does; also makes, imports and removes floras.</summary>
    public const string Keeper = "keeper";
}
