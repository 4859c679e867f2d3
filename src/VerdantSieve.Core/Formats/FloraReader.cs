using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats;

/// <summary>A flora as read from its files, or everything that is wrong with them.</summary>
public sealed record FloraReading(Flora? Flora, IReadOnlyList<Fault> Faults);

/// <summary>Reads a flora from its YAML files and checks all of it, reporting every fault at once.</summary>
public sealed class FloraReader
{
    private readonly List<Fault> faults = [];

    private FloraReader() { }

    /// <summary>Reads a flora.</summary>
    /// <param name="about">flora.yaml: id, title, edition, reference place, plain names of genera and families.</param>
    /// <param name="vocabulary">characters.yaml: the characters and their states.</param>
    /// <param name="taxa">One file a taxon.</param>
    public static FloraReading Read(SourceFile about, SourceFile vocabulary, IEnumerable<SourceFile> taxa)
    {
        var reader = new FloraReader();
        var floraAbout = reader.About(about);
        var characters = new CharacterReader(vocabulary, reader.faults).Read();
        var taxonReader = new TaxonReader(characters, reader.faults);
        var read = taxa.Select(file => (File: file, Taxon: taxonReader.Read(file))).Where(pair => pair.Taxon is not null).ToArray();
        reader.CheckNames([.. read.Select(pair => (pair.File, pair.Taxon!))]);
        reader.CheckKin([.. read.Select(pair => (pair.File, pair.Taxon!))], floraAbout, about);
        var flora = reader.faults.Count == 0 && floraAbout is not null
            ? new Flora(floraAbout, characters, read.Select(pair => pair.Taxon!)) : null;
        return new FloraReading(flora, [.. reader.faults.OrderBy(fault => fault.File, StringComparer.Ordinal).ThenBy(fault => fault.Line)]);
    }

    /// <summary>Reads one taxon for a flora that is there already, with all the checks that a whole flora has.</summary>
    /// <param name="file">The taxon’s file.</param>
    /// <param name="flora">The flora it belongs to.</param>
    /// <returns>The taxon, or null and everything that is wrong with it.</returns>
    public static (Taxon? Taxon, IReadOnlyList<Fault> Faults) ReadTaxon(SourceFile file, Flora flora)
    {
        var reader = new FloraReader();
        if (new TaxonReader(flora.Characters, reader.faults).Read(file) is not { } taxon) return (null, reader.faults);
        var others = flora.Taxa.Where(other => other.Name != taxon.Name).Select(other => (new SourceFile(TaxonWriter.Path(other.Name), ""), other));
        reader.CheckNames([.. others, (file, taxon)]);
        reader.CheckKin([.. others, (file, taxon)], flora.About, file);
        // A small flora may name doubles that it does not hold; a new one is more likely a slip of the pen.
        var known = flora.FindTaxon(taxon.Name.Text)?.Doubles.Select(look => look.Name).ToHashSet() ?? [];
        foreach (var look in taxon.Doubles.Where(look => !known.Contains(look.Name) && flora.FindTaxon(look.Name) is null))
            reader.faults.Add(new Fault(file.Path, 1, $"“doubles” names {look.Name}, which is not in the flora"));
        return (reader.faults.Count == 0 ? taxon : null, reader.faults);
    }

    private FloraAbout? About(SourceFile source)
    {
        if (YamlMap.Read(source, faults) is not { } map) return null;
        var places = map.Map("places");
        var about = new FloraAbout(map.Required("id"), map.Required("title"))
        {
            Edition = (int)map.Number("edition", 1),
            ReferencePlace = PlaceIn(map, "reference-place") ?? new FloraAbout("", "").ReferencePlace,
            Places = (places?.Keys ?? []).ToDictionary(id => id, id => PlaceIn(places!, id) ?? new Place(id, default)),
            GenusWords = map.Pairs("genera").ToDictionary(pair => pair.Key, pair => pair.Value),
            FamilyWords = map.Pairs("families").ToDictionary(pair => pair.Key, pair => pair.Value),
            Aggregates = map.Pairs("aggregates").ToDictionary(pair => pair.Key, pair => pair.Value),
            NearAlike = map.Pairs("near-alike").ToDictionary(pair => pair.Key, pair => pair.Value)
        };
        map.FaultUnasked();
        return about;
    }

    private static Place? PlaceIn(YamlMap map, string key)
    {
        if (map.Map(key) is not { } place) return null;
        var read = new Place(place.Text("name") ?? key, new Position(place.Number("latitude", 0), place.Number("longitude", 0), place.Number("elevation", 0)));
        if (Math.Abs(read.Position.Latitude) > 90 || Math.Abs(read.Position.Longitude) > 180) map.Fault(key, "a latitude goes from −90 to 90, a longitude from −180 to 180");
        place.FaultUnasked();
        return read;
    }

    private void CheckNames(IReadOnlyList<(SourceFile File, Taxon Taxon)> taxa)
    {
        var seen = new Dictionary<string, string>();
        foreach (var (file, taxon) in taxa)
        {
            if (!seen.TryAdd(ScientificName.Fold(taxon.Name.Text), file.Path))
                faults.Add(new Fault(file.Path, 1, $"the name {taxon.Name} stands in {seen[ScientificName.Fold(taxon.Name.Text)]} already"));
        }
        foreach (var (file, taxon) in taxa)
        {
            foreach (var synonym in taxon.Synonyms.Select(ScientificName.Fold))
                if (!seen.TryAdd(synonym, file.Path))
                    faults.Add(new Fault(file.Path, 1, $"the synonym “{synonym}” is a name in {seen[synonym]} already"));
        }
    }

    // What a taxon says of others must be there: the parents of a hybrid, its aggregate.
    private void CheckKin(IReadOnlyList<(SourceFile File, Taxon Taxon)> taxa, FloraAbout? about, SourceFile aboutFile)
    {
        foreach (var genus in (about?.NearAlike.Keys ?? []).Where(genus => taxa.All(pair => pair.Taxon.Name.Genus != genus)))
            faults.Add(new Fault(aboutFile.Path, 1, $"the genus “{genus}” under “near-alike” has no taxon in the flora"));
        var names = taxa.Select(pair => ScientificName.Fold(pair.Taxon.Name.Text)).ToHashSet();
        foreach (var (file, taxon) in taxa)
        {
            foreach (var parent in taxon.HybridOf.Where(parent => !names.Contains(ScientificName.Fold(parent))))
                faults.Add(new Fault(file.Path, 1, $"the parent “{parent}” of {taxon.Name} is not in the flora"));
            if (taxon.Aggregate is { } aggregate && about is not null && !about.Aggregates.ContainsKey(aggregate))
                faults.Add(new Fault(file.Path, 1, $"the aggregate “{aggregate}” does not stand under “aggregates” in flora.yaml"));
            if (taxon.WindowsAt is { } place && about is not null && !about.Places.ContainsKey(place))
                faults.Add(new Fault(file.Path, 1, $"the place “{place}” under “windows-at” does not stand under “places” in flora.yaml"));
        }
    }
}
