using Microsoft.EntityFrameworkCore;
using VerdantSieve.Core.Botany;
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
            var changed = await new RevisionBook(database).Keep(flora, Longer(flora), "Pim", "measured");
            Assert.Equal(edition + 1, changed.About.Edition);
        }
        var again = await Load();
        Assert.Equal((edition + 1, 20.0), (again.About.Edition, High(again)));
        await using (var database = store.Open())
        {
            var book = new RevisionBook(database);
            var kept = Assert.Single(await book.List(id));
            Assert.Equal(("Pim", "measured", edition + 1), (kept.Who, kept.Why, kept.Edition));
            Assert.Single(await new FloraLoader(database).AheadOfFiles(folder, again));
            var (back, problem) = await book.Undo(again, kept.Id, "Wren");
            Assert.Null(problem);
            Assert.Equal((edition + 2, 12.0), (back!.About.Edition, High(back)));
            Assert.Equal("That change has been taken back already.", (await book.Undo(back, kept.Id, "Wren")).Problem);
            Assert.Empty(await new FloraLoader(database).AheadOfFiles(folder, back));
        }
        Assert.Equal(12, High(await Load()));
    }

    [Fact]
    public async Task Two_curators_at_once_do_not_overwrite_each_other()
    {
        var flora = await Begin();
        await using var database = store.Open();
        var book = new RevisionBook(database);
        await book.Keep(flora, Longer(flora), "Pim", "first");
        var late = await Assert.ThrowsAsync<StaleEditionException>(() => book.Keep(flora, Longer(flora), "Wren", "second"));
        Assert.Contains("has been changed since", late.Message);
        Assert.Single(await book.List(id));
    }

    [Fact]
    public async Task A_later_change_must_be_taken_back_first()
    {
        var flora = await Begin();
        await using var database = store.Open();
        var book = new RevisionBook(database);
        var once = await book.Keep(flora, Longer(flora), "Pim", "first");
        var twice = await book.Keep(once, once.FindTaxon("Acer macrophyllum")! with { Remember = "Changed again." }, "Pim", "second");
        var first = (await book.List(id)).Last();
        Assert.Contains("Take back the later change first", (await book.Undo(twice, first.Id, "Pim")).Problem);
    }

    [Fact]
    public async Task A_change_outlives_new_files_that_leave_its_taxon_alone()
    {
        var flora = await Begin();
        await using (var database = store.Open()) await new RevisionBook(database).Keep(flora, Longer(flora), "Pim", "measured");
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
        await using (var database = store.Open()) await new RevisionBook(database).Keep(flora, Longer(flora), "Pim", "measured");
        Edit("taxa/Acer/macrophyllum.yaml", "abundance: common", "abundance: scarce");
        var after = await Load();
        Assert.Equal((12, Abundance.Scarce), ((int)High(after), after.FindTaxon("Acer macrophyllum")!.Abundance));
        await using var again = store.Open();
        var newest = (await new RevisionBook(again).List(id))[0];
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
        await using (var database = store.Open()) changed = await new RevisionBook(database).Keep(flora, Longer(flora), "Pim", "measured");
        File.WriteAllText(Path.Combine(folder, "taxa/Acer/macrophyllum.yaml"), TaxonWriter.Write(changed.FindTaxon("Acer macrophyllum")!, changed.Characters));
        var after = await Load();
        Assert.Equal(20, High(after));
        await using var again = store.Open();
        Assert.Empty(await new FloraLoader(again).AheadOfFiles(folder, after));
        Assert.Single(await new RevisionBook(again).List(id));
    }

    private static double High(Flora flora) => ((RangeScore)flora.FindTaxon("Acer macrophyllum")!.Scores["bud-length"]).High;

    private static Taxon Longer(Flora flora)
    {
        var maple = flora.FindTaxon("Acer macrophyllum")!;
        return maple with { Scores = new Dictionary<string, Score>(maple.Scores) { ["bud-length"] = new RangeScore(null, 1, 20, null) } };
    }

    private async Task<Flora> Begin()
    {
        foreach (var path in new[] { "flora.yaml", "characters.yaml", "taxa/Acer/macrophyllum.yaml", "taxa/Quercus/garryana.yaml" })
        {
            var target = Path.Combine(folder, path);
            Directory.CreateDirectory(Path.GetDirectoryName(target)!);
            var text = File.ReadAllText(Path.Combine(TestDatabase.FloraFolder, path));
            if (path == "flora.yaml") text = text.Replace("id: temperate-trees", $"id: {id}")[..text.Replace("id: temperate-trees", $"id: {id}").IndexOf("near-alike:", StringComparison.Ordinal)];
            // Each flora of these tests has a fingerprint of its own.
            File.WriteAllText(target, text.Replace("  bud-hair: none", "  bud-length: 1–12 cm\n  bud-hair: none").Replace("  bud-length: 1–12 cm\n  bud-hair: none", path.Contains("Acer") ? "  bud-length: 1–12 cm\n  bud-hair: none" : "  bud-hair: none"));
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
        return await new FloraLoader(database).Load(folder);
    }

    public void Dispose()
    {
        if (Directory.Exists(folder)) Directory.Delete(folder, recursive: true);
    }
}
