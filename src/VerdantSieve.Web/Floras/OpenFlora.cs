using System.Collections.Concurrent;
using System.Collections.Frozen;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Web;

/// <summary>A flora in use, made ready for sieving once, and again when a curator changes it. A request that took the flora before a change
/// goes on with it to its end.</summary>
/// <param name="flora">The flora.</param>
/// <param name="isOwn">Whether it was made or brought in here; else it is the shipped one.</param>
public sealed class OpenFlora(Flora flora, bool isOwn = false)
{
    private volatile FloraInUse now = new(flora);

    /// <summary>Whether it was made or brought in here; else it is the shipped one.</summary>
    public bool IsOwn => isOwn;

    /// <summary>What an address says to name this flora; null for the shipped one, which needs no naming.</summary>
    public string? Named => isOwn ? Flora.About.Id : null;

    /// <summary>An address of the application, with this flora named in it where it is not the shipped one.</summary>
    public string At(string address)
    {
        if (Named is not { } id) return address;
        var (path, fragment) = address.IndexOf('#') is >= 0 and var hash ? (address[..hash], address[hash..]) : (address, "");
        return $"{path}{(path.Contains('?') ? '&' : '?')}flora={id}{fragment}";
    }

    /// <summary>The flora.</summary>
    public Flora Flora => now.Sieve.Flora;

    /// <summary>The key over it.</summary>
    public Sieve Sieve => now.Sieve;

    /// <summary>What it lacks; null until that has been worked out.</summary>
    public FloraReport? ReportIfReady => now.Report is { IsCompletedSuccessfully: true } report ? report.Result : null;

    /// <summary>Puts a changed flora in the place of the one in use.</summary>
    public void Replace(Flora changed)
    {
        now = new FloraInUse(changed);
        StartReport();
    }

    /// <summary>Works out, beside all else, what the flora in use lacks, unless that has been begun.</summary>
    public void StartReport() => now.StartReport();

    /// <summary>The taxon of an address, or null.</summary>
    public Taxon? FindBySlug(string? slug) => slug is null ? null : now.BySlug.GetValueOrDefault(slug.ToLowerInvariant());

    /// <summary>The few taxa most like this one. Worked out once for each.</summary>
    public IReadOnlyList<Taxon> MostLike(Taxon taxon) => now.MostLike.GetOrAdd(taxon.Name, static (_, given) => [.. given.now.Likeness.Nearest(given.taxon).Take(4).Select(pair => pair.Taxon)], (now, taxon));

    /// <summary>The characters by part of the plant, in the order of the work.</summary>
    public IReadOnlyList<(string Part, IReadOnlyList<Character> Characters)> Parts => now.Parts;

    /// <summary>Maps a value of a range to hundredths of the span that the whole flora takes up, by its logarithm; null where it takes up none.</summary>
    public Func<double, double>? Scale(Character character) => now.Scales.GetValueOrDefault(character.Id);

    /// <summary>The likeness of a taxon as a file, drawn once.</summary>
    public byte[] Likeness(Taxon taxon, Func<Taxon, byte[]> draw) => now.Likenesses.GetOrAdd(taxon.Name, static (_, given) => given.draw(given.taxon), (taxon, draw));

    /// <summary>Taxa that go by the words, the nearest names first; where none does, those whose names are spelt nearly so.</summary>
    public IReadOnlyList<Taxon> FindTaxa(string words) => now.Names.Find(words).Taxa;

    /// <summary>As above, with whether all of them are only spelt nearly so.</summary>
    public (IReadOnlyList<Taxon> Taxa, bool Misspelt) FindTaxaOrNear(string words) => now.Names.Find(words);

    /// <summary>Characters whose label, question or states hold the words.</summary>
    public IEnumerable<Character> FindCharacters(string words) => Flora.Characters.Where(character => Holds(words, character.Label)
        || Holds(words, character.Question) || (character is StateCharacter states && states.States.Any(state => Holds(words, state.Label) || Holds(words, state.Id))));

    /// <summary>Asks what looks often ask, so that the first person need not wait for code to be compiled.</summary>
    public void WarmUp()
    {
        var plant = new Random(1);
        var recovery = new Core.Simulating.Recovery(Sieve, Flora);
        foreach (var taxon in Flora.Taxa.Take(WarmingLooks)) recovery.Look(taxon, 8, 0.1, 0.1, Core.Simulating.Strategy.NextLook, plant);
    }

    private const int WarmingLooks = 12;

    private static bool Holds(string words, string text) =>
        words.Split(' ', StringSplitOptions.RemoveEmptyEntries).All(word => text.Contains(word, StringComparison.OrdinalIgnoreCase));

    // All that is worked out from one form of the flora.
    private sealed class FloraInUse
    {
        public FloraInUse(Flora flora)
        {
            Sieve = new Sieve(flora);
            BySlug = flora.Taxa.ToFrozenDictionary(taxon => taxon.Name.Slug);
            Likeness = new Likeness(flora);
            Names = new NameIndex(flora);
            Parts = [.. flora.Characters.GroupBy(character => character.Part).Select(group => (group.Key, (IReadOnlyList<Character>)[.. group]))];
            Scales = flora.Characters.Select(character => (character.Id, Scale: ScaleOf(flora, character))).Where(pair => pair.Scale is not null).ToFrozenDictionary(pair => pair.Id, pair => pair.Scale!);
        }

        public Sieve Sieve { get; }
        public FrozenDictionary<string, Taxon> BySlug { get; }
        public Likeness Likeness { get; }
        public NameIndex Names { get; }
        public ConcurrentDictionary<ScientificName, IReadOnlyList<Taxon>> MostLike { get; } = new();
        public ConcurrentDictionary<ScientificName, byte[]> Likenesses { get; } = new();
        public IReadOnlyList<(string Part, IReadOnlyList<Character> Characters)> Parts { get; }
        public Task<FloraReport>? Report { get; private set; }
        public FrozenDictionary<string, Func<double, double>> Scales { get; }

        public void StartReport()
        {
            lock (Parts) Report ??= Task.Run(() => FloraReport.Of(Sieve));
        }

        private static Func<double, double>? ScaleOf(Flora flora, Character character)
        {
            const double tiny = 1e-3;
            var ranges = flora.Taxa.Select(taxon => taxon.Scores.GetValueOrDefault(character.Id)).OfType<RangeScore>().ToArray();
            if (ranges.Length == 0) return null;
            var (low, high) = (Math.Log(ranges.Min(range => Math.Max(range.Minimum, tiny))), Math.Log(ranges.Max(range => range.Maximum)));
            return high - low < 1e-6 ? null : value => 100 * (Math.Log(Math.Max(value, tiny)) - low) / (high - low);
        }
    }
}
