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
                        .Select(WordMatch.Words)
                        .ToArray()
                )
            ),
        ];

    /// <summary>The taxa that go by the words, best first: whole words before beginnings, beginnings before parts, and words spelt nearly
    /// so only where
    /// nothing else is found, which is said beside them. Empty where nothing comes near, or there are no words.</summary>
    public (IReadOnlyList<Taxon> Taxa, bool Misspelt) Find(string text)
    {
        var words = WordMatch.Words(text);
        if (words.Length == 0)
            return ([], false);
        var found = taxa.Select(pair => (pair.Taxon, Rank: pair.Names.Min(name => WordMatch.Rank(words, name))))
            .Where(pair => pair.Rank < WordMatch.None)
            .ToArray();
        var wellSpelt = found.Any(pair => pair.Rank < WordMatch.Misspelt);
        return (
            [
                .. found
                    .Where(pair => !wellSpelt || pair.Rank < WordMatch.Misspelt)
                    .OrderBy(pair => pair.Rank)
                    .ThenBy(pair => pair.Taxon.Name)
                    .Select(pair => pair.Taxon),
            ],
            found.Length > 0 && !wellSpelt
        );
    }
}
