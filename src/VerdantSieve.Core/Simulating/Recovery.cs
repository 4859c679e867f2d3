using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Simulating;

/// <summary>How a made-up look is carried on.</summary>
public enum Strategy
{
    /// <summary>The sieve's own next look: bits by the chance that it can be seen and by effort.</summary>
    NextLook,
    /// <summary>The same without regard to effort.</summary>
    ForgettingEffort,
    /// <summary>Any character, in any order.</summary>
    AnyOrder,
    /// <summary>The character that would part most if nobody ever erred.</summary>
    IgnoringErrors
}

/// <summary>Where the strict rule puts the right kind: all it knows is how often a kind is held.</summary>
/// <param name="Better">How many kinds are held less often.</param>
/// <param name="Tied">How many are held as often, itself among them.</param>
/// <param name="InPan">Whether it passes with the slips allowed.</param>
public readonly record struct StrictStanding(int Better, int Tied, bool InPan)
{
    /// <summary>The chance that a pick among the first <paramref name="places"/> hits it, ties broken by lot: 0 to 1.</summary>
    public double Within(int places) => InPan ? Math.Clamp((places - Better) / (double)Tied, 0, 1) : 0;

    internal static StrictStanding Of(SieveAnswer answer, Taxon taxon, int slips) =>
        answer.Candidates.FirstOrDefault(candidate => candidate.Taxon.Name == taxon.Name) is { Held.Count: var held }
            ? new(answer.Candidates.Count(c => c.Held.Count < held), answer.Candidates.Count(c => c.Held.Count == held), held <= slips) : default;
}

/// <summary>What came of one made-up look.</summary>
/// <param name="Plant">The taxon the plant was of.</param>
/// <param name="Readings">How many readings were told.</param>
/// <param name="Effort">What all looks cost, those that told nothing too; 1 is a glance at the twig.</param>
/// <param name="Answer">The last answer.</param>
/// <param name="Wrong">Which readings were wrong, by character id.</param>
public sealed record LookResult(Taxon Plant, int Readings, double Effort, SieveAnswer Answer, IReadOnlyDictionary<string, bool> Wrong)
{
    /// <summary>The place of the right kind among the candidates, 1 for the first.</summary>
    public int Place { get; } = Answer.Candidates.TakeWhile(candidate => candidate.Taxon.Name != Plant.Name).Count() + 1;

    /// <summary>Whether the right kind is among those that make up 95 % of the weight of the known kinds; what falls to unknown ones would else let in any.</summary>
    public bool InSet { get; } = Answer.Candidates.TakeWhile(candidate => candidate.Taxon.Name != Plant.Name).Sum(candidate => candidate.Probability) < 0.95 * (1 - Answer.NoneOfThese);

    /// <summary>Where the strict rule puts it.</summary>
    public StrictStanding Strictly(int slips) => StrictStanding.Of(Answer, Plant, slips);
}

/// <summary>Makes up plants and observers, and sieves what they read.</summary>
/// <param name="sieve">The sieve that answers.</param>
/// <param name="flora">The flora the plants are drawn from; may hold taxa the sieve does not know.</param>
public sealed class Recovery(Sieve sieve, Flora flora)
{
    private readonly Lazy<Sieve> unerring = new(() => new Sieve(sieve.Flora, SieveModel.Standard with { SlipWhenSure = 0.001, SlipWhenFair = 0.001, SlipWhenGuessing = 0.001 }));

    /// <summary>One look, its readings asked for one after another.</summary>
    /// <param name="taxon">The kind of plant, of the flora the plants are drawn from.</param>
    /// <param name="readings">The most readings that are told.</param>
    /// <param name="errs">The chance that a reading is wrong.</param>
    /// <param name="misses">The chance that a character can't be made out.</param>
    /// <param name="strategy">What is asked next.</param>
    /// <param name="random">Where chance comes from.</param>
    /// <param name="stopAt">The look ends as soon as a kind has this chance.</param>
    public LookResult Look(Taxon taxon, int readings, double errs, double misses, Strategy strategy, Random random, double stopAt = 1)
    {
        var circumstances = SomewhereOneDay(taxon, random);
        var plant = new SimulatedPlant(taxon, flora, circumstances, random);
        var observer = new SimulatedObserver(sieve.Flora, errs, misses, random);
        var question = new SieveQuestion { Circumstances = circumstances };
        var answer = sieve.Ask(question);
        var (told, effort) = (0, 0.0);
        while (told < readings && Choose(answer, question, strategy, random) is { } character)
        {
            var reading = observer.Read(plant, character);
            if (reading.Tells) told++;
            effort += character.Effort;
            question = question with { Readings = [.. question.Readings, reading] };
            answer = sieve.Ask(question);
            if (answer.Candidates[0].Probability >= stopAt) break;
        }
        return new LookResult(taxon, told, effort, answer, observer.Wrong);
    }

    /// <summary>One look in which everything that can be made out is read.</summary>
    public LookResult All(Taxon taxon, double errs, double misses, Random random)
    {
        var circumstances = SomewhereOneDay(taxon, random);
        var plant = new SimulatedPlant(taxon, flora, circumstances, random);
        var observer = new SimulatedObserver(sieve.Flora, errs, misses, random);
        Reading[] readings = [.. sieve.Flora.Characters.Select(character => observer.Read(plant, character)).Where(reading => reading.Tells)];
        var answer = sieve.Ask(new SieveQuestion { Circumstances = circumstances, Readings = readings });
        return new LookResult(taxon, readings.Length, readings.Sum(reading => sieve.Flora.Character(reading.Character).Effort), answer, observer.Wrong);
    }

    private Character? Choose(SieveAnswer answer, SieveQuestion question, Strategy strategy, Random random)
    {
        var looks = strategy == Strategy.IgnoringErrors ? unerring.Value.Ask(question).NextLooks.OrderByDescending(look => look.Bits).ToList() : answer.NextLooks;
        if (strategy == Strategy.ForgettingEffort) looks = looks.OrderByDescending(look => look.Bits * look.Chance).ToList();
        if (looks.Count == 0) return null;
        return strategy == Strategy.AnyOrder ? looks[random.Next(looks.Count)].Character : looks[0].Character;
    }

    // A look has a date in the growing season, a place where the kind grows, the likelier the commoner it is there, and it is known whether the plant
    // stands wild or was planted.
    private static Circumstances SomewhereOneDay(Taxon taxon, Random random)
    {
        string[] grows = [.. taxon.Distribution.Native, .. taxon.Distribution.Introduced];
        var at = random.NextDouble() * grows.Sum(code => taxon.AbundanceIn(code).Weight());
        var region = grows.FirstOrDefault(code => (at -= taxon.AbundanceIn(code).Weight()) < 0);
        return new() { Date = new LocalDate(2026, 5, 15).PlusDays(random.Next(120)), Region = region, Setting = taxon.Settings[random.Next(taxon.Settings.Count)] };
    }
}
