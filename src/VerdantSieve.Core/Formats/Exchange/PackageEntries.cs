using System.IO.Compression;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>Turns the tables of a data package into the entries of a flora.</summary>
internal static class PackageEntries
{
    // The kinds of rows in the table “about”, by the key their words have in a flora’s file.
    private static readonly Dictionary<string, string> Words = new()
    {
        ["genus"] = "genera",
        ["family"] = "families",
        ["aggregate"] = "aggregates",
        ["near-alike"] = "near-alike",
        ["missing-kinds"] = "missing-kinds",
    };
    private static readonly string[] Plain = ["id", "title", "edition"];
    private const string Place = "place",
        Keyed = "keyed";

    // What columns were called in packages written before they were renamed.
    private static readonly Dictionary<string, string> Renamed = new() { ["echo"] = "correlated" };

    /// <exception cref="UnreadableException">A table is not there, or can’t be read.</exception>
    public static FloraEntries Read(ZipArchive zip, IProgress<int>? progress, CancellationToken cancel)
    {
        var about = About(PackageCsv.Read(zip, PackageTables.About, cancel));
        var characters = PackageCsv.Read(zip, PackageTables.Characters, cancel);
        var states = PackageCsv.Read(zip, PackageTables.States, cancel).ToLookup(row => row["character"]);
        var taxa = new List<Entry>();
        foreach (var row in PackageCsv.Read(zip, PackageTables.Taxa, cancel))
        {
            taxa.Add(Taxon(row));
            progress?.Report(taxa.Count);
        }
        return new FloraEntries(about, [.. characters.Select(row => Character(row, [.. states[row["id"]]]))], taxa);
    }

    private static Entry About(List<TableRow> rows)
    {
        var entry = new Entry($"{PackageTables.About}.csv", rows.Count > 0 ? rows[0].Line : 1);
        foreach (var row in rows)
            if (Plain.Contains(row["kind"]))
                entry.With(row["kind"], new EntryValue.Text(row["text"]), row.Line);
            else if (!Words.ContainsKey(row["kind"]) && row["kind"] is not (Place or Keyed))
                throw row.Unreadable(
                    $"“{row["kind"]}” is no kind of row; it must be id, title, edition, place, genus, family, aggregate, near-alike, "
                        + "missing-kinds or keyed"
                );
        foreach (var (kind, key) in Words)
            entry.With(key, rows.Where(row => row["kind"] == kind).Select(row => (row["id"], row["text"])));
        string[] keyed = [.. rows.Where(row => row["kind"] == Keyed).Select(row => row["id"])];
        if (keyed.Length > 0)
            entry.With(Keyed, keyed);
        var places = new Entry(entry.File, entry.Line);
        foreach (var row in rows.Where(row => row["kind"] == Place))
            (row["id"].Length == 0 ? entry : places).With(
                row["id"].Length == 0 ? "reference-place" : row["id"],
                new EntryValue.Map(PlaceEntry(row)),
                row.Line
            );
        return places.Values.Count > 0 ? entry.With("places", new EntryValue.Map(places)) : entry;
    }

    private static Entry PlaceEntry(TableRow row)
    {
        var place = new Entry(row.File, row.Line).With("name", row["text"]);
        foreach (var key in new[] { "latitude", "longitude", "elevation" })
            place.With(key, row[key]);
        return place;
    }

    private static CharacterEntry Character(TableRow row, IReadOnlyList<TableRow> states)
    {
        var entry = new Entry(row.File, row.Line);
        foreach (var (column, cell) in row.Cells)
        {
            var key = Renamed.GetValueOrDefault(column, column);
            if (key is "id" or "part" || cell.Length == 0 || !PackageTables.CharacterColumns.Contains(key))
                continue;
            if (PackageTables.CharacterPairs.Contains(key))
                entry.With(key, new EntryValue.Map(Pairs(row, key, "one to a line: finer: broader")));
            else if (key is "stages" or "also" or "formerly")
                entry.With(key, new EntryValue.List(Listed(cell)));
            else
                entry.With(key, cell);
        }
        entry.With(
            "states",
            states.Select(state => (state["id"], $"{(state["label"].Length > 0 ? state["label"] : state["id"])} | {state["meaning"]}"))
        );
        entry.With("confused", states.Where(state => state["confused"].Length > 0).Select(state => (state["id"], state["confused"])));
        return new CharacterEntry(row["id"], row["part"] is { Length: > 0 } part ? part : null, entry);
    }

    private static Entry Taxon(TableRow row)
    {
        var entry = new Entry(row.File, row.Line).With("name", row["name"]);
        foreach (var field in TaxonFields.All)
            if (row[field.Key].Length > 0)
                entry.With(field.Key, Value(field, row));
        var fields = TaxonFields.All.Select(field => field.Key).Append("name").ToHashSet();
        return entry.With("scores", row.Cells.Where(cell => !fields.Contains(cell.Key)).Select(cell => (cell.Key, cell.Value)));
    }

    private static EntryValue Value(TaxonField field, TableRow row) =>
        field.Shape switch
        {
            FieldShape.Text => new EntryValue.Text(row[field.Key]),
            FieldShape.List => new EntryValue.List(Listed(row[field.Key])),
            FieldShape.Pairs => new EntryValue.Map(Pairs(row, field.Key, field.Description)),
        };

    private static string[] Listed(string cell) => cell.Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);

    private static Entry Pairs(TableRow row, string column, string description)
    {
        var pairs = new Entry(row.File, row.Line);
        foreach (var line in row[column].Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries))
        {
            if (line.Split(": ", 2) is not [var key, var text])
                throw row.Unreadable($"{column}: write {description}; not “{line}”");
            pairs.With(key, new EntryValue.Text(text));
        }
        return pairs;
    }
}
