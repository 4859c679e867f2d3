namespace VerdantSieve.Store.Looks;

/// <summary>A look as stored: where its history stands, and what lists show of it.</summary>
public sealed class LookRow
{
    public required string Id { get; init; }
    public required string FloraId { get; init; }

    /// <summary>The tree it is a visit to.</summary>
    public required string TreeId { get; init; }

    /// <summary>The outing it was made on; null where on none.</summary>
    public string? OutingId { get; set; }

    /// <summary>Whether it is the newest visit to its tree that was not thrown away: lists show that one.</summary>
    public bool IsLatest { get; set; }

    /// <summary>The step the look stands at; undo and redo move it.</summary>
    public int Cursor { get; set; }

    /// <summary>The number of the oldest step that is kept.</summary>
    public int FirstStep { get; set; }

    /// <summary>The number of the newest step.</summary>
    public int LastStep { get; set; }

    // Copied from the step the look stands at, so that the notebook is one query.
    public string Place { get; set; } = "";
    public string Observer { get; set; } = "";
    public DateOnly? Date { get; set; }
    public int Readings { get; set; }

    /// <summary>What was settled on this visit.</summary>
    public string? DeterminationName { get; set; }

    public bool IsDemo { get; init; }
    public DateTimeOffset Created { get; init; }
    public DateTimeOffset Changed { get; set; }

    /// <summary>Set when thrown away; a thrown-away look can be brought back.</summary>
    public DateTimeOffset? Discarded { get; set; }

    /// <summary>Which writing of the row this is: the database counts them.</summary>
    public uint Version { get; init; }
}
