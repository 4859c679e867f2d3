namespace VerdantSieve.Store.Notebooks;

/// <summary>An outing as stored: a day in the field, on which trees were visited.</summary>
public sealed class OutingRow
{
    public required string Id { get; init; }
    public required string Owner { get; set; }
    public string Title { get; set; } = "";
    public DateOnly? Date { get; set; }
    public string Who { get; set; } = "";
    public string Weather { get; set; } = "";

    /// <summary>How to get there and whose leave was had.</summary>
    public string Access { get; set; } = "";

    /// <summary>What can hurt there: the ground, the water, the road, what hangs overhead.</summary>
    public string Hazards { get; set; } = "";

    /// <summary>The way that was walked.</summary>
    public List<TrackPoint> Track { get; set; } = [];

    public bool IsDemo { get; init; }
    public DateTimeOffset Created { get; init; }
    public DateTimeOffset? Discarded { get; set; }
}

/// <summary>A point of the way that was walked.</summary>
public sealed record TrackPoint(double Latitude, double Longitude, double? Elevation, DateTimeOffset? At);
