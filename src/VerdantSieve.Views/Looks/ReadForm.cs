using System.Text.RegularExpressions;
using NodaTime;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Observing.Speech;

namespace VerdantSieve.Views.Looks;

/// <summary>A reading as the page sends it: a tap on a state, a typed measure, "can't tell".</summary>
public sealed partial class ReadForm
{
    // More than a sample of leaves takes, and few enough letters to be read at once.
    private const int LongestSizes = 200;

    public string? Character { get; set; }
    public List<string> States { get; set; } = [];
    public string? Mode { get; set; }
    public string? Text { get; set; }

    /// <summary>A number that was tapped, in the place of one typed.</summary>
    public string? Count { get; set; }
    public string? Leaves { get; set; }
    public bool? Seen { get; set; }
    public bool? Today { get; set; }
    public bool Unknown { get; set; }
    public string? Certainty { get; set; }
    public string? Origin { get; set; }
    public string? On { get; set; }

    /// <summary>How many leaves showed which state; empty fields count none.</summary>
    public Dictionary<string, string?> Tally { get; set; } = [];

    /// <summary>Whether it was tapped on the first glance, which then stays.</summary>
    public bool Glance { get; set; }

    /// <summary>Checks the form against the flora: one reading, or length and width where both were typed at once. A bare number is in
    /// the reader's own units.</summary>
    public Outcome<IReadOnlyList<Reading>> Check(OpenFlora open, LengthStyle style, LocalDate today)
    {
        if (SizesOf(open, style, today) is { } sizes)
            return Outcome.Of(sizes);
        int? leaves = null;
        if (!Unknown && Leaves is { Length: > 0 } typed)
        {
            if (!int.TryParse(typed.Trim(), out var count) || count is < 1 or > Measured.MostLeaves)
                return Fault.AtField("leaves", typed, $"It must be a whole number from 1 to {Measured.MostLeaves}.");
            leaves = count;
        }
        var tally = TallyOf(out var amiss);
        if (amiss is not null)
            return amiss;
        var raw = new RawReading(Character)
        {
            Tally = tally,
            States = States.Count > 0 && tally is null ? States : null,
            Mode = Mode == "tally" ? null : Mode,
            Text = Count ?? WithUnit(Text?.Trim(), open.Flora, style),
            Leaves = leaves,
            Seen = Seen,
            Today = Today,
            Unknown = Unknown,
        };
        return Check(raw, open.Flora).Map<IReadOnlyList<Reading>>(reading => [reading]);
    }

    // “12 x 7, 9 x 6” is how leaves are measured: each over both of its sides.
    private IReadOnlyList<Reading>? SizesOf(OpenFlora open, LengthStyle style, LocalDate today)
    {
        if (Unknown || Character is not (CharacterIds.BladeLength or CharacterIds.BladeWidth))
            return null;
        if (Text is not { Length: < LongestSizes } text || text.AsSpan().IndexOfAny('x', '×') < 0)
            return null;
        Reading[] sizes =
        [
            .. open
                .Speech.Read($"blade {text}", new SpokenAbout(today, style))
                .Readings.Where(heard => heard.Reading.Character is CharacterIds.BladeLength or CharacterIds.BladeWidth)
                .Select(heard => Check(RawReading.From(heard.Reading), open.Flora))
                .Where(size => size.Has(out _))
                .Select(size => size.Value),
        ];
        return sizes.Length == 2 ? sizes : null;
    }

    // Where it was read, what on and how surely goes for all that the form says.
    private Outcome<Reading> Check(RawReading raw, Flora flora) =>
        ReadingDesk.Check(raw with { On = IsOrigin ? null : Filled(On), Origin = IsOrigin ? On : Origin, Certainty = Certainty }, flora);

    // A clipped hedge and a damaged leaf are no places on the plant, but stand beside them.
    private bool IsOrigin => On == Core.Observing.Origin.Hedge.Word() || On == Core.Observing.Origin.Damaged.Word();

    private static string? Filled(string? text) => text is { Length: > 0 } ? text : null;

    // Sent as a tally, or by Enter with nothing else in the form than leaves counted.
    private bool IsTally =>
        Mode == "tally"
        || (
            (Mode, Count, Filled(Text)) is (null, null, null) && States.Count == 0 && Tally.Values.Any(leaves => Filled(leaves) is not null)
        );

    // Counted leaves count only where the form was sent as a tally.
    private Dictionary<string, int>? TallyOf(out Fault? amiss)
    {
        amiss = null;
        if (!IsTally)
            return null;
        var tally = new Dictionary<string, int>();
        foreach (var (state, typed) in Tally.Where(line => line.Value is { Length: > 0 }))
        {
            if (int.TryParse(typed!.Trim(), out var leaves) && leaves is >= 0 and <= Tallied.MostLeaves)
            {
                if (leaves > 0)
                    tally[state] = leaves;
                continue;
            }
            amiss = Fault.AtField($"tally.{state}", typed, $"Count the leaves: a whole number from 1 to {Tallied.MostLeaves}, or nothing.");
            return null;
        }
        return tally;
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
