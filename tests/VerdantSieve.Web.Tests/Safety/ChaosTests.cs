using System.Net;
using Microsoft.EntityFrameworkCore;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Store;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;
using Xunit;

namespace VerdantSieve.Web.Tests.Safety;

/// <summary>Ten people record while the application and its database are killed, six times in all.</summary>
public class ChaosTests(Application application)
{
    private const int Workers = 10;

    [Fact]
    public async Task What_was_acknowledged_is_there_and_nothing_is_there_twice()
    {
        using var server = new OwnServer();
        var address = Application.FreeAddress();
        var process = await application.StartAnother(address, server.Connection);
        using var over = new CancellationTokenSource();
        var (looks, acknowledged, refused) = (new string[Workers], new int[Workers], new int[1]);
        var work = new Task[Workers];
        try
        {
            for (var worker = 0; worker < Workers; worker++)
                looks[worker] = await Begin(server.Connection, worker);
            for (var worker = 0; worker < Workers; worker++)
                work[worker] = Record(address, looks, acknowledged, refused, worker, over.Token);
            await Task.Delay(1500, TestContext.Current.CancellationToken);
            for (var kill = 0; kill < 6; kill++)
            {
                if (kill % 2 == 0)
                {
                    process.Kill(entireProcessTree: true);
                    await process.WaitForExitAsync(TestContext.Current.CancellationToken);
                    process = await application.StartAnother(address, server.Connection);
                }
                else
                {
                    server.Crash();
                    await Task.Delay(300, TestContext.Current.CancellationToken);
                    // It is told as what it is, and not as a fault of ours.
                    using var visitor = new HttpClient { BaseAddress = address };
                    var page = await visitor.GetAsync("/notebook", TestContext.Current.CancellationToken);
                    Assert.Equal(HttpStatusCode.ServiceUnavailable, page.StatusCode);
                    Assert.NotNull(page.Headers.RetryAfter);
                    server.Start();
                }
                await Task.Delay(1500, TestContext.Current.CancellationToken);
            }
        }
        finally
        {
            await over.CancelAsync();
            await Task.WhenAll(work.Where(one => one is not null));
            process.Kill(entireProcessTree: true);
        }

        Assert.True(acknowledged.Sum() > 100, $"only {acknowledged.Sum()} were acknowledged");
        Assert.True(refused[0] > 0, "nothing was ever refused: the kills went by unnoticed");
        // The connections kept from before the kills are dead.
        Npgsql.NpgsqlConnection.ClearAllPools();
        await using var database = Open(server.Connection);
        for (var worker = 0; worker < Workers; worker++)
        {
            var (id, count) = (looks[worker], acknowledged[worker]);
            var steps = await database
                .LookSteps.Where(step => step.LookId == id && step.Number > 0)
                .OrderBy(step => step.Number)
                .ToListAsync(TestContext.Current.CancellationToken);
            // The last one may have been kept without the word that it was ever having come through.
            Assert.InRange(steps.Count, count, count + 1);
            Assert.Equal(steps.Count, steps.Select(step => step.Sent).Distinct().Count());
        }
    }

    // Sends one reading after another; what is not acknowledged is sent again, as the page's script does.
    private static async Task Record(Uri address, string[] looks, int[] acknowledged, int[] refused, int worker, CancellationToken over)
    {
        using var visitor = new Visitor(address);
        string? token = null;
        for (var number = 0; !over.IsCancellationRequested && number < LookBook.MostSteps - 1; number++)
        {
            var sent = Guid.NewGuid().ToString();
            while (!over.IsCancellationRequested)
                try
                {
                    token ??= await visitor.Token("/");
                    var state = number % 2 == 0 ? "opposite" : "alternate";
                    var answer = await visitor.PostAs(
                        $"/look/{looks[worker]}?handler=Read",
                        token,
                        ("character", CharacterIds.Arrangement),
                        ("states", state),
                        ("certainty", "fair"),
                        ("sent", sent)
                    );
                    if (answer.StatusCode == HttpStatusCode.Redirect)
                    {
                        acknowledged[worker]++;
                        break;
                    }
                    Assert.Equal(HttpStatusCode.ServiceUnavailable, answer.StatusCode);
                    Interlocked.Increment(ref refused[0]);
                    await Task.Delay(100, CancellationToken.None);
                }
                catch (Exception away) when (away is HttpRequestException or InvalidOperationException)
                {
                    Interlocked.Increment(ref refused[0]);
                    await Task.Delay(100, CancellationToken.None);
                }
            await Task.Delay(60, CancellationToken.None);
        }
    }

    private static async Task<string> Begin(string connection, int worker)
    {
        await using var database = Open(connection);
        return (
            await new LookBook(database, SystemClock.Instance, Reader.Here).Start(
                "temperate-trees",
                new LookContent { Place = $"chaos {worker}" }
            )
        ).Id;
    }

    private static SieveContext Open(string connection)
    {
        var options = new DbContextOptionsBuilder<SieveContext>();
        SieveContext.Configure(options, connection);
        return new SieveContext(options.Options);
    }
}
