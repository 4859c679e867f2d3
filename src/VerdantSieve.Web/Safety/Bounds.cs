using System.Globalization;
using System.Threading.RateLimiting;
using Microsoft.AspNetCore.Http.Timeouts;
using Microsoft.AspNetCore.RateLimiting;

namespace VerdantSieve.Web.Safety;

/// <summary>How much may come from one address in a minute, and how long one request may take.</summary>
public static class Bounds
{
    /// <summary>How long a request may take; one that takes longer is stopped and told so.</summary>
    public static readonly TimeSpan Patience = TimeSpan.FromSeconds(30);

    // What a busy person or a class behind one address does in a minute, several times over. Reading has no bound here.
    private static readonly (string Path, int PerMinute)[] Posts =
    [
        ("/sign-in", 20),
        ("/sign-up", 10),
        ("/forgotten", 6),
        ("/new-password", 20),
        ("/notebook/exchange", 30),
        ("/desk/floras", 12),
        ("/", 60),
        ("/board/trace", 60),
        ("/board/measure", 600),
    ];

    private const string Look = "/look";
    private const int RecordedPerMinute = 600;

    /// <summary>Adds them.</summary>
    public static void AddBounds(this IServiceCollection services, Settings settings)
    {
        services.AddRequestTimeouts(options =>
            options.DefaultPolicy = new RequestTimeoutPolicy
            {
                Timeout = Patience,
                TimeoutStatusCode = StatusCodes.Status503ServiceUnavailable,
            }
        );
        services.AddRateLimiter(options =>
        {
            options.RejectionStatusCode = StatusCodes.Status429TooManyRequests;
            options.GlobalLimiter = PartitionedRateLimiter.Create<HttpContext, string>(http => Of(http, settings.Pace));
            options.OnRejected = (rejected, _) =>
            {
                rejected.HttpContext.Response.Headers.RetryAfter = rejected.Lease.TryGetMetadata(MetadataName.RetryAfter, out var wait)
                    ? Math.Ceiling(wait.TotalSeconds).ToString(CultureInfo.InvariantCulture)
                    : "60";
                return ValueTask.CompletedTask;
            };
        });
    }

    private static RateLimitPartition<string> Of(HttpContext http, double pace)
    {
        var request = http.Request;
        if (!HttpMethods.IsPost(request.Method))
            return RateLimitPartition.GetNoLimiter("");
        if (request.Path.StartsWithSegments(Look))
            return At(Look, RecordedPerMinute);
        foreach (var (path, perMinute) in Posts)
            if (request.Path == path)
                return At(path, perMinute);
        return RateLimitPartition.GetNoLimiter("");

        RateLimitPartition<string> At(string path, int perMinute) =>
            RateLimitPartition.GetFixedWindowLimiter(
                $"{path} {http.Connection.RemoteIpAddress}",
                _ => new FixedWindowRateLimiterOptions { PermitLimit = (int)(perMinute * pace), Window = TimeSpan.FromMinutes(1) }
            );
    }
}
