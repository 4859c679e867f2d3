using NodaTime;

namespace VerdantSieve.Core.Practising;

/// <summary>How well one thing is remembered, and when it is asked for again.</summary>
/// <remarks>SM-2: P. A. Woźniak 1990, Optimization of learning, chapter 3.2, as remembered. The first interval is a day, the second six,
/// each further one the last times the easiness, rounded up; an answer below 3 begins anew and leaves the easiness.</remarks>
public sealed record Repetition
{
    /// <summary>The easiness of what was never asked.</summary>
    public const double FirstEasiness = 2.5;

    /// <summary>The least easiness: what is harder is asked no oftener.</summary>
    public const double LeastEasiness = 1.3;

    /// <summary>What is graded lower is asked again in the same sitting.</summary>
    public const int Enough = 4;

    // What is graded lower was not remembered.
    private const int Remembered = 3;

    private const int FirstDays = 1,
        SecondDays = 6,
        MostDays = 3650;

    /// <summary>What was never asked.</summary>
    public static Repetition New { get; } = new();

    /// <summary>The easiness, <see cref="LeastEasiness"/> and up.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It is less than that, or no number.</exception>
    public double Easiness
    {
        get;
        init =>
            field = value is >= LeastEasiness and < 100
                ? value
                : throw new ArgumentOutOfRangeException(nameof(Easiness), value, $"The easiness is {LeastEasiness} or more.");
    } = FirstEasiness;

    /// <summary>How often it has been remembered in a row.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It is negative.</exception>
    public int Times
    {
        get;
        init =>
            field =
                value >= 0
                    ? value
                    : throw new ArgumentOutOfRangeException(nameof(Times), value, "Nothing is remembered less than 0 times.");
    }

    /// <summary>The last interval, in days; 0 where it was never asked.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It is negative.</exception>
    public int Days
    {
        get;
        init => field = value >= 0 ? value : throw new ArgumentOutOfRangeException(nameof(Days), value, "An interval has 0 days or more.");
    }

    /// <summary>The day it is asked for again; null where it was never asked.</summary>
    public LocalDate? Due { get; init; }

    /// <summary>Whether it is to be asked on a day.</summary>
    public bool IsDue(LocalDate day) => Due is { } due && due <= day;

    /// <summary>The same after one more answer.</summary>
    /// <param name="grade">How it was answered: 0 (a blank) to 5 (at once and surely).</param>
    /// <param name="day">The day.</param>
    /// <exception cref="ArgumentOutOfRangeException">The grade is not from 0 to 5.</exception>
    public Repetition After(int grade, LocalDate day)
    {
        if (grade is < 0 or > 5)
            throw new ArgumentOutOfRangeException(nameof(grade), grade, "A grade is from 0 to 5.");
        if (grade < Remembered)
            return this with { Times = 0, Days = FirstDays, Due = day.PlusDays(FirstDays) };
        var easiness = Math.Max(LeastEasiness, Easiness + 0.1 - (5 - grade) * (0.08 + (5 - grade) * 0.02));
        var days = Times switch
        {
            0 => FirstDays,
            1 => SecondDays,
            // 15 × 2.6 is 39 and not a hair more.
            _ => (int)Math.Min(MostDays, Math.Ceiling(Math.Round(Days * easiness, 6))),
        };
        return new Repetition
        {
            Easiness = easiness,
            Times = Times + 1,
            Days = days,
            Due = day.PlusDays(days),
        };
    }
}
