using System.Text.Json.Serialization;

namespace VerdantSieve.Core.Botany;

/// <summary>Where a taxon grows, as level 3 codes of the World Geographical Scheme for Recording Plant Distributions. A country is in one
/// of the lists, once.</summary>
public sealed record Distribution
{
    private readonly Dictionary<string, Occurrence> occurrences = [];

    /// <summary>Where a taxon grows.</summary>
    /// <param name="native">The countries it is native to.</param>
    /// <param name="runWild">The countries it was brought to and has run wild in.</param>
    /// <param name="planted">The countries it is no more than planted in.</param>
    /// <param name="absent">The countries it was looked for and not found in.</param>
    /// <exception cref="ArgumentException">A country stands twice.</exception>
    [JsonConstructor]
    public Distribution(
        IReadOnlyList<string>? native,
        IReadOnlyList<string>? runWild,
        IReadOnlyList<string>? planted = null,
        IReadOnlyList<string>? absent = null
    )
    {
        Native = Listed(native, Occurrence.Native);
        RunWild = Listed(runWild, Occurrence.RunWild);
        Planted = Listed(planted, Occurrence.Planted);
        Absent = Listed(absent, Occurrence.Absent);

        IReadOnlyList<string> Listed(IReadOnlyList<string>? codes, Occurrence occurrence)
        {
            foreach (var code in codes ?? [])
                if (!occurrences.TryAdd(code, occurrence))
                    throw new ArgumentException($"{code} stands twice: a country is in one of the lists, once.", nameof(native));
            return [.. (codes ?? []).Order(StringComparer.Ordinal)];
        }
    }

    /// <summary>Nothing is known of where it grows.</summary>
    public static Distribution NotGiven { get; } = new([], []);

    /// <summary>The countries it is native to.</summary>
    public IReadOnlyList<string> Native { get; }

    /// <summary>The countries it was brought to and has run wild in.</summary>
    public IReadOnlyList<string> RunWild { get; }

    /// <summary>The countries it is no more than planted in.</summary>
    public IReadOnlyList<string> Planted { get; }

    /// <summary>The countries it was looked for and not found in, beside those that <see cref="Looked"/> speaks for.</summary>
    public IReadOnlyList<string> Absent { get; }

    /// <summary>Whether every country that the flora keys has been gone through, so that one which stands in no list is one where it does
    /// not grow.</summary>
    public bool Looked { get; init; }

    /// <summary>Whether it is planted in towns all over the temperate zone, so that a country in no list is not one without it.</summary>
    public bool PlantedWidely { get; init; }

    /// <summary>How common it is in those countries where it is not as common as elsewhere.</summary>
    public IReadOnlyDictionary<string, Abundance> Local { get; init; } = new Dictionary<string, Abundance>();

    /// <summary>The countries it was brought to, whether it has run wild there or not.</summary>
    [JsonIgnore]
    public IEnumerable<string> Introduced => RunWild.Concat(Planted);

    /// <summary>All countries it grows in, those it is native to first.</summary>
    [JsonIgnore]
    public IEnumerable<string> Countries => Native.Concat(Introduced);

    /// <summary>How it stands in a country by these lists alone; see <see cref="Flora.OccurrenceOf"/> for what the flora knows
    /// beside.</summary>
    public Occurrence In(string code) => occurrences.GetValueOrDefault(code, Occurrence.NotLooked);

    /// <summary>Whether it grows in the country, native or not.</summary>
    public bool Includes(string code) => In(code) is Occurrence.Native or Occurrence.RunWild or Occurrence.Planted;

    /// <summary>Whether it was brought to the country.</summary>
    public bool IsIntroducedTo(string code) => In(code) is Occurrence.RunWild or Occurrence.Planted;

    /// <inheritdoc/>
    public bool Equals(Distribution? other) =>
        other is not null
        && occurrences.Count == other.occurrences.Count
        && occurrences.All(pair => other.In(pair.Key) == pair.Value)
        && Looked == other.Looked
        && PlantedWidely == other.PlantedWidely
        && Local.Count == other.Local.Count
        && Local.All(pair => other.Local.TryGetValue(pair.Key, out var there) && there == pair.Value);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Native.Count, RunWild.Count, Planted.Count, Native.FirstOrDefault());
}
