using System.Diagnostics;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Web.Safety;

namespace VerdantSieve.Web.Pages;

/// <summary>The page for an address that is not there, for a time when the database is away, or for a fault of ours. The API answers with
/// problem details instead.</summary>
[IgnoreAntiforgeryToken]
public sealed class OopsModel(ILogger<OopsModel> log) : PageModel
{
    /// <summary>The header that tells a page's script what the log calls the fault.</summary>
    public const string ErrorHeader = "Error-Id";

    private const string NotSaved = "Not saved yet",
        NoAnswer = "Where things are kept does not answer just now.";

    // What is said of an answer by its status; what has none is a fault of ours.
    private static readonly Dictionary<int, (string Heading, string Sentence)> Words = new()
    {
        [StatusCodes.Status400BadRequest] = (
            "That could not be used",
            "The page was open too long, the form came from elsewhere, or it holds a character that can’t be read. "
                + "Go back, and try once more."
        ),
        [StatusCodes.Status404NotFound] = (
            "There is no such page",
            "The address names no look, plant or page here. A look’s address ends in its eight letters."
        ),
        [StatusCodes.Status405MethodNotAllowed] = ("That can’t be done here", "Pages are read with GET and forms sent with POST."),
        [StatusCodes.Status413PayloadTooLarge] = ("That is too much at once", "What was sent is larger than is taken here."),
        [StatusCodes.Status429TooManyRequests] = (
            "Too much at once",
            "More came from your address in a short time than is taken here. Wait a minute, then go on; nothing recorded is lost."
        ),
        [StatusCodes.Status503ServiceUnavailable] = (
            "It can’t be reached just now",
            $"{NoAnswer} Nothing you recorded is lost; try once more in a moment."
        ),
    };

    public string Heading { get; private set; } = "Something went wrong";
    public string Sentence { get; private set; } = "The fault is ours, and nothing you recorded is lost. Go back and try once more.";

    /// <summary>What the log calls the fault; null where the fault is not ours.</summary>
    public string? ErrorId { get; private set; }

    /// <summary>What was sent and not taken; null where nothing was.</summary>
    public SentAgain? Again { get; private set; }

    public Task<IActionResult> OnGet(int? code) => Answer(code);

    public Task<IActionResult> OnPost(int? code) => Answer(code);

    private async Task<IActionResult> Answer(int? code)
    {
        var fault = HttpContext.Features.Get<IExceptionHandlerPathFeature>();
        var was = HttpContext.Features.Get<IStatusCodeReExecuteFeature>();
        var path = was?.OriginalPath ?? fault?.Path ?? "";
        if (fault is not null)
            code = Recorded(fault);
        if (path.StartsWith("/api/", StringComparison.Ordinal))
            return ForPrograms(code ?? StatusCodes.Status500InternalServerError);
        var isStale = StaleTokens.Refused(HttpContext);
        if (isStale || fault is not null)
            Again = await SentAgain.Of(Request, path + (was?.OriginalQueryString ?? Request.QueryString.Value));
        if (code == StatusCodes.Status503ServiceUnavailable && Again is not null)
            (Heading, Sentence) = (NotSaved, $"{NoAnswer} What you sent stands below; send it once more in a moment.");
        else if (isStale && Again is not null)
            (Heading, Sentence) = (
                NotSaved,
                "You signed in or out elsewhere since this page was shown. What you sent stands below; send it once more."
            );
        else if (Words.TryGetValue(code ?? 0, out var words))
            (Heading, Sentence) = words;
        return Page();
    }

    // The status an error stands for, once the log has it.
    private int Recorded(IExceptionHandlerPathFeature fault)
    {
        if (Outage.Is(fault.Error))
        {
            log.LogWarning("The database did not answer at {Path}: {Why}", fault.Path, fault.Error.GetBaseException().Message);
            Response.Headers.RetryAfter = Outage.RetryAfter.ToString(System.Globalization.CultureInfo.InvariantCulture);
            return Response.StatusCode = StatusCodes.Status503ServiceUnavailable;
        }
        if (fault.Error is BadHttpRequestException sent)
            return Response.StatusCode = sent.StatusCode;
        ErrorId = Activity.Current?.TraceId.ToString() ?? HttpContext.TraceIdentifier;
        Response.Headers[ErrorHeader] = ErrorId;
        log.LogError(fault.Error, "Error {ErrorId} at {Path}", ErrorId, fault.Path);
        return StatusCodes.Status500InternalServerError;
    }

    private ObjectResult ForPrograms(int code)
    {
        var problem = new ProblemDetails
        {
            Status = code,
            Title = code == StatusCodes.Status503ServiceUnavailable ? "It can’t be reached just now" : "The request failed",
        };
        if (ErrorId is not null)
            problem.Extensions["errorId"] = ErrorId;
        return new ObjectResult(problem) { StatusCode = code, ContentTypes = { "application/problem+json" } };
    }
}
