namespace VerdantSieve.Store.Notebooks;

/// <summary>A picture kept with a look, written anew: nothing that came with the file but what is seen.</summary>
public sealed class PictureRow
{
    public required string Id { get; init; }
    public required string LookId { get; init; }
    public string Caption { get; set; } = "";

    /// <summary>The picture, as JPEG.</summary>
    public required byte[] Bytes { get; init; }

    /// <summary>The same, small, for lists.</summary>
    public required byte[] Small { get; init; }

    public int Width { get; init; }
    public int Height { get; init; }

    // What the file said of where and when; kept beside the picture, never in it, and told to nobody else.
    public double? Latitude { get; init; }
    public double? Longitude { get; init; }
    public double? Elevation { get; init; }
    public DateTime? Taken { get; init; }

    public DateTimeOffset At { get; init; }

    /// <summary>Set when thrown away; kept for a while, and can be brought back.</summary>
    public DateTimeOffset? Discarded { get; set; }
}
