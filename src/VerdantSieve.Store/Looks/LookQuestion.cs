using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Store.Looks;

/// <summary>Turns what a look says into a question to the sieve.</summary>
public static class LookQuestion
{
    /// <summary>The question. Readings the flora no longer understands are left out.</summary>
    public static SieveQuestion Of(LookContent content, Flora flora) => new()
    {
        Circumstances = new Circumstances
        {
            Region = content.Region,
            Position = content is { Latitude: { } latitude, Longitude: { } longitude } ? new Position(latitude, longitude, content.Elevation ?? 0) : null,
            Date = content.Date is { } date ? LocalDate.FromDateOnly(date) : null,
            Setting = content.Setting,
            Age = content.Age
        },
        Readings = [.. content.Readings.Select(raw => ReadingDesk.Check(raw, flora).Reading).OfType<Reading>()],
        School = content.School,
        Slips = content.Slips
    };
}
