using System.Net;
using OpenQA.Selenium;
using OpenQA.Selenium.Support.UI;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>What a curator does at the desk, and what everybody else may read there.</summary>
public class DeskJourneys(Application application)
{
    [Fact]
    public async Task A_curator_changes_a_taxon_sees_the_effect_keeps_it_and_takes_it_back_and_another_process_serves_it()
    {
        // A second process on the same database, that has the flora open already.
        var (other, address) = await application.StartAnother();
        using var elsewhere = new HttpClient { BaseAddress = address };
        string Served() => elsewhere.GetStringAsync("/plant/betula-lenta").Result;
        Assert.DoesNotContain("(–27.5)", Served());

        using var browser = application.Open();
        browser.Go("/plant/betula-lenta");
        Assert.DoesNotContain("(–27.5)", browser.Text("main"));
        browser.Click("a[href='/desk/taxon/betula-lenta']");
        SignIn(browser, "mara");
        browser.Await(() => browser.At == "/desk/taxon/betula-lenta", "signing in did not lead back");
        browser.Click("a[href$='character=blade-length']");

        // What can’t be used is said at the field, and nothing typed is lost.
        Set(browser, "most", "many");
        browser.Click(".entry-form .button");
        browser.Await(() => browser.Has("input[name=most][aria-invalid=true]"), "no problem at the field");
        Assert.Contains("“many” is not a number", browser.Text("#problem"));
        Assert.Equal("many", browser.Find("input[name=most]").GetAttribute("value"));

        Set(browser, "most", "27.5");
        browser.Click(".entry-form .button");
        browser.Await(() => browser.Has(".effect"), "no effect is shown");
        Assert.Contains("27.5", browser.Text(".effect .diff ins"));
        Assert.Equal(5, browser.Driver.FindElements(By.CssSelector(".effect tbody tr")).Count);
        Assert.Contains("Nothing comes and nothing goes", browser.Text(".effect"));

        browser.Find("input[name=why]").SendKeys("measured in the test");
        browser.Click(".keep .button");
        browser.Await(() => browser.At.StartsWith("/desk/history"), "it was not kept");
        browser.Await(() => Served().Contains("(–27.5)"), "the other process never heard of it");
        Assert.Contains("measured in the test", browser.Text(".change"));
        Assert.Contains("Mara Quillfeather", browser.Text(".change"));
        browser.Go("/plant/betula-lenta");
        Assert.Contains("27.5", browser.Text("main"));
        browser.Go("/desk");
        Assert.Contains("taxa/Betula/lenta.yaml", browser.Text("main"));

        browser.Go("/desk/history?taxon=Betula%20lenta");
        browser.Click(".change form button");
        browser.Await(() => browser.Text("main").Contains("Took back: measured in the test"), "it was not taken back");
        Assert.Contains("taken back since", browser.Text("main"));
        browser.Await(() => !Served().Contains("(–27.5)"), "the other process never heard that it was taken back");
        other.Kill(entireProcessTree: true);
        await other.WaitForExitAsync();
        browser.Go("/plant/betula-lenta");
        Assert.DoesNotContain("(–27.5)", browser.Text("main"));
        browser.Go("/desk");
        Assert.Contains("The flora in use is what its files say", browser.Text("main"));
    }

    [Fact]
    public void States_are_changed_by_their_drawings_and_the_whole_file_as_text_with_faults_by_line()
    {
        using var browser = application.Open();
        browser.Go("/desk/taxon/carpinus-betulus?character=margin");
        SignIn(browser, "ewan");
        browser.Await(() => browser.Has(".scoring .drawn"), "the states are not drawn");
        new SelectElement(browser.Find("select[name=state-crenate]")).SelectByValue("rarely");
        browser.Click(".entry-form .button");
        browser.Await(() => browser.Has(".effect"), "no effect is shown");
        Assert.Equal("doubly-serrate, rarely crenate", browser.Text(".effect .diff ins"));

        browser.Go("/desk/taxon/carpinus-betulus?text=true");
        browser.Driver.ExecuteScript(
            "const t = document.querySelector('#after'); t.value = t.value.replace('margin: doubly-serrate', 'margin: ragged');"
        );
        browser.Click(".text-form .button");
        browser.Await(() => browser.Has("#problem"), "no fault is shown");
        Assert.Matches(@"Line \d+: margin: margin has no state “ragged”", browser.Text("#problem"));
        Assert.Contains("margin: ragged", browser.Find("#after").GetAttribute("value"));
    }

    [Fact]
    public async Task Reading_is_open_to_all_and_changing_is_not()
    {
        foreach (var open in new[] { "/desk", "/desk/report", "/desk/history", "/doubles", "/desk/file/betula-lenta" })
            Assert.Equal(HttpStatusCode.OK, (await application.Http.GetAsync(open)).StatusCode);
        var closed = await application.Http.GetAsync("/desk/taxon/betula-lenta");
        Assert.Equal(HttpStatusCode.Redirect, closed.StatusCode);
        Assert.StartsWith("/sign-in", closed.Headers.Location!.OriginalString);
        // Where to go after signing in is never another site.
        Assert.DoesNotContain(
            "name=\"back\" value=\"https",
            await application.Http.GetStringAsync("/sign-in?back=https://elsewhere.example/")
        );
    }

    [Fact]
    public void The_report_is_shown_and_plants_are_browsed_by_country_hazard_and_nearly_spelt_names()
    {
        using var browser = application.Open();
        browser.Go("/desk/report");
        browser.Await(
            () =>
            {
                if (browser.Has("#Inseparable"))
                    return true;
                browser.Go("/desk/report");
                return false;
            },
            "the report never came"
        );
        Assert.Contains("a hybrid and its parent", browser.Text("main"));
        browser.Go("/plants?region=GRB&hazard=skin-irritant");
        Assert.Contains("known from Great Britain and that burn the skin", browser.Text(".sentence"));
        Assert.Contains("Clematis vitalba", browser.Text("main"));
        Assert.DoesNotContain("Toxicodendron", browser.Text("main"));
        browser.Go("/plants?find=sasafrass");
        Assert.Contains("spelt nearly so", browser.Text("main"));
        Assert.Contains("Sassafras albidum", browser.Text("main"));
    }

    [Fact]
    public void Up_to_eight_kinds_lie_side_by_side_and_doubles_are_cards()
    {
        using var browser = application.Open();
        browser.Go(
            "/beside?"
                + string.Join(
                    '&',
                    new[] { "alba", "bicolor", "macrocarpa", "lyrata", "stellata", "michauxii", "montana", "robur" }.Select(oak =>
                        $"taxa=quercus-{oak}"
                    )
                )
        );
        Assert.Equal(8, browser.Driver.FindElements(By.CssSelector(".beside thead th")).Count);
        Assert.True(browser.Has(".beside .drawn.small") && browser.Has(".beside .range .core"));
        // Each state leads to its meaning.
        Assert.NotEmpty(browser.Find("a.word[href='/words#lobing-is-pinnate']").GetAttribute("title")!);
        browser.Go("/words#lobing-is-pinnate");
        Assert.Contains("lobed like a feather", browser.Text("#lobing-is-pinnate"));
        browser.Go("/beside?taxa=Quercus%20nowhere&taxa=quercus-alba");
        Assert.Contains("“Quercus nowhere” is not in this flora", browser.Text(".problem"));
        Assert.Equal("Quercus nowhere", browser.Find("input[name=taxa]").GetAttribute("value"));

        browser.Go("/doubles?of=toxicodendron-radicans");
        browser.Click(".cards summary");
        browser.Await(() => browser.Text(".cards details").Contains("leaflet"), "the card did not turn");
    }

    [Fact]
    public async Task A_keeper_makes_a_flora_takes_it_out_brings_it_in_again_and_puts_two_together()
    {
        using var browser = application.Open();
        browser.Go("/sign-in?back=/desk/floras");
        SignIn(browser, "ewan");
        browser.Await(() => browser.Has("form[action$='handler=Make']"), "a keeper can’t make a flora");
        void Fill(string form, string field, string value)
        {
            browser.Find($"form[action$='handler={form}'] input[name={field}]").Clear();
            browser.Find($"form[action$='handler={form}'] input[name={field}]").SendKeys(value);
        }
        Fill("Make", "id", "test-beeches");
        Fill("Make", "title", "Beeches and Chestnuts");
        Fill("Make", "genera", "Fagus, Kastanea");
        browser.Click("form[action$='handler=Make'] .button");
        browser.Await(() => browser.Has("#problem"), "an unknown genus was taken");
        Assert.Contains("has no genus “Kastanea”", browser.Text("#problem"));
        Assert.Equal("Beeches and Chestnuts", browser.Find("form[action$='handler=Make'] input[name=title]").GetAttribute("value"));
        Fill("Make", "genera", "Fagus, Castanea");
        browser.Click("form[action$='handler=Make'] .button");
        browser.Await(() => browser.Text("main table").Contains("test-beeches"), "it was not made");

        var package = await application.Http.GetByteArrayAsync("/desk/floras/test-beeches/package", TestContext.Current.CancellationToken);
        var file = Path.Combine(Path.GetTempPath(), $"beeches-{Guid.NewGuid():N}.zip");
        await File.WriteAllBytesAsync(file, package, TestContext.Current.CancellationToken);
        browser.Click("form[action*='id=test-beeches'] button");
        browser.Await(() => !browser.Text("main table").Contains("test-beeches"), "it was not taken off the list");
        browser.Click("form[action*='id=test-beeches'][action*='PutBack'] button");
        browser.Await(() => browser.Text("main table").Contains("test-beeches"), "it was not put back");
        browser.Find("input[type=file]").SendKeys(file);
        browser.Click("form[action$='handler=Import'] .button");
        browser.Await(() => browser.Has(".import .problem"), "it took the place of another without a word");
        Assert.Contains("say that it takes its place", browser.Text(".import"));
        browser.Find("input[type=file]").SendKeys(file);
        browser.Click("input[name=replace]");
        browser.Click("form[action$='handler=Import'] .button");
        browser.Await(() => browser.Has(".import .notice"), "it was not brought in");
        Assert.Contains("Kept as “test-beeches”: 6 kinds", browser.Text(".import"));

        // What is wrong with a file is told by line, and nothing is kept.
        await File.WriteAllTextAsync(
            file[..^4] + ".nex",
            "#NEXUS\nBEGIN DATA;\nDIMENSIONS NCHAR=2;\nMATRIX\nA 0\n;\nEND;",
            TestContext.Current.CancellationToken
        );
        browser.Find("input[type=file]").SendKeys(file[..^4] + ".nex");
        Fill("Import", "id", "broken");
        browser.Click("form[action$='handler=Import'] .button");
        browser.Await(() => browser.Has(".import .problem"), "no fault is told");
        Assert.Contains("line 5: A has 1 characters, and 2 are declared", browser.Text(".import"));
        Assert.DoesNotContain("broken", browser.Text("main table"));

        new SelectElement(browser.Find("select[name=second]")).SelectByValue("test-beeches");
        Fill("Merge", "id", "test-both");
        Fill("Merge", "title", "Both together");
        browser.Click("form[action$='handler=Merge'] .button");
        browser.Await(() => browser.Text("main table").Contains("test-both"), "they were not put together");
        foreach (var id in new[] { "test-both", "test-beeches" })
        {
            browser.Click($"form[action*='id={id}'] button");
            browser.Await(() => !browser.Text("main table").Contains(id), $"{id} was not removed");
        }
    }

    [Fact]
    public async Task An_own_flora_is_browsed_keyed_with_and_mended_and_its_looks_outlive_it()
    {
        using var browser = application.Open();
        browser.Go("/sign-in?back=/desk/floras");
        SignIn(browser, "ewan");
        browser.Await(() => browser.Has("form[action$='handler=Make']"), "a keeper can’t make a flora");
        foreach (var (field, value) in new[] { ("id", "test-oaks"), ("title", "Oaks of the Lantern Hills"), ("genera", "Quercus") })
            browser.Find($"form[action$='handler=Make'] input[name={field}]").SendKeys(value);
        browser.Click("form[action$='handler=Make'] .button");
        browser.Await(() => browser.Text("main table").Contains("test-oaks"), "it was not made");

        // Its kinds, and no others, with addresses that can be shared.
        browser.Click("a[href='/plants?flora=test-oaks']");
        browser.Await(() => browser.At == "/plants?flora=test-oaks", "its kinds can’t be browsed");
        Assert.Contains($"Oaks of the Lantern Hills: {Application.KindsShipped("Quercus")} kinds", browser.Text(".sentence"));
        browser.Go("/plants?flora=test-oaks&find=Acer");
        Assert.Contains("No plant here goes by “Acer”", browser.Text("main"));
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await application.Http.GetAsync("/plant/acer-rubrum?flora=test-oaks", TestContext.Current.CancellationToken)).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await application.Http.GetAsync("/plants?flora=test-nothing", TestContext.Current.CancellationToken)).StatusCode
        );

        // Mended: in its own edition, and not in the shipped flora.
        browser.Go("/desk/taxon/quercus-alba?character=blade-length&flora=test-oaks");
        Set(browser, "most", "33.5");
        browser.Click(".entry-form .button");
        browser.Await(() => browser.Has(".effect"), "no effect is shown");
        browser.Find("input[name=why]").SendKeys("a sapling by the mill");
        browser.Click(".keep .button");
        browser.Await(() => browser.At.StartsWith("/desk/history") && browser.At.Contains("flora=test-oaks"), "it was not kept");
        Assert.Contains("The flora is at edition 2", browser.Text("main"));
        browser.Go("/plant/quercus-alba?flora=test-oaks");
        Assert.Contains("33.5", browser.Text("main"));
        browser.Go("/plant/quercus-alba");
        Assert.DoesNotContain("33.5", browser.Text("main"));

        // Keyed with: every page of the look stays within it.
        browser.Go("/?flora=test-oaks");
        Assert.Equal("test-oaks", new SelectElement(browser.Find("select[name=Flora]")).SelectedOption.GetAttribute("value"));
        browser.Click("form.where .button");
        browser.Await(() => browser.At.StartsWith("/look/"), "no look was started");
        var look = browser.At;
        Assert.Contains("by Oaks of the Lantern Hills", browser.Text(".circumstances"));
        browser.Go(look + "?ask=lobe-tip");
        browser.Click(".question .state");
        browser.Await(() => browser.Text(".pan").Contains("Quercus alba"), "no oak in the pan");
        browser.Click(".grains a");
        browser.Await(() => browser.Has("a[href$='?flora=test-oaks']"), "the way to the kind leads out of the flora");

        var list = await application.Http.GetStringAsync("/api/v1/floras", TestContext.Current.CancellationToken);
        Assert.Contains("\"test-oaks\"", list);
        using var asked = await application.Http.PostAsync(
            "/api/v1/sieve",
            new StringContent(
                """{"flora":"test-oaks","readings":[{"character":"lobe-tip","states":["rounded"]}]}""",
                System.Text.Encoding.UTF8,
                "application/json"
            ),
            TestContext.Current.CancellationToken
        );
        Assert.DoesNotContain("Acer", await asked.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));

        // Taken off the list, it can’t be chosen, but the look made with it can be opened.
        browser.Go("/desk/floras");
        browser.Click("form[action*='id=test-oaks'][action*='Remove'] button");
        browser.Await(() => !browser.Text("main table").Contains("test-oaks"), "it was not taken off the list");
        browser.Go(look);
        Assert.Contains("Quercus", browser.Text(".pan"));
    }

    internal static void SignIn(Browser browser, string name)
    {
        browser.Await(() => browser.At.StartsWith("/sign-in"), "no page to sign in");
        browser.Driver.FindElements(By.CssSelector("form.demo button")).First(button => button.Text.EndsWith(name)).Click();
    }

    private static void Set(Browser browser, string field, string value)
    {
        browser.Find($"input[name={field}]").Clear();
        browser.Find($"input[name={field}]").SendKeys(value);
    }
}
