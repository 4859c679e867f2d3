using Microsoft.EntityFrameworkCore;
using NodaTime;
using VerdantSieve.Store.Looks;

namespace VerdantSieve.Store.Notebooks;

/// <summary>Keeps outings: each is its owner's alone.</summary>
public sealed class OutingBook(SieveContext database, IClock clock, Reader reader)
{
    /// <summary>The most points of a track that are kept.</summary>
    public const int MostPoints = 20_000;

    private IQueryable<OutingRow> Own => database.Outings.Where(outing => reader.Owners.Contains(outing.Owner));

    /// <summary>The outings, newest first.</summary>
    public async Task<IReadOnlyList<Outing>> List(CancellationToken cancel = default) =>
        await Listed(
                Own.AsNoTracking()
                    .Where(outing => outing.Discarded == null)
                    .OrderByDescending(outing => outing.Date)
                    .ThenBy(outing => outing.Id)
            )
            .Take(500)
            .ToListAsync(cancel);

    /// <summary>Finds an outing; null where the reader has none such.</summary>
    public async Task<Outing?> Find(string id, CancellationToken cancel = default) =>
        LookBook.IsId(id) ? await Listed(Own.AsNoTracking().Where(outing => outing.Id == id)).SingleOrDefaultAsync(cancel) : null;

    private IQueryable<Outing> Listed(IQueryable<OutingRow> rows) =>
        rows.Select(row => new Outing(
            row.Id,
            new OutingAbout(row.Title, row.Date, row.Who, row.Weather, row.Access, row.Hazards),
            row.Track,
            database.Looks.Count(look => look.OutingId == row.Id && look.Discarded == null),
            row.Discarded != null
        ));

    /// <summary>Begins an outing.</summary>
    /// <returns>Its id.</returns>
    public async Task<string> Begin(OutingAbout about)
    {
        var row = new OutingRow
        {
            Id = LookBook.NewId(),
            Owner = reader.Owner,
            Created = clock.GetCurrentInstant().ToDateTimeOffset(),
        };
        Fill(row, about);
        database.Outings.Add(row);
        await database.SaveChangesAsync();
        return row.Id;
    }

    /// <summary>Changes what is said of an outing.</summary>
    public Task<bool> Change(string id, OutingAbout about) => Change(id, row => Fill(row, about));

    /// <summary>Adds to the way that was walked. Points that it ends in already came before: they were sent again since the answer was
    /// lost.</summary>
    public Task<bool> Walk(string id, IReadOnlyList<TrackPoint> points) =>
        Change(
            id,
            row =>
            {
                if (!row.Track.TakeLast(points.Count).Select(Where).SequenceEqual(points.Select(Where)))
                    row.Track = [.. row.Track.Concat(points).Take(MostPoints)];
            }
        );

    private static (double, double, double?) Where(TrackPoint point) => (point.Latitude, point.Longitude, point.Elevation);

    /// <summary>Takes another way in place of the one that was walked.</summary>
    public Task<bool> Replace(string id, IReadOnlyList<TrackPoint> points) => Change(id, row => row.Track = [.. points.Take(MostPoints)]);

    /// <summary>Throws an outing away, or brings it back. The visits made on it stay.</summary>
    public Task<bool> Discard(string id, bool discarded) =>
        Change(id, row => row.Discarded = discarded ? clock.GetCurrentInstant().ToDateTimeOffset() : null);

    private async Task<bool> Change(string id, Action<OutingRow> change)
    {
        if (!LookBook.IsId(id))
            return false;
        await using var transaction = await database.Database.BeginTransactionAsync();
        // Two who add to one way wait for each other.
        var row = await database
            .Outings.FromSql($"select * from outings where id = {id} and owner = any ({reader.Owners}) for update")
            .SingleOrDefaultAsync();
        if (row is null)
            return false;
        change(row);
        await database.SaveChangesAsync();
        await transaction.CommitAsync();
        database.ChangeTracker.Clear();
        return true;
    }

    private static void Fill(OutingRow row, OutingAbout about)
    {
        (row.Title, row.Date) = (about.Title, about.Date);
        (row.Who, row.Weather) = (about.Who, about.Weather);
        (row.Access, row.Hazards) = (about.Access, about.Hazards);
    }

    /// <summary>The visits made on an outing, as the notebook lists trees, in the order they were made.</summary>
    public async Task<IReadOnlyList<LookEntry>> Visits(string id, CancellationToken cancel = default) =>
        await database
            .LooksWithTrees()
            .Where(pair =>
                pair.Look.OutingId == id
                && pair.Look.Discarded == null
                && pair.Tree.Discarded == null
                && reader.Owners.Contains(pair.Tree.Owner)
            )
            .OrderBy(pair => pair.Look.Created)
            .ThenBy(pair => pair.Look.Id)
            .Entries(database)
            .ToListAsync(cancel);
}
