namespace VerdantSieve.Core.Formats;

/// <summary>A character as it came: its id, the part of the plant it stands under, and all else that is said of it.</summary>
internal sealed record CharacterEntry(string Id, string? Part, Entry Entry);

/// <summary>A flora as it came, in whatever format.</summary>
/// <param name="About">What it says of itself.</param>
/// <param name="Characters">The characters in order.</param>
/// <param name="Taxa">The taxa.</param>
internal sealed record FloraEntries(Entry About, IReadOnlyList<CharacterEntry> Characters, IReadOnlyList<Entry> Taxa)
{
    /// <summary>Scores that are written once for many taxa.</summary>
    public IReadOnlyList<Entry> Shared { get; init; } = [];
}
