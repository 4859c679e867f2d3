using System.Net;
using System.Threading.RateLimiting;
using Microsoft.AspNetCore.Http;
using Microsoft.AspNetCore.RateLimiting;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Options;
using VerdantSieve.Web.Safety;
using Xunit;

namespace VerdantSieve.Web.Tests.Safety;

/// <summary>How much may come from one address in a minute.</summary>
public sealed class BoundsTests
{
    [Theory]
    [InlineData("POST", "/", 60)]
    [InlineData("POST", "/look/abcdefgh", 600)]
    [InlineData("POST", "/sign-in", 20)]
    [InlineData("POST", "/desk/floras", 12)]
    [InlineData("POST", "/units", int.MaxValue)]
    [InlineData("GET", "/", int.MaxValue)]
    public void So_many_are_let_through_and_those_of_another_address_are_not_counted(string method, string path, int most)
    {
        using var limiter = Limiter();
        var tries = Math.Min(most, 1000);
        for (var number = 0; number < tries; number++)
            Assert.True(limiter.AttemptAcquire(From("192.0.2.1")).IsAcquired, $"number {number + 1} was held back");
        Assert.Equal(most == int.MaxValue, limiter.AttemptAcquire(From("192.0.2.1")).IsAcquired);
        Assert.True(limiter.AttemptAcquire(From("192.0.2.2")).IsAcquired);

        HttpContext From(string address)
        {
            var http = new DefaultHttpContext();
            http.Connection.RemoteIpAddress = IPAddress.Parse(address);
            (http.Request.Method, http.Request.Path) = (method, path);
            return http;
        }
    }

    private static PartitionedRateLimiter<HttpContext> Limiter()
    {
        var services = new ServiceCollection();
        services.AddBounds(new Settings("", "", "", false));
        return services.BuildServiceProvider().GetRequiredService<IOptions<RateLimiterOptions>>().Value.GlobalLimiter!;
    }
}
