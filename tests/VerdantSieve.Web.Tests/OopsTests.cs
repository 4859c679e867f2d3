using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.Extensions.Logging;
using VerdantSieve.Web.Pages;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>What is shown and logged when something went wrong.</summary>
public class OopsTests
{
    private readonly Lines log = new();

    private OopsModel Page(Exception? error)
    {
        var http = new DefaultHttpContext { TraceIdentifier = "trace-1" };
        if (error is not null)
            http.Features.Set<IExceptionHandlerPathFeature>(new ExceptionHandlerFeature { Error = error, Path = "/look/lantern2" });
        return new OopsModel(log) { PageContext = new PageContext { HttpContext = http } };
    }

    [Fact]
    public void A_fault_of_ours_is_logged_under_the_id_that_is_shown()
    {
        var page = Page(new InvalidOperationException("the sky fell"));
        page.OnGet(null);
        Assert.False(string.IsNullOrEmpty(page.ErrorId));
        var line = Assert.Single(log.Written);
        Assert.Contains(page.ErrorId, line);
        Assert.Contains("the sky fell", line);
    }

    [Fact]
    public void An_address_that_is_not_there_is_no_fault_of_ours()
    {
        var page = Page(null);
        page.OnGet(404);
        Assert.Null(page.ErrorId);
        Assert.Empty(log.Written);
        Assert.Equal("There is no such page", page.Heading);
    }

    private sealed class Lines : ILogger<OopsModel>
    {
        public List<string> Written { get; } = [];

        public IDisposable? BeginScope<TState>(TState state)
            where TState : notnull => null;

        public bool IsEnabled(LogLevel level) => true;

        public void Log<TState>(LogLevel level, EventId id, TState state, Exception? error, Func<TState, Exception?, string> format) =>
            Written.Add($"{format(state, error)} {error?.Message}");
    }
}
