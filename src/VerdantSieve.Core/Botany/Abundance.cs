namespace VerdantSieve.Core.Botany;

/// <summary>How common a taxon is where it grows.</summary>
public enum Abundance
{
    /// <summary>Met on any walk.</summary>
    Common,

    /// <summary>Met often in its places.</summary>
    Frequent,

    /// <summary>Met now and then.</summary>
    Occasional,

    /// <summary>A find.</summary>
    Scarce,
}

/// <summary>How commonness weighs.</summary>
public static class Abundances
{
    /// <summary>How often a taxon of this commonness is keyed, for one of the common ones: above 0, 1 at most. The values are choices, less
    /// steep than
    /// plants are scarce: what everybody knows is seldom keyed.</summary>
    public static double Weight(this Abundance abundance) =>
        abundance switch
        {
            Abundance.Common => 1,
            Abundance.Frequent => 0.6,
            Abundance.Occasional => 0.35,
            Abundance.Scarce => 0.2,
        };
}
