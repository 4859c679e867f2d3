using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Simulating;

namespace VerdantSieve.Core.Practising;

/// <summary>The record of a made-up plant: where and when it was found, and what can be asked of it, each at its cost. It is the same
/// whatever is asked first.</summary>
public sealed class PlantRecord
{
    // Whoever wrote it down saw what was there, nearly always; of each character it is kept, or not.
    private const double Errs = 0.02,
        Gaps = 0.3;

    // From here on the name stands.
    private const double Settled = 0.9;

    private const int MostAsked = 40;

    private readonly Sieve sieve;
    private readonly IReadOnlyDictionary<string, Reading> readings;

    /// <summary>Makes the record of an exercise.</summary>
    /// <param name="sieve">The sieve over the flora.</param>
    /// <param name="taxon">The kind the plant is of.</param>
    /// <param name="region">The country it stands in.</param>
    /// <param name="seed">Where chance comes from.</param>
    public PlantRecord(Sieve sieve, Taxon taxon, string region, int seed)
    {
        (this.sieve, Taxon) = (sieve, taxon);
        var random = new Random(seed);
        Where = new Circumstances { Region = region, Date = new LocalDate(2026, 5, 10).PlusDays(random.Next(140)) };
        var plant = new SimulatedPlant(taxon, sieve.Flora, Where, random, SieveModel.Standard);
        var observer = new SimulatedObserver(sieve.Flora, Errs, Gaps, random, SieveModel.Standard);
        readings = sieve
            .Flora.Characters.Where(character => character is not SeasonCharacter)
            .Select(character => observer.Read(plant, character))
            .ToDictionary(reading => reading.Character);
    }

    /// <summary>What it is.</summary>
    public Taxon Taxon { get; }

    /// <summary>Where and when it was found.</summary>
    public Circumstances Where { get; }

    /// <summary>What the record says of a character: "can't tell" where it says nothing.</summary>
    public Reading Ask(Character character) => readings[character.Id];

    /// <summary>What can be asked, in the order of the work.</summary>
    public IEnumerable<Character> Askable => sieve.Flora.Characters.Where(character => readings.ContainsKey(character.Id));

    /// <summary>The question that what was asked comes to; what told nothing is left out.</summary>
    public SieveQuestion Question(IEnumerable<string> asked) =>
        new()
        {
            Circumstances = Where,
            Readings = [.. asked.Distinct().Select(readings.GetValueOrDefault).OfType<Reading>().Where(reading => reading.Tells)],
        };

    /// <summary>What the sieve asks of the same record, in its order, until it names a kind or has nothing left to ask.</summary>
    public IReadOnlyList<Character> SieveAsks()
    {
        var asked = new List<Character>();
        while (asked.Count < MostAsked)
        {
            var seen = asked.Select(character => character.Id).ToHashSet();
            var answer = sieve.Ask(Question(seen));
            // What told nothing stays a look that was made.
            if (
                answer.Candidates[0].Probability >= Settled
                || answer.NextLooks.FirstOrDefault(look => !seen.Contains(look.Character.Id) && readings.ContainsKey(look.Character.Id))
                    is not { } next
            )
                break;
            asked.Add(next.Character);
        }
        return asked;
    }

    /// <summary>What all of the record says.</summary>
    public SieveAnswer Whole => whole ??= sieve.Ask(Question(readings.Keys));

    private SieveAnswer? whole;

    /// <summary>Whether all of the record names the kind; where it does not, "can't tell from this" is right.</summary>
    public bool CanBeTold => Whole.Candidates[0] is { Probability: >= Settled } first && first.Taxon == Taxon;

    /// <summary>Whether a name is that of the plant: of its species or aggregate too, since those may be all that is asked.</summary>
    public bool IsNamed(string name) => name == Taxon.Name.Text || name == Taxon.Name.Species.Text || name == Taxon.Aggregate;

    /// <summary>Judges a name, or "can't tell" where it is null.</summary>
    public Answer Judge(Taxon? said, Certainty certainty) =>
        said is null
            ? new Answer("", CanBeTold ? Taxon.Name.Text : "", !CanBeTold, false, certainty)
            : new Answer(
                said.Name.Text,
                Taxon.Name.Text,
                IsNamed(said.Name.Text),
                said.Name.Genus == Taxon.Name.Genus || Taxon.Doubles.Any(other => other.Name == said.Name.Text),
                certainty
            );

    /// <summary>The reasoning laid open, against what the plant was taken for or, where it was named right, what is nearest to
    /// it.</summary>
    public RecordReasoning Reason(IReadOnlyList<string> asked, Taxon? said)
    {
        var question = Question(asked);
        var answer = sieve.Ask(question);
        var rival =
            said is not null && !IsNamed(said.Name.Text) ? said : answer.Candidates.First(candidate => candidate.Taxon != Taxon).Taxon;
        var bearings = Against(rival, question);
        var rest = Question(readings.Keys.Except(asked));
        return new RecordReasoning(
            rival,
            answer.Candidates.First(candidate => candidate.Taxon == Taxon).Probability,
            Best(bearings.Where(pair => pair.Bits > 0)),
            Best(bearings.Where(pair => pair.Bits < 0)),
            Best(Against(rival, rest).Where(pair => pair.Bits > 0)),
            SieveAsks()
        );
    }

    private IReadOnlyList<Weighing> Against(Taxon rival, SieveQuestion question) =>
        [
            .. sieve
                .Bearings(Taxon, question)
                .Zip(sieve.Bearings(rival, question))
                .Select(pair => new Weighing(pair.First.Reading, pair.First.Bits - pair.Second.Bits)),
        ];

    private const double Tells = 0.5;
    private const int Most = 3;

    private static IReadOnlyList<Weighing> Best(IEnumerable<Weighing> all) =>
        [.. all.Where(pair => Math.Abs(pair.Bits) >= Tells).OrderByDescending(pair => Math.Abs(pair.Bits)).Take(Most)];
}

/// <summary>What a reading tells between two kinds.</summary>
/// <param name="Reading">The reading.</param>
/// <param name="Bits">How far it speaks for the plant’s own kind: the log, base 2, of how much likelier that makes it than the rival
/// does.</param>
public sealed record Weighing(Reading Reading, double Bits)
{
    /// <summary>How many times as likely the kind it speaks for makes it: 1 where it speaks for neither.</summary>
    public double Times => Math.Pow(2, Math.Abs(Bits));
}

/// <summary>How a record was to be reasoned about.</summary>
/// <param name="Rival">The kind it was taken for, or the nearest to it.</param>
/// <param name="Standing">The chance of the plant’s own kind after what was asked.</param>
/// <param name="Decisive">What was asked and spoke for it most.</param>
/// <param name="Misled">What was asked and spoke against it.</param>
/// <param name="Sooner">What was not asked and would have spoken for it most.</param>
/// <param name="SieveAsked">What the sieve asks of the same record.</param>
public sealed record RecordReasoning(
    Taxon Rival,
    double Standing,
    IReadOnlyList<Weighing> Decisive,
    IReadOnlyList<Weighing> Misled,
    IReadOnlyList<Weighing> Sooner,
    IReadOnlyList<Character> SieveAsked
);
