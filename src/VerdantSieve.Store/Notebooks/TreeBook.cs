using System.Security.Cryptography;
using System.Text;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Storage;
using NodaTime;
using VerdantSieve.Core;
using VerdantSieve.Core.Formats.Notebook;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Trees;
using VerdantSieve.Store.Looks;

namespace VerdantSieve.Store.Notebooks;

/// <summary>Keeps trees. A reader sees their own and those of notebooks shared with them; of others' there is none.</summary>
public sealed class TreeBook(SieveContext database, IClock clock, Reader reader)
{
    /// <summary>How long what was thrown away can be brought back, in days.</summary>
    public const int DaysKept = 30;

    private const int MostThrownAway = 200;

    // A visit that settles a tree less often is not brought up.
    private const double WorthMentioning = 0.3;

    private DateTimeOffset Now => clock.GetCurrentInstant().ToDateTimeOffset();

    /// <summary>Finds a tree with its visits and its history; null where the reader has none such.</summary>
    public async Task<Tree?> Find(string id, CancellationToken cancel = default)
    {
        if (!LookBook.IsId(id))
            return null;
        var found = await (
            from tree in database.Trees.AsNoTracking()
            where tree.Id == id
            select new
            {
                Row = tree,
                Shared = database
                    .Shares.Where(share => share.Owner == tree.Owner && share.With == reader.Person)
                    .Select(share => (Sharing?)share.May)
                    .SingleOrDefault(),
                Whose = database.Users.Where(person => person.Id == tree.Owner).Select(person => person.Shown).SingleOrDefault(),
            }
        ).SingleOrDefaultAsync(cancel);
        if (found is null || RightsTo(found.Row, found.Shared) is not { } may)
            return null;
        var row = found.Row;
        var book = new LookBook(database, clock, reader);
        return new Tree(id, row.FloraId, row.Details, may)
        {
            Edition = row.Edition,
            CanUndo = row.Before is not null,
            Position = may == Sharing.Own || !row.IsSensitive ? PositionOf(row.Latitude, row.Longitude, row.Elevation) : null,
            Visits = Told(await book.Visits(id, cancel: cancel), may == Sharing.Own || !row.IsSensitive),
            ThrownAway = may == Sharing.Own ? await book.ThrownAway(id, cancel) : [],
            History = await OpinionBook.History(database, id, reader, cancel),
            Whose = may == Sharing.Own ? null : found.Whose,
            IsDiscarded = row.Discarded is not null,
        };
    }

    // Whom a notebook is shared with learns no more of where a sensitive tree stands than its country.
    private static IReadOnlyList<Visit> Told(IReadOnlyList<Visit> visits, bool whole) =>
        whole
            ? visits
            :
            [
                .. visits.Select(visit =>
                    visit with
                    {
                        Content = visit.Content with
                        {
                            Place = "",
                            Circumstances = visit.Content.Circumstances with { Latitude = null, Longitude = null, Elevation = null },
                        },
                    }
                ),
            ];

    private Sharing? RightsTo(TreeRow row, Sharing? shared) => reader.Owners.Contains(row.Owner) ? Sharing.Own : shared;

    internal static Position? PositionOf(double? latitude, double? longitude, double? elevation) =>
        latitude is { } north && longitude is { } east && Position.Of(north, east, elevation ?? 0).Has(out var position) ? position : null;

    /// <summary>Finds a tree to change it, and what the reader may do; null where the reader has none such.</summary>
    internal static async Task<(TreeRow Tree, Sharing May)?> Locked(SieveContext database, Reader reader, string id)
    {
        if (
            !LookBook.IsId(id)
            || await database.Trees.FromSql($"select * from trees where id = {id} for update").SingleOrDefaultAsync() is not { } tree
        )
            return null;
        if (reader.Owners.Contains(tree.Owner))
            return (tree, Sharing.Own);
        var share = await database
            .Shares.AsNoTracking()
            .SingleOrDefaultAsync(share => share.Owner == tree.Owner && share.With == reader.Person);
        return share is null ? null : (tree, share.May);
    }

    private async Task<TreeRow?> LockedOwn(string id) => await Locked(database, reader, id) is ({ } tree, Sharing.Own) ? tree : null;

    /// <summary>Changes what is kept of a tree.</summary>
    /// <param name="id">The tree.</param>
    /// <param name="edition">The edition the person saw; where it has moved on since, nothing is changed.</param>
    /// <param name="details">What is kept from now on.</param>
    /// <param name="position">Where it stands; null where that is not known.</param>
    /// <returns>Whether it was changed; null where the reader has no such tree of their own.</returns>
    public async Task<bool?> Change(string id, int edition, TreeDetails details, Position? position)
    {
        await using var transaction = await database.Database.BeginTransactionAsync();
        if (await LockedOwn(id) is not { } tree)
            return null;
        if (tree.Edition != edition)
        {
            database.ChangeTracker.Clear();
            return false;
        }
        if (tree.Details != details)
            (tree.Before, tree.Details) = (tree.Details, details);
        Put(tree, position);
        await Keep(tree, transaction);
        return true;
    }

    /// <summary>Puts a tree on the map.</summary>
    public async Task<bool> Place(string id, Position position)
    {
        await using var transaction = await database.Database.BeginTransactionAsync();
        if (await LockedOwn(id) is not { } tree)
            return false;
        Put(tree, position);
        await Keep(tree, transaction);
        return true;
    }

    /// <summary>Takes the last change of the details back; done twice it is as it was.</summary>
    public async Task<bool> Undo(string id)
    {
        await using var transaction = await database.Database.BeginTransactionAsync();
        if (await LockedOwn(id) is not { Before: { } before } tree)
            return false;
        (tree.Before, tree.Details) = (tree.Details, before);
        await Keep(tree, transaction);
        return true;
    }

    private static void Put(TreeRow tree, Position? position)
    {
        (tree.Latitude, tree.Longitude) = (position?.Latitude, position?.Longitude);
        tree.Elevation = position?.Elevation;
    }

    private async Task Keep(TreeRow tree, IDbContextTransaction transaction)
    {
        tree.Edition++;
        (tree.Tag, tree.Sex) = (tree.Details.Tag, tree.Details.Sex);
        tree.IsSensitive = tree.Details.IsSensitive;
        tree.Changed = Now;
        await database.SaveChangesAsync();
        await transaction.CommitAsync();
        database.ChangeTracker.Clear();
    }

    /// <summary>Throws a tree away with its visits, or brings it back.</summary>
    public async Task<bool> Discard(string id, bool discarded)
    {
        await using var transaction = await database.Database.BeginTransactionAsync();
        if (await LockedOwn(id) is not { } tree)
            return false;
        tree.Discarded = discarded ? Now : null;
        await Keep(tree, transaction);
        return true;
    }

    /// <summary>What was thrown away and can still be brought back, newest first: trees, and looks of trees that are kept.</summary>
    public async Task<IReadOnlyList<LookEntry>> ThrownAway(CancellationToken cancel = default) =>
        await database
            .LooksWithTrees()
            .Where(pair =>
                reader.Owners.Contains(pair.Tree.Owner)
                && ((pair.Tree.Discarded != null && pair.Look.IsLatest) || (pair.Tree.Discarded == null && pair.Look.Discarded != null))
            )
            .OrderByDescending(pair => pair.Tree.Discarded ?? pair.Look.Discarded)
            .Take(MostThrownAway)
            .Entries(database)
            .ToListAsync(cancel);

    /// <summary>Does away with what was thrown away longer ago than it is kept.</summary>
    public async Task<int> Empty(CancellationToken cancel = default)
    {
        var until = Now.AddDays(-DaysKept);
        var looks = await database.Looks.Where(look => look.Discarded < until).ExecuteDeleteAsync(cancel);
        var pictures = await database.Pictures.Where(picture => picture.Discarded < until).ExecuteDeleteAsync(cancel);
        var outings = await database.Outings.Where(outing => outing.Discarded < until).ExecuteDeleteAsync(cancel);
        var lists = await database.Lists.Where(list => list.Discarded < until).ExecuteDeleteAsync(cancel);
        var maps = await database.Maps.Where(map => map.Discarded < until).ExecuteDeleteAsync(cancel);
        return looks
            + maps
            + pictures
            + outings
            + lists
            + await database
                .Trees.Where(tree => tree.Discarded < until || !database.Looks.Any(look => look.TreeId == tree.Id))
                .ExecuteDeleteAsync(cancel);
    }

    /// <summary>The reader's trees for the map, the plan and what leaves the notebook: all in one query.</summary>
    /// <param name="flora">Only those looked at with this flora; null for all.</param>
    /// <param name="settled">Only those that a name stands for, or only those without; null for all.</param>
    /// <param name="outing">Only those visited on this outing; null for all.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task<IReadOnlyList<TreePoint>> Points(
        string? flora = null,
        bool? settled = null,
        string? outing = null,
        CancellationToken cancel = default
    ) =>
        await (
            from look in database.Looks.AsNoTracking()
            join tree in database.Trees.AsNoTracking() on look.TreeId equals tree.Id
            where
                look.IsLatest
                && look.Discarded == null
                && tree.Discarded == null
                && reader.Owners.Contains(tree.Owner)
                && (flora == null || tree.FloraId == flora)
                && (settled == null || tree.Name != null == settled)
                && (
                    outing == null
                    || database.Looks.Any(visit => visit.TreeId == tree.Id && visit.OutingId == outing && visit.Discarded == null)
                )
            orderby look.Date descending, look.Changed descending, look.Id
            select new TreePoint(tree.Id, tree.Tag, look.Place, look.Date)
            {
                Latitude = tree.Latitude,
                Longitude = tree.Longitude,
                Elevation = tree.Elevation,
                Name = tree.Name,
                Rank = tree.Rank,
                Probability = tree.Probability,
                IsDisputed = tree.IsDisputed,
                IsSensitive = tree.IsSensitive,
                Sex = tree.Sex,
                Changed = look.Changed > tree.Changed ? look.Changed : tree.Changed,
            }
        ).ToListAsync(cancel);

    /// <summary>The visits to many trees at once, by tree, oldest first: in one query.</summary>
    public async Task<ILookup<string, Visit>> VisitsOf(IReadOnlyList<string> trees, CancellationToken cancel = default)
    {
        var found = await (
            from look in database.Looks.AsNoTracking()
            join tree in database.Trees.AsNoTracking() on look.TreeId equals tree.Id
            join step in database.LookSteps.AsNoTracking()
                on new { look.Id, Number = look.Cursor } equals new { Id = step.LookId, step.Number }
            where trees.Contains(tree.Id) && look.Discarded == null && reader.Owners.Contains(tree.Owner)
            orderby look.Date, look.Created
            select new
            {
                tree.Id,
                LookId = look.Id,
                step.Content,
            }
        ).ToListAsync(cancel);
        return found.ToLookup(visit => visit.Id, visit => new Visit(visit.LookId, LookShape.Read(visit.Content)));
    }

    /// <summary>What else is kept of many trees at once, by tree: in two queries.</summary>
    public async Task<IReadOnlyDictionary<string, TreeRest>> RestOf(IReadOnlyList<string> trees, CancellationToken cancel = default)
    {
        var rows = await database
            .Trees.AsNoTracking()
            .Where(tree => trees.Contains(tree.Id) && reader.Owners.Contains(tree.Owner))
            .Select(tree => new
            {
                tree.Id,
                tree.FloraId,
                tree.Details,
            })
            .ToListAsync(cancel);
        string[] own = [.. rows.Select(row => row.Id)];
        var lines = await database
            .Opinions.AsNoTracking()
            .Where(line => own.Contains(line.TreeId))
            .OrderBy(line => line.At)
            .ThenBy(line => line.Id)
            .ToListAsync(cancel);
        var history = lines.ToLookup(line => line.TreeId, line => OpinionBook.Read(line, reader));
        return rows.ToDictionary(row => row.Id, row => new TreeRest(row.FloraId, row.Details, [.. history[row.Id]]));
    }

    /// <summary>A text that is another one as soon as anything of these trees has changed: a visit and what was read on it, a
    /// determination, a detail. By it can be known whether what was worked out of them still holds.</summary>
    public async Task<string> MarkOf(IReadOnlyList<string> trees, CancellationToken cancel = default)
    {
        var details = await database
            .Trees.Where(tree => trees.Contains(tree.Id))
            .GroupBy(_ => 1)
            .Select(all => new { Last = all.Max(tree => tree.Changed), Editions = all.Sum(tree => tree.Edition) })
            .SingleOrDefaultAsync(cancel);
        var visits = await database
            .Looks.Where(look => trees.Contains(look.TreeId))
            .GroupBy(_ => 1)
            .Select(all => new
            {
                Last = all.Max(look => look.Changed),
                Count = all.Count(),
                // What is undone and done again moves along the steps.
                Steps = all.Sum(look => look.Cursor),
                Gone = all.Count(look => look.Discarded != null),
                LastGone = all.Max(look => look.Discarded),
            })
            .SingleOrDefaultAsync(cancel);
        var history = await database
            .Opinions.Where(line => trees.Contains(line.TreeId))
            .GroupBy(_ => 1)
            .Select(all => new
            {
                Last = all.Max(line => line.Id),
                Count = all.Count(),
                Withdrawn = all.Count(line => line.Withdrawn != null),
                LastWithdrawn = all.Max(line => line.Withdrawn),
            })
            .SingleOrDefaultAsync(cancel);
        var all = $"{string.Join(' ', trees)} {details} {visits} {history}";
        return Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(all)));
    }

    /// <summary>Keeps when visits are best made, for the list of what is due.</summary>
    public async Task KeepDue(IReadOnlyDictionary<string, (DateOnly From, DateOnly To, double Settles)> due)
    {
        var ids = due.Keys.ToArray();
        foreach (var tree in await database.Trees.Where(tree => ids.Contains(tree.Id) && reader.Owners.Contains(tree.Owner)).ToListAsync())
            (tree.DueFrom, tree.DueTo, tree.DueSettles) = due[tree.Id];
        await database.SaveChangesAsync();
        database.ChangeTracker.Clear();
    }

    /// <summary>The open trees that a visit on a day is likeliest to settle, as worked out last.</summary>
    public async Task<IReadOnlyList<DueTree>> Due(DateOnly day, int take, CancellationToken cancel = default) =>
        await (
            from tree in database.Trees.AsNoTracking()
            join look in database.Looks.AsNoTracking() on tree.Id equals look.TreeId
            where
                reader.Owners.Contains(tree.Owner)
                && tree.Discarded == null
                && look.IsLatest
                && look.Discarded == null
                && tree.DueFrom <= day
                && tree.DueTo >= day
                && tree.DueSettles >= WorthMentioning
                && look.Date < day
            orderby tree.DueSettles descending, tree.Id
            select new DueTree(tree.Id, tree.Tag, look.Place, tree.DueTo!.Value, tree.DueSettles!.Value)
        )
            .Take(take)
            .ToListAsync(cancel);

    /// <summary>Takes trees in from a file: all of them at once, or none.</summary>
    /// <param name="imported">The trees.</param>
    /// <param name="floraId">The flora they are looked at with.</param>
    /// <param name="country">The country they stand in; null where that is not known.</param>
    /// <param name="file">What they came with.</param>
    /// <returns>What all of them can be taken back by.</returns>
    public async Task<string> TakeIn(IReadOnlyList<ImportedTree> imported, string floraId, string? country, string file)
    {
        var (batch, now) = (LookBook.NewId(), Now);
        foreach (var tree in imported)
        {
            var id = LookBook.NewId();
            var row = new TreeRow
            {
                Id = id,
                Owner = reader.Owner,
                FloraId = floraId,
                Details = new TreeDetails { Tag = tree.Tag },
                Tag = tree.Tag,
                Batch = batch,
                Created = now,
                Changed = now,
            };
            Put(row, tree.At);
            var content = ContentOf(tree, country);
            var look = new LookRow
            {
                Id = id,
                FloraId = floraId,
                TreeId = id,
                IsLatest = true,
                Created = now,
                Changed = now,
            };
            LookBook.Describe(look, content);
            if (tree.Name.Length > 0)
            {
                var line = NamedBy(tree, id, file);
                database.Opinions.Add(line);
                (row.Name, row.Rank) = (line.Name, line.Rank);
            }
            database.Trees.Add(row);
            database.Looks.Add(look);
            database.LookSteps.Add(LookBook.Step(id, 0, $"taken from {file}", content, now));
        }
        await database.SaveChangesAsync();
        database.ChangeTracker.Clear();
        return batch;
    }

    private static LookContent ContentOf(ImportedTree tree, string? country) =>
        new()
        {
            Place = tree.Place,
            Observer = tree.Observer,
            Notes = tree.Notes,
            Circumstances = new RawCircumstances
            {
                Region = country,
                Date = tree.Day is { } day ? NodaTime.Text.LocalDatePattern.Iso.Format(day) : null,
                Latitude = Number(tree.At?.Latitude),
                Longitude = Number(tree.At?.Longitude),
                Elevation = Number(tree.At?.Elevation),
            },
        };

    private static string? Number(double? value) => value?.ToString("R", System.Globalization.CultureInfo.InvariantCulture);

    private OpinionRow NamedBy(ImportedTree tree, string id, string file) =>
        new()
        {
            TreeId = id,
            LookId = id,
            Kind = OpinionKind.Determined,
            Name = tree.Name,
            Rank = tree.Rank?.Word(),
            Reasons = $"As it stood in {file}.",
            From = reader.Person ?? reader.Owner,
            By = tree.Observer.Length > 0 ? tree.Observer : reader.Shown,
            At = tree.Day is { } day ? new DateTimeOffset(day.ToDateTimeUnspecified(), TimeSpan.Zero) : Now,
        };

    /// <summary>Throws all trees away that came with one file, or brings them back.</summary>
    /// <returns>How many there were.</returns>
    public async Task<int> DiscardBatch(string batch, bool discarded)
    {
        DateTimeOffset? when = discarded ? Now : null;
        return LookBook.IsId(batch)
            ? await database
                .Trees.Where(tree => tree.Batch == batch && reader.Owners.Contains(tree.Owner))
                .ExecuteUpdateAsync(set => set.SetProperty(tree => tree.Discarded, when))
            : 0;
    }

    /// <summary>How many trees an account holds, the thrown-away ones among them.</summary>
    public Task<int> Count(CancellationToken cancel = default) => database.Trees.CountAsync(tree => tree.Owner == reader.Person, cancel);
}
