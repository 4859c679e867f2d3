namespace VerdantSieve.Core.Botany;

/// <summary>Where on a plant something was read, or is said to be so.</summary>
public enum PlantPlace
{
    /// <summary>The foot of the trunk.</summary>
    Base,

    /// <summary>The trunk at breast height.</summary>
    Trunk,

    /// <summary>The limbs.</summary>
    Limb,

    /// <summary>Young stems.</summary>
    Young,

    /// <summary>The tip of the twig.</summary>
    Tip,

    /// <summary>The twig further back.</summary>
    Older,

    /// <summary>Leaves in the sun.</summary>
    Sun,

    /// <summary>Leaves in the shade.</summary>
    Shade,

    /// <summary>A sucker or another over-vigorous shoot.</summary>
    Sucker,

    /// <summary>The litter beneath.</summary>
    Litter,
}
