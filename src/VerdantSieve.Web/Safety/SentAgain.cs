namespace VerdantSieve.Web.Safety;

/// <summary>A form that could not be taken, with what was typed in it, to be sent once more.</summary>
/// <param name="Action">Where it goes.</param>
/// <param name="Fields">What was typed.</param>
public sealed record SentAgain(string Action, IReadOnlyList<KeyValuePair<string, string>> Fields)
{
    private const string TokenField = "__RequestVerificationToken";

    /// <summary>The form of a request; null where there is none, where it came from another site, or where it holds what must not stand in
    /// a page: a password or a file.</summary>
    /// <param name="request">The request.</param>
    /// <param name="action">The address it was sent to.</param>
    public static async Task<SentAgain?> Of(HttpRequest request, string action)
    {
        if (!HttpMethods.IsPost(request.Method) || !request.HasFormContentType || IsFromElsewhere(request))
            return null;
        try
        {
            var form = await request.ReadFormAsync(request.HttpContext.RequestAborted);
            if (form.Files.Count > 0 || form.Keys.Any(key => key.Contains("password", StringComparison.OrdinalIgnoreCase)))
                return null;
            return new SentAgain(
                action,
                [
                    .. form.Where(field => field.Key != TokenField)
                        .SelectMany(field => field.Value.Select(value => KeyValuePair.Create(field.Key, value ?? ""))),
                ]
            );
        }
        catch (Exception unreadable) when (unreadable is InvalidDataException or BadHttpRequestException or IOException)
        {
            return null;
        }
    }

    // Browsers say where a form was sent from (the Fetch Metadata headers of the W3C).
    private static bool IsFromElsewhere(HttpRequest request) =>
        request.Headers["Sec-Fetch-Site"].ToString() is { Length: > 0 } site && site is not ("same-origin" or "none");
}
