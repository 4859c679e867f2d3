using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Web.Notebooks;

/// <summary>Does away with what was thrown away longer ago than it is kept, once a day.</summary>
public sealed class Emptying(IServiceScopeFactory scopes, ILogger<Emptying> log) : BackgroundService
{
    // Not while the application starts, which has enough to do.
    private static readonly TimeSpan First = TimeSpan.FromMinutes(2),
        Every = TimeSpan.FromDays(1);

    /// <inheritdoc/>
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        await Task.Delay(First, stoppingToken);
        using var timer = new PeriodicTimer(Every);
        do
        {
            try
            {
                await using var scope = scopes.CreateAsyncScope();
                var gone = await scope.ServiceProvider.GetRequiredService<TreeBook>().Empty(stoppingToken);
                if (gone > 0)
                    log.LogInformation("{Gone} things thrown away over {Days} days ago are gone.", gone, TreeBook.DaysKept);
            }
            catch (Exception trouble) when (trouble is not OperationCanceledException)
            {
                // Tomorrow is another day.
                log.LogWarning(trouble, "What was thrown away could not be done away with.");
            }
        } while (await timer.WaitForNextTickAsync(stoppingToken));
    }
}
