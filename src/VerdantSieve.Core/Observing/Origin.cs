namespace VerdantSieve.Core.Observing;

/// <summary>What a reading was taken on.</summary>
public enum Origin
{
    /// <summary>Healthy, full-grown leaves of this year's or last year's shoots in the crown.</summary>
    FairSample,

    /// <summary>A sucker or another over-vigorous shoot: leaves larger and stranger than the tree's own.</summary>
    Sucker,

    /// <summary>Litter beneath the tree: perhaps a neighbour's, perhaps last year's.</summary>
    Litter,

    /// <summary>A clipped hedge or another planted and pruned plant.</summary>
    Hedge,

    /// <summary>Chewed, shaded out, diseased or half grown.</summary>
    Damaged,
}
