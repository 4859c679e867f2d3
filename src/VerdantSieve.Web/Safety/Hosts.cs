using System.Net;
using Microsoft.AspNetCore.HostFiltering;
using Microsoft.AspNetCore.HttpOverrides;

namespace VerdantSieve.Web.Safety;

/// <summary>Under which names the application answers, and whom it believes about where a request came from.</summary>
public static class Hosts
{
    private static readonly string[] Loopback = ["localhost", "127.0.0.1", "[::1]"];

    /// <summary>Only the names of this machine unless others are set: a site that gives its own name the address of this machine could
    /// otherwise read and change what is here.</summary>
    public static void AddHosts(this IServiceCollection services, Settings settings)
    {
        services.AddHostFiltering(options =>
        {
            options.AllowedHosts = [.. Loopback, .. settings.Hosts];
            options.AllowEmptyHosts = false;
        });
        services.Configure<HostFilteringOptions>(options => options.IncludeFailureMessage = true);
        if (settings.Proxies.Count > 0)
            services.Configure<ForwardedHeadersOptions>(options =>
            {
                options.ForwardedHeaders = ForwardedHeaders.XForwardedFor | ForwardedHeaders.XForwardedProto;
                options.KnownProxies.Clear();
                options.KnownIPNetworks.Clear();
                foreach (var proxy in settings.Proxies)
                    options.KnownProxies.Add(IPAddress.Parse(proxy));
            });
    }

    /// <summary>Whether a request comes from this machine.</summary>
    public static bool IsFromHere(HttpContext http) => http.Connection.RemoteIpAddress is { } address && IPAddress.IsLoopback(address);
}
