using System.Globalization;
using System.Text.Json;
using CsvHelper;
using NetTopologySuite.Features;
using NetTopologySuite.Geometries;
using NetTopologySuite.IO.Converters;
using NodaTime.Text;

namespace VerdantSieve.Core.Formats.Notebook;

/// <summary>Trees as tables and maps that other programs read.</summary>
public static class TreeFiles
{
    // The middle of the numbers is kept to about ten centimetres.
    private const int Decimals = 6;

    private static readonly JsonSerializerOptions Json = new() { WriteIndented = true, Converters = { new GeoJsonConverterFactory() } };

    /// <summary>One row for each tree, as CSV (RFC 4180).</summary>
    public static string Csv(IEnumerable<TreeRecord> trees)
    {
        var text = new StringWriter(CultureInfo.InvariantCulture);
        using var csv = new CsvWriter(text, CultureInfo.InvariantCulture);
        foreach (var column in Columns)
            csv.WriteField(column.Name);
        csv.NextRecord();
        foreach (var tree in trees)
        {
            foreach (var column in Columns)
                csv.WriteField(Unspelt(column.Of(tree)));
            csv.NextRecord();
        }
        csv.Flush();
        return text.ToString();
    }

    private static readonly (string Name, Func<TreeRecord, string> Of)[] Columns =
    [
        ("id", tree => tree.Id),
        ("tag", tree => tree.Details.Tag),
        ("place", tree => tree.Place),
        ("country", tree => tree.Country ?? ""),
        ("latitude", tree => N(tree.At?.Latitude)),
        ("longitude", tree => N(tree.At?.Longitude)),
        ("elevation", tree => tree.IsBlurred ? "" : N(tree.At?.Elevation)),
        ("date", tree => Day(tree)),
        ("name", tree => tree.Stands?.Written ?? ""),
        ("rank", tree => tree.Stands?.Rank?.Word() ?? ""),
        ("probability", tree => N(tree.Stands?.Probability)),
        ("by", tree => tree.Stands?.By ?? ""),
        ("visits", tree => tree.Visits.Count.ToString(CultureInfo.InvariantCulture)),
        ("girth_cm", tree => N(tree.Details.Girth?.Centimetres)),
        ("height_m", tree => N(tree.Details.Height?.Metres)),
        ("readings", tree => string.Join("; ", tree.Visits.SelectMany(visit => visit.Readings).Select(reading => reading.Words))),
        ("notes", tree => string.Join("; ", tree.Visits.Select(visit => visit.Notes).Where(note => note.Length > 0))),
    ];

    // A spreadsheet would work out what begins like a formula.
    private static string Unspelt(string text) => text.Length > 0 && text[0] is '=' or '+' or '@' ? $"'{text}" : text;

    /// <summary>The trees that have a position, as a GeoJSON feature collection (RFC 7946).</summary>
    public static string GeoJson(IEnumerable<TreeRecord> trees)
    {
        var features = new FeatureCollection();
        foreach (var tree in trees)
            if (tree.At is { } at)
                features.Add(new Feature(new Point(Rounded(at.Longitude), Rounded(at.Latitude)), AttributesOf(tree)));
        return JsonSerializer.Serialize(features, Json);
    }

    private static AttributesTable AttributesOf(TreeRecord tree)
    {
        var attributes = new AttributesTable();
        foreach (var column in Columns.Where(column => column.Name is not ("latitude" or "longitude" or "readings" or "notes")))
            if (column.Of(tree) is { Length: > 0 } value)
                attributes.Add(column.Name, value);
        return attributes;
    }

    /// <summary>The trees that have a position, as waypoints.</summary>
    public static string Gpx(IEnumerable<TreeRecord> trees) =>
        GpxFiles.Write(
            trees
                .Where(tree => tree.At is not null)
                .Select(tree => new GpxPlace(tree.Called, tree.At!.Value, tree.Stands?.Written ?? "still open")),
            []
        );

    private static double Rounded(double degrees) => Math.Round(degrees, Decimals);

    internal static string N(double? value) =>
        value is { } number ? Math.Round(number, Decimals).ToString(CultureInfo.InvariantCulture) : "";

    internal static string Day(TreeRecord tree) => tree.Day is { } day ? LocalDatePattern.Iso.Format(day) : "";
}
