using Microsoft.Extensions.Caching.Memory;
using NodaTime;
using NodaTime.Extensions;
using VerdantSieve.Core.Trees;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Web.Notebooks;

/// <summary>Works out what the season came to, and again only when something has changed.</summary>
public sealed class SeasonDesk(TreeBook trees, FloraShelf shelf, IMemoryCache known, IClock clock)
{
    private const int MostTrees = 1000;

    private static readonly TimeSpan Kept = TimeSpan.FromMinutes(20);

    /// <summary>The season of the reader's newest trees.</summary>
    public async Task<SeasonOverview> Take(CancellationToken cancel)
    {
        var (open, today) = (shelf.Shipped, clock.InTzdbSystemDefaultZone().GetCurrentDate());
        var points = (await trees.Points(open.Flora.About.Id, cancel: cancel)).Take(MostTrees).ToArray();
        string[] ids = [.. points.Select(point => point.Id)];
        var key = ("season", await trees.MarkOf(ids, cancel), open.Flora.About.Edition, today);
        if (known.TryGetValue(key, out SeasonOverview? season))
            return season!;
        var (visits, rest) = (await trees.VisitsOf(ids, cancel), await trees.RestOf(ids, cancel));
        season = new SeasonOverview(
            [
                .. points.Select(point => new SeasonTree(point.Id, point.Called, [.. visits[point.Id]], rest[point.Id].History)
                {
                    Sex = rest[point.Id].Details.Sex,
                }),
            ],
            open.Flora,
            open.Sieve,
            today
        );
        return known.Set(key, season, new MemoryCacheEntryOptions { SlidingExpiration = Kept });
    }
}
