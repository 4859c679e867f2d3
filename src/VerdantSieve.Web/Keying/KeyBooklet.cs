using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Keys;
using VerdantSieve.Web.Notebooks;

namespace VerdantSieve.Web.Keying;

/// <summary>A key as A5 sheets: the couplets with drawings, the words used, and a page to note on.</summary>
public static class KeyBooklet
{
    // Millimetres.
    private const double Width = 148,
        Height = 210,
        Size = 2.9,
        Small = 2.7,
        Indent = 3,
        MostIndent = 36;

    private const int NoteLines = 22,
        MostDrawn = 3;

    /// <summary>The sheets, each an SVG of its own.</summary>
    /// <param name="key">The key.</param>
    /// <param name="title">What it is called.</param>
    /// <param name="open">The flora.</param>
    /// <param name="indented">Whether couplets stand under what leads to them.</param>
    public static IReadOnlyList<string> Of(Key key, string title, OpenFlora open, bool indented)
    {
        var sheets = new PaperSheets(Width, Height, 14);
        sheets.Write(title, 5.4);
        sheets.Write($"{key.Taxa.Count} kinds. {open.Flora.About.Title}, edition {open.Flora.About.Edition}.", Size);
        string[] burning = [.. key.Taxa.Where(taxon => taxon.HurtsOnTouch).Select(taxon => taxon.CommonName)];
        if (burning.Length > 0)
            sheets.Write($"Before you touch: {string.Join(", ", burning)} can burn the skin.", Size);
        sheets.Gap();
        if (indented && key.Couplets.Count > 0)
            Nested(key, key[1], 0, sheets, open);
        else
            foreach (var couplet in key.Couplets)
            {
                foreach (var (lead, mark) in couplet.Leads.Zip(new[] { "a", "b" }))
                {
                    var from = mark == "a" && couplet.From is { } number ? $" ({number})" : "";
                    Write(
                        lead,
                        $"{couplet.Number}{mark}{from}",
                        $"{lead.To}{(couplet.NarrowsTo(lead) is { } group ? $", {group}" : "")}",
                        0,
                        sheets,
                        open
                    );
                }
                sheets.Gap();
            }
        Words(key, sheets, open);
        sheets.Turn();
        sheets.Write("Notes", 4.2);
        for (var line = 0; line < NoteLines; line++)
            sheets.Rule();
        return sheets.Done();
    }

    private static void Nested(Key key, Couplet couplet, double indent, PaperSheets sheets, OpenFlora open)
    {
        foreach (var (lead, mark) in couplet.Leads.Zip(new[] { "a", "b" }))
        {
            Write(lead, $"{couplet.Number}{mark}", couplet.NarrowsTo(lead) ?? "", indent, sheets, open);
            if (lead.To is { } next)
                Nested(key, key[next], Math.Min(MostIndent, indent + Indent), sheets, open);
        }
    }

    // What the first statement claims is drawn, as far as it can be.
    private static void Write(Lead lead, string number, string goes, double indent, PaperSheets sheets, OpenFlora open)
    {
        var first = lead.Statements[0];
        Drawing[] drawn = [.. first.States.Select(state => open.Drawn.Of(first.Character.Id, state)).OfType<Drawing>().Take(MostDrawn)];
        var to = lead.Ends ? string.Join(" or ", lead.Taxa.Select(taxon => $"{taxon.Name.Text} ({taxon.CommonName})")) : goes;
        var claims = Say.Capital(string.Join("; ", lead.Statements.Select(statement => statement.Words)));
        sheets.Write($"{number}  {claims}{(to.Length > 0 ? $" … {to}" : "")}", Size, indent, drawn);
    }

    private static void Words(Key key, PaperSheets sheets, OpenFlora open)
    {
        sheets.Turn();
        sheets.Write("Words used", 4.2);
        foreach (var character in key.Characters)
        {
            sheets.Gap();
            sheets.Write($"{Say.Capital(character.Label)}: {character.Question} {character.HowToLook}", Small);
            if (character is not StateCharacter states)
                continue;
            foreach (var state in key.StatesUsed(states))
                sheets.Write(
                    state.Meaning.Length > 0 ? $"{state.Label}: {state.Meaning}" : state.Label,
                    Small,
                    Indent,
                    open.Drawn.Of(character.Id, state.Id) is { } drawing ? [drawing] : []
                );
        }
    }
}
