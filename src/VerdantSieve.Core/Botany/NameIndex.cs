using System.Globalization;
using System.Text;

namespace VerdantSieve.Core.Botany;

/// <summary>Finds taxa by any of their names, forgiving of spelling: accents, hyphens, the order of words, and a letter or two
/// amiss.</summary>
public sealed class NameIndex
{
    private readonly (Taxon Taxon, string[][] Names)[] taxa;

    /// <summary>Reads the scientific names, synonyms, common names, families and plain genus words of a flora.</summary>
    public NameIndex(Flora flora) =>
        taxa = [
            .. flora.Taxa.Select(taxon =>
                (
                    taxon,
                    new[] { taxon.Name.Text, taxon.Family ?? "", flora.GenusWord(taxon.Name.Genus), taxon.Aggregate ?? "" }
                        .Concat(taxon.Synonyms)
                        .Concat(taxon.CommonNames)
                        .Select(Words)
                        .ToArray()
                )
            ),
        ];

    /// <summary>The taxa that go by the words, best first: whole words before beginnings, beginnings before parts, and words spelt nearly
    /// so only where
    /// nothing else is found, which is said beside them. Empty where nothing comes near, or there are no words.</summary>
    public (IReadOnlyList<Taxon> Taxa, bool Misspelt) Find(string text)
    {
        var words = Words(text);
        if (words.Length == 0)
            return ([], false);
        var found = taxa.Select(pair => (pair.Taxon, Rank: pair.Names.Min(name => Rank(words, name))))
            .Where(pair => pair.Rank < None)
            .ToArray();
        var wellSpelt = found.Any(pair => pair.Rank < Misspelt);
        return (
            [
                .. found
                    .Where(pair => !wellSpelt || pair.Rank < Misspelt)
                    .OrderBy(pair => pair.Rank)
                    .ThenBy(pair => pair.Taxon.Name)
                    .Select(pair => pair.Taxon),
            ],
            found.Length > 0 && !wellSpelt
        );
    }

    private const int Whole = 0,
        Beginning = 1,
        Within = 2,
        Misspelt = 10,
        None = 1000;

    // How well a name answers to all of the words; the worst word counts.
    private static int Rank(string[] words, string[] name)
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

    private static string[] Words(string text) => Plain(text).Split(' ', StringSplitOptions.RemoveEmptyEntries);

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
