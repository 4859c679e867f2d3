using System.Globalization;
using CsvHelper;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;

namespace VerdantSieve.Core.Curating;

/// <summary>Scores drafted a second time, to be held against the flora.</summary>
public sealed class SecondDraft
{
    /// <summary>Two scores less alike than this (0 to 1) are a disagreement, to be settled by hand.</summary>
    public const double MustBeSettled = 0.5;

    private readonly IReadOnlyList<(ScientificName Taxon, IReadOnlyDictionary<string, Score> Scores)> rows;

    private SecondDraft(IReadOnlyList<(ScientificName, IReadOnlyDictionary<string, Score>)> rows) => this.rows = rows;

    /// <summary>How many taxa were drafted.</summary>
    public int Taxa => rows.Count;

    /// <summary>Reads a table with a column “name” and one for each character; empty cells say nothing.</summary>
    /// <exception cref="FormatException">A row names a taxon or character that is not in the flora, or a score that can’t be
    /// read.</exception>
    public static SecondDraft Read(string table, Flora flora)
    {
        using var csv = new CsvReader(new StringReader(table), CultureInfo.InvariantCulture);
        csv.Read();
        csv.ReadHeader();
        var characters = csv.HeaderRecord!.Where(column => column != "name")
            .Select(id => DraftTables.CharacterOf(id, flora, "The header"))
            .ToArray();
        var rows = new List<(ScientificName, IReadOnlyDictionary<string, Score>)>();
        while (csv.Read())
        {
            var line = $"Line {csv.Parser.RawRow}";
            var scores = characters
                .Where(character => csv[character.Id] is { Length: > 0 })
                .ToDictionary(
                    character => character.Id,
                    character => DraftTables.ScoreOf(csv[character.Id]!, character, $"{line}, {character.Id}")
                );
            rows.Add((DraftTables.TaxonOf(csv["name"]!, flora, line).Name, scores));
        }
        return new SecondDraft(rows);
    }

    /// <summary>Holds the draft against the flora, character by character.</summary>
    /// <param name="flora">The first draft, or what has become of it.</param>
    /// <param name="settled">What was settled since; the first draft’s score is then taken from there.</param>
    /// <param name="mended">What was changed after both drafts; what the flora said before is then taken from there.</param>
    public IReadOnlyList<CharacterAgreement> Against(
        Flora flora,
        IReadOnlyCollection<Settlement>? settled = null,
        IReadOnlyCollection<Mending>? mended = null
    )
    {
        var before = (mended ?? []).ToDictionary(row => (row.Taxon, row.Character.Id), row => row.Before);
        foreach (var row in settled ?? [])
            before[(row.Taxon, row.Character.Id)] = row.First;
        return
        [
            .. flora
                .Characters.Where(character => rows.Any(row => row.Scores.ContainsKey(character.Id)))
                .Select(character => Against(flora, character, before)),
        ];
    }

    private CharacterAgreement Against(Flora flora, Character character, Dictionary<(ScientificName, string), Score?> before)
    {
        var both = (
            from row in rows
            where row.Scores.ContainsKey(character.Id)
            let first = before.TryGetValue((row.Taxon, character.Id), out var was)
                ? was
                : flora.FindTaxon(row.Taxon.Text)!.Score(character.Id)
            where first is not null
            select (row.Taxon, First: first, Second: row.Scores[character.Id])
        ).ToArray();
        Disagreement[] apart =
        [
            .. from pair in both
            where Agreement.Likeness(pair.First, pair.Second) < MustBeSettled
            select new Disagreement(pair.Taxon, Written(pair.First), Written(pair.Second), Agreement.Excludes(pair.First, pair.Second)),
        ];
        double? kappa =
            character is StateCharacter && both.Length > 0
                ? Agreement.Kappa([.. both.Select(pair => Chiefs((StateScore)pair.First, (StateScore)pair.Second))])
                : null;
        var likeness = both.Length == 0 ? double.NaN : both.Average(pair => Agreement.Likeness(pair.First, pair.Second));
        return new CharacterAgreement(character, both.Length, kappa, likeness, apart);

        string Written(Score score) => ScoreNotation.Format(new Scored(character, score));
    }

    // The chief states; where the first draft shows several as usual, the second may name any of them.
    private static (string, string) Chiefs(StateScore first, StateScore second) =>
        (first.IsUsual(second.Chief) ? second.Chief : first.Chief, second.Chief);
}
