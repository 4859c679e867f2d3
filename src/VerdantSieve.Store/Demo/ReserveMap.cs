using VerdantSieve.Core.Formats.Notebook;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Store.Demo;

/// <summary>The map of Lantern Creek Reserve, and the path that the simulated GPS walks there.</summary>
public static class ReserveMap
{
    private const string File = "lantern-creek.geojson";

    private static readonly Lazy<GroundMap> Read = new(() =>
    {
        using var file = typeof(ReserveMap).Assembly.GetManifestResourceStream(File)!;
        using var reader = new StreamReader(file);
        return GroundMap.Read("", File, reader.ReadToEnd()).Value;
    });

    /// <summary>The map.</summary>
    public static GroundMap Map => Read.Value;

    /// <summary>The way round the reserve, from the gate and back to it.</summary>
    public static IReadOnlyList<Position> Path =>
        [.. DemoReserve.Outings[0].Track.Select(point => new Position(point.Latitude, point.Longitude, point.Elevation ?? 0))];
}
