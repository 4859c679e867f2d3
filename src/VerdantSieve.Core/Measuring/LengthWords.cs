using System.Globalization;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Measuring;

/// <summary>The units a person likes to read.</summary>
public enum LengthStyle
{
    /// <summary>Millimetres, centimetres, metres.</summary>
    Metric,
    /// <summary>Inches with fractions, feet.</summary>
    Inches
}

/// <summary>Writes measures as people say them.</summary>
public static class LengthWords
{
    /// <summary>"14.5 cm", "3 1/2 in", "12 m", "40 ft" or, for a ratio, "2.5".</summary>
    public static string Say(double value, MeasureUnit unit, LengthStyle style) => $"{Number(value, unit, style)} {Unit(unit, style)}".TrimEnd();

    /// <summary>"12–18 cm"; one value where both ends are said alike.</summary>
    public static string Say(double low, double high, MeasureUnit unit, LengthStyle style)
    {
        var (first, last) = (Number(low, unit, style), Number(high, unit, style));
        return first == last ? Say(low, unit, style) : $"{first}–{last} {Unit(unit, style)}".TrimEnd();
    }

    /// <summary>"cm", "in", "m", "ft" or nothing.</summary>
    public static string Unit(MeasureUnit unit, LengthStyle style) => (unit, style) switch
    {
        (MeasureUnit.Ratio, _) => "",
        (MeasureUnit.Metre, LengthStyle.Metric) => "m",
        (MeasureUnit.Metre, _) => "ft",
        (_, LengthStyle.Metric) => "cm",
        _ => "in"
    };

    /// <summary>The number alone: two figures or so, inches to the nearest eighth.</summary>
    public static string Number(double value, MeasureUnit unit, LengthStyle style)
    {
        if (style == LengthStyle.Inches && unit == MeasureUnit.Metre) return Math.Round(value / 0.3048).ToString(CultureInfo.InvariantCulture);
        if (style == LengthStyle.Inches && unit == MeasureUnit.Centimetre) return Eighths(value / 2.54);
        return value.ToString(value < 10 ? "0.##" : "0.#", CultureInfo.InvariantCulture);
    }

    private static string Eighths(double inches)
    {
        var eighths = (int)Math.Max(1, Math.Round(inches * 8));
        var (whole, rest) = (eighths / 8, eighths % 8);
        if (rest == 0) return whole.ToString(CultureInfo.InvariantCulture);
        var divisor = rest % 4 == 0 ? 4 : rest % 2 == 0 ? 2 : 1;
        var fraction = $"{rest / divisor}/{8 / divisor}";
        return whole == 0 ? fraction : $"{whole} {fraction}";
    }
}
