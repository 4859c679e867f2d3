using Microsoft.EntityFrameworkCore;
using NodaTime;
using VerdantSieve.Core;
using VerdantSieve.Core.Formats.Notebook;
using VerdantSieve.Store.Looks;

namespace VerdantSieve.Store.Notebooks;

/// <summary>A map of the reader's own, without what lies on it.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Title">What it is called.</param>
/// <param name="Extent">How far it reaches.</param>
/// <param name="IsDiscarded">Whether it has been thrown away.</param>
public sealed record MapEntry(string Id, string Title, GroundExtent Extent, bool IsDiscarded);

/// <summary>Keeps maps of the ground: each is its owner's alone, and what lies on one never changes.</summary>
public sealed class MapBook(SieveContext database, IClock clock, Reader reader)
{
    /// <summary>The most maps somebody keeps.</summary>
    public const int Most = 40;

    private IQueryable<MapRow> Own => database.Maps.AsNoTracking().Where(map => reader.Owners.Contains(map.Owner));

    /// <summary>The reader's maps, the newest first.</summary>
    public async Task<IReadOnlyList<MapEntry>> List(CancellationToken cancel = default) =>
        await Listed(Own.Where(map => map.Discarded == null).OrderByDescending(map => map.Created).ThenBy(map => map.Id))
            .ToListAsync(cancel);

    /// <summary>Finds a map, one that was thrown away too; null where the reader has none such.</summary>
    public async Task<MapEntry?> Find(string id, CancellationToken cancel = default) =>
        LookBook.IsId(id) ? await Listed(Own.Where(map => map.Id == id)).SingleOrDefaultAsync(cancel) : null;

    /// <summary>The file of a map as it came; null where the reader has none such.</summary>
    public async Task<string?> File(string id, CancellationToken cancel = default) =>
        LookBook.IsId(id) ? await Own.Where(map => map.Id == id).Select(map => map.GeoJson).SingleOrDefaultAsync(cancel) : null;

    private static IQueryable<MapEntry> Listed(IQueryable<MapRow> maps) =>
        maps.Select(map => new MapEntry(
            map.Id,
            map.Title,
            new GroundExtent(map.South, map.West, map.North, map.East),
            map.Discarded != null
        ));

    /// <summary>Keeps a map.</summary>
    /// <param name="map">The map.</param>
    /// <param name="geoJson">The file it was read from.</param>
    /// <returns>Its id; or, at <c>file</c>, that there are too many.</returns>
    public async Task<Outcome<string>> Add(GroundMap map, string geoJson)
    {
        if (await Own.CountAsync(row => row.Discarded == null) >= Most)
            return new Fault("file", $"There are {Most} maps already; throw one away first.");
        var row = new MapRow
        {
            Id = LookBook.NewId(),
            Owner = reader.Owner,
            Title = map.Title,
            GeoJson = geoJson,
            South = map.Extent.South,
            West = map.Extent.West,
            North = map.Extent.North,
            East = map.Extent.East,
            Created = clock.GetCurrentInstant().ToDateTimeOffset(),
        };
        database.Maps.Add(row);
        await database.SaveChangesAsync();
        return Outcome.Of(row.Id);
    }

    /// <summary>Throws a map away, or brings it back.</summary>
    /// <returns>Whether the reader has such a map.</returns>
    public async Task<bool> Discard(string id, bool discarded)
    {
        DateTimeOffset? when = discarded ? clock.GetCurrentInstant().ToDateTimeOffset() : null;
        return LookBook.IsId(id)
            && await database
                .Maps.Where(map => map.Id == id && reader.Owners.Contains(map.Owner))
                .ExecuteUpdateAsync(set => set.SetProperty(map => map.Discarded, when)) > 0;
    }
}
