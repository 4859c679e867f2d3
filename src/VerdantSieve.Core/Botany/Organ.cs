namespace VerdantSieve.Core.Botany;

/// <summary>An organ of the plant; several parts of the vocabulary may describe one organ.</summary>
public enum Organ
{
    /// <summary>Broad leaves, needles and scales.</summary>
    Leaf,

    /// <summary>Twigs and buds.</summary>
    Twig,

    /// <summary>Bark.</summary>
    Bark,

    /// <summary>Flowers.</summary>
    Flower,

    /// <summary>Fruit and cones.</summary>
    Fruit,

    /// <summary>The whole plant and where it stands.</summary>
    WholePlant,
}

/// <summary>The organs behind the vocabulary's parts.</summary>
public static class Organs
{
    /// <summary>The organ a character describes; null where the flora does not say.</summary>
    public static Organ? Of(Character character) =>
        character.Part switch
        {
            null => null,
            "twig" => Organ.Twig,
            "bark" => Organ.Bark,
            "flower" => Organ.Flower,
            "fruit" => Organ.Fruit,
            "whole-plant" => Organ.WholePlant,
            // Blade, margin, veins and the rest are all of the leaf.
            _ => Organ.Leaf,
        };

    /// <summary>The organ in plain words, for "look at the …".</summary>
    public static string PlainWord(this Organ organ) =>
        organ switch
        {
            Organ.Leaf => "leaves",
            Organ.Twig => "twig and buds",
            Organ.Bark => "bark",
            Organ.Flower => "flowers",
            Organ.Fruit => "fruit",
            Organ.WholePlant => "whole plant",
        };
}
