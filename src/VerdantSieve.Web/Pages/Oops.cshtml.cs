using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace VerdantSieve.Web.Pages;

/// <summary>The page for an address that is not there, or for a fault of ours. The API answers with problem details instead.</summary>
[IgnoreAntiforgeryToken]
[ResponseCache(NoStore = true)]
public sealed class OopsModel : PageModel
{
    public string Heading { get; private set; } = "Something went wrong";
    public string Sentence { get; private set; } = "The fault is ours, and nothing you recorded is lost. Go back and try once more.";

    public IActionResult OnGet(int? code) => Answer(code);
    public IActionResult OnPost(int? code) => Answer(code);

    private IActionResult Answer(int? code)
    {
        var path = HttpContext.Features.Get<IStatusCodeReExecuteFeature>()?.OriginalPath ?? HttpContext.Features.Get<IExceptionHandlerPathFeature>()?.Path ?? "";
        if (path.StartsWith("/api/", StringComparison.Ordinal))
            return new ObjectResult(new ProblemDetails { Status = code ?? 500, Title = "The request failed" }) { StatusCode = code ?? 500, ContentTypes = { "application/problem+json" } };
        if (code == 404) (Heading, Sentence) = ("There is no such page", "The address names no look, plant or page here. A look’s address ends in its eight letters.");
        else if (code == 400) (Heading, Sentence) = ("That could not be used", "The page was open too long, or the form came from elsewhere. Go back, reload, and try once more.");
        return Page();
    }
}
