using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;
using Microsoft.Extensions.Diagnostics.HealthChecks;
using NodaTime;
using VerdantSieve.Store;
using VerdantSieve.Store.Looks;
using VerdantSieve.Web.People;

namespace VerdantSieve.Web;

/// <summary>Opens the pages that people use most once before the application calls itself ready: the first who come need not
/// wait for code to be compiled and templates to be made.</summary>
public sealed class PageWarmer(
    IServer server,
    IHostApplicationLifetime life,
    IServiceScopeFactory scopes,
    FloraShelf shelf,
    LinkGenerator links,
    Settings settings,
    IClock clock,
    ILogger<PageWarmer> log
) : BackgroundService, IHealthCheck
{
    // Who comes first waits for it no longer than this; the rest is made ready beside the first who come, and what is not warm after the
    // longest gets warm by use.
    private static readonly TimeSpan BeforeTheFirst = TimeSpan.FromSeconds(1),
        Longest = TimeSpan.FromSeconds(4);

    // As many at a time as there are cores on a small machine.
    private const int AtATime = 2;

    private volatile bool done;

    /// <inheritdoc/>
    public Task<HealthCheckResult> CheckHealthAsync(HealthCheckContext context, CancellationToken cancellationToken = default) =>
        Task.FromResult(done ? HealthCheckResult.Healthy() : HealthCheckResult.Unhealthy("The pages are being made ready."));

    /// <inheritdoc/>
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        var started = new TaskCompletionSource();
        await using var _ = life.ApplicationStarted.Register(started.SetResult);
        await started.Task.WaitAsync(stoppingToken);
        using var time = CancellationTokenSource.CreateLinkedTokenSource(stoppingToken);
        time.CancelAfter(Longest);
        try
        {
            var opening = OpenPages(time.Token);
            await Task.WhenAny(opening, Task.Delay(BeforeTheFirst, stoppingToken));
            done = true;
            await opening;
        }
        catch (Exception trouble) when (trouble is HttpRequestException or OperationCanceledException)
        {
            log.LogDebug(trouble, "Not all pages could be opened beforehand.");
        }
    }

    private async Task OpenPages(CancellationToken cancel)
    {
        var addresses = server.Features.Get<IServerAddressesFeature>()?.Addresses ?? [];
        if (addresses.FirstOrDefault(address => address.StartsWith("http:", StringComparison.Ordinal)) is not { } address)
            return;
        using var http = new HttpClient
        {
            BaseAddress = new Uri(address.Replace("://*", "://127.0.0.1").Replace("://[::]", "://127.0.0.1")),
        };
        http.DefaultRequestHeaders.AcceptEncoding.ParseAdd("br");
        var pages = await Pages(cancel);
        await Parallel.ForEachAsync(
            pages,
            new ParallelOptions { MaxDegreeOfParallelism = AtATime, CancellationToken = cancel },
            async (page, stop) =>
            {
                using var request = new HttpRequestMessage(HttpMethod.Get, page.Address);
                if (page.Part)
                    request.Headers.Add("HX-Request", "true");
                using var answer = await http.SendAsync(request, stop);
                await answer.Content.ReadAsByteArrayAsync(stop);
            }
        );
    }

    // Looks with each kind of question, whole and as the part that a reading changes; then the other pages.
    private async Task<List<(string Address, bool Part)>> Pages(CancellationToken cancel)
    {
        await using var scope = scopes.CreateAsyncScope();
        // On a machine of one's own there are looks that are open to whoever asks from it, as this does.
        var looks = settings.OnePerson
            ? await new LookBook(scope.ServiceProvider.GetRequiredService<SieveContext>(), clock, Readers.Machine(settings)).List(
                cancel: cancel
            )
            : [];
        var kinds = shelf.Shipped.Flora.Characters.DistinctBy(character => character.GetType()).Select(character => character.Id);
        return
        [
            .. looks
                .Zip(kinds, (look, ask) => links.GetPathByPage("/Looks/Look", null, new { id = look.Id, ask }))
                .OfType<string>()
                .SelectMany(Both),
            .. new[] { "/Index", "/Notebook", "/Plants/Index" }
                .Select(page => links.GetPathByPage(page))
                .OfType<string>()
                .Select(page => (page, false)),
        ];

        static (string, bool)[] Both(string look) => [(look, true), (look, false)];
    }
}
