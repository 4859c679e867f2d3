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

    /// <summary>The characters by part of the plant, in the order of the work.</summary>
    public IReadOnlyList<(string Part, IReadOnlyList<Character> Characters)> Parts { get; } =
        [.. flora.Characters.GroupBy(character => character.Part).Select(group => (group.Key, (IReadOnlyList<Character>)[.. group]))];

    /// <summary>Taxa whose scientific, common or former name holds the words.</summary>
    public IEnumerable<Taxon> FindTaxa(string words) => Flora.Taxa.Where(taxon => Holds(words, taxon.Name.Text)
        || taxon.CommonNames.Any(name => Holds(words, name)) || taxon.Synonyms.Any(name => Holds(words, name)) || Holds(words, taxon.Family));

    /// <summary>Characters whose label, question or states hold the words.</summary>
    public IEnumerable<Character> FindCharacters(string words) => Flora.Characters.Where(character => Holds(words, character.Label)
        || Holds(words, character.Question) || (character is StateCharacter states && states.States.Any(state => Holds(words, state.Label) || Holds(words, state.Id))));

    private static bool Holds(string words, string text) =>
        words.Split(' ', StringSplitOptions.RemoveEmptyEntries).All(word => text.Contains(word, StringComparison.OrdinalIgnoreCase));
}
