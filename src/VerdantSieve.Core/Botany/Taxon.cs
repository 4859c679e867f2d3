namespace VerdantSieve.Core.Botany;

/// <summary>The rank a determination or a taxon stands at, lowest first.</summary>
public enum TaxonRank
{
    /// <summary>A variety.</summary>
    Variety,
    /// <summary>A species, a hybrid species included.</summary>
    Species,
    /// <summary>Species that authorities or observers cannot part.</summary>
    Aggregate,
    /// <summary>A section or informal group within a genus, such as the white oaks.</summary>
    Group,
    /// <summary>A genus.</summary>
    Genus,
    /// <summary>A family.</summary>
    Family
}

/// <summary>Where a plant stands: of its own accord, or put there by people.</summary>
public enum Setting
{
    /// <summary>Growing of its own accord.</summary>
    Wild,
    /// <summary>Put there by people.</summary>
    Planted
}

/// <summary>How common a taxon is where it grows.</summary>
public enum Abundance
{
    /// <summary>Met on any walk (weight 1).</summary>
    Common,
    /// <summary>Met often in its places (weight 0.5).</summary>
    Frequent,
    /// <summary>Met now and then (weight 0.2).</summary>
    Occasional,
    /// <summary>A find (weight 0.07).</summary>
    Scarce
}

/// <summary>How commonness weighs.</summary>
public static class Abundances
{
    /// <summary>How often a taxon of this commonness is keyed, for one of the common ones: above 0, 1 at most. The values are choices, less steep than
    /// plants are scarce: what everybody knows is seldom keyed.</summary>
    public static double Weight(this Abundance abundance) => abundance switch { Abundance.Common => 1, Abundance.Frequent => 0.6, Abundance.Occasional => 0.35, _ => 0.2 };
}

/// <summary>How a plant can hurt.</summary>
public enum HazardKind
{
    /// <summary>Burns or blisters the skin on touch.</summary>
    SkinIrritant,
    /// <summary>Seed, leaf or sap is poisonous.</summary>
    Poisonous,
    /// <summary>Thorns, spines or prickles.</summary>
    Thorns,
    /// <summary>Hairs that irritate eyes, skin or lungs.</summary>
    Hairs
}

/// <summary>A hazard with the caution to show.</summary>
public sealed record Hazard(HazardKind Kind, string Caution);

/// <summary>A taxon that this one is taken for, and the mark that tells them apart, said of this taxon.</summary>
public sealed record LookAlike(string Name, string Mark);

/// <summary>Where a taxon grows, as level 3 codes of the World Geographical Scheme for Recording Plant Distributions.</summary>
public sealed record Distribution(IReadOnlyList<string> Native, IReadOnlyList<string> Introduced)
{
    /// <summary>How common it is in those countries where it is not as common as elsewhere.</summary>
    public IReadOnlyDictionary<string, Abundance> Local { get; init; } = new Dictionary<string, Abundance>();

    /// <summary>Whether it grows in the country, native or not.</summary>
    public bool Includes(string code) => Native.Contains(code) || Introduced.Contains(code);
}

/// <summary>A kind of plant in a flora, with all its scores.</summary>
public sealed record Taxon(ScientificName Name)
{
    /// <summary>What stands for an author or a family that a format of others can’t hold.</summary>
    public const string NotGiven = "not given";

    /// <summary>Its rank: nearly always species.</summary>
    public TaxonRank Rank { get; init; } = TaxonRank.Species;

    /// <summary>The author of the name.</summary>
    public required string Authority { get; init; }

    /// <summary>The family, for example Sapindaceae.</summary>
    public required string Family { get; init; }

    /// <summary>Whether the flora says which family it belongs to.</summary>
    public bool HasFamily => Family != NotGiven;

    /// <summary>A section or informal group within the genus; null where none is drawn.</summary>
    public string? Group { get; init; }

    /// <summary>The aggregate it belongs to, whose members authorities or observers do not part; null where there is none.</summary>
    public string? Aggregate { get; init; }

    /// <summary>The names of the two parents of a hybrid; empty for all else.</summary>
    public IReadOnlyList<string> HybridOf { get; init; } = [];

    /// <summary>Common names, the most used first. Never empty.</summary>
    public required IReadOnlyList<string> CommonNames { get; init; }

    /// <summary>Other scientific names it has gone under.</summary>
    public IReadOnlyList<string> Synonyms { get; init; } = [];

    /// <summary>Where it grows.</summary>
    public required Distribution Distribution { get; init; }

    /// <summary>The settings it is met in. Never empty.</summary>
    public required IReadOnlyList<Setting> Settings { get; init; }

    /// <summary>How common it is where it grows.</summary>
    public Abundance Abundance { get; init; } = Abundance.Frequent;

    /// <summary>How common it is in one country.</summary>
    public Abundance AbundanceIn(string code) => Distribution.Local.TryGetValue(code, out var local) ? local : Abundance;

    /// <summary>The id of the place its flowering and fruiting windows hold for; null for the flora’s own reference place.</summary>
    public string? WindowsAt { get; init; }

    /// <summary>How it can hurt.</summary>
    public IReadOnlyList<Hazard> Hazards { get; init; } = [];

    /// <summary>What it is taken for.</summary>
    public IReadOnlyList<LookAlike> Doubles { get; init; } = [];

    /// <summary>One line to remember it by.</summary>
    public string Remember { get; init; } = "";

    /// <summary>What its scientific name means, in one line; empty where that is not said.</summary>
    public string Meaning { get; init; } = "";

    /// <summary>Where the values come from.</summary>
    public required string Provenance { get; init; }

    /// <summary>The scores by character id.</summary>
    public required IReadOnlyDictionary<string, Score> Scores { get; init; }

    /// <summary>The ids of scores that are not its own: a hybrid takes what it lacks from its parents.</summary>
    public IReadOnlySet<string> Inferred { get; init; } = new HashSet<string>();

    /// <summary>What the flora itself says for a character; null where it says nothing, or the score was taken from the parents of a hybrid.</summary>
    public Score? OwnScore(string character) => Inferred.Contains(character) ? null : Scores.GetValueOrDefault(character);

    /// <summary>The most used common name.</summary>
    public string CommonName => CommonNames[0];

    /// <summary>Whether touching the plant can hurt the skin.</summary>
    public bool HurtsOnTouch => Hazards.Any(h => h.Kind is HazardKind.SkinIrritant or HazardKind.Hairs);
}
