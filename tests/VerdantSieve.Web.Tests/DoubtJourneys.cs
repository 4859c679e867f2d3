using OpenQA.Selenium;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>Samples, origins, grounds and the course of a look, through the real pages.</summary>
public class DoubtJourneys(Application application)
{
    [Fact]
    public void Several_leaves_an_estimate_and_a_limit_are_typed_as_people_say_them()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "samples");
        var look = browser.At.Split('?')[0];
        foreach (
            var (ask, typed, kept) in new[]
            {
                ("blade-length", "12, 14, 13.5, 31 cm", "mostly 13.5 cm (12–31 cm)"),
                ("blade-width", "about 4 in", "about 10.2 cm"),
                ("petiole-length", "up to 3 cm", "up to 3 cm"),
                ("lobe-count", "5, 5, 7, 5", "mostly 5 (5–7)"),
                ("height", "at least 12 m", "at least 12 m"),
            }
        )
        {
            browser.Go($"{look}?ask={ask}");
            browser.Find("#question input[name=text]").SendKeys(typed + Keys.Enter);
            browser.Await(() => browser.Text(".meshes").Contains(kept), $"“{typed}” was not kept as “{kept}”: {browser.Text(".meshes")}");
            // The reading can be opened again as it was typed, in the reader's own words.
            browser.Go($"{look}?ask={ask}");
            Assert.NotEmpty(browser.Find("#question input[name=text]").GetAttribute("value")!);
            browser.Click("#question .typed button");
            browser.Await(() => browser.Text(".meshes").Contains(kept), $"“{kept}” did not survive being opened and kept again");
        }
    }

    [Fact]
    public void What_is_read_on_litter_says_nothing_of_arrangement_and_the_mesh_says_where_it_is_from()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "litter");
        browser.Go($"{browser.At.Split('?')[0]}?ask=arrangement");
        browser.Find("#question select[name=on] option[value=litter]").Click();
        browser.Click("#question button[value=opposite]");
        browser.Await(() => browser.Has(".mesh"), "no reading");
        Assert.Contains("from litter on the ground", browser.Text(".mesh"));
        Assert.Contains("holds none", browser.Text(".mesh"));
    }

    [Fact]
    public void Through_the_meshes_by_mouse_by_keyboard_and_in_words()
    {
        using var browser = application.Open();
        browser.Go("/look/lantern5");
        browser.Click(".circumstances a[href$='/meshes']");
        browser.Await(() => browser.Has(".course"), "no picture");
        Assert.Contains("kinds fell in", browser.Text("h1"));
        var grains = browser.Driver.FindElements(By.CssSelector(".course .grain")).Count;
        Assert.Contains($"{grains} kinds", browser.Text("h1"));

        browser.Find("[data-course]").SendKeys(Keys.ArrowRight);
        browser.Await(() => browser.Text("#told").Contains("held by"), "the first grain tells nothing");
        var first = browser.Text("#told");
        browser.Press(Keys.End);
        browser.Await(() => browser.Text("#told") != first, "the last grain tells nothing");
        for (var grain = 0; grain < 12 && !browser.Text("#told").Contains("Quercus garryana"); grain++)
            browser.Find("[data-course]").SendKeys(Keys.ArrowLeft);
        Assert.Contains("Quercus garryana", browser.Text("#told"));
        Assert.Contains("forgiven a disagreement at “leaves in pairs”", browser.Text("#told"));

        new OpenQA.Selenium.Interactions.Actions(browser.Driver).MoveToElement(browser.Find(".mesh-line .reads")).Perform();
        browser.Await(() => browser.Text("#told").Contains("came to it"), "the mesh tells nothing");
        Assert.Contains("by itself it holds", browser.Text(".in-words"));
        browser.Find("[data-course]").SendKeys(Keys.Enter);
        browser.Await(() => browser.At.Contains("taxon=quercus-garryana"), "Enter did not lead to the reasons");
    }

    [Fact]
    public void The_course_is_told_without_scripts_and_before_any_reading()
    {
        using var browser = application.Open(scripts: false);
        LookJourneys.Start(browser, "no course yet");
        browser.Go(browser.At + "/meshes");
        Assert.Contains("nothing has been read yet", browser.Text("h1"));
        browser.Go("/look/lantern4/meshes");
        Assert.True(browser.Has(".course .grain") && browser.Has(".in-words li"));
    }

    [Fact]
    public void An_aggregate_is_named_with_the_reason_and_what_speaks_for_and_against_stands_below()
    {
        using var browser = application.Open();
        browser.Go("/look/lanternc");
        Assert.Contains("authorities differ", browser.Sentence);
        // Another test may have this look open just now and put a reading aside for a moment.
        browser.Await(
            () =>
            {
                browser.Go("/look/lantern5");
                if (!browser.Has(".why summary"))
                    return false;
                browser.Driver.FindElement(By.CssSelector(".why summary")).Click();
                return browser.Text(".arguments").Contains("Quercus garryana has leaves one by one");
            },
            "the slip is not among what speaks against"
        );
        Assert.Contains("None of these:", browser.Text(".pan .none"));
    }

    [Fact]
    public void A_young_plant_is_said_to_be_one_and_its_age_can_be_taken_back()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "a sapling");
        browser.Click(".circumstances a[href$='where=true']");
        browser.Await(() => browser.Has("input[name='Where.Age']"), "no question of age");
        browser.Click(".more-where summary");
        browser.Click("input[name='Where.Age'][value=young]");
        browser.Click(".circumstances .where .button");
        browser.Await(() => browser.Text(".circumstances p").Contains("young"), "the age is not kept");
        browser.Click("#undo");
        browser.Await(() => !browser.Text(".circumstances p").Contains("young"), "the age was not taken back");
    }

    [Fact]
    public void All_about_a_hybrid_and_of_an_aggregate_says_so()
    {
        using var browser = application.Open();
        browser.Go("/plant/betula-utahensis");
        Assert.Contains("Betula occidentalis and Betula papyrifera", browser.Text(".facts"));
        browser.Go("/plant/crataegus-gaylussacia");
        Assert.Contains("Crataegus douglasii agg.", browser.Text(".facts"));
        Assert.Contains("Most like it", browser.Text("main"));
    }
}
