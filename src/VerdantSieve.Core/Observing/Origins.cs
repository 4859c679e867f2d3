using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Observing;

/// <summary>How far a reading from something less than a fair sample can be trusted. The values are choices, written up in
/// docs/method.md.</summary>
public static class Origins
{
    private static readonly string[] HowLeavesSit = [CharacterIds.Arrangement, CharacterIds.Crowding, CharacterIds.Ranks];
    private static readonly string[] Outlines = [CharacterIds.Habit, CharacterIds.Height, CharacterIds.Crown, CharacterIds.Habitat];
    private static readonly string[] OnLeaf = ["leaf-structure", "leaf-size", "blade", "lobes", "margin", "petiole", "surface"];

    /// <summary>The chance (0 to 1) that what was read there says nothing of the plant's ordinary state.</summary>
    public static double Misleads(Origin origin, Character character) =>
        origin switch
        {
            Origin.FairSample => 0,
            Origin.Litter => OfLitter(character),
            Origin.Sucker => OfSucker(character.Part ?? ""),
            Origin.Hedge => OfHedge(character),
            Origin.Damaged => character.Part is "leaf-size" or "blade" or "margin" or "surface" ? 0.3 : 0.1,
        };

    private static double OfLitter(Character character)
    {
        // A leaf on the ground says nothing of how leaves sit on a twig.
        if (HowLeavesSit.Contains(character.Id))
            return 1;
        return Organs.Of(character) is null or Organ.Leaf or Organ.Fruit ? 0.2 : 0.1;
    }

    private static double OfSucker(string part)
    {
        if (OnLeaf.Contains(part))
            return 0.25;
        return part == "twig" ? 0.15 : 0.05;
    }

    private static double OfHedge(Character character)
    {
        if (Outlines.Contains(character.Id))
            return 0.8;
        return character.Part is "leaf-size" or "flower" or "fruit" ? 0.2 : 0.1;
    }

    /// <summary>What it adds to the error of a measurement, as a standard deviation in log units.</summary>
    public static double AddedError(Origin origin) =>
        origin switch
        {
            Origin.FairSample => 0,
            Origin.Sucker => 0.35,
            Origin.Damaged => 0.3,
            Origin.Hedge => 0.2,
            Origin.Litter => 0.1,
        };
}
