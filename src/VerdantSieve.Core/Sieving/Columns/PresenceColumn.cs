using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

internal sealed class PresenceColumn : SoughtColumn
{
    private readonly double[] chances,
        shown,
        believed;

    // The taxa whose score holds under a condition only.
    private readonly (Row Taxon, PresenceScore Score, Condition When)[] conditional;

    public PresenceColumn(PresenceCharacter character, ColumnSource source)
        : base(character, source)
    {
        conditional =
        [
            .. Scores
                .Select((score, t) => (Taxon: new Row(t), Score: score as PresenceScore))
                .Where(pair => pair.Score?.When is not null)
                .Select(pair => (pair.Taxon, pair.Score!, pair.Score!.When!)),
        ];
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

    // Of plants of another growth form so few have what one form must have.
    private const double InAnotherForm = 0.02;

    /// <summary>Writes a reading for the taxa whose score holds under a condition, by the chance that this plant meets it.</summary>
    public void FillConditional(Reading reading, SiteAndDay when, Func<Condition, Row, double> chanceMet, Likelihoods into)
    {
        var (seen, rate) = (reading.Observation.OfSought(), Model.SlipRate(reading.Certainty));
        foreach (var (taxon, score, condition) in conditional)
        {
            var met = chanceMet(condition, taxon);
            var said = (met * score.Frequency + (1 - met) * InAnotherForm) * (1 - when.Lacking(Character));
            var kept = believed[taxon.Index];
            Put(taxon.Index, seen, kept * said + (1 - kept) * InAnotherForm, said, rate, into);
        }
    }

    // Absence hardly counts: only a sign that every plant of the taxon has can be missed, in whatever form it grows.
    public override Func<Row, bool> Allowing(Reading reading, SiteAndDay when)
    {
        if (reading.Observation.OfSought())
            return taxon => ScoreOf(taxon) is not PresenceScore score || score.Frequency > 0;
        return when.Lacking(Character) > 0
            ? _ => true
            : taxon => ScoreOf(taxon) is not PresenceScore score || score.Frequency < 1 || score.When is not null;
    }

    /// <summary>Whether the taxon must have had the thing, had it the form it was seen to have.</summary>
    public bool IsMissing(Row taxon, Reading reading, Func<Condition, bool> isMet) =>
        ScoreOf(taxon) is PresenceScore { Frequency: 1, When: { } condition } && !reading.Observation.OfSought() && isMet(condition);
}
