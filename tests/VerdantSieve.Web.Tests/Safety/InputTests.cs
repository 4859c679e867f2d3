using System.Net;
using System.Text;
using Xunit;

namespace VerdantSieve.Web.Tests.Safety;

/// <summary>What no person types and some program sends: each is answered with a sentence.</summary>
public class InputTests(Application application)
{
    /// <summary>An address of the API, and what is sent there.</summary>
    public static TheoryData<string, string> Bodies { get; } =
        new()
        {
            { "sieve", "{\"readings\":[null]}" },
            { "sieve", "{\"readings\":[{}]}" },
            { "sieve", "{\"readings\":[{\"character\":\"\\u0000\"}]}" },
            { "sieve", "{\"readings\":[{\"character\":\"arrangement\",\"states\":[null]}]}" },
            { "sieve", "{\"readings\":[{\"character\":\"leaflet-count\",\"tally\":{\"7\":null}}]}" },
            { "sieve", $"{{\"readings\":[{{\"character\":\"blade-length\",\"values\":[{Repeated("12", 1001)}]}}]}}" },
            { "sieve", $"{{\"readings\":[{{\"character\":\"blade-length\",\"text\":\"{Repeated("12", 1001)} cm\"}}]}}" },
            { "sieve", "{\"flora\":\"a\\u0000b\"}" },
            { "sieve", "{\"place\":{\"region\":\"\\u0000\"}}" },
            { "sieve", "{\"slips\":99999999999}" },
            { "sieve", "" },
            { "sieve", new string('[', 100_000) },
            { "tell-apart", "{\"taxa\":[null,null]}" },
            { "tell-apart", "{\"taxa\":[\"\",\"\"]}" },
            { "read", "{\"text\":null}" },
            { "read", "{\"text\":\"\"}" },
        };

    [Theory]
    [MemberData(nameof(Bodies))]
    public async Task The_API_says_what_is_wrong(string to, string body)
    {
        using var json = new StringContent(body, Encoding.UTF8, "application/json");
        var answer = await application.Http.PostAsync($"/api/v1/{to}", json, TestContext.Current.CancellationToken);
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Contains("\"detail\"", await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
    }

    [Theory]
    [InlineData("/look/%00")]
    [InlineData("/look/..%2f..%2fetc")]
    [InlineData("/plants?flora=%00")]
    [InlineData("/notebook?page=2147483647")]
    [InlineData("/notebook?page=99999999999999999999")]
    [InlineData("/notebook?discarded=%00")]
    [InlineData("/plants?find=%00%01%1f")]
    [InlineData("/beside?taxa=&taxa=%00")]
    [InlineData("/desk/floras/%00/package")]
    [InlineData("/desk/floras?import=%00")]
    [InlineData("/api/v1/floras/%00/taxa")]
    public async Task No_address_is_a_fault_of_ours(string address) =>
        Assert.InRange((int)(await application.Http.GetAsync(address, TestContext.Current.CancellationToken)).StatusCode, 200, 499);

    [Fact]
    public async Task Control_characters_fall_away_and_what_is_typed_stays()
    {
        using var visitor = new Visitor(application.Address);
        var place = ("Where.Place", "Lan\u0001tern\u0007 Creek");
        var begun = await visitor.PostAs("/", await visitor.Token("/"), place, ("Where.Date", "2026-06-14"));
        Assert.Equal(HttpStatusCode.Redirect, begun.StatusCode);
        var look = begun.Headers.Location!.OriginalString;
        Assert.Contains("Lantern Creek", await visitor.Http.GetStringAsync(look, TestContext.Current.CancellationToken));
        var noted = await visitor.Post($"{look}?handler=Notes", ("notes", "one\u001f line\nand\tanother"));
        Assert.Equal(HttpStatusCode.Redirect, noted.StatusCode);
        var page = await visitor.Http.GetStringAsync(look, TestContext.Current.CancellationToken);
        Assert.Contains("one line\nand\tanother", WebUtility.HtmlDecode(page));
    }

    [Fact]
    public async Task A_form_that_cannot_be_read_is_told_so()
    {
        using var visitor = new Visitor(application.Address);
        var answer = await visitor.PostAs("/", await visitor.Token("/"), ("Where.Place", "Lantern\u0000 Creek"));
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Contains("a character that can", await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
    }

    [Fact]
    public async Task What_is_too_long_is_told_at_its_field()
    {
        using var visitor = new Visitor(application.Address);
        var begun = await visitor.PostAs("/", await visitor.Token("/"), ("Where.Place", new string('x', 201)));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, begun.StatusCode);
        Assert.Contains("At most 200 letters.", await begun.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
    }

    private static string Repeated(string text, int times) => string.Join(',', Enumerable.Repeat(text, times));
}
