using VerdantSieve.Core.Looking;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Views.Looks;

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
    public string? Stage { get; set; }

    /// <summary>Whether the list is left, or what the plant was said to be: it may be any kind again.</summary>
    public bool AnyKind { get; set; }

    /// <summary>The mark of the place that is being changed, see <see cref="LookContent.PlaceMark"/>.</summary>
    public string? Was { get; set; }

    /// <summary>That place and day were changed elsewhere meanwhile; null where they were not.</summary>
    public string? Elsewhere { get; set; }

    /// <summary>What is wrong, by field.</summary>
    public Dictionary<string, string> Problems { get; } = new(StringComparer.OrdinalIgnoreCase);

    /// <summary>What says what is wrong with a field, by its id; null where nothing is.</summary>
    public string? Bad(string field) => Problems.ContainsKey(field) ? $"bad-{field}" : null;

    /// <summary>Whether something is wrong outside the one line that is always shown.</summary>
    public bool HasProblemsBeyond => Problems.Keys.Any(name => name is not (nameof(Place) or nameof(Region) or nameof(Date)));

    /// <summary>The form as a look has it.</summary>
    public static WhereForm Of(LookContent content)
    {
        var raw = content.Circumstances;
        return new WhereForm
        {
            Was = content.PlaceMark,
            Place = content.Place,
            Observer = content.Observer,
            Region = raw.Region,
            Latitude = raw.Latitude,
            Longitude = raw.Longitude,
            Elevation = raw.Elevation,
            Date = raw.Date,
            Setting = raw.Setting,
            Age = raw.Age,
            Stage = raw.Stage,
        };
    }

    /// <summary>What a look says, with what the form says of where and when; null where something is wrong, which then stands in
    /// <see cref="Problems"/>.</summary>
    public LookContent? Fill(LookContent content)
    {
        Problems.Clear();
        AtMost(nameof(Place), Place);
        AtMost(nameof(Observer), Observer);
        var raw = new RawCircumstances
        {
            Region = Region,
            Latitude = Latitude,
            Longitude = Longitude,
            Elevation = Elevation,
            Date = Date,
            Setting = Setting,
            Age = Age,
            Stage = Stage,
        };
        var desk = CircumstancesDesk.Check(raw);
        foreach (var fault in desk.Faults)
            Problems.TryAdd(fault.At, fault.Message);
        if (Problems.Count > 0)
            return null;
        return content with
        {
            Place = Place?.Trim() ?? "",
            Observer = Observer?.Trim() ?? "",
            Circumstances = RawCircumstances.From(desk.Value),
            Among = AnyKind ? null : content.Among,
        };
    }

    private void AtMost(string field, string? text)
    {
        if (text?.Length > LongestText)
            Problems[field] = $"At most {LongestText} letters.";
    }
}
