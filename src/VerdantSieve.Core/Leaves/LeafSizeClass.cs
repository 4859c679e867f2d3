namespace VerdantSieve.Core.Leaves;

/// <summary>Classes of leaf area.</summary>
/// <remarks>Raunkiaer’s classes with Webb’s notophyll between (L. J. Webb 1959, A physiognomic classification of Australian rain forests,
/// Journal of Ecology 47); limits in mm², from memory.</remarks>
public enum LeafSizeClass
{
    /// <summary>Under 25 mm².</summary>
    Leptophyll,

    /// <summary>25 to 225 mm².</summary>
    Nanophyll,

    /// <summary>225 to 2025 mm².</summary>
    Microphyll,

    /// <summary>2025 to 4500 mm².</summary>
    Notophyll,

    /// <summary>4500 to 18,225 mm².</summary>
    Mesophyll,

    /// <summary>18,225 to 164,025 mm².</summary>
    Macrophyll,

    /// <summary>Over 164,025 mm².</summary>
    Megaphyll,
}

/// <summary>Limits of the classes of leaf area.</summary>
public static class LeafSizeClasses
{
    /// <summary>The class of an area.</summary>
    /// <param name="squareCentimetres">The area of one blade or leaflet, in cm².</param>
    public static LeafSizeClass Of(double squareCentimetres) =>
        (squareCentimetres * 100) switch
        {
            < 25 => LeafSizeClass.Leptophyll,
            < 225 => LeafSizeClass.Nanophyll,
            < 2025 => LeafSizeClass.Microphyll,
            < 4500 => LeafSizeClass.Notophyll,
            < 18_225 => LeafSizeClass.Mesophyll,
            < 164_025 => LeafSizeClass.Macrophyll,
            _ => LeafSizeClass.Megaphyll,
        };
}
