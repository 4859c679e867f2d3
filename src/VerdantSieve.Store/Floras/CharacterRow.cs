namespace VerdantSieve.Store.Floras;

/// <summary>A character of a flora.</summary>
public sealed class CharacterRow
{
    public required string FloraId { get; init; }
    public required string Id { get; init; }
    public int Order { get; init; }

    /// <summary>All of it, as JSON.</summary>
    public required string Definition { get; init; }
}
