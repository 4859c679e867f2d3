namespace VerdantSieve.Core.Drawing;

/// <summary>Classes of blade shape, told from an outline.</summary>
/// <remarks>After B. Ellis et al. 2009, Manual of Leaf Architecture, character 11: elliptic is widest in the middle fifth,
/// ovate in the lower two fifths, obovate in the upper two fifths; oblong has opposite margins about parallel over at least
/// the middle third; linear is at least ten times as long as wide, whatever its outline.</remarks>
public enum BladeShape
{
    /// <summary>Widest in the middle fifth.</summary>
    Elliptic,

    /// <summary>Widest in the lower two fifths.</summary>
    Ovate,

    /// <summary>Widest in the upper two fifths.</summary>
    Obovate,

    /// <summary>Sides parallel over the middle third or more.</summary>
    Oblong,

    /// <summary>At least ten times as long as wide.</summary>
    Linear,
}
