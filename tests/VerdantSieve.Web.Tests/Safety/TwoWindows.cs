using System.Net;
using OpenQA.Selenium;
using Xunit;

namespace VerdantSieve.Web.Tests.Safety;

/// <summary>The same look, or the same kind, open twice.</summary>
public class TwoWindows(Application application)
{
    [Fact]
    public void Notes_written_elsewhere_are_not_written_over_unseen()
    {
        using var one = application.Open();
        LookJourneys.Start(one, "two windows");
        using var other = application.Open();
        other.Go(one.At);
        Write(one, "by the ford");
        one.Await(() => one.Find("#undo").Text.Contains("wrote notes"), "the first notes were not kept");
        Write(other, "by the mill");
        other.Await(() => other.Has("#bad-notes"), "the notes of the first were written over");
        Assert.Contains("to: “by the ford”", other.Text("#bad-notes"));
        Assert.Equal("by the mill", other.Find(".notes textarea").GetAttribute("value"));
        // Seen, they may be.
        other.Click(".notes .button");
        other.Await(() => !other.Has("#bad-notes"), "what was kept again was refused again");
        one.Go(one.At);
        Assert.Equal("by the mill", one.Find(".notes textarea").GetAttribute("value"));

        static void Write(Browser browser, string notes)
        {
            browser.Driver.ExecuteScript("document.querySelector('.notes').open = true");
            browser.Find(".notes textarea").SendKeys(notes);
            browser.Click(".notes .button");
        }
    }

    [Fact]
    public void Undo_takes_back_what_it_names_and_says_where_it_can_not()
    {
        using var one = application.Open();
        LookJourneys.Start(one, "undo in two windows");
        one.Click("#glance-arrangement button[value=opposite]");
        one.Await(() => one.Has(".mesh"), "the first reading was not kept");
        using var other = application.Open();
        other.Go(one.At);
        one.Click("#glance-foliage button[value=broad]");
        one.Await(() => one.Driver.FindElements(By.CssSelector(".mesh")).Count == 2, "the second reading was not kept");
        other.Click("#undo");
        other.Await(() => other.Has(".hand .problem"), "it took back what it did not show");
        Assert.Contains("nothing was taken back", other.Text(".hand .problem"));
        Assert.Equal(2, other.Driver.FindElements(By.CssSelector(".mesh")).Count);
        other.Click("#undo");
        other.Await(() => other.Driver.FindElements(By.CssSelector(".mesh")).Count == 1, "undo is stuck");
    }

    [Fact]
    public void A_look_thrown_away_elsewhere_says_so()
    {
        using var one = application.Open();
        LookJourneys.Start(one, "thrown away elsewhere");
        var look = one.At;
        using var other = application.Open();
        other.Go(look);
        one.Click("form[action$='handler=Discard'] button");
        one.Await(() => one.At.StartsWith("/notebook"), "it was not thrown away");
        other.Click("#glance-arrangement button[value=opposite]");
        other.Await(() => other.Has(".discarded"), "nothing says that it was thrown away");
        other.Click(".discarded button");
        other.Await(() => !other.Has(".discarded") && other.Has(".mesh"), "it was not brought back with its reading");
    }

    [Fact]
    public async Task A_kind_changed_by_two_keeps_what_both_changed()
    {
        using var mara = await Visitor.SignedIn(application.Address, "mara", "leaf-by-leaf-1");
        using var ewan = await Visitor.SignedIn(application.Address, "ewan", "root-and-branch-1");
        await ewan.Post("/desk/floras?handler=Make", ("id", "two-windows"), ("title", "Two windows"), ("genera", "Fagus"));
        const string at = "/desk/taxon/fagus-sylvatica",
            flora = "flora=two-windows";
        var (before, edition) = await Shown(mara, $"{at}?{flora}&text=true");

        // Ewan changes one line and keeps it; Mara, with the page from before, another.
        Assert.Equal(HttpStatusCode.Redirect, (await Keep(ewan, With(before, "provenance", "looked up by Ewan"), "first")).StatusCode);
        var second = await Keep(mara, With(before, "remember", "as Mara says"), "second");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, second.StatusCode);
        var said = WebUtility.HtmlDecode(await second.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
        Assert.Contains("Ewan Sedgebrook changed Fagus sylvatica", said);
        Assert.Contains("Theirs: provenance", said);
        Assert.DoesNotContain("You both changed", said);
        string merged;
        (merged, edition) = Read(said);
        Assert.Equal(HttpStatusCode.Redirect, (await Keep(mara, merged, "second, with both")).StatusCode);
        var after = (await Shown(ewan, $"{at}?{flora}&text=true")).Text;
        Assert.Contains("provenance: looked up by Ewan", after);
        Assert.Contains("remember: as Mara says", after);

        // The same line by both: both are told.
        edition = "1";
        said = await (await Keep(ewan, With(before, "remember", "as Ewan says"), "third")).Content.ReadAsStringAsync();
        Assert.Contains("You both changed remember: theirs is “as Mara says”, yours “as Ewan says”", WebUtility.HtmlDecode(said));

        Task<HttpResponseMessage> Keep(Visitor who, string text, string why) =>
            who.Post($"{at}?handler=Keep&{flora}", ("after", text), ("why", why), ("edition", edition));
        static string With(string text, string key, string value) =>
            string.Join(
                '\n',
                text.Split('\n').Select(line => line.StartsWith(key + ": ", StringComparison.Ordinal) ? $"{key}: {value}" : line)
            );
        static async Task<(string Text, string Edition)> Shown(Visitor who, string page) =>
            Read(WebUtility.HtmlDecode(await who.Http.GetStringAsync(page, TestContext.Current.CancellationToken)));
        static (string Text, string Edition) Read(string page) =>
            (
                page.Split("name=\"after\"")[1].Split('>', 2)[1].Split("</textarea>")[0].TrimStart('\n'),
                page.Split("name=\"edition\" value=\"")[1].Split('"')[0]
            );
    }
}
