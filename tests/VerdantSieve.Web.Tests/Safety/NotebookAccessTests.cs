using System.Diagnostics;
using System.Net;
using Microsoft.EntityFrameworkCore;
using NodaTime;
using VerdantSieve.Core.Formats.Notebook;
using VerdantSieve.Core.Practising;
using VerdantSieve.Core.Trees;
using VerdantSieve.Store.Lists;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Store.Practising;
using VerdantSieve.Web.People;
using Xunit;

namespace VerdantSieve.Web.Tests.Safety;

/// <summary>Where people have notebooks of their own: what is another's answers as if it were not there, in every page, every form and
/// every file of the route table that names a look, a tree, an outing or a picture.</summary>
public sealed class NotebookAccessTests(Application application, NotebookAccessTests.OfAccounts accounts)
    : IClassFixture<NotebookAccessTests.OfAccounts>
{
    /// <summary>The application where everybody has a notebook of their own.</summary>
    public sealed class OfAccounts(Application application) : IAsyncLifetime
    {
        private Process? process;

        public Uri Address { get; } = Application.FreeAddress();

        public async ValueTask InitializeAsync() => process = await application.StartAnother(Address, ("VERDANT_NOTEBOOK", "accounts"));

        public async ValueTask DisposeAsync()
        {
            process?.Kill(entireProcessTree: true);
            if (process is not null)
                await process.WaitForExitAsync();
        }
    }

    private readonly Uri address = accounts.Address;

    private static readonly Reader Owner = new([$"owner-{Guid.NewGuid():N}"], null, "Ann");

    private sealed record Things(string Look, string Outing, string Picture, string List, string Set, string Map);

    // A look with a picture, and an outing, of somebody who is not here.
    private async Task<Things> Others()
    {
        await using var database = application.OpenDatabase();
        var look = await new LookBook(database, SystemClock.Instance, Owner).Start(
            "temperate-trees",
            new LookContent { Place = "secret place" }
        );
        var outing = await new OutingBook(database, SystemClock.Instance, Owner).Begin(
            new OutingAbout("secret outing", null, "", "", "", "")
        );
        var picture = await new PictureBook(database, SystemClock.Instance, Owner).Add(
            look.Id,
            new NewPicture([1], [1], 1, 1, "", null, null)
        );
        var list = await new ListBook(database, SystemClock.Instance, Owner).Begin(
            "temperate-trees",
            new ListContent("secret list", "", [new ListedKind("Acer rubrum", "")])
        );
        var set = await new PracticeBook(database, SystemClock.Instance, Owner).Begin(
            "temperate-trees",
            "secret set",
            ["Acer rubrum"],
            [new NamePlant("Acer rubrum", 1)],
            null,
            null
        );
        const string Ground = """
            {"type":"FeatureCollection","features":[{"type":"Feature","properties":{"kind":"path"},
             "geometry":{"type":"LineString","coordinates":[[7,50],[7.01,50.01]]}}]}
            """;
        var map = await new MapBook(database, SystemClock.Instance, Owner).Add(GroundMap.Read("secret map", "", Ground).Value, Ground);
        return new Things(look.Id, outing, picture!, list, set, map.Value);
    }

    [Fact]
    public async Task What_is_anothers_is_not_there()
    {
        var things = await Others();
        using var guest = new Visitor(address);
        using var odalys = await Visitor.SignedIn(address, "odalys", DemoPeople.All.Single(account => account.Name == "odalys").Password);
        var wrong = new List<string>();
        var looked = 0;
        foreach (var visitor in new[] { guest, odalys })
        {
            foreach (var template in RouteTests.Templates().Where(NamesAThing))
            {
                var answer = await visitor.Http.GetAsync(At(template, things), TestContext.Current.CancellationToken);
                if (answer.StatusCode != HttpStatusCode.NotFound)
                    wrong.Add($"GET {template}: {(int)answer.StatusCode}");
                looked++;
            }
            var token = await visitor.Token();
            foreach (var form in RouteTests.Forms().Where(form => NamesAThing(form.Template)))
            {
                var to = At(form.Template, things) + (form.Handler is null ? "" : $"?handler={form.Handler}");
                var answer = await visitor.PostAs(
                    to,
                    token,
                    ("kind", "remarked"),
                    ("reasons", "mine now"),
                    ("place", things.Look),
                    ("title", "mine now"),
                    ("picture", things.Picture),
                    ("at", "45,-123,9")
                );
                if (answer.StatusCode is not (HttpStatusCode.NotFound or HttpStatusCode.BadRequest))
                    wrong.Add($"POST {to}: {(int)answer.StatusCode}");
                looked++;
            }
            // A map stands in no address's path.
            foreach (var of in new[] { "", "&handler=Ground", "&handler=File" })
                if (
                    (await visitor.Http.GetAsync($"/notebook/map?map={things.Map}{of}", TestContext.Current.CancellationToken)).StatusCode
                    != HttpStatusCode.NotFound
                )
                    wrong.Add($"GET the map {of}");
            foreach (var handler in new[] { "Discard", "Restore" })
                if (
                    (await visitor.PostAs($"/notebook/map?handler={handler}", token, ("map", things.Map))).StatusCode
                    != HttpStatusCode.NotFound
                )
                    wrong.Add($"POST {handler} of the map");
            foreach (
                var page in new[]
                {
                    "/",
                    "/notebook",
                    "/notebook/map",
                    "/outings",
                    "/notebook/enter",
                    "/notebook/season",
                    "/practice",
                    "/practice/confusions",
                    "/practice/answers.csv",
                    "/lists",
                    "/notebook/out/csv",
                    "/notebook/out/geojson",
                }
            )
                if (
                    (await visitor.Http.GetStringAsync(page, TestContext.Current.CancellationToken)).Contains(
                        "secret",
                        StringComparison.Ordinal
                    )
                )
                    wrong.Add($"{page} tells");
            var placed = await visitor.PostAs("/notebook/map?handler=Place", token, ("place", things.Look), ("x", "10"), ("y", "10"));
            if (placed.StatusCode != HttpStatusCode.NotFound)
                wrong.Add($"placing: {(int)placed.StatusCode}");
        }
        Assert.Empty(wrong);
        Assert.True(looked > 60, $"only {looked} were looked at");
        await using var database = application.OpenDatabase();
        Assert.Equal(
            "secret place",
            (await database.Looks.SingleAsync(look => look.Id == things.Look, TestContext.Current.CancellationToken)).Place
        );
        Assert.False(await database.Opinions.AnyAsync(line => line.TreeId == things.Look, TestContext.Current.CancellationToken));
    }

    private static bool NamesAThing(string template) =>
        template.StartsWith("/look/", StringComparison.Ordinal)
        || template.StartsWith("/tree/", StringComparison.Ordinal)
        || template.StartsWith("/outing/", StringComparison.Ordinal)
        || template.StartsWith("/list/", StringComparison.Ordinal)
        || template.StartsWith("/practice/{", StringComparison.Ordinal)
        || template.StartsWith("/pictures/", StringComparison.Ordinal);

    private static string At(string template, Things things)
    {
        var id = template.Split('/')[1] switch
        {
            "outing" => things.Outing,
            "pictures" => things.Picture,
            "list" => things.List,
            "practice" => things.Set,
            _ => things.Look,
        };
        return System.Text.RegularExpressions.Regex.Replace(template, @"\{id[^}]*\}", id).Replace("{at:int}", "0");
    }

    [Fact]
    public async Task A_guest_keeps_looks_in_this_browser_and_takes_them_into_an_account()
    {
        using var guest = new Visitor(address);
        var begun = await guest.Post("/", ("Where.Place", "by the mill"), ("Where.Date", "2026-06-14"));
        var look = begun.Headers.Location!.OriginalString;
        Assert.Equal(HttpStatusCode.OK, (await guest.Http.GetAsync(look, TestContext.Current.CancellationToken)).StatusCode);
        using var other = new Visitor(address);
        Assert.Equal(HttpStatusCode.NotFound, (await other.Http.GetAsync(look, TestContext.Current.CancellationToken)).StatusCode);

        var name = $"guest{Guid.NewGuid():N}"[..16];
        var made = await guest.Post("/sign-up", ("name", name), ("password", "hazel-and-hornbeam-7"));
        Assert.Equal("/notebook", made.Headers.Location!.OriginalString);
        Assert.Contains("by the mill", await guest.Http.GetStringAsync("/notebook", TestContext.Current.CancellationToken));
        // On another device the account has it, and a browser without the account has not.
        using var elsewhere = await Visitor.SignedIn(address, name, "hazel-and-hornbeam-7");
        Assert.Equal(HttpStatusCode.OK, (await elsewhere.Http.GetAsync(look, TestContext.Current.CancellationToken)).StatusCode);

        // A copy of everything has the look in it, and nobody without the account gets one.
        var copy = await elsewhere.Http.GetByteArrayAsync("/account?handler=Everything", TestContext.Current.CancellationToken);
        using (var zip = new System.IO.Compression.ZipArchive(new MemoryStream(copy)))
        using (var json = new StreamReader(zip.GetEntry("notebook.json")!.Open()))
            Assert.Contains("by the mill", await json.ReadToEndAsync(TestContext.Current.CancellationToken));
        Assert.Equal(
            HttpStatusCode.Redirect,
            (await other.Http.GetAsync("/account?handler=Everything", TestContext.Current.CancellationToken)).StatusCode
        );

        var refused = await elsewhere.Post("/account?handler=Delete", ("old", "not the password"));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        var gone = await elsewhere.Post("/account?handler=Delete", ("old", "hazel-and-hornbeam-7"));
        Assert.Equal(HttpStatusCode.Redirect, gone.StatusCode);
        await using var database = application.OpenDatabase();
        Assert.False(await database.Looks.AnyAsync(row => row.Id == look.Substring(6), TestContext.Current.CancellationToken));
    }

    [Fact]
    public void In_the_browser_a_guests_look_goes_along_into_the_account_and_not_to_another_browser()
    {
        using var guest = application.Open(address);
        LookJourneys.Start(guest, "by the weir");
        var look = guest.At.Split('?')[0];
        guest.Find("#say").SendKeys("opposite, palmately lobed" + OpenQA.Selenium.Keys.Enter);
        guest.Await(() => guest.Has("#meshes .mesh"), "nothing was heard");
        using (var other = application.Open(address))
            Assert.Contains("There is no such page", other.Go(look).Text("main"));
        guest.Go("/sign-up");
        var name = $"weir{Guid.NewGuid():N}"[..14];
        guest.Find("[name=name]").SendKeys(name);
        guest.Find("[name=password]").SendKeys("hazel-and-hornbeam-7");
        guest.Click("main form .button");
        guest.Await(() => guest.At.StartsWith("/notebook"), "no account was made");
        Assert.Contains("by the weir", guest.Text("main"));
        Assert.Contains("leaves in pairs", guest.Go(look).Text("#meshes").ToLowerInvariant());

        // Signed in elsewhere it is there, with what was read.
        using var elsewhere = application.Open(address);
        elsewhere.Go("/sign-in");
        elsewhere.Find("[name=name]").SendKeys(name);
        elsewhere.Find("[name=password]").SendKeys("hazel-and-hornbeam-7");
        elsewhere.Click("main form .button");
        elsewhere.Await(() => !elsewhere.At.StartsWith("/sign-in"), "could not sign in");
        Assert.Contains("leaves in pairs", elsewhere.Go(look).Text("#meshes").ToLowerInvariant());
    }

    [Fact]
    public async Task A_second_reader_doubts_a_shared_tree_and_no_other()
    {
        using var pim = await Visitor.SignedIn(address, "pim", DemoPeople.All.Single(account => account.Name == "pim").Password);
        var page = await pim.Http.GetStringAsync("/tree/lantern3", TestContext.Current.CancellationToken);
        Assert.Contains("of Odalys Brandt", page);
        var list = await pim.Http.GetStringAsync("/notebook?of=odalys", TestContext.Current.CancellationToken);
        Assert.Contains("Odalys Brandt’s notebook", WebUtility.HtmlDecode(list));
        Assert.Contains("/tree/lantern3", list);
        Assert.DoesNotContain("/look/lantern3", list);
        foreach (var other in new[] { "mara", "nobody-at-all" })
            Assert.Equal(
                HttpStatusCode.NotFound,
                (await pim.Http.GetAsync($"/notebook?of={other}", TestContext.Current.CancellationToken)).StatusCode
            );
        Assert.DoesNotContain("Throw this tree away", page);
        var doubted = await pim.Post("/tree/lantern3?handler=Think", ("kind", "doubted"), ("reasons", "The margin is not rolled."));
        Assert.Equal(HttpStatusCode.Redirect, doubted.StatusCode);
        Assert.Contains("Pim Achterberg doubts it", await pim.Http.GetStringAsync("/tree/lantern3", TestContext.Current.CancellationToken));
        Assert.Equal(HttpStatusCode.NotFound, (await pim.Post("/tree/lantern3?handler=Details", ("tag", "mine"))).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await pim.Post("/tree/lantern3?handler=Visit")).StatusCode);

        // It is taken back by whoever said it, and by nobody else.
        await using var database = application.OpenDatabase();
        var line = await database.Opinions.SingleAsync(
            one => one.TreeId == "lantern3" && one.Kind == OpinionKind.Doubted,
            TestContext.Current.CancellationToken
        );
        using var odalys = await Visitor.SignedIn(address, "odalys", DemoPeople.All.Single(account => account.Name == "odalys").Password);
        Assert.Equal(HttpStatusCode.NotFound, (await odalys.Post("/tree/lantern3?handler=Withdraw", ("line", $"{line.Id}"))).StatusCode);
        Assert.Equal(HttpStatusCode.Redirect, (await pim.Post("/tree/lantern3?handler=Withdraw", ("line", $"{line.Id}"))).StatusCode);
    }

    [Fact]
    public async Task A_forgotten_password_is_set_anew_by_the_letter_in_the_outbox_once()
    {
        using var visitor = new Visitor(address);
        var name = $"vera{Guid.NewGuid():N}"[..14];
        await visitor.Post("/sign-up", ("name", name), ("email", $"{name}@place.example"), ("password", "hazel-and-hornbeam-7"));
        using var forgetful = new Visitor(address);
        await forgetful.Post("/forgotten", ("name", name));
        var unknown = await (await forgetful.Post("/forgotten", ("name", "nobody-at-all"))).Content.ReadAsStringAsync(
            TestContext.Current.CancellationToken
        );
        Assert.Contains("If an account has that name", unknown);
        var outbox = await forgetful.Http.GetStringAsync("/outbox", TestContext.Current.CancellationToken);
        var link = WebUtility.HtmlDecode(
            outbox.Split("<a href=\"").First(part => part.Contains("name=" + name, StringComparison.Ordinal)).Split('"')[0]
        );
        var query = Microsoft.AspNetCore.WebUtilities.QueryHelpers.ParseQuery(link.Split('?')[1]);
        (string, string)[] Form(string password) => [("name", name), ("token", query["token"].ToString()), ("password", password)];
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await forgetful.Post("/new-password", Form("short"))).StatusCode);
        Assert.Equal(HttpStatusCode.Redirect, (await forgetful.Post("/new-password", Form("linden-and-larch-12"))).StatusCode);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await forgetful.Post("/new-password", Form("linden-and-larch-13"))).StatusCode);
        using var again = await Visitor.SignedIn(address, name, "linden-and-larch-12");
    }
}
