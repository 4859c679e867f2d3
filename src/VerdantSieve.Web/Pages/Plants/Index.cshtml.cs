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

    public void OnGet(string? find, string? family, string? genus, string? region, string? hazard)
    {
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
        Families = [.. taxa.GroupBy(taxon => taxon.Family).OrderBy(group => group.Key)];
    }
}
