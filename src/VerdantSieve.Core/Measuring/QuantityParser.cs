using System.Globalization;
using System.Text.RegularExpressions;

namespace VerdantSieve.Core.Measuring;

/// <summary>Reads sizes as people write them: <c>14.5 cm</c>, <c>145 mm</c>, <c>3 1/2 in</c>, <c>5-8 in</c>, <c>6½"</c>, several leaves in
/// a row
/// (<c>12, 14, 9.5 cm</c>), a range with its usual value (<c>5-9, mostly 7 cm</c>), a limit (<c>up to 5 cm</c>), an estimate (<c>about 6
/// in</c>,
/// <c>2 hands</c>).</summary>
public static partial class QuantityParser
{
    // The international inch and foot of 1959, exact by definition.
    private static readonly Dictionary<string, double> CentimetresPerUnit = new()
    {
        ["mm"] = 0.1,
        ["cm"] = 1,
        ["m"] = 100,
        ["in"] = 2.54,
        ["inch"] = 2.54,
        ["inches"] = 2.54,
        ["\""] = 2.54,
        ["″"] = 2.54,
        ["ft"] = 30.48,
        ["foot"] = 30.48,
        ["feet"] = 30.48,
        ["'"] = 30.48,
        ["′"] = 30.48,
        ["hand"] = HandWidth,
        ["hands"] = HandWidth,
    };

    /// <summary>The width of a grown person's hand across the palm, in centimetres: 8 to 10 (common practice).</summary>
    public const double HandWidth = 9;

    /// <summary>The most letters of an amount, blanks in a row counted once.</summary>
    public const int Longest = 200;

    private const double LargerThanAnyTree = 100_000;

    private static readonly Dictionary<char, string> VulgarFractions = new()
    {
        ['½'] = "1/2",
        ['¼'] = "1/4",
        ['¾'] = "3/4",
        ['⅛'] = "1/8",
        ['⅜'] = "3/8",
        ['⅝'] = "5/8",
        ['⅞'] = "7/8",
        ['⅓'] = "1/3",
        ['⅔'] = "2/3",
    };

    private static readonly string[] AboutWords = ["about ", "around ", "roughly ", "circa ", "ca. ", "ca ", "~", "≈"];
    private static readonly string[] MostWords = ["up to ", "at most ", "under ", "below ", "less than ", "<=", "≤", "<"];
    private static readonly string[] LeastWords = ["at least ", "over ", "above ", "more than ", ">=", "≥", ">"];

    /// <summary>The units a length may be typed in, for messages.</summary>
    public const string LengthUnits = "mm, cm, m, in, ft or hands";

    /// <summary>Reads a value, a range, a sample or a limit. A number without a unit is taken to be in <paramref name="unit"/>
    /// already.</summary>
    /// <param name="text">What was typed.</param>
    /// <param name="unit">The unit of the answer.</param>
    /// <returns>The quantity, in <paramref name="unit"/>; or what is wrong, as a sentence naming what is allowed.</returns>
    public static Outcome<Quantity> Parse(string? text, MeasureUnit unit)
    {
        var typed = new Typed(text, unit);
        // Blanks in a row say nothing, and the pattern would try each of them for each part of an amount.
        text = Blanks().Replace(text ?? "", " ");
        if (text.Length > Longest)
            return typed.Wrong($"At most {Longest} letters: type {typed.Allowed}.");
        var words = Spell(text);
        var by = Take(ref words, AboutWords) ? MeasuredBy.Eye : MeasuredBy.Ruler;
        var limit = SideOf(ref words);
        var match = Pattern().Match(words);
        if (!match.Success || UnitOf(match) is not { } named)
            return typed.Wrong($"Type {typed.Allowed}.");
        if (FactorOf(named, unit) is not { } factor)
            return typed.Wrong($"“{named}” is not a unit for this: type {typed.Allowed}.");
        if (named.StartsWith("hand", StringComparison.Ordinal) && by == MeasuredBy.Ruler)
            by = MeasuredBy.Hand;
        return Numbers(match, factor, typed)
            .Then(numbers => Make(match, numbers, limit, typed))
            .Map(quantity => quantity with { By = by, Limit = limit });
    }

    // What was typed, and what may be typed instead.
    private sealed record Typed(string? Text, MeasureUnit Unit)
    {
        public string Allowed =>
            Unit switch
            {
                MeasureUnit.Ratio => "a number such as 2.5, or a range such as 2-3",
                MeasureUnit.Metre => $"a number with {LengthUnits}, such as 12 m or 40 ft",
                MeasureUnit.Centimetre => $"a number with {LengthUnits}, such as 14.5 cm, 145 mm, 3 1/2 in or 5-8 in",
            };

        public Fault Wrong(string sentence) => Fault.AtField("value", Text, sentence);
    }

    private static LimitSide? SideOf(ref string words)
    {
        if (Take(ref words, MostWords))
            return LimitSide.AtMost;
        return Take(ref words, LeastWords) ? LimitSide.AtLeast : null;
    }

    private static bool Take(ref string words, string[] starts)
    {
        var rest = words;
        if (starts.FirstOrDefault(start => rest.StartsWith(start, StringComparison.Ordinal)) is not { } found)
            return false;
        words = words[found.Length..].TrimStart();
        return true;
    }

    // The one unit named; empty where none is, null where two are.
    private static string? UnitOf(Match match)
    {
        string[] units = [.. match.Groups["unit"].Captures.Select(capture => capture.Value).Where(value => value.Length > 0).Distinct()];
        return units.Length > 1 ? null : units.FirstOrDefault("");
    }

    private static double? FactorOf(string named, MeasureUnit unit)
    {
        if (named.Length == 0)
            return 1;
        if (unit == MeasureUnit.Ratio || !CentimetresPerUnit.TryGetValue(named, out var factor))
            return null;
        return unit == MeasureUnit.Metre ? factor / 100 : factor;
    }

    private static Outcome<List<double>> Numbers(Match match, double factor, Typed typed)
    {
        var numbers = new List<double>();
        foreach (var group in new[] { "low", "high", "more", "usual" })
            foreach (Capture capture in match.Groups[group].Captures)
            {
                if (!TryNumber(capture.Value, out var number))
                    return typed.Wrong($"Type {typed.Allowed}.");
                numbers.Add(number * factor);
            }
        if (numbers.Any(number => number <= 0))
            return typed.Wrong($"A size is above 0: type {typed.Allowed}.");
        if (numbers.Max() > LargerThanAnyTree)
            return typed.Wrong($"That is larger than any tree: type {typed.Allowed}.");
        return numbers;
    }

    private static Outcome<Quantity> Make(Match match, List<double> numbers, LimitSide? limit, Typed typed)
    {
        if (limit is not null && numbers.Count > 1)
            return typed.Wrong($"A limit has one number, such as up to 5 cm: type {typed.Allowed}.");
        double? usual = match.Groups["usual"].Success ? numbers[^1] : null;
        if (usual is not null)
            numbers.RemoveAt(numbers.Count - 1);
        var sample = Quantity.Of(numbers);
        var quantity = match.Groups["more"].Success
            ? sample with
            {
                Usual = usual ?? sample.Usual,
            }
            : new Quantity(sample.Low, sample.High) { Usual = usual };
        if (usual < quantity.Low || usual > quantity.High)
            return typed.Wrong("The usual size must lie between the least and the most.");
        return quantity;
    }

    /// <summary>How many of <paramref name="unit"/> one of the named unit is; null where it is not a unit for this measure.</summary>
    public static double? Factor(string unitName, MeasureUnit unit)
    {
        if (unit == MeasureUnit.Ratio)
            return unitName is "" or "ratio" ? 1 : null;
        return unitName.Trim().ToLowerInvariant() is { Length: > 0 } named ? FactorOf(named, unit) : null;
    }

    private static string Spell(string text)
    {
        foreach (var (sign, words) in VulgarFractions)
            text = text.Replace(sign.ToString(), " " + words);
        text = text.Trim().ToLowerInvariant().Replace('–', '-').Replace("hand-width", "hand").Replace("hand width", "hand");
        // Before a limit is looked for: "5 to 8" is a range, "up to 5" is not.
        text = RangeWord().Replace(text, "$1-$2");
        // A comma parts values where a space follows or there are several; else it is a decimal comma.
        var parts = text.Contains(", ", StringComparison.Ordinal) || text.Count(letter => letter == ',') > 1;
        return text.Replace(',', parts ? ';' : '.');
    }

    private static bool TryNumber(string text, out double value)
    {
        value = 0;
        foreach (var part in text.Split(' ', StringSplitOptions.RemoveEmptyEntries))
        {
            var fraction = part.Split('/');
            if (!double.TryParse(fraction[0], NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var number))
                return false;
            if (fraction.Length == 2)
            {
                if (!double.TryParse(fraction[1], NumberStyles.None, CultureInfo.InvariantCulture, out var divisor) || divisor == 0)
                    return false;
                number /= divisor;
            }
            value += number;
        }
        return true;
    }

    private const string Number = @"\d+(?:\.\d+)?(?:\s+\d+/\d+|/\d+)?|\.\d+";

    // A range; else several numbers parted by ";"; else several parted by blanks.
    private const string More = $@"(?:\s*-\s*(?<high>{Number})|(?:\s*;\s*(?<more>{Number}))+|(?:\s+(?<more>\d+(?:\.\d+)?)(?![\d/.]))+)?";

    // Perhaps the usual one of them, before which the unit may stand too.
    private const string Mostly =
        $@"(?:\s*[;.]?\s*(?<unit>[a-z""″'′]+)?\s*[;.]?\s*(?:mean|mostly|typically|usually)\s+(?<usual>{Number}))?";

    [GeneratedRegex($@"^(?<low>{Number}){More}{Mostly}\s*(?<unit>[a-z""″'′]*)\.?$", RegexOptions.CultureInvariant)]
    private static partial Regex Pattern();

    [GeneratedRegex(@"\s+")]
    private static partial Regex Blanks();

    [GeneratedRegex(@"(\d[½¼¾⅛⅜⅝⅞⅓⅔]?)\s+to\s+(\d)")]
    private static partial Regex RangeWord();
}
