namespace VerdantSieve.Store.Floras;

/// <summary>An import as stored: after a stop it can still be said what became of it.</summary>
public sealed class ImportRow
{
    public required string Id { get; init; }

    /// <summary>What the file was called where it came from.</summary>
    public required string File { get; init; }

    /// <summary>How far it is.</summary>
    public required string Stage { get; set; }

    /// <summary>How many kinds were read so far.</summary>
    public int Taxa { get; set; }

    /// <summary>The id of the flora it became; empty while it is not known.</summary>
    public string Flora { get; set; } = "";

    /// <summary>What stood in its way.</summary>
    public List<string> Faults { get; set; } = [];

    public DateTimeOffset Begun { get; init; }

    /// <summary>When something was last heard of it; one that is not over and has been silent was cut short.</summary>
    public DateTimeOffset Heard { get; set; }
}
