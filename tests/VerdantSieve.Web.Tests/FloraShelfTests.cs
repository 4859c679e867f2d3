using VerdantSieve.Core.Botany;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>Which floras are open, and how addresses name them.</summary>
public class FloraShelfTests
{
    private readonly List<string> read = [];

    private FloraShelf Shelf() => new(new OpenFlora(Made("shipped")), async id =>
    {
        lock (read) read.Add(id);
        await Task.Yield();
        if (id == "broken") throw new InvalidOperationException("the database is away");
        return id.StartsWith("own", StringComparison.Ordinal) ? Made(id) : null;
    });

    private static Flora Made(string id) => new(new FloraAbout(id, id), [], []);

    [Theory]
    [InlineData(null)]
    [InlineData("")]
    [InlineData("shipped")]
    public async Task Where_none_is_named_the_shipped_flora_is_meant_and_nothing_is_read(string? id)
    {
        var shelf = Shelf();
        Assert.Same(shelf.Shipped, await shelf.Take(id));
        Assert.Empty(read);
    }

    [Fact]
    public async Task An_own_flora_is_read_once_however_many_ask_at_a_time()
    {
        var shelf = Shelf();
        var all = await Task.WhenAll(Enumerable.Range(0, 20).Select(_ => Task.Run(() => shelf.Take("own-oaks").AsTask())));
        Assert.All(all, open => Assert.Same(all[0], open));
        Assert.True(all[0]!.IsOwn);
        Assert.Equal(["own-oaks"], read);
    }

    [Fact]
    public async Task What_is_not_there_or_could_not_be_read_is_asked_for_anew()
    {
        var shelf = Shelf();
        Assert.Null(await shelf.Take("nothing"));
        Assert.Null(await shelf.Take("nothing"));
        await Assert.ThrowsAsync<InvalidOperationException>(async () => await shelf.Take("broken"));
        await Assert.ThrowsAsync<InvalidOperationException>(async () => await shelf.Take("broken"));
        Assert.Equal(["nothing", "nothing", "broken", "broken"], read);
    }

    [Fact]
    public async Task The_flora_not_asked_for_longest_is_closed_for_another()
    {
        var shelf = Shelf();
        var first = await shelf.Take("own-0");
        for (var i = 1; i < FloraShelf.MostOpen; i++) await shelf.Take($"own-{i}");
        Assert.Same(first, await shelf.Take("own-0"));
        await shelf.Take("own-more");
        Assert.Same(first, await shelf.Take("own-0"));
        await shelf.Take("own-1");
        Assert.Equal(2, read.Count(id => id == "own-1"));
    }

    [Fact]
    public async Task A_flora_that_was_replaced_is_read_again()
    {
        var shelf = Shelf();
        var before = await shelf.Take("own-oaks");
        shelf.Close("own-oaks");
        Assert.NotSame(before, await shelf.Take("own-oaks"));
    }

    [Theory]
    [InlineData("/plants", "/plants?flora=own-oaks")]
    [InlineData("/beside?taxa=a&taxa=b", "/beside?taxa=a&taxa=b&flora=own-oaks")]
    [InlineData("/words#apex", "/words?flora=own-oaks#apex")]
    [InlineData("/drawings/taxon/a.svg?v=1#d", "/drawings/taxon/a.svg?v=1&flora=own-oaks#d")]
    public void An_address_names_an_own_flora_and_needs_not_name_the_shipped_one(string address, string named)
    {
        Assert.Equal(named, new OpenFlora(Made("own-oaks"), isOwn: true).At(address));
        Assert.Equal(address, new OpenFlora(Made("shipped")).At(address));
    }
}
