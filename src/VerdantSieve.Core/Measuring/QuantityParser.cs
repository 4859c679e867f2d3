using System.Globalization;
using System.Text.RegularExpressions;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Measuring;

/// <summary>One value or a range, in the unit asked for. <see cref="Low"/> equals <see cref="High"/> for one value.</summary>
public readonly record struct Quantity(double Low, double High);

/// <summary>Reads lengths as people write them: <c>14.5 cm</c>, <c>145 mm</c>, <c>3 1/2 in</c>, <c>5-8 in</c>, <c>6½"</c>.</summary>
public static partial class QuantityParser
{
    // The international inch and foot of 1959, exact by definition.
    private static readonly Dictionary<string, double> CentimetresPerUnit = new()
    {
        ["mm"] = 0.1, ["cm"] = 1, ["m"] = 100, ["in"] = 2.54, ["inch"] = 2.54, ["inches"] = 2.54, ["\""] = 2.54, ["″"] = 2.54,
        ["ft"] = 30.48, ["foot"] = 30.48, ["feet"] = 30.48, ["'"] = 30.48, ["′"] = 30.48
    };

    private static readonly Dictionary<char, string> VulgarFractions = new()
    {
        ['½'] = "1/2", ['¼'] = "1/4", ['¾'] = "3/4", ['⅛'] = "1/8", ['⅜'] = "3/8", ['⅝'] = "5/8", ['⅞'] = "7/8", ['⅓'] = "1/3", ['⅔'] = "2/3"
    };

    /// <summary>The units a length may be typed in, for messages.</summary>
    public const string LengthUnits = "mm, cm, m, in or ft";

    /// <summary>Reads a value or a range. A number without a unit is taken to be in <paramref name="unit"/> already.</summary>
    /// <param name="text">What was typed.</param>
    /// <param name="unit">The unit of the answer.</param>
    /// <param name="quantity">The answer, in <paramref name="unit"/>.</param>
    /// <param name="problem">What is wrong, as a sentence naming what is allowed; empty where it is read.</param>
    public static bool TryParse(string? text, MeasureUnit unit, out Quantity quantity, out string problem)
    {
        quantity = default;
        var allowed = unit == MeasureUnit.Ratio ? "a number such as 2.5, or a range such as 2-3"
            : $"a number with {LengthUnits}, such as {(unit == MeasureUnit.Metre ? "12 m or 40 ft" : "14.5 cm, 145 mm, 3 1/2 in or 5-8 in")}";
        problem = $"Type {allowed}.";
        var match = Pattern().Match(Spell(text ?? ""));
        if (!match.Success) return false;

        var unitText = match.Groups["unit"].Value;
        var factor = 1.0;
        if (unitText.Length > 0)
        {
            if (unit == MeasureUnit.Ratio || !CentimetresPerUnit.TryGetValue(unitText, out factor))
            {
                problem = $"“{unitText}” is not a unit for this: type {allowed}.";
                return false;
            }
            if (unit == MeasureUnit.Metre) factor /= 100;
        }
        if (!TryNumber(match.Groups["low"].Value, out var low)) return false;
        var high = low;
        if (match.Groups["high"].Success && !TryNumber(match.Groups["high"].Value, out high)) return false;
        if (low <= 0 || high <= 0)
        {
            problem = $"A size is above 0: type {allowed}.";
            return false;
        }
        if (high < low) (low, high) = (high, low);
        if (high * factor > 100_000)
        {
            problem = $"That is larger than any tree: type {allowed}.";
            return false;
        }
        quantity = new Quantity(low * factor, high * factor);
        problem = "";
        return true;
    }

    /// <summary>Converts a value in a named unit; null where the unit is not one for this measure.</summary>
    public static double? Convert(double value, string unitName, MeasureUnit unit)
    {
        if (unit == MeasureUnit.Ratio) return unitName is "" or "ratio" ? value : null;
        if (!CentimetresPerUnit.TryGetValue(unitName.Trim().ToLowerInvariant(), out var factor)) return null;
        return value * factor / (unit == MeasureUnit.Metre ? 100 : 1);
    }

    private static string Spell(string text)
    {
        foreach (var (sign, words) in VulgarFractions) text = text.Replace(sign.ToString(), " " + words);
        return text.Trim().ToLowerInvariant().Replace('–', '-').Replace(" to ", "-").Replace(',', '.');
    }

    private static bool TryNumber(string text, out double value)
    {
        value = 0;
        foreach (var part in text.Split(' ', StringSplitOptions.RemoveEmptyEntries))
        {
            var fraction = part.Split('/');
            if (!double.TryParse(fraction[0], NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var number)) return false;
            if (fraction.Length == 2)
            {
                if (!double.TryParse(fraction[1], NumberStyles.None, CultureInfo.InvariantCulture, out var divisor) || divisor == 0) return false;
                number /= divisor;
            }
            value += number;
        }
        return true;
    }

    private const string Number = @"\d+(?:\.\d+)?(?:\s+\d+/\d+|/\d+)?|\.\d+";

    [GeneratedRegex($@"^(?<low>{Number})(?:\s*-\s*(?<high>{Number}))?\s*(?<unit>[a-z""″'′]*)\.?$", RegexOptions.CultureInvariant)]
    private static partial Regex Pattern();
}
