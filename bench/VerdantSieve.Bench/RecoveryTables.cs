using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Simulating;
using VerdantSieve.Core.Tests.Reference;

namespace VerdantSieve.Bench;

/// <summary>The tables of docs/method.md: how often the right kind comes out, with so many readings wrong and so many missing.</summary>
internal static class RecoveryTables
{
    private static readonly double[] Errors = [0, 0.05, 0.1, 0.2],
        Missing = [0, 0.3, 0.6];

    /// <summary>Prints one table, or all of them.</summary>
    public static int Run(int plants, string? only)
    {
        var flora = Shipped.Flora();
        var tables = new (string Name, Action Print)[]
        {
            ("soybean", Soybean),
            ("shipped", () => ShippedFlora(flora, plants)),
            ("strategies", () => Strategies(flora, plants)),
            ("calibration", () => Calibration(flora, plants, null)),
            ("people", () => Calibration(flora, plants, SieveModel.Standard)),
            ("strangers", () => Strangers(flora, plants)),
        };
        foreach (var (_, print) in tables.Where(table => only is null || table.Name == only))
            print();
        return 0;
    }

    // The counted plants themselves, each sieved by a flora made from the other four fifths.
    private static void Soybean()
    {
        var data = new SoybeanData(
            File.ReadAllText(Path.Combine(Shipped.Root, "tests", "VerdantSieve.Core.Tests", "Reference", "soybean.csv"))
        );
        var random = new Random(1);
        var folds = Enumerable
            .Range(0, 5)
            .Select(fold => new Sieve(data.Flora(data.Plants.Where((_, i) => i % 5 != fold), added: 0)))
            .ToArray();
        Head("Soybean: 683 plants of 19 diseases, five-fold, all that is known of each plant read");
        Cells(
            (errs, misses) =>
                data.Plants.Select(
                    (plant, i) =>
                    {
                        var sieve = folds[i % 5];
                        var readings = plant
                            .Shown.Where(_ => random.NextDouble() >= misses)
                            .Select(pair => new Reading(
                                pair.Key,
                                new StatesSeen([Misread(data, pair.Key, pair.Value, errs, random)], StateMode.Is),
                                Certainty.Fair
                            ));
                        var taxon = sieve.Flora.Taxa.First(t => t.CommonName == plant.Disease);
                        return new LookResult(
                            taxon,
                            plant.Shown.Count,
                            plant.Shown.Count,
                            sieve.Ask(new SieveQuestion { Readings = [.. readings] }),
                            new Dictionary<string, bool>()
                        );
                    }
                )
        );
    }

    private static string Misread(SoybeanData data, string character, string state, double errs, Random random)
    {
        if (random.NextDouble() >= errs)
            return state;
        var others = data.Characters.First(c => c.Id == character).States.Where(s => s.Id != state).ToArray();
        return others.Length == 0 ? state : others[random.Next(others.Length)].Id;
    }

    private static void ShippedFlora(Flora flora, int plants)
    {
        var recovery = new Recovery(new Sieve(flora), flora);
        Head($"The shipped flora: {flora.Taxa.Count} taxa × {plants} plants, ten readings as the next look proposes them");
        Cells(
            (errs, misses) =>
                flora.Taxa.SelectMany(taxon =>
                    Enumerable
                        .Range(0, plants)
                        .Select(i => recovery.Look(taxon, 10, errs, misses, Strategy.NextLook, Seeded(taxon, i)))
                        .ToArray()
                )
        );
    }

    private static void Strategies(Flora flora, int plants)
    {
        const int most = 40;
        var recovery = new Recovery(new Sieve(flora), flora);
        Console.WriteLine(
            $"\nReadings until a kind has 95 %, 10 % wrong; {most} where it never comes to that; log2 of {flora.Taxa.Count} "
                + $"kinds is {Math.Log2(flora.Taxa.Count):0.0} bits\n"
        );
        Console.WriteLine("| Order of looks | mean readings | mean effort | reached | of these right |\n|---|---|---|---|---|");
        foreach (var strategy in Enum.GetValues<Strategy>())
        {
            var looks = flora
                .Taxa.SelectMany(taxon =>
                    Enumerable
                        .Range(0, Math.Max(1, plants / 4))
                        .Select(i => recovery.Look(taxon, most, 0.1, 0, strategy, Seeded(taxon, i), LeadsAt95))
                )
                .ToArray();
            var reached = looks.Where(look => LeadsAt95(look.Answer)).ToArray();
            Console.WriteLine(
                $"| {strategy} | "
                    + $"{looks.Average(look => look.Answer.Candidates[0].Probability >= 0.95 ? look.Readings : most):0.0} | "
                    + $"{looks.Average(look => look.Effort):0.0} | {Share(reached.Length, looks.Length)} | "
                    + $"{Share(reached.Count(look => look.Place == 1), reached.Length)} |"
            );
        }
    }

    // Another variety of the same species, or the other kind of an aggregate, would be no wrong name; a hybrid lies between its parents.
    private static IEnumerable<Taxon> CanBeMissed(Flora flora) =>
        flora.Taxa.Where(taxon => taxon.HybridOf.Count == 0 && taxon.Aggregate is null && taxon.Rank == TaxonRank.Species);

    private static Random Seeded(Taxon taxon, int plant) =>
        new(taxon.Name.Text.Aggregate(plant * 7919, (seed, letter) => unchecked(seed * 31 + letter)));

    // The world as the sieve takes it to be: so many of the plants are of kinds it does not know, here a taxon left out.
    private static void Calibration(Flora flora, int plants, SieveModel? people)
    {
        var whole = new Recovery(new Sieve(flora), flora, people);
        // Made when it is needed and let go again: one for each taxon at a time would fill the machine.
        Recovery Without(Taxon left) =>
            new(new Sieve(new Flora(flora.About, flora.Characters, flora.Taxa.Where(taxon => taxon != left))), flora, people);
        Console.WriteLine(
            $"\nSpecies named at 95 %, with ten readings and with twenty; {SieveModel.Standard.Strangers:0 %} of plants are of kinds that "
                + $"are not in the flora{(people is null ? "" : "; words as loose and scores as short as the vocabulary says")}\n\n"
                + "| Observers err | readings | named | mean chance stated | right | calibration error of the leader |\n"
                + "|---|---|---|---|---|---|"
        );
        foreach (var errs in new[] { 0.05, 0.1, 0.2 })
            foreach (var readings in new[] { 10, 20 })
            {
                var looks = CanBeMissed(flora)
                    .SelectMany(taxon =>
                        Enumerable
                            .Range(0, plants)
                            .Select(i =>
                            {
                                var random = Seeded(taxon, i);
                                return (random.NextDouble() < SieveModel.Standard.Strangers ? Without(taxon) : whole).Look(
                                    taxon,
                                    readings,
                                    errs,
                                    0.1,
                                    Strategy.NextLook,
                                    random,
                                    IsNamed
                                );
                            })
                    )
                    .ToArray();
                var named = looks.Where(look => IsNamed(look.Answer)).ToArray();
                Console.WriteLine(
                    $"| {errs:0 %} | {readings} | {Share(named.Length, looks.Length)} | "
                        + $"{named.Average(look => look.Answer.Determination.Probability):0.000} | "
                        + $"{Share(named.Count(Right), named.Length)} | {CalibrationError(looks):0.000} |"
                );
            }
    }

    // Nobody goes on once the kind is named.
    private static bool IsNamed(SieveAnswer answer) => answer.Determination.Rank is TaxonRank.Species or TaxonRank.Variety;

    private static bool LeadsAt95(SieveAnswer answer) => answer.Candidates[0].Probability >= 0.95;

    private static void Strangers(Flora flora, int plants)
    {
        var (safe, total) = (0, 0);
        foreach (var left in CanBeMissed(flora))
        {
            var without = new Flora(flora.About, flora.Characters, flora.Taxa.Where(taxon => taxon != left));
            var recovery = new Recovery(new Sieve(without), flora);
            for (var i = 0; i < Math.Max(1, plants / 4); i++)
            {
                var said = recovery.Look(left, 10, 0.1, 0, Strategy.NextLook, Seeded(left, i)).Answer;
                total++;
                if (!IsNamed(said))
                    safe++;
            }
        }
        Console.WriteLine(
            "\nA plant that is not in the flora (each taxon left out in turn, ten readings, 10 % wrong): not named as a species "
                + $"in {Share(safe, total)}"
        );
    }

    /// <summary>Whether what was determined holds for the plant.</summary>
    public static bool Right(LookResult look)
    {
        var (said, plant) = (look.Answer.Determination, look.Plant);
        return said.Rank switch
        {
            TaxonRank.Genus => plant.Name.Genus == said.Name,
            TaxonRank.Family => plant.Family == said.Name,
            TaxonRank.Group => plant.Group == said.Name,
            TaxonRank.Aggregate => plant.Aggregate == said.Name,
            TaxonRank.Species => plant.Name.Species.Text == said.Name || plant.Name.Text == said.Name,
            _ => plant.Name.Text == said.Name,
        };
    }

    /// <summary>The mean distance between the leader's chance and how often leaders of such a chance are right, over ten bins (Naeini et
    /// al. 2015).</summary>
    public static double CalibrationError(IReadOnlyList<LookResult> looks) =>
        looks
            .GroupBy(look => Math.Min(9, (int)(look.Answer.Candidates[0].Probability * 10)))
            .Sum(bin =>
                Math.Abs(bin.Average(look => look.Answer.Candidates[0].Probability) - bin.Average(look => look.Place == 1 ? 1.0 : 0))
                * bin.Count()
                / looks.Count
            );

    private static void Head(string title) =>
        Console.WriteLine(
            $"\n{title}\n\n| wrong | missing | weigh: first | first three | 95 % set | strict, 1 disagreement: first | first three | in "
                + "the pan | strict, none: first | first three | in the pan |\n|---|---|---|---|---|---|---|---|---|---|---|"
        );

    private static void Cells(Func<double, double, IEnumerable<LookResult>> cell)
    {
        foreach (var errs in Errors)
            foreach (var misses in Missing)
            {
                var looks = cell(errs, misses).ToArray();
                string Of(Func<LookResult, double> value) => $"{100 * looks.Average(value):0} %";
                Console.WriteLine(
                    $"| {errs:0 %} | {misses:0 %} | {Of(l => l.Place == 1 ? 1 : 0)} | {Of(l => l.Place <= 3 ? 1 : 0)} | "
                        + $"{Of(l => l.InSet ? 1 : 0)} | "
                        + string.Join(
                            " | ",
                            new[] { 1, 0 }.Select(slips =>
                                $"{Of(l => l.Strictly(slips).Within(1))} | {Of(l => l.Strictly(slips).Within(3))} | "
                                + $"{Of(l => l.Strictly(slips).InPan ? 1 : 0)}"
                            )
                        )
                        + " |"
                );
            }
    }

    private static string Share(int part, int whole) => $"{100.0 * part / Math.Max(1, whole):0.0} %";
}
