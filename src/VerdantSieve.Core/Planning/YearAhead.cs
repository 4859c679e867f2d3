using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Planning;

/// <summary>The coming year of one tree, week by week: what a visit would tell, and when it is best made.</summary>
/// <param name="Weeks">A day in each week, from the first on.</param>
public sealed record YearAhead(IReadOnlyList<DayAhead> Weeks)
{
    /// <summary>How many weeks are looked ahead.</summary>
    public const int WeeksAhead = 52;

    // A week is no better than another that settles as often within so much; the sooner of the two is proposed.
    private const double AsGood = 0.02;

    // Less than that is not worth a way.
    private const double WorthAVisit = 0.1;

    // A kind with less of the chance does not say when to come.
    private const double MayBe = 0.05;

    /// <summary>Looks ahead.</summary>
    /// <param name="sieve">The sieve.</param>
    /// <param name="question">All that was read of the tree, see <see cref="Looking.LookQuestion.OfTree"/>.</param>
    /// <param name="from">The first day that can be gone.</param>
    public static YearAhead Of(Sieve sieve, SieveQuestion question, LocalDate from) =>
        new(sieve.Ahead(question, Enumerable.Range(0, WeeksAhead).Select(from.PlusWeeks)));

    /// <summary>The best week; null where none is worth the way.</summary>
    public DayAhead? Best
    {
        get
        {
            if (Weeks.Max(week => week.Settles) < WorthAVisit)
                return null;
            var most = Enumerable.Range(0, Weeks.Count).Max(Around);
            return Weeks[Enumerable.Range(0, Weeks.Count).First(at => Around(at) >= most - AsGood)];
        }
    }

    // A week with its neighbours: chances that were drawn stray, and years differ by as much.
    private double Around(int at) =>
        (Weeks[Math.Max(0, at - 1)].Settles + 2 * Weeks[at].Settles + Weeks[Math.Min(Weeks.Count - 1, at + 1)].Settles) / 4;

    /// <summary>The weeks that are as good as the best, from the first to the last of a run: they make a span to come in.</summary>
    /// <param name="least">How much of the best they settle, 0 to 1.</param>
    public (LocalDate From, LocalDate To)? BestSpan(double least = 0.8)
    {
        if (Best is not { } best)
            return null;
        var at = Weeks.ToList().IndexOf(best);
        var (first, last) = (at, at);
        while (first > 0 && Weeks[first - 1].Settles >= least * best.Settles)
            first--;
        while (last < Weeks.Count - 1 && Weeks[last + 1].Settles >= least * best.Settles)
            last++;
        return (Weeks[first].Day, Weeks[last].Day.PlusDays(6));
    }

    /// <summary>Why a week: the seasons that fall into it of the kinds that are still open, likeliest first.</summary>
    /// <param name="week">The week.</param>
    /// <param name="candidates">How the kinds stand, best first.</param>
    /// <param name="flora">The flora.</param>
    /// <param name="where">Where the tree stands.</param>
    public static IReadOnlyList<SeasonHere> Why(DayAhead week, IEnumerable<Candidate> candidates, Flora flora, Circumstances where)
    {
        var organs = week.Looks.Select(look => Organs.Of(look.Character)).ToHashSet();
        return
        [
            .. candidates
                .TakeWhile(candidate => candidate.Probability >= MayBe)
                .SelectMany(candidate =>
                    new[] { (Organ.Flower, false), (Organ.Fruit, true) }
                        .Where(pair => organs.Contains(pair.Item1))
                        .Select(pair => SeasonHere.Of(candidate.Taxon, pair.Item2, flora, where))
                )
                .OfType<SeasonHere>()
                .Where(season => season.Holds(week.Day)),
        ];
    }
}
