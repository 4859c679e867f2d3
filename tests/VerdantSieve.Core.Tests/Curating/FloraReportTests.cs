using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Curating;

public class FloraReportTests
{
    [Fact]
    public void Each_kind_of_finding_is_found()
    {
        var flora = new MadeFlora()
            .States("bark", "grey rust")
            .States("gloss", "dull")
            .States("unused", "a b")
            .Measure("leaf")
            .Taxon("Aus primus", "bark: grey / leaf: 3–5 cm")
            .Taxon("Aus alter", "bark: grey / leaf: 3–5 cm")
            .Taxon("Aus tertius", "bark: rust / leaf: 3–6 cm / gloss: dull")
            .Taxon("Aus magnus", "bark: rust / leaf: 30–40 cm");
        var findings = FloraReport.Of(flora.Sieve(), new DrawnVocabulary(flora.Flora.Vocabulary, flora.Flora.Vocabulary)).Findings;
        Assert.Contains(
            findings,
            f =>
                f.Kind == FindingKind.Inseparable
                && f.Taxa.Select(t => t.Name.Epithet).Order().SequenceEqual(["alter", "primus"])
                && f.Explained is null
        );
        Assert.Equal(4, findings.Count(f => f.Kind == FindingKind.UnderScored));
        Assert.Contains(findings, f => f.Kind == FindingKind.UnusedCharacter && f.Text.Contains("unused"));
        Assert.Contains(findings, f => f.Kind == FindingKind.OutOfLine && f.Taxa[0].Name.Text == "Aus magnus");
        Assert.Contains(findings, f => f.Kind == FindingKind.OneState && f.Text.Contains("gloss"));
        Assert.Contains(findings, f => f.Kind == FindingKind.GlossaryGap && f.Text.Contains("rust"));
        Assert.DoesNotContain(findings, f => f.Kind == FindingKind.Inseparable && f.Taxa.Any(t => t.Name.Text == "Aus magnus"));
    }

    [Fact]
    public void What_cannot_be_parted_is_explained_where_it_belongs_together()
    {
        var flora = new MadeFlora()
            .States("bark", "grey red")
            .Taxon("Aus primus", "bark: grey", t => t with { Aggregate = "Aus primus agg." })
            .Taxon("Aus alter", "bark: grey", t => t with { Aggregate = "Aus primus agg." });
        Assert.Equal(
            "both belong to Aus primus agg.",
            FloraReport
                .Of(flora.Sieve(), new DrawnVocabulary(flora.Flora.Vocabulary, flora.Flora.Vocabulary))
                .Findings.Single(f => f.Kind == FindingKind.Inseparable)
                .Explained
        );
    }

    [Fact]
    public void The_work_can_be_stopped() =>
        Assert.Throws<OperationCanceledException>(() =>
            FloraReport.Of(SmallFlora.Sieve, SmallFlora.Drawn, cancel: new CancellationToken(canceled: true))
        );
}

public class ChangeEffectTests
{
    private static readonly Sieve Sieve = new MadeFlora()
        .States("bark", "grey red")
        .States("gloss", "dull shiny")
        .Taxon("Aus primus", "bark: grey / gloss: dull")
        .Taxon("Aus alter", "bark: red / gloss: dull")
        .Sieve(SieveModel.Standard with { Strangers = 0.01 });

    [Fact]
    public void A_change_is_told_with_what_it_does_to_the_report_and_to_kept_looks()
    {
        var before = Sieve.Flora.FindTaxon("Aus alter")!;
        var after = before with
        {
            OwnScores = new Dictionary<string, Score>(before.OwnScores)
            {
                ["bark"] = new StateScore([new StateFrequency("grey", Frequency.Usual)]),
            },
        };
        var look = new SieveQuestion { Readings = [Readings.Is("bark", "grey", Core.Observing.Certainty.Sure)] };
        var effect = ChangeEffect.Of(Sieve, SmallFlora.Drawn, after, [("one", "here", look)]);
        Assert.Equal([new FieldChange("bark", "red", "grey")], effect.Changes);
        Assert.Contains(effect.Caused, finding => finding.Kind == FindingKind.Inseparable);
        Assert.Empty(effect.Mended);
        Assert.True(effect.Looks.Single().IsDifferent);
        Assert.Equal("Aus primus", effect.Looks[0].Before.Leader.Name.Text);
        Assert.True(effect.Looks[0].After.Probability < effect.Looks[0].Before.Probability - 0.2);
    }

    [Fact]
    public void What_settled_looks_found_and_the_flora_does_not_list_is_collected()
    {
        var flora = new MadeFlora().States("bark", "red grey").States("bud", "a b").Taxon("Aus primus", "bark: red / bud: a");
        var (sieve, taxon) = (flora.Sieve(), flora.Flora.FindTaxon("Aus primus")!);
        SieveQuestion Read(Certainty certainty) => new() { Readings = [Readings.Is("bark", "grey", certainty), Readings.Is("bud", "a")] };
        var gaps = ReadingGap.Of(sieve, [(taxon, Read(Certainty.Sure)), (taxon, Read(Certainty.Sure)), (taxon, Read(Certainty.Guess))]);
        Assert.Equal(("bark", 2), (gaps.Single().Reading.Character, gaps[0].Looks));
    }

    [Fact]
    public void A_changed_flora_is_an_edition_on_and_its_hybrids_follow_their_parents()
    {
        var flora = SmallFlora.Flora;
        var parent = flora.FindTaxon("Quercus robur")!;
        var changed = flora.With(
            parent with
            {
                OwnScores = new Dictionary<string, Score>(parent.OwnScores) { ["bud-length"] = new RangeScore(null, 2, 3, null) },
            }
        );
        Assert.Equal(flora.About.Edition + 1, changed.About.Edition);
        var high = ((RangeScore)flora.FindTaxon("Quercus × rosacea")!.Scores["bud-length"]).High;
        Assert.True(Assert.IsType<RangeScore>(changed.FindTaxon("Quercus × rosacea")!.Scores["bud-length"]).High > 1.5 * high);
        Assert.Contains("bud-length", changed.FindTaxon("Quercus × rosacea")!.InferredScores.Keys);
    }
}

public class AgreementTests
{
    // J. Cohen 1960, the two-by-two form of the worked example that handbooks repeat: 20 both yes, 5 and 10 one way, 15 both no: κ = 0.4.
    [Fact]
    public void Kappa_is_that_of_the_worked_example() =>
        Assert.Equal(
            0.4,
            Agreement.Kappa([.. Times(20, "y", "y"), .. Times(5, "y", "n"), .. Times(10, "n", "y"), .. Times(15, "n", "n")]),
            12
        );

    [Fact]
    public void Kappa_is_one_in_full_agreement_and_nought_at_chance()
    {
        Assert.Equal(1, Agreement.Kappa([.. Times(3, "a", "a"), .. Times(2, "b", "b")]));
        Assert.Equal(1, Agreement.Kappa([.. Times(3, "a", "a")]));
        Assert.Equal(0, Agreement.Kappa([.. Times(1, "a", "a"), .. Times(1, "a", "b"), .. Times(1, "b", "a"), .. Times(1, "b", "b")]), 12);
        Assert.Throws<ArgumentException>(() => Agreement.Kappa([]));
    }

    [Theory]
    [InlineData(1, 2, 1, 2, 1)]
    [InlineData(1, 2, 4, 8, 0)]
    [InlineData(1, 4, 2, 8, 1.0 / 3)]
    [InlineData(5, 5, 5, 5, 1)]
    public void Overlap_is_the_shared_part_of_two_ranges(double a, double b, double c, double d, double shared) =>
        Assert.Equal(shared, Agreement.Overlap(new RangeScore(null, a, b, null), new RangeScore(null, c, d, null)), 9);

    [Fact]
    public void Shared_states_count_by_their_share()
    {
        StateScore Of(params (string, Frequency)[] states) => new([.. states.Select(s => new StateFrequency(s.Item1, s.Item2))]);
        Score always = new PresenceScore(1),
            never = new PresenceScore(0);
        Assert.Equal((1, 0), (Agreement.Likeness(always, new PresenceScore(1)), Agreement.Likeness(always, never)));
        Assert.Equal((false, true), (Agreement.Excludes(always, new PresenceScore(1)), Agreement.Excludes(always, never)));
        Score Flowers(string window) => new SeasonScore(SeasonWindow.Parse(window).Value);
        var (may, june) = (Flowers("1 May – 31 May"), Flowers("1 Jun – 30 Jun"));
        Assert.Equal((1, 0), (Agreement.Likeness(may, Flowers("1 May – 31 May")), Agreement.Likeness(may, june)));
        Assert.Equal((false, true), (Agreement.Excludes(may, Flowers("1 May – 31 May")), Agreement.Excludes(may, june)));
        Assert.Equal(0.5, Agreement.Shared(Of(("a", Frequency.Usual)), Of(("a", Frequency.Usual), ("b", Frequency.Usual))), 9);
        Assert.Equal("b", Of(("a", Frequency.Sometimes), ("b", Frequency.Usual)).Chief);
    }

    private static IEnumerable<(string, string)> Times(int times, string one, string other) => Enumerable.Repeat((one, other), times);
}
