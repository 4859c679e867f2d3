using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>The multi-access key over one flora: readings in, an answer out. Pure, and safe to share between threads.</summary>
/// <remarks>The formulas and their sources are in docs/method.md.</remarks>
public sealed class Sieve
{
    // Below this a kind is as good as excluded: it is not warned of, not counted as returning.
    private const double Possible = 0.01;

    private readonly SieveTable table;

    /// <summary>Makes the flora ready; done once when it is loaded.</summary>
    public Sieve(Flora flora) => table = new SieveTable(flora);

    /// <summary>The flora sieved.</summary>
    public Flora Flora => table.Flora;

    /// <summary>Answers a question.</summary>
    public SieveAnswer Ask(SieveQuestion question)
    {
        var calendar = Calendar.From(question.Circumstances, Flora);
        // In the vocabulary's own order, so that sums come out the same to the last bit whatever order things were read in.
        var readings = question.Readings.Where(reading => reading.Tells)
            .OrderBy(reading => Flora.Character(reading.Character).Order).ToArray();
        var readCharacters = readings.Select(reading => reading.Character).ToHashSet();
        var evidence = readings.Select(reading => table.Evidence(reading, readCharacters, calendar)).ToArray();

        var logPrior = LogPrior(question.Circumstances);
        var posterior = Posterior(logPrior, evidence, without: -1);
        var held = Held(readings, calendar);
        var candidates = Enumerable.Range(0, table.Taxa)
            .Select(t => new Candidate(Flora.Taxa[t], posterior[t], held[t], held[t].Count <= question.Slips)).ToArray();
        var doubts = readings
            .Select((reading, r) => DoubtOf(reading, r, logPrior, evidence, posterior, held, question.Slips))
            .OrderByDescending(doubt => doubt.SlipChance).ToArray();

        var weights = question.School == School.Weigh ? posterior : Even(candidates);
        var looks = NextLooks(weights, posterior, question.Readings.Select(reading => reading.Character).ToHashSet(), readCharacters, calendar);
        Candidate[] ordered = question.School == School.Weigh
            ? [.. candidates.OrderByDescending(c => c.Probability)]
            : [.. candidates.OrderByDescending(c => c.Passes).ThenBy(c => c.Held.Count).ThenByDescending(c => c.Probability)];
        var none = posterior[table.NoneOfThese];
        return new SieveAnswer
        {
            Question = question,
            Candidates = ordered,
            NoneOfThese = none,
            NextLooks = looks,
            Doubts = doubts,
            Hazards = Hazards(candidates, readings.Length),
            Ranking = Ranking(candidates),
            Determination = Determiner.Determine(Flora, question, ordered, none, looks, doubts)
        };
    }

    /// <summary>How one reading bears on one taxon: the log, base 2, of how much likelier the taxon makes it than the flora at
    /// large does. Above 0 speaks for the taxon, below 0 against it.</summary>
    public IReadOnlyList<ReadingBearing> Bearings(Taxon taxon, SieveQuestion question)
    {
        var calendar = Calendar.From(question.Circumstances, Flora);
        var row = table.RowOf(taxon);
        var readings = question.Readings.Where(reading => reading.Tells).ToArray();
        var readCharacters = readings.Select(reading => reading.Character).ToHashSet();
        return [.. readings.Select(reading =>
        {
            var total = table.Evidence(reading, readCharacters, calendar).Total;
            var bits = Math.Log2(total[row] / total[table.NoneOfThese]);
            return new ReadingBearing(reading, StandingOf(row, reading, calendar), bits);
        })];
    }

    /// <summary>The characters that separate a few taxa, by bits per effort; those that part nothing last.</summary>
    /// <param name="taxa">2 to 8 taxa of this flora.</param>
    /// <param name="circumstances">The date decides which flowers and fruit can be seen.</param>
    public IReadOnlyList<Separation> TellApart(IReadOnlyList<Taxon> taxa, Circumstances circumstances)
    {
        var calendar = Calendar.From(circumstances, Flora);
        var rows = taxa.Select(taxon => table.RowOf(taxon)).ToArray();
        var weights = new double[table.Rows];
        foreach (var row in rows) weights[row] = 1.0 / rows.Length;
        return
        [
            .. Flora.Characters
                .Where(character => rows.Count(row => table[character.Id].Scores[row] is not null) > 0)
                .Select(character =>
                {
                    var column = table[character.Id];
                    var known = rows.All(row => column.Scores[row] is not null || !SieveTable.Applicable(row, column));
                    var bits = known ? column.Foresee(calendar).Bits(weights) : 0;
                    return new Separation(character, bits, [.. rows.Select(row => column.Scores[row])], [.. rows.Select(row => SieveTable.Applicable(row, column))]);
                })
                .OrderByDescending(s => s.Bits / s.Character.Effort).ThenBy(s => s.Character.Order)
        ];
    }

    private double[] LogPrior(Circumstances circumstances)
    {
        var weights = Flora.Taxa.Select(taxon => Prior.Weight(taxon, circumstances)).ToArray();
        var sum = weights.Sum();
        return [.. weights.Select(weight => Math.Log(weight / sum * (1 - Prior.NoneOfThese))), Math.Log(Prior.NoneOfThese)];
    }

    private static double[] Posterior(double[] logPrior, Likelihood[] evidence, int without)
    {
        var posterior = (double[])logPrior.Clone();
        for (var r = 0; r < evidence.Length; r++)
        {
            if (r == without) continue;
            for (var row = 0; row < posterior.Length; row++) posterior[row] += Math.Log(evidence[r].Total[row]);
        }
        var best = posterior.Max();
        var sum = 0.0;
        for (var row = 0; row < posterior.Length; row++) sum += posterior[row] = Math.Exp(posterior[row] - best);
        for (var row = 0; row < posterior.Length; row++) posterior[row] /= sum;
        return posterior;
    }

    private List<string>[] Held(Reading[] readings, Calendar calendar)
    {
        var held = new List<string>[table.Taxa];
        for (var t = 0; t < held.Length; t++)
            held[t] = [.. readings.Where(reading => table.Holds(t, reading, calendar)).Select(reading => reading.Character)];
        return held;
    }

    private double[] Even(Candidate[] candidates)
    {
        var passing = candidates.Count(c => c.Passes);
        return [.. candidates.Select(c => c.Passes ? 1.0 / passing : 0), passing == 0 ? 1 : 0];
    }

    private Doubt DoubtOf(Reading reading, int r, double[] logPrior, Likelihood[] evidence, double[] posterior, List<string>[] held, int slips)
    {
        var slipChance = 0.0;
        for (var row = 0; row < posterior.Length; row++)
            slipChance += posterior[row] * Math.Clamp(1 - evidence[r].Fitting[row] / evidence[r].Total[row], 0, 1);
        if (slipChance < Doubt.Threshold / 2) return new Doubt(reading, slipChance, []);
        var without = Posterior(logPrior, evidence, r);
        var back = Enumerable.Range(0, table.Taxa)
            .Where(t => (without[t] >= 5 * Possible && posterior[t] < Possible) || (held[t].Count == slips + 1 && held[t].Contains(reading.Character)))
            .OrderByDescending(t => without[t]).Select(t => Flora.Taxa[t]).ToArray();
        return new Doubt(reading, slipChance, back);
    }

    private NextLook[] NextLooks(double[] weights, double[] posterior, HashSet<string> asked, HashSet<string> readCharacters, Calendar calendar)
    {
        var open = (double[])weights.Clone();
        open[table.NoneOfThese] = 0;
        var sum = open.Sum();
        if (sum <= 0) return [];
        for (var row = 0; row < open.Length; row++) open[row] /= sum;
        var entropy = Information.Entropy(open);
        var hurting = Enumerable.Range(0, table.Taxa).Where(t => posterior[t] > Possible && Flora.Taxa[t].HurtsOnTouch)
            .OrderByDescending(t => posterior[t]).Select(t => Flora.Taxa[t]).FirstOrDefault();

        return
        [
            .. Flora.Characters.Where(character => !asked.Contains(character.Id))
                .Select(character => Look(character)).OfType<NextLook>()
                .OrderBy(look => look.HeldBack is not null).ThenByDescending(look => Math.Round(look.Worth, 3)).ThenBy(look => look.Character.Order)
        ];

        NextLook? Look(Character character)
        {
            var column = table[character.Id];
            if (character is SeasonCharacter && calendar.DayOfYear is null) return null;
            var readable = table.Readable(character, readCharacters, calendar);
            double chance = 0;
            for (var row = 0; row < open.Length; row++) chance += open[row] * readable[row];
            // A question that most of the open kinds cannot answer waits until its condition has been read.
            var firstAsk = character.OnlyIf is { IsPresence: false } condition && !readCharacters.Contains(condition.CharacterId);
            if (chance < (firstAsk ? 0.9 : 0.05)) return null;
            var bits = column.Foresee(calendar).Bits(open);
            if (bits < 1e-4) return null;
            var heldBack = character.Contact && hurting is not null
                ? $"Wait with touching: {hurting.CommonName} is still possible." : null;
            return new NextLook(character, bits, chance, Math.Pow(2, entropy - bits), heldBack);
        }
    }

    private static PossibleHazard[] Hazards(Candidate[] candidates, int readings) =>
    [
        .. candidates.Where(c => c.Taxon.Hazards.Count > 0 && (c.Probability >= Possible || (readings > 0 && c.Held.Count == 0)))
            .SelectMany(c => c.Taxon.Hazards.Select(hazard => new PossibleHazard(c.Taxon, hazard, c.Probability)))
            .OrderBy(h => h.Hazard.Kind).ThenByDescending(h => h.Probability)
    ];

    private static RankShare[] Ranking(Candidate[] candidates) =>
    [
        .. Shares(TaxonRank.Genus, taxon => taxon.Name.Genus, candidates), .. Shares(TaxonRank.Family, taxon => taxon.Family, candidates)
    ];

    private static IEnumerable<RankShare> Shares(TaxonRank rank, Func<Taxon, string> name, Candidate[] candidates) =>
        candidates.GroupBy(c => name(c.Taxon)).Select(group => new RankShare(rank, group.Key, group.Sum(c => c.Probability)))
            .OrderByDescending(share => share.Probability);

    private Standing StandingOf(int row, Reading reading, Calendar calendar)
    {
        var column = table[reading.Character];
        if (!SieveTable.Applicable(row, column)) return Standing.CannotApply;
        if (column.Scores[row] is null) return Standing.NotScored;
        return column.Allows(row, reading.Observation, calendar) ? Standing.Agrees : Standing.Disagrees;
    }
}

/// <summary>How a taxon stands to a reading.</summary>
public enum Standing
{
    /// <summary>The score allows it.</summary>
    Agrees,
    /// <summary>The score cannot allow it.</summary>
    Disagrees,
    /// <summary>The taxon never shows such a character.</summary>
    CannotApply,
    /// <summary>The flora does not say.</summary>
    NotScored
}

/// <summary>A reading's bearing on a taxon; <paramref name="Bits"/> above 0 speaks for it.</summary>
public sealed record ReadingBearing(Reading Reading, Standing Standing, double Bits);

/// <summary>A character that separates taxa: its bits, and for each taxon its score and whether it can apply.</summary>
public sealed record Separation(Character Character, double Bits, IReadOnlyList<Score?> Scores, IReadOnlyList<bool> Applies);
