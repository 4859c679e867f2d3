using Microsoft.AspNetCore.Identity;

namespace VerdantSieve.Store.Curating;

/// <summary>Someone who may change a flora.</summary>
public sealed class Curator : IdentityUser
{
    /// <summary>The name shown beside what they changed.</summary>
    public string Shown { get; set; } = "";

    /// <summary>Whether it is one of the demonstration's, whose passwords everybody knows.</summary>
    public bool IsDemo { get; set; }
}

/// <summary>What curators may do.</summary>
public static class CuratorRoles
{
    /// <summary>Changes taxa, and undoes changes.</summary>
    public const string Curator = "curator";

    /// <summary>All that a curator does; also makes, imports and removes floras.</summary>
    public const string Keeper = "keeper";
}
