using System.Collections.Concurrent;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Keys;

namespace VerdantSieve.Web.Keying;

/// <summary>Makes keys, and keeps the last ones: whoever works one asks for it again at every step.</summary>
public sealed class KeyDesk
{
    private const int MostKept = 60;

    private readonly ConcurrentDictionary<string, Lazy<Key>> kept = new();

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
