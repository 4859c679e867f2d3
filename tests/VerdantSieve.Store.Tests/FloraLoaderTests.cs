using Microsoft.EntityFrameworkCore;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Store.Demo;
using VerdantSieve.Store.Floras;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;
using Xunit;

namespace VerdantSieve.Store.Tests;

[Collection("flora")]
public class FloraLoaderTests(TestDatabase store) : IDisposable
{
    private readonly string folder = Path.Combine(Path.GetTempPath(), "flora-" + Guid.NewGuid().ToString("N"));

    [Fact]
    public async Task What_comes_from_the_database_is_what_stood_in_the_files()
    {
        Copy();
        await using var database = store.Open();
        var fromFiles = await new FloraLoader(database, SystemClock.Instance).Load(folder);
        await using var again = store.Open();
        var fromDatabase = await new FloraLoader(again, SystemClock.Instance).Load(folder);

        Assert.NotSame(fromFiles, fromDatabase);
        Assert.Equal(fromFiles.Characters.Select(c => c.Id), fromDatabase.Characters.Select(c => c.Id));
        Assert.Equal(fromFiles.Taxa.Select(t => t.Name), fromDatabase.Taxa.Select(t => t.Name));
        foreach (var (one, other) in fromFiles.Characters.Zip(fromDatabase.Characters))
        {
            Assert.Equal(
                (one.GetType(), one.Question, one.Phrase, one.Contact, one.Effort, one.Order, one.OnlyIf?.ToString()),
                (other.GetType(), other.Question, other.Phrase, other.Contact, other.Effort, other.Order, other.OnlyIf?.ToString())
            );
            Assert.Equal((one.Weight, one.Correlation, one.GardenForm), (other.Weight, other.Correlation, other.GardenForm));
            Assert.Equal(one.Formerly, other.Formerly);
            Assert.Equal((one as SeasonCharacter)?.InAutumn, (other as SeasonCharacter)?.InAutumn);
            if (one is StateCharacter side)
                Assert.Equal(
                    (side.OneSided, side.UsualFirst, side.Variety, side.Ordered),
                    (
                        ((StateCharacter)other).OneSided,
                        ((StateCharacter)other).UsualFirst,
                        ((StateCharacter)other).Variety,
                        ((StateCharacter)other).Ordered
                    )
                );
            if (one is StateCharacter states)
                Assert.Equal(states.Confusions, ((StateCharacter)other).Confusions);
        }
        Assert.Equal(fromFiles.About.Aggregates, fromDatabase.About.Aggregates);
        Assert.Equal(fromFiles.About.NearAlike, fromDatabase.About.NearAlike);
        Assert.NotEmpty(fromDatabase.About.Aggregates);
        foreach (var (one, other) in fromFiles.Taxa.Zip(fromDatabase.Taxa))
        {
            Assert.Equal(
                (one.Family, one.Authority, one.Abundance, one.Provenance, one.Remember),
                (other.Family, other.Authority, other.Abundance, other.Provenance, other.Remember)
            );
            Assert.Equal((one.Rank, one.Group, one.Aggregate), (other.Rank, other.Group, other.Aggregate));
            Assert.Equal(one.HybridOf, other.HybridOf);
            Assert.Equal(one.Hazards, other.Hazards);
            Assert.Equal(one.Doubles, other.Doubles);
            Assert.Equal(one.Distribution.Native, other.Distribution.Native);
            Assert.Equal(Scores(one, fromFiles), Scores(other, fromDatabase));
        }

        static IEnumerable<string> Scores(Taxon taxon, Flora flora) =>
            taxon
                .Scores.OrderBy(score => score.Key)
                .Select(score => $"{score.Key}: {ScoreNotation.Format(taxon, flora.Character(score.Key))}");
    }

    [Fact]
    public async Task A_changed_file_is_loaded_the_next_time()
    {
        Copy();
        await using var database = store.Open();
        await new FloraLoader(database, SystemClock.Instance).Load(folder);
        var file = Path.Combine(folder, "taxa", "Alnus", "rubra.yaml");
        await File.WriteAllTextAsync(
            file,
            (await File.ReadAllTextAsync(file)).Replace("common-names: [red alder,", "common-names: [red alder, river alder,")
        );
        var flora = await new FloraLoader(database, SystemClock.Instance).Load(folder);
        Assert.Contains("river alder", flora.FindTaxon("Alnus rubra")!.CommonNames);
        Assert.Contains("river alder", (await database.Taxa.AsNoTracking().SingleAsync(t => t.Name == "Alnus rubra")).Definition);
    }

    [Fact]
    public async Task A_faulty_file_is_refused_and_the_database_keeps_what_it_had()
    {
        Copy();
        await using var database = store.Open();
        await new FloraLoader(database, SystemClock.Instance).Load(folder);
        var before = await database.Scores.CountAsync();
        var file = Path.Combine(folder, "taxa", "Alnus", "rubra.yaml");
        await File.WriteAllTextAsync(file, (await File.ReadAllTextAsync(file)).Replace("arrangement: alternate", "arrangement: sideways"));
        var refused = await Assert.ThrowsAsync<FloraFaultException>(() => new FloraLoader(database, SystemClock.Instance).Load(folder));
        Assert.Contains("taxa/Alnus/rubra.yaml:", refused.Message);
        Assert.Contains("sideways", refused.Message);
        Assert.Equal(before, await database.Scores.CountAsync());
    }

    [Fact]
    public async Task The_demonstration_is_loaded_once_and_put_back_on_request_only()
    {
        await using var database = store.Open();
        var flora = await new FloraLoader(database, SystemClock.Instance).Load(TestDatabase.FloraFolder);
        var demo = new DemoLooks(database, flora);
        await demo.LoadOnce();
        await demo.LoadOnce();
        var book = new LookBook(database, SystemClock.Instance, new Reader([DemoReserve.Walker], null, ""));
        var looks = await database.Looks.CountAsync(look => look.IsDemo);
        Assert.True(looks >= 8);

        var settled = (await book.Find("lantern2"))!;
        Assert.Equal("Acer macrophyllum", settled.Content.Determined!.Name);
        Assert.Equal(TaxonRank.Group, (await book.Find("lantern6"))!.Content.Determined!.Rank);
        var own = await book.Start("temperate-trees", new LookContent { Place = "mine" });
        await book.Change("lantern2", "spoilt", c => c with { Readings = [] });
        await demo.LoadOnce();
        Assert.Empty((await book.Find("lantern2"))!.Content.Readings);
        await demo.Reset();
        Assert.Equal(settled.Content.Readings.Count, (await book.Find("lantern2"))!.Content.Readings.Count);
        Assert.Equal(looks, await database.Looks.CountAsync(look => look.IsDemo));
        Assert.NotNull(await book.Find(own.Id));
    }

    public void Dispose()
    {
        if (Directory.Exists(folder))
            Directory.Delete(folder, recursive: true);
    }

    private void Copy()
    {
        foreach (var path in Directory.EnumerateFiles(TestDatabase.FloraFolder, "*.yaml", SearchOption.AllDirectories))
        {
            var target = Path.Combine(folder, Path.GetRelativePath(TestDatabase.FloraFolder, path));
            Directory.CreateDirectory(Path.GetDirectoryName(target)!);
            File.Copy(path, target);
        }
    }
}
