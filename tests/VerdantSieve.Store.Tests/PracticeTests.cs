using Microsoft.EntityFrameworkCore;
using NodaTime;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Practising;
using VerdantSieve.Store.Lists;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Store.Practising;
using Xunit;

namespace VerdantSieve.Store.Tests;

/// <summary>Sets, answers, the schedule, lists and classes: what is kept of them, and for whom.</summary>
public class PracticeTests(TestDatabase store)
{
    private sealed class Moved(Instant now) : IClock
    {
        public Instant Now { get; set; } = now;

        public Instant GetCurrentInstant() => Now;
    }

    private readonly Moved clock = new(Instant.FromUtc(2026, 5, 14, 12, 0));

    private static readonly Exercise[] Two = [new NamePlant("Acer rubrum", 1), new PartTwo("Acer rubrum", "Acer saccharinum", 2)];

    private static Reader Someone() => new([Guid.NewGuid().ToString()], null, "");

    private PracticeBook Book(SieveContext database, Reader reader) => new(database, clock, reader);

    private ListBook Lists(SieveContext database, Reader reader) => new(database, clock, reader);

    private static Answer Right(Certainty certainty = Certainty.Fair) => new("Acer rubrum", "Acer rubrum", true, false, certainty);

    private static Answer Wrong { get; } = new("Acer saccharum", "Acer rubrum", false, true, Certainty.Fair);

    private static Task<string> Begin(PracticeBook book, string? classId = null) =>
        book.Begin("temperate-trees", "Two maples", ["Acer rubrum"], Two, "ONT", classId);

    [Fact]
    public async Task What_is_right_is_done_and_due_again_and_what_is_missed_comes_back_at_the_end()
    {
        var reader = Someone();
        await using var database = store.Open();
        var book = Book(database, reader);
        var id = await Begin(book);
        Assert.True(await book.Answer(id, 0, Wrong));
        var set = (await book.Find(id))!;
        Assert.Equal((3, 1, true), (set.Queue.Count, set.At, set.Answers[0].IsAsked));
        Assert.Equal(Two[0].Subject, set.Queue[2].Subject);
        Assert.NotEqual(Two[0].Seed, set.Queue[2].Seed);
        Assert.True(await book.Answer(id, 1, Right()));
        Assert.True(await book.Answer(id, 2, Right()));
        set = (await book.Find(id))!;
        Assert.Null(set.Now);
        var known = await book.Known();
        // Only the first answer in a set moves the schedule.
        Assert.Equal((0, 1), (known[Two[0].Subject].Times, known[Two[1].Subject].Times));
        Assert.Equal(0, await book.Due(new DateOnly(2026, 5, 14)));
        Assert.Equal(2, await book.Due(new DateOnly(2026, 5, 15)));
    }

    [Fact]
    public async Task What_is_missed_each_time_is_not_asked_for_ever()
    {
        await using var database = store.Open();
        var book = Book(database, Someone());
        var id = await Begin(book);
        for (var at = 0; (await book.Find(id))!.Now is not null; at++)
        {
            Assert.True(at < 10, "it never ends");
            await book.Answer(id, at, Wrong);
        }
        Assert.Equal(2 * PracticeBook.MostTurns, (await book.Find(id))!.Queue.Count);
    }

    [Fact]
    public async Task An_answer_that_is_sent_twice_is_kept_once()
    {
        await using var database = store.Open();
        var book = Book(database, Someone());
        var id = await Begin(book);
        Assert.True(await book.Answer(id, 0, Right()));
        Assert.False(await book.Answer(id, 0, Wrong));
        Assert.False(await book.Answer(id, 5, Wrong));
        Assert.True(Assert.Single((await book.Find(id))!.Answers).Answered.Answer.IsRight);
    }

    [Fact]
    public async Task Taken_back_an_answer_leaves_all_as_it_was()
    {
        var reader = Someone();
        await using var database = store.Open();
        var book = Book(database, reader);
        var first = await Begin(book);
        await book.Answer(first, 0, Right());
        var before = (await book.Known())[Two[0].Subject];
        clock.Now += Duration.FromDays(1);
        var second = await Begin(book);
        await book.Answer(second, 0, Wrong);
        Assert.NotEqual(before, (await book.Known())[Two[0].Subject]);
        Assert.True(await book.TakeBack(second, 1));
        Assert.Equal(before, (await book.Known())[Two[0].Subject]);
        var set = (await book.Find(second))!;
        Assert.Equal((2, 0), (set.Queue.Count, set.At));
        // What had never been asked is as if it had not been.
        await book.TakeBack(first, 1);
        Assert.Empty(await book.Known());
        Assert.True(await book.TakeBack(first, 0));
    }

    [Fact]
    public async Task What_is_asked_of_a_record_is_kept_with_its_answer()
    {
        await using var database = store.Open();
        var book = Book(database, Someone());
        var id = await book.Begin("temperate-trees", "r", [], [new NameRecord("Acer rubrum", "ONT", 1), Two[0]], null, null);
        await book.Ask(id, 0, "margin");
        await book.Ask(id, 0, "margin");
        await book.Ask(id, 0, "bark-pattern");
        Assert.False(await book.Ask(id, 1, "apex"));
        Assert.Equal(["margin", "bark-pattern"], (await book.Find(id))!.Asked);
        await book.Answer(id, 0, Right());
        var set = (await book.Find(id))!;
        Assert.Equal((0, 2), (set.Asked.Count, set.Answers[0].Asked.Count));
        await book.TakeBack(id, 1);
        Assert.Equal(["margin", "bark-pattern"], (await book.Find(id))!.Asked);
    }

    [Fact]
    public async Task What_is_anothers_is_not_there()
    {
        await using var database = store.Open();
        var (own, other) = (Someone(), Someone());
        var id = await Begin(Book(database, own));
        Assert.Null(await Book(database, other).Find(id));
        Assert.False(await Book(database, other).Answer(id, 0, Right()));
        Assert.False(await Book(database, other).TakeBack(id, 0));
        Assert.Empty(await Book(database, other).List(10));
        Assert.NotNull(await Book(database, own).Find(id));
    }

    private static readonly ListContent Wood = new("Wood", "", [new("Acer rubrum", "by the gate"), new("Alnus rubra", "")]);

    [Fact]
    public async Task A_list_is_its_owners_until_it_is_shared_and_changed_by_nobody_else()
    {
        await using var database = store.Open();
        var (own, other) = (Lists(database, Someone()), Lists(database, Someone()));
        var id = await own.Begin("temperate-trees", Wood);
        Assert.Null(await other.Find(id));
        await own.Share(id, true);
        var seen = (await other.Find(id))!;
        Assert.False(seen.IsOwn);
        Assert.Equal(Wood.Kinds, seen.Content.Kinds);
        Assert.Null(await other.Change(id, null, content => content with { Title = "mine" }));
        Assert.False(await other.Discard(id, true));
        Assert.False(await other.Share(id, false));
        await own.Discard(id, true);
        Assert.Null(await other.Find(id));
        Assert.NotNull(await own.Find(id));
        Assert.Empty(await own.All());
    }

    [Fact]
    public async Task A_change_is_taken_back_and_forth_and_nobody_writes_over_what_they_have_not_seen()
    {
        await using var database = store.Open();
        var own = Lists(database, Someone());
        var id = await own.Begin("temperate-trees", Wood);
        var edition = (await own.Find(id))!.Edition;
        clock.Now += Duration.FromSeconds(5);
        Assert.True(await own.Change(id, edition, content => content with { Kinds = [] }));
        Assert.False(await own.Change(id, edition, content => content with { Title = "late" }));
        Assert.Empty((await own.Find(id))!.Content.Kinds);
        await own.Undo(id);
        Assert.Equal(Wood.Kinds, (await own.Find(id))!.Content.Kinds);
        await own.Undo(id);
        Assert.Empty((await own.Find(id))!.Content.Kinds);
    }

    [Fact]
    public async Task A_class_is_worked_by_whoever_has_its_address_and_tells_its_teacher_what_and_not_who()
    {
        await using var database = store.Open();
        var (teacher, pupil, stranger) = (Someone(), Someone(), Someone());
        var list = await Lists(database, teacher).Begin("temperate-trees", Wood);
        Assert.Null(await Lists(database, pupil).BeginClass(list, "not mine"));
        var id = (await Lists(database, teacher).BeginClass(list, "Monday"))!;
        var (found, of) = (await Lists(database, pupil).FindClass(id))!.Value;
        Assert.Equal((false, true, 2), (found.IsOwn, found.IsOpen, of.Content.Kinds.Count));
        // The list itself stays the teacher's.
        Assert.Null(await Lists(database, pupil).Find(list));
        var begun = await Begin(Book(database, stranger), id);
        await Book(database, pupil).Answer(await Begin(Book(database, pupil), id), 0, Wrong);
        // Whoever has only begun hides nobody.
        Assert.Equal(1, (await Book(database, teacher).OfClass(id)).People);
        await Book(database, stranger).Answer(begun, 0, Wrong);
        var (answers, people) = await Book(database, teacher).OfClass(id);
        Assert.Equal((2, 2), (answers.Count, people));
        Assert.False(await Lists(database, pupil).Close(id, true));
        Assert.True(await Lists(database, teacher).Close(id, true));
        Assert.False((await Lists(database, pupil).FindClass(id))!.Value.Class.IsOpen);
    }

    [Fact]
    public async Task What_a_guest_practised_moves_into_the_account_and_what_the_account_knows_better_stays()
    {
        await using var database = store.Open();
        var (guest, account) = (Someone(), Someone());
        var signedIn = account with { Person = account.Owner };
        await Book(database, account).Answer(await Begin(Book(database, account)), 0, Right());
        var known = (await Book(database, account).Known())[Two[0].Subject];
        clock.Now += Duration.FromDays(1);
        var book = Book(database, guest);
        var id = await Begin(book);
        await book.Answer(id, 0, Wrong);
        await book.Answer(id, 1, Right());
        var list = await Lists(database, guest).Begin("temperate-trees", Wood);
        await new AccountBook(database, signedIn).Claim(guest.Owner, account.Owner);
        var after = await Book(database, account).Known();
        Assert.Equal(known, after[Two[0].Subject]);
        Assert.Equal(1, after[Two[1].Subject].Times);
        Assert.NotNull(await Book(database, account).Find(id));
        Assert.NotNull(await Lists(database, account).Find(list));
        Assert.Empty(await book.Known());
        await new AccountBook(database, signedIn).Forget();
        Assert.False(
            await database.PracticeAnswers.AnyAsync(answer => answer.SetId == id, TestContext.Current.CancellationToken)
                || await database.Lists.AnyAsync(row => row.Id == list, TestContext.Current.CancellationToken)
        );
        Assert.Empty(await Book(database, account).Known());
    }
}
