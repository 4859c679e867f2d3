using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Store.Looks;
using VerdantSieve.Web.Pages.Looks;

namespace VerdantSieve.Web.Pages;

/// <summary>The first page: where and when, and off.</summary>
public sealed class IndexModel(LookBook book, FloraShelf shelf) : PageModel
{
    [BindProperty]
    public WhereForm Where { get; set; } = new();

    public IReadOnlyList<LookEntry> Recent { get; private set; } = [];

    public async Task OnGet()
    {
        Where = new WhereForm { Region = "ORE", Date = DateTime.Today.ToString("yyyy-MM-dd"), Setting = "wild" };
        Recent = await book.List(take: 4);
    }

    public async Task<IActionResult> OnPost()
    {
        if (Where.Fill(new LookContent()) is not { } content)
        {
            Recent = await book.List(take: 4);
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            return Page();
        }
        var look = await book.Start(shelf.Flora.About.Id, content);
        return Redirect($"/look/{look.Id}");
    }
}
