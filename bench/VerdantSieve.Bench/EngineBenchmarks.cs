using BenchmarkDotNet.Attributes;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Observing.Speech;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Bench;

/// <summary>The sieve alone on the shipped flora: no pages, no database.</summary>
[MemoryDiagnoser]
public class EngineBenchmarks
{
    private const string Sentence =
        "Leaves opposite, finely toothed, 5 to 8 inches long; twig green or reddish, limbs smooth, trunk furrowed, flurb. ";

    private readonly string page = string.Concat(Enumerable.Repeat(Sentence, 200))[..SpeechReader.Longest];
    private SpeechReader speech = null!;
    private Flora flora = null!;
    private Sieve sieve = null!;
    private SieveQuestion nothing = null!,
        three = null!,
        nine = null!;

    /// <summary>Reads the flora.</summary>
    [GlobalSetup]
    public void Read()
    {
        flora = Shipped.Flora();
        sieve = new Sieve(flora);
        Reading[] readings =
        [
            State("foliage", "broad"),
            State("arrangement", "alternate"),
            State("structure", "simple"),
            State("lobing", "pinnate"),
            State("lobe-tip", "rounded"),
            new Reading("blade-length", new Measured(9, 13, 5), Certainty.Fair),
            State("underside-hair", "sparse"),
            State("bark-pattern", "shallow-ridges"),
            State("end-bud", "clustered"),
        ];
        speech = new SpeechReader(flora, new VocabularyIndex(flora.Vocabulary));
        nothing = new SieveQuestion();
        three = new SieveQuestion { Readings = readings[..3] };
        nine = new SieveQuestion { Readings = readings };

        static Reading State(string character, string state) => new(character, new StatesSeen([state], StateMode.Is), Certainty.Fair);
    }

    /// <summary>Before any reading.</summary>
    [Benchmark]
    public SieveAnswer NothingRead() => sieve.Ask(nothing);

    /// <summary>After three readings.</summary>
    [Benchmark]
    public SieveAnswer ThreeReadings() => sieve.Ask(three);

    /// <summary>After nine readings.</summary>
    [Benchmark]
    public SieveAnswer NineReadings() => sieve.Ask(nine);

    /// <summary>A page of description, 20,000 letters of it.</summary>
    [Benchmark]
    public Heard ReadAPage() => speech.Read(page, new SpokenAbout(new LocalDate(2026, 8, 20)));

    /// <summary>Making the flora ready.</summary>
    [Benchmark]
    public Sieve MakeReady() => new(flora);
}
