using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Formats.Notebook;

/// <summary>How far a map reaches.</summary>
/// <param name="South">Its least degrees north.</param>
/// <param name="West">Its least degrees east.</param>
/// <param name="North">Its most degrees north.</param>
/// <param name="East">Its most degrees east.</param>
public readonly record struct GroundExtent(double South, double West, double North, double East)
{
    /// <summary>Beyond its edge a map is still of use to so many degrees: some hundreds of metres.</summary>
    public const double Beside = 0.005;

    /// <summary>The extent of some points.</summary>
    /// <param name="points">The points; at least one.</param>
    /// <exception cref="InvalidOperationException">There is none.</exception>
    public static GroundExtent Of(IReadOnlyCollection<Position> points) =>
        new(
            points.Min(point => point.Latitude),
            points.Min(point => point.Longitude),
            points.Max(point => point.Latitude),
            points.Max(point => point.Longitude)
        );

    /// <summary>Two corners that span it.</summary>
    public IReadOnlyList<Position> Corners => [new(South, West, 0), new(North, East, 0)];

    /// <summary>Whether a point lies on the map or beside it.</summary>
    public bool IsNear(Position point) =>
        point.Latitude >= South - Beside
        && point.Latitude <= North + Beside
        && point.Longitude >= West - Beside
        && point.Longitude <= East + Beside;
}

/// <summary>A map of a piece of ground: a reserve, a park, a wood.</summary>
/// <param name="Title">What it is called.</param>
/// <param name="Features">What lies on it; at least one thing.</param>
/// <param name="Extent">How far it reaches.</param>
public sealed record GroundMap(string Title, IReadOnlyList<GeoFeature> Features, GroundExtent Extent)
{
    // What is wider is no ground that one walks, and is drawn out of true.
    private const double MostDegrees = 1;

    private const int LongestTitle = 100;

    /// <summary>Reads a map.</summary>
    /// <param name="title">What it is to be called; where empty, as its bounds are, or the file.</param>
    /// <param name="fileName">The name of the file.</param>
    /// <param name="geoJson">What stands in it (RFC 7946).</param>
    /// <returns>The map; or what is wrong, at <c>title</c> or <c>file</c>.</returns>
    public static Outcome<GroundMap> Read(string title, string fileName, string geoJson)
    {
        title = title.Trim();
        if (title.Length > LongestTitle)
            return Fault.AtField("title", title, $"Give it a name of up to {LongestTitle} characters.");
        var read = GeoFeatures.Read(geoJson);
        if (!read.Has(out var features))
            return Outcome.Faulty<GroundMap>([.. read.Faults]);
        if (features.Count == 0)
            return new Fault("file", "There is nothing on this map; it takes at least one feature with a place.");
        var extent = GroundExtent.Of([.. features.SelectMany(feature => feature.Lines).SelectMany(line => line)]);
        if (extent.North - extent.South > MostDegrees || extent.East - extent.West > MostDegrees)
            return new Fault(
                "file",
                $"This map is over {MostDegrees} degree across. Here it is of ground that one walks: a reserve, a wood. Cut it out."
            );
        return Outcome.Of(new GroundMap(title.Length > 0 ? title : Named(features, fileName), features, extent));
    }

    private static string Named(IReadOnlyList<GeoFeature> features, string fileName)
    {
        var bounds = features.FirstOrDefault(feature => feature.Kind == GroundKinds.Edge && feature.Name.Length > 0);
        var name = bounds?.Name ?? System.IO.Path.GetFileNameWithoutExtension(fileName);
        return name.Length > LongestTitle ? name[..LongestTitle] : name;
    }
}
