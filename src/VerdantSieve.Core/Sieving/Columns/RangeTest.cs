using System.Globalization;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

/// <summary>The strict school's rule for ranges: they must touch. A taxon without a score can be anything.</summary>
/// <param name="scores">The flora's score of each taxon; null where it has none.</param>
internal sealed class RangeTest(IEnumerable<Score?> scores)
{
    // Side by side, since every reading asks all taxa.
    private readonly Limits[] limits = [.. scores.Select(score => score is RangeScore range ? Limits.Of(range) : Limits.Any)];

    private readonly record struct Limits(double Minimum, double Maximum)
    {
        public static Limits Any { get; } = new(double.NegativeInfinity, double.PositiveInfinity);

        public static Limits Of(RangeScore range) => new(range.Minimum, range.Maximum);

        public bool Touch(double low, double high) => high >= Minimum && low <= Maximum;
    }

    /// <summary>Which taxa allow what was observed.</summary>
    /// <param name="observation">What was observed.</param>
    /// <param name="reference">The score of a taxon that the plant is held against.</param>
    public Func<Row, bool> Allowing(Observation observation, Func<Compared, Score?> reference)
    {
        var allows = Rule(observation, reference);
        return taxon => allows(limits[taxon.Index]);
    }

    private static Func<Limits, bool> Rule(Observation observation, Func<Compared, Score?> reference)
    {
        if (observation is Compared compared)
            return reference(compared) is RangeScore than ? Against(Limits.Of(than), compared.Is) : _ => true;
        if (observation is Tallied tallied)
            return OfTally(tallied);
        return observation.OfAmount<Func<Limits, bool>>(
            // Judged on most of the sample: the usual one counts, not the odd leaf.
            counted: counted => allowed => allowed.Touch(counted.Usual ?? counted.Low, counted.Usual ?? counted.High),
            measured: measured => allowed => allowed.Touch(measured.Typical ?? measured.Low, measured.Typical ?? measured.High),
            // "Up to 5" fits all that can be so small; what the kind may reach elsewhere does not matter.
            limited: limited =>
                limited.Side == LimitSide.AtMost
                    ? allowed => limited.Limit >= allowed.Minimum
                    : allowed => limited.Limit <= allowed.Maximum
        );
    }

    // All numbers that more than an odd leaf shows.
    private static Func<Limits, bool> OfTally(Tallied tallied)
    {
        var leaves = tallied.Of.Sum(line => line.Leaves);
        double[] numbers =
        [
            .. tallied
                .Of.Where(line => line.Leaves > leaves * Tallies.OddLeaf)
                .Select(line => double.Parse(line.What, CultureInfo.InvariantCulture)),
        ];
        return allowed => numbers.All(number => allowed.Touch(number, number));
    }

    private static Func<Limits, bool> Against(Limits than, Comparison how) =>
        how switch
        {
            Comparison.Less => allowed => allowed.Minimum < than.Maximum,
            Comparison.More => allowed => allowed.Maximum > than.Minimum,
            Comparison.Alike => allowed => allowed.Touch(than.Minimum, than.Maximum),
        };
}
