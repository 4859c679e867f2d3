using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Planning;

/// <summary>What to bring on a visit.</summary>
public enum FieldTool
{
    /// <summary>A hand lens: hairs, glands, stamens.</summary>
    Lens,

    /// <summary>A ruler or calipers: whatever is measured.</summary>
    Ruler,

    /// <summary>Field glasses or a pole: flowers and fruit hang high.</summary>
    Glasses,

    /// <summary>A knife, and leave to use it: what is cut or scratched.</summary>
    Knife,

    /// <summary>A bag for what lies on the ground.</summary>
    Bag,
}

/// <summary>What each look needs.</summary>
public static class FieldTools
{
    // What is too small for the eye alone (common practice).
    private static readonly HashSet<string> Small =
    [
        "underside-hair",
        "vein-tufts",
        "hair-type",
        "leaf-glands",
        "tooth-glands",
        "twig-hair",
        "petiole-hair",
        "petiole-hair-type",
        "rachis-hair",
        "bud-hair",
        "stamen-count",
        "needle-bands",
        "needle-base",
        "leaf-scars",
        "leaf-scar-top",
        "fruit-hair",
    ];

    private static readonly HashSet<string> Cut = ["pith", "pith-colour", "sap", "bark-inner"];

    /// <summary>What a look needs; empty where eyes and fingers do.</summary>
    public static IEnumerable<FieldTool> Of(Character character)
    {
        if (Small.Contains(character.Id))
            yield return FieldTool.Lens;
        if (character is MeasureCharacter && Organs.Of(character) != Organ.WholePlant)
            yield return FieldTool.Ruler;
        if (Cut.Contains(character.Id))
            yield return FieldTool.Knife;
        if (Organs.Of(character) is Organ.Flower or Organ.Fruit)
            yield return FieldTool.Glasses;
        if (Organs.Of(character) is Organ.Fruit && character is not SeasonCharacter)
            yield return FieldTool.Bag;
    }

    /// <summary>What several looks need, each once.</summary>
    public static IReadOnlyList<FieldTool> Of(IEnumerable<Character> characters) => [.. characters.SelectMany(Of).Distinct().Order()];
}
