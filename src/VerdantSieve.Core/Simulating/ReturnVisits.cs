using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Planning;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Simulating;

/// <summary>What came of one made-up tree that was visited until it was settled.</summary>
/// <param name="Visits">How many return visits it took; null where so many were not enough.</param>
/// <param name="IsRight">Whether it was settled as what it is.</param>
public sealed record ReturnResult(int? Visits, bool IsRight);

/// <summary>Makes up trees that a first visit leaves open, and visits them again.</summary>
/// <param name="sieve">The sieve that answers, and whose flora the trees are drawn from.</param>
/// <param name="people">How loose words are and how short scores, as with people and books.</param>
public sealed class ReturnVisits(Sieve sieve, SieveModel people)
{
    // A first visit that read what leaf and bark had to tell, and one that was gone on purpose.
    private const int FirstReadings = 10,
        ReturnReadings = 6;
    private const double Errs = 0.07,
        Misses = 0.15;

    /// <summary>The most return visits that are made.</summary>
    public const int MostVisits = 3;

    /// <summary>One tree: visited once, and then again until it is settled.</summary>
    /// <param name="taxon">The kind.</param>
    /// <param name="region">The country it stands in.</param>
    /// <param name="strategy">When it is visited again.</param>
    /// <param name="seed">Where chance comes from: the same tree for every strategy.</param>
    /// <returns>What came of it; null where the first visit settled it.</returns>
    public ReturnResult? Visit(Taxon taxon, string region, ReturnStrategy strategy, int seed)
    {
        var (question, plant, observer, random) = Begin(taxon, region, seed);
        var (where, today) = (question.Circumstances, question.Circumstances.Date!.Value);
        if (Settled(question) is not null)
            return null;
        for (var visit = 1; visit <= MostVisits; visit++)
        {
            var day = DayFor(strategy, question, today.PlusDays(7), random);
            question = Read(question with { Circumstances = where with { Date = day } }, plant.On(day), observer, ReturnReadings);
            if (Settled(question) is { } name)
                return new ReturnResult(visit, name == taxon.Name.Text || name == taxon.Name.Species.Text || name == taxon.Aggregate);
            today = day;
        }
        return new ReturnResult(null, false);
    }

    /// <summary>What a first visit to a tree reads.</summary>
    /// <param name="taxon">The kind.</param>
    /// <param name="region">The country it stands in.</param>
    /// <param name="seed">Where chance comes from.</param>
    public SieveQuestion First(Taxon taxon, string region, int seed) => Begin(taxon, region, seed).Question;

    private (SieveQuestion Question, SimulatedPlant Plant, SimulatedObserver Observer, Random Random) Begin(
        Taxon taxon,
        string region,
        int seed
    )
    {
        var random = new Random(seed);
        var today = new LocalDate(2026, 4, 15).PlusDays(random.Next(180));
        var where = new Circumstances { Region = region, Date = today };
        var plant = new SimulatedPlant(taxon, sieve.Flora, where, random, people);
        var observer = new SimulatedObserver(sieve.Flora, Errs, Misses, random, people);
        var question = Read(new SieveQuestion { Circumstances = where }, plant, observer, FirstReadings);
        return (question, plant, observer, random);
    }

    private LocalDate DayFor(ReturnStrategy strategy, SieveQuestion question, LocalDate from, Random random)
    {
        var any = from.PlusWeeks(random.Next(YearAhead.WeeksAhead));
        return strategy switch
        {
            ReturnStrategy.Planned => YearAhead
                .Of(sieve, question with { Circumstances = question.Circumstances with { Date = from } }, from)
                .Best?.Day
                ?? any,
            ReturnStrategy.InFlower => Flowering(question, from) ?? any,
            ReturnStrategy.AnyWeek => any,
        };
    }

    // The middle of the likeliest kind's flowers, the next time they are out.
    private LocalDate? Flowering(SieveQuestion question, LocalDate from)
    {
        var leader = sieve.Ask(question).Candidates[0].Taxon;
        if (SeasonHere.Of(leader, fruit: false, sieve.Flora, question.Circumstances) is not { Window: var window })
            return null;
        var middle = SeasonWindow.DateOf(window.StartDay + window.Length / 2);
        var thisYear = middle.InYear(from.Year);
        return thisYear >= from ? thisYear : middle.InYear(from.Year + 1);
    }

    private SieveQuestion Read(SieveQuestion question, SimulatedPlant plant, SimulatedObserver observer, int most)
    {
        var day = question.Circumstances.Date;
        for (var told = 0; told < most;)
        {
            if (sieve.Ask(question).NextLooks.FirstOrDefault(look => look.HeldBack is null) is not { Character: var character })
                break;
            var reading = plant.CanShow(character)
                ? observer.Read(plant, character)
                : new Reading(character.Id, new CannotTell(), Certainty.Fair);
            question = question with { Readings = [.. question.Readings, reading with { Day = day }] };
            if (reading.Tells)
                told++;
        }
        // What could not be made out today may be made out another day.
        return question with { Readings = [.. question.Readings.Where(reading => reading.Tells)] };
    }

    private string? Settled(SieveQuestion question)
    {
        var said = sieve.Ask(question).Determination;
        return said.Rank is TaxonRank.Species or TaxonRank.Variety or TaxonRank.Aggregate ? said.Name : null;
    }
}
