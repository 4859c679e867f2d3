namespace VerdantSieve.Core.Simulating;

/// <summary>How a made-up look is carried on.</summary>
public enum Strategy
{
    /// <summary>The sieve's own next look: bits by the chance that it can be seen and by effort.</summary>
    NextLook,

    /// <summary>The same without regard to effort.</summary>
    ForgettingEffort,

    /// <summary>Any character, in any order.</summary>
    AnyOrder,

    /// <summary>The character that would part most if nobody ever erred.</summary>
    IgnoringErrors,
}
