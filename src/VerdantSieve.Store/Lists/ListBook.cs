using Microsoft.EntityFrameworkCore;
using NodaTime;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Store.Lists;

/// <summary>Keeps lists of kinds, and the classes that work them. A list is its owner's; who has the address of a shared one, or of a
/// class that works it, reads it.</summary>
public sealed class ListBook(SieveContext database, IClock clock, Reader reader)
{
    /// <summary>The most kinds of a list.</summary>
    public const int MostKinds = 400;

    private DateTimeOffset Now => clock.GetCurrentInstant().ToDateTimeOffset();

    private IQueryable<PlantListRow> Own => database.Lists.AsNoTracking().Where(list => reader.Owners.Contains(list.Owner));

    /// <summary>The reader's lists, by title.</summary>
    public async Task<IReadOnlyList<ListEntry>> All(CancellationToken cancel = default) =>
        [
            .. (
                await Own.Where(list => list.Discarded == null)
                    .OrderBy(list => list.Title)
                    .ThenBy(list => list.Id)
                    .Take(500)
                    .Select(list => new
                    {
                        list.Id,
                        list.Title,
                        list.Kinds,
                        list.IsShared,
                    })
                    .ToListAsync(cancel)
            ).Select(list => new ListEntry(list.Id, list.Title, list.Kinds.Count, list.IsShared)),
        ];

    /// <summary>Finds a list; null where there is none the reader may see.</summary>
    public async Task<PlantList?> Find(string id, CancellationToken cancel = default)
    {
        if (!LookBook.IsId(id))
            return null;
        var row = await database
            .Lists.AsNoTracking()
            .SingleOrDefaultAsync(
                list =>
                    list.Id == id
                    && (
                        reader.Owners.Contains(list.Owner)
                        || list.Discarded == null
                            && (list.IsShared || database.Classes.Any(of => of.ListId == id && reader.Owners.Contains(of.Owner)))
                    ),
                cancel
            );
        return row is null ? null : Of(row);
    }

    private PlantList Of(PlantListRow row) =>
        new(row.Id, row.FloraId, row.Content, reader.Owners.Contains(row.Owner))
        {
            IsShared = row.IsShared,
            IsDiscarded = row.Discarded is not null,
            CanUndo = row.Before is not null,
            Edition = row.Changed.ToUnixTimeMilliseconds(),
        };

    /// <summary>Begins a list.</summary>
    /// <returns>Its id.</returns>
    public async Task<string> Begin(string floraId, ListContent content)
    {
        var row = new PlantListRow
        {
            Id = LookBook.NewId(),
            Owner = reader.Owner,
            FloraId = floraId,
            Created = Now,
            Changed = Now,
            Content = content,
        };
        database.Lists.Add(row);
        await database.SaveChangesAsync();
        return row.Id;
    }

    /// <summary>Changes what a list says.</summary>
    /// <param name="id">The list.</param>
    /// <param name="edition">The edition the person saw; where it has moved on since, nothing is changed.</param>
    /// <param name="change">What it says from now on, from what it says.</param>
    /// <returns>Whether it was changed; null where the reader has no such list.</returns>
    public async Task<bool?> Change(string id, long? edition, Func<ListContent, ListContent> change) =>
        await Change(
            id,
            row =>
            {
                if (edition is { } seen && seen != row.Changed.ToUnixTimeMilliseconds())
                    return false;
                var (before, after) = (row.Content, change(row.Content));
                if (after == before)
                    return true;
                (row.Before, row.Content) = (before, after);
                return true;
            }
        );

    /// <summary>Takes the last change back; done twice it is as it was.</summary>
    public async Task<bool> Undo(string id) =>
        await Change(
            id,
            row =>
            {
                if (row.Before is { } before)
                    (row.Before, row.Content) = (row.Content, before);
                return true;
            }
        ) == true;

    /// <summary>Lets whoever has the address read a list, or no longer.</summary>
    public async Task<bool> Share(string id, bool shared) => await Change(id, row => (row.IsShared = shared) || true) == true;

    /// <summary>Throws a list away, or brings it back.</summary>
    public async Task<bool> Discard(string id, bool discarded) =>
        await Change(
            id,
            row =>
            {
                row.Discarded = discarded ? Now : null;
                return true;
            }
        ) == true;

    private async Task<bool?> Change(string id, Func<PlantListRow, bool> change)
    {
        if (!LookBook.IsId(id))
            return null;
        await using var transaction = await database.Database.BeginTransactionAsync();
        var row = await database
            .Lists.FromSql($"select * from lists where id = {id} and owner = any ({reader.Owners}) for update")
            .SingleOrDefaultAsync();
        if (row is null)
            return null;
        var changed = change(row);
        if (changed)
        {
            row.Changed = Now;
            await database.SaveChangesAsync();
            await transaction.CommitAsync();
        }
        database.ChangeTracker.Clear();
        return changed;
    }

    /// <summary>Begins a class that works a list of the reader's.</summary>
    /// <returns>Its id; null where the reader has no such list.</returns>
    public async Task<string?> BeginClass(string listId, string title)
    {
        if (!await Own.AnyAsync(list => list.Id == listId && list.Discarded == null))
            return null;
        var row = new ClassRow
        {
            Id = LookBook.NewId(),
            Owner = reader.Owner,
            ListId = listId,
            Title = title,
            Created = Now,
        };
        database.Classes.Add(row);
        await database.SaveChangesAsync();
        return row.Id;
    }

    /// <summary>Finds a class with the list it works: whoever has its address may work it.</summary>
    public async Task<(PlantClass Class, PlantList List)?> FindClass(string id, CancellationToken cancel = default)
    {
        if (!LookBook.IsId(id))
            return null;
        var found = await (
            from of in database.Classes.AsNoTracking()
            join list in database.Lists.AsNoTracking() on of.ListId equals list.Id
            where of.Id == id
            select new { Class = of, List = list }
        ).SingleOrDefaultAsync(cancel);
        return found is null
            ? null
            : (
                new PlantClass(
                    found.Class.Id,
                    found.Class.Title,
                    found.Class.ListId,
                    reader.Owners.Contains(found.Class.Owner),
                    found.Class.Closed is null && found.List.Discarded is null
                ),
                Of(found.List)
            );
    }

    /// <summary>The classes of a list that are the reader's, newest first.</summary>
    public async Task<IReadOnlyList<PlantClass>> Classes(string listId, CancellationToken cancel = default) =>
        await database
            .Classes.AsNoTracking()
            .Where(of => of.ListId == listId && reader.Owners.Contains(of.Owner))
            .OrderByDescending(of => of.Created)
            .Take(100)
            .Select(of => new PlantClass(of.Id, of.Title, of.ListId, true, of.Closed == null))
            .ToListAsync(cancel);

    /// <summary>Closes a class to further answers, or opens it again.</summary>
    public async Task<bool> Close(string id, bool closed) =>
        LookBook.IsId(id)
        && await database
            .Classes.Where(of => of.Id == id && reader.Owners.Contains(of.Owner))
            .ExecuteUpdateAsync(set => set.SetProperty(of => of.Closed, closed ? Now : null)) > 0;
}
