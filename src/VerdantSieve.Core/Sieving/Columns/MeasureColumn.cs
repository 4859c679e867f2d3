using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

internal sealed class MeasureColumn : Column
{
    // An unknown relative may be larger or smaller than those known, and an unknown plant more so.
    private const double WidenedForKin = 1.2,
        WidenedForStrangers = 1.4;

    // What a score leaves out may lie as far again from its middle.
    private const double WidenedBeyondScore = 1.5;
    private static readonly LogSpread Anything = new(Math.Log(5), 1, 1);

    // A slip across a limit falls on either side of it.
    private const double EitherSide = 0.5;

    private readonly LogSpread[] spreads,
        beyond;
    private readonly double[] believed;
    private readonly RangeTest ranges;

    public MeasureColumn(MeasureCharacter character, ColumnSource source)
        : base(character, source)
    {
        ranges = new RangeTest(Scores);
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
        beyond =
        [
            .. spreads.Take(own.Length).Select((spread, t) => LogSpread.Pool([spread, byGenus[Rows.GenusOf[t]]], WidenedBeyondScore)),
            none,
        ];
        believed = [.. GapsOf(_ => true).Select(gap => 1 - gap)];
    }

    protected override void FillRows(Reading reading, SiteAndDay when, Likelihoods into)
    {
        var (of, rate) = (reading.Observation, Model.SlipRate(reading.Certainty));
        if (of is Compared compared)
            FillCompared(compared, rate, into);
        else if (of is Limited limited)
            FillLimit(limited, rate, ErrorOf(reading, limited.By), into);
        else
        {
            var measured = of.OfAmount(
                counted: ObservationKinds.Refuse<Measured>,
                measured: one => one,
                limited: ObservationKinds.Refuse<Measured>
            );
            FillAt(Math.Log(measured.Middle), measured.Leaves, rate, ErrorOf(reading, measured.By), into);
        }
    }

    private static double ErrorOf(Reading reading, MeasuredBy by)
    {
        var (measuring, origin) = (SieveModel.MeasuringError(reading.Certainty, by), Origins.AddedError(reading.Origin));
        var place = Places.AddedError(reading.On);
        return Math.Sqrt(measuring * measuring + origin * origin + place * place);
    }

    private void FillAt(double logValue, int leaves, double rate, double error, Likelihoods into)
    {
        var any = spreads[Rows.Average.Index].Density(logValue, 1, error);
        for (var row = 0; row < Rows.Count; row++)
        {
            var says = believed[row] * spreads[row].Density(logValue, row < Rows.Taxa ? leaves : 1, error);
            into.Fitting[row] = (1 - rate) * says;
            into.Unslipped[row] = (1 - rate) * (says + (1 - believed[row]) * beyond[row].Density(logValue, 1, error));
            into.Total[row] = into.Unslipped[row] + rate * any;
        }
    }

    // By eye a quarter more or less is much the same, and the other plant is not at hand.
    private const double NearlySame = 0.22,
        FromMemory = 0.2;

    private void FillCompared(Compared compared, double rate, Likelihoods into)
    {
        var than = spreads[RowOf(compared).Index].Centre;
        for (var row = 0; row < Rows.Count; row++)
        {
            var says = believed[row] * Stands(spreads[row]);
            into.Fitting[row] = (1 - rate) * says;
            into.Unslipped[row] = (1 - rate) * (says + (1 - believed[row]) * Stands(beyond[row]));
            into.Total[row] = into.Unslipped[row] + rate * AnyComparison;
        }

        double Stands(LogSpread spread) =>
            compared.Is switch
            {
                Comparison.Less => spread.Below(than, FromMemory),
                Comparison.More => 1 - spread.Below(than, FromMemory),
                Comparison.Alike => spread.Below(than + NearlySame, FromMemory) - spread.Below(than - NearlySame, FromMemory),
            };
    }

    private void FillLimit(Limited limited, double rate, double error, Likelihoods into)
    {
        var logLimit = Math.Log(limited.Limit);
        for (var row = 0; row < Rows.Count; row++)
        {
            var says = believed[row] * Inside(spreads[row]);
            into.Fitting[row] = (1 - rate) * says;
            into.Unslipped[row] = (1 - rate) * (says + (1 - believed[row]) * Inside(beyond[row]));
            into.Total[row] = into.Unslipped[row] + rate * EitherSide;
        }

        double Inside(LogSpread spread) =>
            limited.Side == LimitSide.AtMost ? spread.Below(logLimit, error) : 1 - spread.Below(logLimit, error);
    }

    public override Func<Row, bool> Allowing(Reading reading, SiteAndDay when) => ranges.Allowing(reading.Observation, Reference);

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
            FillAt(logValue, 1, rate, error, new Likelihoods(total, fitting, new double[Rows.Count]));
            return total;
        }
    }
}
