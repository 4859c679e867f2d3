using System.Net;
using Microsoft.EntityFrameworkCore;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Store;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;
using Xunit;

namespace VerdantSieve.Web.Tests.Safety;

/// <summary>People record, visit trees again and say what they think of them, while the application and its database are killed, six
/// times in all.</summary>
public class ChaosTests(Application application)
{
    private const int Recorders = 6,
        Walkers = 2,
        Readers = 2;

    /// <summary>One who sends one thing after another; what is not acknowledged is sent again, as a page's script or a patient person
    /// does.</summary>
    private sealed class Worker(Uri address, string tree)
    {
        public string Tree => tree;
        public int Acknowledged { get; private set; }
        public int Refused { get; private set; }

        /// <summary>The looks that were said to be begun.</summary>
        public List<string> Begun { get; } = [];

        /// <param name="next">What is sent the n-th time: where to, and with what; the sending is named besides.</param>
        /// <param name="over">Ends it.</param>
        public async Task Work(Func<int, (string To, (string, string)[] Fields)> next, CancellationToken over)
        {
            using var visitor = new Visitor(address);
            string? token = null;
            for (var number = 0; !over.IsCancellationRequested && number < LookBook.MostSteps - 1; number++)
            {
                var (to, fields) = next(number);
                (string, string)[] all = [.. fields, ("sent", Guid.NewGuid().ToString())];
                while (!over.IsCancellationRequested)
                    try
                    {
                        token ??= await visitor.Token("/");
                        var answer = await visitor.PostAs(to, token, all);
                        if (answer.StatusCode == HttpStatusCode.Redirect)
                        {
                            Acknowledged++;
                            if (answer.Headers.Location!.OriginalString is ['/', 'l', 'o', 'o', 'k', '/', .. var look])
                                Begun.Add(look);
                            break;
                        }
                        Assert.Equal(HttpStatusCode.ServiceUnavailable, answer.StatusCode);
                        Refused++;
                        await Task.Delay(100, CancellationToken.None);
                    }
                    catch (Exception away) when (away is HttpRequestException or InvalidOperationException)
                    {
                        Refused++;
                        await Task.Delay(100, CancellationToken.None);
                    }
                await Task.Delay(60, CancellationToken.None);
            }
        }
    }

    [Fact]
    [Trait("Kind", "sweep")]
    public async Task What_was_acknowledged_is_there_and_nothing_is_there_twice()
    {
        using var server = new OwnServer();
        var address = Application.FreeAddress();
        var process = await application.StartAnother(address, server.Connection);
        using var over = new CancellationTokenSource();
        var workers = new Worker[Recorders + Walkers + Readers];
        var work = new Task[workers.Length];
        try
        {
            for (var at = 0; at < workers.Length; at++)
                workers[at] = new Worker(address, await Begin(server.Connection, at));
            for (var at = 0; at < workers.Length; at++)
                work[at] = workers[at].Work(WorkOf(at, workers[at].Tree), over.Token);
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

        Assert.All(workers, worker => Assert.True(worker.Acknowledged > 0, "one never got anything through"));
        var through = workers.Sum(worker => worker.Acknowledged);
        Assert.True(through > 60, $"only {through} were acknowledged");
        Assert.True(workers.Sum(worker => worker.Refused) > 0, "nothing was ever refused: the kills went by unnoticed");
        // The connections kept from before the kills are dead.
        Npgsql.NpgsqlConnection.ClearAllPools();
        await using var database = Open(server.Connection);
        for (var at = 0; at < workers.Length; at++)
            await Check(database, at, workers[at]);
    }

    private static Func<int, (string, (string, string)[])> WorkOf(int worker, string tree) =>
        worker switch
        {
            < Recorders => number =>
                (
                    $"/look/{tree}?handler=Read",
                    [("character", CharacterIds.Arrangement), ("states", number % 2 == 0 ? "opposite" : "alternate"), ("certainty", "fair")]
                ),
            < Recorders + Walkers => _ => ($"/tree/{tree}?handler=Visit", []),
            _ => number => ($"/tree/{tree}?handler=Think", [("kind", "remarked"), ("reasons", $"remark {number}")]),
        };

    // The last thing of each may have been kept without the word that it was ever having come through.
    private static async Task Check(SieveContext database, int at, Worker worker)
    {
        var cancel = TestContext.Current.CancellationToken;
        var tree = worker.Tree;
        if (at < Recorders)
        {
            var steps = await database.LookSteps.Where(step => step.LookId == tree && step.Number > 0).ToListAsync(cancel);
            Assert.InRange(steps.Count, worker.Acknowledged, worker.Acknowledged + 1);
            Assert.Equal(steps.Count, steps.Select(step => step.Sent).Distinct().Count());
        }
        else if (at < Recorders + Walkers)
        {
            var looks = await database.Looks.Where(look => look.TreeId == tree && look.Id != tree).ToListAsync(cancel);
            Assert.InRange(looks.Count, worker.Acknowledged, worker.Acknowledged + 1);
            Assert.Equal(worker.Acknowledged, worker.Begun.Distinct().Count());
            Assert.Empty(worker.Begun.Except(looks.Select(look => look.Id)));
            // One alone is the newest, and each has its first step.
            Assert.Equal(1, await database.Looks.CountAsync(look => look.TreeId == tree && look.IsLatest, cancel));
            Assert.All(looks, look => Assert.True(database.LookSteps.Any(step => step.LookId == look.Id)));
        }
        else
        {
            var said = await database.Opinions.Where(line => line.TreeId == tree).Select(line => line.Reasons).ToListAsync(cancel);
            Assert.InRange(said.Count, worker.Acknowledged, worker.Acknowledged + 1);
            Assert.Equal(said.Count, said.Distinct().Count());
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
