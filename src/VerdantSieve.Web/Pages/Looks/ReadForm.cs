using System.Text.RegularExpressions;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Web.Pages.Looks;

/// <summary>A reading as the page sends it: a tap on a state, a typed measure, "can't tell".</summary>
public sealed partial class ReadForm
{
    public string? Character { get; set; }
    public List<string> States { get; set; } = [];
    public string? Mode { get; set; }
    public string? Text { get; set; }
    public string? Leaves { get; set; }
    public bool? Seen { get; set; }
    public bool? Today { get; set; }
    public bool Unknown { get; set; }
    public string? Certainty { get; set; }
    public string? Origin { get; set; }

    /// <summary>Checks the form against the flora. A bare number is in the reader's own units.</summary>
    public Outcome<Reading> Check(Flora flora, LengthStyle style)
    {
        int? leaves = null;
        if (!Unknown && Leaves is { Length: > 0 } typed)
        {
            if (!int.TryParse(typed.Trim(), out var count) || count is < 1 or > Measured.MostLeaves)
                return Fault.AtField("leaves", typed, $"It must be a whole number from 1 to {Measured.MostLeaves}.");
            leaves = count;
        }
        var raw = new RawReading(Character)
        {
            States = States.Count > 0 ? States : null,
            Mode = Mode,
            Text = WithUnit(Text?.Trim(), flora, style),
            Leaves = leaves,
            Seen = Seen,
            Today = Today,
            Unknown = Unknown,
            Certainty = Certainty,
            Origin = Origin,
        };
        return ReadingDesk.Check(raw, flora);
    }

    private string? WithUnit(string? text, Flora flora, LengthStyle style)
    {
        if (style == LengthStyle.Metric || text is null || Named().IsMatch(text))
            return text;
        if (flora.FindCharacter(Character ?? "") is not MeasureCharacter { Unit: not MeasureUnit.Ratio } measure)
            return text;
        return text + (measure.Unit == MeasureUnit.Metre ? " ft" : " in");
    }

    // A unit stands behind a number; words such as "about" or "mostly" do not.
    [GeneratedRegex(@"\d\s*((mm|cm|m|in|inch|inches|ft|foot|feet|hands?)\b|[""″'′])", RegexOptions.IgnoreCase)]
    private static partial Regex Named();
}
