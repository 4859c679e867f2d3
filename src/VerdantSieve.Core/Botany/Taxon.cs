using System.Text.Json.Serialization;

namespace VerdantSieve.Core.Botany;

/// <summary>A kind of plant in a flora, with all its scores.</summary>
public sealed record Taxon(ScientificName Name)
{
    private static readonly IReadOnlyDictionary<string, Score> None = new Dictionary<string, Score>();

    /// <summary>Its rank: nearly always species.</summary>
    public TaxonRank Rank { get; init; } = TaxonRank.Species;

    /// <summary>The author of the name; null where the flora does not say.</summary>
    public required string? Authority { get; init; }

    /// <summary>The family, for example Sapindaceae; null where the flora does not say.</summary>
    public required string? Family { get; init; }

    /// <summary>A section or informal group within the genus; null where none is drawn.</summary>
    public string? Group { get; init; }

    /// <summary>The aggregate it belongs to, whose members authorities or observers do not part; null where there is none.</summary>
    public string? Aggregate { get; init; }

    /// <summary>The names of the two parents of a hybrid; empty for all else.</summary>
    /// <exception cref="ArgumentException">There is one, or there are more than two.</exception>
    public IReadOnlyList<string> HybridOf
    {
        get;
        init => field = value.Count is 0 or 2 ? value : throw new ArgumentException("A hybrid has two parents.", nameof(HybridOf));
    } = [];

    /// <summary>Common names, the most used first. Never empty.</summary>
    /// <exception cref="ArgumentException">There is none.</exception>
    public required IReadOnlyList<string> CommonNames
    {
        get;
        init => field = value.Count > 0 ? value : throw new ArgumentException("A taxon has at least one common name.", nameof(CommonNames));
    }

    /// <summary>Other scientific names it has gone under.</summary>
    public IReadOnlyList<string> Synonyms { get; init; } = [];

    /// <summary>Where it grows.</summary>
    public required Distribution Distribution { get; init; }

    /// <summary>The settings it is met in where it is native or has run wild. Never empty.</summary>
    /// <exception cref="ArgumentException">There is none.</exception>
    public required IReadOnlyList<Setting> Settings
    {
        get;
        init => field = value.Count > 0 ? value : throw new ArgumentException("A taxon is met wild, planted or both.", nameof(Settings));
    }

    /// <summary>How common it is where it grows.</summary>
    public Abundance Abundance { get; init; } = Abundance.Frequent;

    /// <summary>How common it is in one country.</summary>
    public Abundance AbundanceIn(string code) => Distribution.Local.TryGetValue(code, out var local) ? local : Abundance;

    /// <summary>Whether it belongs to a genus, a family or a group of that name, whatever the case.</summary>
    public bool IsOf(string group)
    {
        bool Is(string? name) => string.Equals(name, group, StringComparison.OrdinalIgnoreCase);
        return Is(Name.Genus) || Is(Family) || Is(Group);
    }

    /// <summary>Whether it is met in a setting where it stands so: what is no more than planted is met planted.</summary>
    public bool IsMet(Setting setting, Occurrence occurrence) =>
        occurrence == Occurrence.Planted ? setting == Setting.Planted : Settings.Contains(setting);

    /// <summary>The id of the place its flowering and fruiting windows hold for; null for the flora’s own reference place.</summary>
    public string? WindowsAt { get; init; }

    /// <summary>How it can hurt.</summary>
    public IReadOnlyList<Hazard> Hazards { get; init; } = [];

    /// <summary>What it is taken for.</summary>
    public IReadOnlyList<PlantDouble> Doubles { get; init; } = [];

    /// <summary>Its garden forms.</summary>
    public IReadOnlyList<PlantForm> Forms { get; init; } = [];

    /// <summary>One line to remember it by.</summary>
    public string Remember { get; init; } = "";

    /// <summary>What its scientific name means, in one line; empty where that is not said.</summary>
    public string Meaning { get; init; } = "";

    /// <summary>Where the values come from.</summary>
    public required string Provenance { get; init; }

    /// <summary>What the flora says of the taxon itself, by character id.</summary>
    [JsonIgnore]
    public IReadOnlyDictionary<string, Score> OwnScores
    {
        get;
        init
        {
            field = value;
            Scores = Together();
        }
    } = None;

    /// <summary>What a hybrid takes from its parents for want of scores of its own, by character id; the flora sets it.</summary>
    [JsonIgnore]
    public IReadOnlyDictionary<string, Score> InferredScores
    {
        get;
        internal init
        {
            field = value;
            Scores = Together();
        }
    } = None;

    /// <summary>What it shares with its genus or with all taxa, by character id, and how it comes by it; the flora sets it.</summary>
    [JsonIgnore]
    internal IReadOnlyDictionary<string, (Score Score, ScoreBasis Basis)> Shared
    {
        get;
        init
        {
            field = value;
            Scores = Together();
        }
    } = NothingShared;

    internal static readonly IReadOnlyDictionary<string, (Score Score, ScoreBasis Basis)> NothingShared =
        new Dictionary<string, (Score Score, ScoreBasis Basis)>();

    /// <summary>What is unsure of single scores, or where they are from, in words by character id.</summary>
    public IReadOnlyDictionary<string, string> Notes { get; init; } = new Dictionary<string, string>();

    /// <summary>All scores by character id: its own, those inferred from parents, and those it shares.</summary>
    [JsonIgnore]
    public IReadOnlyDictionary<string, Score> Scores { get; private init; } = None;

    /// <summary>All that was entered for it or for those it shares with: its scores without those inferred from parents.</summary>
    [JsonIgnore]
    public IEnumerable<KeyValuePair<string, Score>> EnteredScores => Scores.Where(pair => BasisOf(pair.Key) != ScoreBasis.Parents);

    /// <summary>The taxon with nothing but what was entered for itself.</summary>
    [JsonIgnore]
    internal Taxon ByItself => this with { InferredScores = None, Shared = NothingShared };

    /// <summary>How it comes by its score of a character; null where it has none.</summary>
    public ScoreBasis? BasisOf(string character)
    {
        if (OwnScores.ContainsKey(character))
            return ScoreBasis.Own;
        if (InferredScores.ContainsKey(character))
            return ScoreBasis.Parents;
        return Shared.TryGetValue(character, out var shared) ? shared.Basis : null;
    }

    /// <summary>The score for a character; null where there is none.</summary>
    public Score? Score(string character) => Scores.GetValueOrDefault(character);

    /// <summary>The most used common name.</summary>
    [JsonIgnore]
    public string CommonName => CommonNames[0];

    /// <summary>Whether it is a hybrid.</summary>
    [JsonIgnore]
    public bool IsHybrid => HybridOf.Count > 0;

    /// <summary>Whether touching the plant can hurt the skin.</summary>
    [JsonIgnore]
    public bool HurtsOnTouch => Hazards.Any(hazard => hazard.HurtsSkin);

    /// <summary>Whether male and female plants usually stand apart, so that half of them never fruit.</summary>
    [JsonIgnore]
    public bool HasSeparateSexes => Score(CharacterIds.Sexes) is StateScore sexes && sexes.IsUsual(CharacterIds.SeparateTrees);

    // While the taxon is being made not all of the parts are there.
    private IReadOnlyDictionary<string, Score> Together()
    {
        if (InferredScores is null or { Count: 0 } && Shared is null or { Count: 0 })
            return OwnScores;
        var all = (OwnScores ?? None).ToDictionary();
        foreach (var (character, score) in InferredScores ?? None)
            all.TryAdd(character, score);
        foreach (var (character, (score, _)) in Shared ?? NothingShared)
            all.TryAdd(character, score);
        return all;
    }
}
