using System.Globalization;
using System.Text.Json;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Bench;

/// <summary>How often the right plant comes out for plants that people described: one JSON object a line, or an object with
/// “cases”.</summary>
internal static class People
{
    // A kind lies in the 95 % set where those before it hold less than this of what the known kinds have.
    private const double InTheSet = 0.95;

    private static readonly JsonSerializerOptions Web = new(JsonSerializerDefaults.Web);

    public static int Run(IReadOnlyList<string> files, bool listed)
    {
        CultureInfo.CurrentCulture = CultureInfo.InvariantCulture;
        var flora = Shipped.Flora();
        var sieve = new Sieve(flora);
        foreach (var file in files)
            Print(
                Path.GetFileName(file),
                [.. Read(file).Where(plant => plant.IsIn(flora)).Select(plant => Judged.Of(plant, sieve))],
                listed
            );
        return 0;
    }

    private static IEnumerable<Described> Read(string file)
    {
        if (file.EndsWith(".json", StringComparison.Ordinal))
        {
            using var document = JsonDocument.Parse(File.ReadAllText(file));
            return [.. document.RootElement.GetProperty("cases").EnumerateArray().Select(one => one.Deserialize<Described>(Web)!)];
        }
        return [.. File.ReadLines(file).Where(line => line.Length > 0).Select(line => JsonSerializer.Deserialize<Described>(line, Web)!)];
    }

    private static void Print(string title, IReadOnlyList<Judged> all, bool listed)
    {
        Console.WriteLine($"{title}: {all.Count} plants\n");
        Console.WriteLine("| way | plants | first | three | 95 % set | bits | none of these | named | of these right |");
        Console.WriteLine("|---|---|---|---|---|---|---|---|---|");
        Row("all", all);
        foreach (var way in all.GroupBy(one => one.Plant.Way).Where(way => way.Count() < all.Count).OrderBy(way => way.Key))
            Row(way.Key, [.. way]);
        PrintLeaders(all);
        PrintHeld(all);
        foreach (var one in all.Where(one => listed && one.Place > 1))
            Console.WriteLine(
                $"{one.Plant.Taxon} ({one.Plant.Way}): {one.Place} at {one.Probability:0.000}, led by {one.LeaderName} {one.Leader:0.00}, "
                    + $"none of these {one.None:0.00}; bits for it against the leader: {one.Lead}"
            );
        Console.WriteLine();
    }

    private static void Row(string label, IReadOnlyList<Judged> part)
    {
        var named = part.Where(one => one.Named).ToArray();
        var bits = part.Average(one => -Math.Log2(Math.Max(one.Probability, 1e-9)));
        Console.WriteLine(
            $"| {label} | {part.Count} | {Percent(part, one => one.Place == 1)} | {Percent(part, one => one.Place <= 3)} | "
                + $"{Percent(part, one => one.InSet)} | {bits:0.00} | {part.Average(one => one.None):0.00} | "
                + $"{Percent(part, one => one.Named)} | {named.Count(one => one.NamedRight)} of {named.Length} |"
        );
    }

    // Whether what leads at so much is right as often.
    private static void PrintLeaders(IReadOnlyList<Judged> all)
    {
        Console.WriteLine("\n| leader at | plants | mean | right |\n|---|---|---|---|");
        foreach (var (low, high) in new[] { (0, 0.2), (0.2, 0.4), (0.4, 0.6), (0.6, 0.8), (0.8, 0.95), (0.95, 1.01) })
            if (all.Where(one => one.Leader >= low && one.Leader < high).ToArray() is { Length: > 0 } part)
                Console.WriteLine(
                    $"| {low:0.00}–{Math.Min(high, 1):0.00} | {part.Length} | {part.Average(one => one.Leader):0.00} | "
                        + $"{Percent(part, one => one.Place == 1)} |"
                );
    }

    // How often the right kind is held, by character; those read only a few times last.
    private static void PrintHeld(IReadOnlyList<Judged> all)
    {
        Console.WriteLine("\n| character | read | held |\n|---|---|---|");
        var held = all.Where(one => one.Right is not null)
            .SelectMany(one => one.Plant.Readings.Select(raw => (Character: raw.Character!, one.Right!.Held)))
            .GroupBy(pair => pair.Character, pair => pair.Held)
            .Select(group => (Character: group.Key, Read: group.Count(), Held: group.Count(list => list.Contains(group.Key))))
            .Where(row => row.Held > 0)
            .OrderByDescending(row => row.Held / (double)Math.Max(row.Read, SeldomRead));
        foreach (var (character, read, times) in held)
            Console.WriteLine($"| {character} | {read} | {100.0 * times / read:0} % |");
    }

    private const int SeldomRead = 8;

    private static string Percent(IReadOnlyList<Judged> part, Func<Judged, bool> holds) => $"{100.0 * part.Count(holds) / part.Count:0} %";

    /// <summary>A plant as somebody described it.</summary>
    private sealed record Described
    {
        public required string Taxon { get; init; }
        public IReadOnlyList<string> Accept { get; init; } = [];
        public string? Rank { get; init; }
        public string Way { get; init; } = "practitioner";
        public string? Region { get; init; }
        public int? Month { get; init; }
        public string? Setting { get; init; }
        public string? Age { get; init; }
        public IReadOnlyList<RawReading> Readings { get; init; } = [];

        public bool ToGenus => Rank == "genus";

        public IEnumerable<string> Names => Accept.Append(Taxon);

        public bool IsIn(Flora flora) =>
            Names.Any(name => flora.FindTaxon(name) is { } taxon && ScientificName.Fold(taxon.Name.Text) == ScientificName.Fold(name))
            || (ToGenus && Names.Any(name => flora.Taxa.Any(taxon => taxon.Name.Genus == name.Split(' ')[0])));

        public SieveQuestion Question(Flora flora) =>
            new()
            {
                Circumstances = CircumstancesDesk
                    .Check(
                        new RawCircumstances
                        {
                            Region = Region,
                            Date = Month is { } month ? $"2026-{month:00}-15" : null,
                            Setting = Setting,
                            Age = Age is "young" or "grown" ? Age : null,
                        }
                    )
                    .Value,
                Readings = [.. Readings.Select(raw => ReadingDesk.Check(Plain(raw), flora).Value)],
            };

        // A described range stands for one typical value.
        private static RawReading Plain(RawReading raw) => raw.Value is null ? raw : raw with { Low = null, High = null };
    }

    /// <summary>How a described plant fared.</summary>
    private sealed record Judged(
        Described Plant,
        int Place,
        double Probability,
        double Leader,
        string LeaderName,
        bool InSet,
        double None,
        bool Named,
        bool NamedRight,
        Candidate? Right,
        string Lead
    )
    {
        public static Judged Of(Described plant, Sieve sieve)
        {
            var question = plant.Question(sieve.Flora);
            var answer = sieve.Ask(question);
            string Key(string name) => plant.ToGenus ? name.Split(' ')[0] : ScientificName.Fold(name);
            var right = plant.Names.Select(Key).ToHashSet();
            var shares = answer
                .Candidates.GroupBy(candidate => Key(candidate.Taxon.Name.Text), candidate => candidate.Probability)
                .Select(g => (Name: g.Key, Sum: g.Sum()))
                .OrderByDescending(g => g.Sum)
                .ToArray();
            var place = Array.FindIndex(shares, share => right.Contains(share.Name)) + 1;
            var before = shares.Take(Math.Max(0, place - 1)).Sum(share => share.Sum);
            var said = answer.Determination;
            var named = said.Rank is TaxonRank.Species or TaxonRank.Variety;
            return new Judged(
                plant,
                place == 0 ? 999 : place,
                shares.Where(share => right.Contains(share.Name)).Sum(share => share.Sum),
                shares[0].Sum,
                shares[0].Name,
                place > 0 && before < InTheSet * shares.Sum(share => share.Sum),
                answer.NoneOfThese,
                named,
                named && right.Contains(Key(said.Name)),
                answer.Candidates.FirstOrDefault(candidate => right.Contains(Key(candidate.Taxon.Name.Text))),
                answer.Candidates.FirstOrDefault(candidate => right.Contains(Key(candidate.Taxon.Name.Text))) is { } held
                    ? LeadOf(held.Taxon, answer.Candidates[0].Taxon, question, sieve)
                    : ""
            );
        }

        // What each reading says for one taxon against another, what speaks against it first.
        private static string LeadOf(Taxon one, Taxon other, SieveQuestion question, Sieve sieve) =>
            string.Join(
                ", ",
                sieve
                    .Bearings(one, question)
                    .Zip(sieve.Bearings(other, question), (a, b) => (a.Reading, Bits: a.Bits - b.Bits))
                    .OrderBy(pair => pair.Bits)
                    .Select(pair => $"{Wording.Of(pair.Reading, sieve.Flora)} {pair.Bits:0.0}")
            );
    }
}
