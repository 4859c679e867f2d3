using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Botany;

/// <summary>What a flora says of itself.</summary>
public sealed record FloraAbout(string Id, string Title)
{
    /// <summary>The number of the edition, which a determination cites.</summary>
    public int Edition { get; init; } = 1;

    /// <summary>The place the flora's seasons hold for, where a taxon names no other.</summary>
    public Place ReferencePlace { get; init; } = new("northern Oregon near sea level", new Position(45.5, -122.7, 60));

    /// <summary>Further places, by id, that a taxon's seasons may hold for.</summary>
    public IReadOnlyDictionary<string, Place> Places { get; init; } = new Dictionary<string, Place>();

    /// <summary>The countries it is meant to name any plant of its kind in: where each taxon says whether it grows there.</summary>
    public IReadOnlyList<string> Keyed { get; init; } = [];

    /// <summary>Plain names of genera.</summary>
    public IReadOnlyDictionary<string, string> GenusWords { get; init; } = new Dictionary<string, string>();

    /// <summary>Plain names of families.</summary>
    public IReadOnlyDictionary<string, string> FamilyWords { get; init; } = new Dictionary<string, string>();

    /// <summary>The aggregates by name, each with the sentence that says why its members are not parted.</summary>
    public IReadOnlyDictionary<string, string> Aggregates { get; init; } = new Dictionary<string, string>();

    /// <summary>Scores written once for a genus, a group within one, or all taxa.</summary>
    public IReadOnlyList<SharedScores> Shared { get; init; } = [];

    /// <summary>The genera whose leaves are near alike, each with the sentence that says what to look at instead.</summary>
    public IReadOnlyDictionary<string, string> NearAlike { get; init; } = new Dictionary<string, string>();

    /// <summary>How many kinds of a genus grow, wild or planted, where the flora is for, that it does not hold; where a genus is not named
    /// that is not known.</summary>
    /// <exception cref="ArgumentOutOfRangeException">A number is below 0.</exception>
    public IReadOnlyDictionary<string, int> MissingKinds
    {
        get;
        init =>
            field = value.Values.All(number => number >= 0)
                ? value
                : throw new ArgumentOutOfRangeException(nameof(MissingKinds), "Kinds that are missing are counted from 0 on.");
    } = new Dictionary<string, int>();
}
