using VerdantSieve.Core.Formats.Notebook;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Store.Demo;

/// <summary>The map of Lantern Creek Reserve, and the path that the simulated GPS walks there.</summary>
public static class ReserveMap
{
    private static readonly Lazy<IReadOnlyList<GeoFeature>> Read = new(() =>
    {
        using var file = typeof(ReserveMap).Assembly.GetManifestResourceStream("lantern-creek.geojson")!;
        using var reader = new StreamReader(file);
        return GeoFeatures.Read(reader.ReadToEnd()).Value;
    });

    /// <summary>What lies on the map.</summary>
    public static IReadOnlyList<GeoFeature> Features => Read.Value;

    /// <summary>The way round the reserve, from the gate and back to it.</summary>
    public static IReadOnlyList<Position> Path =>
        [.. DemoReserve.Outings[0].Track.Select(point => new Position(point.Latitude, point.Longitude, point.Elevation ?? 0))];

    /// <summary>Whether a point lies in the reserve or beside it, so that its map is of use.</summary>
    public static bool IsNear(Position position) => position is { Latitude: > 45.08 and < 45.12, Longitude: > -123.24 and < -123.17 };
}
