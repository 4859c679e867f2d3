using System.Globalization;
using System.Text;

namespace VerdantSieve.Core.Botany;

/// <summary>How well words as typed answer to a name, forgiving of spelling: accents, hyphens, the order of words, and a letter or two
/// amiss.</summary>
internal static class WordMatch
{
    private const int Whole = 0,
        Beginning = 1,
        Within = 2;

    /// <summary>The rank of what does not answer at all.</summary>
    public const int None = 1000;

    // From this rank on a word is spelt nearly so only.
    private const int Misspelt = 10;

    /// <summary>What goes by the words, each with the rank of the best of its names; words spelt nearly so only where nothing else is
    /// found, which is said beside them.</summary>
    public static (IReadOnlyList<(T Item, int Rank)> Found, bool Misspelt) Find<T>(
        string[] words,
        IEnumerable<(T Item, string[][] Names)> among
    )
    {
        var found = among
            .Select(pair => (pair.Item, Rank: pair.Names.Min(name => Rank(words, name))))
            .Where(pair => pair.Rank < None)
            .ToArray();
        var wellSpelt = found.Any(pair => pair.Rank < Misspelt);
        return ([.. found.Where(pair => !wellSpelt || pair.Rank < Misspelt)], found.Length > 0 && !wellSpelt);
    }

    /// <summary>How well a name answers to all of the words, 0 being best; the worst word counts.</summary>
    public static int Rank(string[] words, string[] name)
    {
        var worst = 0;
        foreach (var word in words)
        {
            var best = None;
            foreach (var part in name)
                best = Math.Min(best, Rank(word, part));
            worst = Math.Max(worst, best);
            if (worst == None)
                return None;
        }
        return worst;
    }

    private static int Rank(string word, string part)
    {
        if (part == word)
            return Whole;
        if (part.StartsWith(word, StringComparison.Ordinal))
            return Beginning;
        if (word.Length > 2 && part.Contains(word, StringComparison.Ordinal))
            return Within;
        // One letter amiss in a short word, two in a longer one, three in a long one.
        var allowed = word.Length switch
        {
            < 4 => 0,
            < 7 => 1,
            < 11 => 2,
            _ => 3,
        };
        if (allowed == 0 || Math.Abs(part.Length - word.Length) > allowed)
            return None;
        var distance = Spelling.Distance(word, part);
        return distance <= allowed ? Misspelt + distance : None;
    }

    /// <summary>The words of a text, in small letters without accents.</summary>
    public static string[] Words(string text) => Plain(text).Split(' ', StringSplitOptions.RemoveEmptyEntries);

    // Lower case, without accents; all that is no letter or digit parts words, but for an apostrophe, which falls out.
    private static string Plain(string text)
    {
        var plain = new StringBuilder(text.Length);
        foreach (var letter in text.Normalize(NormalizationForm.FormD))
        {
            if (CharUnicodeInfo.GetUnicodeCategory(letter) == UnicodeCategory.NonSpacingMark || letter is '’' or '\'')
                continue;
            plain.Append(char.IsLetterOrDigit(letter) ? char.ToLowerInvariant(letter) : ' ');
        }
        return plain.ToString();
    }
}
