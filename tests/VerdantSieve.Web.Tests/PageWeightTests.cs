using System.Net;
using System.Text.RegularExpressions;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>What a page costs to fetch, as a browser that takes compressed answers fetches it.</summary>
public partial class PageWeightTests(Application application)
{
    [Fact]
    public async Task The_looks_page_is_under_250_kB_on_first_load_with_its_fonts()
    {
        var page = await Fetch("/look/lantern4?ask=arrangement");
        var html = await application.Http.GetStringAsync("/look/lantern4?ask=arrangement");
        var css = await application.Http.GetStringAsync("/built/app.css");
        var parts = Linked()
            .Matches(html)
            .Select(match => WebUtility.HtmlDecode(match.Groups[1].Value).Split('#')[0])
            .Concat(FontFile().Matches(css).Select(match => "/built/" + match.Groups[1].Value))
            .Distinct()
            .ToArray();
        Assert.Contains(parts, part => part.EndsWith(".woff2"));
        var total = page;
        foreach (var part in parts)
            total += await Fetch(part);
        Assert.True(total < 250_000, $"{total} bytes");
    }

    [Fact]
    public async Task A_change_is_under_15_kB()
    {
        foreach (
            var address in new[] { "/look/lantern4", "/look/lantern4?ask=shape", "/look/lantern2", "/look/lantern8", "/look/lantern9" }
        )
        {
            var request = new HttpRequestMessage(HttpMethod.Get, address)
            {
                Headers = { { "HX-Request", "true" }, { "Accept-Encoding", "br" } },
            };
            var bytes = (await (await application.Http.SendAsync(request)).Content.ReadAsByteArrayAsync()).Length;
            Assert.True(bytes < 15_000, $"{address}: {bytes} bytes");
        }
    }

    [Fact]
    public async Task All_words_are_drawn_from_one_file_a_character_and_each_drawing_is_in_its_file()
    {
        var html = await application.Http.GetStringAsync("/words");
        var drawn = Linked()
            .Matches(html)
            .Select(match => WebUtility.HtmlDecode(match.Groups[1].Value))
            .Where(address => address.StartsWith("/drawings/state/", StringComparison.Ordinal))
            .Select(address => address.Split('#'))
            .ToLookup(parts => parts[0], parts => parts[1]);
        Assert.InRange(drawn.Count, 60, 130);
        Assert.True(drawn.Sum(file => file.Count()) > 3 * drawn.Count, "a file holds one drawing only");
        foreach (var file in drawn)
        {
            var svg = await application.Http.GetStringAsync(file.Key);
            foreach (var state in file)
                Assert.Contains($"<symbol id=\"{state}\"", svg);
        }
        Assert.Equal(HttpStatusCode.NotFound, (await application.Http.GetAsync("/drawings/state/no-such-character.svg")).StatusCode);
    }

    private async Task<int> Fetch(string address)
    {
        var answer = await application.Http.SendAsync(
            new HttpRequestMessage(HttpMethod.Get, address) { Headers = { { "Accept-Encoding", "br" } } }
        );
        Assert.True(answer.IsSuccessStatusCode, $"{address}: {answer.StatusCode}");
        return (await answer.Content.ReadAsByteArrayAsync()).Length;
    }

    [GeneratedRegex("(?:src|href)=\"(/(?:built|drawings|icon)[^\"]*)\"")]
    private static partial Regex Linked();

    [GeneratedRegex(@"url\(([a-z-]+\.woff2)\)")]
    private static partial Regex FontFile();
}
