using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Looking;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Web.Shared;

/// <summary>What a reader set last and need not set again: how sure they are, and where they were. Kept in cookies of this site.</summary>
public static class Habits
{
    private const string Sureness = "sureness",
        Region = "region",
        Measured = "measured";

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

    /// <summary>What each certainty of the reader is taken for, where practice has measured it and they have agreed; empty where
    /// not.</summary>
    public static IReadOnlyDictionary<Certainty, Certainty> MeasuredCertainties(HttpRequest request)
    {
        var found = new Dictionary<Certainty, Certainty>();
        foreach (var pair in (request.Cookies[Measured] ?? "").Split('.', StringSplitOptions.RemoveEmptyEntries))
            if (
                pair.Split('-') is [var said, var taken]
                && EnumWords.TryRead<Certainty>(said, out var from)
                && EnumWords.TryRead<Certainty>(taken, out var to)
            )
                found[from] = to;
        return found;
    }

    /// <summary>A look that says nothing yet but how sure the reader’s words are to be taken.</summary>
    public static LookContent NewLook(HttpRequest request) =>
        MeasuredCertainties(request) is { Count: > 0 } measured ? new LookContent { TakenFor = measured } : new LookContent();

    /// <summary>Remembers that; nothing is remembered where each is taken for what it is.</summary>
    public static void Remember(HttpContext context, IReadOnlyDictionary<Certainty, Certainty> measured)
    {
        if (measured.Count == 0)
            context.Response.Cookies.Delete(Measured);
        else
            context.Response.Cookies.Append(
                Measured,
                string.Join('.', measured.Select(pair => $"{pair.Key.Word()}-{pair.Value.Word()}")),
                Kept
            );
    }
}
