namespace VerdantSieve.Core.Sieving;

/// <summary>How readings are turned into an answer.</summary>
public enum School
{
    /// <summary>A reading that a taxon's score cannot allow holds the taxon; a few disagreements may be allowed.</summary>
    Strict,

    /// <summary>Every reading weighs for or against; nothing is excluded.</summary>
    Weigh,
}
