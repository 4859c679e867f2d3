using NodaTime;
using VerdantSieve.Core.Observing;
using VerdantSieve.Store.Looks;
using Xunit;

namespace VerdantSieve.Store.Tests;

public class LookBookTests(TestDatabase store)
{
    private static readonly LookContent Begun = new()
    {
        Place = "Lantern Creek",
        Circumstances = new RawCircumstances { Region = "ORE", Date = "2026-06-14" },
        Observer = "Odalys Brandt",
    };

    [Fact]
    public async Task What_is_kept_comes_back_as_it_was()
    {
        var content = Begun with
        {
            Circumstances = Begun.Circumstances with { Latitude = "45.1", Longitude = "-123.2", Elevation = "110", Setting = "planted" },
            AllowedDisagreements = 2,
            School = Core.Sieving.School.Strict,
            Notes = "by the ford; “odd” ½",
            Readings =
            [
                new RawReading("blade-length")
                {
                    Low = 12.5,
                    High = 19.25,
                    Leaves = 5,
                    Certainty = "guess",
                },
                new RawReading("smell") { Unknown = true, Certainty = "fair" },
            ],
            Determined = new SavedDetermination("Acer", Core.Botany.TaxonRank.Genus, 0.97, "A maple.", 1, new DateOnly(2026, 6, 14)),
        };
        await using var database = store.Open();
        var id = (await new LookBook(database, SystemClock.Instance).Start("temperate-trees", content)).Id;
        await using var later = store.Open();
        var found = (await new LookBook(later, SystemClock.Instance).Find(id))!.Content;
        Assert.Equal(content with { Readings = [] }, found with { Readings = [] });
        Assert.Equal(content.Readings, found.Readings);
    }

    [Fact]
    public async Task Every_change_can_be_undone_and_done_again()
    {
        await using var database = store.Open();
        var book = new LookBook(database, SystemClock.Instance);
        var id = (await book.Start("temperate-trees", Begun)).Id;
        await book.Change(id, "first", c => c with { Notes = "one" });
        var changed = await book.Change(id, "second", c => c with { Notes = "two" });
        Assert.Equal(("second", null), (changed!.Undoes, changed.Redoes));

        var undone = await book.Move(id, -1);
        Assert.Equal(("one", "first", "second"), (undone!.Content.Notes, undone.Undoes, undone.Redoes));
        undone = await book.Move(id, -1);
        Assert.Equal(("", null, "first"), (undone!.Content.Notes, undone.Undoes, undone.Redoes));
        Assert.Equal("", (await book.Move(id, -1))!.Content.Notes);

        Assert.Equal("one", (await book.Move(id, +1))!.Content.Notes);
        Assert.Equal("two", (await book.Move(id, +1))!.Content.Notes);
        Assert.Equal("two", (await book.Move(id, +1))!.Content.Notes);
    }

    [Fact]
    public async Task A_new_change_forgets_what_was_undone()
    {
        await using var database = store.Open();
        var book = new LookBook(database, SystemClock.Instance);
        var id = (await book.Start("temperate-trees", Begun)).Id;
        await book.Change(id, "first", c => c with { Notes = "one" });
        await book.Move(id, -1);
        await book.Change(id, "other", c => c with { Notes = "other" });
        var look = (await book.Move(id, +1))!;
        Assert.Equal(("other", null), (look.Content.Notes, look.Redoes));
    }

    [Fact]
    public async Task Two_changes_at_once_are_both_kept()
    {
        await using var database = store.Open();
        var id = (await new LookBook(database, SystemClock.Instance).Start("temperate-trees", Begun)).Id;
        await Task.WhenAll(
            Enumerable
                .Range(0, 8)
                .Select(async i =>
                {
                    await using var own = store.Open();
                    await new LookBook(own, SystemClock.Instance).Change(
                        id,
                        $"reading {i}",
                        c => c with { Readings = [.. c.Readings, new RawReading($"character-{i}") { Unknown = true }] }
                    );
                })
        );
        Assert.Equal(8, (await new LookBook(database, SystemClock.Instance).Find(id))!.Content.Readings.Count);
    }

    [Fact]
    public async Task A_look_thrown_away_leaves_the_list_and_can_be_brought_back()
    {
        await using var database = store.Open();
        var book = new LookBook(database, SystemClock.Instance);
        var id = (await book.Start("temperate-trees", Begun)).Id;
        Assert.True(await book.Discard(id, true));
        Assert.DoesNotContain(await book.List(), entry => entry.Id == id);
        Assert.True((await book.Find(id))!.IsDiscarded);
        Assert.True(await book.Discard(id, false));
        Assert.Contains(await book.List(), entry => entry.Id == id);
    }

    [Fact]
    public async Task An_id_that_is_not_there_changes_nothing()
    {
        await using var database = store.Open();
        var book = new LookBook(database, SystemClock.Instance);
        Assert.Null(await book.Find("nowhere2"));
        Assert.Null(await book.Change("nowhere2", "x", c => c));
        Assert.Null(await book.Move("nowhere2", -1));
        Assert.False(await book.Discard("nowhere2", true));
    }
}
