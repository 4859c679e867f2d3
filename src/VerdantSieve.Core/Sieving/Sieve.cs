using System.Numerics.Tensors;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>The multi-access key over one flora: readings in, an answer out. Pure, and safe to share between threads.</summary>
/// <remarks>The formulas and their sources are in docs/method.md.</remarks>
public sealed class Sieve
{
    /// <summary>Below this chance a kind is as good as excluded: it is not warned of, and touching need not wait for it.</summary>
    public const double Possible = 0.01;

    // What falls short by less is as good: the digits behind it are not the same on all processors.
    private const double AsGood = 1 - 1e-9;

    // From this chance on a kind leads, and its doubles are thought of; two that share this much are the last two.
    private const double Leads = 0.6,
        LastTwoShare = 0.9,
        StillOpen = 0.02;

    // Before so much is read no double is thought of.
    private const int ReadBeforeDoubles = 3;

    // What parts the last two by so many bits is worth a look; what parts them by less than so many is shared.
    private const double Differs = 0.15,
        IsShared = 0.02;

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
        using var weighed = new Weighed(table, question);
        var asking = new NextLooks(weighed);
        var weights = weighed.Weights;
        var found = new Findings(
            weighed,
            weighed.Posterior.AsSpan(table.Rows.Taxa).ToArray().Sum(),
            asking.Find(weights),
            new Doubts(weighed).Find(),
            GroundsOf(weighed)
        );
        return new SieveAnswer
        {
            Question = question,
            Candidates = weighed.Ordered,
            Holds = weighed.Held.Counts,
            NoneOfThese = found.NoneOfThese,
            Open = Math.Pow(2, Information.Entropy(weights.AsSpan(0, table.Rows.Taxa))),
            NextLooks = found.NextLooks,
            Doubts = found.Doubts,
            Hazards = Hazards(weighed),
            Enough = weighed.Enough,
            Ranking = table.Groups.GeneraAndFamilies(weighed.Posterior, table.Rows),
            Grounds = found.Grounds,
            Check = weighed.Readings.Count >= ReadBeforeDoubles ? CheckOf(weighed, asking) : null,
            LastTwo = LastTwoOf(weighed),
            Form = FormOf(weighed),
            Determination = new Determiner(found).Determine(),
        };
    }

    /// <summary>Looks ahead: what a visit on each of some days would tell, and the chance that it settles the kind.</summary>
    /// <param name="question">All that has been read, each reading with its own day.</param>
    /// <param name="days">The days.</param>
    public IReadOnlyList<DayAhead> Ahead(SieveQuestion question, IEnumerable<LocalDate> days)
    {
        using var weighed = new Weighed(table, question);
        var ahead = new DaysAhead(weighed);
        return [.. days.Select(ahead.On)];
    }

    /// <summary>How one reading bears on one taxon: the log, base 2, of how much likelier the taxon makes it than the flora at
    /// large does. Above 0 speaks for the taxon, below 0 against it.</summary>
    public IReadOnlyList<ReadingBearing> Bearings(Taxon taxon, SieveQuestion question)
    {
        var when = SiteAndDay.From(question.Circumstances);
        var row = table.Rows.Of(taxon);
        using var evidence = table.EvidenceOf([.. question.Readings.Where(reading => reading.Tells)], when);
        return
        [
            .. evidence.All.Select(piece =>
            {
                var bits = piece.BitsBetween(row, table.Rows.Average);
                var sign = Signs.Of(table[piece.Reading.Character].ScoreOf(row), bits);
                return new ReadingBearing(piece.Reading, StandingOf(row, piece.Reading, when), bits, sign);
            }),
        ];
    }

    /// <summary>The characters that separate a few taxa, by bits per effort; those that part nothing last.</summary>
    /// <param name="taxa">2 to 8 taxa of this flora.</param>
    /// <param name="circumstances">The date decides which flowers and fruit can be seen.</param>
    public IReadOnlyList<Separation> TellApart(IReadOnlyList<Taxon> taxa, Circumstances circumstances) =>
        TellingApart.Of(table, taxa, SiteAndDay.From(circumstances));

    /// <summary>Whether one look at some character parts two taxa, told apart by at least so many bits of the one between them. Seasons are
    /// left out.</summary>
    public bool Parts(Taxon one, Taxon other, double bits) => TellingApart.Parts(table, table.Rows.Of(one), table.Rows.Of(other), bits);

    // Who would come nearest without the place, and what then parts it from the leader.
    private Grounds? GroundsOf(Weighed weighed)
    {
        if (table.Rows.Taxa < 2)
            return null;
        var flat = weighed.Evidence.Posterior(table.EvenPrior);
        var leader = weighed.Leader;
        var rival = FirstOfTheBest(flat.AsSpan(0, table.Rows.Taxa), leader.Index);
        var byReadings = Math.Log2(flat[leader.Index] / flat[rival.Index]);
        var whole = Math.Log2(weighed.Posterior[leader.Index] / weighed.Posterior[rival.Index]);
        return new Grounds(table.TaxonOf(leader), table.TaxonOf(rival), whole - byReadings, byReadings);
    }

    // Two rivals may be alike but for the last digits, which hang on the processor: then the first of them.
    private static Row FirstOfTheBest(ReadOnlySpan<double> chances, int but)
    {
        var best = Math.Max(MaxOf(chances[..but]), MaxOf(chances[(but + 1)..]));
        for (var t = 0; t < chances.Length; t++)
            if (t != but && chances[t] >= best * AsGood)
                return new Row(t);
        throw new InvalidOperationException("Chances that are no numbers have no best.");

        static double MaxOf(ReadOnlySpan<double> of) => of.IsEmpty ? 0 : TensorPrimitives.Max(of);
    }

    // Where a kind has a notorious double, the check is prompted even if the answer looks settled. What does not grow in the country is no
    // double there.
    private LeaderCheck? CheckOf(Weighed weighed, NextLooks asking)
    {
        var leader = weighed[weighed.Leader];
        if (leader.Probability < Leads)
            return null;
        var likeliest = leader
            .Taxon.Doubles.Select(alike => (Double: alike, Taxon: Flora.FindTaxon(alike.Name)))
            .Where(pair => pair.Taxon is not null && GrowsIn(weighed.Question.Circumstances.Region, pair.Taxon))
            .Select(pair => (pair.Double, Row: table.Rows.Of(pair.Taxon!)))
            .OrderByDescending(pair => weighed[pair.Row].Probability)
            .Take(1)
            .ToArray();
        return likeliest is [var (alike, other)] ? new LeaderCheck(leader.Taxon, alike, asking.Between(weighed.Leader, other)) : null;
    }

    // A form is seen where every reading of what it shows is its own, and one at least is not the wild plant's.
    private PlantForm? FormOf(Weighed weighed)
    {
        var leader = table.TaxonOf(weighed.Leader);
        if (weighed.Question.Circumstances.Setting == Setting.Wild)
            return null;
        return leader.Forms.FirstOrDefault(form =>
        {
            var read = weighed
                .Readings.Where(reading => form.Shows.ContainsKey(reading.Character) && reading.Observation is StatesSeen)
                .Select(reading =>
                    (
                        States: reading.Observation.OfStates().States,
                        Form: form.Shows[reading.Character],
                        Own: leader.Score(reading.Character) as StateScore
                    )
                )
                .ToArray();
            return read.Length > 0
                && read.All(pair => pair.States.All(pair.Form.Contains))
                && read.Any(pair => !pair.States.Any(state => pair.Own?.IsUsual(state) == true));
        });
    }

    private static bool GrowsIn(string? region, Taxon taxon) => region is null || taxon.Distribution.Includes(region);

    private LastTwo? LastTwoOf(Weighed weighed)
    {
        var read = weighed.Readings.Select(reading => reading.Character).ToHashSet();
        if (read.Count == 0 || LastOf(weighed) is not [var one, var other])
            return null;
        var separations = TellApart([one.Taxon, other.Taxon], weighed.Question.Circumstances)
            .Where(separation => separation.Applies.All(applies => applies))
            .ToLookup(separation => read.Contains(separation.Character.Id));
        return new LastTwo(
            one.Taxon,
            other.Taxon,
            [.. Parting(separations[false])],
            [
                .. separations[false]
                    .Where(separation => separation.Bits < IsShared && separation.Scores.All(score => score is not null))
                    .Select(separation => separation.Character)
                    .OrderBy(character => character.Order),
            ],
            [.. Parting(separations[true])]
        );

        static IEnumerable<Character> Parting(IEnumerable<Separation> separations) =>
            separations.Where(separation => separation.Bits >= Differs || separation.IsMark).Select(separation => separation.Character);
    }

    private static Candidate[] LastOf(Weighed weighed) =>
        weighed.Question.School switch
        {
            School.Strict => [.. weighed.Ordered.Where(candidate => candidate.Passes)],
            School.Weigh => weighed.Ordered.TakeWhile(candidate => candidate.Probability >= StillOpen).ToArray() is var open
            && open.Sum(candidate => candidate.Probability) >= LastTwoShare
                ? open
                : [],
        };

    // A kind that nothing holds is warned of however unlikely it is, but not on the other side of the world from where it grows.
    private PossibleHazard[] Hazards(Weighed weighed)
    {
        string[] about = weighed.Question.Circumstances.Region is { } region ? [region, .. Regions.Neighbours(region)] : [];
        return
        [
            .. table
                .Hazardous.Select(row => weighed[row])
                .Where(IsWarnedOf)
                .SelectMany(candidate =>
                    candidate.Taxon.Hazards.Select(hazard => new PossibleHazard(candidate.Taxon, hazard, candidate.Probability))
                )
                .OrderBy(hazard => hazard.Hazard.Kind)
                .ThenByDescending(hazard => hazard.Probability),
        ];

        bool IsWarnedOf(Candidate candidate) =>
            candidate.IsPossible
            || (weighed.Readings.Count > 0 && candidate.Held.Count == 0 && GrowsAbout(candidate.Taxon, about));
    }

    private static bool GrowsAbout(Taxon taxon, string[] countries)
    {
        foreach (var country in countries)
            if (taxon.Distribution.Includes(country))
                return true;
        return countries.Length == 0;
    }

    private Standing StandingOf(Row taxon, Reading reading, SiteAndDay when)
    {
        var column = table[reading.Character];
        if (!column.CanApply(taxon))
            return Standing.CannotApply;
        if (column.ScoreOf(taxon) is null)
            return Standing.NotScored;
        return column.Allowing(reading, when)(taxon) ? Standing.Agrees : Standing.Disagrees;
    }
}
