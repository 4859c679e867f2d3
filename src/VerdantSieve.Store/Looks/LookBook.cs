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

    private static readonly Func<SieveContext, string, IAsyncEnumerable<LoadedStep>> StepsAround = EF.CompileAsyncQuery(
        (SieveContext context, string id) =>
            from look in context.Looks.AsNoTracking()
            join step in context.LookSteps.AsNoTracking() on look.Id equals step.LookId
            where look.Id == id && step.Number >= look.Cursor && step.Number <= look.Cursor + 1
            orderby step.Number
            select new LoadedStep(look, step.Number, step.Done, step.Content)
    );

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
        return new Look(row.Id, floraId, content, null, null, false);
    }

    /// <summary>The flora a look was made with, or null where there is no such look.</summary>
    public Task<string?> FloraOf(string id, CancellationToken cancel = default) =>
        database.Looks.AsNoTracking().Where(look => look.Id == id).Select(look => look.FloraId).SingleOrDefaultAsync(cancel);

    /// <summary>Finds a look, or null.</summary>
    public async Task<Look?> Find(string id, CancellationToken cancel = default)
    {
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
        var undoes = here.Number == 0 ? null : here.Done;
        return new Look(id, here.Look.FloraId, LookShape.Read(here.Content), undoes, next?.Done, here.Look.Discarded is not null);
    }

    /// <summary>Changes a look; what was undone before is forgotten.</summary>
    /// <returns>The look after the change, or null where there is no such look.</returns>
    public async Task<Look?> Change(string id, string done, Func<LookContent, LookContent> change)
    {
        await using var transaction = await database.Database.BeginTransactionAsync();
        if (await Locked(id) is not { } row)
            return null;
        var before = LookShape.Read(
            await database
                .LookSteps.Where(step => step.LookId == id && step.Number == row.Cursor)
                .Select(step => step.Content)
                .SingleAsync()
        );
        var after = change(before);
        if (row.LastStep > row.Cursor)
            await database.LookSteps.Where(step => step.LookId == id && step.Number > row.Cursor).ExecuteDeleteAsync();
        row.Cursor++;
        row.LastStep = row.Cursor;
        row.Changed = Now;
        Describe(row, after);
        database.LookSteps.Add(Step(id, row.Cursor, done, after, row.Changed));
        await database.SaveChangesAsync();
        await transaction.CommitAsync();
        database.ChangeTracker.Clear();
        return new Look(id, row.FloraId, after, done, null, row.Discarded is not null);
    }

    /// <summary>Takes back the last change, or does it again.</summary>
    public async Task<Look?> Move(string id, int steps)
    {
        await using var transaction = await database.Database.BeginTransactionAsync();
        if (await Locked(id) is not { } row)
            return null;
        row.Cursor = Math.Clamp(row.Cursor + steps, 0, row.LastStep);
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
        return await database.Looks.Where(look => look.Id == id).ExecuteUpdateAsync(set => set.SetProperty(look => look.Discarded, when))
            > 0;
    }

    /// <summary>The looks that are kept, newest first.</summary>
    /// <param name="flora">Only those made with this flora; null for all.</param>
    /// <param name="skip">How many to leave out.</param>
    /// <param name="take">How many at most.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task<IReadOnlyList<LookEntry>> List(
        string? flora = null,
        int skip = 0,
        int take = 200,
        CancellationToken cancel = default
    ) =>
        await database
            .Looks.AsNoTracking()
            .Where(look => look.Discarded == null && (flora == null || look.FloraId == flora))
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

    internal static LookStepRow Step(string id, int number, string done, LookContent content, DateTimeOffset at) =>
        new()
        {
            LookId = id,
            Number = number,
            Done = done,
            Content = LookShape.Write(content),
            At = at,
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
        database.Looks.FromSql($"select * from looks where id = {id} for update").SingleOrDefaultAsync();
}
