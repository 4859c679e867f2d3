namespace VerdantSieve.Core.Measuring;

/// <summary>On which side a limit lies.</summary>
public enum LimitSide
{
    /// <summary>“Up to 5 cm”: none is larger.</summary>
    AtMost,

    /// <summary>“At least 5 cm”: none is smaller.</summary>
    AtLeast,
}
