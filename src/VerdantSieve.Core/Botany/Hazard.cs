namespace VerdantSieve.Core.Botany;

/// <summary>How a plant can hurt.</summary>
public enum HazardKind
{
    /// <summary>Burns or blisters the skin on touch.</summary>
    SkinIrritant,

    /// <summary>Seed, leaf or sap is poisonous.</summary>
    Poisonous,

    /// <summary>Thorns, spines or prickles.</summary>
    Thorns,

    /// <summary>Hairs that irritate eyes, skin or lungs.</summary>
    Hairs,
}

/// <summary>The part of the plant that hurts.</summary>
public enum HazardPart
{
    /// <summary>All of it.</summary>
    Any,

    /// <summary>The sap, of whatever is cut, crushed or broken.</summary>
    Sap,

    /// <summary>Leaves.</summary>
    Leaf,

    /// <summary>The seed.</summary>
    Seed,

    /// <summary>The coat of the seed, or the flesh about it.</summary>
    SeedCoat,

    /// <summary>The fruit.</summary>
    Fruit,

    /// <summary>The bark.</summary>
    Bark,

    /// <summary>Thorns, spines and prickles.</summary>
    Thorns,

    /// <summary>Hairs that come off.</summary>
    Hairs,
}

/// <summary>What one must not do with it.</summary>
public enum HazardAct
{
    /// <summary>Touch it.</summary>
    Touch,

    /// <summary>Eat it.</summary>
    Eat,
}

/// <summary>A hazard with the caution to show.</summary>
public sealed record Hazard(HazardKind Kind, string Caution)
{
    /// <summary>The part that hurts.</summary>
    public HazardPart Part { get; init; } =
        Kind switch
        {
            HazardKind.SkinIrritant or HazardKind.Poisonous => HazardPart.Any,
            HazardKind.Thorns => HazardPart.Thorns,
            HazardKind.Hairs => HazardPart.Hairs,
        };

    /// <summary>What one must not do with it.</summary>
    public HazardAct Act { get; init; } = Kind == HazardKind.Poisonous ? HazardAct.Eat : HazardAct.Touch;

    /// <summary>Whether it hurts to touch the skin with the part.</summary>
    public bool HurtsSkin => Act == HazardAct.Touch && Kind is HazardKind.SkinIrritant or HazardKind.Hairs;

    /// <summary>Whether reading a character means to come into contact with the part.</summary>
    public bool IsTouchedBy(Character character) =>
        character.Contact
        && HurtsSkin
        && (
            Part == HazardPart.Any
            || Part == PartOf(character)
            || (Part == HazardPart.Sap && CutsOrCrushes.Contains(character.Id))
            || (Part == HazardPart.Hairs && PartOf(character) is HazardPart.Leaf or HazardPart.Fruit)
        );

    // What is cut, crushed or broken bleeds.
    private static readonly string[] CutsOrCrushes = ["smell", "sap", "pith", "pith-colour", "bark-inner"];

    private static HazardPart PartOf(Character character) =>
        Organs.Of(character) switch
        {
            Organ.Leaf => HazardPart.Leaf,
            Organ.Bark => HazardPart.Bark,
            Organ.Fruit => HazardPart.Fruit,
            null or Organ.Twig or Organ.Flower or Organ.WholePlant => HazardPart.Sap,
        };
}
