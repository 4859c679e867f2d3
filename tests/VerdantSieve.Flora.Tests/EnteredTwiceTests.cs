using System.Globalization;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Flora.Tests;

/// <summary>The thirty characters of the shipped flora that were entered twice, and how the two drafts were settled.</summary>
public class EnteredTwiceTests
{
    private static readonly SecondDraft Draft = SecondDraft.Read(ShippedFlora.Text("second-draft/scores.csv"), ShippedFlora.Flora);
    private static readonly IReadOnlyList<Settlement> Settled = Settlement.Read(
        ShippedFlora.Text("second-draft/settled.csv"),
        ShippedFlora.Flora
    );
    private static readonly IReadOnlyList<CharacterAgreement> Agreements = Draft.Against(ShippedFlora.Flora, Settled);

    [Fact]
    public void Thirty_characters_of_every_taxon_with_scores_of_its_own_are_entered_twice()
    {
        Assert.Equal(30, Agreements.Count);
        Assert.Equal(
            ShippedFlora.Flora.Taxa.Count(taxon => Agreements.Any(one => taxon.Score(one.Character.Id) is not null)),
            Draft.Taxa
        );
    }

    [Fact]
    public void Every_disagreement_is_settled()
    {
        var settled = Settled.Select(row => (row.Taxon, row.Character.Id)).ToHashSet();
        Assert.Equal(
            [],
            Agreements
                .SelectMany(one => one.Disagreements.Select(apart => (apart.Taxon, one.Character.Id)))
                .Where(key => !settled.Contains(key))
        );
    }

    [Fact]
    public void The_flora_says_what_was_settled() =>
        Assert.Equal(
            [],
            Settled
                .Where(row => ShippedFlora.Flora.FindTaxon(row.Taxon.Text)!.Score(row.Character.Id) != row.Settled)
                .Select(row => $"{row.Taxon}, {row.Character.Id}")
        );

    [Fact]
    public void The_table_of_agreement_in_the_documents_is_the_one_that_is_found()
    {
        var document = ShippedFlora.Document("flora-quality.md");
        Assert.Equal([], Agreements.Select(Row).Where(row => !document.Contains(row)));

        static string Row(CharacterAgreement one) =>
            string.Create(
                CultureInfo.InvariantCulture,
                $"| {one.Character.Label} | {one.Taxa} | {one.Kappa:0.00} | {100 * one.Likeness:0} % | {one.Disagreements.Count} "
                    + $"| {one.Disagreements.Count(apart => apart.Apart)} |"
            );
    }
}
