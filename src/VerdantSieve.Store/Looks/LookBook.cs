using System.Security.Cryptography;
using Microsoft.EntityFrameworkCore;
using NodaTime;
using NodaTime.Text;
using VerdantSieve.Core;

namespace VerdantSieve.Store.Looks;

/// <summary>The notebook: keeps looks and the whole history of each.</summary>
public sealed class LookBook(SieveContext database, IClock clock)
{
    // Letters and digits that are not taken for each other when read out.
    private const string IdAlphabet = "23456789abcdefghjkmnpqrstuvwxyz";

    private const int LongestId = 40;

    private static readonly Func<SieveContext, string, IAsyncEnumerable<LoadedStep>> StepsAround = EF.CompileAsyncQuery(
        (SieveContext context, string id) =>
            from look in context.Looks.AsNoTracking()
            join step in context.LookSteps.AsNoTracking() on look.Id equals step.LookId
            where look.Id == id && step.Number >= look.Cursor && step.Number <= look.Cursor + 1
            orderby step.Number
            select new LoadedStep(look, step.Number, step.Done, step.Content)
    );

    /// <summary>How many steps of a look are kept: so many times it can be undone.</summary>
    public const int MostSteps = 200;

    private sealed record LoadedStep(LookRow Look, int Number, string Done, string Content);

    private DateTimeOffset Now => clock.GetCurrentInstant().ToDateTimeOffset();

    /// <summary>Starts a look.</summary>
    public async Task<Look> Start(string floraId, LookContent content, string done = "started the look")
    {
        var now = Now;
        var row = new LookRow
        {
            Id = RandomNumberGenerator.GetString(IdAlphabet, 8),
            FloraId = floraId,
            Created = now,
            Changed = now,
        };
        Describe(row, content);
        database.Looks.Add(row);
        database.LookSteps.Add(Step(row.Id, 0, done, content, now));
        await database.SaveChangesAsync();
        return new Look(row.Id, floraId, content, 0, null, null, false);
    }

    /// <summary>The flora a look was made with, or null where there is no such look.</summary>
    public Task<string?> FloraOf(string id, CancellationToken cancel = default) =>
        IsId(id)
            ? database.Looks.AsNoTracking().Where(look => look.Id == id).Select(look => look.FloraId).SingleOrDefaultAsync(cancel)
            : Task.FromResult<string?>(null);

    // What is none need not be looked for, and some of it a database can't even be asked for.
    private static bool IsId(string id) => id.Length <= LongestId && id.All(char.IsAsciiLetterOrDigit);

    /// <summary>Finds a look, or null.</summary>
    public async Task<Look?> Find(string id, CancellationToken cancel = default)
    {
        if (!IsId(id))
            return null;
        LoadedStep? here = null,
            next = null;
        await foreach (var step in StepsAround(database, id).WithCancellation(cancel))
        {
            if (here is null)
                here = step;
            else
                next = step;
        }
        if (here is null)
            return null;
        var undoes = here.Number == here.Look.FirstStep ? null : here.Done;
        return new Look(
            id,
            here.Look.FloraId,
            LookShape.Read(here.Content),
            here.Number,
            undoes,
            next?.Done,
            here.Look.Discarded is not null
        );
    }

    /// <summary>Changes a look; what was undone before is forgotten.</summary>
    /// <param name="id">The look.</param>
    /// <param name="done">What was done, as undo names it.</param>
    /// <param name="change">What the look says afterwards; null where it stays as it is.</param>
    /// <param name="sent">What the page calls this sending: one that comes twice, since its answer was lost, changes nothing the second
    /// time.</param>
    /// <returns>The look after the change, or null where there is no such look.</returns>
    public async Task<Look?> Change(string id, string done, Func<LookContent, LookContent?> change, Guid? sent = null)
    {
        await using var transaction = await database.Database.BeginTransactionAsync();
        if (await Locked(id) is not { } row)
            return null;
        if (sent is not null && await database.LookSteps.AnyAsync(step => step.LookId == id && step.Sent == sent))
        {
            database.ChangeTracker.Clear();
            return await Find(id);
        }
        var before = LookShape.Read(
            await database
                .LookSteps.Where(step => step.LookId == id && step.Number == row.Cursor)
                .Select(step => step.Content)
                .SingleAsync()
        );
        if (change(before) is not { } after)
        {
            database.ChangeTracker.Clear();
            return await Find(id);
        }
        if (row.LastStep > row.Cursor)
            await database.LookSteps.Where(step => step.LookId == id && step.Number > row.Cursor).ExecuteDeleteAsync();
        row.Cursor++;
        row.LastStep = row.Cursor;
        row.Changed = Now;
        Describe(row, after);
        database.LookSteps.Add(Step(id, row.Cursor, done, after, row.Changed, sent));
        if (row.Cursor - row.FirstStep > MostSteps)
        {
            row.FirstStep = row.Cursor - MostSteps;
            await database.LookSteps.Where(step => step.LookId == id && step.Number < row.FirstStep).ExecuteDeleteAsync();
        }
        await database.SaveChangesAsync();
        await transaction.CommitAsync();
        database.ChangeTracker.Clear();
        return new Look(id, row.FloraId, after, row.Cursor, done, null, row.Discarded is not null);
    }

    /// <summary>Takes back the last change, or does it again.</summary>
    /// <param name="id">The look.</param>
    /// <param name="steps">-1 to take back, +1 to do again.</param>
    /// <param name="from">Where its history stood when the person saw it; null where they did not. Where it stands elsewhere by now,
    /// nothing
    /// is moved: what would be taken back is not what was shown.</param>
    /// <returns>The look, moved or as it stands; null where there is no such look.</returns>
    public async Task<Look?> Move(string id, int steps, int? from = null)
    {
        await using var transaction = await database.Database.BeginTransactionAsync();
        if (await Locked(id) is not { } row)
            return null;
        if (from is not null && from != row.Cursor)
        {
            database.ChangeTracker.Clear();
            return await Find(id);
        }
        row.Cursor = Math.Clamp(row.Cursor + steps, row.FirstStep, row.LastStep);
        var content = await database
            .LookSteps.Where(step => step.LookId == id && step.Number == row.Cursor)
            .Select(step => step.Content)
            .SingleAsync();
        Describe(row, LookShape.Read(content));
        await database.SaveChangesAsync();
        await transaction.CommitAsync();
        database.ChangeTracker.Clear();
        return await Find(id);
    }

    /// <summary>Throws a look away, or brings it back.</summary>
    public async Task<bool> Discard(string id, bool discarded)
    {
        DateTimeOffset? when = discarded ? Now : null;
        return IsId(id)
            && await database.Looks.Where(look => look.Id == id).ExecuteUpdateAsync(set => set.SetProperty(look => look.Discarded, when))
                > 0;
    }

    /// <summary>The looks that are kept, newest first.</summary>
    /// <param name="flora">Only those made with this flora; null for all.</param>
    /// <param name="skip">How many to leave out.</param>
    /// <param name="take">How many at most.</param>
    /// <param name="read">Only those that have readings.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task<IReadOnlyList<LookEntry>> List(
        string? flora = null,
        int skip = 0,
        int take = 200,
        bool read = false,
        CancellationToken cancel = default
    ) =>
        await database
            .Looks.AsNoTracking()
            .Where(look => look.Discarded == null && (flora == null || look.FloraId == flora) && (!read || look.Readings > 0))
            .OrderByDescending(look => look.Date)
            .ThenByDescending(look => look.Changed)
            .ThenBy(look => look.Id)
            .Skip(skip)
            .Take(take)
            .Select(look => new LookEntry(
                look.Id,
                look.Place,
                look.Observer,
                look.Date,
                look.Readings,
                look.DeterminationName,
                look.DeterminationRank,
                look.DeterminationProbability,
                look.Changed
            ))
            .ToListAsync(cancel);

    /// <summary>What the newest looks say that were settled as a kind, in one query.</summary>
    /// <param name="flora">The flora they were made with.</param>
    /// <param name="take">How many at most.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task<IReadOnlyList<LookContent>> Settled(string flora, int take = 500, CancellationToken cancel = default) =>
        [
            .. (
                await database
                    .Looks.AsNoTracking()
                    .Where(look => look.FloraId == flora && look.Discarded == null && look.DeterminationName != null)
                    .OrderByDescending(look => look.Changed)
                    .Take(take)
                    .Join(
                        database.LookSteps,
                        look => new { look.Id, Number = look.Cursor },
                        step => new { Id = step.LookId, step.Number },
                        (look, step) => step.Content
                    )
                    .ToListAsync(cancel)
            ).Select(LookShape.Read),
        ];

    internal static LookStepRow Step(string id, int number, string done, LookContent content, DateTimeOffset at, Guid? sent = null) =>
        new()
        {
            LookId = id,
            Number = number,
            Done = done,
            Content = LookShape.Write(content),
            At = at,
            Sent = sent,
        };

    internal static void Describe(LookRow row, LookContent content)
    {
        row.Place = content.Place;
        row.Observer = content.Observer;
        row.Date = LocalDatePattern.Iso.Parse(content.Circumstances.Date ?? "") is { Success: true } date ? date.Value.ToDateOnly() : null;
        row.Readings = content.Readings.Count;
        row.DeterminationName = content.Determined?.Name;
        row.DeterminationRank = content.Determined?.Rank?.Word();
        row.DeterminationProbability = content.Determined?.Probability;
    }

    // Two changes at once wait for each other rather than one losing the other's reading.
    private Task<LookRow?> Locked(string id) =>
        !IsId(id)
            ? Task.FromResult<LookRow?>(null)
            : database.Looks.FromSql($"select * from looks where id = {id} for update").SingleOrDefaultAsync();
}
