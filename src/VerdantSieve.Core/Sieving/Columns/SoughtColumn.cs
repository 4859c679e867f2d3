using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

/// <summary>Looked for, seen or not: shared by presence and season, which differ in where the chance comes from.</summary>
internal abstract class SoughtColumn(Character character, ColumnSource source) : Column(character, source)
{
    /// <summary>The chance that the thing is there to be seen, for each row; null where nothing is known of the day.</summary>
    protected abstract double[]? Chances(SiteAndDay when);

    /// <summary>The same, and the chance that a score leaves the thing out, for each row.</summary>
    protected virtual double[]? Shown(SiteAndDay when) => Chances(when);

    /// <summary>The chance that a score leaves nothing out, for each row; null where none does.</summary>
    protected virtual double[]? Believed => null;

    protected override void FillRows(Reading reading, SiteAndDay when, Likelihoods into)
    {
        if (Chances(when) is not { } chances || Shown(when) is not { } shown)
        {
            into.SayNothing();
            return;
        }
        var (seen, rate) = (reading.Observation.OfSought(), Model.SlipRate(reading.Certainty));
        for (var row = 0; row < Rows.Count; row++)
            Put(row, seen, shown[row], chances[row], rate, into);
    }

    /// <summary>Writes the chance of having seen the thing, or not, for one row.</summary>
    /// <param name="row">The row.</param>
    /// <param name="seen">Whether it was seen.</param>
    /// <param name="shown">The chance that it is there.</param>
    /// <param name="said">The chance that it is there, by what is scored alone.</param>
    /// <param name="rate">The chance of a slip.</param>
    /// <param name="into">Where to write.</param>
    protected void Put(int row, bool seen, double shown, double said, double rate, Likelihoods into)
    {
        // Overlooking is a slip as often as the certainty says; seeing what is not there, half as often.
        var (found, imagined) = (shown * (1 - rate), (1 - shown) * rate / 2);
        into.Total[row] = seen ? found + imagined : 1 - found - imagined;
        into.Unslipped[row] = Rightly(shown);
        into.Fitting[row] = (Believed?[row] ?? 1) * Rightly(said);

        double Rightly(double chance) => seen ? chance * (1 - rate) : (1 - chance) * (1 - rate / 2);
    }

    /// <summary>An observation that the thing was seen, or was not.</summary>
    protected abstract Observation Observed(bool seen);

    protected override IReadOnlyList<double[]> Outcomes(SiteAndDay when) =>
        Chances(when) is null ? [] : [ChanceOf(Observed(true), when), ChanceOf(Observed(false), when)];
}
