using System.Data.Common;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Diagnostics;
using NodaTime;
using VerdantSieve.Core.Observing;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;
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
        var id = (await new LookBook(database, SystemClock.Instance, Reader.Here).Start("temperate-trees", content)).Id;
        await using var later = store.Open();
        var found = (await new LookBook(later, SystemClock.Instance, Reader.Here).Find(id))!.Content;
        Assert.Equal(content with { Readings = [] }, found with { Readings = [] });
        Assert.Equal(content.Readings, found.Readings);
    }

    [Fact]
    public async Task Every_change_can_be_undone_and_done_again()
    {
        await using var database = store.Open();
        var book = new LookBook(database, SystemClock.Instance, Reader.Here);
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
    public async Task What_is_sent_twice_changes_the_look_once()
    {
        await using var database = store.Open();
        var book = new LookBook(database, SystemClock.Instance, Reader.Here);
        var id = (await book.Start("temperate-trees", Begun)).Id;
        var sent = Guid.NewGuid();
        LookContent More(LookContent content) => content with { Notes = content.Notes + "x" };
        await book.Change(id, "first", More, sent);
        var again = await book.Change(id, "first", More, sent);
        Assert.Equal(("x", 1), (again!.Content.Notes, again.Step));
        Assert.Equal("xx", (await book.Change(id, "second", More, Guid.NewGuid()))!.Content.Notes);
        Assert.Equal("xxx", (await book.Change(id, "third", More))!.Content.Notes);
    }

    [Fact]
    public async Task Undo_takes_back_the_step_that_was_seen_and_no_other()
    {
        await using var database = store.Open();
        var book = new LookBook(database, SystemClock.Instance, Reader.Here);
        var id = (await book.Start("temperate-trees", Begun)).Id;
        var seen = (await book.Change(id, "seen", c => c with { Notes = "seen" }))!;
        await book.Change(id, "elsewhere", c => c with { Notes = "elsewhere" });
        var refused = (await book.Move(id, -1, seen.Step))!;
        Assert.Equal(("elsewhere", 2), (refused.Content.Notes, refused.Step));
        Assert.Equal("seen", (await book.Move(id, -1, refused.Step))!.Content.Notes);
    }

    [Fact]
    public async Task A_change_that_changes_nothing_is_no_step()
    {
        await using var database = store.Open();
        var book = new LookBook(database, SystemClock.Instance, Reader.Here);
        var id = (await book.Start("temperate-trees", Begun)).Id;
        Assert.Equal(0, (await book.Change(id, "nothing", _ => null))!.Step);
        Assert.Equal(1, (await book.Change(id, "something", content => content))!.Step);
    }

    [Fact]
    public async Task So_many_steps_are_kept_and_the_oldest_go()
    {
        await using var database = store.Open();
        var book = new LookBook(database, SystemClock.Instance, Reader.Here);
        var id = (await book.Start("temperate-trees", Begun)).Id;
        for (var step = 1; step <= LookBook.MostSteps + 3; step++)
            await book.Change(id, $"step {step}", c => c with { Notes = $"{step}" });
        Assert.Equal(LookBook.MostSteps + 1, database.LookSteps.Count(step => step.LookId == id));
        var look = (await book.Find(id))!;
        while (look.Undoes is not null)
            look = (await book.Move(id, -1, look.Step))!;
        Assert.Equal("3", look.Content.Notes);
        Assert.Equal("3", (await book.Move(id, -1))!.Content.Notes);
    }

    [Theory]
    [InlineData("a\0b")]
    [InlineData("../x")]
    [InlineData("")]
    public async Task What_is_no_id_finds_nothing(string id)
    {
        await using var database = store.Open();
        var book = new LookBook(database, SystemClock.Instance, Reader.Here);
        Assert.Null(await book.Find(id));
        Assert.Null(await book.Change(id, "x", content => content));
        Assert.Null(await book.Move(id, -1));
        Assert.False(await book.Discard(id, true));
    }

    [Fact]
    public async Task A_new_change_forgets_what_was_undone()
    {
        await using var database = store.Open();
        var book = new LookBook(database, SystemClock.Instance, Reader.Here);
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
        var id = (await new LookBook(database, SystemClock.Instance, Reader.Here).Start("temperate-trees", Begun)).Id;
        await Task.WhenAll(
            Enumerable
                .Range(0, 8)
                .Select(async i =>
                {
                    await using var own = store.Open();
                    await new LookBook(own, SystemClock.Instance, Reader.Here).Change(
                        id,
                        $"reading {i}",
                        c => c with { Readings = [.. c.Readings, new RawReading($"character-{i}") { Unknown = true }] }
                    );
                })
        );
        Assert.Equal(8, (await new LookBook(database, SystemClock.Instance, Reader.Here).Find(id))!.Content.Readings.Count);
    }

    [Fact]
    public async Task A_looks_row_is_taken_before_its_step_is_written_so_that_two_changes_never_wait_for_each_other()
    {
        var said = new Statements();
        await using var database = store.Open(said);
        var book = new LookBook(database, SystemClock.Instance, Reader.Here);
        var found = await book.Start("temperate-trees", Begun);

        said.All.Clear();
        await book.Change(found, "reading", Unread("margin"));
        RowFirst("UPDATE looks");

        // Changed since it was found: held by its lock.
        said.All.Clear();
        await book.Change(found, "another", Unread("smell"));
        RowFirst("FOR UPDATE");

        void RowFirst(string taken)
        {
            var row = said.All.FindIndex(text => text.Contains(taken, StringComparison.OrdinalIgnoreCase));
            var step = said.All.FindIndex(text => text.Contains("INSERT INTO look_steps", StringComparison.OrdinalIgnoreCase));
            Assert.True(row >= 0 && step >= 0, string.Join('\n', said.All));
            Assert.True(row < step, $"{taken} came at {row}, the step at {step}");
        }

        static Func<LookContent, LookContent> Unread(string character) =>
            content => content with { Readings = [.. content.Readings, new RawReading(character) { Unknown = true }] };
    }

    /// <summary>What is sent to the database, in order.</summary>
    private sealed class Statements : DbCommandInterceptor
    {
        public List<string> All { get; } = [];

        public override ValueTask<InterceptionResult<DbDataReader>> ReaderExecutingAsync(
            DbCommand command,
            CommandEventData eventData,
            InterceptionResult<DbDataReader> result,
            CancellationToken cancellationToken = default
        )
        {
            All.Add(command.CommandText);
            return new(result);
        }
    }

    [Fact]
    public async Task What_is_changed_in_a_look_that_was_changed_since_it_was_found_is_what_it_says_by_then()
    {
        await using var database = store.Open();
        var book = new LookBook(database, SystemClock.Instance, Reader.Here);
        var found = await book.Start("temperate-trees", Begun);
        await book.Change(found.Id, "another reading", Reads("margin"));
        var changed = (await book.Change(found, "reading", Reads("smell")))!;
        Assert.Equal(["margin", "smell"], changed.Content.Readings.Select(reading => reading.Character));
        // What it gave can be changed again, without looking it up.
        var again = (await book.Change(changed, "a third", Reads("habit")))!;
        Assert.Equal((3, "a third"), (again.Step, again.Undoes));
        Assert.Equal(again.Content.Readings.Count, (await book.Find(found.Id))!.Content.Readings.Count);
        // What was undone elsewhere is not there any more.
        await book.Move(found.Id, -1);
        var other = (await book.Change(again, "another third", Reads("fruit-type")))!;
        Assert.Equal(["margin", "smell", "fruit-type"], other.Content.Readings.Select(reading => reading.Character));

        static Func<LookContent, LookContent?> Reads(string character) =>
            content => content with { Readings = [.. content.Readings, new RawReading(character) { Unknown = true }] };
    }

    [Fact]
    public async Task A_look_that_is_gone_since_it_was_found_is_not_changed()
    {
        await using var database = store.Open();
        var book = new LookBook(database, SystemClock.Instance, Reader.Here);
        var found = await book.Start("temperate-trees", Begun);
        await database.Trees.Where(tree => tree.Id == found.TreeId).ExecuteDeleteAsync();
        Assert.Null(await book.Change(found, "late", content => content with { Notes = "late" }));
    }

    [Fact]
    public async Task A_look_thrown_away_leaves_the_list_and_can_be_brought_back()
    {
        await using var database = store.Open();
        var book = new LookBook(database, SystemClock.Instance, Reader.Here);
        var id = (await book.Start("temperate-trees", Begun)).Id;
        Assert.True(await book.Discard(id, true));
        Assert.DoesNotContain(await book.List(), entry => entry.Id == id);
        Assert.True((await book.Find(id))!.IsDiscarded);
        Assert.True(await book.Discard(id, false));
        Assert.Contains(await book.List(), entry => entry.Id == id);
    }

    [Fact]
    public async Task Where_looks_with_readings_are_asked_for_newer_ones_without_do_not_stand_in_their_way()
    {
        await using var database = store.Open();
        var book = new LookBook(database, SystemClock.Instance, Reader.Here);
        var read = (await book.Start("only-read", Begun with { Readings = [new RawReading("smell") { Unknown = true }] })).Id;
        var empty = (await book.Start("only-read", Begun)).Id;
        Assert.Equal([read], (await book.List("only-read", take: 1, read: true)).Select(entry => entry.Id));
        Assert.Equal([empty], (await book.List("only-read", take: 1)).Select(entry => entry.Id));
    }

    [Fact]
    public async Task An_id_that_is_not_there_changes_nothing()
    {
        await using var database = store.Open();
        var book = new LookBook(database, SystemClock.Instance, Reader.Here);
        Assert.Null(await book.Find("nowhere2"));
        Assert.Null(await book.Change("nowhere2", "x", c => c));
        Assert.Null(await book.Move("nowhere2", -1));
        Assert.False(await book.Discard("nowhere2", true));
    }
}
