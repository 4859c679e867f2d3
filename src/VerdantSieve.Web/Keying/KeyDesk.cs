using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Keys;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Simulating;

namespace VerdantSieve.Web.Keying;

/// <summary>Makes keys, and keeps the last ones: whoever works one asks for it again at every step.</summary>
public sealed class KeyDesk
{
    private const int MostKept = 60;

    // So many made-up plants, and an observer who misreads one statement in twenty beside using words as loosely as people do.
    private const int Plants = 240;
    private const double Errs = 0.05;

    private readonly ConcurrentDictionary<string, Lazy<Key>> kept = new();
    private readonly ConditionalWeakTable<Key, Lazy<KeyScore>> scores = [];

    /// <summary>How a key fares with an ordinary observer, beside the sieve on the same plants; worked out once for each key.</summary>
    /// <param name="open">The flora.</param>
    /// <param name="key">The key.</param>
    /// <param name="region">Where the plants stand; null anywhere.</param>
    public KeyScore QualityOf(OpenFlora open, Key key, string? region) =>
        scores
            .GetValue(
                key,
                _ => new Lazy<KeyScore>(() =>
                    new KeyTrial(open.Flora, open.Sieve, SieveModel.Standard).Run(
                        key,
                        new Circumstances { Region = region, Date = DayIn(key.Season) },
                        Errs,
                        Math.Max(1, Plants / key.Taxa.Count),
                        1
                    )
                )
            )
            .Value;

    private static LocalDate DayIn(KeySeason season) =>
        season switch
        {
            KeySeason.Leaf => new(2026, 7, 1),
            KeySeason.Flower => new(2026, 5, 10),
            KeySeason.Fruit => new(2026, 9, 15),
            KeySeason.Winter => new(2026, 1, 20),
        };

    /// <summary>The key for some kinds.</summary>
    public Key Of(OpenFlora open, IReadOnlyList<Taxon> taxa, KeySeason season)
    {
        var about = open.Flora.About;
        var of = $"{about.Id} {about.Edition} {season} {string.Join('|', taxa.Select(taxon => taxon.Name.Text))}";
        if (kept.Count >= MostKept)
            kept.Clear();
        return kept.GetOrAdd(of, _ => new Lazy<Key>(() => new KeyBuilder(open.Flora).Build(taxa, season))).Value;
    }
}
