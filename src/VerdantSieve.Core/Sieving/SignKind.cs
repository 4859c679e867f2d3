namespace VerdantSieve.Core.Sieving;

/// <summary>What kind of sign a reading is for a taxon.</summary>
public enum SignKind
{
    /// <summary>One among others.</summary>
    Ordinary,

    /// <summary>Every plant of the taxon must have it, and others may as well: its absence counts, its presence less.</summary>
    MustHave,

    /// <summary>Few other kinds show it: its presence counts, its absence hardly.</summary>
    TellsAll,

    /// <summary>It speaks neither for the taxon nor against it.</summary>
    ProvesLittle,
}
