using System.Globalization;
using NodaTime;
using NodaTime.Text;

namespace VerdantSieve.Core.Seasons;

/// <summary>A span of the calendar, both ends included, which may run over the turn of the year.</summary>
public readonly record struct SeasonWindow(AnnualDate Start, AnnualDate End)
{
    /// <summary>29 February is left out.</summary>
    public const int DaysInYear = 365;
    private static readonly AnnualDatePattern Pattern = AnnualDatePattern.Create(
        "d MMM",
        CultureInfo.InvariantCulture,
        new AnnualDate(1, 1)
    );

    /// <summary>Reads "25 Mar – 10 May".</summary>
    public static Outcome<SeasonWindow> Parse(string text)
    {
        var ends = text.Split('–', '-').Select(end => Pattern.Parse(end.Trim())).ToArray();
        return ends is [{ Success: true } start, { Success: true } end]
            ? new SeasonWindow(start.Value, end.Value)
            : Fault.AtField("window", text, $"“{text}” is no span of the calendar; write for example 25 Mar – 10 May");
    }

    /// <summary>Whether the text is a day of the year, such as "25 Mar".</summary>
    public static bool IsDay(string text) => Pattern.Parse(text.Trim()).Success;

    /// <summary>The first day of the window, 0 to 364 counted from 1 January.</summary>
    public int StartDay => DayOf(Start);

    /// <summary>How many days the window lasts.</summary>
    public int Length => Wrap(DayOf(End) - DayOf(Start)) + 1;

    /// <summary>Days from the date to the nearer end of the window: negative outside, 0 or more inside.</summary>
    public int DaysInside(int dayOfYear)
    {
        var sinceStart = Wrap(dayOfYear - StartDay);
        if (sinceStart < Length)
            return Math.Min(sinceStart, Length - 1 - sinceStart);
        return -Math.Min(sinceStart - Length + 1, DaysInYear - sinceStart);
    }

    /// <summary>The window where the season runs late by so many days, or early where they are negative.</summary>
    public SeasonWindow Shifted(double days)
    {
        var whole = (int)Math.Round(days);
        return whole == 0 || Length == DaysInYear ? this : new SeasonWindow(DateOf(StartDay + whole), DateOf(DayOf(End) + whole));
    }

    /// <summary>The shortest window that holds this one and another, this one's start first where both ways are as long.</summary>
    public SeasonWindow Through(SeasonWindow other)
    {
        var (first, second) = (Joined(this, other), Joined(other, this));
        return first.Length <= second.Length ? first : second;
    }

    // From the start of the one to whichever end comes later.
    private static SeasonWindow Joined(SeasonWindow one, SeasonWindow other)
    {
        var ends = Wrap(DayOf(other.End) - one.StartDay) >= Wrap(DayOf(one.End) - one.StartDay) ? other.End : one.End;
        var joined = new SeasonWindow(one.Start, ends);
        // Where the other begins before the one does, all of the year between is taken in.
        return joined.DaysInside(other.StartDay) >= 0 ? joined : new SeasonWindow(one.Start, DateOf(one.StartDay + DaysInYear - 1));
    }

    /// <summary>The date of a day of the year, counted from 0 and past either end of the year.</summary>
    public static AnnualDate DateOf(int day)
    {
        var date = new LocalDate(2025, 1, 1).PlusDays(Wrap(day));
        return new AnnualDate(date.Month, date.Day);
    }

    /// <summary>The start and the end as they are written: "25 Mar".</summary>
    public (string Start, string End) Ends => (Pattern.Format(Start), Pattern.Format(End));

    /// <summary>The day of the year of a date, 0 to 364; 29 February counts as the 28th.</summary>
    public static int DayOf(AnnualDate date) => date.InYear(2025).DayOfYear - 1;

    /// <summary>A day counted past either end of the year, as a day of it: 0 to 364.</summary>
    public static int Wrap(int days) => ((days % DaysInYear) + DaysInYear) % DaysInYear;

    /// <inheritdoc/>
    public override string ToString() => $"{Ends.Start} – {Ends.End}";
}
