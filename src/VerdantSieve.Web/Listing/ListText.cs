using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Store.Lists;

namespace VerdantSieve.Web.Listing;

/// <summary>A list as it is typed: a kind on each line, and after a colon what is noted of it.</summary>
public static class ListText
{
    /// <summary>The most letters of a list.</summary>
    public const int Longest = 40_000;

    private const int LongestNote = 400;

    /// <summary>What came of reading it.</summary>
    /// <param name="Kinds">The kinds, in their order, each once.</param>
    /// <param name="Mended">Names that were mended: as written, and as they are meant.</param>
    /// <param name="Unknown">Lines whose name no kind goes by.</param>
    public sealed record Read(
        IReadOnlyList<ListedKind> Kinds,
        IReadOnlyList<(string Written, string Meant)> Mended,
        IReadOnlyList<string> Unknown
    );

    /// <summary>It as text.</summary>
    public static string Of(IReadOnlyList<ListedKind> kinds) =>
        string.Join('\n', kinds.Select(kind => kind.Note.Length > 0 ? $"{kind.Name}: {kind.Note}" : kind.Name));

    /// <summary>Reads such a text. Synonyms, common names and misspellings are mended; a name pasted with its author or between commas is
    /// read all the same.</summary>
    public static Outcome<Read> Of(string? text, OpenFlora open)
    {
        if (text?.Length > Longest)
            return new Fault("kinds", $"At most {Longest} letters are read.");
        var (kinds, mended, unknown) = (new List<ListedKind>(), new List<(string, string)>(), new List<string>());
        foreach (var (name, note) in Lines(text ?? ""))
        {
            if (TaxonOf(name, open) is not { } taxon)
            {
                unknown.Add(name);
                continue;
            }
            if (kinds.All(kind => kind.Name != taxon.Name.Text))
                kinds.Add(new ListedKind(taxon.Name.Text, note.Length > LongestNote ? note[..LongestNote] : note));
            if (!string.Equals(taxon.Name.Text, name, StringComparison.Ordinal))
                mended.Add((name, taxon.Name.Text));
        }
        return kinds.Count > ListBook.MostKinds
            ? new Fault("kinds", $"A list has at most {ListBook.MostKinds} kinds, and these are {kinds.Count}.")
            : new Read(kinds, mended, unknown);
    }

    /// <summary>The kind that a name stands for; null where no kind goes by it.</summary>
    public static Taxon? TaxonOf(string name, OpenFlora open) => open.Flora.FindTaxon(name) ?? open.FindTaxa(name).Taxa.FirstOrDefault();

    private static IEnumerable<(string Name, string Note)> Lines(string text)
    {
        foreach (var line in text.Split(['\n', '\r'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
        {
            var colon = line.IndexOf(':');
            if (colon > 0)
                yield return (line[..colon].Trim(), line[(colon + 1)..].Trim());
            else
                foreach (var name in line.Split([',', ';'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
                    yield return (name, "");
        }
    }
}
