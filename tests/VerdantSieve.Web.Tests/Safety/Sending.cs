using System.Net;
using System.Text.RegularExpressions;
using Microsoft.EntityFrameworkCore;
using OpenQA.Selenium;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>What is recorded while the application, its database or its own token is away: said, kept, sent again, and counted
/// once.</summary>
public sealed partial class Sending(Application application)
{
    [Fact]
    public async Task What_is_tapped_while_the_application_is_away_is_said_kept_and_sent_when_it_is_back()
    {
        var (process, address) = await application.StartAnother();
        try
        {
            using var browser = application.Open(address);
            LookJourneys.Start(browser, "cut off");
            var look = browser.At;
            browser.Click(".glance-row button[value=opposite]");
            browser.Await(() => browser.Has(".mesh"), "the first tap was not recorded");
            process.Kill(entireProcessTree: true);
            await process.WaitForExitAsync(TestContext.Current.CancellationToken);

            browser.Click("#glance-structure button[value=pinnate]");
            browser.Await(() => browser.Find("#unsent").Displayed, "nothing says that it is not saved");
            browser.Click("#glance-foliage button[value=broad]");
            browser.Await(() => browser.Text("#unsent .what") == "a feather, broad", "what waits is not named");
            Assert.Single(browser.Driver.FindElements(By.CssSelector(".mesh")));
            browser.Find("#say").SendKeys("green twig" + Keys.Enter);
            browser.Await(() => browser.Text("#unsent .what").Contains("“green twig”"), "what was said was lost");

            process = await application.StartAnother(address);
            // What waits is sent again after ever longer pauses: the longer the start took, the longer the next one.
            browser.Await(() => browser.Driver.FindElements(By.CssSelector(".mesh")).Count == 4, "what waited was not sent", seconds: 45);
            Assert.False(browser.Find("#unsent").Displayed);
            // Once each, and in their order.
            browser.Go(look);
            Assert.Equal(4, browser.Driver.FindElements(By.CssSelector(".mesh")).Count);
        }
        finally
        {
            process.Kill(entireProcessTree: true);
        }
    }

    [Fact]
    public async Task What_is_sent_twice_counts_once_and_what_is_sent_anew_counts_again()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "twice");
        var (look, cookie, token) = (browser.At, CookieOf(browser), TokenOf(browser));
        var tap = Guid.NewGuid().ToString();
        for (var times = 0; times < 2; times++)
            await Post(look, cookie, token, tap);
        browser.Go(look);
        Assert.Single(browser.Driver.FindElements(By.CssSelector(".mesh")));
        // On the glance the same state once more takes it back: a second tap is another sending.
        await Post(look, cookie, token, Guid.NewGuid().ToString());
        browser.Go(look);
        Assert.Empty(browser.Driver.FindElements(By.CssSelector(".mesh")));

        Task<HttpResponseMessage> Post(string to, string with, string token, string sent) =>
            Plain.SendAsync(
                Form(
                    to + "?handler=Read",
                    with,
                    ("character", "arrangement"),
                    ("states", "opposite"),
                    ("glance", "true"),
                    ("certainty", "fair"),
                    ("sent", sent),
                    ("__RequestVerificationToken", token)
                ),
                TestContext.Current.CancellationToken
            );
    }

    [Fact]
    public void A_stale_token_is_fetched_anew_and_nobody_notices()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "signed in elsewhere");
        // As signing in or out in another window leaves it.
        browser.Driver.ExecuteScript(
            "document.querySelectorAll('[name=__RequestVerificationToken]').forEach(it => it.value = it.value.slice(0, -8) + 'AAAAAAAA')"
        );
        browser.Click(".glance-row button[value=opposite]");
        browser.Await(() => browser.Has(".mesh"), "the tap was refused");
        Assert.False(browser.Find("#unsent").Displayed);
    }

    [Fact]
    public void Without_scripts_a_stale_token_brings_back_what_was_typed()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "a stale form");
        var look = browser.At;
        browser.Driver.ExecuteScript(
            "document.querySelectorAll('[name=__RequestVerificationToken]').forEach(it => it.value = 'stale');"
                + "const form = document.querySelector('.notes form'); form.setAttribute('hx-boost', 'false');"
                + "document.querySelector('.notes').open = true"
        );
        browser.Find(".notes textarea").SendKeys("crushed leaf smells of pepper");
        // Sent as a form is sent where no script runs.
        browser.Driver.ExecuteScript("HTMLFormElement.prototype.submit.call(document.querySelector('.notes form'))");
        browser.Await(() => browser.Text("h1") == "Not saved yet", "the page does not say that it is not saved");
        Assert.Contains("crushed leaf smells of pepper", browser.Text("main"));
        browser.Click(".again button");
        browser.Await(() => browser.At == look, $"sending it again did not lead back to the look: {browser.Text("main")}");
        Assert.Contains("pepper", browser.Find(".notes textarea").GetAttribute("value"));
    }

    [Fact]
    public async Task A_form_that_another_site_sent_is_not_offered_again()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "from elsewhere");
        var request = Form(browser.At + "?handler=Notes", CookieOf(browser), ("notes", "not mine"));
        request.Headers.Add("Sec-Fetch-Site", "cross-site");
        var answer = await Plain.SendAsync(request, TestContext.Current.CancellationToken);
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.DoesNotContain("not mine", await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
    }

    [Fact]
    public void Whoever_has_gone_on_is_not_called_back_by_the_answer_before()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "gone on");
        browser.Go($"{browser.At.Split('?')[0]}?ask=arrangement");
        browser.SlowDown(milliseconds: 700);
        browser.Click("#question button[value=opposite]");
        browser.Go($"{browser.At.Split('?')[0]}?ask=lobe-count");
        browser.Find("#question input[name=text]").SendKeys("5, 5");
        browser.Await(() => browser.Has(".mesh"), "the tap before was lost");
        Assert.Equal("5, 5", browser.Find("#question input[name=text]").GetAttribute("value"));
        Assert.Contains("ask=lobe-count", browser.At);
    }

    [Fact]
    public void What_is_being_typed_is_not_overwritten_by_a_tap()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "half a sentence");
        browser.Find("#say").SendKeys("corky tw");
        browser.Click(".glance-row button[value=opposite]");
        browser.Await(() => browser.Has(".mesh"), "the tap was not recorded");
        Assert.Equal("corky tw", browser.Find("#say").GetAttribute("value"));
        browser.Find("#say").SendKeys("ig" + Keys.Enter);
        browser.Await(() => browser.Find("#say").GetAttribute("value") != "corky twig", "what was said stayed in the field");
    }

    [Fact]
    public async Task What_waits_for_a_look_that_is_gone_is_said_and_not_tried_for_ever()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "gone");
        var id = browser.At.Split('/', '?')[2];
        await using (var database = application.OpenDatabase())
        {
            await database.LookSteps.Where(step => step.LookId == id).ExecuteDeleteAsync(TestContext.Current.CancellationToken);
            await database.Looks.Where(look => look.Id == id).ExecuteDeleteAsync(TestContext.Current.CancellationToken);
        }
        browser.Click(".glance-row button[value=opposite]");
        browser.Await(() => browser.Find("#unsent").Displayed, "nothing says that it was not saved");
        Assert.Contains("not there any more", browser.Text("#unsent .why"));
        Assert.Equal("in pairs", browser.Text("#unsent .what"));
        Assert.False(browser.Find("#unsent [name=again]").Displayed);
        browser.Click("#unsent [name=leave]");
        Assert.False(browser.Find("#unsent").Displayed);
        Assert.Equal("[]", browser.Driver.ExecuteScript("return sessionStorage.getItem('unsent')"));
    }

    [Fact]
    public void An_undo_that_waited_over_a_reload_still_takes_back_the_step_it_meant()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "undone late");
        var look = browser.At.Split('?')[0];
        browser.Click(".glance-row button[value=opposite]");
        browser.Await(() => browser.Driver.FindElements(By.CssSelector(".mesh")).Count == 1, "the first tap was not recorded");
        browser.Click("#glance-structure button[value=pinnate]");
        browser.Await(() => browser.Driver.FindElements(By.CssSelector(".mesh")).Count == 2, "the second tap was not recorded");
        // The answer to undo is lost: it is saved, kept as unsaved, and sent again after a reload.
        browser.Driver.ExecuteScript(
            "const real = window.fetch; window.fetch = (...all) => real(...all).then(() => { throw new Error(); })"
        );
        browser.Click("#undoing [value=undo], #undoing button");
        browser.Await(() => browser.Find("#unsent").Displayed, "the lost answer was not noticed");
        browser.Go(look);
        browser.Await(() => !browser.Find("#unsent").Displayed && browser.Has(".mesh"), "it was not sent again");
        browser.Await(
            () => (string?)browser.Driver.ExecuteScript("return sessionStorage.getItem('unsent')") == "[]",
            "what was sent still waits"
        );
        browser.Go(look);
        Assert.Single(browser.Driver.FindElements(By.CssSelector(".mesh")));
    }

    private HttpClient Plain { get; } =
        new(new HttpClientHandler { UseCookies = false, AllowAutoRedirect = false }) { BaseAddress = application.Address };

    private static HttpRequestMessage Form(string to, string cookie, params (string Name, string Value)[] fields)
    {
        var request = new HttpRequestMessage(HttpMethod.Post, to)
        {
            Content = new FormUrlEncodedContent(fields.Select(field => KeyValuePair.Create(field.Name, field.Value))),
        };
        request.Headers.Add("Cookie", cookie);
        return request;
    }

    private static string CookieOf(Browser browser) =>
        string.Join("; ", browser.Driver.Manage().Cookies.AllCookies.Select(cookie => $"{cookie.Name}={cookie.Value}"));

    private static string TokenOf(Browser browser) => TokenPattern().Match(browser.Driver.PageSource).Groups[1].Value;

    [GeneratedRegex("__RequestVerificationToken\" value=\"([^\"]+)\"")]
    private static partial Regex TokenPattern();
}
