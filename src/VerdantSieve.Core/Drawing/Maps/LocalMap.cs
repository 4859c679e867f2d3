using ProjNet.CoordinateSystems;
using ProjNet.CoordinateSystems.Transformations;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Drawing.Maps;

/// <summary>A map of a small piece of ground, north up and true to scale: a reserve, a wood, a street.</summary>
/// <remarks>Transverse Mercator in the UTM zone of its middle, through the ProjNET library; over the width of a reserve lengths are right
/// within one in a thousand.</remarks>
public sealed class LocalMap
{
    // A map of one tree still shows so many metres around it; no more than a quarter of the width is for the scale bar.
    private const double LeastSpan = 200,
        Margin = 0.08,
        BarShare = 0.25;

    private const double DegreesOfAZone = 6,
        WestOfZoneOne = -180;
    private const int Zones = 60;

    private readonly MathTransform there,
        back;
    private readonly double left,
        top,
        scale;

    private LocalMap(IReadOnlyList<Position> points, double width, double height)
    {
        (Width, Height) = (width, height);
        var middle = (points.Min(point => point.Longitude) + points.Max(point => point.Longitude)) / 2;
        var zone = Math.Clamp((int)Math.Floor((middle - WestOfZoneOne) / DegreesOfAZone) + 1, 1, Zones);
        var utm = ProjectedCoordinateSystem.WGS84_UTM(zone, points.Average(point => point.Latitude) >= 0);
        there = new CoordinateTransformationFactory().CreateFromCoordinateSystems(GeographicCoordinateSystem.WGS84, utm).MathTransform;
        back = there.Inverse();
        var metres = points.Select(Metres).ToArray();
        var (west, east) = (metres.Min(point => point.X), metres.Max(point => point.X));
        var (south, north) = (metres.Min(point => point.Y), metres.Max(point => point.Y));
        scale = Math.Min(
            width / (Math.Max(LeastSpan, east - west) * (1 + 2 * Margin)),
            height / (Math.Max(LeastSpan, north - south) * (1 + 2 * Margin))
        );
        left = (west + east) / 2 - width / 2 / scale;
        top = (south + north) / 2 + height / 2 / scale;
    }

    /// <summary>A map that shows some points.</summary>
    /// <param name="points">The points; at least one.</param>
    /// <param name="width">How wide it is drawn.</param>
    /// <param name="height">How high it is drawn.</param>
    /// <exception cref="ArgumentException">There is no point, or no room.</exception>
    public static LocalMap Of(IReadOnlyList<Position> points, double width, double height)
    {
        if (points.Count == 0)
            throw new ArgumentException("A map shows at least one point.", nameof(points));
        return width > 0 && height > 0
            ? new LocalMap(points, width, height)
            : throw new ArgumentException("A map is wider and higher than nothing.", nameof(width));
    }

    /// <summary>How wide and how high it is drawn.</summary>
    public double Width { get; }

    /// <inheritdoc cref="Width"/>
    public double Height { get; }

    /// <summary>Where a point lies on the map, from its upper left corner.</summary>
    public Point At(Position position)
    {
        var metres = Metres(position);
        return new Point((metres.X - left) * scale, (top - metres.Y) * scale);
    }

    /// <summary>The point that lies somewhere on the map, at the height given.</summary>
    /// <param name="at">Where on the map.</param>
    /// <param name="elevation">Metres above the sea.</param>
    public Position PositionAt(Point at, double elevation)
    {
        var (east, north) = back.Transform(at.X / scale + left, top - at.Y / scale);
        return new Position(north, east, elevation);
    }

    /// <summary>A round length for the scale bar, in metres, and how long it is drawn.</summary>
    public (double Metres, double Drawn) Bar
    {
        get
        {
            var most = Width * BarShare / scale;
            var power = Math.Pow(10, Math.Floor(Math.Log10(most)));
            var metres = new[] { 5, 2, 1 }.Select(step => step * power).First(length => length <= most);
            return (metres, metres * scale);
        }
    }

    private Point Metres(Position position)
    {
        var (east, north) = there.Transform(position.Longitude, position.Latitude);
        return new Point(east, north);
    }
}
