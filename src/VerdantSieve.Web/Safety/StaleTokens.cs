using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Mvc.Core.Infrastructure;
using Microsoft.AspNetCore.Mvc.Filters;

namespace VerdantSieve.Web.Safety;

/// <summary>A form's token goes stale where its reader signs in or out in another window. The refusal then brings a new token, which only
/// pages of this origin can read, so that their script sends the form once more and nobody notices.</summary>
public sealed class StaleTokens(IAntiforgery antiforgery) : IAlwaysRunResultFilter
{
    /// <summary>The header with the new token.</summary>
    public const string Header = "Request-Token";

    /// <summary>Whether a request was refused for its token.</summary>
    public static bool Refused(HttpContext http) => http.Items.ContainsKey(typeof(StaleTokens));

    /// <inheritdoc/>
    public void OnResultExecuting(ResultExecutingContext context)
    {
        if (context.Result is not IAntiforgeryValidationFailedResult)
            return;
        context.HttpContext.Items[typeof(StaleTokens)] = true;
        context.HttpContext.Response.Headers[Header] = antiforgery.GetAndStoreTokens(context.HttpContext).RequestToken;
    }

    /// <inheritdoc/>
    public void OnResultExecuted(ResultExecutedContext context) { }
}
