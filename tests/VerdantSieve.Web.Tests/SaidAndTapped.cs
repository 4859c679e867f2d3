using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>Getting things in: by words, at the first glance, by touch on a scrolled phone.</summary>
public class SaidAndTapped(Application application)
{
    private const string Twelve =
        "broad leaves, opposite, simple, lobed like a hand, five lobes, margin smooth, 9 inches long, milky sap, twig hairless, "
        + "green buds, a tree, bark grey";

    [Fact]
    public void A_whole_tree_goes_in_with_one_sentence()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "by words");
        browser.Press("i");
        browser.Find("#say").SendKeys(Twelve);
        browser.Await(() => Count(browser, ".chip:not(.left)") == 12, $"not twelve chips: {browser.Text("#heard")}");
        Assert.False(browser.Has(".mesh"));
        browser.Press(Keys.Enter);
        browser.Await(() => Count(browser, ".mesh") == 12, "the sentence was not taken");
        Assert.Contains("Acer macrophyllum", browser.Sentence);
        Assert.Equal("", browser.Find("#say").GetAttribute("value"));
        // The field is ready for the next breath, and one step takes all of it back.
        Assert.Equal("say", browser.Driver.SwitchTo().ActiveElement().GetAttribute("id"));
        browser.Press(Keys.Escape);
        browser.Click("#undo");
        browser.Await(() => !browser.Has(".mesh"), "the sentence was not undone");
    }

    [Fact]
    public void A_chip_can_be_left_out_and_what_is_not_understood_stays_with_what_it_may_mean()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "half understood");
        browser.Find("#say").SendKeys("opposite, toothed, flurbish, stipules red");
        browser.Await(() => Count(browser, ".chip.left") == 2, "what was not understood is not told");
        Assert.Contains("flurbish", browser.Text("#heard"));
        Assert.Contains("stipules red", browser.Text("#heard"));
        Assert.Contains("colour of the leaf stalk: red?", browser.Text("#heard"));
        browser.Find(".chip [name=drop][value=margin]").Click();
        browser.Find("#say").SendKeys(Keys.Enter);
        browser.Await(() => Count(browser, ".mesh") == 1, "not one of two was taken");
        Assert.Contains("leaves in pairs", browser.Text(".mesh"));
        Assert.Contains("flurbish", browser.Find("#say").GetAttribute("value"));
    }

    [Fact]
    public void Place_and_day_are_heard_as_well()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "somewhere else");
        browser.Find("#say").SendKeys("a street tree in Ohio, opposite" + Keys.Enter);
        browser.Await(() => browser.Text(".circumstances").Contains("Ohio"), "the place was not heard");
        Assert.Contains("planted", browser.Text(".circumstances"));
    }

    [Fact]
    public void What_the_plant_is_said_to_be_is_kept_and_left_again()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "said to be an oak");
        browser.Find("#say").SendKeys("an oak with lobed leaves");
        browser.Await(() => browser.Text("#heard").Contains("of the genus Quercus"), "the oak was not heard");
        browser.Find("#say").SendKeys(Keys.Enter);
        browser.Await(() => browser.Text(".circumstances").Contains("of the genus Quercus"), "the oak was not kept");
        browser.Await(() => browser.Text(".grains").StartsWith("Quercus", StringComparison.Ordinal), "no oak leads");
        browser.Click(".circumstances a");
        browser.Click("input[name='Where.AnyKind']");
        browser.Click(".where button.button");
        browser.Await(() => !browser.Text(".circumstances").Contains("Quercus"), "it is still looked for among the oaks alone");
        Assert.Equal(1, Count(browser, ".mesh"));
    }

    [Fact]
    public void Without_scripts_a_sentence_is_taken_too()
    {
        using var browser = application.Open(scripts: false);
        LookJourneys.Start(browser, "no scripts, by words");
        browser.Find("#say").SendKeys("opposite, compound");
        browser.Click(".say button");
        browser.Await(() => Count(browser, ".mesh") == 2, "the sentence was not taken");
    }

    [Fact]
    public void The_first_glance_takes_a_tap_each_and_goes_when_it_is_answered()
    {
        using var browser = application.Open(width: 390, height: 844);
        LookJourneys.Start(browser, "at a glance");
        Watch(browser);
        var taps = 0;
        foreach (
            var (row, state) in new[] { ("foliage", "broad"), ("arrangement", "opposite"), ("structure", "simple"), ("lobing", "palmate") }
        )
        {
            var button = $".glance-row:has([value={row}]) button[value={state}]";
            Into(browser, button);
            var before = Top(browser);
            browser.Tap(button);
            taps++;
            browser.Await(() => Count(browser, ".mesh") == taps, $"{row} was not recorded");
            Assert.InRange(Top(browser), before - 2, before + 2);
        }
        Assert.Equal("true", browser.Find(".glance-row button[value=opposite]").GetAttribute("aria-pressed"));
        // Tapped again it is taken back; what is a conifer has no rows for broad leaves.
        Tap(browser, ".glance-row:has([value=lobing]) button[value=palmate]");
        browser.Await(() => Count(browser, ".mesh") == taps - 1, "a second tap took nothing back");
        Tap(browser, ".glance-row:has([value=lobing]) button[value=palmate]");
        Tap(browser, ".glance-row:has([value=margin]) button[value=entire]");
        browser.Await(() => Count(browser, ".mesh") == taps + 1, "the edge was not recorded");
        Tap(browser, ".glance-row:has([value=habit]) button[value=tree]");
        browser.Await(() => !browser.Has(".glance") && browser.Has("#asks"), "the glance did not go when it was answered");
        // It can be called back, with what was answered.
        Tap(browser, "#glancing");
        browser.Await(() => browser.Has(".glance"), "the glance did not come back");
        Assert.Equal("true", browser.Find(".glance-row button[value=opposite]").GetAttribute("aria-pressed"));
        Assert.True(Shift(browser) < 0.02, $"the page moved by {Shift(browser)}");
    }

    [Fact]
    public void Twelve_readings_take_at_most_sixteen_taps_on_a_phone_and_the_question_stands_still()
    {
        using var browser = application.Open(width: 390, height: 844);
        LookJourneys.Start(browser, "twelve by touch");
        var taps = 0;
        foreach (
            var (row, state) in new[]
            {
                ("foliage", "broad"),
                ("arrangement", "alternate"),
                ("structure", "simple"),
                ("lobing", "pinnate"),
                ("margin", "entire"),
                ("habit", "tree"),
            }
        )
        {
            Tap(browser, $".glance-row:has([value={row}]) button[value={state}]");
            taps++;
            browser.Await(() => Count(browser, ".mesh") == taps, $"{row} was not recorded");
        }
        for (var readings = taps; readings < 12; readings++)
        {
            var button = browser.Has("#question .states button") ? "#question .states button" : "#question [name=unknown]";
            Into(browser, button);
            var (before, asks) = (Top(browser), browser.Text("#asks"));
            // Nobody reads a question in less; a second tap that comes at once is the other half of a double tap.
            Thread.Sleep(450);
            browser.Tap(button);
            taps++;
            browser.Await(() => Count(browser, ".mesh") == readings + 1 && browser.Text("#asks") != asks, "a tap was not recorded");
            Assert.InRange(Top(browser), before - 2, before + 2);
        }
        Assert.True(taps <= 16, $"{taps} taps");
    }

    [Fact]
    public void A_tapped_state_stands_in_the_hand_before_the_server_has_answered()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "a slow line");
        Ask(browser, "arrangement");
        browser.SlowDown(milliseconds: 1500);
        browser.Click("#question button[value=opposite]");
        Assert.Equal("in pairs", browser.Text("#meshes .moved"));
        Assert.False(browser.Has(".mesh"));
        browser.Await(() => browser.Has(".mesh") && !browser.Has(".moved"), "the reading did not take its place");
    }

    [Fact]
    public void Certainty_stays_as_set_and_a_reading_can_be_made_surer_later()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "sureness");
        Ask(browser, "arrangement");
        browser.Click("#question input[name=certainty][value=guess]");
        browser.Click("#question button[value=opposite]");
        browser.Await(() => browser.Text(".mesh").Contains("guess"), "it is no guess");
        Ask(browser, "margin");
        Assert.True(browser.Find("#question input[name=certainty][value=guess]").Selected);
        browser.Click(".mesh .sure");
        browser.Await(() => browser.Text(".mesh").Contains("fairly sure"), "it did not become surer");
        // The one reading alone: what the observer is used to is as it was.
        Ask(browser, "margin");
        Assert.True(browser.Find("#question input[name=certainty][value=guess]").Selected);
    }

    [Fact]
    public void Held_down_a_state_opens_what_else_can_be_said()
    {
        using var browser = application.Open(width: 390, height: 844);
        LookJourneys.Start(browser, "held down");
        Ask(browser, "lobing");
        Into(browser, "#question button[value=palmate]");
        browser.Tap("#question button[value=palmate]", milliseconds: 800);
        browser.Await(() => browser.Has(".several"), "holding a state opened nothing");
        Assert.False(browser.Has(".mesh"));
        Tap(browser, "#question input[value=palmate]");
        Tap(browser, "#question button[value=not]");
        browser.Await(() => browser.Has(".mesh"), "“none of these” was not recorded");
        Assert.Contains("not lobed like a hand", browser.Driver.PageSource);

        Ask(browser, "lobing&several=true");
        Tap(browser, ".tally summary");
        browser.Find("[name='tally[palmate]']").SendKeys("7");
        browser.Find("[name='tally[one-sided]']").SendKeys("1");
        Tap(browser, "#question button[value=tally]");
        browser.Await(() => browser.Driver.PageSource.Contains("lobed like a hand (7×)"), "the tally was not recorded");

        Ask(browser, "lobing&several=true");
        browser.Find("[name='tally[unlobed]']").SendKeys("many");
        Tap(browser, "#question button[value=tally]");
        browser.Await(() => browser.Has("#problem"), "no message");
        Assert.Contains("whole number", browser.Text("#problem"));
        Assert.Equal("many", browser.Find("[name='tally[unlobed]']").GetAttribute("value"));
    }

    [Fact]
    public void A_count_is_one_tap_and_where_leaves_differ_they_are_counted()
    {
        using var browser = application.Open(width: 390, height: 844);
        LookJourneys.Start(browser, "leaflets");
        Ask(browser, "leaflet-count");
        Tap(browser, "#question button[name=count][value='7']");
        browser.Await(() => Count(browser, ".mesh") == 1, "a tapped number was not recorded");
        Assert.Contains("7 leaflets", browser.Driver.PageSource);

        Ask(browser, "leaflet-count");
        Assert.Equal("true", browser.Find("#question button[name=count][value='7']").GetAttribute("aria-pressed"));
        Tap(browser, ".tally summary");
        browser.Find("[name='tally[5]']").SendKeys("2");
        browser.Find("[name='tally[7]']").SendKeys("6");
        Tap(browser, "#question button[value=tally]");
        browser.Await(() => browser.Driver.PageSource.Contains("(6×)"), "the leaves counted were not recorded");
        Assert.Equal(1, Count(browser, ".mesh"));
    }

    [Fact]
    public void Bark_keeps_what_was_read_at_each_place()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "bark by place");
        Ask(browser, "bark-pattern");
        browser.Click("#question input[name=on][value=limb]");
        browser.Click("#question button[value=smooth]");
        browser.Await(() => Count(browser, ".mesh") == 1, "the limbs were not recorded");
        Ask(browser, "bark-pattern");
        Assert.Contains("smooth", browser.Text(".places"));
        browser.Click("#question input[name=on][value=trunk]");
        browser.Click("#question button[value=blocks]");
        browser.Await(() => Count(browser, ".mesh") == 2, "the trunk took the limbs' place");
        browser.Click(".mesh:first-child .drop");
        browser.Await(() => Count(browser, ".mesh") == 1, "dropping one dropped both, or none");
    }

    [Fact]
    public void Length_and_width_go_in_together()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "both sides");
        Ask(browser, "blade-length");
        browser.Find("#question input[name=text]").SendKeys("12 x 7, 9 x 6, 14 x 8 cm" + Keys.Enter);
        browser.Await(() => Count(browser, ".mesh") == 2, "not two readings");
        Assert.Contains("(9–14 cm) long", browser.Text(".meshes"));
        Assert.Contains("(6–8 cm) wide", browser.Text(".meshes"));

        // What is said beside it goes for both sides.
        Ask(browser, "blade-length");
        browser.Click("#question input[name=certainty][value=guess]");
        browser.Click("#question [name=on] option[value=shade]");
        browser.Find("#question input[name=text]").Clear();
        browser.Find("#question input[name=text]").SendKeys("15 x 9" + Keys.Enter);
        browser.Await(() => Count(browser, ".mesh") == 4, "the shade leaf did not stand beside the others");
        Assert.Equal(2, browser.Driver.FindElements(By.CssSelector(".mesh .sure")).Count(sure => sure.Text == "a guess"));
    }

    [Fact]
    public void A_state_is_recorded_straight_from_the_search()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "from the search");
        browser.Go($"{browser.At.Split('?')[0]}?find=corky+wings");
        browser.Click(".found button[value=corky-wings]");
        browser.Await(() => browser.Text(".meshes").Contains("corky wings"), "the state was not recorded");
    }

    [Fact]
    public void Nothing_is_preset_and_the_country_is_remembered()
    {
        using var browser = application.Open();
        browser.Go("/");
        Assert.Equal("", browser.Find("[name='Where.Region']").GetAttribute("value"));
        Assert.True(browser.Find("[name='Where.Setting'][value='']").Selected);
        browser.Click("[name='Where.Region'] option[value=GRB]");
        browser.Click(".where .button");
        browser.Await(() => browser.Has(".glance"), "the look did not open with the first glance");
        browser.Go("/");
        Assert.Equal("GRB", browser.Find("[name='Where.Region']").GetAttribute("value"));
    }

    [Fact]
    public void The_device_says_where_it_is_and_the_stage_is_one_tap()
    {
        using var browser = application.Open();
        browser.Go("/");
        var here = new Dictionary<string, object?>
        {
            ["latitude"] = 45.125,
            ["longitude"] = -123.25,
            ["accuracy"] = 10,
        };
        browser.Driver.ExecuteCdpCommand("Emulation.setGeolocationOverride", here);
        var may = new Dictionary<string, object?> { ["permissions"] = new object[] { "geolocation" } };
        browser.Driver.ExecuteCdpCommand("Browser.grantPermissions", may);
        browser.Click(".more-where summary");
        browser.Click("#here");
        browser.Await(() => browser.Find("[name='Where.Latitude']").GetAttribute("value") == "45.1250", "no position");
        Assert.Equal("-123.2500", browser.Find("[name='Where.Longitude']").GetAttribute("value"));
        browser.Click("[name='Where.Stage'][value=turning]");
        browser.Click(".where .button");
        browser.Await(() => browser.Text(".circumstances").Contains("turning"), "the stage was not kept");
    }

    [Fact]
    public async Task The_API_reads_a_text()
    {
        var answer = await Read("{\"text\":\"opposite, mostly threes, flurb, in Ohio\"}");
        var readings = answer["readings"]!.AsArray();
        Assert.Equal(["arrangement"], readings.Select(reading => (string)reading!["character"]!));
        Assert.Equal(0, (int)readings[0]!["span"]!["start"]!);
        Assert.Equal("OHI", (string?)answer["place"]!["region"]);
        Assert.Contains("flurb", answer["left"]!.AsArray().Select(left => (string?)left!["text"]));
        // What it gives, the sieve takes.
        readings[0]!.AsObject().Remove("span");
        var sieved = await application.Http.PostAsJsonAsync("/api/v1/sieve", new { readings });
        Assert.True(sieved.IsSuccessStatusCode, await sieved.Content.ReadAsStringAsync());

        var wrong = await application.Http.PostAsJsonAsync("/api/v1/read", new { text = "", units = "cubits" });
        Assert.Equal(400, (int)wrong.StatusCode);
        Assert.Contains("1 to 20000 letters", await wrong.Content.ReadAsStringAsync());
    }

    private async Task<JsonNode> Read(string json)
    {
        var answer = await application.Http.PostAsync(
            "/api/v1/read",
            new StringContent(json, System.Text.Encoding.UTF8, "application/json")
        );
        Assert.True(answer.IsSuccessStatusCode, await answer.Content.ReadAsStringAsync());
        return (await answer.Content.ReadFromJsonAsync<JsonNode>())!;
    }

    private static void Ask(Browser browser, string character) => browser.Go($"{browser.At.Split('?')[0]}?ask={character}");

    private static int Count(Browser browser, string css) => browser.Driver.FindElements(By.CssSelector(css)).Count;

    private static double Top(Browser browser) =>
        Convert.ToDouble(browser.Driver.ExecuteScript("return document.querySelector('#next').getBoundingClientRect().top"));

    // Scrolled into the middle, as a thumb would have it, and then touched.
    private static void Tap(Browser browser, string css)
    {
        Into(browser, css);
        browser.Tap(css);
    }

    private static void Into(Browser browser, string css) =>
        browser.Await(
            () =>
                (bool)
                    browser.Driver.ExecuteScript(
                        "const it = document.querySelector(arguments[0]); it?.scrollIntoView({block: 'center'}); return !!it",
                        css
                    )!,
            $"nothing matches {css}"
        );

    private static void Watch(Browser browser) =>
        browser.Driver.ExecuteScript(
            "window.shift = 0; new PerformanceObserver(list => list.getEntries().forEach(entry => window.shift = Math.max(window.shift, "
                + "entry.value)))"
                + ".observe({type: 'layout-shift'})"
        );

    private static double Shift(Browser browser) => Convert.ToDouble(browser.Driver.ExecuteScript("return window.shift"));
}
