using System.Globalization;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

/// <summary>The strict school's rule for ranges: they must touch.</summary>
internal static class RangeTest
{
    /// <param name="observation">What was observed.</param>
    /// <param name="reference">The score of a taxon that the plant is held against.</param>
    public static Func<RangeScore, bool> Of(Observation observation, Func<Compared, Score?> reference)
    {
        if (observation is Compared compared)
            return reference(compared) is RangeScore than ? Against(than, compared.Is) : _ => true;
        if (observation is Tallied tallied)
            return Of(tallied);
        return observation.OfAmount<Func<RangeScore, bool>>(
            // Judged on most of the sample: the usual one counts, not the odd leaf.
            counted: counted => score => score.Touches(counted.Usual ?? counted.Low, counted.Usual ?? counted.High),
            measured: measured => score => score.Touches(measured.Typical ?? measured.Low, measured.Typical ?? measured.High),
            // "Up to 5" fits all that can be so small; what the kind may reach elsewhere does not matter.
            limited: limited =>
                limited.Side == LimitSide.AtMost ? score => limited.Limit >= score.Minimum : score => limited.Limit <= score.Maximum
        );
    }

    // All numbers that more than an odd leaf shows.
    private static Func<RangeScore, bool> Of(Tallied tallied)
    {
        var leaves = tallied.Of.Sum(line => line.Leaves);
        double[] numbers =
        [
            .. tallied
                .Of.Where(line => line.Leaves > leaves * Tallies.OddLeaf)
                .Select(line => double.Parse(line.What, CultureInfo.InvariantCulture)),
        ];
        return score => numbers.All(number => score.Touches(number, number));
    }

    private static Func<RangeScore, bool> Against(RangeScore than, Comparison how) =>
        how switch
        {
            Comparison.Less => score => score.Minimum < than.Maximum,
            Comparison.More => score => score.Maximum > than.Minimum,
            Comparison.Alike => score => score.Touches(than.Minimum, than.Maximum),
        };
}
