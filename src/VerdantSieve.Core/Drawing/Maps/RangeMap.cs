using System.Globalization;
using System.Text;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Drawing.Maps;

/// <summary>A map of one part of the world on which ranges are shown: the outline of each botanical country in it.</summary>
/// <remarks>The outlines are simplified from open boundaries (see scripts/boundaries.mjs) and good for a map of a hand's width, not for
/// finding a border.</remarks>
public sealed class RangeMap
{
    private const double Hundredths = 100;

    // How wide a map is drawn.
    private const double MapWidth = 480;

    private readonly AlbersProjection projection;
    private readonly double left,
        top,
        scale;

    private RangeMap(string id, string name, AlbersProjection projection, Corner southWest, Corner northEast, string[] codes)
    {
        (Id, Name) = (id, name);
        this.projection = projection;
        // The frame is what the corners and the middles of the edges take up.
        Point[] edge = [.. Edge(southWest, northEast).Select(corner => projection.Project(corner.Latitude, corner.Longitude))];
        (left, top) = (edge.Min(point => point.X), edge.Max(point => point.Y));
        scale = MapWidth / (edge.Max(point => point.X) - left);
        Height = (top - edge.Min(point => point.Y)) * scale;
        Countries =
        [
            .. codes
                .Where(Outlines.ByCode.ContainsKey)
                .Select(code => new MapCountry(code, Outlines.ByCode[code], PathOf(Outlines.ByCode[code]))),
        ];
    }

    private readonly record struct Corner(double Latitude, double Longitude);

    /// <summary>North America, as far south as the northern edge of Mexico.</summary>
    public static RangeMap America { get; } =
        new(
            "america",
            "North America",
            new AlbersProjection(29.5, 50, 38, -97),
            new Corner(25, -121),
            new Corner(58, -60),
            [
                .. new[] { "subarctic-america", "western-canada", "eastern-canada", "northwestern-usa", "north-central-usa" }.SelectMany(
                    Blocks.Of
                ),
                .. new[] { "northeastern-usa", "southwestern-usa", "south-central-usa", "southeastern-usa" }.SelectMany(Blocks.Of),
                "MEXICO",
            ]
        );

    /// <summary>Europe, with Turkey and the northern edge of Africa.</summary>
    public static RangeMap Europe { get; } =
        new(
            "europe",
            "Europe",
            new AlbersProjection(40, 60, 50, 12),
            new Corner(36, -9),
            new Corner(66, 33),
            [
                .. new[] { "northern-europe", "middle-europe", "southwestern-europe", "southeastern-europe" }.SelectMany(Blocks.Of),
                .. new[] { "BLT", "BLR", "UKR", "TUR", "MOR", "ALG", "TUN", "RUSSIA" },
            ]
        );

    /// <summary>All maps, in the order in which they are shown.</summary>
    public static IReadOnlyList<RangeMap> All { get; } = [America, Europe];

    /// <summary>A short name for addresses and ids.</summary>
    public string Id { get; }

    /// <summary>What it shows, in words.</summary>
    public string Name { get; }

    /// <summary>The width of the drawing.</summary>
    public double Width => MapWidth;

    /// <summary>The height of the drawing.</summary>
    public double Height { get; }

    /// <summary>The countries in it, with their outlines.</summary>
    public IReadOnlyList<MapCountry> Countries { get; }

    /// <summary>Whether it shows the country as one of its own.</summary>
    public bool Shows(string code) => Countries.Any(country => country.Code == code);

    /// <summary>Whether any of the taxa grows in a country that it shows.</summary>
    public bool ShowsAny(IEnumerable<Taxon> taxa) => taxa.Any(taxon => Countries.Any(country => taxon.Distribution.Includes(country.Code)));

    /// <summary>Where a place lies on the drawing: from its upper left corner, down and right being positive.</summary>
    public Point At(Position place) => At(place.Latitude, place.Longitude);

    private Point At(double latitude, double longitude)
    {
        var point = projection.Project(latitude, longitude);
        return new Point((point.X - left) * scale, (top - point.Y) * scale);
    }

    private static IEnumerable<Corner> Edge(Corner southWest, Corner northEast)
    {
        for (var part = 0.0; part <= 1; part += 0.25)
        {
            var longitude = southWest.Longitude + part * (northEast.Longitude - southWest.Longitude);
            yield return new Corner(southWest.Latitude, longitude);
            yield return new Corner(northEast.Latitude, longitude);
        }
    }

    private string PathOf(int[][] rings)
    {
        var path = new StringBuilder();
        foreach (var ring in rings)
        {
            for (var i = 0; i < ring.Length; i += 2)
            {
                var point = At(ring[i + 1] / Hundredths, ring[i] / Hundredths);
                path.Append(i == 0 ? 'M' : 'L').Append(Number(point.X)).Append(' ').Append(Number(point.Y));
            }
            path.Append('Z');
        }
        return path.ToString();
    }

    private static string Number(double value) => value.ToString("0.#", CultureInfo.InvariantCulture);
}

/// <summary>A botanical country on a map.</summary>
/// <param name="Code">Its level 3 code; a name in capitals for land that is only drawn.</param>
/// <param name="Rings">Its parts, each as longitude and latitude in hundredths of a degree by turns.</param>
/// <param name="Path">Its outline as the path data of SVG.</param>
public sealed record MapCountry(string Code, IReadOnlyList<IReadOnlyList<int>> Rings, string Path);
