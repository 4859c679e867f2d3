using System.Collections.Concurrent;
using System.Collections.Frozen;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Drawing.Plates;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing.Speech;
using VerdantSieve.Core.Practising;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Views.Drawings;

namespace VerdantSieve.Views;

/// <summary>One edition of a flora in use, with all that is worked out from it. It never changes: a change makes another, which the
/// <see cref="FloraShelf"/> puts in its place, and a request that took this one goes on with it to its end.</summary>
public sealed class OpenFlora
{
    private const int ShownAsMostLike = 4;

    private readonly FrozenDictionary<string, Taxon> bySlug;
    private readonly FrozenDictionary<string, LogScale> scales;
    private readonly FrozenDictionary<string, (int Least, int Most)> counts;
    private readonly Likeness likeness;
    private readonly NameIndex names;
    private readonly VocabularyIndex vocabulary;
    private readonly Lazy<Task<FloraReport>> report;
    private readonly Lazy<Poser> poser;

    // Worked out when first asked for; what comes of it is the same whoever asks.
    private readonly ConcurrentDictionary<ScientificName, IReadOnlyList<Taxon>> mostLike = new();
    private readonly ConcurrentDictionary<ScientificName, byte[]> drawings = new();
    private readonly ConcurrentDictionary<ScientificName, KeptPlate> plates = new();

    /// <summary>Makes a flora ready.</summary>
    /// <param name="flora">The flora.</param>
    /// <param name="drawn">The vocabulary that drawings were made for: the shipped flora's.</param>
    /// <param name="isOwn">Whether it was made or brought in here; else it is the shipped one.</param>
    public OpenFlora(Flora flora, Vocabulary drawn, bool isOwn = false)
    {
        (Sieve, IsOwn) = (new Sieve(flora), isOwn);
        Drawn = new DrawnVocabulary(flora.Vocabulary, drawn);
        bySlug = flora.Taxa.ToFrozenDictionary(taxon => taxon.Name.Slug);
        likeness = new Likeness(flora);
        names = new NameIndex(flora);
        vocabulary = new VocabularyIndex(flora.Vocabulary);
        Speech = new SpeechReader(flora, vocabulary);
        Parts = [.. flora.Characters.GroupBy(character => character.Part).Select(group => new PlantPart(group.Key, [.. group]))];
        scales = flora
            .Characters.Select(character => (character.Id, Scale: ScaleOf(flora, character)))
            .Where(pair => pair.Scale is not null)
            .ToFrozenDictionary(pair => pair.Id, pair => pair.Scale!);
        counts = flora.Characters.OfType<CountCharacter>().ToFrozenDictionary(count => count.Id, count => CountsOf(flora, count));
        Families =
        [
            .. flora
                .Taxa.Select(taxon => taxon.Family)
                .OfType<string>()
                .CountBy(family => family)
                .OrderBy(pair => pair.Key, StringComparer.Ordinal),
        ];
        poser = new Lazy<Poser>(() => new Poser(Sieve, Drawn));
        report = new Lazy<Task<FloraReport>>(() => Task.Run(() => FloraReport.Of(Sieve, Drawn)));
    }

    /// <summary>Whether it was made or brought in here; else it is the shipped one.</summary>
    public bool IsOwn { get; }

    /// <summary>What an address says to name this flora; null for the shipped one, which needs no naming.</summary>
    public string? Named => IsOwn ? Flora.About.Id : null;

    /// <summary>The flora.</summary>
    public Flora Flora => Sieve.Flora;

    /// <summary>The key over it.</summary>
    public Sieve Sieve { get; }

    /// <summary>Poses exercises of this flora.</summary>
    public Poser Poser => poser.Value;

    /// <summary>Reads what people say of a plant in this flora's words.</summary>
    public SpeechReader Speech { get; }

    /// <summary>What of it is drawn.</summary>
    public DrawnVocabulary Drawn { get; }

    /// <summary>The characters by part of the plant, in the order of the work.</summary>
    public IReadOnlyList<PlantPart> Parts { get; }

    /// <summary>The families by name, each with how many kinds it has here.</summary>
    public IReadOnlyList<KeyValuePair<string, int>> Families { get; }

    /// <summary>What it lacks; null until that has been worked out.</summary>
    public FloraReport? ReportIfReady =>
        report is { IsValueCreated: true, Value: { IsCompletedSuccessfully: true } ready } ? ready.Result : null;

    /// <summary>Works out, beside all else, what the flora lacks, unless that has been begun.</summary>
    public void StartReport() => _ = report.Value;

    /// <summary>The taxon of an address, or null.</summary>
    public Taxon? FindBySlug(string? slug) => slug is null ? null : bySlug.GetValueOrDefault(slug.ToLowerInvariant());

    /// <summary>The few taxa most like this one. Worked out once for each.</summary>
    public IReadOnlyList<Taxon> MostLike(Taxon taxon) =>
        mostLike.GetOrAdd(
            taxon.Name,
            static (_, given) => [.. given.likeness.Nearest(given.taxon).Take(ShownAsMostLike).Select(pair => pair.Taxon)],
            (likeness, taxon)
        );

    /// <summary>Where values of a range stand in the span that the whole flora takes up; null where it takes up none.</summary>
    public LogScale? Scale(Character character) => scales.GetValueOrDefault(character.Id);

    /// <summary>The least and the most of a count that a kind of the flora has.</summary>
    public (int Least, int Most) CountsOf(CountCharacter character) => counts[character.Id];

    private static (int Least, int Most) CountsOf(Flora flora, CountCharacter character)
    {
        RangeScore[] ranges = [.. flora.Taxa.Select(taxon => taxon.Score(character.Id)).OfType<RangeScore>()];
        return ranges.Length == 0
            ? (1, 1)
            : ((int)Math.Floor(ranges.Min(range => range.Minimum)), (int)Math.Ceiling(ranges.Max(range => range.Maximum)));
    }

    /// <summary>The drawing of a taxon as a file, made once.</summary>
    public byte[] Drawing(Taxon taxon, Func<LeafForm, byte[]> draw) =>
        drawings.GetOrAdd(taxon.Name, static (_, given) => given.draw(given.Drawn.FormOf(given.taxon)), (draw, Drawn, taxon));

    /// <summary>The plate of a taxon as it is shown, made once.</summary>
    public KeptPlate Plate(Taxon taxon) =>
        plates.GetOrAdd(taxon.Name, static (_, given) => KeptPlate.Of(PlateComposer.Of(given.taxon, given.Drawn)), (Drawn, taxon));

    /// <summary>Taxa that go by the words, the nearest names first; where none does, those whose names are spelt nearly so, which is then
    /// said.</summary>
    public (IReadOnlyList<Taxon> Taxa, bool Misspelt) FindTaxa(string words) => names.Find(words);

    /// <summary>Characters and states that go by the words, best first.</summary>
    public IReadOnlyList<VocabularyWord> FindWords(string words) => vocabulary.Find(words);

    /// <summary>Characters that go by the words themselves or by one of their states, best first.</summary>
    public IEnumerable<Character> FindCharacters(string words) => FindWords(words).Select(word => word.Character).Distinct();

    private static LogScale? ScaleOf(Flora flora, Character character) =>
        LogScale.Over(
            flora.Taxa.Select(taxon => taxon.Score(character.Id)).OfType<RangeScore>().Select(range => (range.Minimum, range.Maximum))
        );
}

/// <summary>The characters of one part of the plant.</summary>
/// <param name="Part">The part; null where the flora does not say.</param>
/// <param name="Characters">Its characters, in the order of the work.</param>
public sealed record PlantPart(string? Part, IReadOnlyList<Character> Characters);
