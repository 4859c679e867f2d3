using Microsoft.EntityFrameworkCore;
using NodaTime;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;

namespace VerdantSieve.Store.Floras;

/// <summary>All floras there are: the shipped one, and those made or imported here.</summary>
public sealed class FloraLibrary(SieveContext database, IClock clock)
{
    /// <summary>The floras, the shipped one first.</summary>
    /// <param name="removed">Those that were taken off the list instead.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task<IReadOnlyList<FloraEntry>> List(bool removed = false, CancellationToken cancel = default) =>
        await database
            .Floras.AsNoTracking()
            .Where(flora => flora.Removed != null == removed)
            .OrderBy(flora => flora.IsOwn)
            .ThenBy(flora => flora.Title)
            .Select(flora => new FloraEntry(
                flora.Id,
                flora.Title,
                flora.Edition,
                database.Taxa.Count(taxon => taxon.FloraId == flora.Id),
                database.Characters.Count(character => character.FloraId == flora.Id),
                flora.IsOwn,
                flora.Loaded
            ))
            .ToListAsync(cancel);

    /// <summary>Reads a flora; null where there is none of this id.</summary>
    public async Task<Flora?> Read(string id, CancellationToken cancel = default) =>
        FloraGate.IsId(id) && await database.Floras.AsNoTracking().SingleOrDefaultAsync(flora => flora.Id == id, cancel) is { } row
            ? await new FloraTables(database).Read(row, cancel)
            : null;

    /// <summary>The edition each flora is at.</summary>
    public Task<Dictionary<string, int>> Editions(CancellationToken cancel = default) =>
        database.Floras.AsNoTracking().ToDictionaryAsync(flora => flora.Id, flora => flora.Edition, cancel);

    /// <summary>Keeps a flora as one’s own: all of it or, where anything goes wrong, nothing.</summary>
    /// <param name="flora">The flora.</param>
    /// <param name="replace">Whether it takes the place of an own flora of the same id.</param>
    /// <param name="cancel">Stops it; nothing is kept then.</param>
    /// <returns>The flora, or what stands in the way, at the field <c>id</c>.</returns>
    public async Task<Outcome<Flora>> Keep(Flora flora, bool replace = false, CancellationToken cancel = default)
    {
        var gate = FloraGate.Pass(flora);
        if (gate.Faults.Count > 0)
            return gate;
        var id = flora.About.Id;
        if (await database.Floras.AsNoTracking().SingleOrDefaultAsync(row => row.Id == id, cancel) is { } there)
        {
            if (!there.IsOwn)
                return new Fault("id", $"“{id}” is the id of the shipped flora; give this one another.");
            var whose = there.Removed is null ? "an own flora" : "an own flora that was taken off the list";
            if (!replace)
                return new Fault("id", $"“{id}” is the id of {whose} already; give this one another, or say that it takes its place.");
        }
        var now = clock.GetCurrentInstant().ToDateTimeOffset();
        await new FloraTables(database).Replace(flora, $"own {Guid.NewGuid():N}", isOwn: true, now, cancel);
        return flora;
    }

    /// <summary>Takes an own flora off the list, or puts it back. Looks made with it can be opened all the same.</summary>
    /// <returns>Whether there is such a flora.</returns>
    public async Task<bool> Remove(string id, bool removed = true)
    {
        DateTimeOffset? when = removed ? clock.GetCurrentInstant().ToDateTimeOffset() : null;
        return await database
                .Floras.Where(row => row.Id == id && row.IsOwn)
                .ExecuteUpdateAsync(set => set.SetProperty(row => row.Removed, when)) > 0;
    }
}
