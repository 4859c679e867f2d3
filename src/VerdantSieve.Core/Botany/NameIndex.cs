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
    /// so only where nothing else is found, which is said beside them. Empty where nothing comes near, or there are no words.</summary>
    public (IReadOnlyList<Taxon> Taxa, bool Misspelt) Find(string text)
    {
        var words = WordMatch.Words(text);
        if (words.Length == 0)
            return ([], false);
        var (found, misspelt) = WordMatch.Find(words, taxa);
        return ([.. found.OrderBy(pair => pair.Rank).ThenBy(pair => pair.Item.Name).Select(pair => pair.Item)], misspelt);
    }
}
