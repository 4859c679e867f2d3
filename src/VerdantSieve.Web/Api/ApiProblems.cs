using VerdantSieve.Core;

namespace VerdantSieve.Web.Api;

/// <summary>What the API answers where a request can't be used.</summary>
public static class ApiProblems
{
    /// <summary>A field can't be used.</summary>
    public static IResult Bad(Fault fault) =>
        Results.Problem(
            statusCode: 400,
            title: "The request can’t be used",
            detail: fault.ToString(),
            extensions: new Dictionary<string, object?>
            {
                ["field"] = fault.At,
                ["value"] = fault.Value,
                ["allowed"] = fault.Message,
            }
        );

    /// <summary>There is too much of it. The rest is not read, so the connection can't be used again.</summary>
    public static IResult TooLarge(HttpContext http, long most)
    {
        http.Response.Headers.Connection = "close";
        return Results.Problem(statusCode: 413, title: "The request is too large", detail: $"A request may hold {most / 1000} kB.");
    }
}
