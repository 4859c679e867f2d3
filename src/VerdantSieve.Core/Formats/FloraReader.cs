using System.Globalization;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats.Exchange;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Formats;

/// <summary>Reads a flora and checks all of it, reporting every fault at once: from its own YAML files, or from the entries of another
/// format.</summary>
public sealed class FloraReader
{
    private readonly List<Fault> faults = [];

    private FloraReader() { }

    /// <summary>Reads a flora from its files.</summary>
    /// <param name="about">flora.yaml: id, title, edition, reference place, plain names of genera and families.</param>
    /// <param name="vocabulary">characters.yaml: the characters and their states.</param>
    /// <param name="taxa">One file a taxon, and what many share (see <see cref="SharedNotation"/>).</param>
    public static Outcome<Flora> Read(SourceFile about, SourceFile vocabulary, IEnumerable<SourceFile> taxa)
    {
        var reader = new FloraReader();
        var files = taxa.ToLookup(file => SharedNotation.IsShared(file.Path));
        var entries = new FloraEntries(
            reader.Kept(YamlEntries.Read(about)) ?? new Entry(about.Path, 1),
            reader.Characters(vocabulary),
            Entries(files[false])
        )
        {
            Shared = Entries(files[true]),
        };
        foreach (var entry in entries.Taxa)
            reader.CheckPath(entry);
        return reader.Read(entries);

        Entry[] Entries(IEnumerable<SourceFile> some) => [.. some.Select(file => reader.Kept(YamlEntries.Read(file))).OfType<Entry>()];
    }

    /// <summary>Reads a flora from the entries of another format.</summary>
    internal static Outcome<Flora> ReadEntries(FloraEntries entries, CancellationToken cancel) =>
        FileBounds.Exceeded(entries) is { } tooMuch ? tooMuch : new FloraReader().Read(entries, cancel);

    /// <summary>Reads one taxon for a flora that is there already, with all the checks that a whole flora has.</summary>
    /// <param name="file">The taxon’s file.</param>
    /// <param name="flora">The flora it belongs to.</param>
    /// <returns>The taxon, or everything that is wrong with it.</returns>
    public static Outcome<Taxon> ReadTaxon(SourceFile file, Flora flora)
    {
        var reader = new FloraReader();
        if (reader.Kept(YamlEntries.Read(file)) is not { } entry)
            return Outcome.Faulty<Taxon>(reader.faults);
        reader.CheckPath(entry);
        if (new TaxonReader(flora.Vocabulary, reader.faults).Read(entry) is not { } taxon)
            return Outcome.Faulty<Taxon>(reader.faults);
        var others = flora
            .Taxa.Where(other => other.Name != taxon.Name)
            .Select(other => new ReadTaxonEntry(new Entry(TaxonWriter.Path(other.Name), 1), other));
        ReadTaxonEntry[] all = [.. others, new ReadTaxonEntry(entry, taxon)];
        reader.CheckNames(all);
        reader.CheckKin(all, all.Select(read => read.Taxon.Name.Text), flora.About, entry);
        // A small flora may name doubles that it does not hold; a new one is more likely a slip of the pen.
        var known = flora.FindTaxon(taxon.Name.Text)?.Doubles.Select(alike => alike.Name).ToHashSet() ?? [];
        foreach (var alike in taxon.Doubles.Where(alike => !known.Contains(alike.Name) && flora.FindTaxon(alike.Name) is null))
            reader.faults.Add(Fault.InFile(file.Path, 1, $"“doubles” names {alike.Name}, which is not in the flora"));
        return reader.faults.Count == 0 ? taxon : Outcome.Faulty<Taxon>(reader.faults);
    }

    private sealed record ReadTaxonEntry(Entry Entry, Taxon Taxon);

    private T? Kept<T>(Outcome<T> outcome)
        where T : class
    {
        faults.AddRange(outcome.Faults);
        return outcome.Has(out var value) ? value : null;
    }

    // In the file, characters stand under the part of the plant they belong to.
    private List<CharacterEntry> Characters(SourceFile file)
    {
        var characters = new List<CharacterEntry>();
        if (Kept(YamlEntries.Read(file)) is not { } root)
            return characters;
        foreach (var (part, line, value) in root.Values)
            if (value is EntryValue.Map { Entry: var ofPart })
                foreach (var (id, at, entry) in ofPart.Values)
                {
                    if (entry is EntryValue.Map map)
                        characters.Add(new CharacterEntry(id, part, map.Entry));
                    else
                        faults.Add(Fault.InFile(file.Path, at, $"“{id}” must be a mapping of keys to values"));
                }
            else
                faults.Add(Fault.InFile(file.Path, line, $"“{part}” must be a mapping of keys to values"));
        return characters;
    }

    private void CheckPath(Entry entry)
    {
        if (!ScientificName.Parse(entry.TextAt("name")).Has(out var name))
            return;
        if (!entry.File.EndsWith($"{name.Genus}/{name.Epithet}.yaml", StringComparison.Ordinal))
            faults.Add(Fault.InFile(entry.File, entry.LineOf("name"), $"the file of {name} must be {name.Genus}/{name.Epithet}.yaml"));
    }

    private Outcome<Flora> Read(FloraEntries entries, CancellationToken cancel = default)
    {
        var about = About(entries.About);
        var vocabulary = new Vocabulary(new CharacterReader(faults).Read(entries.Characters));
        var taxonReader = new TaxonReader(vocabulary, faults);
        ReadTaxonEntry[] read =
        [
            .. entries
                .Taxa.Select(entry => (entry, Taxon: Until(cancel, () => taxonReader.Read(entry))))
                .Where(pair => pair.Taxon is not null)
                .Select(pair => new ReadTaxonEntry(pair.entry, pair.Taxon!)),
        ];
        SharedScores[] shared = [.. entries.Shared.SelectMany(entry => SharedNotation.Read(entry, taxonReader, faults))];
        CheckNames(read);
        CheckKin(read, entries.Taxa.Select(entry => entry.TextAt("name")), about, entries.About);
        return faults.Count == 0
            ? new Flora(about! with { Shared = shared }, vocabulary, read.Select(pair => pair.Taxon))
            : Outcome.Faulty<Flora>([.. faults.OrderBy(fault => fault.At, StringComparer.Ordinal).ThenBy(fault => fault.Line)]);
    }

    private static T Until<T>(CancellationToken cancel, Func<T> read)
    {
        cancel.ThrowIfCancellationRequested();
        return read();
    }

    // Null where there is nothing to read, which is a fault already.
    private FloraAbout? About(Entry entry)
    {
        var map = new EntryReader(entry, faults);
        if (map.IsEmpty && faults.Any(fault => fault.At == entry.File))
            return null;
        var places = map.Map("places");
        var plain = new FloraAbout(map.Required("id"), map.Required("title"));
        var about = plain with
        {
            Edition = (int)map.Number("edition", 1),
            ReferencePlace = PlaceIn(map, "reference-place") ?? plain.ReferencePlace,
            Places = (places?.Keys ?? []).ToDictionary(id => id, id => PlaceIn(places!, id) ?? plain.ReferencePlace),
            GenusWords = Words("genera"),
            FamilyWords = Words("families"),
            Aggregates = Words("aggregates"),
            NearAlike = Words("near-alike"),
            MissingKinds = Numbers(map, "missing-kinds"),
            Keyed = Countries(map, "keyed"),
        };
        map.FaultUnasked();
        return about;

        Dictionary<string, string> Words(string key) => map.Pairs(key).ToDictionary(pair => pair.Key, pair => pair.Value);
    }

    // Countries and blocks of countries.
    private static string[] Countries(EntryReader map, string key)
    {
        var codes = new List<string>();
        foreach (var place in map.List(key))
            if (Regions.Exists(place))
                codes.Add(place);
            else if (Blocks.Of(place) is { Count: > 0 } block)
                codes.AddRange(block);
            else
                map.Fault(
                    key,
                    $"“{place}” under “{key}” is neither a level 3 code nor one of the blocks {string.Join(", ", Blocks.Names)}"
                );
        return [.. codes.Distinct()];
    }

    private static Dictionary<string, int> Numbers(EntryReader map, string key)
    {
        var numbers = new Dictionary<string, int>();
        foreach (var (id, text) in map.Pairs(key))
            if (int.TryParse(text, CultureInfo.InvariantCulture, out var number) && number >= 0)
                numbers[id] = number;
            else
                map.Fault(key, $"“{id}” under “{key}” must be a whole number from 0 on, not “{text}”");
        return numbers;
    }

    private static Place? PlaceIn(EntryReader map, string key)
    {
        if (map.Map(key) is not { } place)
            return null;
        var name = place.Text("name") ?? key;
        var position = Position.Of(place.Number("latitude", 0), place.Number("longitude", 0), place.Number("elevation", 0));
        place.FaultUnasked();
        foreach (var fault in position.Faults)
            place.Fault(
                fault.At,
                $"“{fault.At}” can’t be {fault.Value}: {char.ToLowerInvariant(fault.Message[0])}{fault.Message[1..].TrimEnd('.')}"
            );
        return position.Has(out var known) ? new Place(name, known) : null;
    }

    private void CheckNames(IReadOnlyList<ReadTaxonEntry> taxa)
    {
        var seen = new Dictionary<string, string>();
        foreach (var (entry, taxon) in taxa)
            if (!seen.TryAdd(ScientificName.Fold(taxon.Name.Text), entry.File))
                faults.Add(
                    Fault.InFile(
                        entry.File,
                        entry.Line,
                        $"the name {taxon.Name} stands in {seen[ScientificName.Fold(taxon.Name.Text)]} already"
                    )
                );
        foreach (var (entry, taxon) in taxa)
            foreach (var synonym in taxon.Synonyms.Select(ScientificName.Fold))
                if (!seen.TryAdd(synonym, entry.File))
                    faults.Add(Fault.InFile(entry.File, entry.Line, $"the synonym “{synonym}” is a name in {seen[synonym]} already"));
    }

    // What a taxon says of others must be there: the parents of a hybrid, its aggregate. A taxon that is at fault itself is there all the
    // same.
    private void CheckKin(IReadOnlyList<ReadTaxonEntry> taxa, IEnumerable<string> names, FloraAbout? about, Entry aboutEntry)
    {
        var there = names.Select(ScientificName.Fold).ToHashSet();
        var genera = there.Select(name => name.Split(' ')[0]).ToHashSet();
        foreach (var genus in (about?.NearAlike.Keys ?? []).Where(genus => !genera.Contains(genus.ToLowerInvariant())))
            faults.Add(
                Fault.InFile(
                    aboutEntry.File,
                    aboutEntry.LineOf("near-alike"),
                    $"the genus “{genus}” under “near-alike” has no taxon in the flora"
                )
            );
        foreach (var (entry, taxon) in taxa)
        {
            foreach (var parent in taxon.HybridOf.Where(parent => !there.Contains(ScientificName.Fold(parent))))
                faults.Add(Fault.InFile(entry.File, entry.Line, $"the parent “{parent}” of {taxon.Name} is not in the flora"));
            if (taxon.Aggregate is { } aggregate && about?.Aggregates.ContainsKey(aggregate) == false)
                faults.Add(
                    Fault.InFile(entry.File, entry.Line, $"the aggregate “{aggregate}” does not stand under “aggregates” in flora.yaml")
                );
            if (taxon.WindowsAt is { } place && about?.Places.ContainsKey(place) == false)
                faults.Add(
                    Fault.InFile(
                        entry.File,
                        entry.Line,
                        $"the place “{place}” under “windows-at” does not stand under “places” in flora.yaml"
                    )
                );
        }
    }
}
