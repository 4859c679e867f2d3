using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Web.Notebooks;

namespace VerdantSieve.Web.Pages.Trees;

/// <summary>The reader's trees on a map, and where one stands set by a tap.</summary>
public sealed class MapModel(TreeBook trees, OutingBook outings) : PageModel
{
    /// <summary>How many trees are listed beside the map.</summary>
    public const int Listed = 200;

    public GroundView View { get; private set; } = null!;

    /// <summary>The tree whose place is being set; null where none is.</summary>
    public Tree? Placing { get; private set; }

    public async Task<IActionResult> OnGet(string? place, CancellationToken cancel)
    {
        if (place is not null && (Placing = await trees.Find(place, cancel)) is not { May: Sharing.Own })
            return NotFound();
        View = await Load(cancel);
        return Page();
    }

    /// <summary>The ground alone, as a picture.</summary>
    public async Task<IActionResult> OnGetGround(CancellationToken cancel) => Content((await Load(cancel)).Ground, "image/svg+xml");

    /// <summary>Takes the place that was tapped.</summary>
    public async Task<IActionResult> OnPostPlace(string place, double x, double y, CancellationToken cancel)
    {
        if (await trees.Find(place, cancel) is not { May: Sharing.Own } tree)
            return NotFound();
        if (x is not (>= 0 and <= GroundView.Width) || y is not (>= 0 and <= GroundView.Height))
            return RedirectToPage(new { place });
        await trees.Place(place, (await Load(cancel)).Map.PositionAt(new Point(x, y), tree.Position?.Elevation ?? 0));
        return RedirectToPage("/Trees/Tree", null, new { id = place }, "details");
    }

    private async Task<GroundView> Load(CancellationToken cancel)
    {
        var ways = (await outings.List(cancel)).Take(1).Select(outing => OutingModel.WayOf(outing)).ToArray();
        return new GroundView(await trees.Points(cancel: cancel), ways, tree => Url.Page("/Trees/Tree", new { id = tree.Id })!);
    }
}
