using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Storage;
using NodaTime;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Trees;

namespace VerdantSieve.Store.Notebooks;

/// <summary>What is thought of a tree, line by line: nothing is written over, and what is taken back stays to be seen.</summary>
public sealed class OpinionBook(SieveContext database, IClock clock, Reader reader)
{
    private DateTimeOffset Now => clock.GetCurrentInstant().ToDateTimeOffset();

    /// <summary>The history of a tree, oldest first; whether the reader may see it is for the caller to ask.</summary>
    internal static async Task<IReadOnlyList<Opinion>> History(
        SieveContext database,
        string treeId,
        Reader? reader,
        CancellationToken cancel = default
    )
    {
        var rows = await database
            .Opinions.AsNoTracking()
            .Where(line => line.TreeId == treeId)
            .OrderBy(line => line.At)
            .ThenBy(line => line.Id)
            .ToListAsync(cancel);
        return [.. rows.Select(row => Read(row, reader))];
    }

    /// <summary>Adds a line. Who says again what they said last, as a page does that is sent twice since its answer was lost, adds
    /// nothing.</summary>
    /// <param name="treeId">The tree.</param>
    /// <param name="line">What it says; who says it and when is set here.</param>
    /// <returns>Whether the reader may say that of this tree.</returns>
    public async Task<bool> Add(string treeId, Opinion line)
    {
        await using var transaction = await database.Database.BeginTransactionAsync();
        var needed = line.Kind is OpinionKind.Determined or OpinionKind.Reopened ? Sharing.Determine : Sharing.Comment;
        if (await TreeBook.Locked(database, reader, treeId) is not var (tree, may) || may < needed)
            return false;
        var row = new OpinionRow
        {
            TreeId = treeId,
            Kind = line.Kind,
            Name = line.Name,
            Rank = line.Rank?.Word(),
            Probability = line.Probability,
            Qualifier = line.Qualifier,
            Reasons = line.Reasons,
            Readings = [.. line.Readings],
            FloraEdition = line.FloraEdition,
            From = reader.Person ?? reader.Owner,
            // Nobody who is known speaks in another's name.
            By = reader.Person is null ? line.By : reader.Shown,
            At = Now,
        };
        var last = await database
            .Opinions.AsNoTracking()
            .Where(one => one.TreeId == treeId)
            .OrderByDescending(one => one.Id)
            .FirstOrDefaultAsync();
        if (last is { Withdrawn: null } && SaysTheSame(last, row))
            return true;
        database.Opinions.Add(row);
        await Keep(tree, transaction);
        return true;
    }

    /// <summary>Takes a line of one's own back, or says it again.</summary>
    /// <returns>Whether there is such a line, and it is the reader's own.</returns>
    public async Task<bool> Withdraw(string treeId, int id, bool withdrawn)
    {
        await using var transaction = await database.Database.BeginTransactionAsync();
        if (await TreeBook.Locked(database, reader, treeId) is not var (tree, _))
            return false;
        if (
            await database.Opinions.SingleOrDefaultAsync(line => line.Id == id && line.TreeId == treeId) is not { } row
            || !IsOwn(row, reader)
        )
            return false;
        row.Withdrawn = withdrawn ? Now : null;
        await Keep(tree, transaction);
        return true;
    }

    private static bool SaysTheSame(OpinionRow one, OpinionRow other) =>
        (one.From, one.By, one.Kind, one.Name) == (other.From, other.By, other.Kind, other.Name)
        && (one.Qualifier, one.Reasons) == (other.Qualifier, other.Reasons)
        && one.Readings.SequenceEqual(other.Readings);

    private async Task Keep(TreeRow tree, IDbContextTransaction transaction)
    {
        await database.SaveChangesAsync();
        await Stand(database, tree);
        await database.SaveChangesAsync();
        await transaction.CommitAsync();
        database.ChangeTracker.Clear();
    }

    /// <summary>Copies the name that stands to the tree, for lists; kept with the next saving.</summary>
    internal static async Task Stand(SieveContext database, TreeRow tree)
    {
        var standing = OpinionStanding.Of(await History(database, tree.Id, null));
        (tree.Name, tree.Rank) = (standing.Stands?.Written, standing.Stands?.Rank?.Word());
        (tree.Probability, tree.IsDisputed) = (standing.Stands?.Probability, standing.IsDisputed);
    }

    internal static bool IsOwn(OpinionRow row, Reader reader) => row.From == reader.Person || reader.Owners.Contains(row.From);

    internal static Opinion Read(OpinionRow row, Reader? reader) =>
        new(row.Id, row.Kind, row.By, Instant.FromDateTimeOffset(row.At))
        {
            Name = row.Name,
            Rank = EnumWords.TryRead<TaxonRank>(row.Rank, out var rank) ? rank : null,
            Probability = row.Probability,
            Qualifier = row.Qualifier,
            Reasons = row.Reasons,
            Readings = row.Readings,
            FloraEdition = row.FloraEdition,
            IsWithdrawn = row.Withdrawn is not null,
            IsOwn = reader is not null && IsOwn(row, reader),
        };
}
