using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

internal sealed class MeasureColumn : Column
{
    // An unknown relative may be larger or smaller than those known, and an unknown plant more so.
    private const double WidenedForKin = 1.2, WidenedForStrangers = 1.4;
    private static readonly LogSpread Anything = new(Math.Log(5), 1, 1);

    private readonly LogSpread[] spreads;

    public MeasureColumn(MeasureCharacter character, Score?[] scores, Rows rows, SieveModel model) : base(character, scores, rows, model)
    {
        LogSpread?[] own = [.. scores.Select(score => score is RangeScore range ? LogSpread.From(range) : (LogSpread?)null)];
        var known = own.OfType<LogSpread>().ToArray();
        var none = known.Length > 0 ? LogSpread.Pool(known, WidenedForStrangers) : Anything;
        var byGenus = Enumerable.Range(0, own.Length).GroupBy(t => rows.GenusOf[t]).ToDictionary(group => group.Key, group =>
            group.Select(t => own[t]).OfType<LogSpread>().ToArray() is { Length: > 0 } kin ? LogSpread.Pool(kin, WidenedForKin) : none);
        spreads = [.. own.Select((spread, t) => spread ?? byGenus[rows.GenusOf[t]]), none];
    }

    public override Likelihood Likelihood(Reading reading, Occasion occasion) => reading.Observation switch
    {
        Measured measured => At(Math.Log(measured.Middle), measured.Leaves, reading.Certainty, Error(reading.Certainty, measured.By, reading.Origin)),
        Limited limited => Within(Math.Log(limited.Limit), limited.IsMost, reading.Certainty, Error(reading.Certainty, limited.By, reading.Origin)),
        _ => throw new ArgumentOutOfRangeException(nameof(reading), reading, "Not a reading of a measure.")
    };

    private static double Error(Certainty certainty, MeasuredBy by, Origin origin)
    {
        var (measuring, added) = (SieveModel.MeasuringError(certainty, by), Origins.AddedError(origin));
        return Math.Sqrt(measuring * measuring + added * added);
    }

    private Likelihood At(double logValue, int leaves, Certainty certainty, double error)
    {
        var rate = Model.SlipRate(certainty);
        var any = spreads[Rows.None].Density(logValue, 1, error);
        var (total, fits) = (new double[Rows.Count], new double[Rows.Count]);
        for (var row = 0; row < Rows.Count; row++)
        {
            fits[row] = (1 - rate) * spreads[row].Density(logValue, row < Rows.Taxa ? leaves : 1, error);
            total[row] = fits[row] + rate * any;
        }
        return new Likelihood(total, fits);
    }

    private Likelihood Within(double logLimit, bool isMost, Certainty certainty, double error)
    {
        var rate = Model.SlipRate(certainty);
        var (total, fits) = (new double[Rows.Count], new double[Rows.Count]);
        for (var row = 0; row < Rows.Count; row++)
        {
            var below = spreads[row].Below(logLimit, error);
            fits[row] = (1 - rate) * (isMost ? below : 1 - below);
            total[row] = fits[row] + rate * 0.5;
        }
        return new Likelihood(total, fits);
    }

    public override bool Allows(int taxon, Observation observation, Occasion occasion) => Scores[taxon] is not RangeScore score || RangeTest.Allows(score, observation);

    // Twelve equal steps of the logarithm over all that the flora holds.
    public override IReadOnlyList<double[]> Outcomes(Occasion occasion)
    {
        const int steps = 12;
        var (low, high) = (spreads.Min(s => s.Centre - 2 * s.BelowWidth), spreads.Max(s => s.Centre + 2 * s.AboveWidth));
        var error = SieveModel.MeasuringError(Certainty.Fair, MeasuredBy.Ruler);
        var columns = Enumerable.Range(0, steps).Select(step => At(low + (step + 0.5) * (high - low) / steps, 1, Certainty.Fair, error).Total).ToArray();
        for (var row = 0; row < Rows.Count; row++)
        {
            var sum = columns.Sum(column => column[row]);
            foreach (var column in columns) column[row] /= sum;
        }
        return columns;
    }
}

/// <summary>The strict school's rule for ranges: they must touch.</summary>
internal static class RangeTest
{
    public static bool Allows(RangeScore score, Observation observation) => observation switch
    {
        Counted { Usual: { } usual } => usual >= score.Minimum && usual <= score.Maximum,
        Counted counted => counted.High >= score.Minimum && counted.Low <= score.Maximum,
        Measured { Typical: { } typical } => typical >= score.Minimum && typical <= score.Maximum,
        Measured measured => measured.High >= score.Minimum && measured.Low <= score.Maximum,
        // "Up to 5" fits all that can be so small; what the kind may reach elsewhere does not matter.
        Limited { IsMost: true } limited => limited.Limit >= score.Minimum,
        Limited limited => limited.Limit <= score.Maximum,
        _ => false
    };
}
