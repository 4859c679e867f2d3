namespace VerdantSieve.Core.Botany;

/// <summary>Ids of the characters and states that rules of the job are about.</summary>
public static class CharacterIds
{
    /// <summary>Broad leaves, needles or scales.</summary>
    public const string Foliage = "foliage";

    /// <summary>How leaves sit on the twig.</summary>
    public const string Arrangement = "arrangement";

    /// <summary>Whether leaves are crowded at the tip of the twig.</summary>
    public const string Crowding = "crowding";

    /// <summary>In how many rows leaves stand.</summary>
    public const string Ranks = "ranks";

    /// <summary>Simple or compound.</summary>
    public const string Structure = "structure";

    /// <summary>How many leaflets a leaf has.</summary>
    public const string LeafletCount = "leaflet-count";

    /// <summary>The length of a whole compound leaf.</summary>
    public const string LeafLength = "leaf-length";

    /// <summary>The season of flowers.</summary>
    public const string Flowering = "flowering";

    /// <summary>The colour of the flowers.</summary>
    public const string FlowerColour = "flower-colour";

    /// <summary>The form of one flower.</summary>
    public const string FlowerForm = "flower-form";

    /// <summary>The season of fruit.</summary>
    public const string Fruiting = "fruiting";

    /// <summary>Leaves turning today.</summary>
    public const string Turning = "turning";

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

    /// <summary>Tree, shrub or climber.</summary>
    public const string Habit = "habit";

    /// <summary>Roots that cling.</summary>
    public const string AerialRoots = "aerial-roots";

    /// <summary>How long leaves last.</summary>
    public const string LeafPersistence = "leaf-persistence";

    /// <summary>The states of <see cref="LeafPersistence"/> where all or some of them last the winter.</summary>
    public const string Evergreen = "evergreen",
        HalfEvergreen = "half-evergreen";

    /// <summary>The colour of the bark.</summary>
    public const string BarkColour = "bark-colour";

    /// <summary>The thickness of the trunk.</summary>
    public const string TrunkThickness = "trunk-thickness";

    /// <summary>The height of the plant.</summary>
    public const string Height = "height";

    /// <summary>The outline of the crown.</summary>
    public const string Crown = "crown";

    /// <summary>Where the plant stands.</summary>
    public const string Habitat = "habitat";

    /// <summary>The state of a plant that stands where people put it.</summary>
    public const string PlantedThere = "planted";
}
