using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>What the lead of the first kind over its strongest rival rests on, in bits.</summary>
/// <param name="Leader">The leading kind.</param>
/// <param name="Rival">The kind that comes nearest by the readings alone.</param>
/// <param name="ByPlace">What place, abundance and setting add to the lead; negative where they speak against it.</param>
/// <param name="ByReadings">What the readings add.</param>
public sealed record Grounds(Taxon Leader, Taxon Rival, double ByPlace, double ByReadings)
{
    /// <summary>The part of the lead that rests on the place: 0 to 1.</summary>
    public double PlaceShare => ByPlace <= 0 ? 0 : ByPlace / (ByPlace + Math.Max(0, ByReadings));
}
