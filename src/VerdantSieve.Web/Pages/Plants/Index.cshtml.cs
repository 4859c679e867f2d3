using Microsoft.AspNetCore.Mvc;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Plants;

/// <summary>All kinds of the flora, by family and genus, and narrowed by name, country or hazard.</summary>
public sealed class IndexModel(FloraShelf shelf) : FloraPage(shelf)
{
    public FloraAbout About => Open.Flora.About;
    public int Total => Open.Flora.Taxa.Count;
    public string? Find { get; private set; }
    public string? Family { get; private set; }
    public string? Genus { get; private set; }
    public string? Region { get; private set; }
    public HazardKind? Hazard { get; private set; }
    public bool MisspeltOnly { get; private set; }

    /// <summary>The most plates on one page: each is a page’s worth of drawing.</summary>
    public const int MostPlates = 60;

    /// <summary>Whether plates are shown and not only small drawings.</summary>
    public bool AsPlates { get; private set; }

    /// <summary>Whether there are more than are shown.</summary>
    public bool IsCut { get; private set; }

    /// <summary>The same list, as plates or not.</summary>
    public string Shown(bool plates) =>
        Url.Page(
            "/Plants/Index",
            new
            {
                find = Find,
                family = Family,
                genus = Genus,
                region = Region,
                hazard = Hazard?.Word(),
                flora = Open.Named,
                @as = plates ? "plates" : null,
            }
        )!;

    public IReadOnlyList<IGrouping<string?, Taxon>> Families { get; private set; } = [];

    /// <summary>Whether only some kinds are asked for; else families and genera are shown.</summary>
    public bool Narrowed => Find is not null || Family is not null || Genus is not null || Region is not null || Hazard is not null;

    public string FamilyWord(string? family) => family is null ? "" : Open.Flora.FamilyWord(family);

    public IReadOnlyList<string> Countries => Open.Flora.Countries;

    public string Sentence
    {
        get
        {
            var said = new List<string>();
            if (Find is not null)
                said.Add($"that go by “{Find}”");
            if (Genus is not null)
                said.Add($"of the genus {Genus}");
            if (Family is not null)
                said.Add($"of {Family}");
            if (Region is not null)
                said.Add($"known from {Regions.Name(Region)}");
            if (Hazard is { } kind)
                said.Add(Say.ThatHave(kind));
            var count = Families.Sum(family => family.Count());
            return $"Here are {count} {Wording.Join(said, "and")}.";
        }
    }

    public void OnGet(string? find, string? family, string? genus, string? region, string? hazard, [FromQuery(Name = "as")] string? shownAs)
    {
        AsPlates = shownAs == "plates";
        Find = find?.Trim() is { Length: > 0 } words ? words : null;
        Family = family is { Length: > 0 } ? family : null;
        Genus = genus is { Length: > 0 } ? genus : null;
        Region = region is { Length: > 0 } && Regions.Exists(region) ? region : null;
        Hazard = EnumWords.TryRead<HazardKind>(hazard, out var kind) ? kind : null;
        IEnumerable<Taxon> taxa = Open.Flora.Taxa;
        if (Find is not null)
            (taxa, MisspeltOnly) = Open.FindTaxa(Find);
        if (Family is not null)
            taxa = taxa.Where(taxon => taxon.Family == Family);
        if (Genus is not null)
            taxa = taxa.Where(taxon => taxon.Name.Genus == Genus);
        if (Region is not null)
            taxa = taxa.Where(taxon => taxon.Distribution.Includes(Region));
        if (Hazard is not null)
            taxa = taxa.Where(taxon => taxon.Hazards.Any(h => h.Kind == Hazard));
        if (AsPlates)
        {
            var shown = taxa.Take(MostPlates + 1).ToArray();
            (IsCut, taxa) = (shown.Length > MostPlates, shown.Take(MostPlates));
        }
        Families = [.. taxa.GroupBy(taxon => taxon.Family).OrderBy(group => group.Key)];
    }
}
