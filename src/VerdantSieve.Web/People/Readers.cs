using System.Security.Claims;
using System.Security.Cryptography;
using VerdantSieve.Store.Demo;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Web.Curating;
using VerdantSieve.Web.Safety;

namespace VerdantSieve.Web.People;

/// <summary>Who a request comes from: an account, a browser without one, or whoever sits at a machine of their own.</summary>
public static class Readers
{
    private const string Cookie = "notebook";
    private const int KeyBytes = 24;

    private static readonly CookieOptions Kept = new()
    {
        HttpOnly = true,
        IsEssential = true,
        MaxAge = TimeSpan.FromDays(400),
        SameSite = SameSiteMode.Lax,
    };

    /// <summary>Adds the reader of each request.</summary>
    public static void AddReaders(this IServiceCollection services)
    {
        services.AddHttpContextAccessor();
        services.AddScoped(provider =>
            provider.GetRequiredService<IHttpContextAccessor>().HttpContext is { } http
                ? Of(http, provider.GetRequiredService<Settings>())
                : Reader.Nobody
        );
    }

    /// <summary>The reader of a request.</summary>
    public static Reader Of(HttpContext http, Settings settings)
    {
        var person = http.User.Identity?.IsAuthenticated == true ? http.User.FindFirstValue(ClaimTypes.NameIdentifier) : null;
        string[] account = person is null ? [] : [person];
        IReadOnlyList<string> machine = settings.OnePerson && Hosts.IsFromHere(http) ? Machine(settings).Own : [];
        string[] guest =
            machine.Count == 0 && person is null && GuestOf(http, make: HttpMethods.IsPost(http.Request.Method)) is { } known
                ? [known]
                : [];
        return new Reader([.. account.Concat(machine).Concat(guest).Distinct()], person, person is null ? "" : http.User.Shown());
    }

    /// <summary>Whoever sits at a machine of their own: they have what was kept on it, and the demonstration's season.</summary>
    public static Reader Machine(Settings settings) =>
        settings.Demo ? new Reader([Reader.Machine, DemoReserve.Walker], null, "") : Reader.Here;

    /// <summary>The owner that stands for the browser; null where it has no key.</summary>
    /// <param name="http">The request.</param>
    /// <param name="make">Whether it is given one: reading leaves no trace, only who has something kept is known again.</param>
    public static string? GuestOf(HttpContext http, bool make)
    {
        var key = http.Items[Cookie] as string ?? http.Request.Cookies[Cookie];
        if (key is not { Length: > 0 and <= 100 })
        {
            if (!make)
                return null;
            key = Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(KeyBytes));
            http.Items[Cookie] = key;
            http.Response.Cookies.Append(Cookie, key, Kept);
        }
        return Reader.Guest(Convert.ToHexStringLower(SHA256.HashData(System.Text.Encoding.UTF8.GetBytes(key)))[..40]);
    }

    /// <summary>Lets go of the browser's key: what it stood for has moved to an account.</summary>
    public static void Forget(HttpContext http) => http.Response.Cookies.Delete(Cookie);
}
