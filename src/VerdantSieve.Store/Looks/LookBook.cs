using System.Security.Cryptography;
using System.Text;
using Microsoft.EntityFrameworkCore;
using NodaTime;
using NodaTime.Text;
using Npgsql;
using VerdantSieve.Core;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Trees;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Store.Looks;

/// <summary>Keeps looks and the whole history of each. A look is a visit to a tree, and whose the tree is, theirs is the look: for others
/// there is none.</summary>
public sealed class LookBook(SieveContext database, IClock clock, Reader reader)
{
    // Letters and digits that are not taken for each other when read out.
    private const string IdAlphabet = "23456789abcdefghjkmnpqrstuvwxyz";

    private const int LongestId = 40,
        IdLength = 8;

    private static readonly Func<SieveContext, string, string[], Guid?, IAsyncEnumerable<LoadedStep>> StepsAround = EF.CompileAsyncQuery(
        (SieveContext context, string id, string[] owners, Guid? sent) =>
            from look in context.Looks.AsNoTracking()
            join tree in context.Trees.AsNoTracking() on look.TreeId equals tree.Id
            join step in context.LookSteps.AsNoTracking() on look.Id equals step.LookId
            where look.Id == id && owners.Contains(tree.Owner) && step.Number >= look.Cursor && step.Number <= look.Cursor + 1
            orderby step.Number
            select new LoadedStep(
                look,
                step.Number,
                step.Done,
                step.Content,
                context.Looks.Any(other => other.TreeId == look.TreeId && other.Id != look.Id && other.Discarded == null),
                sent != null && context.LookSteps.Any(earlier => earlier.LookId == look.Id && earlier.Sent == sent)
            )
    );

    /// <summary>How many steps of a look are kept: so many times it can be undone.</summary>
    public const int MostSteps = 200;

    private sealed record LoadedStep(LookRow Look, int Number, string Done, string Content, bool HasOthers, bool IsKept);

    private DateTimeOffset Now => clock.GetCurrentInstant().ToDateTimeOffset();

    /// <summary>An id that nothing has yet.</summary>
    internal static string NewId() => RandomNumberGenerator.GetString(IdAlphabet, IdLength);

    // The id of what is sent, and the look that came of the same sending before. Whoever goes back to a page sends the same as well, but
    // has gone on with what came of it, thrown it away, or sends it on another day: that is another.
    private async Task<(string Id, Look? There)> For(Guid? sent, LookContent content)
    {
        if (sent is not { } sending)
            return (NewId(), null);
        var id = IdOf(sending);
        return await Find(id) switch
        {
            null => (id, null),
            { Step: 0, IsDiscarded: false } there when LookShape.Write(there.Content) == LookShape.Write(content) => (id, there),
            _ => (NewId(), null),
        };
    }

    // The look was changed, or is gone, since it was read.
    private static bool IsOvertaken(DbUpdateException refused) =>
        refused is DbUpdateConcurrencyException
        || IsTaken(refused)
        || refused.InnerException is PostgresException { SqlState: PostgresErrorCodes.ForeignKeyViolation };

    private static bool IsTaken(DbUpdateException refused) =>
        refused.InnerException is PostgresException { SqlState: PostgresErrorCodes.UniqueViolation };

    // The same for the same sending of the same person, and for nobody else's.
    private string IdOf(Guid sent)
    {
        var bytes = SHA256.HashData(Encoding.UTF8.GetBytes($"{reader.Owner} {sent}"));
        return string.Concat(bytes.Take(IdLength).Select(one => IdAlphabet[one % IdAlphabet.Length]));
    }

    /// <summary>Starts a look: the first visit to a tree.</summary>
    /// <param name="floraId">The flora to look with.</param>
    /// <param name="content">What it says.</param>
    /// <param name="done">What the first step is called.</param>
    /// <param name="outing">The outing it is made on; null where on none.</param>
    /// <param name="sent">What the page calls this sending: one that comes twice, since its answer was lost, starts one look.</param>
    public async Task<Look> Start(
        string floraId,
        LookContent content,
        string done = "started the look",
        string? outing = null,
        Guid? sent = null
    )
    {
        var (id, there) = await For(sent, content);
        if (there is not null)
            return there;
        var now = Now;
        var tree = new TreeRow
        {
            Id = id,
            Owner = reader.Owner,
            FloraId = floraId,
            Created = now,
            Changed = now,
        };
        database.Trees.Add(tree);
        try
        {
            return await Begin(tree, id, content, done, outing);
        }
        catch (DbUpdateException twice) when (sent is not null && IsTaken(twice))
        {
            // Both sendings came at the same moment, and the other was first.
            database.ChangeTracker.Clear();
            return await Find(id) ?? throw new InvalidOperationException($"Look {id} was begun and is gone.", twice);
        }
    }

    /// <summary>Starts a look that is another visit to a tree.</summary>
    /// <param name="treeId">The tree.</param>
    /// <param name="begin">What it says, from what the last visit said; null where no visit is to be begun after all.</param>
    /// <param name="outing">The outing it is made on; null where on none.</param>
    /// <param name="sent">What the page calls this sending: one that comes twice, since its answer was lost, makes one visit.</param>
    /// <returns>The look; null where none was begun, or the reader has no such tree.</returns>
    public async Task<Look?> Visit(string treeId, Func<LookContent, LookContent?> begin, string? outing = null, Guid? sent = null)
    {
        // Two who begin at once wait for each other: one visit alone is the newest.
        await using var transaction = await database.Database.BeginTransactionAsync();
        if (await TreeBook.Locked(database, reader, treeId) is not ({ } tree, Sharing.Own))
            return null;
        var before = await Visits(treeId);
        if (begin(before is [.., var last] ? last.Content : new LookContent()) is not { } content)
            return null;
        var (id, there) = await For(sent, content);
        if (there?.TreeId == treeId)
            return there;
        await database
            .Looks.Where(look => look.TreeId == treeId && look.IsLatest)
            .ExecuteUpdateAsync(set => set.SetProperty(look => look.IsLatest, false));
        var look = await Begin(tree, id, content, "visited it again", outing);
        await transaction.CommitAsync();
        return look with { Others = before };
    }

    private async Task<Look> Begin(TreeRow tree, string id, LookContent content, string done, string? outing)
    {
        var now = Now;
        var row = new LookRow
        {
            Id = id,
            FloraId = tree.FloraId,
            TreeId = tree.Id,
            OutingId = outing,
            IsLatest = true,
            Created = now,
            Changed = now,
        };
        Describe(row, content);
        Place(tree, content);
        database.Looks.Add(row);
        database.LookSteps.Add(Step(row.Id, 0, done, content, now));
        await database.SaveChangesAsync();
        database.ChangeTracker.Clear();
        return new Look(row.Id, tree.FloraId, content, 0, null, null, false) { TreeId = tree.Id };
    }

    /// <summary>The visits to a tree that were not thrown away, oldest first; whose the tree is, is for the caller to ask.</summary>
    /// <param name="treeId">The tree.</param>
    /// <param name="but">A look to leave out.</param>
    /// <param name="cancel">Stops it.</param>
    internal Task<IReadOnlyList<Visit>> Visits(string treeId, string? but = null, CancellationToken cancel = default) =>
        Contents(database.Looks.AsNoTracking().Where(look => look.TreeId == treeId && look.Discarded == null && look.Id != but), cancel);

    /// <summary>The visits that were thrown away and can still be brought back.</summary>
    internal Task<IReadOnlyList<Visit>> ThrownAway(string treeId, CancellationToken cancel) =>
        Contents(database.Looks.AsNoTracking().Where(look => look.TreeId == treeId && look.Discarded != null), cancel);

    private async Task<IReadOnlyList<Visit>> Contents(IQueryable<LookRow> looks, CancellationToken cancel) =>
        [
            .. (
                await looks
                    .OrderBy(look => look.Date)
                    .ThenBy(look => look.Created)
                    .Join(
                        database.LookSteps,
                        look => new { look.Id, Number = look.Cursor },
                        step => new { Id = step.LookId, step.Number },
                        (look, step) => new { look.Id, step.Content }
                    )
                    .ToListAsync(cancel)
            ).Select(found => new Visit(found.Id, LookShape.Read(found.Content))),
        ];

    // What is none need not be looked for, and some of it a database can't even be asked for.
    internal static bool IsId(string? id) => id is { Length: > 0 and <= LongestId } && id.All(char.IsAsciiLetterOrDigit);

    /// <summary>Finds a look, or null.</summary>
    /// <param name="id">The look.</param>
    /// <param name="cancel">Stops it.</param>
    /// <param name="sent">What the page calls the change that it is sending; null where it sends none.</param>
    public async Task<Look?> Find(string id, CancellationToken cancel = default, Guid? sent = null)
    {
        if (!IsId(id))
            return null;
        LoadedStep? here = null,
            next = null;
        await foreach (var step in StepsAround(database, id, reader.Owners, sent).WithCancellation(cancel))
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
        )
        {
            TreeId = here.Look.TreeId,
            Others = here.HasOthers ? await Visits(here.Look.TreeId, id, cancel) : [],
            Version = here.Look.Version,
            IsKept = here.IsKept,
        };
    }

    /// <summary>Changes a look; what was undone before is forgotten.</summary>
    /// <param name="id">The look.</param>
    /// <param name="done">What was done, as undo names it.</param>
    /// <param name="change">What the look says afterwards; null where it stays as it is.</param>
    /// <param name="sent">What the page calls this sending: one that comes twice, since its answer was lost, changes nothing the second
    /// time.</param>
    /// <returns>The look after the change, or null where there is no such look.</returns>
    public async Task<Look?> Change(string id, string done, Func<LookContent, LookContent?> change, Guid? sent = null) =>
        await Find(id, sent: sent) is { } look ? await Change(look, done, change, sent) : null;

    /// <summary>Changes a look that was just found. Where another changed it since, what they made of it is changed.</summary>
    /// <param name="look">The look, found with the same <paramref name="sent"/>.</param>
    /// <param name="done">What was done, as undo names it.</param>
    /// <param name="change">What the look says afterwards; null where it stays as it is.</param>
    /// <param name="sent">What the page calls this sending.</param>
    /// <returns>The look after the change, or null where there is none any more.</returns>
    public async Task<Look?> Change(Look look, string done, Func<LookContent, LookContent?> change, Guid? sent = null)
    {
        if (look.IsKept || change(look.Content) is not { } after)
            return look;
        if (!IsPlain(look, after))
            return await ChangeHeld(look.Id, done, change, sent);
        try
        {
            return await Add(look, done, after, sent);
        }
        catch (DbUpdateException refused) when (IsOvertaken(refused))
        {
            database.ChangeTracker.Clear();
            return await ChangeHeld(look.Id, done, change, sent);
        }
    }

    // A step more and nothing else: nothing undone to forget, none too old to keep, and nothing that the tree says as well.
    private static bool IsPlain(Look look, LookContent after) =>
        look.Redoes is null
        && look.Step < MostSteps
        && look.Content.Circumstances == after.Circumstances
        && look.Content.Determined == after.Determined;

    // Nothing is held while the person's change is worked out, and nothing is read twice. The look's row is written before its step, as
    // whoever holds it does: two who took them the other way round would wait for each other for ever.
    private async Task<Look> Add(Look look, string done, LookContent after, Guid? sent)
    {
        var row = new LookRow
        {
            Id = look.Id,
            FloraId = look.FloraId,
            TreeId = look.TreeId,
            Cursor = look.Step,
            LastStep = look.Step,
            Version = look.Version,
        };
        Describe(row, look.Content);
        database.Looks.Attach(row);
        await using var transaction = await database.Database.BeginTransactionAsync();
        database.Database.AutoSavepointsEnabled = false;
        var step = Forward(row, done, after, sent);
        await database.SaveChangesAsync();
        database.LookSteps.Add(step);
        await database.SaveChangesAsync();
        await transaction.CommitAsync();
        database.ChangeTracker.Clear();
        return look with { Content = after, Step = row.Cursor, Undoes = done, Version = row.Version };
    }

    private LookStepRow Forward(LookRow row, string done, LookContent after, Guid? sent)
    {
        row.Cursor++;
        row.LastStep = row.Cursor;
        row.Changed = Now;
        Describe(row, after);
        return Step(row.Id, row.Cursor, done, after, row.Changed, sent);
    }

    // Whoever else would change it waits.
    private async Task<Look?> ChangeHeld(string id, string done, Func<LookContent, LookContent?> change, Guid? sent)
    {
        await using var transaction = await database.Database.BeginTransactionAsync();
        if (await Locked(id) is not { } row)
            return null;
        var isKept = sent is not null && await database.LookSteps.AnyAsync(step => step.LookId == id && step.Sent == sent);
        var before = await ContentAt(row);
        if (isKept || change(before) is not { } after)
        {
            database.ChangeTracker.Clear();
            return await Find(id);
        }
        if (row.LastStep > row.Cursor)
            await database.LookSteps.Where(step => step.LookId == id && step.Number > row.Cursor).ExecuteDeleteAsync();
        database.LookSteps.Add(Forward(row, done, after, sent));
        await OnTheTree(row, before, after);
        if (row.Cursor - row.FirstStep > MostSteps)
        {
            row.FirstStep = row.Cursor - MostSteps;
            await database.LookSteps.Where(step => step.LookId == id && step.Number < row.FirstStep).ExecuteDeleteAsync();
        }
        await database.SaveChangesAsync();
        await transaction.CommitAsync();
        database.ChangeTracker.Clear();
        return new Look(id, row.FloraId, after, row.Cursor, done, null, row.Discarded is not null)
        {
            TreeId = row.TreeId,
            Others = await Visits(row.TreeId, id),
            Version = row.Version,
        };
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
        var before = await ContentAt(row);
        row.Cursor = Math.Clamp(row.Cursor + steps, row.FirstStep, row.LastStep);
        var content = await ContentAt(row);
        Describe(row, content);
        await OnTheTree(row, before, content);
        await database.SaveChangesAsync();
        await transaction.CommitAsync();
        database.ChangeTracker.Clear();
        return await Find(id);
    }

    private async Task<LookContent> ContentAt(LookRow row) =>
        LookShape.Read(
            await database
                .LookSteps.Where(step => step.LookId == row.Id && step.Number == row.Cursor)
                .Select(step => step.Content)
                .SingleAsync()
        );

    /// <summary>Throws a look away, or brings it back.</summary>
    public async Task<bool> Discard(string id, bool discarded)
    {
        await using var transaction = await database.Database.BeginTransactionAsync();
        if (await Locked(id) is not { } row)
            return false;
        row.Discarded = discarded ? Now : null;
        await database.SaveChangesAsync();
        // Lists show the newest visit that is left.
        var latest = await database
            .Looks.Where(look => look.TreeId == row.TreeId)
            .OrderBy(look => look.Discarded != null)
            .ThenByDescending(look => look.Created)
            .Select(look => look.Id)
            .FirstAsync();
        await database
            .Looks.Where(look => look.TreeId == row.TreeId)
            .ExecuteUpdateAsync(set => set.SetProperty(look => look.IsLatest, look => look.Id == latest));
        await transaction.CommitAsync();
        database.ChangeTracker.Clear();
        return true;
    }

    /// <summary>The reader's trees by their newest visits, the last first.</summary>
    /// <param name="flora">Only those made with this flora; null for all.</param>
    /// <param name="skip">How many to leave out.</param>
    /// <param name="take">How many at most.</param>
    /// <param name="read">Only those that have readings.</param>
    /// <param name="cancel">Stops it.</param>
    public Task<IReadOnlyList<LookEntry>> List(
        string? flora = null,
        int skip = 0,
        int take = 200,
        bool read = false,
        CancellationToken cancel = default
    ) => List(reader.Owners, flora, skip, take, read, cancel);

    /// <summary>The trees of a notebook that is shared with the reader, the last first; null where none of that name is.</summary>
    /// <param name="name">The name its owner signs in with.</param>
    /// <param name="skip">How many to leave out.</param>
    /// <param name="take">How many at most.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task<(string Shown, IReadOnlyList<LookEntry> Trees)?> ListOf(
        string name,
        int skip,
        int take,
        CancellationToken cancel = default
    )
    {
        var normal = name.ToUpperInvariant();
        var owner = await (
            from share in database.Shares.AsNoTracking()
            join person in database.Users.AsNoTracking() on share.Owner equals person.Id
            where share.With == reader.Person && person.NormalizedUserName == normal
            select new { person.Id, person.Shown }
        ).SingleOrDefaultAsync(cancel);
        return owner is null ? null : (owner.Shown, [.. (await List([owner.Id], null, skip, take, false, cancel)).Select(Told)]);
    }

    private static LookEntry Told(LookEntry entry) => entry.IsSensitive ? entry with { Place = "" } : entry;

    private async Task<IReadOnlyList<LookEntry>> List(
        string[] owners,
        string? flora,
        int skip,
        int take,
        bool read,
        CancellationToken cancel
    ) =>
        await database
            .LooksWithTrees()
            .Where(pair =>
                pair.Look.IsLatest
                && pair.Look.Discarded == null
                && pair.Tree.Discarded == null
                && owners.Contains(pair.Tree.Owner)
                && (flora == null || pair.Look.FloraId == flora)
                && (!read || pair.Look.Readings > 0)
            )
            .OrderByDescending(pair => pair.Look.Date)
            .ThenByDescending(pair => pair.Look.Changed)
            .ThenBy(pair => pair.Look.Id)
            .Skip(skip)
            .Take(take)
            .Entries(database)
            .ToListAsync(cancel);

    /// <summary>What the newest looks say that were settled as a kind, whoever made them, in one query. Only for counting over all of them:
    /// no look is to be shown to others.</summary>
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
    }

    internal static void Place(TreeRow tree, LookContent content)
    {
        if (!CircumstancesDesk.Check(content.Circumstances).Has(out var where) || where.Position is not { } here)
            return;
        (tree.Latitude, tree.Longitude) = (here.Latitude, here.Longitude);
        tree.Elevation = here.Elevation;
    }

    // What a visit says of where the tree stands and of what it is, its tree says as well; what it said before stays in its history.
    private async Task OnTheTree(LookRow row, LookContent before, LookContent after)
    {
        var isMoved = before.Circumstances != after.Circumstances;
        if (!isMoved && before.Determined == after.Determined)
            return;
        var tree = await database.Trees.SingleAsync(tree => tree.Id == row.TreeId);
        if (isMoved)
            Place(tree, after);
        if (before.Determined == after.Determined)
            return;
        var by = after.Observer is { Length: > 0 } observer ? observer : reader.Shown;
        database.Opinions.Add(OpinionOf(row, after.Determined, reader.Owner, by, Now));
        await database.SaveChangesAsync();
        await OpinionBook.Stand(database, tree);
    }

    /// <summary>The line that a settled look adds to the history of its tree; that it was opened again, where nothing is settled.</summary>
    internal static OpinionRow OpinionOf(LookRow row, SavedDetermination? determined, string from, string by, DateTimeOffset at) =>
        new()
        {
            TreeId = row.TreeId,
            LookId = row.Id,
            From = from,
            By = by,
            At = at,
            Kind = determined is null ? OpinionKind.Reopened : OpinionKind.Determined,
            Name = determined?.Name ?? "",
            Rank = determined?.Rank?.Word(),
            Probability = determined?.Probability,
            Reasons = determined?.Sentence ?? "",
            Readings = [.. determined?.Readings ?? []],
            FloraEdition = determined?.FloraEdition ?? 0,
        };

    // Two changes at once wait for each other rather than one losing the other's reading.
    private Task<LookRow?> Locked(string id) =>
        !IsId(id)
            ? Task.FromResult<LookRow?>(null)
            : database
                .Looks.FromSql(
                    $"""
                    select looks.xmin, looks.* from looks join trees on trees.id = looks.tree_id
                    where looks.id = {id} and trees.owner = any ({reader.Owners}) for update of looks
                    """
                )
                .SingleOrDefaultAsync();
}
