using System.Diagnostics;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Practising;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Bench;

/// <summary>What practice is worth to made-up learners, how records to name fare, and what a set costs.</summary>
internal static class Practice
{
    private const int Learners = 200,
        Records = 300;

    /// <summary>Prints the tables.</summary>
    public static int Run()
    {
        Remembered();
        var flora = Shipped.Flora();
        var sieve = new Sieve(flora);
        Named(flora, sieve);
        Costs(flora, sieve);
        return 0;
    }

    private static void Remembered()
    {
        Console.WriteLine("| cards | a day | days | remembered at the end: scheduled | in any order |");
        Console.WriteLine("|---|---|---|---|---|");
        foreach (var (cards, aDay, days) in new[] { (60, 10, 90), (120, 12, 60), (120, 20, 60), (200, 20, 45), (200, 40, 90) })
        {
            var trial = new LearnerTrial(cards, aDay, days);
            double Mean(CardOrder order) => Enumerable.Range(0, Learners).Average(seed => trial.Remembered(order, seed));
            Console.WriteLine($"| {cards} | {aDay} | {days} | {Mean(CardOrder.Scheduled):P0} | {Mean(CardOrder.AnyOrder):P0} |");
        }
    }

    private static void Named(Flora flora, Sieve sieve)
    {
        Console.WriteLine("| records of | can be named | looks the sieve asks for | effort |");
        Console.WriteLine("|---|---|---|---|");
        foreach (var country in new[] { "ORE", "OHI", "GRB" })
        {
            var random = new Random(1);
            Taxon[] native = [.. flora.Taxa.Where(taxon => taxon.Distribution.Native.Contains(country))];
            PlantRecord[] records =
            [
                .. Enumerable
                    .Range(0, Records)
                    .Select(_ => new PlantRecord(sieve, native[random.Next(native.Length)], country, random.Next())),
            ];
            PlantRecord[] told = [.. records.Where(record => record.CanBeTold)];
            var asked = told.Select(record => record.SieveAsks()).ToArray();
            Console.WriteLine(
                $"| {country} | {(double)told.Length / Records:P0} | {asked.Average(looks => looks.Count):0.0} | "
                    + $"{asked.Average(looks => looks.Sum(look => look.Effort)):0.0} |"
            );
        }
    }

    private static void Costs(Flora flora, Sieve sieve)
    {
        var drawn = new DrawnVocabulary(flora.Vocabulary, flora.Vocabulary);
        Taxon[] pool = [.. flora.Taxa.Where(taxon => taxon.Distribution.Includes("OHI"))];
        var maker = new SetMaker(new Poser(sieve, drawn));
        var wish = new SetWish(pool, Enum.GetValues<ExerciseKind>(), "OHI");
        for (var time = 0; time < 3; time++)
        {
            var clock = Stopwatch.StartNew();
            var made = maker.Make(wish, new Dictionary<string, Repetition>(), new LocalDate(2026, 6, 1), 20, time);
            Console.WriteLine($"A set of {made.Count} of {pool.Length} kinds: {clock.ElapsedMilliseconds} ms");
        }
    }
}
