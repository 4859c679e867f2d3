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

/// <summary>A hazard with the caution to show.</summary>
public sealed record Hazard(HazardKind Kind, string Caution);
