using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Web.Notebooks;

namespace VerdantSieve.Web.Pages.Trees;

/// <summary>A label for a pressed specimen of a tree, to be printed and glued down.</summary>
public sealed class LabelModel(TreeBook trees, FloraShelf shelf, OpenTrees open) : PageModel
{
    public TreeView View { get; private set; } = null!;

    public async Task<IActionResult> OnGet(string id, CancellationToken cancel)
    {
        if (await trees.Find(id, cancel) is not { } tree || await shelf.Take(tree.FloraId) is not { } flora)
            return NotFound();
        View = new TreeView(tree, flora, open.Today);
        return Page();
    }
}
