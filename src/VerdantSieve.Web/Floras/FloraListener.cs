using Npgsql;
using VerdantSieve.Store.Floras;

namespace VerdantSieve.Web;

/// <summary>Hears, through PostgreSQL, when another process on the same database has changed a flora, and takes that in.</summary>
public sealed class FloraListener(Settings settings, FloraShelf shelf, IServiceScopeFactory scopes, ILogger<FloraListener> log)
    : BackgroundService
{
    private static readonly TimeSpan BeforeTryingAgain = TimeSpan.FromSeconds(2);

    /// <inheritdoc/>
    protected override async Task ExecuteAsync(CancellationToken stopping)
    {
        while (!stopping.IsCancellationRequested)
            try
            {
                await Listen(stopping);
            }
            catch (OperationCanceledException) when (stopping.IsCancellationRequested) { }
            catch (NpgsqlException trouble)
            {
                log.LogWarning(trouble, "Changes by other processes are not heard; trying again.");
                await Task.Delay(BeforeTryingAgain, stopping).ConfigureAwait(ConfigureAwaitOptions.SuppressThrowing);
            }
    }

    private async Task Listen(CancellationToken stopping)
    {
        // A connection that has gone silently is noticed.
        var quiet = new NpgsqlConnectionStringBuilder(settings.Database) { Pooling = false, KeepAlive = 30 };
        await using var connection = new NpgsqlConnection(quiet.ConnectionString);
        await connection.OpenAsync(stopping);
        var heard = new Queue<FloraNotice>();
        connection.Notification += (_, told) =>
        {
            if (FloraNotice.Read(told.Payload) is { } notice)
                heard.Enqueue(notice);
        };
        await using (var listen = new NpgsqlCommand($"listen {FloraNotice.Channel}", connection))
            await listen.ExecuteNonQueryAsync(stopping);
        await CatchUp(stopping);
        while (true)
        {
            await connection.WaitAsync(stopping);
            while (heard.TryDequeue(out var notice))
                await Hear(notice);
        }
    }

    // What was told while nobody listened.
    private async Task CatchUp(CancellationToken stopping)
    {
        await using var scope = scopes.CreateAsyncScope();
        foreach (var (id, edition) in await scope.ServiceProvider.GetRequiredService<FloraLibrary>().Editions(stopping))
            await Hear(new FloraNotice(id, edition, Replaced: false));
    }

    private async Task Hear(FloraNotice notice)
    {
        try
        {
            await shelf.Hear(notice);
        }
        catch (Exception trouble) when (trouble is not OperationCanceledException)
        {
            // The others are served none the less, and the next notice brings the flora up to date.
            log.LogError(trouble, "Edition {Edition} of {Flora} could not be taken in.", notice.Edition, notice.Id);
        }
    }
}
