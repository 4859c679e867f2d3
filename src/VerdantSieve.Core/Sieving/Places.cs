using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>How far a place on the plant differs from what a score that names no place is about. The values are choices, written up in
/// docs/method.md.</summary>
internal static class Places
{
    /// <summary>A trunk thinner than this, in centimetres, has the bark of young stems.</summary>
    public const double ThinTrunk = 12;

    /// <summary>The chance (0 to 1) that what is shown at the place is not what the score of the whole plant says.</summary>
    public static double Differs(PlantPlace place, Character character) =>
        place switch
        {
            PlantPlace.Base => OnBark(character, 0.25),
            PlantPlace.Limb => OnBark(character, 0.4),
            PlantPlace.Young => OnBark(character, 0.5),
            PlantPlace.Older => character.Part == "twig" ? 0.3 : 0,
            PlantPlace.Shade => Organs.Of(character) == Organ.Leaf ? 0.1 : 0,
            // What was read on a sucker or in the litter has an origin that says so.
            PlantPlace.Trunk or PlantPlace.Tip or PlantPlace.Sun or PlantPlace.Sucker or PlantPlace.Litter => 0,
        };

    /// <summary>What the place adds to the error of a measurement, as a standard deviation in log units.</summary>
    public static double AddedError(PlantPlace? place) => place == PlantPlace.Shade ? 0.25 : 0;

    private static double OnBark(Character character, double share) => Organs.Of(character) == Organ.Bark ? share : 0;
}
