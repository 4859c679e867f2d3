using System.Globalization;
using CsvHelper;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Curating;

/// <summary>A score that was changed after both drafts, and why.</summary>
/// <param name="Taxon">The taxon.</param>
/// <param name="Character">The character.</param>
/// <param name="Before">What the flora said; null where it said nothing.</param>
/// <param name="After">What it says now; null where the score was taken away.</param>
/// <param name="Why">The ground, in a few words.</param>
public sealed record Mending(ScientificName Taxon, Character Character, Score? Before, Score? After, string Why)
{
    private static readonly string[] Columns = ["name", "character", "before", "after", "why"];

    /// <summary>Reads the log: a table with the columns name, character, before, after and why.</summary>
    /// <exception cref="FormatException">A column is missing, a row names what is not in the flora, gives no ground, or has a score that
    /// can’t be read.</exception>
    public static IReadOnlyList<Mending> Read(string table, Flora flora)
    {
        using var csv = new CsvReader(new StringReader(table), CultureInfo.InvariantCulture);
        if (!csv.Read() || !csv.ReadHeader() || Columns.Except(csv.HeaderRecord!).Any())
            throw new FormatException($"A log of what was mended has the columns {string.Join(", ", Columns)}.");
        var mended = new List<Mending>();
        while (csv.Read())
        {
            var line = $"Line {csv.Parser.RawRow}";
            var taxon = DraftTables.TaxonOf(csv["name"]!, flora, line);
            var character = DraftTables.CharacterOf(csv["character"]!, flora, line);
            if (string.IsNullOrWhiteSpace(csv["why"]))
                throw new FormatException($"{line}: {taxon.Name}, {character.Id} gives no ground.");
            mended.Add(new Mending(taxon.Name, character, Score("before"), Score("after"), csv["why"]!));

            Score? Score(string column) =>
                csv[column] is { Length: > 0 } text ? DraftTables.ScoreOf(text, character, $"{line}, {column}") : null;
        }
        return mended;
    }
}
