using System.Text.Json;
using Microsoft.Extensions.Options;
using VerdantSieve.Core;

namespace VerdantSieve.Web.Api;

/// <summary>The body of a request as JSON, or what is wrong with it. The framework makes it for every handler that asks for one.</summary>
/// <param name="Body">What was sent; null where it can't be used.</param>
/// <param name="Trouble">What to answer then.</param>
public sealed record ApiRequest<T>(T? Body, IResult? Trouble)
    where T : class
{
    /// <summary>The largest body in bytes: 1 MB.</summary>
    public const long Largest = ApiLimits.LargestBody;

    /// <summary>Reads the body.</summary>
    public static async ValueTask<ApiRequest<T>> BindAsync(HttpContext http)
    {
        var request = http.Request;
        if (request.ContentLength > Largest)
            return new(null, ApiProblems.TooLarge(http, Largest));
        if (!request.HasJsonContentType())
            return new(null, Results.Problem(statusCode: 415, title: "Not JSON", detail: "Send the request as application/json."));
        var json = http.RequestServices.GetRequiredService<IOptions<Microsoft.AspNetCore.Http.Json.JsonOptions>>().Value.SerializerOptions;
        try
        {
            return await JsonSerializer.DeserializeAsync<T>(request.Body, json, http.RequestAborted) is { } body
                ? new(body, null)
                : new(null, ApiProblems.Bad(Fault.AtField("body", "null", "It must be a JSON object.")));
        }
        catch (JsonException wrong)
        {
            // What was sent is the sender's fault, who is told; there is nothing for the log.
            var field = wrong.Path is { Length: > 2 } path ? path[2..] : "body";
            var allowed = $"The JSON can’t be read at line {wrong.LineNumber + 1}: a value is missing, misplaced or of the wrong kind.";
            return new(null, ApiProblems.Bad(Fault.AtField(field, null, allowed)));
        }
        catch (BadHttpRequestException tooLarge) when (tooLarge.StatusCode == StatusCodes.Status413PayloadTooLarge)
        {
            return new(null, ApiProblems.TooLarge(http, Largest));
        }
    }
}

/// <summary>What a request may hold.</summary>
public static class ApiLimits
{
    /// <summary>The largest body in bytes: 1 MB.</summary>
    public const long LargestBody = 1_000_000;
}
