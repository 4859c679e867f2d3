using System.Globalization;
using System.IO.Compression;
using System.Xml.Linq;
using CsvHelper;
using CsvHelper.Configuration;
using NodaTime.Text;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Trees;

namespace VerdantSieve.Core.Formats.Notebook;

/// <summary>Trees as a Darwin Core archive: occurrences, with the history of their identification and what was measured.</summary>
/// <remarks>Darwin Core (TDWG standard 450) and its text guidelines: a zip of tab-separated tables, described by <c>meta.xml</c>. Every
/// visit is an occurrence of its own; those of one tree share an <c>organismID</c>.</remarks>
public static class DarwinCore
{
    /// <summary>The media type of what is written.</summary>
    public const string MediaType = "application/zip";

    /// <summary>What the terms begin with.</summary>
    public const string Terms = "http://rs.tdwg.org/dwc/terms/";

    private const string Text = "http://rs.tdwg.org/dwc/text/";

    private sealed record Table(string File, string RowType, string[] Columns, IEnumerable<string?[]> Rows);

    // Every table begins with the occurrence its rows belong to.
    private static readonly string[] Occurrence =
    [
        "occurrenceID",
        "organismID",
        "basisOfRecord",
        "recordedBy",
        "eventDate",
        "locality",
        "decimalLatitude",
        "decimalLongitude",
        "geodeticDatum",
        "coordinateUncertaintyInMeters",
        "minimumElevationInMeters",
        "maximumElevationInMeters",
        "dataGeneralizations",
        "organismName",
        "organismQuantity",
        "organismQuantityType",
        "sex",
        "establishmentMeans",
        "scientificName",
        "taxonRank",
        "identificationQualifier",
        "identifiedBy",
        "occurrenceRemarks",
    ];

    private static readonly string[] Identification =
    [
        "occurrenceID",
        "identificationID",
        "scientificName",
        "taxonRank",
        "identificationQualifier",
        "identifiedBy",
        "dateIdentified",
        "identificationRemarks",
        "identificationVerificationStatus",
    ];

    private static readonly string[] Measurement =
    [
        "occurrenceID",
        "measurementType",
        "measurementValue",
        "measurementUnit",
        "measurementAccuracy",
        "measurementMethod",
        "measurementDeterminedDate",
        "measurementDeterminedBy",
    ];

    /// <summary>All terms that are written.</summary>
    public static IEnumerable<string> Written => Occurrence.Concat(Identification).Concat(Measurement).Distinct();

    /// <summary>Writes the archive.</summary>
    public static byte[] Write(IReadOnlyList<TreeRecord> trees)
    {
        Table[] tables =
        [
            new("occurrence.txt", "Occurrence", Occurrence, trees.SelectMany(Occurrences)),
            new("identification.txt", "Identification", Identification, trees.SelectMany(Identifications)),
            new("measurementorfact.txt", "MeasurementOrFact", Measurement, trees.SelectMany(Measurements)),
        ];
        using var file = new MemoryStream();
        using (var zip = new ZipArchive(file, ZipArchiveMode.Create, leaveOpen: true))
        {
            Put(zip, "meta.xml", Meta(tables).ToString());
            foreach (var table in tables)
                Put(zip, table.File, Rows(table));
        }
        return file.ToArray();
    }

    private static void Put(ZipArchive zip, string name, string text)
    {
        using var writer = new StreamWriter(zip.CreateEntry(name).Open());
        writer.Write(text);
    }

    private static XElement Meta(Table[] tables)
    {
        XNamespace space = Text;
        return new XElement(
            space + "archive",
            tables.Select(
                (table, at) =>
                    new XElement(
                        space + (at == 0 ? "core" : "extension"),
                        new XAttribute("encoding", "UTF-8"),
                        new XAttribute("fieldsTerminatedBy", "\\t"),
                        new XAttribute("linesTerminatedBy", "\\n"),
                        new XAttribute("fieldsEnclosedBy", ""),
                        new XAttribute("ignoreHeaderLines", "1"),
                        new XAttribute("rowType", Terms + table.RowType),
                        new XElement(space + "files", new XElement(space + "location", table.File)),
                        new XElement(space + (at == 0 ? "id" : "coreid"), new XAttribute("index", 0)),
                        table.Columns.Select(
                            (term, column) =>
                                new XElement(space + "field", new XAttribute("index", column), new XAttribute("term", Terms + term))
                        )
                    )
            )
        );
    }

    private static string Rows(Table table)
    {
        var text = new StringWriter(CultureInfo.InvariantCulture) { NewLine = "\n" };
        using var csv = new CsvWriter(
            text,
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                Delimiter = "\t",
                NewLine = "\n",
                Mode = CsvMode.NoEscape,
            }
        );
        foreach (var row in table.Rows.Prepend(table.Columns))
        {
            foreach (var value in row)
                csv.WriteField(OneLine(value ?? ""));
            csv.NextRecord();
        }
        csv.Flush();
        return text.ToString();
    }

    // Nothing is enclosed, so what would part fields or lines is a blank.
    private static string OneLine(string text) => text.ReplaceLineEndings(" ").Replace('\t', ' ');

    private static IEnumerable<string?[]> Occurrences(TreeRecord tree)
    {
        var stands = tree.Stands;
        foreach (var visit in tree.Visits)
            yield return
            [
                visit.Id,
                tree.Id,
                "HumanObservation",
                visit.By,
                visit.Day is { } day ? LocalDatePattern.Iso.Format(day) : "",
                tree.Place,
                TreeFiles.N(tree.At?.Latitude),
                TreeFiles.N(tree.At?.Longitude),
                tree.At is null ? "" : "EPSG:4326",
                tree.IsBlurred ? TreeFiles.N(Blurred.UncertaintyMetres) : "",
                tree.IsBlurred ? "" : TreeFiles.N(tree.At?.Elevation),
                tree.IsBlurred ? "" : TreeFiles.N(tree.At?.Elevation),
                tree.IsBlurred ? "Position given as the middle of a square of a tenth of a degree." : "",
                tree.Details.Tag,
                tree.Details.Individuals.ToString(CultureInfo.InvariantCulture),
                "individuals",
                tree.Details.Sex?.Word(),
                Establishment(tree.Planted),
                stands?.Name,
                RankOf(stands?.Rank),
                QualifierOf(stands),
                stands?.By,
                string.Join("; ", visit.Readings.Select(reading => reading.Words).Append(visit.Notes).Where(words => words.Length > 0)),
            ];
    }

    private static string Establishment(bool? planted) =>
        planted switch
        {
            // The term's vocabulary has no word for a tree that was planted; such a one was brought there.
            true => "introduced",
            false => "",
            null => "",
        };

    private static IEnumerable<string?[]> Identifications(TreeRecord tree)
    {
        if (tree.Visits.Count == 0)
            yield break;
        var stands = tree.Stands;
        foreach (var line in tree.History.Where(line => line.Kind is OpinionKind.Determined or OpinionKind.Agreed or OpinionKind.Doubted))
            yield return
            [
                tree.Visits[^1].Id,
                $"{tree.Id}-{line.Id.ToString(CultureInfo.InvariantCulture)}",
                line.Name,
                RankOf(line.Rank),
                QualifierOf(line),
                line.By,
                InstantPattern.ExtendedIso.Format(line.At)[..10],
                line.Reasons,
                StatusOf(line, stands),
            ];
    }

    private static string StatusOf(Opinion line, Opinion? stands) =>
        line.Kind switch
        {
            OpinionKind.Determined => line == stands ? "stands" : "superseded",
            OpinionKind.Agreed => "agreed",
            OpinionKind.Doubted => "doubted",
            OpinionKind.Remarked => "remarked",
            OpinionKind.Reopened => "reopened",
        };

    private static string RankOf(TaxonRank? rank) =>
        rank switch
        {
            TaxonRank.Variety => "variety",
            TaxonRank.Species => "species",
            TaxonRank.Aggregate => "speciesAggregate",
            TaxonRank.Group => "infragenericname",
            TaxonRank.Genus => "genus",
            TaxonRank.Family => "family",
            null => "",
        };

    private static string QualifierOf(Opinion? line) =>
        line?.Qualifier is { } qualifier ? $"{qualifier.Word()}. {line.Name.Split(' ')[^1]}" : "";

    private static IEnumerable<string?[]> Measurements(TreeRecord tree)
    {
        if (tree.Visits.Count == 0)
            yield break;
        var last = tree.Visits[^1];
        if (tree.Details.Girth is { } girth)
            yield return Row(last, "girth at breast height", TreeFiles.N(girth.Centimetres), "cm", "", "tape");
        if (tree.Details.Height is { } height)
            yield return Row(
                last,
                "height",
                TreeFiles.N(height.Metres),
                "m",
                TreeFiles.N(height.Error),
                $"{height.By.Word()}: {height.Arithmetic}"
            );
        foreach (var visit in tree.Visits)
            foreach (var reading in visit.Readings)
                yield return Row(visit, reading.Character, reading.Words, "", "", "");
    }

    private static string?[] Row(RecordedVisit visit, string type, string value, string unit, string accuracy, string method) =>
        [visit.Id, type, value, unit, accuracy, method, visit.Day is { } day ? LocalDatePattern.Iso.Format(day) : "", visit.By];
}
