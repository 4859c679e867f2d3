namespace VerdantSieve.Core.Observing;

/// <summary>How sure the observer is of a reading.</summary>
public enum Certainty
{
    /// <summary>A guess: wrong about three times in ten.</summary>
    Guess,

    /// <summary>Fairly sure: wrong about once in ten.</summary>
    Fair,

    /// <summary>Sure: wrong about twice in a hundred.</summary>
    Sure,
}
