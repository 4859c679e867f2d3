using System.Globalization;
using NodaTime;
using NodaTime.Text;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Observing;

/// <summary>Turns raw circumstances into circumstances. The web pages and the API both come in this way.</summary>
public static class CircumstancesDesk
{
    private const int FirstYear = 1700,
        LastYear = 2200;

    /// <summary>Checks raw circumstances.</summary>
    /// <returns>The circumstances, or all that is wrong, at the fields <c>region</c>, <c>latitude</c>, <c>longitude</c>, <c>elevation</c>,
    /// <c>date</c>,
    /// <c>setting</c>, <c>age</c> and <c>stage</c>.</returns>
    public static Outcome<Circumstances> Check(RawCircumstances raw)
    {
        var faults = new List<Fault>();
        var position = Position(raw, faults);
        var circumstances = new Circumstances
        {
            Region = Region(raw.Region, faults),
            Position = position,
            Date = Date(raw.Date, faults),
            Setting = Word<Setting>("setting", raw.Setting, faults),
            Age = Word<Age>("age", raw.Age, faults),
            Stage = Word<LeafStage>("stage", raw.Stage, faults),
        };
        return faults.Count == 0 ? circumstances : Outcome.Faulty<Circumstances>(faults);
    }

    private static string? Region(string? code, List<Fault> faults)
    {
        if (code is not { Length: > 0 })
            return null;
        var known = code.ToUpperInvariant();
        if (!Regions.Exists(known))
            faults.Add(Fault.AtField("region", code, "It must be a level 3 code of the World Geographical Scheme, such as ORE or BRC."));
        return known;
    }

    private static LocalDate? Date(string? text, List<Fault> faults)
    {
        if (text is not { Length: > 0 })
            return null;
        if (Day(text) is { } day)
            return day;
        faults.Add(Fault.AtField("date", text, AllowedDay));
        return null;
    }

    /// <summary>What a day must be.</summary>
    internal static string AllowedDay { get; } = $"It must be a day as year-month-day, such as 2026-06-14, from {FirstYear} to {LastYear}.";

    /// <summary>A day as year-month-day; null where it is none.</summary>
    internal static LocalDate? Day(string text) =>
        LocalDatePattern.Iso.Parse(text) is { Success: true, Value: { Year: >= FirstYear and <= LastYear } day } ? day : null;

    private static T? Word<T>(string field, string? word, List<Fault> faults)
        where T : struct, Enum
    {
        if (word is not { Length: > 0 })
            return null;
        if (EnumWords.TryRead<T>(word, out var value))
            return value;
        faults.Add(Fault.AtField(field, word, $"It must be {EnumWords.Listed<T>()}, or left out."));
        return null;
    }

    private static Position? Position(RawCircumstances raw, List<Fault> faults)
    {
        var before = faults.Count;
        var (latitude, longitude) = (Number("latitude", raw.Latitude, faults), Number("longitude", raw.Longitude, faults));
        var elevation = Number("elevation", raw.Elevation, faults);
        if (faults.Count > before)
            return null;
        // What is not given is in bounds.
        var point = Seasons.Position.Of(latitude ?? 0, longitude ?? 0, elevation ?? 0);
        faults.AddRange(point.Faults);
        if (!point.Has(out var position))
            return null;
        if (latitude is null != longitude is null)
            faults.Add(
                Fault.AtField(latitude is null ? "latitude" : "longitude", null, "Give latitude and longitude together, or neither.")
            );
        return latitude is null ? null : position;
    }

    private static double? Number(string field, string? text, List<Fault> faults)
    {
        if (string.IsNullOrWhiteSpace(text))
            return null;
        // People write a decimal comma, and a true minus sign.
        var plain = text.Trim().Replace(',', '.').Replace('−', '-');
        if (double.TryParse(plain, NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && double.IsFinite(value))
            return value;
        faults.Add(Fault.AtField(field, text, Seasons.Position.Allowed(field)));
        return null;
    }
}
