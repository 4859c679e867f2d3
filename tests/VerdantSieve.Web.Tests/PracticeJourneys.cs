using System.Net;
using Microsoft.EntityFrameworkCore;
using OpenQA.Selenium;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>Practice worked by tapping and by keys, lists, and a class with its teacher.</summary>
public class PracticeJourneys(Application application)
{
    private static void Begin(Browser browser, string region, int count, params string[] kinds)
    {
        browser.Go("/practice");
        browser.Click($"[name='Form.Region'] option[value={region}]");
        browser.Driver.ExecuteScript(
            "for (const box of document.querySelectorAll('[name=\"Form.Kinds\"]')) box.checked = arguments[0].includes(box.value);"
                + "document.querySelector('[name=\"Form.Count\"]').value = arguments[1]",
            kinds,
            count
        );
        browser.Click(".choosing .button");
        browser.Await(() => browser.Has(".exercise .where-it-stands"), "no set was begun");
    }

    // What is right is asked of the set as it lies in the database: the page does not tell.
    private string LineOf(Browser browser)
    {
        using var database = application.OpenDatabase();
        var id = browser.At.Split('/', '?')[2];
        var set = database.PracticeSets.AsNoTracking().Single(set => set.Id == id);
        return set.Queue[database.PracticeAnswers.Count(answer => answer.SetId == id)];
    }

    [Theory]
    [InlineData(1280)]
    [InlineData(390)]
    public void A_set_is_worked_to_its_recap_with_the_reasoning_after_each_answer(int width)
    {
        using var browser = application.Open(width, 844);
        Begin(browser, "ORE", 2, "name");
        var line = LineOf(browser).Split('|');
        Assert.DoesNotContain(line[2], browser.Find(".posed-plate use").GetAttribute("href"));
        Assert.Equal(4, browser.Driver.FindElements(By.CssSelector(".answer:not(.open)")).Count);
        browser.Driver.ExecuteScript("window.scrollTo(0, 200)");
        var wrong = browser
            .Driver.FindElements(By.CssSelector(".answer:not(.open)"))
            .First(answer => answer.GetAttribute("value") != line[2])
            .GetAttribute("value")!;
        if (width < 600)
            browser.Tap($".answer[value=\"{wrong}\"]");
        else
            browser.Click($".answer[value=\"{wrong}\"]");
        browser.Await(() => browser.Has("#verdict"), "there is no reasoning");
        Assert.Contains(line[2], browser.Text(".sentence"));
        Assert.True(browser.Has(".reasons dt"), "no mark is named");
        Assert.Contains("comes again", browser.Text("main"));
        // Taken back, it is asked again.
        browser.Click("[data-key=z]");
        browser.Await(() => browser.Has(".answer"), "it was not taken back");
        for (var step = 0; step < 8 && browser.Text("h1") != "Recap"; step++)
        {
            browser.Click($".answer[value=\"{LineOf(browser).Split('|')[2]}\"]");
            browser.Await(() => browser.Has("#verdict"), "there is no reasoning");
            Assert.Equal("Right", browser.Text("#verdict"));
            browser.Click("#onward");
            browser.Await(() => !browser.Has("#verdict"), "it did not go on");
        }
        Assert.Contains("2 of 2 right", browser.Text(".sentence"));
        Assert.Equal(2, browser.Driver.FindElements(By.CssSelector(".recap li")).Count);
    }

    [Fact]
    public void Keys_choose_and_go_on()
    {
        using var browser = application.Open();
        Begin(browser, "GRB", 3, "read");
        browser.Driver.FindElement(By.TagName("body")).SendKeys(Keys.Shift + "3");
        Assert.True(browser.Find("input[name=certainty][value=sure]").Selected);
        browser.Press("1");
        browser.Await(() => browser.Has("#verdict"), "the key chose nothing");
        browser.Driver.FindElement(By.TagName("body")).SendKeys(Keys.Enter);
        browser.Await(() => browser.Has(".answer"), "Enter did not go on");
        browser.Driver.FindElement(By.TagName("body")).SendKeys("u");
        browser.Await(() => browser.Has("#verdict"), "u chose nothing");
        Assert.Equal("Left open", browser.Text("#verdict"));
        using var database = application.OpenDatabase();
        var id = browser.At.Split('/', '?')[2];
        Assert.Equal(
            ["Sure", "Sure"],
            database
                .PracticeAnswers.Where(answer => answer.SetId == id)
                .OrderBy(answer => answer.At)
                .Select(answer => answer.Certainty.ToString())
        );
    }

    [Fact]
    public void A_record_is_asked_and_named_and_its_reasoning_laid_open()
    {
        using var browser = application.Open();
        Begin(browser, "ORE", 1, "record");
        browser.Click(".asking summary");
        browser.Driver.ExecuteScript("for (const part of document.querySelectorAll('.asking details')) part.open = true");
        foreach (var character in new[] { "foliage", "bark-pattern" })
        {
            browser.Driver.ExecuteScript("document.querySelector(`.asking [value=\"${arguments[0]}\"]`).click()", character);
            browser.Await(() => !browser.Has($".asking [value=\"{character}\"]"), "it was not asked");
        }
        Assert.Equal(2, browser.Driver.FindElements(By.CssSelector(".asked li")).Count);
        browser.Find("#said").SendKeys("no such tree at all");
        browser.Click(".naming .button");
        browser.Await(() => browser.Has("#problem"), "nonsense was taken");
        Assert.Equal("no such tree at all", browser.Find("#said").GetAttribute("value"));
        browser.Find("#said").Clear();
        browser.Find("#said").SendKeys(LineOf(browser).Split('|')[2]);
        browser.Click(".naming .button");
        browser.Await(() => browser.Has("#verdict"), "it was not named");
        Assert.Equal("Right", browser.Text("#verdict"));
        Assert.Contains("The sieve asks", browser.Text(".reasons"));
        Assert.Contains("kind of foliage, pattern of the bark", browser.Text(".reasons").ToLowerInvariant());
    }

    [Fact]
    public void Without_scripts_a_leaf_is_measured_and_what_is_no_size_is_told()
    {
        using var browser = application.Open(scripts: false);
        browser.Go("/practice");
        browser.Click("[name='Form.Region'] option[value=ORE]");
        foreach (var kind in new[] { "name", "part", "read", "record" })
            browser.Click($"[name='Form.Kinds'][value={kind}]");
        browser.Click(".choosing .button");
        browser.Find("#said").SendKeys("quite long");
        browser.Click("form .button");
        Assert.Contains("can’t be used", browser.Text("#problem"));
        Assert.Equal("quite long", browser.Find("#said").GetAttribute("value"));
        browser.Find("#said").Clear();
        browser.Find("#said").SendKeys("9");
        browser.Click("form .button");
        browser.Find("#verdict");
        browser.Click("#onward");
    }

    [Fact]
    public void A_list_is_pasted_mended_keyed_looked_at_printed_and_worked_by_a_class()
    {
        using var browser = application.Open();
        browser.Go("/lists");
        browser.Find("[name=title]").SendKeys("Mill garden");
        browser.Find("[name=kinds]").SendKeys("Acer macrofyllum: by the gate\nvine maple\nAlnus rubra\nThuja plicata\nXyzzy plugh");
        browser.Click(".listing .button");
        browser.Await(() => browser.At.StartsWith("/list/", StringComparison.Ordinal), "no list was made");
        Assert.Contains("Acer macrofyllum → Acer macrophyllum", browser.Text(".notice"));
        Assert.Contains("Xyzzy plugh", browser.Text(".problem"));
        Assert.Contains("by the gate", browser.Text(".plates"));
        var list = browser.At;

        browser.Click("a[href*='/key']");
        Assert.Contains("Mill garden", browser.Text("h1"));
        Assert.Contains("4 kinds", browser.Text("main"));

        browser.Go(list);
        browser.Click("form[action*='handler=Look'] .button");
        browser.Await(() => browser.At.StartsWith("/look/", StringComparison.Ordinal), "no look was begun");
        Assert.Contains("among the 4 of Mill garden", browser.Text(".look"));

        // Changed and taken back.
        browser.Go(list);
        browser.Click("details summary");
        browser.Find(".listing [name=kinds]").Clear();
        browser.Find(".listing [name=kinds]").SendKeys("Thuja plicata");
        browser.Click(".listing .button");
        browser.Await(() => browser.Text(".sentence").StartsWith("One kind", StringComparison.Ordinal), "it was not changed");
        browser.Click("details summary");
        browser.Click("form[action*='handler=Undo'] button");
        browser.Await(() => browser.Text(".sentence").StartsWith("4 kinds", StringComparison.Ordinal), "it was not taken back");

        browser.Driver.ExecuteScript("for (const part of document.querySelectorAll('details')) part.open = true");
        browser.Find("form[action*='handler=Class'] [name=title]").SendKeys("Monday");
        browser.Click("form[action*='handler=Class'] .button");
        browser.Await(() => browser.At.StartsWith("/class/", StringComparison.Ordinal), "no class was begun");
        Assert.Contains("Nobody has answered yet", browser.Text("main"));
        browser.Click(".choosing .button");
        browser.Await(() => browser.At.StartsWith("/practice/", StringComparison.Ordinal), "the class has no set");
        Assert.Contains("Monday", browser.Text(".where-it-stands"));
    }

    [Fact]
    public async Task Plates_of_a_list_and_the_booklet_of_a_key_are_PDF_and_answers_and_schedule_CSV()
    {
        var cancel = TestContext.Current.CancellationToken;
        foreach (
            var (address, pages) in new[]
            {
                ("/list/lanternwood?handler=Sheets", 12),
                ("/key?handler=Booklet&list=lanternwood&indented=true", 3),
            }
        )
        {
            using var answer = await application.Http.GetAsync(address, cancel);
            Assert.Equal("application/pdf", answer.Content.Headers.ContentType?.MediaType);
            var text = System.Text.Encoding.Latin1.GetString(await answer.Content.ReadAsByteArrayAsync(cancel));
            Assert.StartsWith("%PDF-", text);
            var found = System.Text.RegularExpressions.Regex.Count(text, @"/Type\s*/Page\b");
            Assert.True(found >= pages, $"{address} has {found} pages");
        }
        var answers = await application.Http.GetStringAsync("/practice/answers.csv", cancel);
        Assert.StartsWith("given,exercise,about,said,right,is_right,certainty,grade", answers);
        Assert.Contains("kind:Alnus rubra,Frangula purshiana,Alnus rubra,no,fair,2", answers);
        Assert.StartsWith("subject,easiness", await application.Http.GetStringAsync("/practice/schedule.csv", cancel));
    }

    [Theory]
    [InlineData("Form.Source=group&Form.Group=Nosuch", "Name a genus or a family")]
    [InlineData("Form.Source=list&Form.List=nosuchlist", "Choose one of your lists")]
    public async Task What_can_not_be_practised_is_told_why(string asked, string said)
    {
        using var visitor = new Safety.Visitor(application.Address);
        var fields = asked.Split('&').Select(field => field.Split('=')).Select(pair => (pair[0], pair[1])).ToArray();
        var answer = await visitor.PostAs("/practice", await visitor.Token(), fields);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        Assert.Contains(said, WebUtility.HtmlDecode(await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)));
    }
}
