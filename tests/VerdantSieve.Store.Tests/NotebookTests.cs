using Microsoft.EntityFrameworkCore;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats.Notebook;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Trees;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Store.People;
using Xunit;

namespace VerdantSieve.Store.Tests;

/// <summary>Trees, whose they are, and what is thought of them.</summary>
public class NotebookTests(TestDatabase store)
{
    private static readonly LookContent Begun = new()
    {
        Place = "Lantern Creek",
        Circumstances = new RawCircumstances
        {
            Region = "ORE",
            Date = "2026-05-14",
            Latitude = "45.1",
            Longitude = "-123.2",
            Elevation = "90",
        },
    };

    private sealed class Moved(Instant now) : IClock
    {
        public Instant Now { get; set; } = now;

        public Instant GetCurrentInstant() => Now;
    }

    private readonly Moved clock = new(Instant.FromUtc(2026, 5, 14, 12, 0));

    private static Reader Someone(string name) => new([name], name, name);

    private LookBook Looks(SieveContext database, Reader reader) => new(database, clock, reader);

    private TreeBook Trees(SieveContext database, Reader reader) => new(database, clock, reader);

    private OpinionBook Opinions(SieveContext database, Reader reader) => new(database, clock, reader);

    private async Task<string> ATree(Reader owner)
    {
        await using var database = store.Open();
        return (await Looks(database, owner).Start("temperate-trees", Begun)).TreeId;
    }

    [Fact]
    public async Task A_look_is_the_first_visit_to_a_tree_which_stands_where_the_look_says()
    {
        var owner = Someone(Guid.NewGuid().ToString());
        var id = await ATree(owner);
        await using var database = store.Open();
        var tree = (await Trees(database, owner).Find(id))!;
        Assert.Equal((id, Sharing.Own, 1), (tree.Visits.Single().LookId, tree.May, tree.Visits.Count));
        Assert.Equal(new Position(45.1, -123.2, 90), tree.Position);
        await Looks(database, owner).Change(id, "moved", c => c with { Circumstances = c.Circumstances with { Latitude = "45.2" } });
        Assert.Equal(45.2, (await Trees(database, owner).Find(id))!.Position!.Value.Latitude);
    }

    [Fact]
    public async Task Each_visit_has_its_own_day_and_sees_what_was_read_on_the_others()
    {
        var owner = Someone(Guid.NewGuid().ToString());
        var id = await ATree(owner);
        await using var database = store.Open();
        var looks = Looks(database, owner);
        await looks.Change(id, "read", c => c with { Readings = [new RawReading("margin") { States = ["entire"] }] });
        clock.Now += Duration.FromDays(140);
        var second = (
            await looks.Visit(
                id,
                last => new LookContent { Place = last.Place, Circumstances = last.Circumstances with { Date = "2026-10-03" } }
            )
        )!;
        Assert.Equal("2026-05-14", second.Others.Single().Content.Circumstances.Date);
        Assert.Empty(second.Content.Readings);
        Assert.Equal("2026-10-03", (await looks.Find(id))!.Others.Single().Content.Circumstances.Date);
        Assert.Equal([id, second.Id], (await Trees(database, owner).Find(id))!.Visits.Select(visit => visit.LookId));

        // Lists show a tree once, by its newest visit; thrown away, by the one before.
        var entry = (await looks.List()).Single();
        Assert.Equal((second.Id, id, 2), (entry.Id, entry.TreeId, entry.Visits));
        await looks.Discard(second.Id, true);
        Assert.Equal((id, 1), ((await looks.List()).Single().Id, (await looks.List()).Single().Visits));
        Assert.Empty((await looks.Find(id))!.Others);
        Assert.Equal(second.Id, (await Trees(database, owner).Find(id))!.ThrownAway.Single().LookId);
        await looks.Discard(second.Id, false);
        Assert.Equal(second.Id, (await looks.List()).Single().Id);
    }

    [Fact]
    public async Task Of_another_person_there_is_no_tree_and_no_look()
    {
        var id = await ATree(Someone("ann"));
        await using var database = store.Open();
        var bob = Someone("bob");
        var looks = Looks(database, bob);
        Assert.Null(await Trees(database, bob).Find(id));
        Assert.Null(await looks.Find(id));
        Assert.Null(await looks.Change(id, "spoilt", c => c with { Notes = "mine" }));
        Assert.Null(await looks.Move(id, -1));
        Assert.Null(await looks.Visit(id, c => c));
        Assert.False(await looks.Discard(id, true));
        Assert.False(await Trees(database, bob).Discard(id, true));
        Assert.Null(await Trees(database, bob).Change(id, 0, new TreeDetails { Tag = "mine" }, null));
        Assert.False(await Opinions(database, bob).Add(id, Line(OpinionKind.Remarked)));
        Assert.Empty(await looks.List());
        Assert.Empty(await Trees(database, bob).VisitsOf([id]));
        Assert.Null(await Trees(database, Reader.Nobody).Find(id));
        Assert.Equal("", (await Looks(database, Someone("ann")).Find(id))!.Content.Notes);
    }

    private static Opinion Line(OpinionKind kind, string name = "", string reasons = "") =>
        new(0, kind, "", default)
        {
            Name = name,
            Rank = TaxonRank.Species,
            Reasons = reasons,
        };

    private static async Task<Reader> Account(SieveContext database, string name)
    {
        var id = $"{name}-{Guid.NewGuid():N}";
        database.Users.Add(
            new Person
            {
                Id = id,
                UserName = id,
                NormalizedUserName = id.ToUpperInvariant(),
                Shown = name,
            }
        );
        await database.SaveChangesAsync();
        return new Reader([id], id, name);
    }

    [Theory]
    [InlineData(Sharing.Read, false, false)]
    [InlineData(Sharing.Comment, true, false)]
    [InlineData(Sharing.Determine, true, true)]
    public async Task Whom_a_notebook_is_shared_with_may_do_what_was_said_and_no_more(Sharing may, bool comments, bool determines)
    {
        await using var database = store.Open();
        var (ann, bob) = (await Account(database, "Ann"), await Account(database, "Bob"));
        var id = await ATree(ann);
        Assert.Null(await new AccountBook(database, ann).Share(bob.Person!, may));
        var seen = (await Trees(database, bob).Find(id))!;
        Assert.Equal((may, "Ann"), (seen.May, seen.Whose));
        Assert.Equal("Lantern Creek", seen.Visits[0].Content.Place);
        // Where a sensitive tree stands only its owner learns.
        await Trees(database, ann).Change(id, 0, new TreeDetails { IsSensitive = true }, new Position(45.1, -123.2, 90));
        var hidden = (await Trees(database, bob).Find(id))!;
        Assert.Equal(("", null, null), (hidden.Visits[0].Content.Place, hidden.Visits[0].Content.Circumstances.Latitude, hidden.Position));
        Assert.NotNull((await Trees(database, ann).Find(id))!.Position);
        Assert.Equal(comments, await Opinions(database, bob).Add(id, Line(OpinionKind.Remarked, reasons: "look again")));
        Assert.Equal(determines, await Opinions(database, bob).Add(id, Line(OpinionKind.Determined, "Acer circinatum")));
        Assert.False(await Trees(database, bob).Discard(id, true));
        Assert.Null(await Looks(database, bob).Find(id));
        await new AccountBook(database, ann).Share(bob.Person!, null);
        Assert.Null(await Trees(database, bob).Find(id));
    }

    [Fact]
    public async Task Nobody_who_is_known_speaks_in_anothers_name()
    {
        await using var database = store.Open();
        var (ann, bob) = (await Account(database, "Ann"), await Account(database, "Bob"));
        var id = await ATree(ann);
        await new AccountBook(database, ann).Share(bob.Person!, Sharing.Comment);
        await Opinions(database, bob).Add(id, Line(OpinionKind.Remarked, reasons: "mine") with { By = "Ann" });
        Assert.Equal("Bob", (await Trees(database, ann).Find(id))!.History.Single().By);
        // Without an account a name is all there is.
        var guest = new Reader([Reader.Guest(Guid.NewGuid().ToString("N"))], null, "");
        var own = await ATree(guest);
        await Opinions(database, guest).Add(own, Line(OpinionKind.Remarked, reasons: "mine") with { By = "Cleo" });
        Assert.Equal("Cleo", (await Trees(database, guest).Find(own))!.History.Single().By);
    }

    [Fact]
    public async Task Of_visits_begun_at_once_one_alone_is_the_newest()
    {
        var owner = Someone(Guid.NewGuid().ToString());
        var id = await ATree(owner);
        await Task.WhenAll(
            Enumerable
                .Range(0, 6)
                .Select(async _ =>
                {
                    await using var own = store.Open();
                    await Looks(own, owner).Visit(id, last => last);
                })
        );
        await using var database = store.Open();
        Assert.Equal(7, (await Looks(database, owner).List()).Single().Visits);
        Assert.Single(await Trees(database, owner).Points());
        // What is not begun after all leaves the newest as it was.
        Assert.Null(await Looks(database, owner).Visit(id, _ => null));
        Assert.Single(await Looks(database, owner).List());
    }

    [Fact]
    public async Task Sharing_names_what_is_wrong_with_the_name()
    {
        await using var database = store.Open();
        var ann = await Account(database, "Ann");
        Assert.Contains("Nobody", (await new AccountBook(database, ann).Share("no such", Sharing.Read))!.Sentence);
        Assert.Contains("your own", (await new AccountBook(database, ann).Share(ann.Person!, Sharing.Read))!.Sentence);
    }

    [Fact]
    public async Task Determinations_are_added_and_taken_back_and_never_written_over()
    {
        var owner = Someone(Guid.NewGuid().ToString());
        var id = await ATree(owner);
        await using var database = store.Open();
        var opinions = Opinions(database, owner);
        var looks = Looks(database, owner);
        SavedDetermination saved = new("Acer", TaxonRank.Genus, 0.97, "A maple.", 3, new DateOnly(2026, 5, 14))
        {
            Readings = ["leaves in pairs"],
        };
        await looks.Change(id, "settled", c => c with { Determined = saved });
        Assert.Equal("Acer", (await looks.List()).Single().Name);
        clock.Now += Duration.FromDays(1);
        await opinions.Add(id, Line(OpinionKind.Determined, "Acer circinatum") with { Qualifier = Qualifier.Cf });
        Assert.Equal("Acer cf. circinatum", (await looks.List()).Single().Name);
        await looks.Move(id, -1);
        var history = (await Trees(database, owner).Find(id))!.History;
        Assert.Equal([OpinionKind.Determined, OpinionKind.Determined, OpinionKind.Reopened], history.Select(line => line.Kind));
        Assert.Equal(("A maple.", 3, "leaves in pairs"), (history[0].Reasons, history[0].FloraEdition, history[0].Readings.Single()));
        Assert.Null((await looks.List()).Single().Name);

        Assert.True(await opinions.Withdraw(id, history[2].Id, true));
        Assert.Equal("Acer cf. circinatum", (await looks.List()).Single().Name);
        Assert.False(await Opinions(database, Someone("bob")).Withdraw(id, history[1].Id, true));
        Assert.True(await opinions.Withdraw(id, history[1].Id, true));
        Assert.Equal("Acer", (await looks.List()).Single().Name);
        Assert.Equal(3, (await Trees(database, owner).Find(id))!.History.Count);
    }

    [Fact]
    public async Task Of_two_people_who_change_one_tree_the_second_is_told_and_the_last_change_can_be_taken_back()
    {
        var owner = Someone(Guid.NewGuid().ToString());
        var id = await ATree(owner);
        await using var database = store.Open();
        var trees = Trees(database, owner);
        var place = new Position(45.3, -123.1, 12);
        Assert.True(
            await trees.Change(
                id,
                0,
                new TreeDetails
                {
                    Tag = "LC 1",
                    Girth = new Girth(120),
                    IsSensitive = true,
                },
                place
            )
        );
        Assert.False(await trees.Change(id, 0, new TreeDetails { Tag = "LC 2" }, null));
        var tree = (await trees.Find(id))!;
        Assert.Equal(
            ("LC 1", 120, true, place),
            (tree.Details.Tag, tree.Details.Girth!.Value.Centimetres, tree.Details.IsSensitive, tree.Position)
        );
        Assert.Equal(("LC 1", true), ((await trees.Points()).Single().Called, (await trees.Points()).Single().IsSensitive));
        Assert.Equal("LC 1", (await trees.Points()).Single().CalledToOthers);
        Assert.Equal("A tree", ((await trees.Points()).Single() with { Tag = "" }).CalledToOthers);
        Assert.True(await trees.Change(id, tree.Edition, new TreeDetails { Tag = "LC 2" }, place));
        Assert.True(await trees.Undo(id));
        Assert.Equal("LC 1", (await trees.Find(id))!.Details.Tag);
    }

    [Fact]
    public async Task What_is_thrown_away_comes_back_for_thirty_days_and_is_gone_after_them()
    {
        var owner = Someone(Guid.NewGuid().ToString());
        var (kept, gone) = (await ATree(owner), await ATree(owner));
        await using var database = store.Open();
        var trees = Trees(database, owner);
        await trees.Discard(gone, true);
        Assert.Equal([kept], (await Looks(database, owner).List()).Select(entry => entry.TreeId));
        Assert.Equal(gone, (await trees.ThrownAway()).Single().TreeId);
        clock.Now += Duration.FromDays(29);
        await trees.Empty();
        Assert.True(await trees.Discard(gone, false));
        await trees.Discard(gone, true);
        clock.Now += Duration.FromDays(31);
        await trees.Empty();
        Assert.Null(await trees.Find(gone));
        Assert.NotNull(await trees.Find(kept));
    }

    [Fact]
    public async Task A_map_is_its_owners_alone_and_comes_back_after_it_was_thrown_away()
    {
        await using var database = store.Open();
        var (owner, other) = (Someone(Guid.NewGuid().ToString()), Someone(Guid.NewGuid().ToString()));
        MapBook Maps(Reader reader) => new(database, clock, reader);
        const string File = """
            {"type":"FeatureCollection","features":[{"type":"Feature","properties":{"kind":"path"},
             "geometry":{"type":"LineString","coordinates":[[7,50],[7.01,50.02]]}}]}
            """;
        var id = (await Maps(owner).Add(GroundMap.Read("Marsh", "", File).Value, File)).Value;
        Assert.Equal(new MapEntry(id, "Marsh", new GroundExtent(50, 7, 50.02, 7.01), false), (await Maps(owner).List()).Single());
        Assert.Equal(File, await Maps(owner).File(id));
        Assert.Empty(await Maps(other).List());
        Assert.Null(await Maps(other).Find(id));
        Assert.Null(await Maps(other).File(id));
        Assert.False(await Maps(other).Discard(id, true));

        Assert.True(await Maps(owner).Discard(id, true));
        Assert.Empty(await Maps(owner).List());
        Assert.True((await Maps(owner).Find(id))!.IsDiscarded);
        clock.Now += Duration.FromDays(29);
        await Trees(database, owner).Empty();
        Assert.True(await Maps(owner).Discard(id, false));
        Assert.Single(await Maps(owner).List());
        await Maps(owner).Discard(id, true);
        clock.Now += Duration.FromDays(31);
        await Trees(database, owner).Empty();
        Assert.Null(await Maps(owner).Find(id));
    }

    [Fact]
    public async Task More_maps_than_anybody_needs_are_refused()
    {
        await using var database = store.Open();
        var maps = new MapBook(database, clock, Someone(Guid.NewGuid().ToString()));
        var map = new GroundMap("Marsh", [], new GroundExtent(50, 7, 50.1, 7.1));
        for (var one = 0; one < MapBook.Most; one++)
            Assert.True((await maps.Add(map, "{}")).Has(out _));
        Assert.Equal("file", (await maps.Add(map, "{}")).Faults.Single().At);
        await maps.Discard((await maps.List())[0].Id, true);
        Assert.True((await maps.Add(map, "{}")).Has(out _));
    }

    [Fact]
    public async Task The_mark_of_trees_changes_with_anything_of_them_and_with_nothing_else()
    {
        await using var database = store.Open();
        var owner = Someone(Guid.NewGuid().ToString());
        var (looks, trees) = (Looks(database, owner), Trees(database, owner));
        var (tree, other) = (await ATree(owner), await ATree(owner));
        var marks = new List<string> { await trees.MarkOf([tree]) };
        async Task After(Func<Task> change)
        {
            clock.Now += Duration.FromMinutes(1);
            await change();
            marks.Add(await trees.MarkOf([tree]));
        }
        await After(() => looks.Visit(tree, last => last));
        // A visit that is not the newest counts, too.
        await After(() => looks.Change(tree, "noted", content => content with { Notes = "bark peels" }));
        await After(() => looks.Move(tree, -1));
        await After(() => looks.Discard(tree, true));
        await After(() => Opinions(database, owner).Add(tree, Line(OpinionKind.Remarked, reasons: "look again")));
        var line = (await trees.Find(tree))!.History[^1].Id;
        await After(() => Opinions(database, owner).Withdraw(tree, line, true));
        await After(() => trees.Place(tree, new Position(45, -123, 9)));
        Assert.Equal(marks.Count, marks.Distinct().Count());

        clock.Now += Duration.FromMinutes(1);
        await looks.Change(other, "noted", content => content with { Notes = "another tree" });
        Assert.Equal(marks[^1], await trees.MarkOf([tree]));
        Assert.NotEqual(marks[^1], await trees.MarkOf([tree, other]));
    }

    [Fact]
    public async Task What_is_sent_twice_since_its_answer_was_lost_is_begun_once()
    {
        await using var database = store.Open();
        var owner = Someone(Guid.NewGuid().ToString());
        var (looks, sent) = (Looks(database, owner), Guid.NewGuid());
        var first = await looks.Start("temperate-trees", Begun, sent: sent);
        Assert.Equal(first.Id, (await looks.Start("temperate-trees", Begun, sent: sent)).Id);
        // Whoever goes back to the page and begins another has gone on with the first, or says another place.
        Assert.NotEqual(first.Id, (await looks.Start("temperate-trees", Begun with { Place = "elsewhere" }, sent: sent)).Id);
        await looks.Change(first.Id, "noted", content => content with { Notes = "gone on with" });
        Assert.NotEqual(first.Id, (await looks.Start("temperate-trees", Begun, sent: sent)).Id);
        // Another's page may call its own the same.
        var other = Looks(database, Someone(Guid.NewGuid().ToString()));
        Assert.NotEqual(first.Id, (await other.Start("temperate-trees", Begun, sent: sent)).Id);
    }

    [Fact]
    public async Task A_visit_that_is_sent_twice_is_made_once_and_a_second_visit_is_another()
    {
        await using var database = store.Open();
        var owner = Someone(Guid.NewGuid().ToString());
        var (looks, tree, sent) = (Looks(database, owner), await ATree(owner), Guid.NewGuid());
        var visit = (await looks.Visit(tree, last => last, sent: sent))!;
        Assert.Equal(visit.Id, (await looks.Visit(tree, last => last, sent: sent))!.Id);
        Assert.NotEqual(visit.Id, (await looks.Visit(tree, last => last, sent: Guid.NewGuid()))!.Id);
        Assert.Equal(3, (await Trees(database, owner).Find(tree))!.Visits.Count);
    }

    [Fact]
    public async Task Whoever_goes_back_to_the_page_and_sends_it_again_begins_another_visit()
    {
        await using var database = store.Open();
        var owner = Someone(Guid.NewGuid().ToString());
        var (looks, tree, sent) = (Looks(database, owner), await ATree(owner), Guid.NewGuid());
        var thrownAway = (await looks.Visit(tree, last => last, sent: sent))!;
        await looks.Discard(thrownAway.Id, true);
        Assert.NotEqual(thrownAway.Id, (await looks.Visit(tree, last => last, sent: sent))!.Id);

        sent = Guid.NewGuid();
        LookContent On(LookContent last, int day) => last.Again(new LocalDate(2026, 6, day));
        var first = (await looks.Visit(tree, last => On(last, 1), sent: sent))!;
        Assert.Equal(first.Id, (await looks.Visit(tree, last => On(last, 1), sent: sent))!.Id);
        Assert.NotEqual(first.Id, (await looks.Visit(tree, last => On(last, 2), sent: sent))!.Id);
        await looks.Change(first.Id, "noted", content => content with { Notes = "gone on with" });
        Assert.NotEqual(first.Id, (await looks.Visit(tree, last => On(last, 1), sent: sent))!.Id);
    }

    [Fact]
    public async Task What_is_sent_twice_at_the_same_moment_is_begun_once()
    {
        var (owner, sent) = (Someone(Guid.NewGuid().ToString()), Guid.NewGuid());
        var begun = await Task.WhenAll(
            Enumerable
                .Range(0, 6)
                .Select(async _ =>
                {
                    await using var database = store.Open();
                    return (await Looks(database, owner).Start("temperate-trees", Begun, sent: sent)).Id;
                })
        );
        Assert.Single(begun.Distinct());
        await using var after = store.Open();
        Assert.Single(await Trees(after, owner).Points());
    }

    [Fact]
    public async Task What_is_said_twice_in_one_breath_is_said_once()
    {
        await using var database = store.Open();
        var owner = Someone(Guid.NewGuid().ToString());
        var (opinions, tree) = (Opinions(database, owner), await ATree(owner));
        var remark = Line(OpinionKind.Remarked, reasons: "Bark peels.");
        async Task<int> Lines() => (await Trees(database, owner).Find(tree))!.History.Count;
        Assert.True(await opinions.Add(tree, remark));
        Assert.True(await opinions.Add(tree, remark));
        Assert.Equal(1, await Lines());
        Assert.True(await opinions.Add(tree, remark with { Reasons = "Bark peels in strips." }));
        Assert.True(await opinions.Add(tree, remark));
        Assert.Equal(3, await Lines());
        // What was taken back can be said again.
        await opinions.Withdraw(tree, (await Trees(database, owner).Find(tree))!.History[^1].Id, true);
        Assert.True(await opinions.Add(tree, remark));
        Assert.Equal(4, await Lines());
    }

    [Fact]
    public async Task Points_of_a_way_that_are_sent_twice_are_walked_once()
    {
        await using var database = store.Open();
        var outings = new OutingBook(database, clock, Someone(Guid.NewGuid().ToString()));
        var id = await outings.Begin(new OutingAbout("Round the pond", null, "", "", "", ""));
        TrackPoint At(double north) => new(north, -123, 90, clock.Now.ToDateTimeOffset());
        await outings.Walk(id, [At(45.1), At(45.2)]);
        await outings.Walk(id, [At(45.1), At(45.2)]);
        Assert.Equal(2, (await outings.Find(id))!.Track.Count);
        await outings.Walk(id, [At(45.2), At(45.3)]);
        await outings.Walk(id, [At(45.1), At(45.2)]);
        Assert.Equal([45.1, 45.2, 45.2, 45.3, 45.1, 45.2], (await outings.Find(id))!.Track.Select(point => point.Latitude));
    }

    [Fact]
    public async Task What_a_guest_began_moves_into_the_account()
    {
        await using var database = store.Open();
        var guest = new Reader([Reader.Guest(Guid.NewGuid().ToString("N"))], null, "");
        var ann = await Account(database, "Ann");
        var id = await ATree(guest);
        Assert.Null(await Trees(database, ann).Find(id));
        await new AccountBook(database, ann).Claim(guest.Owner, ann.Person!);
        Assert.NotNull(await Looks(database, ann).Find(id));
        Assert.Null(await Looks(database, guest).Find(id));

        var everything = await new AccountBook(database, ann).Everything();
        Assert.Equal((id, id), (everything.Trees.Single().Id, everything.Visits.Single().Id));
        await new AccountBook(database, ann).Forget();
        Assert.False(await database.Looks.AnyAsync(look => look.Id == id, TestContext.Current.CancellationToken));
    }
}
