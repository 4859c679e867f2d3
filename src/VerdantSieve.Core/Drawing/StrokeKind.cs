namespace VerdantSieve.Core.Drawing;

/// <summary>What a stroke of a drawing stands for; the pen is chosen by it.</summary>
public enum StrokeKind
{
    /// <summary>The face of a leaf: filled.</summary>
    Blade,

    /// <summary>A vein.</summary>
    Vein,

    /// <summary>A leaf stalk or the axis of a compound leaf.</summary>
    Stalk,

    /// <summary>A twig.</summary>
    Twig,

    /// <summary>A needle or scale.</summary>
    Needle,

    /// <summary>A bud, fruit or other body: filled with bark colour.</summary>
    Body,

    /// <summary>Something not known yet: dotted.</summary>
    Unknown,

    /// <summary>A hair, a bristle or another fine line.</summary>
    Hair,

    /// <summary>Flesh, petals, bark and other areas that have a colour of their own.</summary>
    Area,

    /// <summary>A dot, a scar or another small dark mark.</summary>
    Mark,
}
