using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Keys;

/// <summary>What a plant must show so that a key can be worked.</summary>
public enum KeySeason
{
    /// <summary>Leaves, twigs and bark.</summary>
    Leaf,

    /// <summary>Those, and flowers.</summary>
    Flower,

    /// <summary>Those without flowers, and fruit.</summary>
    Fruit,

    /// <summary>Twigs, buds and bark; needles and scales, which stay.</summary>
    Winter,
}

/// <summary>What can be seen in each.</summary>
public static class KeySeasons
{
    /// <summary>Whether a character can be read.</summary>
    public static bool Shows(this KeySeason season, Character character) => IsOfTheStage(season, character) && IsOut(season, character);

    // Autumn colours are no mark of a leaf in summer.
    private static bool IsOfTheStage(KeySeason season, Character character) =>
        character.Stages.Count == 0 || character.Stages.Contains(season == KeySeason.Winter ? LeafStage.Leafless : LeafStage.Leaf);

    private static bool IsOut(KeySeason season, Character character) =>
        Organs.Of(character) switch
        {
            Organ.Flower => season == KeySeason.Flower && character is not SeasonCharacter,
            Organ.Fruit => season == KeySeason.Fruit && character is not SeasonCharacter,
            Organ.Leaf => season != KeySeason.Winter || character.Part == "needles" || character.Id == CharacterIds.Foliage,
            Organ.Twig or Organ.Bark => true,
            Organ.WholePlant => character is not SeasonCharacter,
            null => true,
        };
}
