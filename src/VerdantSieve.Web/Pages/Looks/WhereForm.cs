using System.Globalization;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Store.Looks;

namespace VerdantSieve.Web.Pages.Looks;

/// <summary>Where and when, as typed, with what is wrong beside each field.</summary>
public sealed class WhereForm
{
    private const int LongestText = 200;

    public string? Place { get; set; }
    public string? Region { get; set; }
    public string? Latitude { get; set; }
    public string? Longitude { get; set; }
    public string? Elevation { get; set; }
    public string? Date { get; set; }
    public string? Observer { get; set; }
    public string? Setting { get; set; }
    public string? Age { get; set; }

    /// <summary>What is wrong, by field.</summary>
    public Dictionary<string, string> Problems { get; } = [];

    /// <summary>The form as a look has it.</summary>
    public static WhereForm Of(LookContent content) => new()
    {
        Place = content.Place, Region = content.Region, Latitude = Number(content.Latitude), Longitude = Number(content.Longitude), Elevation = Number(content.Elevation),
        Date = content.Date?.ToString("yyyy-MM-dd"), Observer = content.Observer, Setting = content.Setting?.ToString().ToLowerInvariant(),
        Age = content.Age?.ToString().ToLowerInvariant()
    };

    /// <summary>The content with the form's values, or null where something is wrong.</summary>
    public LookContent? Fill(LookContent content)
    {
        var region = Region is { Length: > 0 } code ? code.ToUpperInvariant() : null;
        if (region is not null && !Regions.Exists(region)) Problems["Region"] = "Choose a region from the list, or leave it open.";
        DateOnly? date = null;
        if (Date is { Length: > 0 })
        {
            if (DateOnly.TryParseExact(Date, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day) && day.Year is >= 1700 and <= 2200) date = day;
            else Problems["Date"] = "Give the day as year-month-day, such as 2026-06-14.";
        }
        var latitude = Parse(Latitude, "Latitude", -90, 90, "degrees north");
        var longitude = Parse(Longitude, "Longitude", -180, 180, "degrees east (west is negative)");
        var elevation = Parse(Elevation, "Elevation", -500, 9000, "metres above the sea");
        if (Problems.Count == 0 && latitude is null != longitude is null)
            Problems[latitude is null ? "Latitude" : "Longitude"] = "Give latitude and longitude together, or neither.";
        foreach (var (name, text) in new[] { ("Place", Place), ("Observer", Observer) })
            if (text?.Length > LongestText) Problems[name] = $"At most {LongestText} letters.";
        Setting? setting = Setting switch { "wild" => Core.Botany.Setting.Wild, "planted" => Core.Botany.Setting.Planted, _ => null };
        Age? age = Age switch { "young" => Core.Observing.Age.Young, "grown" => Core.Observing.Age.Grown, _ => null };
        return Problems.Count > 0 ? null : content with
        {
            Place = Place?.Trim() ?? "", Region = region, Latitude = latitude, Longitude = longitude, Elevation = elevation, Date = date, Observer = Observer?.Trim() ?? "", Setting = setting, Age = age
        };
    }

    private double? Parse(string? text, string field, double low, double high, string what)
    {
        if (string.IsNullOrWhiteSpace(text)) return null;
        if (double.TryParse(text.Trim().Replace(',', '.').Replace('−', '-'), NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && value >= low && value <= high) return value;
        Problems[field] = $"Give {what}, a number from {low:0} to {high:0}.";
        return null;
    }

    private static string? Number(double? value) => value?.ToString("0.#####", CultureInfo.InvariantCulture);
}
