using System.Globalization;
using System.Text.RegularExpressions;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Measuring;

/// <summary>One value, a range, a sample or a limit, in the unit asked for. <see cref="Low"/> equals <see cref="High"/> for one value.</summary>
public readonly record struct Quantity(double Low, double High)
{
    /// <summary>The usual one of several; null where it is not known.</summary>
    public double? Usual { get; init; }

    /// <summary>How many there were; null where it is not known.</summary>
    public int? Leaves { get; init; }

    /// <summary>True for "up to", false for "at least", null where it is no limit.</summary>
    public bool? Limit { get; init; }

    /// <summary>How it was found, as far as the words tell.</summary>
    public MeasuredBy By { get; init; }

    /// <summary>The sample of several values: its usual one is the median, which a single odd leaf does not move.</summary>
    public static Quantity Of(IReadOnlyList<double> values)
    {
        double[] sorted = [.. values.Order()];
        // The lower of two middle ones, so that the median of counts is a count.
        return new Quantity(sorted[0], sorted[^1]) { Usual = sorted[(sorted.Length - 1) / 2], Leaves = sorted.Length };
    }
}

/// <summary>Reads sizes as people write them: <c>14.5 cm</c>, <c>145 mm</c>, <c>3 1/2 in</c>, <c>5-8 in</c>, <c>6½"</c>, several leaves in a row
/// (<c>12, 14, 9.5 cm</c>), a range with its usual value (<c>5-9, mostly 7 cm</c>), a limit (<c>up to 5 cm</c>), an estimate (<c>about 6 in</c>,
/// <c>2 hands</c>).</summary>
public static partial class QuantityParser
{
    // The international inch and foot of 1959, exact by definition.
    private static readonly Dictionary<string, double> CentimetresPerUnit = new()
    {
        ["mm"] = 0.1, ["cm"] = 1, ["m"] = 100, ["in"] = 2.54, ["inch"] = 2.54, ["inches"] = 2.54, ["\""] = 2.54, ["″"] = 2.54,
        ["ft"] = 30.48, ["foot"] = 30.48, ["feet"] = 30.48, ["'"] = 30.48, ["′"] = 30.48,
        ["hand"] = HandWidth, ["hands"] = HandWidth
    };

    /// <summary>The width of a grown person's hand across the palm, in centimetres: 8 to 10 (common practice).</summary>
    public const double HandWidth = 9;

    private static readonly Dictionary<char, string> VulgarFractions = new()
    {
        ['½'] = "1/2", ['¼'] = "1/4", ['¾'] = "3/4", ['⅛'] = "1/8", ['⅜'] = "3/8", ['⅝'] = "5/8", ['⅞'] = "7/8", ['⅓'] = "1/3", ['⅔'] = "2/3"
    };

    /// <summary>The units a length may be typed in, for messages.</summary>
    public const string LengthUnits = "mm, cm, m, in, ft or hands";

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
        var words = Spell(text ?? "");
        var by = MeasuredBy.Ruler;
        if (Take(ref words, AboutWords)) by = MeasuredBy.Eye;
        bool? limit = Take(ref words, MostWords) ? true : Take(ref words, LeastWords) ? false : null;
        var match = Pattern().Match(words);
        if (!match.Success) return false;

        var units = match.Groups["unit"].Captures.Select(capture => capture.Value).Where(value => value.Length > 0).Distinct().ToArray();
        if (units.Length > 1) return false;
        var unitText = units.FirstOrDefault() ?? "";
        var factor = 1.0;
        if (unitText.Length > 0)
        {
            if (unit == MeasureUnit.Ratio || !CentimetresPerUnit.TryGetValue(unitText, out factor))
            {
                problem = $"“{unitText}” is not a unit for this: type {allowed}.";
                return false;
            }
            if (unitText.StartsWith("hand", StringComparison.Ordinal) && by == MeasuredBy.Ruler) by = MeasuredBy.Hand;
            if (unit == MeasureUnit.Metre) factor /= 100;
        }
        var numbers = new List<double>();
        foreach (var group in new[] { "low", "high", "more", "usual" })
            foreach (Capture capture in match.Groups[group].Captures)
            {
                if (!TryNumber(capture.Value, out var number)) return false;
                numbers.Add(number * factor);
            }
        if (numbers.Any(number => number <= 0))
        {
            problem = $"A size is above 0: type {allowed}.";
            return false;
        }
        if (numbers.Max() > 100_000)
        {
            problem = $"That is larger than any tree: type {allowed}.";
            return false;
        }
        var several = match.Groups["more"].Success;
        if (limit is not null && numbers.Count > 1)
        {
            problem = $"A limit has one number, such as up to 5 cm: type {allowed}.";
            return false;
        }
        double? usual = match.Groups["usual"].Success ? numbers[^1] : null;
        if (usual is not null) numbers.RemoveAt(numbers.Count - 1);
        quantity = several ? Quantity.Of(numbers) with { Usual = usual ?? Quantity.Of(numbers).Usual } : new Quantity(numbers.Min(), numbers.Max()) { Usual = usual };
        quantity = quantity with { By = by, Limit = limit };
        if (usual < quantity.Low || usual > quantity.High)
        {
            problem = "The usual size must lie between the least and the most.";
            return false;
        }
        problem = "";
        return true;
    }

    private static readonly string[] AboutWords = ["about ", "around ", "roughly ", "circa ", "ca. ", "ca ", "~", "≈"];
    private static readonly string[] MostWords = ["up to ", "at most ", "under ", "below ", "less than ", "<=", "≤", "<"];
    private static readonly string[] LeastWords = ["at least ", "over ", "above ", "more than ", ">=", "≥", ">"];

    private static bool Take(ref string words, string[] starts)
    {
        var rest = words;
        if (starts.FirstOrDefault(start => rest.StartsWith(start, StringComparison.Ordinal)) is not { } found) return false;
        words = words[found.Length..].TrimStart();
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
        text = text.Trim().ToLowerInvariant().Replace('–', '-').Replace("hand-width", "hand").Replace("hand width", "hand");
        // Before a limit is looked for: "5 to 8" is a range, "up to 5" is not.
        text = RangeWord().Replace(text, "$1-$2");
        // A comma parts values where a space follows or there are several; else it is a decimal comma.
        return text.Contains(", ", StringComparison.Ordinal) || text.Count(letter => letter == ',') > 1 ? text.Replace(',', ';') : text.Replace(',', '.');
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

    // One number, a range, or numbers parted by ";" or by blanks; then perhaps the usual one; then perhaps the unit, which may stand before "mostly" too.
    [GeneratedRegex($@"^(?<low>{Number})(?:\s*-\s*(?<high>{Number})|(?:\s*;\s*(?<more>{Number}))+|(?:\s+(?<more>\d+(?:\.\d+)?)(?![\d/.]))+)?(?:\s*[;.]?\s*(?<unit>[a-z""″'′]+)?\s*[;.]?\s*(?:mean|mostly|typically|usually)\s+(?<usual>{Number}))?\s*(?<unit>[a-z""″'′]*)\.?$", RegexOptions.CultureInvariant)]
    private static partial Regex Pattern();

    [GeneratedRegex(@"(\d[½¼¾⅛⅜⅝⅞⅓⅔]?)\s+to\s+(\d)")]
    private static partial Regex RangeWord();
}
