using NodaTime.Text;
using VerdantSieve.Core;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Web.Notebooks;

/// <summary>What is typed of an outing.</summary>
public sealed class OutingForm
{
    public string? Title { get; set; }
    public string? Date { get; set; }
    public string? Who { get; set; }
    public string? Weather { get; set; }
    public string? Access { get; set; }
    public string? Hazards { get; set; }

    private readonly List<Fault> faults = [];

    /// <summary>What is wrong with a field; null where nothing is.</summary>
    public string? FaultAt(string field) => faults.FirstOrDefault(fault => fault.At == field)?.Sentence;

    /// <summary>The form of an outing as it is kept.</summary>
    public static OutingForm Of(OutingAbout about) =>
        new()
        {
            Title = about.Title,
            Date = about.Date is { } day ? LocalDatePattern.Iso.Format(NodaTime.LocalDate.FromDateOnly(day)) : "",
            Who = about.Who,
            Weather = about.Weather,
            Access = about.Access,
            Hazards = about.Hazards,
        };

    /// <summary>What is to be kept; null where something is wrong, which is then told at its field.</summary>
    public OutingAbout? Fill()
    {
        faults.Clear();
        DateOnly? day = null;
        if (Date?.Trim() is { Length: > 0 } typed)
        {
            var read = LocalDatePattern.Iso.Parse(typed);
            if (read.Success)
                day = read.Value.ToDateOnly();
            else
                faults.Add(Fault.AtField("date", typed, "Write the day as year-month-day, such as 2026-06-14."));
        }
        var title = Text(Title, "title");
        if (title.Length == 0 && faults.Count == 0)
            faults.Add(new Fault("title", "Give the outing a name, such as where it went."));
        var about = new OutingAbout(
            title,
            day,
            Text(Who, "who"),
            Text(Weather, "weather"),
            Text(Access, "access"),
            Text(Hazards, "hazards")
        );
        return faults.Count == 0 ? about : null;
    }

    private string Text(string? text, string field)
    {
        var trimmed = text?.Trim() ?? "";
        if (trimmed.Length > OutingAbout.Longest)
            faults.Add(new Fault(field, $"At most {OutingAbout.Longest} letters fit here; these are {trimmed.Length}."));
        return trimmed;
    }
}
