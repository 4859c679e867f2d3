using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

/// <summary>The strict school's rule for ranges: they must touch.</summary>
internal static class RangeTest
{
    public static bool Allows(RangeScore score, Observation observation) =>
        observation.OfAmount(
            // Judged on most of the sample: the usual one counts, not the odd leaf.
            counted: counted => score.Touches(counted.Usual ?? counted.Low, counted.Usual ?? counted.High),
            measured: measured => score.Touches(measured.Typical ?? measured.Low, measured.Typical ?? measured.High),
            // "Up to 5" fits all that can be so small; what the kind may reach elsewhere does not matter.
            limited: limited => limited.Side == LimitSide.AtMost ? limited.Limit >= score.Minimum : limited.Limit <= score.Maximum
        );
}
