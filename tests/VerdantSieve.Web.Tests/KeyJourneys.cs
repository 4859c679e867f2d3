using System.Net;
using OpenQA.Selenium;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>A key made, worked, doubted and printed.</summary>
public class KeyJourneys(Application application)
{
    [Theory]
    [InlineData(1280)]
    [InlineData(390)]
    public void A_key_is_made_for_a_country_and_worked_with_a_way_back(int width)
    {
        using var browser = application.Open(width, 844);
        browser.Go("/key");
        browser.Click("[name=region] option[value=ORE]");
        browser.Find("[name=group]").SendKeys("Acer");
        browser.Click("form.fields .button");
        browser.Await(() => browser.Has(".couplets"), "no key was made");
        Assert.Contains("Key to Acer of Oregon, in leaf", browser.Text("h1"));
        Assert.True(browser.Has(".couplets .drawn"), "nothing is drawn");
        // Each way leads to a couplet that is there, or ends.
        var there = browser.Driver.FindElements(By.CssSelector(".couplets > li")).Select(couplet => couplet.GetAttribute("id")).ToHashSet();
        foreach (var lead in browser.Driver.FindElements(By.CssSelector(".goes a[href*='#']")))
            Assert.Contains(lead.GetAttribute("href")!.Split('#')[1], there);

        browser.Click("p.noprint .button");
        browser.Await(() => browser.Has(".way"), "it can't be worked");
        var first = browser.Text("#now");
        browser.Click(".way[data-key='1']");
        browser.Await(() => browser.Text("#now") != first, "the way was not taken");
        for (var step = 0; step < 20 && browser.Has(".way"); step++)
        {
            var now = browser.Text("#now");
            browser.Click(".way[data-key='2']");
            browser.Await(() => browser.Text("#now") != now, "the way was not taken");
        }
        Assert.Contains("Acer", browser.Text(".working"));
        browser.Click(".trail li:first-child a");
        browser.Await(() => browser.Text("#now") == first, "it did not go back");
    }

    [Fact]
    public void What_is_left_of_a_look_is_carried_as_a_key()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "to be keyed");
        Assert.False(browser.Has(".pan a[href*='/key']"), "a key is offered before anything was read");
        var field = browser.Find("#say");
        field.SendKeys("Acer in Oregon, opposite, lobed like a hand, toothed, winged fruit, milky sap");
        field.SendKeys(Keys.Enter);
        browser.Await(() => browser.Has("a[href*='/key?names']"), "no key is offered");
        browser.Click("a[href*='/key?names']");
        browser.Await(() => browser.Has(".couplets"), "there is no key");
        Assert.Contains("Acer", browser.Text(".couplets"));
    }

    [Fact]
    public async Task A_list_of_names_is_mended_and_what_no_kind_goes_by_is_told()
    {
        var page = await application.Http.GetStringAsync(
            "/key?names=Acer+macrofyllum%0Avine+maple%0AAcer+glabrum%0AXyzzy+plugh",
            TestContext.Current.CancellationToken
        );
        Assert.Contains("Acer macrofyllum → Acer macrophyllum", WebUtility.HtmlDecode(page));
        Assert.Contains("vine maple → Acer circinatum", WebUtility.HtmlDecode(page));
        Assert.Contains("Not in this flora, and left out: Xyzzy plugh", page);
        Assert.Contains("3 kinds", page);
    }

    [Theory]
    [InlineData("group=Nosuchgenus", "No kind of this flora is asked for")]
    [InlineData("group=+&names=+&region=ZZZ", "Choose a country or state from the list")]
    public async Task What_can_not_be_made_is_told_why(string asked, string said)
    {
        var answer = await application.Http.GetAsync($"/key?{asked}", TestContext.Current.CancellationToken);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        Assert.Contains(said, await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
    }

    [Fact]
    public async Task The_booklet_is_a_PDF_of_several_pages()
    {
        var pdf = await application.Http.GetByteArrayAsync(
            "/key?handler=Booklet&region=ORE&group=Acer",
            TestContext.Current.CancellationToken
        );
        var text = System.Text.Encoding.Latin1.GetString(pdf);
        Assert.StartsWith("%PDF-", text, StringComparison.Ordinal);
        Assert.True(
            text.Split("/Type /Page\n").Length + text.Split("/Type /Page ").Length > 4
                || text.Contains("/Count 4", StringComparison.Ordinal),
            "there are too few pages"
        );
    }
}
