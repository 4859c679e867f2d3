using System.Globalization;
using System.IO.Compression;
using System.Text;
using System.Text.Json;
using System.Xml;
using System.Xml.Linq;
using CsvHelper;
using CsvHelper.Configuration;
using NetTopologySuite.Features;
using NetTopologySuite.IO.Converters;

namespace VerdantSieve.Core.Formats.Notebook;

/// <summary>Trees of somebody else's file as a table: whatever it was, it has named columns and rows.</summary>
/// <param name="Columns">The names of the columns.</param>
/// <param name="Rows">The rows, each as long as there are columns.</param>
public sealed record TreeTable(IReadOnlyList<string> Columns, IReadOnlyList<IReadOnlyList<string>> Rows)
{
    /// <summary>The most rows that are read, and the most columns.</summary>
    public const int MostRows = 5000,
        MostColumns = 200;

    private const string North = "latitude",
        East = "longitude",
        Up = "elevation";

    // A file of an archive that unpacks to more is not read.
    private const long LargestTable = 20_000_000;

    /// <summary>The kinds of files that are read, by the ends of their names.</summary>
    public static IReadOnlyList<string> Endings { get; } = [".csv", ".txt", ".tsv", ".geojson", ".json", ".gpx", ".zip"];

    /// <summary>Reads a file; its name says what it is.</summary>
    /// <param name="name">The name.</param>
    /// <param name="bytes">What it holds.</param>
    public static Outcome<TreeTable> Read(string name, byte[] bytes)
    {
        var ending = Path.GetExtension(name).ToLowerInvariant();
        try
        {
            var read = ending switch
            {
                ".csv" => Separated(Text(bytes), ","),
                ".txt" or ".tsv" => Separated(Text(bytes), "\t"),
                ".geojson" or ".json" => OfGeoJson(Text(bytes)),
                ".gpx" => OfGpx(Text(bytes)),
                ".zip" => OfArchive(bytes),
                _ => Fault.AtField("file", name, $"Files that end in {string.Join(", ", Endings)} are read."),
            };
            return read.Then(Checked);
        }
        catch (Exception wrong)
            when (wrong
                    is CsvHelperException
                        or JsonException
                        or XmlException
                        or InvalidDataException
                        or DecoderFallbackException
                        or ArgumentException
                        or NotSupportedException
                        or InvalidOperationException
            )
        {
            return new Fault("file", "This file can’t be read as what its name says it is.");
        }
    }

    private static Outcome<TreeTable> Checked(TreeTable table)
    {
        if (table.Rows.Count == 0)
            return new Fault("file", "There is no tree in this file.");
        if (table.Rows.Count > MostRows)
            return new Fault("file", FormattableString.Invariant($"At most {MostRows} trees are taken at once; part the file."));
        return table.Columns.Count <= MostColumns
            ? table
            : new Fault("file", FormattableString.Invariant($"At most {MostColumns} columns are read."));
    }

    private static string Text(byte[] bytes) =>
        new UTF8Encoding(encoderShouldEmitUTF8Identifier: false, throwOnInvalidBytes: true).GetString(bytes).TrimStart('\uFEFF');

    private static Outcome<TreeTable> Separated(string text, string delimiter)
    {
        var enclosed = delimiter != "\t";
        using var csv = new CsvReader(
            new StringReader(text),
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                Delimiter = delimiter,
                Mode = enclosed ? CsvMode.RFC4180 : CsvMode.NoEscape,
                BadDataFound = null,
                MissingFieldFound = null,
            }
        );
        if (!csv.Read() || !csv.ReadHeader() || csv.HeaderRecord is not { Length: > 0 } header)
            return new Fault("file", "The first line has to name the columns.");
        var rows = new List<IReadOnlyList<string>>();
        while (csv.Read() && rows.Count <= MostRows)
            rows.Add([.. header.Select((_, at) => csv.TryGetField<string>(at, out var value) ? value ?? "" : "")]);
        return new TreeTable([.. header.Select(column => column.Trim())], rows);
    }

    private static Outcome<TreeTable> OfGeoJson(string text)
    {
        var features = JsonSerializer.Deserialize<FeatureCollection>(
            text,
            new JsonSerializerOptions { Converters = { new GeoJsonConverterFactory() } }
        );
        IFeature[] points = [.. (features ?? []).Where(feature => feature.Geometry is NetTopologySuite.Geometries.Point)];
        string[] names = [.. points.SelectMany(feature => feature.Attributes?.GetNames() ?? []).Distinct().Except([North, East, Up])];
        return new TreeTable(
            [.. names, North, East],
            [
                .. points.Select(feature =>
                    (IReadOnlyList<string>)
                        [
                            .. names.Select(name =>
                                Convert.ToString(feature.Attributes?.GetOptionalValue(name), CultureInfo.InvariantCulture) ?? ""
                            ),
                            N(feature.Geometry.Coordinate.Y),
                            N(feature.Geometry.Coordinate.X),
                        ]
                ),
            ]
        );
    }

    private static Outcome<TreeTable> OfGpx(string text) =>
        GpxFiles
            .Read(text)
            .Map(gpx => new TreeTable(
                ["name", "description", North, East, Up],
                [
                    .. gpx.Places.Select(place =>
                        (IReadOnlyList<string>)[place.Name, place.Text, N(place.At.Latitude), N(place.At.Longitude), N(place.At.Elevation)]
                    ),
                ]
            ));

    // The core table of a Darwin Core archive, as its meta.xml describes it.
    private static Outcome<TreeTable> OfArchive(byte[] bytes)
    {
        using var zip = new ZipArchive(new MemoryStream(bytes), ZipArchiveMode.Read);
        if (zip.GetEntry("meta.xml") is not { } described)
            return new Fault("file", "A Darwin Core archive has a meta.xml; this one has none.");
        using var reader = XmlReader.Create(
            new StringReader(Unpacked(described)),
            new XmlReaderSettings { DtdProcessing = DtdProcessing.Prohibit, XmlResolver = null }
        );
        var core = XDocument.Load(reader).Root?.Elements().FirstOrDefault(element => element.Name.LocalName == "core");
        var file = core?.Descendants().FirstOrDefault(element => element.Name.LocalName == "location")?.Value.Trim();
        if (core is null || file is null || zip.GetEntry(file) is not { } entry)
            return new Fault("file", "The meta.xml of this archive names no core table that is in it.");
        var table = Separated(Unpacked(entry), (string?)core.Attribute("fieldsTerminatedBy") is "," ? "," : "\t");
        var terms = core.Elements()
            .Where(element => element.Name.LocalName == "field")
            .Select(field => ((int?)field.Attribute("index"), ((string?)field.Attribute("term"))?.Split('/')[^1]))
            .Where(field => field is ({ }, { }))
            .ToDictionary(field => field.Item1!.Value, field => field.Item2!);
        return table.Map(read => read with { Columns = [.. read.Columns.Select((column, at) => terms.GetValueOrDefault(at, column))] });
    }

    private static string Unpacked(ZipArchiveEntry entry)
    {
        if (entry.Length > LargestTable)
            throw new InvalidDataException("A table of the archive is too large.");
        using var stream = entry.Open();
        using var reader = new StreamReader(stream);
        var room = new char[LargestTable];
        // The archive's own word for how long it is may be wrong.
        var length = reader.ReadBlock(room, 0, room.Length);
        return length < room.Length ? new string(room, 0, length) : throw new InvalidDataException("A table of the archive is too large.");
    }

    private static string N(double value) => value.ToString("R", CultureInfo.InvariantCulture);
}
