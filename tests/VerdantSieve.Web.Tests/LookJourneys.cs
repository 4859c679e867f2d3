using OpenQA.Selenium;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>Whole looks through the real pages.</summary>
public class LookJourneys(Application application)
{
    [Fact]
    public void By_mouse_from_the_first_page_to_a_determination_in_the_notebook()
    {
        using var browser = application.Open();
        Start(browser, "Lantern Creek, mouse path");
        foreach (
            var (ask, state) in new[]
            {
                ("foliage", "broad"),
                ("arrangement", "opposite"),
                ("structure", "simple"),
                ("lobing", "palmate"),
                ("sap", "milky"),
                ("bud-form", "rounded"),
                ("base-sprouts", ""),
            }
        )
        {
            browser.Go($"{LookAddress(browser)}?ask={ask}");
            browser.Click(state.Length > 0 ? $"#question button[value={state}]" : "#question button[name=seen][value=true]");
            browser.Await(() => browser.Has($".mesh a[href$='ask={ask}']"), $"{ask} is not among the readings");
        }
        browser.Go($"{LookAddress(browser)}?ask=blade-length");
        browser.Find("#question input[name=text]").SendKeys("8-11 in");
        browser.Find("#question input[name=leaves]").SendKeys("5");
        browser.Click("#question .typed button");
        browser.Await(() => browser.Text(".meshes").Contains("20.3–27.9 cm"), "the length in inches is not kept in centimetres");
        Assert.StartsWith("This is Acer macrophyllum", browser.Sentence);
        Assert.Equal("Acer macrophyllum", browser.Text(".grain a"));

        browser.Click(".settle button");
        browser.Await(() => browser.Has(".stamp"), "the look is not settled");
        browser.Click("nav a[href='/notebook']");
        browser.Await(() => browser.Text("main").Contains("Lantern Creek, mouse path"), "the look is not in the notebook");
        var entry = browser.Driver.FindElements(By.CssSelector(".entry")).First(e => e.Text.Contains("Lantern Creek, mouse path"));
        Assert.Contains("Acer macrophyllum", entry.Text);
        Assert.Contains("species", entry.Text);
    }

    [Fact]
    public void By_keyboard_alone()
    {
        using var browser = application.Open();
        Start(browser, "keyboard path");
        browser.Go($"{LookAddress(browser)}?glance=false");
        var first = browser.Text("#asks");
        browser.Press("u");
        browser.Await(() => browser.Text("#asks") != first && browser.Has(".mesh.untold"), "“u” did not record “can’t tell”");

        browser.Press("/");
        browser.Press("arrangement" + Keys.Enter);
        browser.Await(() => browser.Has(".found a[href$='ask=arrangement']"), "“/” did not find the arrangement");
        browser.Find(".found a[href$='ask=arrangement']").SendKeys(Keys.Enter);
        browser.Await(() => browser.Text("#asks").Contains("twig"), "the arrangement is not asked");
        var third = browser.Find("#question [data-key='3']").GetAttribute("value");
        Key(browser, "Digit3", "!", shift: true);
        Assert.True(browser.Find("input[name=certainty][value=sure]").Selected);
        Key(browser, "Digit3", "3");
        browser.Await(() => browser.Has(".mesh a[href$='ask=arrangement']"), "the digit chose no state");
        Assert.Equal("opposite", third);
        Assert.Contains("sure", browser.Text(".mesh:has(a[href$='ask=arrangement'])"));

        var asks = browser.Text("#asks");
        browser.Press("n");
        browser.Await(() => browser.Text("#asks") != asks, "“n” asked nothing else");
        browser.Press("z");
        browser.Await(() => !browser.Has(".mesh a[href$='ask=arrangement']"), "“z” did not undo");
        browser.Press("?");
        browser.Await(() => browser.Find("#keys").Displayed, "“?” showed no list of keys");
    }

    [Fact]
    public void Without_scripts()
    {
        using var browser = application.Open(scripts: false);
        Start(browser, "no scripts");
        var look = LookAddress(browser);
        browser.Go($"{look}?ask=arrangement");
        browser.Click("#question button[value=opposite]");
        Assert.Contains("holds", browser.Text(".mesh"));
        Assert.Equal(look, browser.At);

        browser.Click(".school input[value=strict]");
        browser.Click(".school noscript button, .school button");
        browser.Await(() => browser.Text(".pan").Contains("come through with one disagreement allowed"), "it was not sieved strictly");

        browser.Go($"{look}?ask=lobing");
        browser.Click("#question .doubts a");
        browser.Click("#question input[value=palmate]");
        browser.Click("#question input[value=unlobed]");
        browser.Click("#question button[value=either]");
        browser.Await(() => browser.Text(".meshes").Contains(" or "), "either of two was not recorded");

        // Without scripts each click fetches a page, which takes as long as the machine is busy.
        void Meshes(int count, string what) =>
            browser.Await(() => browser.Driver.FindElements(By.CssSelector(".mesh")).Count == count, what);
        browser.Click("#undo");
        Meshes(1, "it was not undone");
        browser.Click("#redo");
        Meshes(2, "it was not done again");
        browser.Click(".pan .after button");
        browser.Await(() => browser.At.StartsWith("/beside"), "nothing was laid side by side");
        Assert.True(browser.Has(".beside tbody tr"));
    }

    [Fact]
    public void A_slip_is_pointed_at_changed_and_the_change_undone()
    {
        using var browser = application.Open();
        browser.Go("/look/lantern5");
        Assert.Contains("may be a slip", browser.Text(".mesh.doubtful"));
        Assert.Contains("leaves in pairs", browser.Text(".mesh.doubtful"));

        browser.Click(".mesh.doubtful .doubt a");
        browser.Await(() => browser.At.EndsWith("ask=arrangement"), "the doubtful reading is not asked again");
        browser.Click("#question button[value=alternate]");
        browser.Await(() => browser.Has(".mesh") && !browser.Has(".mesh.doubtful"), "the corrected reading is still doubted");
        Assert.Contains("Quercus garryana", browser.Sentence);

        browser.Click("#undo");
        browser.Await(() => browser.Has(".mesh.doubtful"), "the change was not undone");
        browser.Click(".mesh.doubtful .drop");
        browser.Await(() => !browser.Has(".mesh a[href$='ask=arrangement']"), "the reading was not dropped");
        browser.Click("#undo");
        browser.Await(() => browser.Has(".mesh.doubtful"), "the dropped reading did not come back");
    }

    [Fact]
    public void Bad_input_is_said_at_the_field_and_nothing_typed_is_lost()
    {
        using var browser = application.Open();
        Start(browser, "bad input");
        browser.Go($"{LookAddress(browser)}?ask=blade-length");
        browser.Find("#question input[name=text]").SendKeys("as long as a hand");
        browser.Find("#question input[name=leaves]").SendKeys("5");
        browser.Click("#question .typed button");
        browser.Await(() => browser.Has("#problem"), "no message");
        Assert.Contains("as long as a hand", browser.Text("#problem"));
        Assert.Equal("as long as a hand", browser.Find("#question input[name=text]").GetAttribute("value"));
        Assert.Equal("5", browser.Find("#question input[name=leaves]").GetAttribute("value"));
        browser.Await(
            () => browser.Driver.SwitchTo().ActiveElement().GetAttribute("name") == "text",
            "the field at fault has not the focus"
        );

        var field = browser.Find("#question input[name=text]");
        field.Clear();
        field.SendKeys("9 1/2 in" + Keys.Enter);
        browser.Await(() => browser.Text(".meshes").Contains("24.1 cm"), "the corrected length was not taken");

        browser.Go("/");
        browser.Click(".where summary");
        browser.Find("[name='Where.Place']").SendKeys("kept place");
        browser.Find("[name='Where.Latitude']").SendKeys("north");
        browser.Click(".where .button");
        Assert.Contains("-90 to 90", browser.Text("#bad-Latitude"));
        Assert.Equal("kept place", browser.Find("[name='Where.Place']").GetAttribute("value"));
        Assert.Equal("north", browser.Find("[name='Where.Latitude']").GetAttribute("value"));
    }

    [Fact]
    public void An_address_can_be_reloaded_shared_and_gone_back_from()
    {
        using var browser = application.Open();
        Start(browser, "shared");
        var look = LookAddress(browser);
        browser.Go($"{look}?ask=margin");
        browser.Click("#question button[value=serrate]");
        browser.Await(() => browser.Has(".mesh"), "no reading");
        Assert.Equal(look, browser.At);
        browser.Driver.Navigate().Refresh();
        Assert.Single(browser.Driver.FindElements(By.CssSelector(".mesh")));

        browser.Click(".grain a");
        browser.Await(() => browser.Has(".bearings"), "no reasons");
        var shared = browser.At;
        Assert.Contains("taxon=", shared);
        var sentence = browser.Sentence;
        using (var other = application.Open())
        {
            other.Go(shared);
            Assert.Equal(sentence, other.Sentence);
            Assert.True(other.Has(".bearings"));
        }
        browser.Driver.Navigate().Back();
        browser.Await(() => !browser.Has(".bearings") && browser.Has(".grain"), "Back did not show the pan again");
    }

    [Fact]
    [Trait("Kind", "sweep")]
    public void On_a_phone_everything_fits_and_can_be_touched()
    {
        using var browser = application.Open(width: 390, height: 844);
        browser.Go("/look/lantern8");
        Assert.True(
            (bool)browser.Driver.ExecuteScript("return document.documentElement.scrollWidth <= 390")!,
            "the page is wider than the phone"
        );
        foreach (var button in browser.Driver.FindElements(By.CssSelector("#question button, #question a.button")))
            Assert.True(button.Size.Height >= 44, $"“{button.Text}” is {button.Size.Height} high");
        browser.Click("#question button.state");
        browser.Await(() => browser.Driver.FindElements(By.CssSelector(".mesh")).Count == 5, "the tap recorded nothing");
        browser.Click(".drawers button");
        foreach (
            var path in new[]
            {
                "/",
                "/look/lantern8?where=true",
                "/practice",
                "/lists",
                "/notebook/season",
                "/notebook/plan",
                "/notebook",
                "/plants",
                "/plant/acer-macrophyllum",
                "/words",
                "/help",
                "/beside?taxa=acer-rubrum&taxa=acer-saccharinum",
            }
        )
            Assert.True(
                (bool)browser.Go(path).Driver.ExecuteScript("return document.documentElement.scrollWidth <= 390")!,
                $"{path} is wider than the phone"
            );
    }

    [Fact]
    public void Poison_oak_is_named_as_soon_as_it_is_possible_and_touching_waits()
    {
        using var browser = application.Open();
        Start(browser, "three leaflets");
        browser.Go($"{LookAddress(browser)}?ask=structure");
        browser.Click("#question button[value=trifoliate]");
        browser.Await(() => browser.Has(".danger"), "no warning");
        Assert.Contains("Pacific poison-oak", browser.Text(".danger"));
        browser.Go($"{LookAddress(browser)}?ask=smell");
        Assert.Contains("Wait with touching", browser.Text("#question .wait"));
    }

    [Fact]
    public void A_look_thrown_away_can_be_brought_back()
    {
        using var browser = application.Open();
        Start(browser, "thrown away by mistake");
        var look = LookAddress(browser);
        browser.Click(".hand form[action*=Discard] button");
        browser.Await(() => browser.At.StartsWith("/notebook"), "not sent to the notebook");
        Assert.DoesNotContain("thrown away by mistake", browser.Text("main"));
        browser.Click(".notice button");
        browser.Await(() => browser.At == look, "the look did not come back");
        Assert.Contains("thrown away by mistake", browser.Text(".circumstances"));
    }

    internal static void Start(Browser browser, string place)
    {
        browser.Go("/");
        browser.Find("[name='Where.Place']").SendKeys(place);
        browser.Click("[name='Where.Region'] option[value=ORE]");
        browser.Click("[name='Where.Setting'][value=wild]");
        browser.Click(".where .button");
        browser.Await(() => browser.At.StartsWith("/look/"), "no look was started");
    }

    private static string LookAddress(Browser browser) => browser.At.Split('?')[0];

    // Shifted digits are told apart by the key pressed, whatever it prints.
    private static void Key(Browser browser, string code, string key, bool shift = false) =>
        browser.Driver.ExecuteScript(
            "document.body.dispatchEvent(new KeyboardEvent('keydown', "
                + "{code: arguments[0], key: arguments[1], shiftKey: arguments[2], bubbles: true, cancelable: true}))",
            code,
            key,
            shift
        );
}
