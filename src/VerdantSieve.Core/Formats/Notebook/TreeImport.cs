using System.Globalization;
using NodaTime;
using NodaTime.Text;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Planning;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Trees;

namespace VerdantSieve.Core.Formats.Notebook;

/// <summary>What a column of somebody else's table says of a tree.</summary>
public enum TreeField
{
    /// <summary>The tag, or whatever the tree is called.</summary>
    Tag,

    /// <summary>The place in words.</summary>
    Place,

    /// <summary>Degrees north.</summary>
    Latitude,

    /// <summary>Degrees east.</summary>
    Longitude,

    /// <summary>Metres above the sea.</summary>
    Elevation,

    /// <summary>The day of the visit.</summary>
    Date,

    /// <summary>Who looked.</summary>
    Observer,

    /// <summary>The name it was determined as.</summary>
    Name,

    /// <summary>Notes.</summary>
    Notes,
}

/// <summary>A tree that would be taken from a row.</summary>
public sealed record ImportedTree(
    string Tag,
    string Place,
    Position? At,
    LocalDate? Day,
    string Observer,
    string Name,
    TaxonRank? Rank,
    string Notes
);

/// <summary>A row with what would become of it.</summary>
/// <param name="Number">Its number in the file, the first after the header being 1.</param>
/// <param name="Tree">The tree; null where something is wrong.</param>
/// <param name="Faults">What is wrong.</param>
/// <param name="Twin">A tree that is there already and looks the same; null where none.</param>
public sealed record ImportedRow(int Number, ImportedTree? Tree, IReadOnlyList<Fault> Faults, string? Twin);

/// <summary>A tree that is kept already, to be compared with.</summary>
public sealed record KnownTree(string Called, Position? At, DateOnly? Day);

/// <summary>Turns somebody else's table into trees: all of it, or nothing.</summary>
public static class TreeImport
{
    // Trees nearer than so many metres with the same day are taken for one.
    private const double SameSpot = 15;

    private const int LongestText = 200,
        LongestNotes = 4000;

    // What other tables call their columns, Darwin Core's terms among them.
    private static readonly Dictionary<TreeField, string[]> Known = new()
    {
        [TreeField.Tag] = ["tag", "organismName", "name", "label", "id"],
        [TreeField.Place] = ["place", "locality", "site", "location"],
        [TreeField.Latitude] = ["latitude", "decimalLatitude", "lat", "y"],
        [TreeField.Longitude] = ["longitude", "decimalLongitude", "lon", "lng", "long", "x"],
        [TreeField.Elevation] = ["elevation", "minimumElevationInMeters", "altitude", "ele"],
        [TreeField.Date] = ["date", "eventDate", "day"],
        [TreeField.Observer] = ["observer", "recordedBy", "by"],
        [TreeField.Name] = ["scientificName", "species", "taxon", "name"],
        [TreeField.Notes] = ["notes", "occurrenceRemarks", "description", "remarks", "comment"],
    };

    /// <summary>Which column says what, as far as their names tell.</summary>
    public static IReadOnlyDictionary<TreeField, int> Guess(TreeTable table)
    {
        var taken = new HashSet<int>();
        var found = new Dictionary<TreeField, int>();
        // A column called “name” is a plant's where another is the tag.
        foreach (var field in Enum.GetValues<TreeField>().OrderBy(field => field == TreeField.Tag))
            foreach (var name in Known[field])
            {
                var at = table.Columns.ToList().FindIndex(column => column.Equals(name, StringComparison.OrdinalIgnoreCase));
                if (at < 0 || taken.Contains(at) || (field == TreeField.Name && name == "name" && IsNoPlant(table, at)))
                    continue;
                found[field] = at;
                taken.Add(at);
                break;
            }
        return found;
    }

    // Two words of which the first begins with a capital and the second does not are taken for a plant's name.
    private static bool IsNoPlant(TreeTable table, int column) =>
        table
            .Rows.Take(20)
            .Count(row =>
                row[column].Split(' ') is [{ Length: > 1 } genus, { Length: > 1 } epithet, ..]
                && char.IsUpper(genus[0])
                && char.IsLower(epithet[0])
            ) * 2
        < Math.Min(20, table.Rows.Count);

    /// <summary>What would become of each row.</summary>
    /// <param name="table">The table.</param>
    /// <param name="columns">Which column says what.</param>
    /// <param name="flora">The flora that names are looked up in.</param>
    /// <param name="there">The trees that are kept already.</param>
    public static IReadOnlyList<ImportedRow> Of(
        TreeTable table,
        IReadOnlyDictionary<TreeField, int> columns,
        Flora flora,
        IReadOnlyList<KnownTree> there
    )
    {
        // Twins have one day, so that no row is held against every tree there is.
        var before = there.GroupBy(known => known.Day ?? default).ToDictionary(day => day.Key, day => day.ToList());
        var rows = new List<ImportedRow>();
        for (var at = 0; at < table.Rows.Count; at++)
        {
            var faults = new List<Fault>();
            var tree = Read(field => columns.TryGetValue(field, out var column) ? table.Rows[at][column].Trim() : "", flora, faults);
            var twin = faults.Count == 0 ? TwinOf(tree, before.GetValueOrDefault(DayOf(tree), [])) : null;
            rows.Add(new ImportedRow(at + 1, faults.Count == 0 ? tree : null, faults, twin));
            if (faults.Count == 0)
            {
                if (!before.TryGetValue(DayOf(tree), out var ofThatDay))
                    before[DayOf(tree)] = ofThatDay = [];
                ofThatDay.Add(new KnownTree(tree.Tag.Length > 0 ? tree.Tag : $"row {at + 1}", tree.At, tree.Day?.ToDateOnly()));
            }
        }
        return rows;
    }

    private static ImportedTree Read(Func<TreeField, string> value, Flora flora, List<Fault> faults)
    {
        var name = value(TreeField.Name);
        var taxon = name.Length > 0 ? flora.FindTaxon(name) : null;
        var genus = taxon is null && flora.Taxa.Any(kind => kind.Name.Genus.Equals(name, StringComparison.OrdinalIgnoreCase));
        return new ImportedTree(
            Text(value, TreeField.Tag, TreeDetails.LongestTag, faults),
            Text(value, TreeField.Place, LongestText, faults),
            PositionOf(value, faults),
            DayOf(value(TreeField.Date), faults),
            Text(value, TreeField.Observer, LongestText, faults),
            // A name the flora does not have is kept as it was written: it is the observer's.
            taxon?.Name.Text
                ?? Text(value, TreeField.Name, LongestText, faults),
            taxon?.Rank ?? (genus ? TaxonRank.Genus : null),
            Text(value, TreeField.Notes, LongestNotes, faults)
        );
    }

    private static string Text(Func<TreeField, string> value, TreeField field, int longest, List<Fault> faults)
    {
        var text = value(field);
        if (text.Length > longest)
            faults.Add(new Fault(field.Word(), FormattableString.Invariant($"At most {longest} letters; these are {text.Length}.")));
        return text;
    }

    private static Position? PositionOf(Func<TreeField, string> value, List<Fault> faults)
    {
        var (north, east) = (value(TreeField.Latitude), value(TreeField.Longitude));
        if (north.Length == 0 && east.Length == 0)
            return null;
        double? Number(TreeField field, string text)
        {
            if (double.TryParse(text.Replace(',', '.'), CultureInfo.InvariantCulture, out var number))
                return number;
            faults.Add(Fault.AtField(field.Word(), text, Position.Allowed(field.Word())));
            return null;
        }
        var (latitude, longitude) = (Number(TreeField.Latitude, north), Number(TreeField.Longitude, east));
        var elevation = value(TreeField.Elevation) is { Length: > 0 } up ? Number(TreeField.Elevation, up) : 0;
        if (latitude is null || longitude is null || elevation is null)
            return null;
        var position = Position.Of(latitude.Value, longitude.Value, elevation.Value);
        faults.AddRange(position.Faults);
        return position.Has(out var found) ? found : null;
    }

    private static LocalDate? DayOf(string text, List<Fault> faults)
    {
        if (text.Length == 0)
            return null;
        // Darwin Core allows a time behind the day.
        var day = LocalDatePattern.Iso.Parse(text.Split('T')[0]);
        if (day.Success)
            return day.Value;
        faults.Add(Fault.AtField("date", text, "Write the day as year-month-day, such as 2026-06-14."));
        return null;
    }

    private static DateOnly DayOf(ImportedTree tree) => tree.Day?.ToDateOnly() ?? default;

    private static string? TwinOf(ImportedTree tree, List<KnownTree> there) =>
        there
            .FirstOrDefault(known =>
                tree.At is { } at && known.At is { } its
                    ? WalkingOrder.Metres(at, its) <= SameSpot
                    : tree.Tag.Length > 0 && known.Called == tree.Tag
            )
            ?.Called;
}
