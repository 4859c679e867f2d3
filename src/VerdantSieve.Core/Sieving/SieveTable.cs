using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>A flora made ready for sieving: one column a character, one row a taxon and a last row for "none of these".
/// Made once when a flora is loaded; safe to use from many threads.</summary>
internal sealed class SieveTable
{
    private readonly Dictionary<string, Column> columns;
    private readonly Dictionary<ScientificName, int> rowOf;

    public SieveTable(Flora flora)
    {
        Flora = flora;
        rowOf = flora.Taxa.Select((taxon, row) => (taxon.Name, row)).ToDictionary(pair => pair.Name, pair => pair.row);
        var genera = flora.Taxa.Select(taxon => taxon.Name.Genus).ToArray();
        var separate = flora.Taxa.Select(taxon => taxon.Scores.GetValueOrDefault(Vocabulary.Sexes) is StateScore sexes
            && sexes.States.Any(s => s is { State: Vocabulary.SeparateTrees, Frequency: Frequency.Usual })).ToArray();
        columns = flora.Characters.ToDictionary(character => character.Id, character => Make(character));
        foreach (var column in columns.Values)
        {
            column.Applies = Chain(column.Character, new HashSet<string>());
            column.CanApply = [.. flora.Taxa.Select(taxon => CanApply(taxon, column.Character))];
        }

        Column Make(Character character)
        {
            var scores = flora.Taxa.Select(taxon => taxon.Scores.GetValueOrDefault(character.Id)).ToArray();
            return character switch
            {
                StateCharacter states => new StateColumn(states, scores, genera),
                CountCharacter count => new CountColumn(count, scores, genera),
                MeasureCharacter measure => new MeasureColumn(measure, scores, genera),
                PresenceCharacter presence => new PresenceColumn(presence, scores, genera),
                SeasonCharacter season => new SeasonColumn(season, scores, separate),
                _ => throw new ArgumentOutOfRangeException(nameof(character), character, "Unknown kind of character.")
            };
        }
    }

    public Flora Flora { get; }
    public int Taxa => Flora.Taxa.Count;
    public int Rows => Taxa + 1;
    public int NoneOfThese => Taxa;

    public int RowOf(Taxon taxon) => rowOf[taxon.Name];

    public Column this[string characterId] => columns[characterId];

    /// <summary>The evidence of one reading among others: the chance of the reading for each row.</summary>
    public Likelihood Evidence(Reading reading, IReadOnlySet<string> readCharacters, Calendar calendar)
    {
        var column = columns[reading.Character];
        var given = column.Likelihood(reading.Observation, reading.Certainty, calendar);
        if (column.Character.OnlyIf is not { } condition) return given;

        var rate = Slips.Rate(reading.Certainty);
        var background = given.Total[NoneOfThese];
        var (total, fits) = (new double[Rows], new double[Rows]);
        if (readCharacters.Contains(condition.CharacterId))
        {
            // The condition has been read and has paid for itself: here only what is new counts, and a row where the
            // character cannot apply is neither helped nor punished a second time.
            for (var row = 0; row < Rows; row++)
            {
                var applies = column.Applies[row] / (column.Applies[row] + rate * (1 - column.Applies[row]));
                total[row] = applies * given.Total[row] + (1 - applies) * background;
                fits[row] = applies * given.Fitting[row] + (1 - applies) * background;
            }
            return new Likelihood(total, fits);
        }
        // A reading of a conditional character implies its condition.
        var seasonal = Chain(column.Character, readCharacters, calendar);
        for (var row = 0; row < Rows; row++)
        {
            fits[row] = seasonal[row] * given.Fitting[row];
            total[row] = seasonal[row] * given.Total[row] + (1 - seasonal[row]) * rate * background;
        }
        return new Likelihood(total, fits);
    }

    /// <summary>The chance that a character can be read on a plant of each row, on this day.</summary>
    public double[] Readable(Character character, IReadOnlySet<string> readCharacters, Calendar calendar) =>
        Chain(character, readCharacters, calendar);

    /// <summary>Whether the strict school holds a taxon for a reading.</summary>
    public bool Holds(int taxon, Reading reading, Calendar calendar)
    {
        var column = columns[reading.Character];
        return !Applicable(taxon, column) || !column.Allows(taxon, reading.Observation, calendar);
    }

    /// <summary>Whether the taxon can show the character at all: inapplicable is not the same as missing.</summary>
    public static bool Applicable(int taxon, Column column) => column.CanApply[taxon];

    // Only the taxon's own scores can rule a character out; what is guessed from its kin cannot.
    private bool CanApply(Taxon taxon, Character character)
    {
        for (var at = character; at.OnlyIf is { IsPresence: false } condition; at = Flora.Character(condition.CharacterId))
            if (taxon.Scores.GetValueOrDefault(condition.CharacterId) is StateScore score && score.States.All(s => condition.States.Contains(s.State) == condition.Negated)) return false;
        return true;
    }

    // Multiplies the chances of the conditions, up to one that has been read itself.
    private double[] Chain(Character character, IReadOnlySet<string> readCharacters, Calendar? calendar = null)
    {
        var chances = new double[Rows];
        Array.Fill(chances, 1);
        for (var at = character; at.OnlyIf is { } condition; at = Flora.Character(condition.CharacterId))
        {
            if (readCharacters.Contains(condition.CharacterId)) break;
            double[]? holds = (columns[condition.CharacterId], calendar) switch
            {
                (StateColumn states, _) => states.ChanceOf(condition),
                (SeasonColumn season, { } day) => season.ChancesOrEven(day),
                _ => null
            };
            if (holds is null) continue;
            for (var row = 0; row < Rows; row++) chances[row] *= holds[row];
        }
        return chances;
    }
}
