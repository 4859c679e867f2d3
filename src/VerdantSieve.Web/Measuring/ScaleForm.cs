using System.Globalization;
using VerdantSieve.Core;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Imaging.Tracing;

namespace VerdantSieve.Web.Measuring;

/// <summary>The scale and the cuts as the board sends them with a picture: places as <c>x,y;x,y</c>, in its pixels.</summary>
public static class ScaleForm
{
    private const int MostCuts = 40;

    /// <summary>The scale; or what is wrong with it.</summary>
    public static Outcome<PictureScale> Read(IFormCollection form)
    {
        if (Places(form["points"]) is not { } places)
            return Fault.AtField("scale", null, "Set the scale first: two places on a ruler, or the four corners of a sheet.");
        var (width, height) = (Number(form["width"]), Number(form["height"]));
        return places.Count switch
        {
            2 => PictureScale.Between(places[0], places[1], width),
            4 => PictureScale.Sheet(places, width, height),
            _ => Fault.AtField("scale", null, "A ruler has two places, a sheet four corners."),
        };
    }

    /// <summary>Where touching leaves are parted.</summary>
    public static IReadOnlyList<(Point From, Point To)> Cuts(IFormCollection form) =>
        Places(form["cuts"]) is { } places
            ? [.. places.Chunk(2).Where(pair => pair.Length == 2).Take(MostCuts).Select(pair => (pair[0], pair[1]))]
            : [];

    private static double Number(string? text) =>
        double.TryParse(text?.Trim().Replace(',', '.'), NumberStyles.Float, CultureInfo.InvariantCulture, out var number)
            ? number
            : double.NaN;

    private static List<Point>? Places(string? text)
    {
        if (string.IsNullOrWhiteSpace(text) || text.Length > 4000)
            return null;
        var places = new List<Point>();
        foreach (var pair in text.Split(';', StringSplitOptions.RemoveEmptyEntries))
        {
            var parts = pair.Split(',');
            if (parts.Length != 2)
                return null;
            var place = new Point(Number(parts[0]), Number(parts[1]));
            if (!double.IsFinite(place.X) || !double.IsFinite(place.Y) || Math.Abs(place.X) > 1e5 || Math.Abs(place.Y) > 1e5)
                return null;
            places.Add(place);
        }
        return places;
    }
}
