using System.Net;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Http;
using Microsoft.AspNetCore.Mvc.Infrastructure;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.AspNetCore.Mvc.RazorPages.Infrastructure;
using Microsoft.AspNetCore.Routing;
using Microsoft.Extensions.DependencyInjection;
using VerdantSieve.Core.Curating;
using VerdantSieve.Store.Curating;
using VerdantSieve.Store.Floras;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Store.Practising;
using VerdantSieve.Web.Curating;
using VerdantSieve.Web.Pages;
using VerdantSieve.Web.People;
using Xunit;

namespace VerdantSieve.Web.Tests.Safety;

/// <summary>Every address and every form there is, taken from the routes themselves, against everybody who may come: nobody, a curator, a
/// keeper; with a token and without. One that is added tomorrow is in the table by itself.</summary>
public class RouteTests(Application application)
{
    // Forms that anybody may send: a look belongs to whoever has its address, and signing in must be open.
    private static readonly string[] OpenToAll =
    [
        "/",
        "/look/{id}",
        "/tree/{id}",
        "/units",
        "/sign-in",
        "/sign-up",
        "/forgotten",
        "/new-password",
        "/oops",
        "/look/{id}/pictures",
        "/notebook/enter",
        "/notebook/exchange",
        "/notebook/map",
        "/outing/{id}",
        "/outings",
        "/practice",
        "/practice/{id}",
        "/practice/confusions",
        "/lists",
        "/list/{id}",
        "/class/{id}",
    ];

    // The page that explains an error is shown in the place of any other, whatever that was sent with.
    private const string Explains = "/oops";

    // What is wrong in an address is wrong for whoever asks: those who may least and those who may most ask it all.
    private static readonly string[] Queries =
    [
        "",
        "?flora=nosuch",
        "?page=-1&ask=%00&taxon=%ff&import=%00&country=%00&region=zz&family=%01",
    ];

    private static readonly string[] Roles = ["nobody", "odalys", "mara", "ewan"];

    [Fact]
    public void Every_form_of_the_desk_is_kept_by_a_policy()
    {
        var open = Forms().Where(form => form.Policy is null).Select(form => form.Template).Distinct();
        Assert.Equal(OpenToAll.Order(), open.Order());
    }

    [Fact]
    [Trait("Kind", "sweep")]
    public async Task No_form_is_taken_without_a_token_and_none_without_the_right_to_send_it()
    {
        var (people, tokens) = (await People(), new Dictionary<string, string>());
        var looked = 0;
        var wrong = new List<string>();
        foreach (var form in Forms().Where(form => form.Template != Explains))
            foreach (var who in Roles)
            {
                var (to, visitor) = (
                    Address(form.Template, await ALook()) + (form.Handler is null ? "" : $"?handler={form.Handler}"),
                    people[who]
                );
                var may = form.Policy is null || Has(who, form.Policy);
                var bare = await visitor.PostAs(to, null);
                // Who may not is told to sign in, token or none; who may is asked for it.
                if (bare.StatusCode != HttpStatusCode.BadRequest && (may || !IsSentToSignIn(bare)))
                    wrong.Add($"{who} without a token: {to}: {(int)bare.StatusCode}");
                if (!tokens.TryGetValue(who, out var token))
                    tokens[who] = token = await visitor.Token();
                var signed = await visitor.PostAs(to, token);
                if (IsSentToSignIn(signed) == may)
                    wrong.Add($"{who} with a token: {to}: {(int)signed.StatusCode} {signed.Headers.Location}");
                if ((int)signed.StatusCode >= 500)
                    wrong.Add($"{who}: {to}: {(int)signed.StatusCode}");
                looked++;
                if (to.EndsWith("handler=Out", StringComparison.Ordinal))
                    (people, tokens) = (await People(), []);
            }
        Assert.Empty(wrong);
        Assert.True(looked > 60, $"only {looked} were looked at");
    }

    [Fact]
    [Trait("Kind", "sweep")]
    public async Task No_address_answers_with_an_error_and_all_carry_the_headers()
    {
        var people = await People();
        var wrong = new List<string>();
        foreach (var template in Templates())
            foreach (var who in Roles)
                foreach (var query in who is "nobody" or "ewan" ? Queries : Queries[..1])
                {
                    var to = Address(template, "lantern2") + query;
                    var answer = await people[who].Http.GetAsync(to, TestContext.Current.CancellationToken);
                    if ((int)answer.StatusCode >= 500 && template != "/health")
                        wrong.Add($"{who}: {template}{query}: {(int)answer.StatusCode}");
                    if (!answer.Headers.Contains("Content-Security-Policy") || !answer.Headers.Contains("X-Content-Type-Options"))
                        wrong.Add($"{template}{query}: no headers");
                    if (template == "/desk/taxon/{slug}" && query.Length == 0 && IsSentToSignIn(answer) != (who is "nobody" or "odalys"))
                        wrong.Add($"{who}: {template}: {(int)answer.StatusCode}");
                }
        Assert.Empty(wrong);
    }

    private static bool IsSentToSignIn(HttpResponseMessage answer) =>
        answer.Headers.Location is { } to && to.OriginalString.StartsWith("/sign-in?", StringComparison.Ordinal);

    private static bool Has(string who, string policy) =>
        who switch
        {
            "mara" => policy is CuratorAccess.ChangesTaxa or CuratorAccess.HasAccount,
            "odalys" => policy == CuratorAccess.HasAccount,
            "ewan" => true,
            _ => false,
        };

    private async Task<Dictionary<string, Visitor>> People()
    {
        var people = new Dictionary<string, Visitor> { ["nobody"] = new(application.Address) };
        foreach (var account in DemoPeople.All)
            people[account.Name] = await Visitor.SignedIn(application.Address, account.Name, account.Password);
        return people;
    }

    private async Task<string> ALook()
    {
        await using var database = application.OpenDatabase();
        return (
            await new LookBook(database, NodaTime.SystemClock.Instance, Reader.Here).Start(
                "temperate-trees",
                new LookContent { Place = "routes" }
            )
        ).Id;
    }

    // A sound value for each part of an address.
    private static string Address(string template, string look) =>
        template
            .Replace("/look/{id}", $"/look/{look}")
            .Replace("/outing/{id}", "/outing/outspring")
            .Replace("/tree/{id}", $"/tree/{look}")
            .Replace("/practice/{id}", "/practice/lanternset")
            .Replace("/practice/{id:regex(^[a-z0-9]+$)}/{at:int}", "/practice/lanternset/0")
            .Replace("/list/{id}", "/list/lanternwood")
            .Replace("/floras/{id}", "/floras/temperate-trees")
            .Replace("{slug}", "acer-macrophyllum")
            .Replace("{name}", "Acer macrophyllum")
            .Replace("{format}", "nexus")
            .Replace("{documentName}", "v1")
            .Replace("{id}", "temperate-trees")
            .Replace("{edition}", "1")
            .Replace("{character}", "margin")
            .Replace("{state}", "entire")
            .Replace("{**path}", "x")
            .Replace("{*path:nonfile}", "x");

    internal sealed record SentForm(string Template, string? Handler, string? Policy);

    internal static IReadOnlyList<SentForm> Forms()
    {
        using var app = (IDisposable)Routes();
        var services = ((IApplicationBuilder)app).ApplicationServices;
        var loader = services.GetRequiredService<PageLoader>();
        return
        [
            .. services
                .GetRequiredService<IActionDescriptorCollectionProvider>()
                .ActionDescriptors.Items.OfType<PageActionDescriptor>()
                .SelectMany(page =>
                {
                    var compiled = loader.LoadAsync(page, EndpointMetadataCollection.Empty).GetAwaiter().GetResult();
                    var template = "/" + page.AttributeRouteInfo!.Template;
                    var type = compiled.HandlerTypeInfo;
                    var policy =
                        type.GetCustomAttributes(typeof(AuthorizeAttribute), true).OfType<AuthorizeAttribute>().FirstOrDefault()?.Policy
                        ?? type.GetCustomAttributes(typeof(AuthorizePostsAttribute), true)
                            .OfType<AuthorizePostsAttribute>()
                            .FirstOrDefault()
                            ?.Policy;
                    return compiled
                        .HandlerMethods.Where(method => method.HttpMethod == "Post")
                        .Select(method => new SentForm(template, method.Name, policy));
                }),
        ];
    }

    internal static IReadOnlyList<string> Templates()
    {
        using var app = (IDisposable)Routes();
        return
        [
            .. ((IEndpointRouteBuilder)app)
                .DataSources.SelectMany(source => source.Endpoints)
                .OfType<RouteEndpoint>()
                .Select(endpoint => "/" + endpoint.RoutePattern.RawText!.TrimStart('/'))
                .Distinct(),
        ];
    }

    // The routes need to know that there are such services, not what they do.
    private static WebApplication Routes()
    {
        var builder = WebApplication.CreateSlimBuilder();
        var services = builder.Services;
        services.AddRazorPages().AddApplicationPart(typeof(OopsModel).Assembly);
        services.AddHealthChecks();
        services.AddScoped<FloraLibrary>(_ => null!);
        services.AddScoped<RevisionBook>(_ => null!);
        services.AddScoped<LookBook>(_ => null!);
        services.AddScoped<PracticeBook>(_ => null!);
        services.AddSingleton<FloraShelf>(_ => null!);
        services.AddSingleton<FloraExports>(_ => null!);
        services.AddSingleton<NodaTime.IClock>(NodaTime.SystemClock.Instance);
        var app = builder.Build();
        app.MapAll();
        return app;
    }
}
