using System.Text.RegularExpressions;
using Microsoft.EntityFrameworkCore;
using OpenQA.Selenium;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>The notebook as people use it over a season.</summary>
public partial class NotebookJourneys(Application application)
{
    [GeneratedRegex("/look/([a-z0-9]+)")]
    private static partial Regex LookAddress();

    private static string LookOf(Browser browser) => LookAddress().Match(browser.At).Groups[1].Value;

    private static void Say(Browser browser, string words)
    {
        browser.Find("#say").SendKeys(words + Keys.Enter);
        browser.Await(() => browser.Has("#meshes .mesh"), "nothing was heard");
    }

    [Fact]
    public void What_was_seen_in_May_and_in_October_stands_side_by_side_on_one_tree()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "two seasons");
        Say(browser, "opposite, flowers");
        browser.Click(".to-tree a[href^='/tree/']");
        browser.Await(() => browser.Has("main.tree"), "the tree was not reached");
        Assert.Contains("leaves in pairs", browser.Text(".visits").ToLowerInvariant());
        browser.Click("form[action*='handler=Visit'] .button");
        browser.Await(() => browser.At.StartsWith("/look/"), "no second visit was begun");
        // What was read before is there, with its day, and is not asked again.
        Assert.Contains("leaves in pairs", browser.Text(".meshes.elsewhere").ToLowerInvariant());
        Assert.False(browser.Has("#meshes .mesh"));
        Say(browser, "simple, palmately lobed");
        browser.Click(".to-tree a[href^='/tree/']");
        browser.Await(() => browser.Driver.FindElements(By.CssSelector(".visits > li")).Count == 2, "the tree has not two visits");
        Assert.Contains("Acer", browser.Text(".sentence"));
    }

    [Fact]
    public void An_outing_with_five_trees_is_walked_with_the_simulated_GPS()
    {
        using var browser = application.Open(1280, 1000);
        browser.Go("/outings");
        browser.Find("[name=Title]").SendKeys("Round the pond");
        browser.Click("form.fields .button");
        browser.Await(() => browser.At.StartsWith("/outing/"), "no outing was begun");
        var outing = browser.At;
        for (var tree = 1; tree <= 5; tree++)
        {
            browser.Go(outing);
            var before = browser.Find("[name=latitude]").GetAttribute("value");
            browser.Click("[name=simulated]");
            browser.Await(
                () => browser.Find("[name=latitude]").GetAttribute("value") is { Length: > 0 } at && at != before,
                "the GPS does not say where it is"
            );
            var place = browser.Find("[name=place]");
            place.Clear();
            place.SendKeys($"tree {tree}");
            browser.Click(".walk form .button");
            browser.Await(() => browser.At.StartsWith("/look/"), "no tree was begun");
        }
        browser.Go(outing);
        Assert.Equal(5, browser.Driver.FindElements(By.CssSelector(".maplist li")).Count);
        Assert.True(browser.Has(".groundmap .treemark"), "no tree is on the map");
        using var database = application.OpenDatabase();
        var id = outing.Split('/')[2];
        Assert.Equal(5, database.Looks.Count(look => look.OutingId == id));
        Assert.All(
            database.Trees.Where(tree => database.Looks.Any(look => look.TreeId == tree.Id && look.OutingId == id)),
            tree => Assert.InRange(tree.Latitude!.Value, 45.09, 45.11)
        );
    }

    [Fact]
    public void A_place_is_set_by_a_tap_on_the_map_without_scripts_too()
    {
        using var browser = application.Open(scripts: false);
        LookJourneys.Start(browser, "to be placed");
        var id = LookOf(browser);
        browser.Go($"/notebook/map?place={id}");
        var map = browser.Find(".placing input[type=image]");
        new OpenQA.Selenium.Interactions.Actions(browser.Driver).MoveToElement(map, 40, -60).Click().Perform();
        browser.Await(() => browser.At.StartsWith($"/tree/{id}"), "the place was not taken");
        using var database = application.OpenDatabase();
        Assert.NotNull(database.Trees.AsNoTracking().Single(tree => tree.Id == id).Latitude);
    }

    [Fact]
    public void A_map_of_ones_own_lies_under_the_trees_that_stand_on_it()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "in the marsh");
        var id = LookOf(browser);
        var file = Path.Combine(Path.GetTempPath(), $"heron-marsh-{Guid.NewGuid():N}.geojson");
        string Ground(string position) =>
            $$$"""
                {"type":"FeatureCollection","features":[
                  {"type":"Feature","properties":{"leisure":"nature_reserve","name":"Heron Marsh"},
                   "geometry":{"type":"Polygon","coordinates":[[[7.10,51.20],[7.12,51.20],[7.12,51.21],[7.10,51.20]]]}},
                  {"type":"Feature","properties":{"natural":"water","name":"Heron Pool"},
                   "geometry":{"type":"Polygon","coordinates":[[[7.11,51.202],[7.112,51.202],{{{position}}},[7.11,51.202]]]}}]}
                """;
        try
        {
            // Metres in the place of degrees are the usual mistake.
            browser.Go("/notebook/map");
            File.WriteAllText(file, Ground("[365000,5673000]"));
            browser.Find("[name=file]").SendKeys(file);
            browser.Find("[name=title]").SendKeys("The marsh");
            browser.Click("form[action*='handler=Load'] .button");
            browser.Await(() => browser.Has("#mapproblem"), "the map was not refused");
            Assert.Contains("no degrees", browser.Text("#mapproblem"));
            Assert.Equal("The marsh", browser.Find("[name=title]").GetAttribute("value"));

            File.WriteAllText(file, Ground("[7.112,51.204]"));
            browser.Find("[name=file]").SendKeys(file);
            browser.Click("form[action*='handler=Load'] .button");
            browser.Await(() => browser.Text("h1") == "The marsh", "the map was not taken");
        }
        finally
        {
            File.Delete(file);
        }
        Assert.Contains("Heron Pool", browser.Text(".groundmap:not(.inkey)"));

        // A tree is put on it by a tap, and the map lies under it from then on.
        browser.Go($"/notebook/map?place={id}");
        browser.Driver.FindElement(By.LinkText("The marsh")).Click();
        browser.Await(() => browser.At.Contains("map="), "the map was not chosen");
        new OpenQA.Selenium.Interactions.Actions(browser.Driver)
            .MoveToElement(browser.Find(".placing input[type=image]"))
            .Click()
            .Perform();
        browser.Await(() => browser.At.StartsWith($"/tree/{id}"), "the place was not taken");
        using (var database = application.OpenDatabase())
        {
            var tree = database.Trees.AsNoTracking().Single(one => one.Id == id);
            Assert.InRange(tree.Latitude!.Value, 51.203, 51.207);
            Assert.InRange(tree.Longitude!.Value, 7.108, 7.112);
        }

        browser.Go("/notebook/map");
        browser.Click(".ownmap .plain");
        browser.Await(() => browser.Has(".notice .plain"), "the map was not thrown away");
        Assert.False(browser.Has(".ownmap"));
        browser.Click(".notice .plain");
        browser.Await(() => browser.Has(".ownmap"), "the map did not come back");
    }

    [Fact]
    public void A_planned_visit_goes_into_a_calendar_and_a_filled_sheet_is_entered_in_words()
    {
        using var browser = application.Open(1280, 1000);
        LookJourneys.Start(browser, "a willow by the weir");
        Say(browser, "alternate, simple, one bud scale, narrow leaves");
        var id = LookOf(browser);
        browser.Go("/notebook/plan");
        browser.Await(() => browser.Has(".outings li") || browser.Has("ol.outings"), "nothing was planned");
        Assert.Contains("settles it", browser.Text(".stops"));
        Assert.True(browser.Has("a[href*='handler=Calendar']"));
        browser.Go("/notebook/sheet");
        Assert.True(browser.Driver.FindElements(By.CssSelector(".sheetlooks .box")).Count > 10, "there is nothing to tick");

        browser.Go($"/notebook/enter?tree={id}&tree=nosuchid");
        Assert.Equal(id, browser.Find(".lines input[name=tree]").GetAttribute("value"));
        Assert.Single(browser.Driver.FindElements(By.CssSelector(".lines li")));
        var line = browser.Find($"li:has(input[value='{id}']) input[name=said]");
        line.SendKeys("hairy beneath, twigs wobbly blue");
        line.Submit();
        browser.Await(() => browser.Has(".notice"), "nothing was kept");
        var entered = browser.Text($"li:has(input[value='{id}'])").ToLowerInvariant();
        Assert.Contains("kept:", entered);
        Assert.Contains("not understood", entered);
        // Sent again as it was, since its answer was lost, it makes no second visit.
        line = browser.Find($"li:has(input[value='{id}']) input[name=said]");
        line.Clear();
        line.SendKeys("hairy beneath");
        line.Submit();
        browser.Await(() => browser.Text($"li:has(input[value='{id}'])").Contains("already there"), "it was taken twice");
        browser.Go($"/tree/{id}");
        Assert.Equal(2, browser.Driver.FindElements(By.CssSelector(".visits > li")).Count);
    }

    [Fact]
    public void A_determination_is_doubted_with_a_reason_named_anew_and_taken_back()
    {
        using var browser = application.Open();
        LookJourneys.Start(browser, "doubtful");
        Say(browser, "opposite, simple, palmately lobed");
        var id = LookOf(browser);
        browser.Go($"/tree/{id}");
        void Think(string kind, string name, string reasons, string by)
        {
            browser.Driver.ExecuteScript("document.querySelector(`[name=Kind][value=${arguments[0]}]`).click()", kind);
            if (name.Length > 0)
                browser.Find("[name=Name]").SendKeys(name);
            browser.Find("[name=Reasons]").SendKeys(reasons);
            browser.Find("[name=By]").SendKeys(by);
            browser.Click(".think > .button");
        }
        Think("determined", "Acer macrofilum", "", "Ann");
        browser.Await(() => browser.Text("#bad-name").Contains("not in this flora"), "a name nobody has was taken");
        Assert.Equal("Ann", browser.Find("[name=By]").GetAttribute("value"));
        browser.Find("[name=Name]").Clear();
        browser.Find("[name=Name]").SendKeys("Acer macrophyllum");
        browser.Click(".think > .button");
        browser.Await(() => browser.Text(".stands").Contains("Acer macrophyllum"), "it does not stand");
        Think("doubted", "", "", "Bob");
        browser.Await(() => browser.Text("#bad-reasons").Contains("Say what makes you doubt it"), "a doubt without a reason was taken");
        browser.Find("[name=Reasons]").SendKeys("The sap is not milky.");
        browser.Click(".think > .button");
        browser.Await(() => browser.Text(".stands").Contains("Bob doubts it: The sap is not milky."), "the doubt is not shown");
        Assert.Contains("settle it", browser.Text(".stands"));
        browser.Click(".opinions li:first-child button");
        browser.Await(() => !browser.Text(".stands").Contains("Bob"), "the doubt was not taken back");
        Assert.True(browser.Has(".opinions .withdrawn"), "it is gone from the history");
    }

    [Fact]
    public void Two_windows_on_one_tree_lose_nothing()
    {
        using var one = application.Open();
        LookJourneys.Start(one, "two windows");
        var id = LookOf(one);
        one.Go($"/tree/{id}");
        using var other = application.Open();
        other.Go($"/tree/{id}");
        void Tag(Browser browser, string tag)
        {
            browser.Driver.ExecuteScript("document.querySelector('.details').closest('details').open = true");
            var field = browser.Find("[name=Tag]");
            field.Clear();
            field.SendKeys(tag);
            browser.Click(".details .button");
        }
        Tag(one, "first");
        one.Await(() => one.Text("h1") == "first", "the tag was not kept");
        Tag(other, "second");
        other.Await(() => other.Has(".problem[role=alert]"), "nothing is said of the other window");
        Assert.Equal("second", other.Find("[name=Tag]").GetAttribute("value"));
        Assert.Equal("first", other.Text("h1"));
        other.Click(".details .button");
        other.Await(() => other.Text("h1") == "second", "the second could not be kept either");
        other.Driver.ExecuteScript("document.querySelector('.details').closest('details').open = true");
        other.Click("form[action*='handler=Undo'] button");
        other.Await(() => other.Text("h1") == "first", "the change was not taken back");
    }

    [Fact]
    public void A_file_is_looked_at_before_it_is_kept_and_all_of_it_can_be_taken_back()
    {
        var file = Path.Combine(Path.GetTempPath(), $"trees-{Guid.NewGuid():N}.csv");
        using var browser = application.Open(1280, 1000);
        File.WriteAllText(file, "tag,lat,lon,date\nimported one,45.1,-123.2,2026-05-14\nimported two,95,-123.2,2026-05-14\n");
        void Look()
        {
            browser.Go("/notebook/exchange");
            browser.Find("[name=file]").SendKeys(file);
            browser.Click("form[enctype] .button");
            browser.Await(() => browser.Has("select[name=column]"), "the file was not looked at");
        }
        Look();
        Assert.Contains("Row 2: latitude", browser.Text("#main"));
        browser.Click("form[action*='handler=Keep'] .button");
        browser.Await(() => browser.Text("[role=alert]").Contains("Nothing was kept: 1 of 2"), "a bad row was kept");
        File.WriteAllText(file, "tag,lat,lon,date\nimported one,45.1,-123.2,2026-05-14\nimported two,45.2,-123.2,2026-05-14\n");
        Look();
        browser.Click("form[action*='handler=Keep'] .button");
        browser.Await(() => browser.Text(".notice").Contains("2 trees were taken"), "they were not kept");
        browser.Click(".notice button");
        browser.Await(() => browser.Text(".notice").Contains("2 trees were thrown away"), "they were not taken back");
        browser.Go("/notebook");
        Assert.DoesNotContain("imported one", browser.Text("#main"));
        File.Delete(file);
    }

    [Fact]
    public void A_picture_is_kept_with_a_look_without_what_the_camera_hid_in_it()
    {
        var file = Path.Combine(Path.GetTempPath(), $"leaf-{Guid.NewGuid():N}.jpg");
        File.WriteAllBytes(file, Measuring.Photographs.Take(1).Jpeg);
        var text = Path.ChangeExtension(file, ".txt.jpg");
        File.WriteAllText(text, "no picture");
        using var browser = application.Open();
        LookJourneys.Start(browser, "with a picture");
        var id = LookOf(browser);
        browser.Click(".to-tree a[href$='/pictures']");
        browser.Await(() => browser.Has("form.sending"), "the pictures were not reached");
        browser.Find("[name=file]").SendKeys(text);
        browser.Click("form.sending .button");
        browser.Await(() => browser.Text("#problems").Contains("no picture that can be read"), "a text was taken");
        browser.Find("[name=file]").SendKeys(file);
        browser.Find("form.sending [name=caption]").SendKeys("three leaves");
        browser.Click("form.sending .button");
        browser.Await(() => browser.Has(".pictures img[alt='three leaves']"), "the picture was not kept");
        browser.Go($"/tree/{id}");
        Assert.True(browser.Has(".visits .pictures img"), "the tree does not show it");
        browser.Go($"/look/{id}/pictures");
        browser.Click(".pictures form[action*='handler=Discard'] button");
        browser.Await(() => !browser.Has(".pictures img"), "it was not thrown away");
        browser.Click(".notice button");
        browser.Await(() => browser.Has(".pictures img"), "it did not come back");
        File.Delete(file);
        File.Delete(text);
    }
}
