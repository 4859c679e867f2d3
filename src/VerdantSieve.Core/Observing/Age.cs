namespace VerdantSieve.Core.Observing;

/// <summary>How old the plant is, as far as it matters for flowers and fruit.</summary>
public enum Age
{
    /// <summary>Too young to be expected to flower.</summary>
    Young,

    /// <summary>Full grown.</summary>
    Grown,
}
