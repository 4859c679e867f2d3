using Microsoft.EntityFrameworkCore;
using NodaTime;
using Npgsql;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Formats;
using VerdantSieve.Store.Curating;
using VerdantSieve.Store.Floras;
using Xunit;

namespace VerdantSieve.Store.Tests;

/// <summary>Changes made at the desk, on a small flora in a folder of its own.</summary>
[Collection("flora")]
public class RevisionBookTests(TestDatabase store) : IDisposable
{
    private readonly string folder = Path.Combine(Path.GetTempPath(), "flora-" + Guid.NewGuid().ToString("N"));
    private readonly string id = "desk-" + Guid.NewGuid().ToString("N")[..8];

    [Fact]
    public async Task A_change_makes_an_edition_outlives_a_restart_and_can_be_taken_back()
    {
        var flora = await Begin();
        var edition = flora.About.Edition;
        await using (var database = store.Open())
        {
            var changed = await new RevisionBook(database, SystemClock.Instance).Keep(flora, Longer(flora), "Pim", "measured");
            Assert.Equal(edition + 1, changed.About.Edition);
        }
        var again = await Load();
        Assert.Equal((edition + 1, 20.0), (again.About.Edition, High(again)));
        await using (var database = store.Open())
        {
            var book = new RevisionBook(database, SystemClock.Instance);
            var kept = Assert.Single(await book.List(again)).Row;
            Assert.Equal(("Pim", "measured", edition + 1), (kept.Who, kept.Why, kept.Edition));
            Assert.Single(await new FloraLoader(database, SystemClock.Instance).AheadOfFiles(folder, again));
            var back = (await book.Undo(again, kept.Id, "Wren")).Value;
            Assert.Equal((edition + 2, 12.0), (back.About.Edition, High(back)));
            Assert.Equal("That change has been taken back already.", (await book.Undo(back, kept.Id, "Wren")).Faults[0].Message);
            Assert.Empty(await new FloraLoader(database, SystemClock.Instance).AheadOfFiles(folder, back));
        }
        Assert.Equal(12, High(await Load()));
    }

    [Fact]
    public async Task Two_curators_at_once_do_not_overwrite_each_other()
    {
        var flora = await Begin();
        await using var database = store.Open();
        var book = new RevisionBook(database, SystemClock.Instance);
        await book.Keep(flora, Longer(flora), "Pim", "first");
        var late = await Assert.ThrowsAsync<StaleEditionException>(() => book.Keep(flora, Longer(flora), "Wren", "second"));
        Assert.Contains("has been changed since", late.Message);
        Assert.Single(await book.List(flora));
    }

    [Fact]
    public async Task A_later_change_must_be_taken_back_first()
    {
        var flora = await Begin();
        await using var database = store.Open();
        var book = new RevisionBook(database, SystemClock.Instance);
        var once = await book.Keep(flora, Longer(flora), "Pim", "first");
        var twice = await book.Keep(once, once.FindTaxon("Acer macrophyllum")! with { Remember = "Changed again." }, "Pim", "second");
        var first = (await book.List(twice)).Last().Row;
        Assert.Contains("Take back the later change first", (await book.Undo(twice, first.Id, "Pim")).Faults[0].Message);
    }

    [Fact]
    public async Task A_change_outlives_new_files_that_leave_its_taxon_alone()
    {
        var flora = await Begin();
        await using (var database = store.Open())
            await new RevisionBook(database, SystemClock.Instance).Keep(flora, Longer(flora), "Pim", "measured");
        Edit("taxa/Quercus/garryana.yaml", "abundance: common", "abundance: frequent");
        var after = await Load();
        Assert.Equal(20, High(after));
        Assert.Equal(Abundance.Frequent, after.FindTaxon("Quercus garryana")!.Abundance);
        Assert.True(after.About.Edition > flora.About.Edition + 1);
    }

    [Fact]
    public async Task Where_file_and_desk_both_changed_a_taxon_the_file_is_in_force_and_the_history_says_so()
    {
        var flora = await Begin();
        await using (var database = store.Open())
            await new RevisionBook(database, SystemClock.Instance).Keep(flora, Longer(flora), "Pim", "measured");
        Edit("taxa/Acer/macrophyllum.yaml", "abundance: common", "abundance: scarce");
        var after = await Load();
        Assert.Equal((12, Abundance.Scarce), ((int)High(after), after.FindTaxon("Acer macrophyllum")!.Abundance));
        await using var again = store.Open();
        var newest = (await new RevisionBook(again, SystemClock.Instance).List(after))[0].Row;
        Assert.Equal((RevisionBook.Files, "The file has been changed since; it is in force."), (newest.Who, newest.Why));
        Assert.Contains("20", newest.Before);
        Assert.Equal(2, await again.Revisions.CountAsync(row => row.FloraId == id, TestContext.Current.CancellationToken));
        await Load();
        Assert.Equal(2, await again.Revisions.CountAsync(row => row.FloraId == id, TestContext.Current.CancellationToken));
    }

    [Fact]
    public async Task A_change_that_was_put_into_the_files_is_no_longer_ahead_of_them()
    {
        var flora = await Begin();
        Flora changed;
        await using (var database = store.Open())
            changed = await new RevisionBook(database, SystemClock.Instance).Keep(flora, Longer(flora), "Pim", "measured");
        File.WriteAllText(
            Path.Combine(folder, "taxa/Acer/macrophyllum.yaml"),
            TaxonWriter.Write(changed.FindTaxon("Acer macrophyllum")!, changed.Vocabulary)
        );
        var after = await Load();
        Assert.Equal(20, High(after));
        await using var again = store.Open();
        Assert.Empty(await new FloraLoader(again, SystemClock.Instance).AheadOfFiles(folder, after));
        Assert.Single(await new RevisionBook(again, SystemClock.Instance).List(after));
    }

    [Fact]
    public async Task What_a_change_changes_is_kept_with_it_and_worked_out_once_where_it_was_not()
    {
        var flora = await Begin();
        await using var database = store.Open();
        var book = new RevisionBook(database, SystemClock.Instance);
        var changed = await book.Keep(flora, Longer(flora), "Pim", "measured");
        Assert.Equal([new FieldChange("bud-length", "1–12 cm", "1–20 cm")], Assert.Single(await book.List(changed)).Changes);
        // As those kept by earlier versions are.
        await database
            .Revisions.Where(row => row.FloraId == id)
            .ExecuteUpdateAsync(set => set.SetProperty(row => row.Changes, (string?)null));
        Assert.Equal([new FieldChange("bud-length", "1–12 cm", "1–20 cm")], Assert.Single(await book.List(changed)).Changes);
        Assert.NotNull((await database.Revisions.AsNoTracking().SingleAsync(row => row.FloraId == id)).Changes);
    }

    [Fact]
    public async Task Others_on_the_same_database_are_told_of_a_change_when_it_is_kept()
    {
        var flora = await Begin();
        await using var database = store.Open();
        await using var listening = new NpgsqlConnection(database.Database.GetConnectionString());
        await listening.OpenAsync(TestContext.Current.CancellationToken);
        var heard = new List<FloraNotice?>();
        listening.Notification += (_, told) => heard.Add(FloraNotice.Read(told.Payload));
        await new NpgsqlCommand($"listen {FloraNotice.Channel}", listening).ExecuteNonQueryAsync(TestContext.Current.CancellationToken);
        var changed = await new RevisionBook(database, SystemClock.Instance).Keep(flora, Longer(flora), "Pim", "measured");
        for (var tries = 0; tries < 50 && !heard.Any(notice => notice?.Id == id); tries++)
            await listening.WaitAsync(100, TestContext.Current.CancellationToken);
        Assert.Contains(new FloraNotice(id, changed.About.Edition, Replaced: false), heard);
        Assert.Null(FloraNotice.Read("nothing of ours"));
    }

    private static double High(Flora flora) => ((RangeScore)flora.FindTaxon("Acer macrophyllum")!.Scores["bud-length"]).High;

    private static Taxon Longer(Flora flora)
    {
        var maple = flora.FindTaxon("Acer macrophyllum")!;
        return maple with
        {
            OwnScores = new Dictionary<string, Score>(maple.OwnScores) { ["bud-length"] = new RangeScore(null, 1, 20, null) },
        };
    }

    private async Task<Flora> Begin()
    {
        foreach (var path in new[] { "flora.yaml", "characters.yaml", "taxa/Acer/macrophyllum.yaml", "taxa/Quercus/garryana.yaml" })
        {
            var target = Path.Combine(folder, path);
            Directory.CreateDirectory(Path.GetDirectoryName(target)!);
            var text = File.ReadAllText(Path.Combine(TestDatabase.FloraFolder, path));
            if (path == "flora.yaml")
                text = text.Replace("id: temperate-trees", $"id: {id}")[
                    ..text.Replace("id: temperate-trees", $"id: {id}").IndexOf("near-alike:", StringComparison.Ordinal)
                ];
            // Each flora of these tests has a fingerprint of its own.
            File.WriteAllText(
                target,
                text.Replace("  bud-hair: none", "  bud-length: 1–12 cm\n  bud-hair: none")
                    .Replace(
                        "  bud-length: 1–12 cm\n  bud-hair: none",
                        path.Contains("Acer") ? "  bud-length: 1–12 cm\n  bud-hair: none" : "  bud-hair: none"
                    )
            );
        }
        return await Load();
    }

    private void Edit(string file, string from, string to)
    {
        var path = Path.Combine(folder, file);
        var text = File.ReadAllText(path);
        Assert.Contains(from, text);
        File.WriteAllText(path, text.Replace(from, to));
    }

    private async Task<Flora> Load()
    {
        await using var database = store.Open();
        return await new FloraLoader(database, SystemClock.Instance).Load(folder);
    }

    public void Dispose()
    {
        if (Directory.Exists(folder))
            Directory.Delete(folder, recursive: true);
    }
}
