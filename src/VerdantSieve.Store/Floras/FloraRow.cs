namespace VerdantSieve.Store.Floras;

/// <summary>A flora, with the fingerprint of the files it was loaded from.</summary>
public sealed class FloraRow
{
    public required string Id { get; init; }
    public required string Title { get; init; }
    public int Edition { get; set; }

    /// <summary>The place its seasons hold for, and further ones by id, as JSON.</summary>
    public required string ReferencePlace { get; init; }
    public required string Places { get; init; }
    public required string GenusWords { get; init; }
    public required string FamilyWords { get; init; }
    public required string Aggregates { get; init; }
    public required string NearAlike { get; init; }
    public required string MissingKinds { get; init; }

    /// <summary>The countries it keys, as JSON.</summary>
    public required string Keyed { get; init; }

    /// <summary>What many of its taxa share, as JSON.</summary>
    public required string Shared { get; init; }
    public required string Fingerprint { get; set; }
    public DateTimeOffset Loaded { get; init; }

    /// <summary>Whether it was made or imported at the desk, and so has no files.</summary>
    public bool IsOwn { get; init; }

    /// <summary>Set when taken off the list; a flora taken off can be put back, and looks made with it can still be opened.</summary>
    public DateTimeOffset? Removed { get; set; }
}
