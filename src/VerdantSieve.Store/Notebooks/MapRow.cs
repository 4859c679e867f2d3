namespace VerdantSieve.Store.Notebooks;

/// <summary>A map of somebody's own as stored: the file as it came, and how far it reaches.</summary>
public sealed class MapRow
{
    public required string Id { get; init; }
    public required string Owner { get; set; }
    public required string Title { get; init; }

    /// <summary>The file: GeoJSON (RFC 7946).</summary>
    public required string GeoJson { get; init; }

    public double South { get; init; }
    public double West { get; init; }
    public double North { get; init; }
    public double East { get; init; }

    public DateTimeOffset Created { get; init; }
    public DateTimeOffset? Discarded { get; set; }
}
