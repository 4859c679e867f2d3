using System.Globalization;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using Xunit;

namespace VerdantSieve.Flora.Tests;

/// <summary>What docs/flora-quality.md counts is what the flora holds. Where it is not, the lines that it should have are told.</summary>
public class DocumentedCountsTests
{
    private static readonly string Document = ShippedFlora.Document("flora-quality.md");

    [Fact]
    public void Kinds_hybrids_and_notes_are_as_many_as_the_documents_say()
    {
        var taxa = ShippedFlora.Flora.Taxa;
        Assert.Contains($"holds {taxa.Count} taxa, {taxa.Count(taxon => taxon.IsHybrid)} of them hybrids", Document);
        Assert.Contains($"`notes`, {taxa.Sum(taxon => taxon.Notes.Count)} so far", Document);
    }

    [Theory]
    [InlineData(ScoreBasis.Own, "| own |")]
    [InlineData(ScoreBasis.Shared, "| shared by 47 genera and their sections |")]
    [InlineData(ScoreBasis.Default, "| default (nineteen characters) |")]
    [InlineData(ScoreBasis.Parents, "| from the parents of a hybrid |")]
    public void Scores_are_own_shared_default_or_the_parents_as_often_as_the_documents_say(ScoreBasis basis, string row)
    {
        var flora = ShippedFlora.Flora;
        var count = flora.Taxa.Sum(taxon => flora.Characters.Count(character => taxon.BasisOf(character.Id) == basis));
        Assert.Contains(string.Create(CultureInfo.InvariantCulture, $"{row} {count:#,0} |"), Document);
    }

    [Fact]
    public void Each_keyed_country_is_covered_as_the_documents_say() =>
        Assert.Equal(
            [],
            ShippedFlora
                .Flora.About.Keyed.Select(country => Coverage.Of(ShippedFlora.Flora, country))
                .Select(covered =>
                    $"| {Regions.Name(covered.Country)} | {covered[Occurrence.Native]} | {covered[Occurrence.RunWild]} "
                    + $"| {covered[Occurrence.Planted]} | {covered[Occurrence.Absent]} | {covered[Occurrence.NotLooked]} |"
                )
                .Where(row => !Document.Contains(row))
        );
}
