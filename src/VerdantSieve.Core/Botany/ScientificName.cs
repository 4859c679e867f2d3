namespace VerdantSieve.Core.Botany;

/// <summary>An accepted scientific name without its author, for example <c>Acer macrophyllum</c> or
/// <c>Platanus × hispanica</c>.</summary>
public readonly record struct ScientificName(string Text) : IComparable<ScientificName>
{
    private static readonly string[] RomanParts = ["×", "x", "var.", "subsp.", "f.", "agg.", "sect.", "subg."];

    /// <summary>The first word.</summary>
    public string Genus => Text.Split(' ', 2)[0];

    /// <summary>All after the genus, in the form files are named by: <c>× hispanica</c> gives <c>hispanica</c>.</summary>
    public string Epithet => string.Join('-', Text.Split(' ').Skip(1).Where(word => !RomanParts.Contains(word)));

    /// <summary>The species a variety or subspecies belongs to; the name itself for all else.</summary>
    public ScientificName Species => Text.Split(' ') is var words && Array.FindIndex(words, word => word is "var." or "subsp.") is > 1 and var at
        ? new ScientificName(string.Join(' ', words[..at])) : this;

    /// <summary>The name in lower case with hyphens, for addresses and file names.</summary>
    public string Slug => $"{Genus}-{Epithet}".ToLowerInvariant().TrimEnd('-');

    /// <summary>The words of the name, each with whether it is set in italics: ranks, <c>×</c> and cultivars are not.</summary>
    public IEnumerable<(string Word, bool Italic)> Words() =>
        Text.Split(' ').Select(word => (word, !RomanParts.Contains(word) && !word.StartsWith('\'')));

    /// <summary>The form used to find a name however it was typed: one kind of space and hybrid sign, lower case.</summary>
    public static string Fold(string text) =>
        string.Join(' ', text.Replace("×", " x ").Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries)).ToLowerInvariant();

    /// <inheritdoc/>
    public int CompareTo(ScientificName other) => string.CompareOrdinal(Text, other.Text);

    /// <inheritdoc/>
    public override string ToString() => Text;
}
