namespace VerdantSieve.Core.Observing;

/// <summary>How sure the observer is of a reading.</summary>
public enum Certainty
{
    /// <summary>A guess. How often each is a slip, the sieve's model says.</summary>
    Guess,

    /// <summary>Fairly sure.</summary>
    Fair,

    /// <summary>Sure.</summary>
    Sure,
}
