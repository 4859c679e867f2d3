using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Keys;
using VerdantSieve.Web.Notebooks;

namespace VerdantSieve.Web.Keying;

/// <summary>A key as A5 sheets: the couplets, the words used, and a page to note on.</summary>
public static class KeyBooklet
{
    private const double Width = 148,
        Height = 210;
    private const int NoteLines = 22;

    /// <summary>The sheets, each an SVG of its own.</summary>
    public static IReadOnlyList<string> Of(Key key, string title, OpenFlora open)
    {
        var sheets = new PaperSheets(Width, Height, 14);
        sheets.Write(title, 5.4);
        sheets.Write($"{key.Taxa.Count} kinds. {open.Flora.About.Title}, edition {open.Flora.About.Edition}.", 2.9);
        string[] burning = [.. key.Taxa.Where(taxon => taxon.HurtsOnTouch).Select(taxon => taxon.CommonName)];
        if (burning.Length > 0)
            sheets.Write($"Before you touch: {string.Join(", ", burning)} can burn the skin.", 2.9);
        sheets.Gap();
        foreach (var couplet in key.Couplets)
        {
            foreach (var (lead, mark) in couplet.Leads.Zip(new[] { "a", "b" }))
            {
                var from = mark == "a" && couplet.From is { } number ? $" ({number})" : "";
                var to = lead.To is { } next
                    ? $"{next}"
                    : string.Join(" or ", lead.Taxa.Select(taxon => $"{taxon.Name.Text} ({taxon.CommonName})"));
                sheets.Write(
                    $"{couplet.Number}{mark}{from}  "
                        + $"{Say.Capital(string.Join("; ", lead.Statements.Select(statement => statement.Words)))} … {to}",
                    2.9
                );
            }
            sheets.Gap();
        }
        sheets.Turn();
        sheets.Write("Words used", 4.2);
        foreach (var character in key.Characters)
            sheets.Write($"{Say.Capital(character.Label)}: {character.Question} {character.HowToLook}", 2.7);
        sheets.Turn();
        sheets.Write("Notes", 4.2);
        for (var line = 0; line < NoteLines; line++)
            sheets.Rule();
        return sheets.Done();
    }
}
