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
    public required string Fingerprint { get; set; }
    public DateTimeOffset Loaded { get; init; }

    /// <summary>Whether it was made or imported at the desk, and so has no files.</summary>
    public bool IsOwn { get; init; }

    /// <summary>Set when taken off the list; a flora taken off can be put back, and looks made with it can still be opened.</summary>
    public DateTimeOffset? Removed { get; set; }
}

/// <summary>A character of a flora.</summary>
public sealed class CharacterRow
{
    public required string FloraId { get; init; }
    public required string Id { get; init; }
    public required string Kind { get; init; }
    public required string Part { get; init; }
    public int Order { get; init; }

    /// <summary>Question, states, conditions and the rest, as JSON.</summary>
    public required string Definition { get; init; }
}

/// <summary>A taxon of a flora.</summary>
public sealed class TaxonRow
{
    public required string FloraId { get; init; }
    public required string Name { get; init; }
    public required string Rank { get; init; }
    public required string Authority { get; init; }
    public required string Family { get; init; }
    public string? Group { get; init; }
    public string? Aggregate { get; init; }
    public required string[] HybridOf { get; init; }
    public required string[] CommonNames { get; init; }
    public required string[] Synonyms { get; init; }
    public required string[] Native { get; init; }
    public required string[] Introduced { get; init; }
    public required string[] Settings { get; init; }
    public required string Abundance { get; init; }

    /// <summary>How common it is in single countries, where not as elsewhere, as JSON.</summary>
    public required string LocalAbundance { get; init; }
    public string? WindowsAt { get; init; }
    public required string Hazards { get; init; }
    public required string Doubles { get; init; }
    public required string Remember { get; init; }
    public required string Meaning { get; init; }
    public required string Provenance { get; init; }
}

/// <summary>One score, in the notation of the flora's files.</summary>
public sealed class ScoreRow
{
    public required string FloraId { get; init; }
    public required string TaxonName { get; init; }
    public required string CharacterId { get; init; }
    public required string Notation { get; init; }
}
