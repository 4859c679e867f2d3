using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core;
using VerdantSieve.Core.Practising;
using VerdantSieve.Store.Lists;
using VerdantSieve.Store.Practising;
using VerdantSieve.Web.Pages.Practice;
using VerdantSieve.Web.Practising;

namespace VerdantSieve.Web.Pages.Lists;

/// <summary>A class that works a list: for whoever is in it the way in, for its teacher what is confused. Nobody is named.</summary>
public sealed class ClassModel(ListBook lists, PracticeBook practice, PracticeDesk desk, FloraShelf shelf) : PageModel
{
    // Of fewer than so many it could be told who said what.
    private const int Fewest = 2;

    [BindProperty]
    public PoolForm Form { get; set; } = new();

    public PlantClass Class { get; private set; } = null!;
    public PlantList List { get; private set; } = null!;
    public OpenFlora Open { get; private set; } = null!;
    public Fault? Problem { get; private set; }

    /// <summary>How many have answered anything.</summary>
    public int People { get; private set; }

    /// <summary>What is confused; null for those who are not its teacher, and while so few have answered that it would tell of
    /// one.</summary>
    public ConfusionsView? View { get; private set; }

    /// <summary>How each kind fared: how often it was shown, and how often named right.</summary>
    public IReadOnlyList<Fared> Kinds { get; private set; } = [];

    public async Task<IActionResult> OnGet(string id, CancellationToken cancel) => await Load(id, cancel) ? Page() : NotFound();

    /// <summary>Begins a set of the list.</summary>
    public async Task<IActionResult> OnPost(string id, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
            return NotFound();
        if (Class.IsOpen)
        {
            var begun = await desk.Begin(Class, List, Form, Open);
            if (begun.Has(out var set))
                return RedirectToPage("/Practice/Set", new { id = set });
            Problem = begun.Faults[0];
        }
        else
            Problem = new Fault("class", "This class is closed; its teacher can open it again.");
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    public async Task<IActionResult> OnPostClose(string id, bool closed) =>
        await lists.Close(id, closed) ? RedirectToPage(new { id }) : NotFound();

    private async Task<bool> Load(string id, CancellationToken cancel)
    {
        if (await lists.FindClass(id, cancel) is not ({ } of, { } list) || await shelf.Take(list.FloraId) is not { } open)
            return false;
        (Class, List) = (of, list);
        Open = open;
        if (!of.IsOwn)
            return true;
        (var answers, People) = await practice.OfClass(id, cancel);
        if (People < Fewest)
            return true;
        View = new ConfusionsView(open, Confusions.Of(answers), answers.Count);
        Kinds = Fared.Of(answers);
        return true;
    }
}
