namespace VerdantSieve.Core.Drawing.Plates;

/// <summary>What a part of a plate shows.</summary>
public enum PlateOrgan
{
    /// <summary>The usual leaf, or a shoot with needles.</summary>
    Leaf,

    /// <summary>Other leaves of the same kind, at the same scale.</summary>
    Variation,

    /// <summary>How leaves stand on the shoot.</summary>
    Shoot,

    /// <summary>A needle under the lens.</summary>
    Needle,

    /// <summary>The end of a twig with its buds.</summary>
    Twig,

    /// <summary>Flowers as they stand together.</summary>
    Flower,

    /// <summary>A fruit or cone.</summary>
    Fruit,

    /// <summary>A patch of bark.</summary>
    Bark,

    /// <summary>The whole plant.</summary>
    Habit,
}
