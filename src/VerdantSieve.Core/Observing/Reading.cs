namespace VerdantSieve.Core.Observing;

/// <summary>How sure the observer is of a reading.</summary>
public enum Certainty
{
    /// <summary>A guess: wrong about three times in ten.</summary>
    Guess,
    /// <summary>Fairly sure: wrong about once in ten.</summary>
    Fair,
    /// <summary>Sure: wrong about twice in a hundred.</summary>
    Sure
}

/// <summary>How several states of one reading are meant.</summary>
public enum StateMode
{
    /// <summary>This state.</summary>
    Is,
    /// <summary>One of these; can't tell which.</summary>
    Either,
    /// <summary>All of these occur on this very plant.</summary>
    AllSeen
}

/// <summary>What was observed of one character.</summary>
public abstract record Observation;

/// <summary>Looked at, but can't tell. Changes nothing in the answer; the record keeps it.</summary>
public sealed record CannotTell : Observation;

/// <summary>One or several states of a <see cref="Botany.StateCharacter"/>, in the character's own order.</summary>
public sealed record StatesSeen(IReadOnlyList<string> States, StateMode Mode) : Observation
{
    /// <inheritdoc/>
    public bool Equals(StatesSeen? other) => other is not null && Mode == other.Mode && States.SequenceEqual(other.States);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Mode, States.Count, States[0]);
}

/// <summary>A count, or several: the least, the most and, where known, the usual one.</summary>
/// <param name="Low">The least; at least 1.</param>
/// <param name="High">The most; not below <paramref name="Low"/>.</param>
public sealed record Counted(int Low, int High) : Observation
{
    /// <summary>The usual number on this plant, from <see cref="Low"/> to <see cref="High"/>; null where only the ends are known.</summary>
    public int? Usual { get; init; }
}

/// <summary>How a size was found.</summary>
public enum MeasuredBy
{
    /// <summary>With a ruler.</summary>
    Ruler,
    /// <summary>In widths of the observer's hand.</summary>
    Hand,
    /// <summary>By eye.</summary>
    Eye
}

/// <summary>A measure in the character's own unit, or the least and most of several.</summary>
/// <param name="Low">The least; above 0.</param>
/// <param name="High">The most; not below <paramref name="Low"/>.</param>
/// <param name="Leaves">How many were measured; at least 1.</param>
public sealed record Measured(double Low, double High, int Leaves) : Observation
{
    /// <summary>The typical one of several, from <see cref="Low"/> to <see cref="High"/>; null where only the ends are known.</summary>
    public double? Typical { get; init; }

    /// <summary>How it was found.</summary>
    public MeasuredBy By { get; init; } = MeasuredBy.Ruler;

    /// <summary>The middle of the sample: the typical one, else the geometric mean of the ends, since sizes are log-normal.</summary>
    public double Middle => Typical ?? Math.Sqrt(Low * High);
}

/// <summary>A limit on one side: "up to 5 cm", "more than 9". A value far inside it fits as well as one at it.</summary>
/// <param name="Limit">The limit, in the character's own unit; a whole number for a count.</param>
/// <param name="IsMost">Whether it is the most; else the least.</param>
public sealed record Limited(double Limit, bool IsMost) : Observation
{
    /// <summary>How it was found; counts are read as with a ruler.</summary>
    public MeasuredBy By { get; init; } = MeasuredBy.Ruler;
}

/// <summary>A thing looked for: seen, or looked for and not seen.</summary>
public sealed record Sought(bool Seen) : Observation;

/// <summary>Flowers or fruit looked for on the day of the look.</summary>
public sealed record Today(bool Seen) : Observation;

/// <summary>One character recorded, with how sure the observer is.</summary>
public sealed record Reading(string Character, Observation Observation, Certainty Certainty)
{
    /// <summary>What part of the plant, or what plant, it was read on.</summary>
    public Origin Origin { get; init; } = Origin.FairSample;

    /// <summary>Whether the reading says anything about which plant this is.</summary>
    public bool Tells => Observation is not CannotTell;
}
