namespace VerdantSieve.Core.Seasons;

/// <summary>How far a plant that loses its leaves is with them.</summary>
public enum LeafStage
{
    /// <summary>Bare.</summary>
    Leafless,

    /// <summary>Buds swelling and breaking.</summary>
    Bud,

    /// <summary>Leaves unfolding, not yet full-grown.</summary>
    Leafing,

    /// <summary>In full leaf.</summary>
    Leaf,

    /// <summary>Leaves turning.</summary>
    Turning,

    /// <summary>Leaves falling.</summary>
    LeafFall,
}
