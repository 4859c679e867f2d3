using System.Globalization;

namespace VerdantSieve.Core.Measuring;

/// <summary>Writes measures as people say them.</summary>
public static class LengthWords
{
    private const double CentimetresPerInch = 2.54,
        MetresPerFoot = 0.3048;

    /// <summary>"14.5 cm", "3 1/2 in", "12 m", "40 ft" or, for a ratio, "2.5".</summary>
    public static string Say(double value, MeasureUnit unit, LengthStyle style) =>
        $"{Number(value, unit, style)} {Unit(unit, style)}".TrimEnd();

    /// <summary>"12–18 cm"; one value where both ends are said alike.</summary>
    public static string Say(double low, double high, MeasureUnit unit, LengthStyle style)
    {
        var (first, last) = (Number(low, unit, style), Number(high, unit, style));
        return first == last ? Say(low, unit, style) : $"{first}–{last} {Unit(unit, style)}".TrimEnd();
    }

    /// <summary>"cm", "in", "m", "ft" or nothing.</summary>
    public static string Unit(MeasureUnit unit, LengthStyle style) =>
        (unit, style) switch
        {
            (MeasureUnit.Ratio, _) => "",
            (MeasureUnit.Metre, LengthStyle.Metric) => "m",
            (MeasureUnit.Metre, LengthStyle.Inches) => "ft",
            (MeasureUnit.Centimetre, LengthStyle.Metric) => "cm",
            (MeasureUnit.Centimetre, LengthStyle.Inches) => "in",
        };

    /// <summary>The number alone: two figures or so, inches to the nearest eighth.</summary>
    public static string Number(double value, MeasureUnit unit, LengthStyle style) =>
        (unit, style) switch
        {
            (MeasureUnit.Metre, LengthStyle.Inches) => Math.Round(value / MetresPerFoot).ToString(CultureInfo.InvariantCulture),
            (MeasureUnit.Centimetre, LengthStyle.Inches) => Eighths(value / CentimetresPerInch),
            (MeasureUnit.Ratio, _) or (_, LengthStyle.Metric) => value.ToString(value < 10 ? "0.##" : "0.#", CultureInfo.InvariantCulture),
        };

    private static string Eighths(double inches)
    {
        var eighths = (int)Math.Max(1, Math.Round(inches * 8));
        var (whole, rest) = (eighths / 8, eighths % 8);
        if (rest == 0)
            return whole.ToString(CultureInfo.InvariantCulture);
        var shared = (int)System.Numerics.BigInteger.GreatestCommonDivisor(rest, 8);
        var fraction = $"{rest / shared}/{8 / shared}";
        return whole == 0 ? fraction : $"{whole} {fraction}";
    }
}
