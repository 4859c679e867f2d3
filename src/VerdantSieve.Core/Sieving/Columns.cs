using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Sieving;

/// <summary>The chance of an observation for every row, and the part of it that is not a slip.</summary>
internal readonly record struct Likelihood(double[] Total, double[] Fitting)
{
    public static Likelihood Flat(int rows)
    {
        var ones = new double[rows];
        Array.Fill(ones, 1);
        return new Likelihood(ones, ones);
    }
}

/// <summary>The outcomes of a look with their chance for each row, and the entropy they have in each row.</summary>
internal sealed record Foresight(IReadOnlyList<double[]> Outcomes, double[] RowEntropy)
{
    /// <summary>Outcomes given that the character applies, and the chance that it does; null where it always does.</summary>
    public static Foresight Of(IReadOnlyList<double[]> given, double[]? applies)
    {
        IReadOnlyList<double[]> outcomes = applies is null ? given
            : [.. given.Select(outcome => outcome.Select((chance, row) => chance * applies[row]).ToArray()), applies.Select(a => 1 - a).ToArray()];
        return new Foresight(outcomes, Information.RowEntropy(outcomes));
    }

    /// <summary>The bits the look is expected to tell about the row.</summary>
    public double Bits(ReadOnlySpan<double> rows) => Information.Mutual(rows, Outcomes, RowEntropy);
}

/// <summary>One character over all taxa, as columns made once when the flora is loaded. The last row is "none of these":
/// readings drawn from the flora's own averages.</summary>
internal abstract class Column(Character character, Score?[] scores)
{
    public Character Character { get; } = character;

    /// <summary>The flora's own score of each taxon; null where it has none.</summary>
    public Score?[] Scores { get; } = scores;

    /// <summary>The chance that each row can show the character at all; without the condition's season.</summary>
    public double[] Applies { get; set; } = [];

    /// <summary>Whether the taxon's own scores leave room for the character.</summary>
    public bool[] CanApply { get; set; } = [];

    /// <summary>The chance of an observation for each row, given that the character applies.</summary>
    public abstract Likelihood Likelihood(Observation observation, Certainty certainty, Calendar calendar);

    /// <summary>Whether the taxon's score can allow the observation: the strict school's only question.</summary>
    public abstract bool Allows(int taxon, Observation observation, Calendar calendar);

    /// <summary>Every outcome a look could have, fairly sure, with its chance for each row where the character applies.</summary>
    public abstract IReadOnlyList<double[]> Outcomes(Calendar calendar);

    /// <summary>What a look could show, "does not apply" among it. Made once, but for seasons, which change with the day.</summary>
    public virtual Foresight Foresee(Calendar calendar) => foresight ??= Foresight.Of(Outcomes(calendar), Character.OnlyIf is null ? null : Applies);

    private Foresight? foresight;

    protected int Rows => Scores.Length + 1;
    protected int Background => Scores.Length;

    /// <summary>Fills a row for every taxon: its own score, else the mean of its genus, else of the flora; the last row is the
    /// flora's mean, loosened so that an unknown plant may differ from it.</summary>
    protected static double[][] FillRows(IReadOnlyList<double[]?> own, IReadOnlyList<string> genera, double[] even)
    {
        var rows = own.Count;
        var overall = Mean(own, even);
        var genusMeans = Enumerable.Range(0, rows).GroupBy(t => genera[t])
            .ToDictionary(group => group.Key, group => Mean([.. group.Select(t => own[t])], overall));
        var loosened = overall.Select((value, i) => 0.7 * value + 0.3 * even[i]).ToArray();
        return [.. Enumerable.Range(0, rows).Select(t => own[t] ?? genusMeans[genera[t]]), loosened];

        static double[] Mean(IReadOnlyList<double[]?> rows, double[] otherwise)
        {
            var known = rows.Where(row => row is not null).ToArray();
            return known.Length == 0 ? otherwise : [.. Enumerable.Range(0, otherwise.Length).Select(i => known.Average(row => row![i]))];
        }
    }
}

internal sealed class StateColumn : Column
{
    private readonly StateCharacter character;
    private readonly double[][] chances;                // row, state
    private readonly Dictionary<Certainty, (double[][] Observed, double[][] Fitting)> read = [];   // state, row

    public StateColumn(StateCharacter character, Score?[] scores, IReadOnlyList<string> genera) : base(character, scores)
    {
        this.character = character;
        var count = character.States.Count;
        var even = Enumerable.Repeat(1.0 / count, count).ToArray();
        chances = FillRows([.. scores.Select(score => score is StateScore own ? Normalise(own) : null)], genera, even);
        foreach (var certainty in Enum.GetValues<Certainty>())
        {
            var confusion = Slips.Confusion(character, certainty);
            var observed = Enumerable.Range(0, count).Select(state => chances.Select(row => row.Select((p, shown) => p * confusion[shown, state]).Sum()).ToArray());
            var fitting = Enumerable.Range(0, count).Select(state => chances.Select(row => row[state] * confusion[state, state]).ToArray());
            read[certainty] = ([.. observed], [.. fitting]);
        }
    }

    /// <summary>The chance that each row shows one of these states (or none of them).</summary>
    public double[] ChanceOf(Condition condition)
    {
        var states = condition.States.Select(character.IndexOf).ToArray();
        return [.. chances.Select(row => states.Sum(s => row[s])).Select(sum => condition.Negated ? 1 - sum : sum)];
    }

    public double Chance(int row, string state) => chances[row][character.IndexOf(state)];

    // Leaves looked at in a fair sample: what decides whether a tree that can show a state does show it.
    private const int FairSample = 10;

    public override Likelihood Likelihood(Observation observation, Certainty certainty, Calendar calendar)
    {
        var seen = (StatesSeen)observation;
        var (observed, fitting) = read[certainty];
        var states = seen.States.Select(character.IndexOf).ToArray();
        var (total, fits) = (new double[Rows], new double[Rows]);
        if (seen.Mode == StateMode.AllSeen)
        {
            var leaves = character.Variety ? FairSample : 2;
            for (var row = 0; row < Rows; row++)
            {
                (total[row], fits[row]) = (1, 1);
                foreach (var state in states)
                {
                    total[row] *= 1 - Math.Pow(1 - observed[state][row], leaves);
                    fits[row] *= 1 - Math.Pow(1 - fitting[state][row], leaves);
                }
            }
            return new Likelihood(total, fits);
        }
        var confusion = Slips.Confusion(character, certainty);
        for (var row = 0; row < Rows; row++)
        {
            foreach (var state in states)
            {
                total[row] += observed[state][row];
                // Among "one of these", taking one for another is no slip.
                foreach (var shown in states) fits[row] += chances[row][shown] * confusion[shown, state];
            }
        }
        return new Likelihood(total, fits);
    }

    public override bool Allows(int taxon, Observation observation, Calendar calendar)
    {
        if (Scores[taxon] is not StateScore score) return true;
        var seen = (StatesSeen)observation;
        return seen.Mode == StateMode.AllSeen ? seen.States.All(score.Allows) : seen.States.Any(score.Allows);
    }

    public override IReadOnlyList<double[]> Outcomes(Calendar calendar) => read[Certainty.Fair].Observed;

    private double[] Normalise(StateScore score)
    {
        var weights = new double[character.States.Count];
        foreach (var state in score.States) weights[character.IndexOf(state.State)] = state.Weight;
        var sum = weights.Sum();
        for (var i = 0; i < weights.Length; i++) weights[i] /= sum;
        return weights;
    }
}

internal sealed class CountColumn : Column
{
    private readonly double[][] chances;    // row, number

    public CountColumn(CountCharacter character, Score?[] scores, IReadOnlyList<string> genera) : base(character, scores)
    {
        var even = Enumerable.Range(0, CountCharacter.Largest + 1).Select(n => n == 0 ? 0 : 1.0 / CountCharacter.Largest).ToArray();
        chances = FillRows([.. scores.Select(score => score is RangeScore range ? CountSpread.From(range) : null)], genera, even);
    }

    public override Likelihood Likelihood(Observation observation, Certainty certainty, Calendar calendar)
    {
        var counted = (Counted)observation;
        var rate = Slips.Rate(certainty);
        var (total, fits) = (new double[Rows], new double[Rows]);
        for (var row = 0; row < Rows; row++)
            for (var n = counted.Low; n <= counted.High; n++)
            {
                fits[row] += (1 - rate) * At(row, n);
                total[row] += (1 - rate) * At(row, n) + rate * Miscounted(row, n);
            }
        return new Likelihood(total, fits);
    }

    // Half of the miscounts are out by one; the rest could be anything the flora knows.
    private double Miscounted(int row, int n) => 0.25 * At(row, n - 1) + 0.25 * At(row, n + 1) + 0.5 * At(Background, n);

    private double At(int row, int n) => n >= 0 && n <= CountCharacter.Largest ? chances[row][n] : 0;

    public override bool Allows(int taxon, Observation observation, Calendar calendar) =>
        Scores[taxon] is not RangeScore score || observation is Counted counted && counted.High >= score.Minimum && counted.Low <= score.Maximum;

    public override IReadOnlyList<double[]> Outcomes(Calendar calendar) => outcomes ??=
    [
        .. Enumerable.Range(1, CountCharacter.Largest).Where(n => chances.Any(row => row[n] > 0.01))
            .Select(n => Likelihood(new Counted(n, n), Certainty.Fair, calendar).Total)
    ];

    private IReadOnlyList<double[]>? outcomes;
}

internal sealed class MeasureColumn : Column
{
    private readonly LogSpread?[] spreads;  // null: unscored, read as the background
    private readonly LogSpread background;

    public MeasureColumn(MeasureCharacter character, Score?[] scores, IReadOnlyList<string> genera) : base(character, scores)
    {
        LogSpread?[] own = [.. scores.Select(score => score is RangeScore range ? LogSpread.From(range) : (LogSpread?)null)];
        background = own.Any(s => s is not null) ? Pool(own, 1.4) : new LogSpread(Math.Log(5), 1, 1);
        var byGenus = Enumerable.Range(0, own.Length).GroupBy(t => genera[t])
            .ToDictionary(group => group.Key, group => group.Any(t => own[t] is not null) ? Pool([.. group.Select(t => own[t])], 1.2) : (LogSpread?)null);
        spreads = [.. own.Select((spread, t) => spread ?? byGenus[genera[t]])];
    }

    // The spread of several spreads taken together, widened by a factor since the one sought is not among them.
    private static LogSpread Pool(LogSpread?[] spreads, double widen)
    {
        var known = spreads.OfType<LogSpread>().ToArray();
        var centre = known.Average(s => s.Centre);
        var variance = known.Average(s => (s.Centre - centre) * (s.Centre - centre) + (s.Below * s.Below + s.Above * s.Above) / 2);
        return new LogSpread(centre, widen * Math.Sqrt(variance), widen * Math.Sqrt(variance));
    }

    public override Likelihood Likelihood(Observation observation, Certainty certainty, Calendar calendar)
    {
        var measured = (Measured)observation;
        return At(Math.Log(measured.Middle), measured.Leaves, certainty);
    }

    private Likelihood At(double logValue, int leaves, Certainty certainty)
    {
        var (rate, error) = (Slips.Rate(certainty), Slips.MeasuringError(certainty));
        var any = background.Density(logValue, 1, error);
        var (total, fits) = (new double[Rows], new double[Rows]);
        for (var row = 0; row < Rows; row++)
        {
            var density = row == Background || spreads[row] is not { } spread ? any : spread.Density(logValue, leaves, error);
            fits[row] = (1 - rate) * density;
            total[row] = fits[row] + rate * any;
        }
        return new Likelihood(total, fits);
    }

    public override bool Allows(int taxon, Observation observation, Calendar calendar) =>
        Scores[taxon] is not RangeScore score || observation is Measured measured && measured.High >= score.Minimum && measured.Low <= score.Maximum;

    public override IReadOnlyList<double[]> Outcomes(Calendar calendar) => outcomes ??= MakeOutcomes();

    private IReadOnlyList<double[]>? outcomes;

    // Twelve equal steps of the logarithm over all that the flora holds.
    private IReadOnlyList<double[]> MakeOutcomes()
    {
        const int steps = 12;
        var known = spreads.OfType<LogSpread>().ToArray();
        if (known.Length == 0) return [];
        var (low, high) = (known.Min(s => s.Centre - 2 * s.Below), known.Max(s => s.Centre + 2 * s.Above));
        var columns = Enumerable.Range(0, steps)
            .Select(step => At(low + (step + 0.5) * (high - low) / steps, 1, Certainty.Fair).Total).ToArray();
        for (var row = 0; row < Rows; row++)
        {
            var sum = columns.Sum(column => column[row]);
            foreach (var column in columns) column[row] /= sum;
        }
        return columns;
    }
}

/// <summary>Looked for, seen or not: shared by presence and season, which differ in where the chance comes from.</summary>
internal abstract class SoughtColumn(Character character, Score?[] scores) : Column(character, scores)
{
    /// <summary>The chance that the thing is there to be seen, for each row; null where nothing is known of the day.</summary>
    public abstract double[]? Chances(Calendar calendar);

    public override Likelihood Likelihood(Observation observation, Certainty certainty, Calendar calendar)
    {
        if (Chances(calendar) is not { } chances) return Sieving.Likelihood.Flat(Rows);
        var seen = observation is Sought { Seen: true } or Today { Seen: true };
        var rate = Slips.Rate(certainty);
        var (total, fits) = (new double[Rows], new double[Rows]);
        for (var row = 0; row < Rows; row++)
        {
            // Overlooking is a slip as often as the certainty says; seeing what is not there, half as often.
            var (found, imagined) = (chances[row] * (1 - rate), (1 - chances[row]) * rate / 2);
            total[row] = seen ? found + imagined : 1 - found - imagined;
            fits[row] = seen ? found : (1 - chances[row]) * (1 - rate / 2);
        }
        return new Likelihood(total, fits);
    }

    public override IReadOnlyList<double[]> Outcomes(Calendar calendar) =>
        [Likelihood(new Sought(true), Certainty.Fair, calendar).Total, Likelihood(new Sought(false), Certainty.Fair, calendar).Total];
}

internal sealed class PresenceColumn : SoughtColumn
{
    private readonly double[] chances;

    public PresenceColumn(PresenceCharacter character, Score?[] scores, IReadOnlyList<string> genera) : base(character, scores)
    {
        var rows = FillRows([.. scores.Select(score => score is PresenceScore presence ? new[] { presence.Frequency } : null)], genera, [0.5]);
        chances = [.. rows.Select(row => row[0])];
    }

    public override double[] Chances(Calendar calendar) => chances;

    // Absence hardly counts: only a sign that every plant of the taxon has can be missed.
    public override bool Allows(int taxon, Observation observation, Calendar calendar) =>
        Scores[taxon] is not PresenceScore score || (observation is Sought { Seen: true } ? score.Frequency > 0 : score.Frequency < 1);
}

internal sealed class SeasonColumn(SeasonCharacter character, Score?[] scores, bool[] separateSexes) : SoughtColumn(character, scores)
{
    private readonly bool fruit = character.Id == Vocabulary.Fruiting;

    // Without a date flowers and fruit say nothing of the kind: the same chance for all.
    private const double UndatedChance = 0.5;

    // A late season is an earlier day at the reference place, so that a year of days is all there is to know.
    private readonly double[]?[] byDay = new double[]?[SeasonWindow.DaysInYear];

    public override double[]? Chances(Calendar calendar)
    {
        if (calendar.DayOfYear is not { } day) return null;
        var shifted = SeasonWindow.Wrap((int)Math.Round(day - calendar.Delay));
        return byDay[shifted] ??= ChancesOn(shifted);
    }

    public override Foresight Foresee(Calendar calendar) => Foresight.Of(Outcomes(calendar), null);

    private double[] ChancesOn(int day)
    {
        var chances = new double[Rows];
        var known = 0;
        for (var t = 0; t < Scores.Length; t++)
        {
            if (Scores[t] is not SeasonScore score) continue;
            chances[t] = Phenology.ChanceSeen(score.Window, day, 0, fruit, separateSexes[t]);
            chances[Background] += chances[t];
            known++;
        }
        chances[Background] = known > 0 ? chances[Background] / known : UndatedChance;
        for (var t = 0; t < Scores.Length; t++)
            if (Scores[t] is null) chances[t] = chances[Background];
        return chances;
    }

    /// <summary>As <see cref="Chances"/>, with one and the same chance for all where there is no date.</summary>
    public double[] ChancesOrEven(Calendar calendar)
    {
        if (Chances(calendar) is { } chances) return chances;
        var even = new double[Rows];
        Array.Fill(even, UndatedChance);
        return even;
    }

    // Seen well out of season is held; not seen never is, for absence hardly counts.
    private const int Slack = 30;

    public override bool Allows(int taxon, Observation observation, Calendar calendar) =>
        Scores[taxon] is not SeasonScore score || calendar.DayOfYear is not { } day || observation is not Today { Seen: true }
        || score.Window.DaysInside((int)Math.Round(day - calendar.Delay)) >= -Slack;
}

/// <summary>The day of the look and how late the season runs there.</summary>
internal readonly record struct Calendar(int? DayOfYear, double Delay)
{
    public static Calendar From(Circumstances circumstances, Flora flora) => new(
        circumstances.Date is { } date ? Math.Min(date.DayOfYear, 365) - 1 : null,
        circumstances.Position is { } here ? Phenology.HopkinsDelay(flora.About.ReferencePlace, here) : 0);
}

/// <summary>Ids of the characters the engine itself must know.</summary>
public static class Vocabulary
{
    /// <summary>The season of flowers.</summary>
    public const string Flowering = "flowering";
    /// <summary>The season of fruit.</summary>
    public const string Fruiting = "fruiting";
    /// <summary>Whether the sexes stand on separate trees.</summary>
    public const string Sexes = "sexes";
    /// <summary>The state of <see cref="Sexes"/> where they do.</summary>
    public const string SeparateTrees = "separate-trees";
}
