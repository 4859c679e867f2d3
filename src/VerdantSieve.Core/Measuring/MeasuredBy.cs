namespace VerdantSieve.Core.Measuring;

/// <summary>How a size was found, the surest way first.</summary>
public enum MeasuredBy
{
    /// <summary>With a ruler.</summary>
    Ruler,

    /// <summary>In widths of the observer's hand.</summary>
    Hand,

    /// <summary>By eye.</summary>
    Eye,
}
