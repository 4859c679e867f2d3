namespace VerdantSieve.Core.Botany;

/// <summary>Taxa, characters and scores: what a sieve is built from.</summary>
public sealed class Flora
{
    private readonly Dictionary<string, Taxon> taxaByName = [];
    private readonly ILookup<string, Taxon> taxaByGenus;

    /// <summary>Builds a flora. What hybrids take from their parents is worked out here.</summary>
    /// <exception cref="ArgumentException">A taxon is scored for a character that is not there, or with a score that does not fit
    /// it.</exception>
    public Flora(FloraAbout about, IEnumerable<Character> characters, IEnumerable<Taxon> taxa)
        : this(about, new Vocabulary(characters), taxa) { }

    /// <summary>Builds a flora on a vocabulary.</summary>
    /// <exception cref="ArgumentException">A taxon is scored for a character that is not there, or with a score that does not fit
    /// it.</exception>
    public Flora(FloraAbout about, Vocabulary vocabulary, IEnumerable<Taxon> taxa)
    {
        (About, Vocabulary) = (about, vocabulary);
        // Parents take what they share first; a hybrid then takes from its parents, and shares what is left.
        var alone = taxa.OrderBy(taxon => taxon.Name).Select(taxon => taxon.ByItself);
        var withParents = Hybrids.WithScores([.. Sharing(alone)], vocabulary);
        Taxa = [.. Sharing(withParents.Select(taxon => taxon.IsHybrid ? taxon with { Shared = Taxon.NothingShared } : taxon))];
        taxaByGenus = Taxa.ToLookup(taxon => taxon.Name.Genus);
        foreach (var taxon in Taxa)
            Check(taxon);
        foreach (var taxon in Taxa)
            taxaByName[ScientificName.Fold(taxon.Name.Text)] = taxon;
        foreach (var taxon in Taxa)
            foreach (var synonym in taxon.Synonyms)
                taxaByName.TryAdd(ScientificName.Fold(synonym), taxon);
        // A species that is here by its varieties only is found as the one that bears its name.
        foreach (
            var taxon in Taxa.OrderByDescending(taxon =>
                taxon.Name.Text.EndsWith(taxon.Name.Species.Text.Split(' ')[^1], StringComparison.Ordinal)
            )
        )
            taxaByName.TryAdd(ScientificName.Fold(taxon.Name.Species.Text), taxon);
        Countries =
        [
            .. Taxa.SelectMany(taxon => taxon.Distribution.Countries)
                .Where(Regions.Exists)
                .Distinct()
                .OrderBy(Regions.Name, StringComparer.Ordinal),
        ];
    }

    private IEnumerable<Taxon> Sharing(IEnumerable<Taxon> taxa) => SharedScores.Added(taxa, About.Shared, Vocabulary);

    /// <summary>Id, title, edition and reference place.</summary>
    public FloraAbout About { get; }

    /// <summary>The characters, and what hangs on what.</summary>
    public Vocabulary Vocabulary { get; }

    /// <summary>The characters in the natural order of work.</summary>
    public IReadOnlyList<Character> Characters => Vocabulary.Characters;

    /// <summary>The taxa by name.</summary>
    public IReadOnlyList<Taxon> Taxa { get; }

    /// <summary>The botanical countries that any of its taxa grow in, by their names.</summary>
    public IReadOnlyList<string> Countries { get; }

    /// <summary>The character with this id, or null.</summary>
    public Character? FindCharacter(string id) => Vocabulary.Find(id);

    /// <summary>The character with this id.</summary>
    /// <exception cref="KeyNotFoundException">The flora has no such character.</exception>
    public Character Character(string id) => Vocabulary[id];

    /// <summary>The taxon of this accepted name or synonym, however it is spaced, or null.</summary>
    public Taxon? FindTaxon(string name) => taxaByName.GetValueOrDefault(ScientificName.Fold(name));

    /// <summary>The taxa of a genus by name; none where the flora has no such genus.</summary>
    public IEnumerable<Taxon> OfGenus(string genus) => taxaByGenus[genus];

    /// <summary>Whether a taxon can show a character at all, by what is scored of it.</summary>
    public bool CanApply(Taxon taxon, Character character) => Vocabulary.CanApply(character, taxon.Scores);

    /// <summary>The flora with one taxon in the place of that of the same name, and its edition one higher.</summary>
    public Flora With(Taxon taxon) =>
        new(About with { Edition = About.Edition + 1 }, Vocabulary, Taxa.Select(other => other.Name == taxon.Name ? taxon : other));

    /// <summary>The place that a taxon’s flowering and fruiting windows hold for.</summary>
    public Place WindowPlace(Taxon taxon) =>
        taxon.WindowsAt is { } id && About.Places.TryGetValue(id, out var place) ? place : About.ReferencePlace;

    /// <summary>How a taxon stands in a country: what its own lists say, and absent where they say nothing though every keyed country has
    /// been gone through.</summary>
    public Occurrence OccurrenceOf(Taxon taxon, string code)
    {
        var listed = taxon.Distribution.In(code);
        return listed == Occurrence.NotLooked && taxon.Distribution.Looked && About.Keyed.Contains(code) ? Occurrence.Absent : listed;
    }

    /// <summary>The countries a taxon was looked for and not found in.</summary>
    public IEnumerable<string> AbsentFrom(Taxon taxon) =>
        taxon.Distribution.Absent.Union(About.Keyed.Where(code => OccurrenceOf(taxon, code) == Occurrence.Absent));

    /// <summary>The plain name of a genus, such as "maple"; the genus itself where the flora gives none.</summary>
    public string GenusWord(string genus) => About.GenusWords.GetValueOrDefault(genus, genus);

    /// <summary>The plain name of a family, such as "the oaks and beeches"; the family itself where none is given.</summary>
    public string FamilyWord(string family) => About.FamilyWords.GetValueOrDefault(family, family);

    private void Check(Taxon taxon)
    {
        foreach (var (id, score) in taxon.Scores)
            if (FindCharacter(id) is not { } character || !Scored.Fits(character, score))
                throw new ArgumentException($"{taxon.Name} has a score for {id} that does not fit the vocabulary.", nameof(taxon));
            else if (score is PresenceScore { When: { } condition } && !Vocabulary.Knows(condition))
                throw new ArgumentException($"{taxon.Name} has {id} when {condition}, which the vocabulary does not know.", nameof(taxon));
    }
}
