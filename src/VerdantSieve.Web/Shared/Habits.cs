using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Web.Shared;

/// <summary>What a reader set last and need not set again: how sure they are, and where they were. Kept in cookies of this site.</summary>
public static class Habits
{
    private const string Sureness = "sureness",
        Region = "region";

    private static readonly CookieOptions Kept = new()
    {
        HttpOnly = true,
        IsEssential = true,
        MaxAge = TimeSpan.FromDays(400),
        SameSite = SameSiteMode.Lax,
    };

    /// <summary>How sure the reader said they are; fairly where they never said.</summary>
    public static Certainty CertaintyOf(HttpContext context) =>
        EnumWords.TryRead<Certainty>(context.Items[Sureness] as string ?? context.Request.Cookies[Sureness], out var certainty)
            ? certainty
            : Certainty.Fair;

    /// <summary>Remembers how sure they are, from this request on.</summary>
    public static void Remember(HttpContext context, Certainty certainty)
    {
        context.Items[Sureness] = certainty.Word();
        context.Response.Cookies.Append(Sureness, certainty.Word(), Kept);
    }

    /// <summary>The country of the last look; null where there was none.</summary>
    public static string? RegionOf(HttpRequest request) => request.Cookies[Region] is { } region && Regions.Exists(region) ? region : null;

    /// <summary>Remembers the country.</summary>
    public static void Remember(HttpContext context, string? region)
    {
        if (region is { Length: > 0 })
            context.Response.Cookies.Append(Region, region, Kept);
    }
}
