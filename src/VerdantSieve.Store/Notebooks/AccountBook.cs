using Microsoft.EntityFrameworkCore;
using VerdantSieve.Core;
using VerdantSieve.Store.Lists;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.People;
using VerdantSieve.Store.Practising;

namespace VerdantSieve.Store.Notebooks;

/// <summary>What hangs on an account: whom the notebook is shared with, all that is kept for it, and its end.</summary>
public sealed class AccountBook(SieveContext database, Reader reader)
{
    /// <summary>Somebody a notebook is shared with, or whose notebook is shared.</summary>
    public sealed record Shared(string Name, string Shown, Sharing May);

    private string Person => reader.Person ?? throw new InvalidOperationException("Nobody is signed in.");

    /// <summary>With whom the reader shares their notebook.</summary>
    public async Task<IReadOnlyList<Shared>> With(CancellationToken cancel = default) =>
        await (
            from share in database.Shares.AsNoTracking()
            join other in database.Users.AsNoTracking() on share.With equals other.Id
            where share.Owner == Person
            orderby other.UserName
            select new Shared(other.UserName!, other.Shown, share.May)
        ).ToListAsync(cancel);

    /// <summary>Whose notebooks are shared with the reader.</summary>
    public async Task<IReadOnlyList<Shared>> From(CancellationToken cancel = default) =>
        reader.Person is null
            ? []
            : await (
                from share in database.Shares.AsNoTracking()
                join other in database.Users.AsNoTracking() on share.Owner equals other.Id
                where share.With == reader.Person
                orderby other.UserName
                select new Shared(other.UserName!, other.Shown, share.May)
            ).ToListAsync(cancel);

    /// <summary>Shares the notebook with an account, or no longer.</summary>
    /// <param name="name">The name they sign in with.</param>
    /// <param name="may">What they may do; null where it is shared no longer.</param>
    /// <returns>What is wrong; null where it was done.</returns>
    public async Task<Fault?> Share(string name, Sharing? may)
    {
        var normal = name.ToUpperInvariant();
        var other = await database
            .Users.Where(person => person.NormalizedUserName == normal)
            .Select(person => person.Id)
            .SingleOrDefaultAsync();
        if (other is null)
            return Fault.AtField("name", name, "Nobody signs in with that name; ask them for the one they use.");
        if (other == Person)
            return Fault.AtField("name", name, "That is your own account.");
        await database.Shares.Where(share => share.Owner == Person && share.With == other).ExecuteDeleteAsync();
        if (may is not { } level)
            return null;
        database.Shares.Add(
            new ShareRow
            {
                Owner = Person,
                With = other,
                May = level,
            }
        );
        await database.SaveChangesAsync();
        return null;
    }

    /// <summary>Everything that is kept for the account, as it lies in the database.</summary>
    public async Task<AccountData> Everything(CancellationToken cancel = default)
    {
        var trees = await database
            .Trees.AsNoTracking()
            .Where(tree => tree.Owner == Person)
            .OrderBy(tree => tree.Created)
            .ToListAsync(cancel);
        var ids = trees.Select(tree => tree.Id).ToArray();
        var looks = await (
            from look in database.Looks.AsNoTracking()
            join step in database.LookSteps.AsNoTracking()
                on new { look.Id, Number = look.Cursor } equals new { Id = step.LookId, step.Number }
            where ids.Contains(look.TreeId)
            orderby look.Created
            select new
            {
                look.Id,
                look.TreeId,
                look.OutingId,
                look.Discarded,
                step.Content,
            }
        ).ToListAsync(cancel);
        return new AccountData(
            await database
                .Users.AsNoTracking()
                .Where(person => person.Id == Person)
                .Select(person => new AccountData.Owner(person.UserName!, person.Shown, person.Email))
                .SingleAsync(cancel),
            trees,
            [
                .. looks.Select(look => new AccountData.Visit(
                    look.Id,
                    look.TreeId,
                    look.OutingId,
                    look.Discarded,
                    LookShape.Read(look.Content)
                )),
            ],
            await database
                .Opinions.AsNoTracking()
                .Where(line => ids.Contains(line.TreeId) || line.From == Person)
                .OrderBy(line => line.Id)
                .ToListAsync(cancel),
            await database
                .Outings.AsNoTracking()
                .Where(outing => outing.Owner == Person)
                .OrderBy(outing => outing.Created)
                .ToListAsync(cancel),
            await database.Maps.AsNoTracking().Where(map => map.Owner == Person).OrderBy(map => map.Created).ToListAsync(cancel),
            await With(cancel),
            await database.Lists.AsNoTracking().Where(list => list.Owner == Person).OrderBy(list => list.Created).ToListAsync(cancel),
            await database.PracticeSets.AsNoTracking().Where(set => set.Owner == Person).OrderBy(set => set.Created).ToListAsync(cancel),
            await (
                from answer in database.PracticeAnswers.AsNoTracking()
                join set in database.PracticeSets.AsNoTracking() on answer.SetId equals set.Id
                where set.Owner == Person
                orderby answer.Id
                select answer
            ).ToListAsync(cancel),
            await database.Repetitions.AsNoTracking().Where(row => row.Owner == Person).OrderBy(row => row.Subject).ToListAsync(cancel)
        );
    }

    /// <summary>The pictures kept for the account, one after another.</summary>
    public IAsyncEnumerable<(string Id, string Look, string Caption, byte[] Jpeg)> Pictures() =>
        (
            from picture in database.Pictures.AsNoTracking()
            join look in database.Looks.AsNoTracking() on picture.LookId equals look.Id
            join tree in database.Trees.AsNoTracking() on look.TreeId equals tree.Id
            where tree.Owner == Person
            orderby picture.At
            select new ValueTuple<string, string, string, byte[]>(picture.Id, picture.LookId, picture.Caption, picture.Bytes)
        ).AsAsyncEnumerable();

    /// <summary>Gives what a browser's person began to the account they signed in with.</summary>
    public async Task Claim(string guest, string account)
    {
        await using var transaction = await database.Database.BeginTransactionAsync();
        await database.Trees.Where(row => row.Owner == guest).ExecuteUpdateAsync(set => set.SetProperty(row => row.Owner, account));
        await database.Outings.Where(row => row.Owner == guest).ExecuteUpdateAsync(set => set.SetProperty(row => row.Owner, account));
        await database.Maps.Where(row => row.Owner == guest).ExecuteUpdateAsync(set => set.SetProperty(row => row.Owner, account));
        await database.Opinions.Where(row => row.From == guest).ExecuteUpdateAsync(set => set.SetProperty(row => row.From, account));
        await database.Lists.Where(row => row.Owner == guest).ExecuteUpdateAsync(set => set.SetProperty(row => row.Owner, account));
        await database.Classes.Where(row => row.Owner == guest).ExecuteUpdateAsync(set => set.SetProperty(row => row.Owner, account));
        await database.PracticeSets.Where(row => row.Owner == guest).ExecuteUpdateAsync(set => set.SetProperty(row => row.Owner, account));
        // What the account remembers already stays as it is.
        await database
            .Repetitions.Where(row =>
                row.Owner == guest && !database.Repetitions.Any(own => own.Owner == account && own.Subject == row.Subject)
            )
            .ExecuteUpdateAsync(set => set.SetProperty(row => row.Owner, account));
        await database.Repetitions.Where(row => row.Owner == guest).ExecuteDeleteAsync();
        await transaction.CommitAsync();
    }

    /// <summary>Does away with all that an account holds. What it said of others' trees stays there, without a name.</summary>
    public async Task Forget()
    {
        await database.Trees.Where(tree => tree.Owner == Person).ExecuteDeleteAsync();
        await database.Outings.Where(outing => outing.Owner == Person).ExecuteDeleteAsync();
        await database.Maps.Where(map => map.Owner == Person).ExecuteDeleteAsync();
        await database.Lists.Where(list => list.Owner == Person).ExecuteDeleteAsync();
        await database.PracticeSets.Where(set => set.Owner == Person).ExecuteDeleteAsync();
        await database.Repetitions.Where(row => row.Owner == Person).ExecuteDeleteAsync();
        await database
            .Opinions.Where(line => line.From == Person)
            .ExecuteUpdateAsync(set => set.SetProperty(line => line.By, "someone who has left").SetProperty(line => line.From, ""));
    }
}

/// <summary>Everything that is kept for an account.</summary>
public sealed record AccountData(
    AccountData.Owner Account,
    IReadOnlyList<TreeRow> Trees,
    IReadOnlyList<AccountData.Visit> Visits,
    IReadOnlyList<OpinionRow> Determinations,
    IReadOnlyList<OutingRow> Outings,
    IReadOnlyList<MapRow> Maps,
    IReadOnlyList<AccountBook.Shared> SharedWith,
    IReadOnlyList<PlantListRow> Lists,
    IReadOnlyList<PracticeSetRow> PracticeSets,
    IReadOnlyList<PracticeAnswerRow> PracticeAnswers,
    IReadOnlyList<RepetitionRow> Remembered
)
{
    /// <summary>Whose it is.</summary>
    public sealed record Owner(string Name, string Shown, string? Email);

    /// <summary>A visit, with what it says now.</summary>
    public sealed record Visit(string Id, string Tree, string? Outing, DateTimeOffset? ThrownAway, LookContent Content);
}
