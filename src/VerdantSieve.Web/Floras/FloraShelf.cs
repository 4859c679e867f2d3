using System.Collections.Concurrent;
using System.Collections.Frozen;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Web;

/// <summary>The flora in use, made ready for sieving once at start.</summary>
public sealed class FloraShelf(Flora flora)
{
    private readonly FrozenDictionary<string, Taxon> bySlug = flora.Taxa.ToFrozenDictionary(taxon => taxon.Name.Slug);

    /// <summary>The flora.</summary>
    public Flora Flora => Sieve.Flora;

    /// <summary>The key over it.</summary>
    public Sieve Sieve { get; } = new(flora);

    /// <summary>The taxon of an address, or null.</summary>
    public Taxon? FindBySlug(string? slug) => slug is null ? null : bySlug.GetValueOrDefault(slug.ToLowerInvariant());

    /// <summary>The few taxa most like this one. Worked out once for each.</summary>
    public IReadOnlyList<Taxon> MostLike(Taxon taxon) => mostLike.GetOrAdd(taxon.Name, _ => [.. likeness.Nearest(taxon).Take(4).Select(pair => pair.Taxon)]);

    private readonly Likeness likeness = new(flora);
    private readonly ConcurrentDictionary<ScientificName, IReadOnlyList<Taxon>> mostLike = new();

    /// <summary>The characters by part of the plant, in the order of the work.</summary>
    public IReadOnlyList<(string Part, IReadOnlyList<Character> Characters)> Parts { get; } =
        [.. flora.Characters.GroupBy(character => character.Part).Select(group => (group.Key, (IReadOnlyList<Character>)[.. group]))];

    /// <summary>Taxa whose scientific, common or former name holds the words.</summary>
    public IEnumerable<Taxon> FindTaxa(string words) => Flora.Taxa.Where(taxon => Holds(words, taxon.Name.Text)
        || taxon.CommonNames.Any(name => Holds(words, name)) || taxon.Synonyms.Any(name => Holds(words, name)) || Holds(words, taxon.Family));

    /// <summary>Characters whose label, question or states hold the words.</summary>
    public IEnumerable<Character> FindCharacters(string words) => Flora.Characters.Where(character => Holds(words, character.Label)
        || Holds(words, character.Question) || (character is StateCharacter states && states.States.Any(state => Holds(words, state.Label) || Holds(words, state.Id))));

    /// <summary>Asks what looks often ask, so that the first person need not wait for code to be compiled.</summary>
    public void WarmUp()
    {
        var plant = new Random(1);
        var recovery = new Core.Simulating.Recovery(Sieve, Flora);
        foreach (var taxon in Flora.Taxa.Take(WarmingLooks)) recovery.Look(taxon, 8, 0.1, 0.1, Core.Simulating.Strategy.NextLook, plant);
    }

    private const int WarmingLooks = 12;

    private static bool Holds(string words, string text) =>
        words.Split(' ', StringSplitOptions.RemoveEmptyEntries).All(word => text.Contains(word, StringComparison.OrdinalIgnoreCase));
}
