namespace VerdantSieve.Core.Sieving;

/// <summary>How a score came to be: what decides how far it is to be believed where it leaves a state out.</summary>
internal enum ScoreBasis
{
    /// <summary>Entered for the taxon itself.</summary>
    Own,

    /// <summary>Alike to the letter in all of a genus, and so most likely entered once for all of them.</summary>
    Genus,

    /// <summary>Not entered at all: taken from its kin.</summary>
    Kin,
}
