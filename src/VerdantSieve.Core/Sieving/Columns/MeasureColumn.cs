using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

internal sealed class MeasureColumn : Column
{
    // An unknown relative may be larger or smaller than those known, and an unknown plant more so.
    private const double WidenedForKin = 1.2,
        WidenedForStrangers = 1.4;
    private static readonly LogSpread Anything = new(Math.Log(5), 1, 1);

    // A slip across a limit falls on either side of it.
    private const double EitherSide = 0.5;

    private readonly LogSpread[] spreads;

    public MeasureColumn(MeasureCharacter character, ColumnSource source)
        : base(character, source)
    {
        LogSpread?[] own = [.. Scores.Select(score => score is RangeScore range ? LogSpread.From(range) : (LogSpread?)null)];
        var known = own.OfType<LogSpread>().ToArray();
        var none = known.Length > 0 ? LogSpread.Pool(known, WidenedForStrangers) : Anything;
        var byGenus = Enumerable
            .Range(0, own.Length)
            .GroupBy(t => Rows.GenusOf[t])
            .ToDictionary(
                genus => genus.Key,
                genus =>
                    genus.Select(t => own[t]).OfType<LogSpread>().ToArray() is { Length: > 0 } kin
                        ? LogSpread.Pool(kin, WidenedForKin)
                        : none
            );
        spreads = [.. own.Select((spread, t) => spread ?? byGenus[Rows.GenusOf[t]]), none];
    }

    public override void Fill(Reading reading, SiteAndDay when, Span<double> total, Span<double> fitting)
    {
        var (of, rate) = (reading.Observation, Model.SlipRate(reading.Certainty));
        if (of is Limited limited)
            FillLimit(limited, rate, ErrorOf(reading, limited.By), total, fitting);
        else
        {
            var measured = of.OfAmount(
                counted: ObservationKinds.Refuse<Measured>,
                measured: one => one,
                limited: ObservationKinds.Refuse<Measured>
            );
            FillAt(Math.Log(measured.Middle), measured.Leaves, rate, ErrorOf(reading, measured.By), total, fitting);
        }
    }

    private static double ErrorOf(Reading reading, MeasuredBy by)
    {
        var (measuring, added) = (SieveModel.MeasuringError(reading.Certainty, by), Origins.AddedError(reading.Origin));
        return Math.Sqrt(measuring * measuring + added * added);
    }

    private void FillAt(double logValue, int leaves, double rate, double error, Span<double> total, Span<double> fitting)
    {
        var any = spreads[Rows.None.Index].Density(logValue, 1, error);
        for (var row = 0; row < Rows.Count; row++)
        {
            fitting[row] = (1 - rate) * spreads[row].Density(logValue, row < Rows.Taxa ? leaves : 1, error);
            total[row] = fitting[row] + rate * any;
        }
    }

    private void FillLimit(Limited limited, double rate, double error, Span<double> total, Span<double> fitting)
    {
        var logLimit = Math.Log(limited.Limit);
        for (var row = 0; row < Rows.Count; row++)
        {
            var below = spreads[row].Below(logLimit, error);
            fitting[row] = (1 - rate) * (limited.Side == LimitSide.AtMost ? below : 1 - below);
            total[row] = fitting[row] + rate * EitherSide;
        }
    }

    public override Func<Row, bool> Allowing(Observation observation, SiteAndDay when)
    {
        var allows = RangeTest.Of(observation);
        return taxon => ScoreOf(taxon) is not RangeScore score || allows(score);
    }

    // Twelve equal steps of the logarithm over all that the flora holds.
    protected override IReadOnlyList<double[]> Outcomes(SiteAndDay when)
    {
        const int steps = 12;
        var (low, high) = (spreads.Min(s => s.Centre - 2 * s.BelowWidth), spreads.Max(s => s.Centre + 2 * s.AboveWidth));
        var (rate, error) = (Model.SlipRate(Certainty.Fair), SieveModel.MeasuringError(Certainty.Fair, MeasuredBy.Ruler));
        var outcomes = Enumerable.Range(0, steps).Select(step => Step(low + (step + 0.5) * (high - low) / steps)).ToArray();
        for (var row = 0; row < Rows.Count; row++)
        {
            var sum = outcomes.Sum(outcome => outcome[row]);
            foreach (var outcome in outcomes)
                outcome[row] /= sum;
        }
        return outcomes;

        double[] Step(double logValue)
        {
            var (total, fitting) = (new double[Rows.Count], new double[Rows.Count]);
            FillAt(logValue, 1, rate, error, total, fitting);
            return total;
        }
    }
}
