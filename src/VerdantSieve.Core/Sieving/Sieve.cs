using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>The multi-access key over one flora: readings in, an answer out. Pure, and safe to share between threads.</summary>
/// <remarks>The formulas and their sources are in docs/method.md.</remarks>
public sealed class Sieve
{
    /// <summary>Below this chance a kind is as good as excluded: it is not warned of, and touching need not wait for it.</summary>
    public const double Possible = 0.01;

    // From this chance on a kind leads, and its doubles are thought of; two that share this much are the last two.
    private const double Leads = 0.6, LastTwoShare = 0.9, StillOpen = 0.02;

    private readonly SieveTable table;

    /// <summary>Makes the flora ready; done once when it is loaded.</summary>
    /// <param name="flora">The flora.</param>
    /// <param name="model">What to assume of observers; <see cref="SieveModel.Standard"/> where left out.</param>
    public Sieve(Flora flora, SieveModel? model = null) => table = new SieveTable(flora, model ?? SieveModel.Standard);

    /// <summary>The flora sieved.</summary>
    public Flora Flora => table.Flora;

    /// <summary>Answers a question.</summary>
    public SieveAnswer Ask(SieveQuestion question)
    {
        var occasion = Occasion.From(question.Circumstances);
        var readings = Telling(question);
        var read = readings.Select(reading => reading.Character).ToHashSet();
        var evidence = table.Evidence(readings, occasion);
        var prior = table.Prior(question.Circumstances);
        var posterior = Posterior.Of(prior, evidence);

        var held = table.Held(readings, occasion);
        var candidates = Enumerable.Range(0, table.Rows.Taxa)
            .Select(t => new Candidate(Flora.Taxa[t], posterior[t], held[t], held[t].Count <= question.Slips)).ToArray();
        Candidate[] ordered = question.School == School.Weigh
            ? [.. candidates.OrderByDescending(c => c.Probability)]
            : [.. candidates.OrderByDescending(c => c.Passes).ThenBy(c => c.Held.Count).ThenByDescending(c => c.Probability)];

        var asking = new NextLooks(table, occasion, posterior, question.Readings);
        var weights = question.School == School.Weigh ? posterior : Even(candidates);
        var looks = asking.Find(weights);
        var ranks = table.Ranks.Sum(posterior, table.Rows);
        var answer = new SieveAnswer
        {
            Question = question,
            Candidates = ordered,
            NoneOfThese = posterior.AsSpan(table.Rows.Taxa).ToArray().Sum(),
            Open = Math.Pow(2, Information.Entropy(weights.AsSpan(0, table.Rows.Taxa))),
            NextLooks = looks,
            Doubts = new Doubts(table, prior, evidence, posterior, held, question.Slips).Find(),
            Hazards = Hazards(candidates, readings.Length, question.Circumstances.Region),
            Ranking = ranks.GeneraAndFamilies,
            Grounds = GroundsOf(question, evidence, posterior),
            Check = readings.Length > 2 ? CheckOf(candidates, asking) : null,
            LastTwo = LastTwoOf(ordered, read, question),
            Determination = Determination.Nothing
        };
        return answer with { Determination = new Determiner(table, answer, candidates, ranks, evidence, occasion).Determine() };
    }

    // Each once, and in the vocabulary's own order, so that sums come out the same to the last bit whatever order things were read in.
    private Reading[] Telling(SieveQuestion question) =>
        [.. question.Readings.Where(reading => reading.Tells).DistinctBy(reading => reading.Character).OrderBy(reading => Flora.Character(reading.Character).Order)];

    /// <summary>How one reading bears on one taxon: the log, base 2, of how much likelier the taxon makes it than the flora at
    /// large does. Above 0 speaks for the taxon, below 0 against it.</summary>
    public IReadOnlyList<ReadingBearing> Bearings(Taxon taxon, SieveQuestion question)
    {
        var occasion = Occasion.From(question.Circumstances);
        var row = table.RowOf(taxon);
        var readings = question.Readings.Where(reading => reading.Tells).ToArray();
        return [.. table.Evidence(readings, occasion).Select(evidence =>
            new ReadingBearing(evidence.Reading, StandingOf(row, evidence.Reading, occasion), (evidence.Logs[row] - evidence.Logs[table.Rows.None]) / Math.Log(2)))];
    }

    /// <summary>The characters that separate a few taxa, by bits per effort; those that part nothing last.</summary>
    /// <param name="taxa">2 to 8 taxa of this flora.</param>
    /// <param name="circumstances">The date decides which flowers and fruit can be seen.</param>
    public IReadOnlyList<Separation> TellApart(IReadOnlyList<Taxon> taxa, Circumstances circumstances)
    {
        var occasion = Occasion.From(circumstances);
        var rows = taxa.Select(taxon => table.RowOf(taxon)).ToArray();
        var weights = new double[table.Rows.Count];
        foreach (var row in rows) weights[row] = 1.0 / rows.Length;
        return
        [
            .. Flora.Characters
                .Where(character => rows.Any(row => table[character.Id].Scores[row] is not null))
                .Select(character =>
                {
                    var column = table[character.Id];
                    var known = rows.All(row => column.Scores[row] is not null || !column.CanApply[row]);
                    var bits = !known ? 0 : character.Weight * (rows.Length == 2 ? column.Foresee(occasion).Between(rows[0], rows[1]) : column.Foresee(occasion).Bits(weights));
                    return new Separation(character, bits, [.. rows.Select(row => column.Scores[row])], [.. rows.Select(row => column.CanApply[row])]);
                })
                .OrderByDescending(s => s.Bits / s.Character.Effort).ThenBy(s => s.Character.Order)
        ];
    }

    /// <summary>Whether one look at some character parts two taxa, told apart by at least so many bits of the one between them. Seasons are left out.</summary>
    public bool Parts(Taxon one, Taxon other, double bits)
    {
        var (a, b) = (table.RowOf(one), table.RowOf(other));
        foreach (var character in Flora.Characters)
        {
            var column = table[character.Id];
            // What is guessed from its kin parts nothing.
            if (column.Scores[a] is null && column.CanApply[a] || column.Scores[b] is null && column.CanApply[b]) continue;
            if (character.Weight * column.Foresee(default).Between(a, b) >= bits) return true;
        }
        return false;
    }

    private double[] Even(Candidate[] candidates)
    {
        var even = new double[table.Rows.WithKin];
        for (var t = 0; t < candidates.Length; t++) even[t] = candidates[t].Passes ? 1 : 0;
        return even;
    }

    // Who would come nearest without the place, and what then parts it from the leader.
    private Grounds? GroundsOf(SieveQuestion question, Evidence[] evidence, double[] posterior)
    {
        if (table.Rows.Taxa < 2) return null;
        var flat = Posterior.Of(table.EvenPrior, evidence);
        var leader = Enumerable.Range(0, table.Rows.Taxa).MaxBy(t => posterior[t]);
        var rival = Enumerable.Range(0, table.Rows.Taxa).Where(t => t != leader).MaxBy(t => flat[t]);
        var byReadings = Math.Log2(flat[leader] / flat[rival]);
        return new Grounds(Flora.Taxa[leader], Flora.Taxa[rival], Math.Log2(posterior[leader] / posterior[rival]) - byReadings, byReadings);
    }

    // Where a kind has a notorious double, the check is prompted even if the answer looks settled.
    private LeaderCheck? CheckOf(Candidate[] candidates, NextLooks asking)
    {
        if (candidates.MaxBy(c => c.Probability) is not { Probability: >= Leads } leader || leader.Taxon.Doubles.Count == 0) return null;
        var doubles = leader.Taxon.Doubles.Select(look => (look, Taxon: Flora.FindTaxon(look.Name))).Where(pair => pair.Taxon is not null).ToArray();
        if (doubles.Length == 0) return null;
        var (alike, other) = doubles.MaxBy(pair => candidates[table.RowOf(pair.Taxon!)].Probability);
        return new LeaderCheck(leader.Taxon, alike, asking.Between(table.RowOf(leader.Taxon), table.RowOf(other!)));
    }

    private LastTwo? LastTwoOf(Candidate[] ordered, HashSet<string> read, SieveQuestion question)
    {
        var two = question.School == School.Strict ? ordered.Where(c => c.Passes).ToArray() : ordered.TakeWhile(c => c.Probability >= StillOpen).ToArray();
        if (two.Length != 2 || read.Count == 0 || (question.School == School.Weigh && two.Sum(c => c.Probability) < LastTwoShare)) return null;
        var separations = TellApart([two[0].Taxon, two[1].Taxon], question.Circumstances).Where(s => !read.Contains(s.Character.Id) && s.Applies.All(applies => applies)).ToArray();
        return new LastTwo(two[0].Taxon, two[1].Taxon,
            [.. separations.Where(s => s.Bits >= 0.15).Select(s => s.Character)],
            [.. separations.Where(s => s.Bits < 0.02 && s.Scores.All(score => score is not null)).Select(s => s.Character).OrderBy(c => c.Order)]);
    }

    // A kind that nothing holds is warned of however unlikely it is, but not on the other side of the world from where it grows.
    private static PossibleHazard[] Hazards(Candidate[] candidates, int readings, string? region) =>
    [
        .. candidates.Where(c => c.Taxon.Hazards.Count > 0 && (c.Probability >= Possible || (readings > 0 && c.Held.Count == 0 && GrowsAbout(c.Taxon, region))))
            .SelectMany(c => c.Taxon.Hazards.Select(hazard => new PossibleHazard(c.Taxon, hazard, c.Probability)))
            .OrderBy(h => h.Hazard.Kind).ThenByDescending(h => h.Probability)
    ];

    private static bool GrowsAbout(Taxon taxon, string? region) =>
        region is null || taxon.Distribution.Includes(region) || Regions.Neighbours(region).Any(taxon.Distribution.Includes);

    private Standing StandingOf(int row, Reading reading, Occasion occasion)
    {
        var column = table[reading.Character];
        if (!column.CanApply[row]) return Standing.CannotApply;
        if (column.Scores[row] is null) return Standing.NotScored;
        return column.Allows(row, reading.Observation, occasion) ? Standing.Agrees : Standing.Disagrees;
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
