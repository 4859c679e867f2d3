using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Web.Pages.Plants;

/// <summary>All kinds of the flora, by family.</summary>
public sealed class IndexModel(FloraShelf shelf) : PageModel
{
    public FloraAbout About => shelf.Flora.About;
    public int Total => shelf.Flora.Taxa.Count;
    public string? Find { get; private set; }
    public IReadOnlyList<IGrouping<string, Taxon>> Families { get; private set; } = [];

    public string FamilyWord(string family) => shelf.Flora.FamilyWord(family);

    public void OnGet(string? find)
    {
        Find = find?.Trim();
        var taxa = string.IsNullOrEmpty(Find) ? shelf.Flora.Taxa : shelf.FindTaxa(Find);
        Families = [.. taxa.GroupBy(taxon => taxon.Family).OrderBy(group => group.Key)];
    }
}
