namespace VerdantSieve.Core.Sieving;

/// <summary>Ids of the characters the engine itself must know.</summary>
public static class Vocabulary
{
    /// <summary>The season of flowers.</summary>
    public const string Flowering = "flowering";
    /// <summary>The season of fruit.</summary>
    public const string Fruiting = "fruiting";
    /// <summary>Whether the sexes stand on separate trees.</summary>
    public const string Sexes = "sexes";
    /// <summary>The state of <see cref="Sexes"/> where they do.</summary>
    public const string SeparateTrees = "separate-trees";
    /// <summary>The length of the blade.</summary>
    public const string BladeLength = "blade-length";
    /// <summary>The width of the blade.</summary>
    public const string BladeWidth = "blade-width";
    /// <summary>Length over width.</summary>
    public const string Slenderness = "slenderness";
}
