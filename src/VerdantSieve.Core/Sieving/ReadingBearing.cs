using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>How a taxon stands to a reading.</summary>
public enum Standing
{
    /// <summary>The score allows it.</summary>
    Agrees,

    /// <summary>The score cannot allow it.</summary>
    Disagrees,

    /// <summary>The taxon never shows such a character.</summary>
    CannotApply,

    /// <summary>The flora does not say.</summary>
    NotScored,
}

/// <summary>A reading's bearing on a taxon; <paramref name="Bits"/> above 0 speaks for it.</summary>
/// <param name="Reading">The reading.</param>
/// <param name="Standing">How the taxon stands to it.</param>
/// <param name="Bits">How far it speaks for the taxon.</param>
/// <param name="Sign">What kind of sign it is.</param>
public sealed record ReadingBearing(Reading Reading, Standing Standing, double Bits, SignKind Sign);
