using System.Data.Common;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Diagnostics;
using NodaTime;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Trees;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;
using Xunit;

namespace VerdantSieve.Store.Tests;

/// <summary>Lists, maps and plans ask the database as often for many trees as for few.</summary>
public class QueryCountTests(TestDatabase store)
{
    private sealed class Counter : DbCommandInterceptor
    {
        public int Commands { get; private set; }

        public override ValueTask<InterceptionResult<DbDataReader>> ReaderExecutingAsync(
            DbCommand command,
            CommandEventData eventData,
            InterceptionResult<DbDataReader> result,
            CancellationToken cancellationToken = default
        )
        {
            Commands++;
            return base.ReaderExecutingAsync(command, eventData, result, cancellationToken);
        }
    }

    private async Task<Reader> Owner(int trees)
    {
        var owner = new Reader([$"owner-{Guid.NewGuid():N}"], null, "");
        await using var database = store.Open();
        var looks = new LookBook(database, SystemClock.Instance, owner);
        for (var tree = 0; tree < trees; tree++)
        {
            var look = await looks.Start(
                "temperate-trees",
                new LookContent { Circumstances = new RawCircumstances { Date = "2026-05-14" } }
            );
            await looks.Visit(look.TreeId, last => last);
            await new OpinionBook(database, SystemClock.Instance, owner).Add(
                look.TreeId,
                new Opinion(0, OpinionKind.Remarked, "", default) { Reasons = "again" }
            );
        }
        return owner;
    }

    [Fact]
    public async Task No_query_is_made_for_each_row()
    {
        var (few, many) = (await Asked(await Owner(2)), await Asked(await Owner(12)));
        Assert.Equal(few, many);
        Assert.All(few, asked => Assert.InRange(asked, 1, 2));
    }

    private async Task<int[]> Asked(Reader owner)
    {
        var counter = new Counter();
        await using var database = store.Open(counter);
        var (looks, trees) = (new LookBook(database, SystemClock.Instance, owner), new TreeBook(database, SystemClock.Instance, owner));
        var ids = (await trees.Points()).Select(tree => tree.Id).ToArray();
        var asked = new List<int>();
        foreach (
            var list in new Func<Task>[]
            {
                () => looks.List(),
                () => trees.Points(),
                () => trees.VisitsOf(ids),
                () => trees.RestOf(ids),
                () => trees.Due(new DateOnly(2026, 6, 1), 10),
                () => trees.ThrownAway(),
                () => new OutingBook(database, SystemClock.Instance, owner).List(),
                () => new PictureBook(database, SystemClock.Instance, owner).Of(ids),
            }
        )
        {
            var before = counter.Commands;
            await list();
            asked.Add(counter.Commands - before);
        }
        return [.. asked];
    }
}
