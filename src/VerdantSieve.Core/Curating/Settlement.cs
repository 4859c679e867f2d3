using System.Globalization;
using CsvHelper;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Curating;

/// <summary>How a disagreement of two drafts was settled.</summary>
/// <param name="Taxon">The taxon.</param>
/// <param name="Character">The character.</param>
/// <param name="First">What the first draft said.</param>
/// <param name="Second">What the second draft said.</param>
/// <param name="Settled">What the flora says now.</param>
/// <param name="Why">The ground, in a few words.</param>
public sealed record Settlement(ScientificName Taxon, Character Character, Score First, Score Second, Score Settled, string Why)
{
    private static readonly string[] Columns = ["name", "character", "first", "second", "settled", "why"];

    /// <summary>Reads the log of settlements: a table with the columns name, character, first, second, settled and why.</summary>
    /// <exception cref="FormatException">A column is missing, a row names what is not in the flora, gives no ground, repeats another, or
    /// has a score that can’t be read.</exception>
    public static IReadOnlyList<Settlement> Read(string table, Flora flora)
    {
        using var csv = new CsvReader(new StringReader(table), CultureInfo.InvariantCulture);
        if (!csv.Read() || !csv.ReadHeader() || Columns.Except(csv.HeaderRecord!).Any())
            throw new FormatException($"A log of settlements has the columns {string.Join(", ", Columns)}.");
        var settled = new List<Settlement>();
        var seen = new HashSet<(string, string)>();
        while (csv.Read())
        {
            var line = csv.Parser.RawRow;
            var taxon = DraftTables.TaxonOf(csv["name"]!, flora, $"Line {line}");
            var character = DraftTables.CharacterOf(csv["character"]!, flora, $"Line {line}");
            if (!seen.Add((taxon.Name.Text, character.Id)))
                throw new FormatException($"Line {line}: {taxon.Name}, {character.Id} is settled twice.");
            if (string.IsNullOrWhiteSpace(csv["why"]))
                throw new FormatException($"Line {line}: {taxon.Name}, {character.Id} gives no ground.");
            settled.Add(new Settlement(taxon.Name, character, Score("first"), Score("second"), Score("settled"), csv["why"]!));

            Score Score(string column) => DraftTables.ScoreOf(csv[column]!, character, $"Line {line}, {column}");
        }
        return settled;
    }
}
