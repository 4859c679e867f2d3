using System.Collections.Frozen;
using System.Globalization;
using System.Text;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>One form for all spellings of a word: small letters without accents, American spelling, one of many, the colour
/// behind “reddish”.</summary>
internal static class WordForms
{
    private static readonly FrozenDictionary<string, string> Irregular = Table(
        """
        leaves leaf; halves half; leafs leaf; colour color; coloured colored; colours color; grey gray; greyish gray; grayish
        gray; centre center; odour odor; odourless odorless; lustre luster; fibre fiber; mould mold; wooly woolly; spiralling
        spiraling; axes axis; sinuses sinus; channelled channeled; reddish red; greenish green; brownish brown; yellowish yellow;
        whitish white; blackish black; purplish purple; bluish blue; blueish blue; pinkish pink; orangish orange; silvery silver;
        roundish round; apices apex; ovalish oval; narrowish narrow; smoothish smooth; darkish dark; longish long; squarish square;
        bases base; twiggy twig; calyces calyx; genera genus; feet foot; inches inch; teeth tooth; samarae samara; stomata stoma;
        trifoliolate trifoliate; petalled petaled; doesnt doesn’t; velvetty velvety; alternately alternate;
        oppositely opposite
        """
    );

    /// <summary>Words for small numbers.</summary>
    public static readonly FrozenDictionary<string, int> Numbers = new[]
    {
        "one",
        "two",
        "three",
        "four",
        "five",
        "six",
        "seven",
        "eight",
        "nine",
        "ten",
        "eleven",
        "twelve",
        "thirteen",
        "fourteen",
        "fifteen",
        "sixteen",
        "seventeen",
        "eighteen",
        "nineteen",
        "twenty",
    }
        .Select((word, at) => (word, at + 1))
        .Append(("twice", 2))
        .Append(("dozen", 12))
        .Append(("thirty", 30))
        .Append(("forty", 40))
        .Append(("fifty", 50))
        .Append(("sixty", 60))
        .Append(("eighty", 80))
        .Append(("hundred", 100))
        .ToFrozenDictionary(pair => pair.Item1, pair => pair.Item2);

    /// <summary>The form of one word.</summary>
    /// <param name="word">Letters only, as typed.</param>
    public static string Of(string word)
    {
        var plain = Plain(word);
        if (Irregular.TryGetValue(plain, out var form))
            return form;
        if (plain.EndsWith("ies", StringComparison.Ordinal) && plain.Length > 4)
            return plain[..^3] + "y";
        // “grass”, “axis”, “glabrous” are no plurals.
        var plural = plain.Length > 3 && plain[^1] == 's' && plain[^2] is not ('s' or 'u' or 'i');
        if (!plural)
            return plain;
        var hisses =
            plain.EndsWith("ches", StringComparison.Ordinal)
            || plain.EndsWith("shes", StringComparison.Ordinal)
            || plain.EndsWith("xes", StringComparison.Ordinal)
            || plain.EndsWith("sses", StringComparison.Ordinal);
        var one = hisses ? plain[..^2] : plain[..^1];
        return Irregular.GetValueOrDefault(one, one);
    }

    private static string Plain(string word)
    {
        var lower = word.ToLowerInvariant();
        if (lower.All(char.IsAscii))
            return lower;
        var plain = new StringBuilder(lower.Length);
        foreach (var letter in lower.Normalize(NormalizationForm.FormD))
            if (CharUnicodeInfo.GetUnicodeCategory(letter) != UnicodeCategory.NonSpacingMark)
                plain.Append(letter);
        return plain.ToString();
    }

    private static FrozenDictionary<string, string> Table(string text) =>
        text.ReplaceLineEndings(" ")
            .Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)
            .Select(pair => pair.Split(' '))
            .ToFrozenDictionary(
                pair => pair[0],
                // A semicolon that was left out would swallow the word behind it.
                pair => pair.Length == 2 ? pair[1] : throw new FormatException($"“{string.Join(' ', pair)}” is no word with its form.")
            );
}
