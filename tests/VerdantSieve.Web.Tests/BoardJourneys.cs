using System.Net;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;
using VerdantSieve.Web.Measuring;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>The measuring board as people use it: a picture, marks dragged or nudged, leaves found, readings taken.</summary>
public class BoardJourneys(Application application)
{
    // The made-up leaves of the first photograph are 7.6, 8.3 and 9.1 cm long.
    private static readonly double[] Lengths = [7.6, 8.3, 9.1];

    [Fact]
    public void Corners_are_dragged_leaves_measured_and_a_length_taken_into_a_look()
    {
        using var browser = application.Open(1280, 1000);
        LookJourneys.Start(browser, "on the board");
        var look = browser.At.Split('?')[0];
        browser.Go(look + "?ask=blade-length");
        browser.Click("#question a[href^='/board']");
        browser.Await(() => browser.Has("main.board"), "the board was not reached");
        Choose(browser, 1);
        var corners = Photographs.Take(1).Corners;
        for (var i = 0; i < 4; i++)
        {
            var knob = browser.Driver.FindElements(By.CssSelector(".knob"))[i];
            browser.Driver.ExecuteScript("arguments[0].scrollIntoView({block: 'center'})", knob);
            var (x, y) = (Number(knob, "cx"), Number(knob, "cy"));
            var unit = Convert.ToDouble(
                browser.Driver.ExecuteScript("const i = document.querySelector('.table img'); return i.naturalWidth / i.clientWidth")
            );
            new Actions(browser.Driver)
                .MoveToElement(knob)
                .ClickAndHold()
                .MoveByOffset((int)Math.Round((corners[i].X - x) / unit), (int)Math.Round((corners[i].Y - y) / unit))
                .Release()
                .Perform();
        }
        browser.Click("[name=trace]");
        browser.Await(() => browser.Has(".measures tbody tr"), "nothing was measured");
        Assert.Equal("3 found.", browser.Text(".said"));
        var found = browser
            .Driver.FindElements(By.CssSelector(".measures tbody tr:first-child td"))
            .Take(3)
            .Select(cell => double.Parse(cell.Text.Split(' ')[0]));
        Assert.All(found.Zip(Lengths), pair => Assert.InRange(pair.First, 0.96 * pair.Second, 1.04 * pair.Second));
        Assert.Contains("÷", browser.Text(".measures tbody tr:first-child .how"));

        // One left out: the sample is of two.
        browser.Driver.ExecuteScript("document.querySelector('.number').dispatchEvent(new MouseEvent('click', {bubbles: true}))");
        browser.Await(() => browser.Text(".proposals li").Contains("2 leaves"), "the leaf was not left out");
        browser.Click(".proposals li button");
        browser.Await(() => browser.Text(".proposals li button") == "Taken", "it was not taken");
        browser.Go(look);
        Assert.Contains("cm) long", browser.Text(".mesh"));
    }

    [Fact]
    public void On_a_phone_marks_are_nudged_by_keys_and_a_ruler_sets_the_scale()
    {
        using var browser = application.Open(390, 800);
        browser.Go("/board");
        Choose(browser, 2);
        browser.Click("[name=by][value=ruler]");
        browser.Await(() => browser.Driver.FindElements(By.CssSelector(".knob")).Count == 2, "there are no two marks");
        var knob = browser.Find(".knob");
        var before = Number(knob, "cx");
        knob.SendKeys(Keys.ArrowRight + Keys.Shift + Keys.ArrowRight);
        Assert.True(Number(browser.Find(".knob"), "cx") > before + 5);
        // No more than a ruler’s length fits the picture: what makes no sense is said at once, and the marks stay.
        browser.Driver.ExecuteScript("document.querySelector('[name=apart]').value = '0'");
        browser.Click("[name=trace]");
        browser.Await(() => browser.Find(".with-picture > .problem").Displayed, "nothing says what is wrong");
        Assert.Contains("above 0", browser.Text(".with-picture > .problem"));
        Assert.Equal(2, browser.Driver.FindElements(By.CssSelector(".knob")).Count);
        browser.Driver.ExecuteScript("document.querySelector('[name=apart]').value = '10'");
        browser.Click("[name=trace]");
        browser.Await(() => browser.Has(".leaf"), "no leaf was found");
        Assert.False(browser.Find(".with-picture > .problem").Displayed);
    }

    [Fact]
    public async Task Without_scripts_a_sample_is_typed_and_what_is_no_picture_is_refused_in_a_sentence()
    {
        var page = await application.Http.GetStringAsync("/board?sample=12+x+7,+10+x+5+cm", TestContext.Current.CancellationToken);
        Assert.Contains("11.0", page);
        Assert.Contains("1.41", page);
        var wrong = WebUtility.HtmlDecode(
            await application.Http.GetStringAsync("/board?sample=12+x+7,+10", TestContext.Current.CancellationToken)
        );
        Assert.Contains("a width for every leaf", wrong);
        Assert.Contains("12 x 7, 10", wrong);

        using var form = new MultipartFormDataContent
        {
            { new ByteArrayContent([1, 2, 3, 4]), "picture", "leaf.jpg" },
            { new StringContent("0,0;100,0"), "points" },
            { new StringContent("10"), "width" },
        };
        var answer = await application.Http.PostAsync("/board/trace", form, TestContext.Current.CancellationToken);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        Assert.Contains("no picture", await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
        using var nothing = new StringContent("{}", System.Text.Encoding.UTF8, "application/json");
        var unmeasured = await application.Http.PostAsync("/board/measure", nothing, TestContext.Current.CancellationToken);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, unmeasured.StatusCode);
    }

    private static void Choose(Browser browser, int number)
    {
        browser.Driver.ExecuteScript(
            "const choice = document.querySelector('[name=simulated]'); choice.value = arguments[0];"
                + "choice.dispatchEvent(new Event('change'))",
            number.ToString()
        );
        browser.Await(() => browser.Driver.FindElements(By.CssSelector(".knob")).Count == 4, "the picture was not shown");
    }

    private static double Number(IWebElement element, string attribute) =>
        double.Parse(element.GetAttribute(attribute)!, System.Globalization.CultureInfo.InvariantCulture);
}
