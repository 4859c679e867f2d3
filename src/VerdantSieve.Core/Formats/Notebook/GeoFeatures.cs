using System.Text.Json;
using NetTopologySuite.Features;
using NetTopologySuite.Geometries;
using NetTopologySuite.IO.Converters;
using Position = VerdantSieve.Core.Seasons.Position;

namespace VerdantSieve.Core.Formats.Notebook;

/// <summary>Something on a map: a pond, a path, a wood.</summary>
/// <param name="Kind">What it is: <c>wood</c>, <c>water</c>, <c>stream</c>, <c>path</c>, <c>road</c>, <c>building</c>, <c>edge</c>;
/// anything
/// else is drawn as a plain line.</param>
/// <param name="Name">What it is called; empty where nothing.</param>
/// <param name="Lines">Its lines, or the borders of its areas.</param>
/// <param name="IsArea">Whether the lines enclose areas.</param>
public sealed record GeoFeature(string Kind, string Name, IReadOnlyList<IReadOnlyList<Position>> Lines, bool IsArea);

/// <summary>What lies on a map, as GeoJSON (RFC 7946).</summary>
public static class GeoFeatures
{
    private static readonly JsonSerializerOptions Json = new() { Converters = { new GeoJsonConverterFactory() } };

    /// <summary>Reads a feature collection; properties <c>kind</c> and <c>name</c> say what each feature is.</summary>
    /// <param name="text">The GeoJSON.</param>
    public static Outcome<IReadOnlyList<GeoFeature>> Read(string text)
    {
        try
        {
            var features = JsonSerializer.Deserialize<FeatureCollection>(text, Json);
            return Outcome.Of<IReadOnlyList<GeoFeature>>([.. (features ?? []).Where(feature => feature.Geometry is not null).Select(Of)]);
        }
        catch (Exception wrong) when (wrong is JsonException or ArgumentException or NotSupportedException or InvalidOperationException)
        {
            return new Fault("file", "This is no GeoJSON feature collection (RFC 7946) that can be read.");
        }
    }

    private static GeoFeature Of(IFeature feature)
    {
        string Property(string name) => feature.Attributes?.GetOptionalValue(name)?.ToString() ?? "";
        var geometry = feature.Geometry;
        IEnumerable<Geometry> parts = Enumerable.Range(0, geometry.NumGeometries).Select(geometry.GetGeometryN);
        return new GeoFeature(
            Property("kind"),
            Property("name"),
            [.. parts.SelectMany(LinesOf).Select(line => (IReadOnlyList<Position>)[.. line.Select(PositionOf)])],
            geometry.Dimension == Dimension.Surface
        );
    }

    private static IEnumerable<Coordinate[]> LinesOf(Geometry part) =>
        part is Polygon polygon ? polygon.InteriorRings.Prepend(polygon.ExteriorRing).Select(ring => ring.Coordinates) : [part.Coordinates];

    // GeoJSON says east before north.
    private static Position PositionOf(Coordinate at) => new(at.Y, at.X, double.IsNaN(at.Z) ? 0 : at.Z);
}
