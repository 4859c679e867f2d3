namespace VerdantSieve.Core.Drawing;

/// <summary>A colour of a plant, as a word; the pen knows how it looks.</summary>
public enum Tint
{
    /// <summary>White.</summary>
    White,

    /// <summary>Between white and yellow.</summary>
    Cream,

    /// <summary>Yellow.</summary>
    Yellow,

    /// <summary>Orange.</summary>
    Orange,

    /// <summary>Pink.</summary>
    Pink,

    /// <summary>Red.</summary>
    Red,

    /// <summary>Purple.</summary>
    Purple,

    /// <summary>Blue.</summary>
    Blue,

    /// <summary>Black.</summary>
    Black,

    /// <summary>Brown.</summary>
    Brown,

    /// <summary>Reddish brown.</summary>
    RedBrown,

    /// <summary>Greyish brown.</summary>
    GreyBrown,

    /// <summary>The brown of rust.</summary>
    Rusty,

    /// <summary>Grey.</summary>
    Grey,

    /// <summary>Light grey.</summary>
    PaleGrey,

    /// <summary>Nearly black.</summary>
    Dark,

    /// <summary>Green.</summary>
    Green,

    /// <summary>Dark green.</summary>
    DarkGreen,

    /// <summary>Yellowish green.</summary>
    YellowGreen,

    /// <summary>Bluish green.</summary>
    BlueGreen,

    /// <summary>Greyish green.</summary>
    GreyGreen,

    /// <summary>A lighter green than above.</summary>
    Paler,

    /// <summary>Whitish blue.</summary>
    Bluish,

    /// <summary>Light yellow.</summary>
    Yellowish,

    /// <summary>In green and white.</summary>
    Variegated,
}
