using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

/// <summary>Looked for, seen or not: shared by presence and season, which differ in where the chance comes from.</summary>
internal abstract class SoughtColumn(Character character, ColumnSource source) : Column(character, source)
{
    /// <summary>The chance that the thing is there to be seen, for each row; null where nothing is known of the day.</summary>
    protected abstract double[]? Chances(SiteAndDay when);

    public override void Fill(Reading reading, SiteAndDay when, Span<double> total, Span<double> fitting)
    {
        if (Chances(when) is not { } chances)
        {
            total.Fill(1);
            fitting.Fill(1);
            return;
        }
        var (seen, rate) = (reading.Observation.OfSought(), Model.SlipRate(reading.Certainty));
        for (var row = 0; row < Rows.Count; row++)
        {
            // Overlooking is a slip as often as the certainty says; seeing what is not there, half as often.
            var (found, imagined) = (chances[row] * (1 - rate), (1 - chances[row]) * rate / 2);
            total[row] = seen ? found + imagined : 1 - found - imagined;
            fitting[row] = seen ? found : (1 - chances[row]) * (1 - rate / 2);
        }
    }

    /// <summary>An observation that the thing was seen, or was not.</summary>
    protected abstract Observation Observed(bool seen);

    protected override IReadOnlyList<double[]> Outcomes(SiteAndDay when) =>
        Chances(when) is null ? [] : [ChanceOf(Observed(true), when), ChanceOf(Observed(false), when)];
}
