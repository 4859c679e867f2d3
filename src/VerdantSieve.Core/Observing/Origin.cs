using VerdantSieve.Core.Botany;

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
    Damaged
}

/// <summary>How far a reading from something less than a fair sample can be trusted. The values are choices, written up in docs/method.md.</summary>
public static class Origins
{
    private static readonly string[] Order = ["arrangement", "crowding", "ranks"];
    private static readonly string[] OnLeaf = ["leaf-structure", "leaf-size", "blade", "lobes", "margin", "petiole", "surface"];

    /// <summary>The chance (0 to 1) that what was read there says nothing of the plant's ordinary state.</summary>
    public static double Misleads(Origin origin, Character character) => origin switch
    {
        // A leaf on the ground says nothing of how leaves sit on a twig.
        Origin.Litter when Order.Contains(character.Id) => 1,
        Origin.Litter => Organs.Of(character) is Organ.Leaf or Organ.Fruit ? 0.2 : 0.1,
        Origin.Sucker => OnLeaf.Contains(character.Part) ? 0.25 : character.Part is "twig" ? 0.15 : 0.05,
        Origin.Hedge => character.Id is "habit" or "height" or "crown" or "habitat" ? 0.8 : character.Part is "leaf-size" or "flower" or "fruit" ? 0.2 : 0.1,
        Origin.Damaged => character.Part is "leaf-size" or "blade" or "margin" or "surface" ? 0.3 : 0.1,
        _ => 0
    };

    /// <summary>What it adds to the error of a measurement, as a standard deviation in log units.</summary>
    public static double AddedError(Origin origin) => origin switch { Origin.Sucker => 0.35, Origin.Damaged => 0.3, Origin.Hedge => 0.2, Origin.Litter => 0.1, _ => 0 };
}
