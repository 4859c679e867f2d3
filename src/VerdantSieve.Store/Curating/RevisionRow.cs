namespace VerdantSieve.Store.Curating;

/// <summary>One change to one taxon, as kept: what it was and what it became, who did it, when and why.</summary>
public sealed class RevisionRow
{
    public long Id { get; init; }
    public required string FloraId { get; init; }
    public required string TaxonName { get; init; }

    /// <summary>The edition of the flora that the change made.</summary>
    public int Edition { get; init; }

    /// <summary>The taxon’s file before and after.</summary>
    public required string Before { get; init; }
    public required string After { get; init; }

    /// <summary>What is different between the two, as JSON; null where that has not been worked out yet.</summary>
    public string? Changes { get; set; }

    public required string Who { get; init; }
    public required string Why { get; init; }
    public DateTimeOffset At { get; init; }

    /// <summary>The change that this one takes back.</summary>
    public long? Undoes { get; init; }

    /// <summary>Whether a later change took this one back.</summary>
    public bool Undone { get; set; }
}
