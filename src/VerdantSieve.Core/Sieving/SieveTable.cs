using System.Collections.Concurrent;
using System.Numerics.Tensors;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving.Columns;

namespace VerdantSieve.Core.Sieving;

/// <summary>A flora made ready for sieving: one column a character, one row a taxon and one for all that is unknown (see
/// <see cref="RowLayout"/>).
/// Made once when a flora is loaded; safe to use from many threads.</summary>
internal sealed class SieveTable
{
    private readonly Dictionary<string, Column> columns = [];
    private readonly ConcurrentDictionary<(string? Region, Setting? Setting), double[]> priors = new();

    // Columns of characters that are something else in a country than elsewhere, or where garden forms may stand; null where they are not.
    private readonly ConcurrentDictionary<(string Character, string? Country, double Forms), Column?> bySite = new();
    private readonly Func<Character, Func<Taxon, Score?>, Column> make;
    private readonly HashSet<string> withForms;

    private readonly ConcurrentDictionary<Condition, double[]> conditions = new();
    private readonly ConcurrentDictionary<(LeafStage Stage, bool Bare), double[]> leafy = new();

    // What the conditions on states come to, from the one that characters hang on up to one that has been read: the same whatever the day.
    private readonly ConcurrentDictionary<(Condition Nearest, int Unread), double[]> lasting = new();

    public SieveTable(Flora flora, SieveModel model)
    {
        (Flora, Model) = (flora, model);
        (Rows, Groups) = (new RowLayout(flora), new RankGroups(flora));
        DescribesOrgans = flora.Characters.Any(character => character.Part is not null);
        EvenPrior = Prior.Even(flora, Rows, model);
        Burning = [.. flora.Taxa.Select(KeepAway.Burning)];
        Hazardous = [.. Enumerable.Range(0, Rows.Taxa).Where(t => flora.Taxa[t].Hazards.Count > 0).Select(t => new Row(t))];
        var windowPlaces = flora.Taxa.Select(taxon => flora.WindowPlace(taxon).Position).ToArray();
        var separateSexes = flora.Taxa.Select(taxon => taxon.HasSeparateSexes).ToArray();
        make = Of;
        withForms = [.. flora.Taxa.SelectMany(taxon => taxon.Forms).SelectMany(form => form.Shows.Keys)];
        // A column needs those of its conditions; those that hang on equally many are made side by side.
        foreach (var alike in flora.Characters.GroupBy(one => flora.Vocabulary.ConditionsOf(one).Count).OrderBy(group => group.Key))
            foreach (var (id, column) in alike.AsParallel().Select(one => (one.Id, Of(one, taxon => taxon.Score(one.Id)))).ToArray())
                columns[id] = column;

        Column Of(Character character, Func<Taxon, Score?> scoreOf)
        {
            var source = new ColumnSource(
                [.. flora.Taxa.Select(scoreOf)],
                ColumnSource.BasesOf(flora, character),
                [.. flora.Taxa.Select(taxon => flora.CanApply(taxon, character))],
                character.OnlyIf is null ? null : Lasting(flora.Vocabulary.ConditionsOf(character)),
                Rows,
                model
            );
            return character.Match<Column>(
                states: states => new StateColumn(states, source),
                count: count => new CountColumn(count, source),
                measure: measure => new MeasureColumn(measure, source),
                presence: presence => new PresenceColumn(presence, source),
                season: season => new SeasonColumn(season, source, windowPlaces, separateSexes)
            );
        }
    }

    public Flora Flora { get; }
    public SieveModel Model { get; }
    public RowLayout Rows { get; }
    public RankGroups Groups { get; }

    /// <summary>Whether its characters say which organ of the plant they describe; those of a plain matrix do not.</summary>
    public bool DescribesOrgans { get; }

    /// <summary>What of each taxon burns the skin wherever it is touched; null where nothing does.</summary>
    public Hazard?[] Burning { get; }

    /// <summary>The taxa that can do harm.</summary>
    public Row[] Hazardous { get; }

    /// <summary>The chance of each row where neither place nor commonness is to speak.</summary>
    public double[] EvenPrior { get; }

    public Column this[string characterId] => columns[characterId];

    // The column as it holds where the plant stands.
    private Column At(string characterId, SiteAndDay when)
    {
        var forms = withForms.Contains(characterId) ? when.GardenForms : 0;
        if (when.Country is null && forms == 0)
            return columns[characterId];
        return bySite.GetOrAdd((characterId, when.Country, forms), key => AtSite(key.Character, key.Country, key.Forms))
            ?? columns[characterId];
    }

    private Column? AtSite(string characterId, string? country, double forms)
    {
        var differs = country is not null && CountryScores.Differ(Flora, characterId, country);
        return differs || forms > 0 ? make(Flora.Character(characterId), Shown) : null;

        Score? Shown(Taxon taxon)
        {
            var here = differs ? CountryScores.In(Flora, taxon, characterId, country!) : taxon.Score(characterId);
            return PlantForm.Overlaid(taxon, Flora.Character(characterId), here, forms);
        }
    }

    /// <summary>The taxon of a row.</summary>
    public Taxon TaxonOf(Row row) => Flora.Taxa[row.Index];

    /// <summary>The chance of each row before anything is read.</summary>
    public double[] PriorAt(Circumstances circumstances) =>
        priors.GetOrAdd((circumstances.Region, circumstances.Setting), key => Prior.Of(Flora, Rows, Model, key.Region, key.Setting));

    /// <summary>All readings as evidence; to be disposed of.</summary>
    public EvidenceSet EvidenceOf(IReadOnlyList<Reading> readings, SiteAndDay when)
    {
        var settled = Settled(readings);
        Reading[] counted = [.. readings.Select(reading => AsYoung(FormOf(reading, readings), readings))];
        var evidence = new EvidenceSet(
            readings,
            [.. counted.Select(reading => Model.Damping ? Damping.Weight(reading, counted, Flora) : 1)],
            Rows
        );
        for (var i = 0; i < counted.Length; i++)
        {
            var piece = evidence[i];
            Fill(
                counted[i],
                readings,
                settled,
                On(readings[i], when),
                new Likelihoods(piece.Total[..Rows.Count], piece.Fitting, piece.Unslipped)
            );
            Rows.AddUnknown(piece.Total);
            TensorPrimitives.Log(piece.Total, piece.Logs);
            TensorPrimitives.Multiply(piece.Logs, piece.Weight, piece.Logs);
        }
        return evidence;
    }

    // The characters read so that they settle what hangs on them; what is left open is implied by the reading of the character that hangs
    // on it.
    private HashSet<string> Settled(IReadOnlyList<Reading> readings)
    {
        var settled = readings.Select(reading => reading.Character).ToHashSet();
        foreach (var reading in readings)
            if (
                Flora.Character(reading.Character).OnlyIf is { } condition
                && readings.Any(other => other.Character == condition.CharacterId && !Plainly(other).Settles(condition))
            )
                settled.Remove(condition.CharacterId);
        return settled;
    }

    // Length and width rise and fall together: beside the length, the width counts by what it adds, which is the slenderness.
    private Reading FormOf(Reading reading, IReadOnlyList<Reading> readings)
    {
        if (!Model.Damping || reading.Character != CharacterIds.BladeWidth || !columns.ContainsKey(CharacterIds.Slenderness))
            return reading;
        if (reading.Observation is not Measured width)
            return reading;
        if (readings.FirstOrDefault(r => r.Character == CharacterIds.BladeLength)?.Observation is not Measured length)
            return reading;
        var ratio = length.Middle / width.Middle;
        return reading with
        {
            Character = CharacterIds.Slenderness,
            Observation = new Measured(ratio, ratio, Math.Min(length.Leaves, width.Leaves)) { By = LessSure(length.By, width.By) },
        };
    }

    // A thin trunk has the bark of young stems.
    private Reading AsYoung(Reading reading, IReadOnlyList<Reading> readings)
    {
        if (reading.On is not (null or PlantPlace.Trunk or PlantPlace.Base) || Organs.Of(Flora.Character(reading.Character)) != Organ.Bark)
            return reading;
        return readings.Any(other =>
            other is { Character: CharacterIds.TrunkThickness, Observation: Measured { Middle: < Places.ThinTrunk } }
        )
            ? reading with
            {
                On = PlantPlace.Young,
            }
            : reading;
    }

    // A reading of another day is taken as of that day.
    private static SiteAndDay On(Reading reading, SiteAndDay when) => reading.Day is { } day ? when.On(day) : when;

    private static MeasuredBy LessSure(MeasuredBy one, MeasuredBy other) => one > other ? one : other;

    // Whether this plant meets a condition: as it was read, else as its kind does.
    private double ChanceMet(Condition condition, Row taxon, IReadOnlyList<Reading> readings)
    {
        if (SeenToMeet(condition, readings) is { } met)
            return met ? 1 : 0;
        return conditions.GetOrAdd(condition, on => Lasting([on]))[taxon.Index];
    }

    // Null where it was not read, or so that it stays open.
    private bool? SeenToMeet(Condition condition, IReadOnlyList<Reading> readings) =>
        readings.FirstOrDefault(reading => reading.Character == condition.CharacterId && Plainly(reading).Settles(condition)) is { } read
            ? condition.CanHold(Plainly(read))
            : null;

    private Observation Plainly(Reading reading) => reading.Observation.InStates(Flora.Character(reading.Character));

    private void Fill(Reading reading, IReadOnlyList<Reading> readings, HashSet<string> settled, SiteAndDay when, Likelihoods into)
    {
        var column = At(reading.Character, when);
        var misleads = Origins.Misleads(reading.Origin, column.Character);
        if (misleads == 1)
        {
            into.SayNothing();
            return;
        }
        column.Fill(reading, when, into);
        if (column is PresenceColumn presence)
            presence.FillConditional(reading, when, (condition, taxon) => ChanceMet(condition, taxon, readings), into);
        var background = into.Total[Rows.Average.Index];
        if (misleads > 0)
        {
            TensorPrimitives.Multiply(into.Total, 1 - misleads, into.Total);
            TensorPrimitives.Add(into.Total, misleads * background, into.Total);
            TensorPrimitives.Multiply(into.Fitting, 1 - misleads, into.Fitting);
            TensorPrimitives.Multiply(into.Unslipped, 1 - misleads, into.Unslipped);
        }
        if (column.Character.OnlyIf is not { } condition)
            return;
        var rate = Model.SlipRate(reading.Certainty);
        if (settled.Contains(condition.CharacterId))
            WhereConditionIsRead(column.Applies!, rate, background, into);
        else
            WhereConditionIsImplied(column.Character, settled, when, rate * background, into);
    }

    // The condition has been read and has paid for itself: here only what is new counts, and a row where the character cannot apply is
    // neither helped nor punished a second time.
    private static void WhereConditionIsRead(double[] applies, double rate, double background, Likelihoods into)
    {
        for (var row = 0; row < into.Total.Length; row++)
        {
            var here = applies[row] == 0 ? 0 : applies[row] / (applies[row] + rate * (1 - applies[row]));
            into.Total[row] = here * into.Total[row] + (1 - here) * background;
            into.Fitting[row] = here * into.Fitting[row] + (1 - here) * background;
            into.Unslipped[row] = here * into.Unslipped[row] + (1 - here) * background;
        }
    }

    // A reading of a conditional character implies its condition.
    private void WhereConditionIsImplied(Character character, HashSet<string> read, SiteAndDay when, double slipped, Likelihoods into)
    {
        var readable = Readable(character, read, when, new double[Rows.Count]);
        for (var row = 0; row < into.Total.Length; row++)
        {
            into.Fitting[row] *= readable[row];
            into.Unslipped[row] *= readable[row];
            into.Total[row] = readable[row] * into.Total[row] + (1 - readable[row]) * slipped;
        }
    }

    /// <summary>The chance that a character can be read on a plant of each row, on this day: of its conditions, up to one that has been
    /// read itself.</summary>
    /// <param name="character">A character that hangs on a condition.</param>
    /// <param name="read">What has been read.</param>
    /// <param name="when">The day.</param>
    /// <param name="room">Room for a column, used where the day counts.</param>
    public ReadOnlySpan<double> Readable(Character character, HashSet<string> read, SiteAndDay when, Span<double> room)
    {
        var conditions = Flora.Vocabulary.ConditionsOf(character);
        var unread = 0;
        while (unread < conditions.Count && !read.Contains(conditions[unread].CharacterId))
            unread++;
        if (!lasting.TryGetValue((conditions[0], unread), out var always))
            lasting[(conditions[0], unread)] = always = Lasting(conditions.Take(unread));
        ReadOnlySpan<double> chances = always;
        for (var i = 0; i < unread; i++)
            if (columns[conditions[i].CharacterId].ChanceOn(when) is { } seen)
            {
                TensorPrimitives.Multiply(chances, seen, room);
                chances = room;
            }
        return chances;
    }

    /// <summary>The chance that a plant of each row has leaves to look at; null where nothing is known of the stage.</summary>
    public double[]? Leafy(SiteAndDay when)
    {
        if (when.Stage is not { } stage)
            return null;
        return leafy.GetOrAdd((stage, when.StageIsSaid && stage == LeafStage.Leafless), key => Leafy(key.Stage, key.Bare));
    }

    // Of a plant said to be bare none is left, whatever it may be.
    private double[] Leafy(LeafStage stage, bool bare)
    {
        var chance = bare ? 0 : LeafYear.ChanceOfLeaves(stage);
        var persistence = Flora.FindCharacter(CharacterIds.LeafPersistence) as StateCharacter;
        double[] keeps = [.. Flora.Taxa.Select(taxon => Kept(persistence, taxon.Score(CharacterIds.LeafPersistence)))];
        return [.. keeps.Select(kept => bare ? 0 : kept + (1 - kept) * chance), bare ? 0 : keeps.DefaultIfEmpty().Average()];
    }

    private static double Kept(StateCharacter? persistence, Score? score) =>
        persistence is not null && score is StateScore states
            ? persistence.ShareOf(states, CharacterIds.Evergreen) + persistence.ShareOf(states, CharacterIds.HalfEvergreen) / 2
            : 0;

    /// <summary>Writes the chance, for each row, that what a character hangs on is there on this day.</summary>
    /// <returns>Whether a season plays a part, and the day is known.</returns>
    /// <param name="character">The character.</param>
    /// <param name="when">The day.</param>
    /// <param name="room">Room for a column.</param>
    public bool InSeason(Character character, SiteAndDay when, Span<double> room)
    {
        var found = false;
        foreach (var condition in Flora.Vocabulary.ConditionsOf(character))
            if (when.DayOfYear is not null && Flora.Character(condition.CharacterId) is SeasonCharacter season)
            {
                columns[season.Id].ChanceOn(when).CopyTo(room);
                found = true;
            }
        return found;
    }

    private double[] Lasting(IEnumerable<Condition> conditions)
    {
        var chances = new double[Rows.Count];
        Array.Fill(chances, 1);
        foreach (var condition in conditions)
            if (columns[condition.CharacterId].LastingChance(condition) is { } chance)
                TensorPrimitives.Multiply(chances, chance, chances);
        return chances;
    }

    /// <summary>Which readings the strict school holds each taxon for.</summary>
    public HeldReadings Held(IReadOnlyList<Reading> readings, SiteAndDay when)
    {
        var held = new HeldReadings(Rows.Taxa);
        foreach (var reading in readings)
        {
            var column = At(reading.Character, when);
            if (Origins.Misleads(reading.Origin, column.Character) == 1)
                continue;
            var allows = column.Allowing(reading, On(reading, when));
            var signs = column as PresenceColumn;
            held.Hold(
                column.Character.Id,
                taxon =>
                    !column.CanApply(taxon)
                    || !allows(taxon)
                    || signs?.IsMissing(taxon, reading, condition => SeenToMeet(condition, readings) == true) == true
            );
        }
        return held;
    }
}
