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
        if (SizeGrammar.Read(words) is not { Units.Count: <= 1 } size)
            return typed.Wrong($"Type {typed.Allowed}.");
        var named = size.Units.FirstOrDefault("");
        if (FactorOf(named, unit) is not { } factor)
            return typed.Wrong($"“{named}” is not a unit for this: type {typed.Allowed}.");
        if (named.StartsWith("hand", StringComparison.Ordinal) && by == MeasuredBy.Ruler)
            by = MeasuredBy.Hand;
        double[] several = [size.First, .. size.High is { } high ? [high] : size.More];
        return Make([.. several.Select(one => one * factor)], size.Usual * factor, size.High is not null, typed)
            .Then<Quantity>(quantity =>
                limit is not null && (several.Length > 1 || size.Usual is not null)
                    ? typed.Wrong($"A limit has one number, such as up to 5 cm: type {typed.Allowed}.")
                    : quantity with
                    {
                        By = by,
                        Limit = limit,
                    }
            );
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

    private static double? FactorOf(string named, MeasureUnit unit)
    {
        if (named.Length == 0)
            return 1;
        if (unit == MeasureUnit.Ratio || !CentimetresPerUnit.TryGetValue(named, out var factor))
            return null;
        return unit == MeasureUnit.Metre ? factor / 100 : factor;
    }

    private static Outcome<Quantity> Make(double[] numbers, double? usual, bool isRange, Typed typed)
    {
        double[] all = usual is { } one ? [.. numbers, one] : numbers;
        // Nothing is parted into no parts.
        if (!all.All(double.IsFinite))
            return typed.Wrong($"Type {typed.Allowed}.");
        if (all.Any(number => number <= 0))
            return typed.Wrong($"A size is above 0: type {typed.Allowed}.");
        if (all.Max() > LargerThanAnyTree)
            return typed.Wrong($"That is larger than any tree: type {typed.Allowed}.");
        var sample = Quantity.Of(numbers);
        if (usual < sample.Low || usual > sample.High)
            return typed.Wrong("The usual size must lie between the least and the most.");
        return isRange || numbers.Length == 1
            ? new Quantity(sample.Low, sample.High) { Usual = usual }
            : sample with
            {
                Usual = usual ?? sample.Usual,
            };
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

    [GeneratedRegex(@"\s+")]
    private static partial Regex Blanks();

    [GeneratedRegex(@"(\d[½¼¾⅛⅜⅝⅞⅓⅔]?)\s+to\s+(\d)")]
    private static partial Regex RangeWord();
}
