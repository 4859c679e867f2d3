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
    private static readonly IReadOnlyList<Mending> Mended = Mending.Read(ShippedFlora.Text("second-draft/mended.csv"), ShippedFlora.Flora);
    private static readonly IReadOnlyList<CharacterAgreement> Agreements = Draft.Against(ShippedFlora.Flora, Settled, Mended);

    [Fact]
    public void Thirty_characters_of_most_taxa_are_entered_twice()
    {
        Assert.Equal(30, Agreements.Count);
        Assert.True(Draft.Taxa > 0.8 * ShippedFlora.Flora.Taxa.Count(taxon => taxon.OwnScores.Count > 0));
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
    public void The_flora_says_what_was_settled_or_mended_since()
    {
        var since = Mended.Select(row => (row.Taxon, row.Character.Id)).ToHashSet();
        Assert.Equal(
            [],
            Settled
                .Where(row => !since.Contains((row.Taxon, row.Character.Id)) && Says(row.Taxon, row.Character) != row.Settled)
                .Select(row => $"{row.Taxon}, {row.Character.Id}")
        );
        Assert.Equal(
            [],
            Mended.Where(row => Says(row.Taxon, row.Character) != row.After).Select(row => $"{row.Taxon}, {row.Character.Id}")
        );

        static Score? Says(ScientificName taxon, Character character) => ShippedFlora.Flora.FindTaxon(taxon.Text)!.Score(character.Id);
    }

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
