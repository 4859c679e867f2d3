using System.Text.Json;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>Every page against axe-core (WCAG 2.2 A and AA and axe's best practices), at desk and phone width, light and dark.</summary>
public class AccessibilityTests(Application application)
{
    private static readonly string[] Pages =
    [
        "/",
        "/notebook",
        "/plants",
        "/plants?find=nosuchplant",
        "/plant/acer-macrophyllum",
        "/plant/toxicodendron-diversilobum",
        "/words",
        "/help",
        "/nowhere",
        "/beside",
        "/desk",
        "/desk/report",
        "/desk/history",
        "/sign-in",
        "/desk/floras",
        "/desk/coverage?country=GRB",
        "/words?find=cuneate",
        "/doubles?region=ONT",
        "/plants?family=Betulaceae",
        "/plants?genus=Acer&as=plates",
        "/board?sample=12+x+7,+10+x+5+cm",
        "/beside?taxa=acer-platanoides&taxa=platanus-hispanica&taxa=acer-macrophyllum",
        "/look/lantern2",
        "/look/lantern5",
        "/look/lantern8",
        "/look/lantern4?ask=arrangement",
        "/look/lantern4?ask=margin&several=true",
        "/look/lantern4?ask=blade-length",
        "/look/lantern4?ask=base-sprouts",
        "/look/lantern4?find=bark",
        "/look/lantern5?taxon=quercus-garryana",
        "/look/lantern5/meshes",
        "/look/lanternc",
        "/look/lanternd?ask=blade-length",
        "/look/lantern4?where=true",
        "/look/lantern2b",
        "/look/lantern2/pictures",
        "/tree/lantern4",
        "/tree/lanternb",
        "/tree/lantern2/label",
        "/notebook/map",
        "/notebook/map?place=lantern2",
        "/notebook/plan",
        "/notebook/sheet",
        "/notebook/enter",
        "/notebook/season",
        "/notebook/exchange",
        "/outings",
        "/outing/outridge",
        "/outing/outridge/report",
        "/sign-up",
        "/key",
        "/key?region=ORE&group=Acer",
        "/key?region=ORE&group=Acer&way=12",
        "/key?region=ORE&group=Acer&indented=true",
        "/practice",
        "/practice/lanternset",
        "/practice/lanternset?after=1",
        "/practice/lanternset?after=3",
        "/practice/lanternset?after=6",
        "/practice/confusions",
        "/lists",
        "/list/lanternwood",
        "/forgotten",
        "/outbox",
    ];

    private const string Standard = "runOnly: ['wcag2a','wcag2aa','wcag21a','wcag21aa','wcag22aa','best-practice']";

    // At another width other things are shown, and stand closer; of the dark page nothing but its colours is different.
    private const string OfWidth =
        "runOnly: {type: 'rule', values: ['target-size','scrollable-region-focusable','meta-viewport','aria-hidden-focus','button-name',"
        + "'link-name','label','region','skip-link','landmark-unique','heading-order','page-has-heading-one']}";
    private const string ContrastAlone = "runOnly: {type: 'rule', values: ['color-contrast']}";

    // What keeps the rules need not be described, which takes axe longer than the rules do; there are no frames, and no films to wait for.
    private const string Briefly = "resultTypes: ['violations'], selectors: false, iframes: false, preload: false";

    /// <summary>The pages in two halves, so that both cores of a small machine have their share.</summary>
    public static TheoryData<int> Halves => [0, 1];

    [Theory]
    [MemberData(nameof(Halves))]
    [Trait("Kind", "sweep")]
    public void No_page_has_a_violation(int half)
    {
        using var browser = application.Open(1280, 900);
        var axe = File.ReadAllText(Path.Combine(Application.Root, "node_modules", "axe-core", "axe.min.js"));
        var found = new List<string>();
        foreach (var page in Pages.Where((_, at) => at % 2 == half))
        {
            browser.Go(page);
            browser.Driver.ExecuteScript("document.querySelectorAll('details').forEach(d => d.open = true)");
            // The six hundredth row of a list is as the first dozen.
            browser.Driver.ExecuteScript(
                "document.querySelectorAll('main ul, main ol, main tbody, main dl, main section, main div').forEach(list => "
                    + "[...list.children].slice(12).filter(it => it.matches('li, tr, div, section, article')).forEach(it => it.remove()))"
            );
            // Nor is a line of a drawing anything to be read; what can be tapped stays.
            browser.Driver.ExecuteScript(
                "document.querySelectorAll('svg :is(path, circle, ellipse, rect, polygon, polyline, line)').forEach(it => {"
                    + "const drawing = it.closest('svg'), on = it.closest('a, button, [tabindex]');"
                    + "if (!on || on === drawing || !drawing.contains(on)) it.remove(); })"
            );
            browser.Driver.ExecuteScript(axe);
            foreach (var (width, dark, rules) in new[] { (1280, false, Standard), (390, false, OfWidth), (1280, true, ContrastAlone) })
            {
                browser.Resize(width, 900, dark);
                found.AddRange(
                    Violations(browser, rules).Select(violation => $"{page}, {width} wide{(dark ? ", dark" : "")}: {violation}")
                );
            }
            browser.Resize(1280, 900, dark: false);
        }
        Assert.True(found.Count == 0, string.Join('\n', found));
    }

    private static IEnumerable<string> Violations(Browser browser, string rules)
    {
        // On a phone the field to speak into lies over what can be scrolled up; at the end nothing lies under it.
        browser.Driver.ExecuteScript("window.scrollTo(0, document.body.scrollHeight)");
        var json = (string)
            browser.Driver.ExecuteAsyncScript(
                $"const done = arguments[arguments.length - 1]; axe.run(document, {{{rules}, {Briefly}}}).then(r => "
                    + "done(JSON.stringify(r.violations.map(v => "
                    + "({id: v.id, at: v.nodes.slice(0, 3).map(n => n.html.slice(0, 200) + ' ' + (n.any[0]?.message ?? ''))})))))"
            )!;
        return JsonDocument
            .Parse(json)
            .RootElement.EnumerateArray()
            .Select(violation =>
                $"{violation.GetProperty("id").GetString()}: "
                + string.Join(" | ", violation.GetProperty("at").EnumerateArray().Select(at => at.GetString()))
            );
    }

    [Fact]
    public void Names_are_set_in_italics_and_ranks_and_signs_are_not()
    {
        using var browser = application.Open();
        browser.Go("/plant/platanus-hispanica");
        Assert.Equal("italic", browser.Find("h1 i").GetCssValue("font-style"));
        Assert.Equal("Platanus × hispanica", browser.Text("h1").Split(" Mill")[0]);
        Assert.DoesNotContain(browser.Driver.FindElements(OpenQA.Selenium.By.CssSelector("h1 i")), i => i.Text.Contains('×'));
    }
}
