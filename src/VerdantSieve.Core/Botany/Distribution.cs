using System.Text.Json.Serialization;

namespace VerdantSieve.Core.Botany;

/// <summary>Where a taxon grows, as level 3 codes of the World Geographical Scheme for Recording Plant Distributions.</summary>
public sealed record Distribution
{
    private readonly HashSet<string> native,
        introduced;

    /// <summary>Where a taxon grows.</summary>
    /// <param name="native">The countries it is native to.</param>
    /// <param name="introduced">The countries it was brought to.</param>
    /// <exception cref="ArgumentException">A country stands twice.</exception>
    [JsonConstructor]
    public Distribution(IReadOnlyList<string> native, IReadOnlyList<string> introduced)
    {
        (Native, Introduced) = (native, introduced);
        (this.native, this.introduced) = ([.. native], [.. introduced]);
        if (this.native.Count + this.introduced.Count < native.Count + introduced.Count || this.native.Overlaps(introduced))
            throw new ArgumentException("A country is in one of the lists, once.", nameof(introduced));
    }

    /// <summary>Nothing is known of where it grows.</summary>
    public static Distribution NotGiven { get; } = new([], []);

    /// <summary>The countries it is native to.</summary>
    public IReadOnlyList<string> Native { get; }

    /// <summary>The countries it was brought to.</summary>
    public IReadOnlyList<string> Introduced { get; }

    /// <summary>How common it is in those countries where it is not as common as elsewhere.</summary>
    public IReadOnlyDictionary<string, Abundance> Local { get; init; } = new Dictionary<string, Abundance>();

    /// <summary>All countries it grows in, those it is native to first.</summary>
    [JsonIgnore]
    public IEnumerable<string> Countries => Native.Concat(Introduced);

    /// <summary>Whether it grows in the country, native or not.</summary>
    public bool Includes(string code) => native.Contains(code) || introduced.Contains(code);

    /// <summary>Whether it was brought to the country.</summary>
    public bool IsIntroducedTo(string code) => introduced.Contains(code);
}
