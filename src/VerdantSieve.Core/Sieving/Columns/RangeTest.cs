using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

/// <summary>The strict school's rule for ranges: they must touch.</summary>
internal static class RangeTest
{
    public static Func<RangeScore, bool> Of(Observation observation) =>
        observation.OfAmount<Func<RangeScore, bool>>(
            // Judged on most of the sample: the usual one counts, not the odd leaf.
            counted: counted => score => score.Touches(counted.Usual ?? counted.Low, counted.Usual ?? counted.High),
            measured: measured => score => score.Touches(measured.Typical ?? measured.Low, measured.Typical ?? measured.High),
            // "Up to 5" fits all that can be so small; what the kind may reach elsewhere does not matter.
            limited: limited =>
                limited.Side == LimitSide.AtMost ? score => limited.Limit >= score.Minimum : score => limited.Limit <= score.Maximum
        );
}
