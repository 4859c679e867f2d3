namespace VerdantSieve.Store.Floras;

/// <summary>A taxon of a flora.</summary>
public sealed class TaxonRow
{
    public required string FloraId { get; init; }
    public required string Name { get; init; }

    /// <summary>All of it but its scores, as JSON.</summary>
    public required string Definition { get; init; }
}
