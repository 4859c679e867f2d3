using NodaTime;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Practising;

namespace VerdantSieve.Store.Practising;

/// <summary>A practice set as stored.</summary>
public sealed class PracticeSetRow
{
    public required string Id { get; init; }
    public required string Owner { get; set; }
    public required string FloraId { get; init; }
    public required string Title { get; init; }

    /// <summary>The country it is about; null where about none.</summary>
    public string? Region { get; init; }

    /// <summary>The class it is worked in; null where in none.</summary>
    public string? ClassId { get; set; }

    /// <summary>The scientific names of the kinds it is about.</summary>
    public List<string> Pool { get; init; } = [];

    /// <summary>The lines of its exercises, in the order they are asked; what was missed stands again at the end.</summary>
    public List<string> Queue { get; set; } = [];

    /// <summary>What has been asked of the record that is open, by character id.</summary>
    public List<string> Asked { get; set; } = [];

    public DateTimeOffset Created { get; init; }
    public DateTimeOffset Changed { get; set; }
}

/// <summary>An answer as stored.</summary>
public sealed class PracticeAnswerRow
{
    public long Id { get; init; }
    public required string SetId { get; init; }

    /// <summary>Its place in the set, from 0.</summary>
    public int At { get; init; }

    /// <summary>The line of the exercise.</summary>
    public required string Line { get; init; }
    public required string Said { get; init; }
    public required string Right { get; init; }
    public bool IsRight { get; init; }
    public bool IsNear { get; init; }
    public Certainty Certainty { get; init; }

    /// <summary>What was asked of a record before it was named.</summary>
    public List<string> Asked { get; init; } = [];

    /// <summary>What the schedule said before, so that the answer can be taken back; null where it was the first, or changed
    /// nothing.</summary>
    public Remembered? Before { get; init; }

    /// <summary>Whether it moved the schedule: only the first answer to a thing in a set does.</summary>
    public bool Scheduled { get; init; }

    /// <summary>Whether the exercise was put at the end of the set again.</summary>
    public bool Again { get; init; }
    public DateTimeOffset Given { get; init; }

    /// <summary>It as an answer.</summary>
    internal Answer Answer => new(Said, Right, IsRight, IsNear, Certainty);
}

/// <summary>How well somebody remembers one thing, as stored.</summary>
public sealed class RepetitionRow
{
    public required string Owner { get; set; }
    public required string Subject { get; init; }
    public double Easiness { get; set; }
    public int Times { get; set; }
    public int Days { get; set; }
    public DateOnly Due { get; set; }

    /// <summary>It as a value.</summary>
    internal Remembered Value
    {
        get => new(Easiness, Times, Days, Due);
        set
        {
            (Easiness, Times) = (value.Easiness, value.Times);
            (Days, Due) = (value.Days, value.Due);
        }
    }
}

/// <summary>A repetition as it lies in a document.</summary>
public sealed record Remembered(double Easiness, int Times, int Days, DateOnly Due)
{
    internal static Remembered Of(Repetition repetition) =>
        new(repetition.Easiness, repetition.Times, repetition.Days, repetition.Due!.Value.ToDateOnly());

    internal Repetition Repetition =>
        new()
        {
            Easiness = Easiness,
            Times = Times,
            Days = Days,
            Due = LocalDate.FromDateOnly(Due),
        };
}
