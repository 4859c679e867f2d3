using System.Security.Cryptography;
using System.Text.Json;
using System.Text.Json.Serialization;
using Microsoft.EntityFrameworkCore;

namespace VerdantSieve.Store.Looks;

/// <summary>A look as a page needs it.</summary>
/// <param name="FloraId">The flora it was made with.</param>
/// <param name="Undoes">What undo would take back; null where there is nothing.</param>
/// <param name="Redoes">What redo would do again; null where there is nothing.</param>
public sealed record Look(string Id, string FloraId, LookContent Content, string? Undoes, string? Redoes, bool IsDiscarded);

/// <summary>A look as the notebook lists it.</summary>
public sealed record LookEntry(string Id, string Place, string Observer, DateOnly? Date, int Readings, string? Name, string? Rank, double? Probability, DateTimeOffset Changed);

/// <summary>The notebook: keeps looks and the whole history of each.</summary>
public sealed class LookBook(SieveContext database)
{
    /// <summary>How content is written to the database.</summary>
    public static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower) }
    };

    // Letters and digits that are not taken for each other when read out.
    private const string IdAlphabet = "23456789abcdefghjkmnpqrstuvwxyz";

    private static readonly Func<SieveContext, string, IAsyncEnumerable<LoadedStep>> StepsAround = EF.CompileAsyncQuery(
        (SieveContext context, string id) =>
            from look in context.Looks.AsNoTracking()
            join step in context.LookSteps.AsNoTracking() on look.Id equals step.LookId
            where look.Id == id && step.Number >= look.Cursor && step.Number <= look.Cursor + 1
            orderby step.Number
            select new LoadedStep(look, step.Number, step.Done, step.Content));

    private sealed record LoadedStep(LookRow Look, int Number, string Done, string Content);

    /// <summary>Starts a look.</summary>
    public async Task<Look> Start(string floraId, LookContent content, string done = "started the look")
    {
        var now = DateTimeOffset.UtcNow;
        var row = new LookRow { Id = RandomNumberGenerator.GetString(IdAlphabet, 8), FloraId = floraId, Created = now, Changed = now };
        Describe(row, content);
        database.Looks.Add(row);
        database.LookSteps.Add(Step(row.Id, 0, done, content, now));
        await database.SaveChangesAsync();
        return new Look(row.Id, floraId, content, null, null, false);
    }

    /// <summary>The flora a look was made with, or null where there is no such look.</summary>
    public async Task<string?> FloraOf(string id) => await database.Looks.AsNoTracking().Where(look => look.Id == id).Select(look => look.FloraId).SingleOrDefaultAsync();

    /// <summary>Finds a look, or null.</summary>
    public async Task<Look?> Find(string id)
    {
        LoadedStep? here = null, next = null;
        await foreach (var step in StepsAround(database, id))
        {
            if (here is null) here = step;
            else next = step;
        }
        return here is null ? null
            : new Look(id, here.Look.FloraId, Read(here.Content), here.Number == 0 ? null : here.Done, next?.Done, here.Look.Discarded is not null);
    }

    /// <summary>Changes a look; what was undone before is forgotten.</summary>
    /// <returns>The look after the change, or null where there is no such look.</returns>
    public async Task<Look?> Change(string id, string done, Func<LookContent, LookContent> change)
    {
        await using var transaction = await database.Database.BeginTransactionAsync();
        if (await Locked(id) is not { } row) return null;
        var before = Read(await database.LookSteps.Where(step => step.LookId == id && step.Number == row.Cursor).Select(step => step.Content).SingleAsync());
        var after = change(before);
        if (row.LastStep > row.Cursor)
            await database.LookSteps.Where(step => step.LookId == id && step.Number > row.Cursor).ExecuteDeleteAsync();
        row.Cursor++;
        row.LastStep = row.Cursor;
        row.Changed = DateTimeOffset.UtcNow;
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
        if (await Locked(id) is not { } row) return null;
        row.Cursor = Math.Clamp(row.Cursor + steps, 0, row.LastStep);
        var content = await database.LookSteps.Where(step => step.LookId == id && step.Number == row.Cursor).Select(step => step.Content).SingleAsync();
        Describe(row, Read(content));
        await database.SaveChangesAsync();
        await transaction.CommitAsync();
        database.ChangeTracker.Clear();
        return await Find(id);
    }

    /// <summary>Throws a look away, or brings it back.</summary>
    public async Task<bool> Discard(string id, bool discarded) =>
        await database.Looks.Where(look => look.Id == id)
            .ExecuteUpdateAsync(set => set.SetProperty(look => look.Discarded, discarded ? DateTimeOffset.UtcNow : null)) > 0;

    /// <summary>The looks that are kept, newest first.</summary>
    /// <param name="flora">Only those made with this flora; null for all.</param>
    /// <param name="skip">How many to leave out.</param>
    /// <param name="take">How many at most.</param>
    public async Task<IReadOnlyList<LookEntry>> List(string? flora = null, int skip = 0, int take = 200) =>
        await database.Looks.AsNoTracking().Where(look => look.Discarded == null && (flora == null || look.FloraId == flora))
            .OrderByDescending(look => look.Date).ThenByDescending(look => look.Changed).ThenBy(look => look.Id).Skip(skip).Take(take)
            .Select(look => new LookEntry(look.Id, look.Place, look.Observer, look.Date, look.Readings, look.DeterminationName,
                look.DeterminationRank, look.DeterminationProbability, look.Changed))
            .ToListAsync();

    internal static LookStepRow Step(string id, int number, string done, LookContent content, DateTimeOffset at) =>
        new() { LookId = id, Number = number, Done = done, Content = JsonSerializer.Serialize(content, Json), At = at };

    internal static void Describe(LookRow row, LookContent content)
    {
        (row.Place, row.Observer, row.Date, row.Readings) = (content.Place, content.Observer, content.Date, content.Readings.Count);
        row.DeterminationName = content.Determined?.Name;
        row.DeterminationRank = content.Determined?.Rank?.ToString().ToLowerInvariant();
        row.DeterminationProbability = content.Determined?.Probability;
    }

    // Two changes at once wait for each other rather than one losing the other's reading.
    private Task<LookRow?> Locked(string id) =>
        database.Looks.FromSql($"select * from looks where id = {id} for update").SingleOrDefaultAsync();

    private static LookContent Read(string content) => JsonSerializer.Deserialize<LookContent>(content, Json)!;
}
