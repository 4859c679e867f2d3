using System.Diagnostics;
using Microsoft.EntityFrameworkCore;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Formats.Exchange;
using VerdantSieve.Store;
using VerdantSieve.Store.Floras;

namespace VerdantSieve.Bench;

/// <summary>What it takes to write a large flora as a data package, to read it again with all its checks, and to keep it in the database
/// that
/// VERDANT_DATABASE names. Printed as seconds.</summary>
internal static class Exchange
{
    public static async Task<int> Run(int taxa)
    {
        var flora = Large(Shipped.Flora(), taxa);
        using var package = new MemoryStream();
        var write = Time(() => new DataPackage().Write(flora, package));
        var asked = new FloraFileRequest("bench.zip");
        Outcome<Flora>? reading = null;
        var read = Time(() => reading = new DataPackage().Read(package, asked));
        var keep = double.NaN;
        if (Environment.GetEnvironmentVariable("VERDANT_DATABASE") is { Length: > 0 } connection)
        {
            var options = new DbContextOptionsBuilder<SieveContext>();
            SieveContext.Configure(options, connection);
            await using var database = new SieveContext(options.Options);
            await database.Database.MigrateAsync();
            var library = new FloraLibrary(database, NodaTime.SystemClock.Instance);
            var clock = Stopwatch.StartNew();
            await library.Keep(reading!.Value, replace: true);
            keep = clock.Elapsed.TotalSeconds;
            await library.Remove(flora.About.Id);
        }
        Console.WriteLine(
            FormattableString.Invariant($"{flora.Taxa.Count} taxa × {flora.Taxa[0].Scores.Count} scores, {package.Length / 1024} kB: ")
                + FormattableString.Invariant($"written {write:0.0} s, read {read:0.0} s, kept {keep:0.0} s")
        );
        return 0;
    }

    // Taxa of a hundred scores each, made from the shipped vocabulary.
    private static Flora Large(Flora shipped, int taxa)
    {
        var scored = shipped
            .Taxa.SelectMany(taxon => taxon.Scores)
            .GroupBy(score => score.Key)
            .ToDictionary(group => group.Key, group => group.Select(score => score.Value).Distinct().Take(40).ToArray());
        string[] usable =
        [
            .. shipped
                .Characters.Where(character =>
                    character.OnlyIf is null or { IsPresence: true }
                    || character.OnlyIf.CharacterId is "foliage" or "structure" or "lobing" or "fruit-type"
                )
                .Select(character => character.Id)
                .Where(scored.ContainsKey),
        ];
        return new Flora(
            shipped.About with
            {
                Id = "bench-large",
                NearAlike = new Dictionary<string, string>(),
            },
            [.. shipped.Characters.Select(character => character with { OnlyIf = null })],
            Enumerable
                .Range(0, taxa)
                .Select(n => new Taxon(new ScientificName($"Genus{n / 10} species{n}"))
                {
                    Authority = "Made up",
                    Family = "Madeupaceae",
                    CommonNames = [$"plant {n}"],
                    Distribution = new Distribution(["ORE"], []),
                    Settings = [Setting.Wild],
                    Provenance = "made up for the bench",
                    OwnScores = usable.Take(100).ToDictionary(id => id, id => scored[id][n % scored[id].Length]),
                })
        );
    }

    private static double Time(Action action)
    {
        var clock = Stopwatch.StartNew();
        action();
        return clock.Elapsed.TotalSeconds;
    }
}
