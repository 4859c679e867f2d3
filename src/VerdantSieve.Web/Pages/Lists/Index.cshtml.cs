using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Store.Lists;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Web.Listing;
using VerdantSieve.Web.Notebooks;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Lists;

/// <summary>The reader’s lists, and how a new one is made.</summary>
public sealed class IndexModel(ListBook lists, TreeBook trees, FloraShelf shelf) : PageModel
{
    /// <summary>The most letters of a title.</summary>
    public const int LongestTitle = 120;

    public IReadOnlyList<ListEntry> Lists { get; private set; } = [];
    public Fault? Problem { get; private set; }

    // What was typed, kept where it can't be used.
    public string ListTitle { get; private set; } = "";
    public string Kinds { get; private set; } = "";
    public string? Region { get; private set; }
    public string? Group { get; private set; }

    public IReadOnlyList<string> Countries => shelf.Shipped.Flora.Countries;

    public async Task OnGet(CancellationToken cancel) => (Lists, Region) = (await lists.All(cancel), Habits.RegionOf(Request));

    /// <summary>Makes a list of names that were pasted.</summary>
    public async Task<IActionResult> OnPost(string? title, string? kinds, CancellationToken cancel)
    {
        (ListTitle, Kinds) = (title?.Trim() ?? "", kinds ?? "");
        var read = ListText.Of(kinds, shelf.Shipped);
        if (!read.Has(out var found))
            return await Refused(read.Faults[0], cancel);
        if (found.Kinds.Count == 0)
            return await Refused(
                new Fault("kinds", "No kind of this flora is named. Write scientific or common names, one a line."),
                cancel
            );
        var id = await lists.Begin(shelf.Shipped.Flora.About.Id, new ListContent(Titled("A list"), "", found.Kinds));
        ListModel.Tell(found, TempData);
        return RedirectToPage("/Lists/List", new { id });
    }

    /// <summary>Makes a list of what grows in a country, of a genus there, or of both.</summary>
    public async Task<IActionResult> OnPostCountry(string? region, string? group, CancellationToken cancel)
    {
        (Region, Group) = (region, group?.Trim());
        var taxa = shelf
            .Shipped.Flora.Taxa.Where(taxon => Region is not { Length: > 0 } here || taxon.Distribution.Includes(here))
            .Where(taxon => Group is not { Length: > 0 } name || taxon.IsOf(name))
            .ToArray();
        if (taxa.Length is 0 or > ListBook.MostKinds)
            return await Refused(
                Fault.AtField(
                    "group",
                    Group,
                    taxa.Length == 0
                        ? "Name a genus or a family that grows there, such as Acer or Fagaceae."
                        : $"A list has at most {ListBook.MostKinds} kinds, and these are {taxa.Length}; name a genus or family as well."
                ),
                cancel
            );
        var where = Region is { Length: > 0 } code && Regions.Exists(code) ? Regions.Name(code) : "";
        ListTitle = string.Join(
            " of ",
            new[] { Group is { Length: > 0 } ? Group : "Trees and shrubs", where }.Where(part => part.Length > 0)
        );
        return await Begin(taxa);
    }

    /// <summary>Makes a list of the kinds named in the notebook.</summary>
    public async Task<IActionResult> OnPostNotebook(CancellationToken cancel)
    {
        var open = shelf.Shipped;
        Taxon[] taxa = [.. (await trees.Points(open.Flora.About.Id, cancel: cancel)).KindsOf(open.Flora)];
        if (taxa.Length == 0)
            return await Refused(new Fault("notebook", "No tree of your notebook is named as a kind yet."), cancel);
        ListTitle = "My notebook";
        return await Begin(taxa);
    }

    private async Task<IActionResult> Begin(IEnumerable<Taxon> taxa)
    {
        ListedKind[] kinds =
        [
            .. taxa.OrderBy(taxon => taxon.Name.Text, StringComparer.Ordinal).Select(taxon => new ListedKind(taxon.Name.Text, "")),
        ];
        return RedirectToPage(
            "/Lists/List",
            new { id = await lists.Begin(shelf.Shipped.Flora.About.Id, new ListContent(Titled("A list"), "", kinds)) }
        );
    }

    private string Titled(string otherwise) =>
        ListTitle.Length switch
        {
            0 => otherwise,
            > LongestTitle => ListTitle[..LongestTitle],
            _ => ListTitle,
        };

    private async Task<IActionResult> Refused(Fault problem, CancellationToken cancel)
    {
        (Problem, Lists) = (problem, await lists.All(cancel));
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }
}
