using Microsoft.Extensions.Caching.Memory;
using VerdantSieve.Core.Formats.Notebook;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Store.Demo;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Web.Notebooks;

/// <summary>Finds the maps that trees and ways lie on: the reader's own, or the demonstration's reserve.</summary>
public sealed class GroundDesk(MapBook maps, IMemoryCache read)
{
    // Maps drawn at once; who has more of one place has loaded it again and again.
    private const int MostAtOnce = 6;

    private static readonly TimeSpan KeptRead = TimeSpan.FromMinutes(20);

    /// <summary>Trees and ways on a map.</summary>
    /// <param name="trees">The trees.</param>
    /// <param name="ways">The ways that were walked.</param>
    /// <param name="address">Where the page of a tree is.</param>
    /// <param name="whole">One of the reader's maps, all of which is to be seen, with the trees on it; null where all trees are.</param>
    /// <param name="cancel">Gives it up.</param>
    public async Task<GroundView> On(
        IReadOnlyList<TreePoint> trees,
        IReadOnlyList<IReadOnlyList<Position>> ways,
        Func<TreePoint, string> address,
        MapEntry? whole = null,
        CancellationToken cancel = default
    )
    {
        if (whole is not null)
            trees = [.. trees.Where(tree => tree.Position is not { } at || whole.Extent.IsNear(at))];
        Position[] points =
        [
            .. whole?.Extent.Corners ?? [],
            .. trees.Select(tree => tree.Position).OfType<Position>(),
            .. whole is null ? ways.SelectMany(way => way) : [],
        ];
        var own = await maps.List(cancel);
        // Where there is nothing to show yet, the newest map is, and without one the reserve of the demonstration.
        var near = points.Length > 0 ? own.Where(map => points.Any(map.Extent.IsNear)) : own.Take(1);
        var features = new List<GeoFeature>();
        foreach (var map in near.Take(MostAtOnce))
            features.AddRange(await Features(map, cancel));
        if (points.Length > 0 ? points.Any(ReserveMap.Map.Extent.IsNear) : features.Count == 0)
            features.InsertRange(0, ReserveMap.Map.Features);
        return new GroundView(trees, ways, features, points, address);
    }

    // What lies on a map never changes, so that it is read once for all who look at it within minutes.
    private async Task<IReadOnlyList<GeoFeature>> Features(MapEntry map, CancellationToken cancel) =>
        await read.GetOrCreateAsync(
            ("map", map.Id),
            async entry =>
            {
                entry.SlidingExpiration = KeptRead;
                return await maps.File(map.Id, cancel) is { } file && GeoFeatures.Read(file).Has(out var features) ? features : [];
            }
        ) ?? [];
}
