using Microsoft.Extensions.Primitives;

namespace VerdantSieve.Web.Safety;

/// <summary>Takes out of what is typed the control characters that text copied from elsewhere may carry: nobody sees them, and neither a
/// page
/// nor a database can keep them. Tabs and line ends stay.</summary>
public static class PlainText
{
    /// <summary>Cleans addresses and forms before anything reads them.</summary>
    public static void UsePlainText(this IApplicationBuilder app) =>
        app.Use(
            async (http, next) =>
            {
                var request = http.Request;
                if (request.Path.Value is { } path && path.Any(IsControl))
                {
                    http.Response.StatusCode = StatusCodes.Status404NotFound;
                    return;
                }
                if (request.Query.Any(field => IsDirty(field.Key) || field.Value.Any(IsDirty)))
                    request.Query = new QueryCollection(Cleaned(request.Query));
                // Files are read by their own readers.
                if (
                    request.HasFormContentType
                    && request.ContentType?.StartsWith("multipart/", StringComparison.OrdinalIgnoreCase) == false
                )
                {
                    if (await FormOf(request) is not { } form)
                    {
                        http.Response.StatusCode = StatusCodes.Status400BadRequest;
                        return;
                    }
                    if (form.Any(field => IsDirty(field.Key) || field.Value.Any(IsDirty)))
                        request.Form = new FormCollection(Cleaned(form));
                }
                await next(http);
            }
        );

    // The framework reads no form that holds a NUL; the page that says so must not try again.
    private static async Task<IFormCollection?> FormOf(HttpRequest request)
    {
        try
        {
            return await request.ReadFormAsync(request.HttpContext.RequestAborted);
        }
        catch (InvalidDataException)
        {
            request.Form = FormCollection.Empty;
            return null;
        }
    }

    /// <summary>A text without control characters.</summary>
    public static string Of(string text) => text.Any(IsControl) ? new string([.. text.Where(letter => !IsControl(letter))]) : text;

    private static bool IsControl(char letter) => char.IsControl(letter) && letter is not ('\t' or '\n' or '\r');

    private static bool IsDirty(string? text) => text?.Any(IsControl) == true;

    private static Dictionary<string, StringValues> Cleaned(IEnumerable<KeyValuePair<string, StringValues>> fields) =>
        fields
            .GroupBy(field => Of(field.Key), StringComparer.OrdinalIgnoreCase)
            .ToDictionary(
                group => group.Key,
                group => new StringValues([.. group.SelectMany(field => field.Value).Select(value => Of(value ?? ""))]),
                StringComparer.OrdinalIgnoreCase
            );
}
