using System.Globalization;
using System.IO.Compression;
using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using CsvHelper;
using CsvHelper.Configuration;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>A whole flora as a tabular data package: a zip of CSV tables with a description of their columns. It holds all that a flora holds.</summary>
/// <remarks>Frictionless Data: the specifications Data Package, Tabular Data Resource and Table Schema, version 1 (as remembered; the rules that matter
/// are checked in the tests). The tables: <c>about</c>, <c>characters</c>, <c>states</c> and <c>taxa</c>, the last with a column for each character.</remarks>
public static class DataPackage
{
    /// <summary>The most that a package may hold when unpacked, in bytes.</summary>
    public const long Largest = 256L * 1024 * 1024;

    // A cell longer than this is no cell of a flora.
    private const int LongestCell = 20_000;

    private static readonly string[] AboutColumns = ["kind", "id", "text", "latitude", "longitude", "elevation"];
    private static readonly string[] CharacterColumns = ["id", "part", "kind", "unit", "label", "question", "how", "says", "if", "contact", "variety", "one-sided", "effort", "counts", "echo", "planted"];
    private static readonly string[] StateColumns = ["character", "id", "label", "meaning", "confused"];
    private static readonly string[] TaxonColumns =
    [
        "name", "rank", "authority", "family", "group", "common-names", "synonyms", "hybrid-of", "native", "introduced", "settings", "abundance", "aggregate", "windows-at",
        "meaning", "remember", "hazards", "doubles", "provenance"
    ];
    private static readonly HashSet<string> ListColumns = ["common-names", "synonyms", "hybrid-of", "native", "introduced", "settings"];
    private static readonly HashSet<string> PairColumns = ["hazards", "doubles"];

    private static readonly Dictionary<string, string> Described = new()
    {
        ["kind"] = "about: id, title, edition, place, genus, family, aggregate or near-alike; characters: nominal, ordinal, count, measure, presence or season",
        ["states"] = "the states of a character", ["if"] = "asked only where this holds, such as structure!=simple", ["effort"] = "what it costs to look; 1 is a glance",
        ["common-names"] = "parted by semicolons, the most used first", ["native"] = "level 3 codes of the World Geographical Scheme, parted by semicolons; a code may be followed by how common it is there",
        ["hazards"] = "one to a line: poisonous: The seed is poisonous.", ["doubles"] = "one to a line: Quercus robur: acorns without a stalk", ["settings"] = "wild; planted"
    };

    /// <summary>Writes a flora as a package.</summary>
    /// <param name="flora">The flora.</param>
    /// <param name="stream">Where the zip goes.</param>
    /// <param name="template">Writes the vocabulary and only the first two taxa, as an example to fill in.</param>
    public static void Write(Flora flora, Stream stream, bool template = false)
    {
        using var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true);
        Taxon[] taxa = [.. template ? flora.Taxa.Take(2) : flora.Taxa];
        Table(zip, "about", AboutColumns, AboutRows(flora.About));
        Table(zip, "characters", CharacterColumns, flora.Characters.Select(CharacterRow));
        Table(zip, "states", StateColumns, flora.Characters.OfType<StateCharacter>().SelectMany(StateRows));
        string[] columns = [.. TaxonColumns, .. flora.Characters.Select(character => character.Id)];
        Table(zip, "taxa", columns, taxa.Select(taxon => TaxonRow(taxon, flora)));
        using var descriptor = new StreamWriter(zip.CreateEntry("datapackage.json").Open());
        descriptor.Write(Descriptor(flora, columns));
    }

    /// <summary>Reads a package.</summary>
    /// <param name="stream">The zip; must allow seeking.</param>
    /// <param name="progress">Told how many taxa have been taken in.</param>
    /// <param name="cancel">Stops the work.</param>
    /// <returns>The flora, or everything that is wrong, each with its table and line.</returns>
    public static FloraReading Read(Stream stream, IProgress<int>? progress = null, CancellationToken cancel = default)
    {
        try
        {
            using var zip = new ZipArchive(stream, ZipArchiveMode.Read, leaveOpen: true);
            if (zip.Entries.Sum(entry => entry.Length) > Largest) return Refused("the package", $"it unpacks to more than {Largest / 1024 / 1024} MB");
            var about = Rows(zip, "about", cancel);
            var characters = Rows(zip, "characters", cancel);
            var states = Rows(zip, "states", cancel).ToLookup(row => row["character"]);
            var taxa = new List<DraftEntry>();
            foreach (var row in Rows(zip, "taxa", cancel))
            {
                taxa.Add(Taxon(row));
                progress?.Report(taxa.Count);
            }
            return new DraftFlora { About = About(about), Characters = [.. characters.Select(row => Character(row, states))], Taxa = taxa }.Read();
        }
        catch (InvalidDataException) { return Refused("the package", "it is not a zip file, or is cut short"); }
        catch (TableException fault) { return new FloraReading(null, [new Fault(fault.Table, fault.Line, fault.Message)]); }
    }

    private static FloraReading Refused(string file, string message) => new(null, [new Fault(file, 1, message)]);

    private sealed class TableException(string table, int line, string message) : Exception(message)
    {
        public string Table { get; } = table;
        public int Line { get; } = line;
    }

    // Writing.

    private static void Table(ZipArchive zip, string name, IReadOnlyList<string> columns, IEnumerable<IReadOnlyDictionary<string, string>> rows)
    {
        using var text = new StreamWriter(zip.CreateEntry($"{name}.csv").Open(), new UTF8Encoding(encoderShouldEmitUTF8Identifier: false));
        using var csv = new CsvWriter(text, new CsvConfiguration(CultureInfo.InvariantCulture) 
        {
            NewLine = "\r\n", ShouldQuote = cell => cell.Field is { } text && (text.AsSpan().IndexOfAny(",;\"\r\n") >= 0 || text != text.Trim())
        });
        foreach (var column in columns) csv.WriteField(column);
        csv.NextRecord();
        foreach (var row in rows)
        {
            foreach (var column in columns) csv.WriteField(Guarded(row.GetValueOrDefault(column, "")));
            csv.NextRecord();
        }
    }

    // A spreadsheet takes a cell that begins so for a formula; an apostrophe before it says that it is text, and falls away when read.
    private static string Guarded(string cell) => cell.Length > 0 && ("=+-@".Contains(cell[0]) || (cell[0] == '\'' && cell.Length > 1 && "=+-@'".Contains(cell[1]))) ? "'" + cell : cell;

    private static string Unguarded(string cell) => cell.Length > 1 && cell[0] == '\'' && "=+-@'".Contains(cell[1]) ? cell[1..] : cell;

    private static IEnumerable<IReadOnlyDictionary<string, string>> AboutRows(FloraAbout about)
    {
        yield return Row("id", "", about.Id);
        yield return Row("title", "", about.Title);
        yield return Row("edition", "", about.Edition.ToString(CultureInfo.InvariantCulture));
        yield return Place("", about.ReferencePlace);
        foreach (var (id, place) in about.Places) yield return Place(id, place);
        foreach (var (kind, words) in new[] { ("genus", about.GenusWords), ("family", about.FamilyWords), ("aggregate", about.Aggregates), ("near-alike", about.NearAlike) })
            foreach (var (id, text) in words) yield return Row(kind, id, text);

        static Dictionary<string, string> Row(string kind, string id, string text) => new() { ["kind"] = kind, ["id"] = id, ["text"] = text };
        static Dictionary<string, string> Place(string id, Place place) => new(Row("place", id, place.Name))
        {
            ["latitude"] = Number(place.Position.Latitude), ["longitude"] = Number(place.Position.Longitude), ["elevation"] = Number(place.Position.Elevation)
        };
    }

    private static Dictionary<string, string> CharacterRow(Character character) => new()
    {
        ["id"] = character.Id, ["part"] = character.Part, ["label"] = character.Label, ["question"] = character.Question, ["how"] = character.HowToLook, ["says"] = character.Phrase,
        ["kind"] = character switch { StateCharacter { Ordered: true } => "ordinal", StateCharacter => "nominal", CountCharacter => "count", MeasureCharacter => "measure", PresenceCharacter => "presence", _ => "season" },
        ["unit"] = character is MeasureCharacter measure ? measure.Unit switch { MeasureUnit.Centimetre => "cm", MeasureUnit.Metre => "m", _ => "ratio" } : "",
        ["if"] = character.OnlyIf?.ToString() ?? "", ["contact"] = Flag(character.Contact), ["variety"] = Flag(character is StateCharacter { Variety: true }),
        ["one-sided"] = Flag(character is StateCharacter { OneSided: true }), ["effort"] = character.Effort == 1 ? "" : Number(character.Effort), ["counts"] = character.Weight == 1 ? "" : Share(character.Weight),
        ["echo"] = character.Echo is { } echo ? $"{echo.Group} {Share(echo.Share)}" : "", ["planted"] = character.GardenForm is { } garden ? $"{garden.State ?? "absent"} {Share(garden.Share)}" : ""
    };

    private static IEnumerable<IReadOnlyDictionary<string, string>> StateRows(StateCharacter character) => character.States.Select(state => new Dictionary<string, string>
    {
        ["character"] = character.Id, ["id"] = state.Id, ["label"] = state.Label, ["meaning"] = state.Meaning,
        ["confused"] = string.Join(", ", character.Confusions.Where(confusion => confusion.State == state.Id).Select(confusion => $"{confusion.TakenFor} {Share(confusion.Share)}"))
    });

    private static Dictionary<string, string> TaxonRow(Taxon taxon, Flora flora)
    {
        var row = new Dictionary<string, string>
        {
            ["name"] = taxon.Name.Text, ["rank"] = YamlMap.Hyphened(taxon.Rank.ToString()), ["authority"] = taxon.Authority, ["family"] = taxon.Family, ["group"] = taxon.Group ?? "",
            ["common-names"] = List(taxon.CommonNames), ["synonyms"] = List(taxon.Synonyms), ["hybrid-of"] = List(taxon.HybridOf),
            ["native"] = List(taxon.Distribution.Native.Select(Country)), ["introduced"] = List(taxon.Distribution.Introduced.Select(Country)),
            ["settings"] = List(taxon.Settings.Select(setting => YamlMap.Hyphened(setting.ToString()))), ["abundance"] = YamlMap.Hyphened(taxon.Abundance.ToString()),
            ["aggregate"] = taxon.Aggregate ?? "", ["windows-at"] = taxon.WindowsAt ?? "", ["meaning"] = taxon.Meaning, ["remember"] = taxon.Remember,
            ["hazards"] = string.Join('\n', taxon.Hazards.Select(hazard => $"{YamlMap.Hyphened(hazard.Kind.ToString())}: {hazard.Caution}")),
            ["doubles"] = string.Join('\n', taxon.Doubles.Select(look => $"{look.Name}: {look.Mark}")), ["provenance"] = taxon.Provenance
        };
        foreach (var (id, score) in taxon.Scores)
            if (!taxon.Inferred.Contains(id)) row[id] = ScoreNotation.Format(score, flora.Character(id));
        return row;

        string Country(string code) => taxon.Distribution.Local.TryGetValue(code, out var local) ? $"{code} {YamlMap.Hyphened(local.ToString())}" : code;
    }

    private static string List(IEnumerable<string> items) => string.Join("; ", items);
    private static string Flag(bool value) => value ? "true" : "";
    private static string Number(double value) => value.ToString("R", CultureInfo.InvariantCulture);
    private static string Share(double share) => $"{Number(Math.Round(share * 100, 6))} %";

    private static string Descriptor(Flora flora, IReadOnlyList<string> taxonColumns)
    {
        var labels = flora.Characters.ToDictionary(character => character.Id, character => character.Question);
        object Resource(string name, IReadOnlyList<string> columns, string[] key, object[]? foreign = null) => new Dictionary<string, object>
        {
            ["profile"] = "tabular-data-resource", ["name"] = name, ["path"] = $"{name}.csv", ["format"] = "csv", ["mediatype"] = "text/csv", ["encoding"] = "utf-8",
            ["schema"] = new Dictionary<string, object>
            {
                ["fields"] = columns.Select(column => new Dictionary<string, string>
                {
                    ["name"] = column, ["type"] = column is "latitude" or "longitude" or "elevation" or "effort" ? "number" : "string",
                    ["description"] = Described.GetValueOrDefault(column) ?? labels.GetValueOrDefault(column) ?? column.Replace('-', ' ')
                }).ToArray(),
                ["primaryKey"] = key, ["foreignKeys"] = foreign ?? [], ["missingValues"] = new[] { "" }
            }
        };
        return JsonSerializer.Serialize(new Dictionary<string, object>
        {
            ["profile"] = "tabular-data-package", ["name"] = flora.About.Id, ["title"] = flora.About.Title, ["version"] = flora.About.Edition.ToString(CultureInfo.InvariantCulture),
            ["resources"] = new[]
            {
                Resource("about", AboutColumns, ["kind", "id"]), Resource("characters", CharacterColumns, ["id"]),
                Resource("states", StateColumns, ["character", "id"], [new { fields = "character", reference = new { resource = "characters", fields = "id" } }]),
                Resource("taxa", taxonColumns, ["name"])
            }
        }, new JsonSerializerOptions { WriteIndented = true, Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping });
    }

    // Reading.

    private sealed record Record(string File, int Line, IReadOnlyDictionary<string, string> Cells)
    {
        public string this[string column] => Cells.GetValueOrDefault(column, "");
    }

    private static List<Record> Rows(ZipArchive zip, string table, CancellationToken cancel)
    {
        var file = $"{table}.csv";
        // Some programs put all in a folder of the package’s name.
        var entry = zip.Entries.FirstOrDefault(entry => entry.Name == file) ?? throw new TableException(file, 1, $"the package has no {file}");
        using var text = new StreamReader(entry.Open(), new UTF8Encoding(false, throwOnInvalidBytes: true));
        using var csv = new CsvReader(text, new CsvConfiguration(CultureInfo.InvariantCulture) { MaxFieldSize = LongestCell, BadDataFound = null, MissingFieldFound = null, DetectDelimiter = true, DetectDelimiterValues = [",", ";", "\t"] });
        var rows = new List<Record>();
        var line = 1;
        try
        {
            if (!csv.Read() || !csv.ReadHeader()) throw new TableException(file, 1, "the table is empty; its first line names the columns");
            var columns = csv.HeaderRecord!.Select(column => column.Trim()).ToArray();
            if (columns.GroupBy(column => column).FirstOrDefault(group => group.Key.Length > 0 && group.Count() > 1) is { } twice) throw new TableException(file, 1, $"the column “{twice.Key}” stands twice");
            while (true)
            {
                cancel.ThrowIfCancellationRequested();
                line = csv.Parser.RawRow + 1;
                if (!csv.Read()) break;
                var cells = new Dictionary<string, string>();
                for (var i = 0; i < columns.Length; i++)
                    if (columns[i].Length > 0 && csv.TryGetField<string>(i, out var cell) && cell is not null && Unguarded(cell.Trim()) is { Length: > 0 } value) cells[columns[i]] = value;
                if (csv.Parser.Count > columns.Length && Enumerable.Range(columns.Length, csv.Parser.Count - columns.Length).Any(i => csv[i]?.Trim().Length > 0))
                    throw new TableException(file, line, $"the line has {csv.Parser.Count} cells, and the table {columns.Length} columns");
                if (cells.Count > 0) rows.Add(new Record(file, line, cells));
            }
        }
        catch (DecoderFallbackException) { throw new TableException(file, line, "the file is not UTF-8; save it as “CSV UTF-8”"); }
        catch (MaxFieldSizeException) { throw new TableException(file, line, $"a cell is longer than {LongestCell} letters; perhaps a quotation mark is never closed"); }
        catch (CsvHelperException) { throw new TableException(file, line, "the line can’t be read as CSV"); }
        return rows;
    }

    private static DraftEntry About(List<Record> rows)
    {
        var (fields, pairs) = (new Dictionary<string, string>(), new Dictionary<string, IReadOnlyList<(string, string)>>());
        foreach (var row in rows.Where(row => row["kind"] is "id" or "title" or "edition")) fields[row["kind"]] = row["text"];
        foreach (var (kind, key) in new[] { ("genus", "genera"), ("family", "families"), ("aggregate", "aggregates"), ("near-alike", "near-alike") })
            pairs[key] = [.. rows.Where(row => row["kind"] == kind).Select(row => (row["id"], row["text"]))];
        if (rows.FirstOrDefault(row => row["kind"] is not ("id" or "title" or "edition" or "genus" or "family" or "aggregate" or "near-alike" or "place")) is { } unknown)
            throw new TableException(unknown.File, unknown.Line, $"“{unknown["kind"]}” is no kind of row; it must be id, title, edition, place, genus, family, aggregate or near-alike");
        foreach (var row in rows.Where(row => row["kind"] == "place"))
            pairs[row["id"].Length == 0 ? "reference-place" : $"places {row["id"]}"] = [("name", row["text"]), .. new[] { "latitude", "longitude", "elevation" }.Where(key => row[key].Length > 0).Select(key => (key, row[key]))];
        return new DraftEntry("about.csv", rows.Count > 0 ? rows[0].Line : 1, fields) { Pairs = pairs };
    }

    private static DraftEntry Character(Record row, ILookup<string, Record> states)
    {
        var own = states[row["id"]].ToArray();
        var pairs = new Dictionary<string, IReadOnlyList<(string, string)>>();
        if (own.Length > 0)
        {
            pairs["states"] = [.. own.Select(state => (state["id"], $"{(state["label"].Length > 0 ? state["label"] : state["id"])} | {state["meaning"]}"))];
            pairs["confused"] = [.. own.Where(state => state["confused"].Length > 0).Select(state => (state["id"], state["confused"]))];
        }
        return new DraftEntry(row.File, row.Line, row.Cells.Where(cell => CharacterColumns.Contains(cell.Key)).ToDictionary()) { Pairs = pairs };
    }

    private static DraftEntry Taxon(Record row) => new(row.File, row.Line, row.Cells.Where(cell => TaxonColumns.Contains(cell.Key) && !ListColumns.Contains(cell.Key) && !PairColumns.Contains(cell.Key)).ToDictionary())
    {
        Lists = ListColumns.Where(column => row[column].Length > 0).ToDictionary(column => column, column => (IReadOnlyList<string>)row[column].Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)),
        Pairs = PairColumns.Where(column => row[column].Length > 0).ToDictionary(column => column, column => Pairs(row, column))
            .Append(new("scores", [.. row.Cells.Where(cell => !TaxonColumns.Contains(cell.Key)).Select(cell => (cell.Key, cell.Value))])).ToDictionary()
    };

    private static IReadOnlyList<(string, string)> Pairs(Record row, string column) =>
    [
        .. row[column].Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries).Select(line => line.Split(": ", 2) is [var key, var text] ? (key, text)
            : throw new TableException(row.File, row.Line, $"{column}: write one to a line, as “{(column == "hazards" ? "poisonous: The seed is poisonous." : "Quercus robur: acorns without a stalk")}”; not “{line}”"))
    ];
}
