using System.Globalization;
using System.Xml;
using NetTopologySuite.IO;
using NodaTime;
using Position = VerdantSieve.Core.Seasons.Position;

namespace VerdantSieve.Core.Formats.Notebook;

/// <summary>A point of a way, with the moment it was passed where the device kept it.</summary>
/// <param name="At">Where.</param>
/// <param name="Passed">When.</param>
public sealed record GpxPoint(Position At, Instant? Passed);

/// <summary>A waypoint.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="At">Where.</param>
/// <param name="Text">What is said of it.</param>
public sealed record GpxPlace(string Name, Position At, string Text);

/// <summary>What a GPX file holds.</summary>
/// <param name="Way">The points of all its tracks, or of its routes where it has none.</param>
/// <param name="Places">Its waypoints.</param>
public sealed record GpxContent(IReadOnlyList<GpxPoint> Way, IReadOnlyList<GpxPlace> Places);

/// <summary>Ways and waypoints as GPX 1.1 (Topografix), through the NetTopologySuite library.</summary>
public static class GpxFiles
{
    /// <summary>The media type of what is written.</summary>
    public const string MediaType = "application/gpx+xml";

    /// <summary>Reads a file.</summary>
    /// <param name="text">The file's text.</param>
    public static Outcome<GpxContent> Read(string text)
    {
        try
        {
            // Nothing outside the file is fetched, and nothing in it is expanded.
            using var reader = XmlReader.Create(
                new StringReader(text),
                new XmlReaderSettings { DtdProcessing = DtdProcessing.Prohibit, XmlResolver = null }
            );
            var file = GpxFile.ReadFrom(reader, new GpxReaderSettings { TimeZoneInfo = TimeZoneInfo.Utc });
            var walked = file.Tracks.SelectMany(track => track.Segments).SelectMany(segment => segment.Waypoints);
            var way = file.Tracks.Count > 0 ? walked : file.Routes.SelectMany(route => route.Waypoints);
            return new GpxContent(
                [.. way.Select(point => new GpxPoint(PositionOf(point), MomentOf(point)))],
                [
                    .. file.Waypoints.Select(point => new GpxPlace(
                        point.Name ?? "",
                        PositionOf(point),
                        point.Description ?? point.Comment ?? ""
                    )),
                ]
            );
        }
        catch (Exception wrong)
            when (wrong is XmlException or FormatException or ArgumentException or InvalidOperationException or OverflowException)
        {
            return new Fault("file", $"This is no GPX file that can be read: {wrong.Message}");
        }
    }

    /// <summary>Writes waypoints and a way.</summary>
    /// <param name="places">The waypoints.</param>
    /// <param name="way">The way; none where it is empty.</param>
    public static string Write(IEnumerable<GpxPlace> places, IReadOnlyList<GpxPoint> way)
    {
        var file = new GpxFile { Metadata = new GpxMetadata("Verdant Sieve") };
        foreach (var place in places)
            file.Waypoints.Add(PointOf(place.At).WithName(place.Name).WithDescription(place.Text.Length > 0 ? place.Text : null));
        if (way.Count > 0)
            file.Tracks.Add(
                new GpxTrack().WithSegments([
                    new GpxTrackSegment(
                        new ImmutableGpxWaypointTable(
                            way.Select(point => PointOf(point.At).WithTimestampUtc(point.Passed?.ToDateTimeUtc()))
                        ),
                        null
                    ),
                ])
            );
        var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var writer = XmlWriter.Create(text, new XmlWriterSettings { Indent = true, OmitXmlDeclaration = true }))
            file.WriteTo(writer, new GpxWriterSettings { TimeZoneInfo = TimeZoneInfo.Utc });
        return "<?xml version=\"1.0\" encoding=\"utf-8\"?>\n" + text;
    }

    private static GpxWaypoint PointOf(Position at) =>
        new GpxWaypoint(new GpxLongitude(at.Longitude), new GpxLatitude(at.Latitude)).WithElevationInMeters(at.Elevation);

    private static Position PositionOf(GpxWaypoint point) =>
        new(point.Latitude, point.Longitude, Math.Clamp(point.ElevationInMeters ?? 0, -500, 9000));

    private static Instant? MomentOf(GpxWaypoint point) =>
        point.TimestampUtc is { } at ? Instant.FromDateTimeUtc(DateTime.SpecifyKind(at, DateTimeKind.Utc)) : null;
}
