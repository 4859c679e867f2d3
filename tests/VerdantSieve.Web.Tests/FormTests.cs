using System.Net;
using System.Text.RegularExpressions;
using NodaTime;
using VerdantSieve.Core.Observing;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>Forms sent as a program would, past what a browser keeps from being sent.</summary>
public partial class FormTests(Application application)
{
    [Fact]
    public async Task Notes_that_are_too_long_are_refused_at_the_field_and_nothing_typed_is_lost()
    {
        var id = await Begin(new LookContent { Place = "notes", Notes = "short" });
        var notes = new string('x', 4001);
        var refused = await Post($"/look/{id}", "Notes", ("notes", notes));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.Status);
        Assert.Contains("Notes can have 4000 letters; these have 4001.", refused.Page);
        Assert.Contains(notes, refused.Page);
        Assert.Equal("short", (await Kept(id)).Notes);

        var kept = await Post($"/look/{id}", "Notes", ("notes", notes[1..]));
        Assert.Equal(HttpStatusCode.Redirect, kept.Status);
        Assert.Equal(notes[1..], (await Kept(id)).Notes);
    }

    [Fact]
    public async Task Readings_that_the_flora_does_not_understand_are_shown_as_such_and_not_counted()
    {
        var sound = new RawReading("arrangement") { States = ["opposite"], Certainty = "sure" };
        var id = await Begin(new LookContent { Readings = [sound, new RawReading("fragrance") { States = ["lemon"] }] });
        var page = await application.Http.GetStringAsync($"/look/{id}");
        Assert.Contains("Not understood by this flora", page);
        Assert.Contains("fragrance", page);
        var without = await application.Http.GetStringAsync($"/look/{await Begin(new LookContent { Readings = [sound] })}");
        Assert.DoesNotContain("Not understood by this flora", without);
        Assert.Equal(SentencePattern().Match(without).Value, SentencePattern().Match(page).Value);

        await Post($"/look/{id}", "Drop", ("character", "fragrance"));
        Assert.Equal(["arrangement"], (await Kept(id)).Readings.Select(reading => reading.Character));
    }

    [Fact]
    public async Task What_was_read_under_a_former_name_counts_and_is_dropped_under_the_one_it_has_now()
    {
        var id = await Begin(
            new LookContent
            {
                Readings =
                [
                    new RawReading("needle-colour") { States = ["blue-green"], Certainty = "sure" },
                    new RawReading("bud-form") { States = ["sticky"], Certainty = "fair" },
                ],
            }
        );
        var page = await application.Http.GetStringAsync($"/look/{id}");
        Assert.DoesNotContain("Not understood by this flora", page);
        Assert.Contains("blue-green foliage", page);

        await Post($"/look/{id}", "Drop", ("character", "leaf-colour"));
        Assert.Equal(["bud-gum"], (await Kept(id)).Readings.Select(reading => reading.Character));
        await Post($"/look/{id}", "Drop", ("character", "bud-gum"));
        Assert.Empty((await Kept(id)).Readings);
    }

    [Theory]
    [InlineData("/desk/floras", "Make")]
    [InlineData("/desk/history", "Undo")]
    public async Task What_only_curators_may_do_leads_everybody_else_to_sign_in(string address, string handler)
    {
        var answer = await Post(address, handler, ("id", "1"));
        Assert.Equal(HttpStatusCode.Redirect, answer.Status);
        Assert.Contains("/sign-in", answer.Location);
        Assert.Equal(HttpStatusCode.OK, (await application.Http.GetAsync(address)).StatusCode);
    }

    [Fact]
    public async Task A_page_view_logs_no_warning()
    {
        foreach (var page in new[] { "/", "/notebook", "/plants", "/look/lantern2", "/desk", "/nowhere" })
            await application.Http.GetAsync(page);
        Assert.DoesNotContain(application.Logged, line => line.Contains(" WRN]") && line.Contains("Cache-Control"));
    }

    private async Task<string> Begin(LookContent content)
    {
        await using var database = application.OpenDatabase();
        return (await new LookBook(database, SystemClock.Instance, Reader.Here).Start("temperate-trees", content)).Id;
    }

    private async Task<LookContent> Kept(string id)
    {
        await using var database = application.OpenDatabase();
        return (await new LookBook(database, SystemClock.Instance, Reader.Here).Find(id))!.Content;
    }

    // Takes the token of the page, as a browser would, and sends the form with it.
    private async Task<(HttpStatusCode Status, string Page, string Location)> Post(
        string address,
        string handler,
        params (string, string)[] fields
    )
    {
        var token = TokenPattern().Match(await application.Http.GetStringAsync(address)).Groups[1].Value;
        var form = fields.Append(("__RequestVerificationToken", token)).Select(field => KeyValuePair.Create(field.Item1, field.Item2));
        var answer = await application.Http.PostAsync($"{address}?handler={handler}", new FormUrlEncodedContent(form));
        return (answer.StatusCode, await answer.Content.ReadAsStringAsync(), answer.Headers.Location?.ToString() ?? "");
    }

    [GeneratedRegex("__RequestVerificationToken\" type=\"hidden\" value=\"([^\"]+)\"")]
    private static partial Regex TokenPattern();

    [GeneratedRegex("<h1 class=\"sentence\".*?</h1>", RegexOptions.Singleline)]
    private static partial Regex SentencePattern();
}
