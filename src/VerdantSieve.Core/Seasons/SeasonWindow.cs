using System.Diagnostics.CodeAnalysis;
using System.Globalization;
using NodaTime;
using NodaTime.Text;

namespace VerdantSieve.Core.Seasons;

/// <summary>A span of the calendar, both ends included, which may run over the turn of the year.</summary>
public readonly record struct SeasonWindow(AnnualDate Start, AnnualDate End)
{
    /// <summary>29 February is left out.</summary>
    public const int DaysInYear = 365;
    private static readonly AnnualDatePattern Pattern = AnnualDatePattern.Create("d MMM", CultureInfo.InvariantCulture, new AnnualDate(1, 1));

    /// <summary>Reads "25 Mar – 10 May".</summary>
    public static bool TryParse(string text, [NotNullWhen(true)] out SeasonWindow? window)
    {
        window = null;
        var ends = text.Split('–', '-').Select(end => Pattern.Parse(end.Trim())).ToArray();
        if (ends.Length != 2 || !ends.All(end => end.Success)) return false;
        window = new SeasonWindow(ends[0].Value, ends[1].Value);
        return true;
    }

    /// <summary>The first day of the window, 0 to 364 counted from 1 January.</summary>
    public int StartDay => DayOf(Start);

    /// <summary>How many days the window lasts.</summary>
    public int Length => Wrap(DayOf(End) - DayOf(Start)) + 1;

    /// <summary>Days from the date to the nearer end of the window: negative outside, 0 or more inside.</summary>
    public int DaysInside(int dayOfYear)
    {
        var sinceStart = Wrap(dayOfYear - StartDay);
        if (sinceStart < Length) return Math.Min(sinceStart, Length - 1 - sinceStart);
        return -Math.Min(sinceStart - Length + 1, DaysInYear - sinceStart);
    }

    /// <summary>The window where the season runs late by so many days, or early where they are negative.</summary>
    public SeasonWindow Shifted(double days)
    {
        var whole = (int)Math.Round(days);
        return whole == 0 || Length == DaysInYear ? this : new SeasonWindow(On(StartDay + whole), On(DayOf(End) + whole));

        static AnnualDate On(int day) => new LocalDate(2025, 1, 1).PlusDays(Wrap(day)) is var date ? new AnnualDate(date.Month, date.Day) : default;
    }

    /// <summary>The day of the year of a date, 0 to 364; 29 February counts as the 28th.</summary>
    public static int DayOf(AnnualDate date) => date.InYear(2025).DayOfYear - 1;

    /// <summary>A day counted past either end of the year, as a day of it: 0 to 364.</summary>
    public static int Wrap(int days) => ((days % DaysInYear) + DaysInYear) % DaysInYear;

    /// <inheritdoc/>
    public override string ToString() => $"{Pattern.Format(Start)} – {Pattern.Format(End)}";
}
