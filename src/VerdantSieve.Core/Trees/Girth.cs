namespace VerdantSieve.Core.Trees;

/// <summary>The girth of a trunk at breast height, measured with a tape.</summary>
/// <remarks>Breast height is 1.3 m above the ground on the uphill side in most of the world, 1.37 m (4 1/2 feet) in North America: common
/// practice.</remarks>
public readonly record struct Girth
{
    /// <summary>The most that is allowed, in centimetres; the thickest trunks there are lie just below it.</summary>
    public const double Most = 6000;

    /// <summary>A girth.</summary>
    /// <param name="centimetres">Centimetres, above 0 and at most <see cref="Most"/>.</param>
    /// <exception cref="ArgumentOutOfRangeException">It lies beyond that.</exception>
    [System.Text.Json.Serialization.JsonConstructor]
    public Girth(double centimetres)
    {
        if (!(centimetres > 0 && centimetres <= Most))
            throw new ArgumentOutOfRangeException(nameof(centimetres), centimetres, Allowed);
        Centimetres = centimetres;
    }

    /// <summary>What is allowed, as a sentence.</summary>
    public static string Allowed => FormattableString.Invariant($"Give the girth in centimetres, above 0 and at most {Most:0}.");

    /// <summary>Round the trunk.</summary>
    public double Centimetres { get; }

    /// <summary>The diameter of a round trunk of that girth: girth ÷ π.</summary>
    public double Diameter => Centimetres / Math.PI;
}
