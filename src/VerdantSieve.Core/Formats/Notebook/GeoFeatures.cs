using System.Text.Json;
using NetTopologySuite.Features;
using NetTopologySuite.Geometries;
using NetTopologySuite.IO.Converters;
using Position = VerdantSieve.Core.Seasons.Position;

namespace VerdantSieve.Core.Formats.Notebook;

/// <summary>Something on a map: a pond, a path, a wood.</summary>
/// <param name="Kind">What it is, one of <see cref="GroundKinds"/>.</param>
/// <param name="Name">What it is called; empty where nothing.</param>
/// <param name="Lines">Its lines, or the borders of its areas; of a point a line of that point alone.</param>
/// <param name="IsArea">Whether the lines enclose areas.</param>
public sealed record GeoFeature(string Kind, string Name, IReadOnlyList<IReadOnlyList<Position>> Lines, bool IsArea);

/// <summary>What lies on a map, as GeoJSON (RFC 7946).</summary>
public static class GeoFeatures
{
    /// <summary>The most points of a map; one of a reserve has some hundreds.</summary>
    public const int MostPoints = 50_000;

    private const int LongestName = 80;

    private static readonly JsonSerializerOptions Json = new() { Converters = { new GeoJsonConverterFactory() } };

    /// <summary>Reads a feature collection. Properties <c>kind</c> and <c>name</c> say what each feature is; where there is no kind,
    /// the usual tags of open map data do (see <see cref="GroundKinds"/>).</summary>
    /// <param name="text">The GeoJSON.</param>
    /// <returns>The features; or at <c>file</c> why it can't be read.</returns>
    public static Outcome<IReadOnlyList<GeoFeature>> Read(string text)
    {
        FeatureCollection? found;
        try
        {
            found = JsonSerializer.Deserialize<FeatureCollection>(text, Json);
        }
        catch (Exception wrong) when (wrong is JsonException or ArgumentException or NotSupportedException or InvalidOperationException)
        {
            return new Fault("file", "This is no GeoJSON feature collection (RFC 7946) that can be read.");
        }
        var features = (found ?? []).Where(feature => feature.Geometry is { IsEmpty: false }).ToArray();
        if (features.Sum(feature => feature.Geometry.NumPoints) is > MostPoints and var points)
            return new Fault("file", $"This map has {points} points; up to {MostPoints} are read. Leave out what is not needed.");
        foreach (var (feature, number) in features.Select((feature, at) => (feature, at + 1)))
            if (feature.Geometry.Coordinates.FirstOrDefault(IsNowhere) is { } nowhere)
                return new Fault(
                    "file",
                    FormattableString.Invariant($"Feature {number} lies at {nowhere.X:0.###}, {nowhere.Y:0.###}, which are no degrees. ")
                        + "GeoJSON gives degrees east, −180 to 180, and then degrees north, −90 to 90 (WGS 84); save the map in those."
                );
        return Outcome.Of<IReadOnlyList<GeoFeature>>([.. features.Select(Of)]);
    }

    private static bool IsNowhere(Coordinate at) => !(Math.Abs(at.X) <= 180 && Math.Abs(at.Y) <= 90);

    private static GeoFeature Of(IFeature feature)
    {
        string Property(string name) => feature.Attributes?.GetOptionalValue(name)?.ToString() ?? "";
        var geometry = feature.Geometry;
        IEnumerable<Geometry> parts = Enumerable.Range(0, geometry.NumGeometries).Select(geometry.GetGeometryN);
        var name = Property("name");
        return new GeoFeature(
            GroundKinds.Of(Property),
            name.Length > LongestName ? name[..LongestName] : name,
            [.. parts.SelectMany(LinesOf).Select(line => (IReadOnlyList<Position>)[.. line.Select(PositionOf)])],
            geometry.Dimension == Dimension.Surface
        );
    }

    private static IEnumerable<Coordinate[]> LinesOf(Geometry part) =>
        part is Polygon polygon ? polygon.InteriorRings.Prepend(polygon.ExteriorRing).Select(ring => ring.Coordinates) : [part.Coordinates];

    // GeoJSON says east before north. Heights are not drawn, so that a wrong one does no harm.
    private static Position PositionOf(Coordinate at) => new(at.Y, at.X, 0);
}
