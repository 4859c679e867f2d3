namespace VerdantSieve.Core.Botany;

/// <summary>How a taxon stands in a country.</summary>
public enum Occurrence
{
    /// <summary>It grows there of its own accord, and always has.</summary>
    Native,

    /// <summary>People brought it, and it now grows of its own accord.</summary>
    RunWild,

    /// <summary>People plant it; it hardly grows by itself.</summary>
    Planted,

    /// <summary>It was looked for and is not there, beyond a collection or two.</summary>
    Absent,

    /// <summary>Nobody has looked.</summary>
    NotLooked,
}
