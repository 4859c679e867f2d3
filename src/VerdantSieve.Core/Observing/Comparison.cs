namespace VerdantSieve.Core.Observing;

/// <summary>How something stands to that of another plant.</summary>
public enum Comparison
{
    /// <summary>Smaller, narrower, fewer, earlier in the series.</summary>
    Less,

    /// <summary>Larger, stouter, more, later in the series.</summary>
    More,

    /// <summary>Much the same.</summary>
    Alike,
}
