using NodaTime;

namespace VerdantSieve.Core.Botany;

/// <summary>Taxa, characters and scores: what a sieve is built from.</summary>
public sealed class Flora
{
    private readonly Dictionary<string, Character> characters;
    private readonly Dictionary<string, Taxon> taxaByName = [];

    /// <summary>Builds a flora. Every taxon must keep to the characters given; the readers in Formats check that.</summary>
    public Flora(FloraAbout about, IEnumerable<Character> characters, IEnumerable<Taxon> taxa)
    {
        About = about;
        Characters = [.. characters];
        this.characters = Characters.ToDictionary(character => character.Id);
        Taxa = [.. Hybrids.WithScores([.. taxa.OrderBy(taxon => taxon.Name)])];
        foreach (var taxon in Taxa) taxaByName[ScientificName.Fold(taxon.Name.Text)] = taxon;
        foreach (var taxon in Taxa)
            foreach (var synonym in taxon.Synonyms) taxaByName.TryAdd(ScientificName.Fold(synonym), taxon);
        // A species that is here by its varieties only is found as the one that bears its name.
        foreach (var taxon in Taxa.OrderByDescending(taxon => taxon.Name.Text.EndsWith(taxon.Name.Species.Text.Split(' ')[^1], StringComparison.Ordinal)))
            taxaByName.TryAdd(ScientificName.Fold(taxon.Name.Species.Text), taxon);
    }

    /// <summary>Id, title, edition and reference place.</summary>
    public FloraAbout About { get; }

    /// <summary>The characters in the natural order of work.</summary>
    public IReadOnlyList<Character> Characters { get; }

    /// <summary>The taxa by name.</summary>
    public IReadOnlyList<Taxon> Taxa { get; }

    /// <summary>The character with this id, or null.</summary>
    public Character? FindCharacter(string id) => characters.GetValueOrDefault(id);

    /// <summary>The character with this id.</summary>
    /// <exception cref="KeyNotFoundException">The flora has no such character.</exception>
    public Character Character(string id) => characters[id];

    /// <summary>The taxon of this accepted name or synonym, however it is spaced, or null.</summary>
    public Taxon? FindTaxon(string name) => taxaByName.GetValueOrDefault(ScientificName.Fold(name));

    /// <summary>The place that a taxon’s flowering and fruiting windows hold for.</summary>
    public Place WindowPlace(Taxon taxon) => taxon.WindowsAt is { } id && About.Places.TryGetValue(id, out var place) ? place : About.ReferencePlace;

    /// <summary>The plain name of a genus, such as "maple"; the genus itself where the flora gives none.</summary>
    public string GenusWord(string genus) => About.GenusWords.GetValueOrDefault(genus, genus);

    /// <summary>The plain name of a family, such as "the oaks and beeches"; the family itself where none is given.</summary>
    public string FamilyWord(string family) => About.FamilyWords.GetValueOrDefault(family, family);
}

/// <summary>What a flora says of itself.</summary>
public sealed record FloraAbout(string Id, string Title)
{
    /// <summary>The number of the edition, which a determination cites.</summary>
    public int Edition { get; init; } = 1;

    /// <summary>The place the flora's seasons hold for, where a taxon names no other.</summary>
    public Place ReferencePlace { get; init; } = new("northern Oregon near sea level", new Position(45.5, -122.7, 60));

    /// <summary>Further places, by id, that a taxon's seasons may hold for.</summary>
    public IReadOnlyDictionary<string, Place> Places { get; init; } = new Dictionary<string, Place>();

    /// <summary>Plain names of genera.</summary>
    public IReadOnlyDictionary<string, string> GenusWords { get; init; } = new Dictionary<string, string>();

    /// <summary>Plain names of families.</summary>
    public IReadOnlyDictionary<string, string> FamilyWords { get; init; } = new Dictionary<string, string>();

    /// <summary>The aggregates by name, each with the sentence that says why its members are not parted.</summary>
    public IReadOnlyDictionary<string, string> Aggregates { get; init; } = new Dictionary<string, string>();

    /// <summary>The genera whose leaves are near alike, each with the sentence that says what to look at instead.</summary>
    public IReadOnlyDictionary<string, string> NearAlike { get; init; } = new Dictionary<string, string>();
}

/// <summary>A place that seasons hold for, with the words for it.</summary>
public sealed record Place(string Name, Position Position);

/// <summary>A point on the ground: degrees north, degrees east, metres above the sea.</summary>
public readonly record struct Position(double Latitude, double Longitude, double Elevation);
