using VerdantSieve.Core.Botany;
using VerdantSieve.Store.Floras;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>Which floras are open, and which edition of each is given out.</summary>
public class FloraShelfTests
{
    private readonly List<string> read = [];
    private int stored = 1;

    private FloraShelf Shelf() =>
        new(
            new OpenFlora(Made("shipped"), Made("shipped").Vocabulary),
            async id =>
            {
                lock (read)
                    read.Add(id);
                await Task.Yield();
                if (id == "broken")
                    throw new InvalidOperationException("the database is away");
                return id == "shipped" || id.StartsWith("own", StringComparison.Ordinal) ? Made(id, stored) : null;
            }
        );

    private static Flora Made(string id, int edition = 1) =>
        new(new FloraAbout(id, id) { Edition = edition }, Array.Empty<Character>(), []);

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
        for (var i = 1; i < FloraShelf.MostOpen; i++)
            await shelf.Take($"own-{i}");
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

    [Fact]
    public async Task What_was_taken_stays_as_it_was_and_the_next_taker_is_given_the_change()
    {
        var shelf = Shelf();
        var (shipped, own) = (shelf.Shipped, (await shelf.Take("own-oaks"))!);
        shelf.Put(Made("shipped", edition: 2));
        shelf.Put(Made("own-oaks", edition: 2));
        Assert.Equal((1, 1), (shipped.Flora.About.Edition, own.Flora.About.Edition));
        Assert.Equal(2, shelf.Shipped.Flora.About.Edition);
        Assert.False(shelf.Shipped.IsOwn);
        Assert.Equal(2, (await shelf.Take("own-oaks"))!.Flora.About.Edition);
        Assert.Equal(["own-oaks"], read);
    }

    [Fact]
    public async Task A_change_to_a_flora_that_was_closed_in_between_is_served_none_the_less()
    {
        var shelf = Shelf();
        var taken = (await shelf.Take("own-0"))!;
        for (var i = 1; i <= FloraShelf.MostOpen; i++)
            await shelf.Take($"own-{i}");
        shelf.Put(Made("own-0", taken.Flora.About.Edition + 1));
        Assert.Equal(2, (await shelf.Take("own-0"))!.Flora.About.Edition);
    }

    [Fact]
    public void An_older_edition_does_not_take_the_place_of_a_newer_one()
    {
        var shelf = Shelf();
        shelf.Put(Made("shipped", edition: 3));
        shelf.Put(Made("shipped", edition: 2));
        Assert.Equal(3, shelf.Shipped.Flora.About.Edition);
    }

    [Fact]
    public async Task What_others_changed_is_taken_in_and_what_is_known_already_is_not_read_again()
    {
        var shelf = Shelf();
        await shelf.Hear(new FloraNotice("shipped", 1, Replaced: false));
        Assert.Empty(read);
        stored = 2;
        await shelf.Hear(new FloraNotice("shipped", 2, Replaced: false));
        Assert.Equal(2, shelf.Shipped.Flora.About.Edition);

        var own = await shelf.Take("own-oaks");
        await shelf.Hear(new FloraNotice("own-oaks", 2, Replaced: false));
        Assert.Same(own, await shelf.Take("own-oaks"));
        await shelf.Hear(new FloraNotice("own-oaks", 3, Replaced: false));
        Assert.NotSame(own, await shelf.Take("own-oaks"));
        var again = await shelf.Take("own-oaks");
        await shelf.Hear(new FloraNotice("own-oaks", 1, Replaced: true));
        Assert.NotSame(again, await shelf.Take("own-oaks"));
    }
}
