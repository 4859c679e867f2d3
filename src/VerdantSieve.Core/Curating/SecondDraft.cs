using System.Globalization;
using CsvHelper;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;

namespace VerdantSieve.Core.Curating;

/// <summary>How far two drafts agree in one character.</summary>
/// <param name="Character">The character.</param>
/// <param name="Taxa">How many taxa both drafts say something of.</param>
/// <param name="Kappa">Cohen’s kappa of the chief states; null for ranges.</param>
/// <param name="Likeness">The mean likeness of the two scores (0 to 1): what the states share, frequencies included; for ranges the overlap.</param>
/// <param name="Disagreements">Where the two scores are less alike than <see cref="SecondDraft.MustBeSettled"/>.</param>
public sealed record CharacterAgreement(Character Character, int Taxa, double? Kappa, double Likeness, IReadOnlyList<Disagreement> Disagreements);

/// <summary>What two drafts say of one taxon, where they are not alike.</summary>
/// <param name="Taxon">The taxon.</param>
/// <param name="First">The first draft’s score.</param>
/// <param name="Second">The second draft’s score.</param>
/// <param name="Apart">Whether they cannot both be right: neither’s chief state is among the other’s, or the ranges do not touch.</param>
public sealed record Disagreement(ScientificName Taxon, string First, string Second, bool Apart);

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
    /// <exception cref="FormatException">A row names a taxon or character that is not in the flora, or a score that can’t be read.</exception>
    public static SecondDraft Read(string table, Flora flora)
    {
        using var csv = new CsvReader(new StringReader(table), CultureInfo.InvariantCulture);
        csv.Read();
        csv.ReadHeader();
        var characters = csv.HeaderRecord!.Where(column => column != "name").Select(id => flora.FindCharacter(id) ?? throw new FormatException($"The flora has no character “{id}”.")).ToArray();
        var rows = new List<(ScientificName, IReadOnlyDictionary<string, Score>)>();
        while (csv.Read())
        {
            var name = csv["name"]!;
            if (flora.FindTaxon(name) is null) throw new FormatException($"Line {csv.Parser.RawRow}: {name} is not in the flora.");
            var scores = new Dictionary<string, Score>();
            foreach (var character in characters)
                if (csv[character.Id] is { Length: > 0 } text)
                    scores[character.Id] = ScoreNotation.TryParse(text, character, out var score, out var problem) ? score : throw new FormatException($"Line {csv.Parser.RawRow}, {character.Id}: {problem}.");
            rows.Add((new ScientificName(name), scores));
        }
        return new SecondDraft(rows);
    }

    /// <summary>Holds the draft against the flora, character by character.</summary>
    /// <param name="flora">The first draft, or what has become of it.</param>
    /// <param name="settled">What was settled since; the first draft’s score is then taken from there.</param>
    public IReadOnlyList<CharacterAgreement> Against(Flora flora, IReadOnlyCollection<Settlement>? settled = null)
    {
        var before = (settled ?? []).ToDictionary(row => (row.Taxon, row.Character.Id), row => row.First);
        return [.. flora.Characters.Where(character => rows.Any(row => row.Scores.ContainsKey(character.Id))).Select(character => Against(flora, character, before))];
    }

    private CharacterAgreement Against(Flora flora, Character character, Dictionary<(ScientificName, string), Score> before)
    {
        var both = rows.Where(row => row.Scores.ContainsKey(character.Id))
            .Select(row => (row.Taxon, First: before.GetValueOrDefault((row.Taxon, character.Id)) ?? flora.FindTaxon(row.Taxon.Text)!.OwnScore(character.Id), Second: row.Scores[character.Id]))
            .Where(pair => pair.First is not null).Select(pair => (pair.Taxon, First: pair.First!, pair.Second)).ToArray();
        Disagreement[] apart = [.. both.Where(pair => Agreement.Likeness(pair.First, pair.Second) < MustBeSettled)
            .Select(pair => new Disagreement(pair.Taxon, ScoreNotation.Format(pair.First, character), ScoreNotation.Format(pair.Second, character), Apart(pair.First, pair.Second)))];
        double? kappa = character is StateCharacter && both.Length > 0 ? Agreement.Kappa([.. both.Select(pair => Chiefs((StateScore)pair.First, (StateScore)pair.Second))]) : null;
        return new CharacterAgreement(character, both.Length, kappa, both.Length == 0 ? double.NaN : both.Average(pair => Agreement.Likeness(pair.First, pair.Second)), apart);
    }

    // The chief states; where the first draft shows several as usual, the second may name any of them.
    private static (string, string) Chiefs(StateScore first, StateScore second)
    {
        var chief = Agreement.Chief(second);
        return (first.States.Any(state => state.State == chief && state.Frequency == Frequency.Usual) ? chief : Agreement.Chief(first), chief);
    }

    private static bool Apart(Score first, Score second) => (first, second) switch
    {
        (StateScore one, StateScore other) => !one.Allows(Agreement.Chief(other)) && !other.Allows(Agreement.Chief(one)),
        (RangeScore one, RangeScore other) => one.High < other.Low || other.High < one.Low,
        _ => first != second
    };
}
