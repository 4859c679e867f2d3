using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using NodaTime;

namespace VerdantSieve.Core.Formats.Notebook;

/// <summary>An outing as a calendar takes it.</summary>
/// <param name="Id">What tells it from others, so that a calendar that has it already changes it and does not add another.</param>
/// <param name="Day">The first day it can be made.</param>
/// <param name="Days">How many days it can be made in.</param>
/// <param name="Title">What it is.</param>
/// <param name="Place">Where; empty where that is not known.</param>
/// <param name="Text">What is to be done there.</param>
public sealed record CalendarOuting(string Id, LocalDate Day, int Days, string Title, string Place, string Text);

/// <summary>Outings as iCalendar (RFC 5545).</summary>
public static class OutingCalendar
{
    /// <summary>The media type of what is written.</summary>
    public const string MediaType = "text/calendar";

    /// <summary>Writes outings as one calendar: each spans the days in which it can be made and keeps nobody busy.</summary>
    /// <param name="outings">The outings.</param>
    /// <param name="now">When it is written.</param>
    public static string Write(IEnumerable<CalendarOuting> outings, Instant now)
    {
        var calendar = new Calendar { ProductId = "-//Verdant Sieve//Outings//EN", Method = "PUBLISH" };
        foreach (var outing in outings)
            calendar.Events.Add(
                new CalendarEvent
                {
                    Uid = $"{outing.Id}@verdant-sieve.example",
                    DtStamp = new CalDateTime(now.ToDateTimeUtc()),
                    Start = DateOf(outing.Day),
                    End = DateOf(outing.Day.PlusDays(outing.Days)),
                    Summary = outing.Title,
                    Location = outing.Place.Length > 0 ? outing.Place : null,
                    Description = outing.Text,
                    Transparency = TransparencyType.Transparent,
                }
            );
        return new CalendarSerializer().SerializeToString(calendar) ?? "";
    }

    private static CalDateTime DateOf(LocalDate day) => new(day.Year, day.Month, day.Day);
}
