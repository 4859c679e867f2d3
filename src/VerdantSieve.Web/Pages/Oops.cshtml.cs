using System.Diagnostics;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace VerdantSieve.Web.Pages;

/// <summary>The page for an address that is not there, or for a fault of ours. The API answers with problem details instead.</summary>
[IgnoreAntiforgeryToken]
public sealed class OopsModel(ILogger<OopsModel> log) : PageModel
{
    public string Heading { get; private set; } = "Something went wrong";
    public string Sentence { get; private set; } = "The fault is ours, and nothing you recorded is lost. Go back and try once more.";

    /// <summary>What the log calls the fault; null where the fault is not ours.</summary>
    public string? ErrorId { get; private set; }

    public IActionResult OnGet(int? code) => Answer(code);

    public IActionResult OnPost(int? code) => Answer(code);

    private IActionResult Answer(int? code)
    {
        var fault = HttpContext.Features.Get<IExceptionHandlerPathFeature>();
        if (fault is not null)
        {
            ErrorId = Activity.Current?.TraceId.ToString() ?? HttpContext.TraceIdentifier;
            log.LogError(fault.Error, "Error {ErrorId} at {Path}", ErrorId, fault.Path);
        }
        var path = HttpContext.Features.Get<IStatusCodeReExecuteFeature>()?.OriginalPath ?? fault?.Path ?? "";
        if (path.StartsWith("/api/", StringComparison.Ordinal))
            return ForPrograms(code ?? StatusCodes.Status500InternalServerError);
        if (code == 404)
            (Heading, Sentence) = (
                "There is no such page",
                "The address names no look, plant or page here. A look’s address ends in its eight letters."
            );
        else if (code == 400)
            (Heading, Sentence) = (
                "That could not be used",
                "The page was open too long, or the form came from elsewhere. Go back, reload, and try once more."
            );
        return Page();
    }

    private ObjectResult ForPrograms(int code)
    {
        var problem = new ProblemDetails { Status = code, Title = "The request failed" };
        if (ErrorId is not null)
            problem.Extensions["errorId"] = ErrorId;
        return new ObjectResult(problem) { StatusCode = code, ContentTypes = { "application/problem+json" } };
    }
}
