namespace VerdantSieve.Store.Floras;

/// <summary>One score, in the notation of the flora's files.</summary>
public sealed class ScoreRow
{
    public required string FloraId { get; init; }
    public required string TaxonName { get; init; }
    public required string CharacterId { get; init; }
    public required string Notation { get; init; }
}
