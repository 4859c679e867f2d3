using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

internal sealed class PresenceColumn : SoughtColumn
{
    private readonly double[] chances,
        shown,
        believed;

    public PresenceColumn(PresenceCharacter character, ColumnSource source)
        : base(character, source)
    {
        double[]?[] own = [.. Scores.Select(score => score is PresenceScore presence ? new[] { presence.Frequency } : null)];
        chances = [.. Rows.Fill(own, [0.5]).Select(row => row[0])];
        // Said to be always or never so is said of one state, as it were.
        believed = [.. GapsOf(score => score is PresenceScore { Frequency: > 0 and < 1 }).Select(gap => 1 - gap)];
        shown = [.. Rows.NearestKin(own, [0.5]).Select((kin, row) => believed[row] * chances[row] + (1 - believed[row]) * kin[0])];
    }

    protected override double[] Chances(SiteAndDay when) => Lacking(chances, when);

    protected override double[] Shown(SiteAndDay when) => Lacking(shown, when);

    protected override double[] Believed => believed;

    private double[] Lacking(double[] of, SiteAndDay when) =>
        when.Lacking(Character) is > 0 and var lacking ? [.. of.Select(chance => chance * (1 - lacking))] : of;

    public override double[] ChanceOn(SiteAndDay when) => Chances(when);

    protected override Observation Observed(bool seen) => new Sought(seen);

    // Absence hardly counts: only a sign that every plant of the taxon has can be missed.
    public override Func<Row, bool> Allowing(Reading reading, SiteAndDay when)
    {
        if (reading.Observation.OfSought())
            return taxon => ScoreOf(taxon) is not PresenceScore score || score.Frequency > 0;
        return when.Lacking(Character) > 0 ? _ => true : taxon => ScoreOf(taxon) is not PresenceScore score || score.Frequency < 1;
    }
}
