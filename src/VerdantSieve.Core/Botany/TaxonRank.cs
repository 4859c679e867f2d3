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
    Family,
}
