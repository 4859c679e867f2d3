namespace VerdantSieve.Web.Safety;

/// <summary>What every answer tells the browser: scripts and styles from here alone, in no frame, nothing guessed and nothing told to other
/// sites.</summary>
/// <remarks>Content Security Policy Level 3 and Referrer Policy (W3C), X-Content-Type-Options (WHATWG Fetch), as remembered.</remarks>
public static class SafeHeaders
{
    private const string Policy =
        "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; font-src 'self'; connect-src 'self'; "
        + "manifest-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    /// <summary>Adds them to every answer, errors and files among them.</summary>
    public static void UseSafeHeaders(this IApplicationBuilder app) =>
        app.Use(
            (http, next) =>
            {
                // As the answer sets out: the page for an error takes away what was set before.
                http.Response.OnStarting(Set, http.Response.Headers);
                return next(http);
            }
        );

    private static Task Set(object state)
    {
        var headers = (IHeaderDictionary)state;
        headers.ContentSecurityPolicy = Policy;
        headers.XContentTypeOptions = "nosniff";
        headers.XFrameOptions = "DENY";
        // What browsers once guessed was an attack did more harm than good: off, as OWASP has it.
        headers.XXSSProtection = "0";
        headers["Referrer-Policy"] = "same-origin";
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        headers["Cross-Origin-Resource-Policy"] = "same-origin";
        headers["Permissions-Policy"] = "geolocation=(self), camera=(), microphone=()";
        return Task.CompletedTask;
    }
}
