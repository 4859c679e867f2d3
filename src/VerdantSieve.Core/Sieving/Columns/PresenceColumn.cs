using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

internal sealed class PresenceColumn : SoughtColumn
{
    private readonly double[] chances;

    public PresenceColumn(PresenceCharacter character, ColumnSource source)
        : base(character, source) =>
        chances = [
            .. Rows.Fill([.. Scores.Select(score => score is PresenceScore presence ? new[] { presence.Frequency } : null)], [0.5])
                .Select(row => row[0]),
        ];

    protected override double[] Chances(SiteAndDay when) =>
        when.Lacking(Character) is > 0 and var lacking ? [.. chances.Select(chance => chance * (1 - lacking))] : chances;

    public override double[] ChanceOn(SiteAndDay when) => Chances(when);

    protected override Observation Observed(bool seen) => new Sought(seen);

    // Absence hardly counts: only a sign that every plant of the taxon has can be missed.
    public override Func<Row, bool> Allowing(Observation observation, SiteAndDay when)
    {
        if (observation.OfSought())
            return taxon => ScoreOf(taxon) is not PresenceScore score || score.Frequency > 0;
        return when.Lacking(Character) > 0 ? _ => true : taxon => ScoreOf(taxon) is not PresenceScore score || score.Frequency < 1;
    }
}
