using Microsoft.EntityFrameworkCore;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Store.Floras;
using Xunit;

namespace VerdantSieve.Store.Tests;

[Collection("flora")]
public class FloraLibraryTests(TestDatabase store)
{
    private static readonly CancellationToken Now = TestContext.Current.CancellationToken;

    [Fact]
    public async Task An_own_flora_is_kept_read_replaced_when_asked_taken_off_the_list_and_put_back()
    {
        await using var database = store.Open();
        var library = new FloraLibrary(database, SystemClock.Instance);
        var flora = await Own("own-beeches", "Fagus", "Castanea");
        Assert.Empty((await library.Keep(flora, replace: false, Now)).Faults);
        var read = (await library.Read("own-beeches"))!;
        Assert.Equal(flora.About.Title, read.About.Title);
        foreach (var (one, other) in flora.Taxa.Zip(read.Taxa))
            Assert.Equal(TaxonWriter.Write(one, flora.Vocabulary), TaxonWriter.Write(other, read.Vocabulary));

        Assert.Contains(
            "say that it takes its place",
            (await library.Keep(await Own("own-beeches", "Fagus"), replace: false, Now)).Faults[0].Message
        );
        Assert.Equal(flora.Taxa.Count, (await library.Read("own-beeches"))!.Taxa.Count);
        Assert.Empty((await library.Keep(await Own("own-beeches", "Fagus"), replace: true, Now)).Faults);
        Assert.All((await library.Read("own-beeches"))!.Taxa, taxon => Assert.Equal("Fagus", taxon.Name.Genus));
        var listed = Assert.Single(await library.List(), entry => entry.Id == "own-beeches");
        Assert.Equal((true, 2), (listed.IsOwn, listed.Taxa));

        Assert.True(await library.Remove("own-beeches"));
        Assert.DoesNotContain(await library.List(), entry => entry.Id == "own-beeches");
        Assert.Equal(2, Assert.Single(await library.List(removed: true), entry => entry.Id == "own-beeches").Taxa);
        // Looks made with it can still be opened.
        Assert.Equal(2, (await library.Read("own-beeches"))!.Taxa.Count);
        Assert.Contains("taken off the list already", (await library.Keep(flora, replace: false, Now)).Faults[0].Message);
        Assert.True(await library.Remove("own-beeches", removed: false));
        Assert.Contains(await library.List(), entry => entry.Id == "own-beeches");
        Assert.False(await library.Remove("own-nothing"));
    }

    [Fact]
    public async Task The_shipped_flora_is_neither_replaced_nor_removed()
    {
        await using var database = store.Open();
        var shipped = await new FloraLoader(database, SystemClock.Instance).Load(TestDatabase.FloraFolder);
        var library = new FloraLibrary(database, SystemClock.Instance);
        Assert.Contains(
            "is the id of the shipped flora",
            (await library.Keep(await Own(shipped.About.Id, "Fagus"), replace: true, Now)).Faults[0].Message
        );
        Assert.False(await library.Remove(shipped.About.Id));
        Assert.Equal(shipped.Taxa.Count, (await library.Read(shipped.About.Id))!.Taxa.Count);
        Assert.False((await library.List())[0].IsOwn);
    }

    [Fact]
    public async Task What_is_stopped_halfway_leaves_nothing_behind()
    {
        await using (var database = store.Open())
            await Assert.ThrowsAnyAsync<OperationCanceledException>(async () =>
                await new FloraLibrary(database, SystemClock.Instance).Keep(
                    await Own("own-stopped", "Fagus"),
                    replace: false,
                    new CancellationToken(canceled: true)
                )
            );
        // A name that stands twice is stopped at the gate.
        var beech = (await Own("own-broken", "Fagus")).Taxa[0];
        await using (var database = store.Open())
            Assert.Contains(
                "would share the address",
                (
                    await new FloraLibrary(database, SystemClock.Instance).Keep(
                        new Flora(new FloraAbout("own-broken", "Broken"), (await Own("own-broken", "Fagus")).Characters, [beech, beech]),
                        replace: false,
                        Now
                    )
                )
                    .Faults[0]
                    .Message
            );
        await using var after = store.Open();
        Assert.Equal(0, await after.Floras.CountAsync(flora => flora.Id == "own-stopped" || flora.Id == "own-broken", Now));
        Assert.Equal(0, await after.Taxa.CountAsync(taxon => taxon.FloraId == "own-stopped" || taxon.FloraId == "own-broken", Now));
    }

    private async Task<Flora> Own(string id, params string[] genera)
    {
        await using var database = store.Open();
        var shipped = await new FloraLoader(database, SystemClock.Instance).Load(TestDatabase.FloraFolder);
        return new Flora(
            shipped.About with
            {
                Id = id,
                Title = id,
                NearAlike = new Dictionary<string, string>(),
            },
            shipped.Characters,
            shipped.Taxa.Where(taxon => genera.Contains(taxon.Name.Genus))
        );
    }
}
