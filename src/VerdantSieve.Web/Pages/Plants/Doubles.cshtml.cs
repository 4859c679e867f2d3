using VerdantSieve.Core.Botany;

namespace VerdantSieve.Web.Pages.Plants;

/// <summary>Kinds that are taken for each other, as cards with the mark on the back.</summary>
public sealed class DoublesModel(FloraShelf shelf) : FloraPage(shelf)
{
    /// <summary>The most cards on a page.</summary>
    public const int Most = 60;

    public Taxon? Of { get; private set; }
    public string? Region { get; private set; }
    public string? Family { get; private set; }
    public bool More { get; private set; }
    public IReadOnlyList<(Taxon Taxon, Taxon Other, string Mark)> Cards { get; private set; } = [];

    public IEnumerable<string> Families => Open.Families.Select(family => family.Key);

    public IReadOnlyList<string> Countries => Open.Flora.Countries;

    public void OnGet(string? of, string? region, string? family)
    {
        Of = Open.FindBySlug(of);
        Region = region is { Length: > 0 } && Regions.Exists(region) ? region : null;
        Family = family is { Length: > 0 } ? family : null;
        var cards =
            from taxon in Of is { } one ? [one] : Open.Flora.Taxa
            from look in taxon.Doubles
            let other = Open.Flora.FindTaxon(look.Name)
            where
                other is not null
                && (Family is null || taxon.Family == Family)
                && (Region is null || (taxon.Distribution.Includes(Region) && other.Distribution.Includes(Region)))
            select (taxon, other, look.Mark);
        var all = cards.Take(Most + 1).ToArray();
        (Cards, More) = ([.. all.Take(Most)], all.Length > Most);
    }
}
