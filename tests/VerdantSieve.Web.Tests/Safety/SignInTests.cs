using System.Net;
using Microsoft.AspNetCore.Http;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.DependencyInjection;
using NodaTime;
using VerdantSieve.Store.Curating;
using VerdantSieve.Store.People;
using VerdantSieve.Web.Curating;
using VerdantSieve.Web.People;
using VerdantSieve.Web.Safety;
using Xunit;

namespace VerdantSieve.Web.Tests.Safety;

/// <summary>Who gets in at the desk, how long guessing takes, and when it ends.</summary>
public class SignInTests(Application application)
{
    private const string Kept = "/desk/taxon/betula-lenta";

    [Fact]
    public void Every_wrong_password_doubles_the_wait_for_that_name_from_that_address_and_for_no_other()
    {
        var clock = new Moved();
        var delays = new SignInDelays(clock);
        var waits = new List<double>();
        for (var tries = 0; tries < 8; tries++)
        {
            waits.Add(delays.Of("1.1.1.1", "vera").TotalSeconds);
            delays.Wrong("1.1.1.1", "Vera");
        }
        Assert.Equal([0, 0.25, 0.5, 1, 2, 4, 8, 8], waits);
        Assert.Equal(Duration.Zero, delays.Of("2.2.2.2", "vera"));
        Assert.Equal(Duration.Zero, delays.Of("1.1.1.1", "mara"));
        delays.Right("1.1.1.1", "vera");
        Assert.Equal(Duration.Zero, delays.Of("1.1.1.1", "vera"));
        delays.Wrong("1.1.1.1", "vera");
        clock.Now += Duration.FromMinutes(16);
        Assert.Equal(Duration.Zero, delays.Of("1.1.1.1", "vera"));
    }

    [Fact]
    public async Task A_name_nobody_has_is_refused_in_the_same_words_as_a_wrong_password()
    {
        using var visitor = new Visitor(application.Address);
        async Task<string> Said(string name)
        {
            var answer = await visitor.Post("/sign-in", ("name", name), ("password", "wrong-but-long-enough"));
            Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
            return (await answer.Content.ReadAsStringAsync()).Split("role=\"alert\">")[1].Split('<')[0];
        }
        var one = await Curator("samewords");
        Assert.Equal(await Said("nobody-at-all"), await Said(one));
    }

    [Fact]
    public async Task Signing_out_ends_every_copy_of_the_cookie()
    {
        var name = await Curator("copied");
        using var here = await Visitor.SignedIn(application.Address, name, Password);
        using var copy = new Visitor(application.Address);
        foreach (Cookie cookie in here.Cookies.GetAllCookies())
            copy.Cookies.Add(application.Address, new Cookie(cookie.Name, cookie.Value));
        Assert.Equal(HttpStatusCode.OK, (await copy.Http.GetAsync(Kept, TestContext.Current.CancellationToken)).StatusCode);
        await here.Post("/sign-in?handler=Out");
        Assert.Equal(HttpStatusCode.Redirect, (await copy.Http.GetAsync(Kept, TestContext.Current.CancellationToken)).StatusCode);
    }

    [Fact]
    public async Task Without_the_demonstration_its_accounts_are_gone_and_their_cookies_end()
    {
        var database = await application.MakeDatabase("verdant_curators_test");
        await using (var demo = Desk(database, demo: true))
        {
            await DemoPeople.Ensure(demo.ServiceProvider);
            var users = demo.ServiceProvider.GetRequiredService<UserManager<Person>>();
            Assert.Equal(["ewan", "mara", "odalys", "pim"], users.Users.Select(curator => curator.UserName!).Order().ToArray());
            Assert.Equal(0, await Said(demo.ServiceProvider, "add vera keeper", "hazel-and-hornbeam-7"));
        }
        await using var desk = Desk(database, demo: false);
        var signIn = desk.ServiceProvider.GetRequiredService<SignInManager<Person>>();
        var mara = await signIn.CreateUserPrincipalAsync((await signIn.UserManager.FindByNameAsync("mara"))!);
        var vera = await signIn.CreateUserPrincipalAsync((await signIn.UserManager.FindByNameAsync("vera"))!);
        Assert.True(mara.IsDemo());
        Assert.False(vera.IsDemo());
        await DemoPeople.Ensure(desk.ServiceProvider);
        Assert.Null(await signIn.ValidateSecurityStampAsync(mara));
        Assert.NotNull(await signIn.ValidateSecurityStampAsync(vera));
        Assert.Equal(["vera"], signIn.UserManager.Users.Select(curator => curator.UserName!).ToArray());

        // With a new password, or taken off, whoever is signed in under the name is so no longer.
        Assert.Equal(1, await Said(desk.ServiceProvider, "reset vera", "short"));
        Assert.NotNull(await signIn.ValidateSecurityStampAsync(vera));
        Assert.Equal(0, await Said(desk.ServiceProvider, "reset vera", "linden-and-larch-12"));
        Assert.Null(await signIn.ValidateSecurityStampAsync(vera));
        Assert.Equal(1, await Said(desk.ServiceProvider, "remove nobody"));
        Assert.Equal(0, await Said(desk.ServiceProvider, "remove vera"));
        Assert.Empty(signIn.UserManager.Users);

        static Task<int> Said(IServiceProvider desk, string words, string typed = "") =>
            CuratorDesk.Run(desk, words.Split(' '), new StringReader(typed), TextWriter.Null, TextWriter.Null);
    }

    private static AsyncServiceScope Desk(string database, bool demo)
    {
        var services = new ServiceCollection();
        services.AddLogging();
        services.AddHttpContextAccessor();
        services.AddStore(new Settings(database, "", "", demo));
        services.AddPeople();
        return services.BuildServiceProvider().CreateAsyncScope();
    }

    [Fact]
    public void The_demonstrations_accounts_are_for_this_machine_alone()
    {
        Assert.True(Hosts.IsFromHere(From("127.0.0.1")));
        Assert.True(Hosts.IsFromHere(From("::1")));
        Assert.False(Hosts.IsFromHere(From("192.0.2.7")));
        Assert.False(Hosts.IsFromHere(new DefaultHttpContext()));

        static HttpContext From(string address) => new DefaultHttpContext { Connection = { RemoteIpAddress = IPAddress.Parse(address) } };
    }

    [Theory]
    [InlineData("evil.example", HttpStatusCode.BadRequest)]
    [InlineData("localhost", HttpStatusCode.OK)]
    public async Task Only_the_names_of_this_machine_are_answered_to(string host, HttpStatusCode status)
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, "/notebook");
        request.Headers.Host = $"{host}:{application.Address.Port}";
        Assert.Equal(status, (await application.Http.SendAsync(request, TestContext.Current.CancellationToken)).StatusCode);
    }

    [Theory]
    [InlineData("TRACE")]
    [InlineData("PROPFIND")]
    [InlineData("DELETE")]
    public async Task What_is_not_done_here_is_told_so(string method)
    {
        using var request = new HttpRequestMessage(new HttpMethod(method), "/notebook");
        var answer = await application.Http.SendAsync(request, TestContext.Current.CancellationToken);
        Assert.Equal(HttpStatusCode.MethodNotAllowed, answer.StatusCode);
        Assert.Contains("forms sent with POST", await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
    }

    private const string Password = "hazel-and-hornbeam-7";

    private async Task<string> Curator(string name)
    {
        await using var database = application.OpenDatabase();
        var curator = new Person
        {
            UserName = name,
            NormalizedUserName = name.ToUpperInvariant(),
            SecurityStamp = Guid.NewGuid().ToString("N"),
            Shown = name,
        };
        curator.PasswordHash = new PasswordHasher<Person>().HashPassword(curator, Password);
        database.Users.Add(curator);
        var role = database.Roles.Single(role => role.Name == CuratorRoles.Keeper);
        database.UserRoles.Add(new IdentityUserRole<string> { UserId = curator.Id, RoleId = role.Id });
        await database.SaveChangesAsync();
        return name;
    }

    private sealed class Moved : IClock
    {
        public Instant Now { get; set; } = Instant.FromUtc(2026, 6, 14, 12, 0);

        public Instant GetCurrentInstant() => Now;
    }
}
