namespace VerdantSieve.Core.Measuring;

/// <summary>The units a person likes to read.</summary>
public enum LengthStyle
{
    /// <summary>Millimetres, centimetres, metres.</summary>
    Metric,

    /// <summary>Inches with fractions, feet.</summary>
    Inches,
}
