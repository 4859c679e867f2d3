using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Planning;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Web.Notebooks;

namespace VerdantSieve.Web.Pages.Trees;

/// <summary>A sheet to take along: the trees of an outing with what is worth reading, drawn, and room to write.</summary>
public sealed class SheetModel(OpenTrees open, FloraShelf shelf) : PageModel
{
    /// <summary>How many looks stand on the sheet for each tree, and how many states are drawn of one.</summary>
    public const int LooksShown = 5,
        StatesShown = 8;

    public OpenFlora Flora => shelf.Shipped;

    /// <summary>The outings there are sheets for.</summary>
    public IReadOnlyList<PlannedOuting> Outings { get; private set; } = [];

    /// <summary>The outing of this sheet; null where none is planned.</summary>
    public PlannedOuting? Outing { get; private set; }
    public int At { get; private set; }
    public IReadOnlyDictionary<string, TreePoint> Trees { get; private set; } = null!;

    /// <summary>Where the filled sheet is entered: its trees, in its order.</summary>
    public string Entry =>
        "/notebook/enter" + QueryString.Create(Outing!.Visits.Select(visit => KeyValuePair.Create("tree", (string?)visit.Tree.Id)));

    public async Task OnGet(int outing = 0, CancellationToken cancel = default)
    {
        (var plan, Trees) = await open.Plan(cancel);
        await plan.Wait(Timeout.InfiniteTimeSpan, cancel);
        Outings = plan.Outings ?? [];
        At = Math.Clamp(outing, 0, Math.Max(0, Outings.Count - 1));
        Outing = Outings.Count > 0 ? Outings[At] : null;
    }

    /// <summary>The looks for a tree, those that can be drawn first.</summary>
    public static IEnumerable<Character> Looks(PlannedVisit visit) => visit.Ahead.Looks.Take(LooksShown).Select(look => look.Character);
}
