using System.Collections.Concurrent;
using System.Numerics.Tensors;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving.Columns;

namespace VerdantSieve.Core.Sieving;

/// <summary>A flora made ready for sieving: one column a character, one row a taxon and one for all that is unknown (see <see cref="Sieving.Rows"/>).
/// Made once when a flora is loaded; safe to use from many threads.</summary>
internal sealed class SieveTable
{
    private readonly Dictionary<string, Column> columns;
    private readonly Dictionary<ScientificName, int> rowOf;
    private double[]? even;
    private readonly ConcurrentDictionary<(string? Region, Setting? Setting), double[]> priors = new();

    public SieveTable(Flora flora, SieveModel model)
    {
        (Flora, Model, Rows, Ranks) = (flora, model, new Rows(flora), new Ranks(flora));
        rowOf = flora.Taxa.Select((taxon, row) => (taxon.Name, row)).ToDictionary(pair => pair.Name, pair => pair.row);
        DescribesOrgans = flora.Characters.Any(character => character.Part != Organs.PartNotGiven);
        var separate = flora.Taxa.Select(taxon => taxon.Scores.GetValueOrDefault(Vocabulary.Sexes) is StateScore sexes
            && sexes.States.Any(s => s.State == Vocabulary.SeparateTrees && s.Frequency == Frequency.Usual)).ToArray();
        var windowPlaces = flora.Taxa.Select(taxon => flora.WindowPlace(taxon).Position).ToArray();
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
                StateCharacter states => new StateColumn(states, scores, Rows, model),
                CountCharacter count => new CountColumn(count, scores, Rows, model),
                MeasureCharacter measure => new MeasureColumn(measure, scores, Rows, model),
                PresenceCharacter presence => new PresenceColumn(presence, scores, Rows, model),
                SeasonCharacter season => new SeasonColumn(season, scores, windowPlaces, separate, Rows, model),
                _ => throw new ArgumentOutOfRangeException(nameof(character), character, "Unknown kind of character.")
            };
        }
    }

    public Flora Flora { get; }
    public SieveModel Model { get; }
    public Rows Rows { get; }
    public Ranks Ranks { get; }

    /// <summary>Whether its characters say which organ of the plant they describe; those of a plain matrix do not.</summary>
    public bool DescribesOrgans { get; }

    public int RowOf(Taxon taxon) => rowOf[taxon.Name];

    public Column this[string characterId] => columns[characterId];

    /// <summary>The chance of each row before anything is read.</summary>
    public double[] Prior(Circumstances circumstances) =>
        priors.GetOrAdd((circumstances.Region, circumstances.Setting), key => Sieving.Prior.Of(Flora, Rows, Model, key.Region, key.Setting));

    /// <summary>The chance of each row where neither place nor commonness is to speak.</summary>
    public double[] EvenPrior => even ??= Sieving.Prior.Even(Flora, Rows, Model);

    /// <summary>All readings as evidence.</summary>
    public Evidence[] Evidence(Reading[] readings, Occasion occasion)
    {
        var settled = Settled(readings);
        var counted = readings.Select(reading => FormOf(reading, readings)).ToArray();
        return [.. readings.Select((reading, i) => new Evidence(reading, WithKin(Likelihood(counted[i], settled, occasion)), Model.Damping ? Damping.Weight(counted[i], counted, Flora) : 1))];
    }

    // The characters read so that they settle what hangs on them; what is left open is implied by the reading of the character that hangs on it.
    private HashSet<string> Settled(Reading[] readings)
    {
        var settled = readings.Select(reading => reading.Character).ToHashSet();
        foreach (var reading in readings)
            if (Flora.Character(reading.Character).OnlyIf is { } condition && readings.Any(other => other.Character == condition.CharacterId && !other.Observation.Settles(condition)))
                settled.Remove(condition.CharacterId);
        return settled;
    }

    private Likelihood WithKin(Likelihood likelihood) => new(Rows.AddKin(likelihood.Total), Rows.AddKin(likelihood.Fitting));

    // Length and width rise and fall together: beside the length, the width counts by what it adds, which is the slenderness.
    private Reading FormOf(Reading reading, Reading[] readings)
    {
        if (!Model.Damping || reading.Character != Vocabulary.BladeWidth || reading.Observation is not Measured width || !columns.ContainsKey(Vocabulary.Slenderness)) return reading;
        if (readings.FirstOrDefault(r => r.Character == Vocabulary.BladeLength)?.Observation is not Measured length) return reading;
        var ratio = length.Middle / width.Middle;
        return reading with { Character = Vocabulary.Slenderness, Observation = new Measured(ratio, ratio, Math.Min(length.Leaves, width.Leaves)) { By = (MeasuredBy)Math.Max((int)length.By, (int)width.By) } };
    }

    private Likelihood Likelihood(Reading reading, IReadOnlySet<string> readCharacters, Occasion occasion)
    {
        var column = columns[reading.Character];
        var given = column.Likelihood(reading, occasion);
        var background = given.Total[Rows.None];
        var misleads = Origins.Misleads(reading.Origin, column.Character);
        // Where it says nothing of the plant it cannot contradict it either.
        if (misleads == 1) return Columns.Likelihood.Flat(Rows.Count);
        if (misleads > 0)
            given = new Likelihood([.. given.Total.Select(chance => (1 - misleads) * chance + misleads * background)], [.. given.Fitting.Select(chance => (1 - misleads) * chance)]);
        if (column.Character.OnlyIf is not { } condition) return given;

        var rate = Model.SlipRate(reading.Certainty);
        var (total, fits) = (new double[Rows.Count], new double[Rows.Count]);
        if (readCharacters.Contains(condition.CharacterId))
        {
            // The condition has been read and has paid for itself: here only what is new counts, and a row where the
            // character cannot apply is neither helped nor punished a second time.
            for (var row = 0; row < Rows.Count; row++)
            {
                var applies = column.Applies[row] == 0 ? 0 : column.Applies[row] / (column.Applies[row] + rate * (1 - column.Applies[row]));
                total[row] = applies * given.Total[row] + (1 - applies) * background;
                fits[row] = applies * given.Fitting[row] + (1 - applies) * background;
            }
            return new Likelihood(total, fits);
        }
        // A reading of a conditional character implies its condition.
        var seasonal = Chain(column.Character, readCharacters, occasion);
        for (var row = 0; row < Rows.Count; row++)
        {
            fits[row] = seasonal[row] * given.Fitting[row];
            total[row] = seasonal[row] * given.Total[row] + (1 - seasonal[row]) * rate * background;
        }
        return new Likelihood(total, fits);
    }

    /// <summary>The chance that a character can be read on a plant of each row, on this occasion.</summary>
    public double[] Readable(Character character, IReadOnlySet<string> readCharacters, Occasion occasion) => Chain(character, readCharacters, occasion);

    /// <summary>The characters of the readings that the strict school holds each taxon for.</summary>
    public IReadOnlyList<string>[] Held(Reading[] readings, Occasion occasion)
    {
        var held = new List<string>?[Rows.Taxa];
        foreach (var reading in readings)
        {
            var column = columns[reading.Character];
            if (Origins.Misleads(reading.Origin, column.Character) == 1) continue;
            for (var t = 0; t < held.Length; t++)
                if (!column.CanApply[t] || !column.Allows(t, reading.Observation, occasion)) (held[t] ??= []).Add(reading.Character);
        }
        return [.. held.Select(list => (IReadOnlyList<string>?)list ?? [])];
    }

    // Only the taxon's own scores can rule a character out; what is guessed from its kin cannot.
    private bool CanApply(Taxon taxon, Character character)
    {
        for (var at = character; at.OnlyIf is { IsPresence: false } condition; at = Flora.Character(condition.CharacterId))
            if (taxon.Scores.GetValueOrDefault(condition.CharacterId) is StateScore score && score.States.All(s => condition.States.Contains(s.State) == condition.Negated)) return false;
        return true;
    }

    // What the conditions on states come to, from a character up to one that has been read: the same whatever the day.
    private readonly ConcurrentDictionary<(string Character, string? ReadUpTo), double[]> lasting = new();

    // Multiplies the chances of the conditions, up to one that has been read itself.
    private double[] Chain(Character character, IReadOnlySet<string> readCharacters, Occasion? occasion = null)
    {
        Character? upTo = null;
        for (var at = character; at.OnlyIf is { } condition && upTo is null; at = Flora.Character(condition.CharacterId))
            if (readCharacters.Contains(condition.CharacterId)) upTo = Flora.Character(condition.CharacterId);
        var always = lasting.GetOrAdd((character.Id, upTo?.Id), _ => Lasting(character, upTo));
        double[]? chances = null;
        if (occasion is { } day)
            for (var at = character; at.OnlyIf is { } condition && condition.CharacterId != upTo?.Id; at = Flora.Character(condition.CharacterId))
                if (columns[condition.CharacterId] is SoughtColumn sought && sought.ChancesOrEven(day) is { } seen)
                    TensorPrimitives.Multiply(chances ??= (double[])always.Clone(), seen, chances);
        return chances ?? always;
    }

    private double[] Lasting(Character character, Character? upTo)
    {
        var chances = new double[Rows.Count];
        Array.Fill(chances, 1);
        for (var at = character; at.OnlyIf is { } condition && condition.CharacterId != upTo?.Id; at = Flora.Character(condition.CharacterId))
            if (columns[condition.CharacterId] is StateColumn states) TensorPrimitives.Multiply(chances, states.ChanceOf(condition), chances);
        return chances;
    }
}
