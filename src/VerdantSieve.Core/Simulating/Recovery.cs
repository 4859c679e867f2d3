using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Simulating;

/// <summary>Makes up plants and observers, and sieves what they read.</summary>
/// <param name="sieve">The sieve that answers.</param>
/// <param name="flora">The flora the plants are drawn from; may hold taxa the sieve does not know.</param>
/// <param name="people">How loose words and how short scores are, as with people and books; null where all speak as the flora
/// does.</param>
public sealed class Recovery(Sieve sieve, Flora flora, SieveModel? people = null)
{
    private readonly Lazy<Sieve> unerring = new(() =>
        new Sieve(sieve.Flora, SieveModel.Standard with { SlipWhenSure = 0.001, SlipWhenFair = 0.001, SlipWhenGuessing = 0.001 })
    );

    /// <summary>One look, its readings asked for one after another.</summary>
    /// <param name="taxon">The kind of plant, of the flora the plants are drawn from.</param>
    /// <param name="readings">The most readings that are told.</param>
    /// <param name="errs">The chance that a reading is wrong.</param>
    /// <param name="misses">The chance that a character can't be made out.</param>
    /// <param name="strategy">What is asked next.</param>
    /// <param name="random">Where chance comes from.</param>
    /// <param name="enough">The look ends as soon as this is answered; null where it never does.</param>
    public LookResult Look(
        Taxon taxon,
        int readings,
        double errs,
        double misses,
        Strategy strategy,
        Random random,
        Func<SieveAnswer, bool>? enough = null
    )
    {
        var circumstances = SomewhereOneDay(taxon, random);
        var plant = new SimulatedPlant(taxon, flora, circumstances, random, people);
        var observer = new SimulatedObserver(sieve.Flora, errs, misses, random, people);
        var question = new SieveQuestion { Circumstances = circumstances };
        var answer = sieve.Ask(question);
        var (told, effort) = (0, 0.0);
        var glanced = false;
        while (told < readings && Choose(answer, question, strategy, random) is { } character)
        {
            var reading = observer.Read(plant, character);
            // What one glance shows is one look.
            if (reading.Tells && !(character.IsGlance && glanced))
                told++;
            glanced |= character.IsGlance;
            effort += character.Effort;
            question = question with { Readings = [.. question.Readings, reading] };
            answer = sieve.Ask(question);
            if (enough?.Invoke(answer) == true)
                break;
        }
        return new LookResult(taxon, told, effort, answer, observer.Wrong);
    }

    /// <summary>One look in which everything that can be made out is read.</summary>
    public LookResult All(Taxon taxon, double errs, double misses, Random random)
    {
        var circumstances = SomewhereOneDay(taxon, random);
        var plant = new SimulatedPlant(taxon, flora, circumstances, random, people);
        var observer = new SimulatedObserver(sieve.Flora, errs, misses, random, people);
        Reading[] readings =
        [
            .. sieve.Flora.Characters.Select(character => observer.Read(plant, character)).Where(reading => reading.Tells),
        ];
        var answer = sieve.Ask(new SieveQuestion { Circumstances = circumstances, Readings = readings });
        return new LookResult(
            taxon,
            readings.Length,
            readings.Sum(reading => sieve.Flora.Character(reading.Character).Effort),
            answer,
            observer.Wrong
        );
    }

    private Character? Choose(SieveAnswer answer, SieveQuestion question, Strategy strategy, Random random)
    {
        var looks =
            strategy == Strategy.IgnoringErrors
                ? unerring.Value.Ask(question).NextLooks.OrderByDescending(look => look.Bits).ToList()
                : answer.NextLooks;
        if (strategy == Strategy.ForgettingEffort)
            looks = looks.OrderByDescending(look => look.Bits * look.Chance).ToList();
        if (looks.Count == 0)
            return null;
        return strategy == Strategy.AnyOrder ? looks[random.Next(looks.Count)].Character : looks[0].Character;
    }

    // A look has a date in the growing season, a place where the kind grows, the likelier the commoner it is there, and it is known whether
    // the plant
    // stands wild or was planted.
    private static Circumstances SomewhereOneDay(Taxon taxon, Random random)
    {
        string[] grows = [.. taxon.Distribution.Countries];
        var at = random.NextDouble() * grows.Sum(code => taxon.AbundanceIn(code).Weight());
        var region = grows.FirstOrDefault(code => (at -= taxon.AbundanceIn(code).Weight()) < 0);
        return new()
        {
            Date = new LocalDate(2026, 5, 15).PlusDays(random.Next(120)),
            Region = region,
            Setting = SomeSetting(taxon, region, random),
        };
    }

    private static Setting SomeSetting(Taxon taxon, string? region, Random random)
    {
        var occurrence = region is null ? Occurrence.Native : taxon.Distribution.In(region);
        Setting[] settings = [.. Enum.GetValues<Setting>().Where(setting => taxon.IsMet(setting, occurrence))];
        return settings[random.Next(settings.Length)];
    }
}
