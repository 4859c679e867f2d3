using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using Xunit;

namespace VerdantSieve.Core.Tests.Formats;

public class ShippedFloraTests
{
    private static readonly HashSet<string> Conifers = ["Pinaceae", "Cupressaceae", "Taxaceae"];

    [Fact]
    public void Has_no_fault() => Assert.True(ShippedFlora.Reading.Faults.Count == 0, string.Join("\n", ShippedFlora.Reading.Faults));

    [Fact]
    public void Is_broad_enough_for_a_first_flora()
    {
        var taxa = ShippedFlora.Flora.Taxa;
        Assert.True(taxa.Count >= 50);
        Assert.True(taxa.Count(taxon => Conifers.Contains(taxon.Family)) >= 12);
        Assert.True(taxa.Count(taxon => !Conifers.Contains(taxon.Family)) >= 35);
        Assert.True(taxa.SelectMany(taxon => taxon.Scores.Keys).Distinct().Count() >= 45);
        Assert.True(taxa.Select(taxon => taxon.Scores.Count).Order().ElementAt(taxa.Count / 2) >= 30);
    }

    [Fact]
    public void Every_taxon_has_seasons_a_provenance_and_a_place()
    {
        foreach (var taxon in ShippedFlora.Flora.Taxa)
        {
            Assert.True(taxon.Scores.GetValueOrDefault("flowering") is SeasonScore, $"{taxon.Name}: flowering");
            Assert.True(taxon.Scores.GetValueOrDefault("fruiting") is SeasonScore, $"{taxon.Name}: fruiting");
            Assert.False(string.IsNullOrWhiteSpace(taxon.Provenance), $"{taxon.Name}: provenance");
            Assert.True(taxon.Distribution.Native.Count + taxon.Distribution.Introduced.Count > 0, $"{taxon.Name}: range");
        }
    }

    [Fact]
    public void Every_double_is_a_taxon_of_the_flora()
    {
        foreach (var taxon in ShippedFlora.Flora.Taxa)
            foreach (var look in taxon.Doubles) Assert.True(ShippedFlora.Flora.FindTaxon(look.Name) is not null, $"{taxon.Name} is taken for {look.Name}, which is not here");
    }

    [Fact]
    public void Every_genus_and_family_has_a_plain_word()
    {
        foreach (var taxon in ShippedFlora.Flora.Taxa)
        {
            Assert.Contains(taxon.Name.Genus, ShippedFlora.Flora.About.GenusWords.Keys);
            Assert.Contains(taxon.Family, ShippedFlora.Flora.About.FamilyWords.Keys);
        }
    }

    [Fact]
    public void Every_score_is_written_so_that_it_reads_back_the_same()
    {
        foreach (var taxon in ShippedFlora.Flora.Taxa)
            foreach (var (id, score) in taxon.Scores)
            {
                var character = ShippedFlora.Flora.Character(id);
                var written = ScoreNotation.Format(score, character);
                Assert.True(ScoreNotation.TryParse(written, character, out var back, out var problem), problem);
                Assert.Equal(written, ScoreNotation.Format(back, character));
            }
    }

    // Common practice, no source: plants that burn or poison carry their caution in any flora a beginner may open.
    [Theory]
    [InlineData("Toxicodendron diversilobum", HazardKind.SkinIrritant)]
    [InlineData("Taxus brevifolia", HazardKind.Poisonous)]
    [InlineData("Prunus laurocerasus", HazardKind.Poisonous)]
    [InlineData("Crataegus monogyna", HazardKind.Thorns)]
    [InlineData("Robinia pseudoacacia", HazardKind.Thorns)]
    public void Hazards_are_named(string name, HazardKind kind) =>
        Assert.Contains(ShippedFlora.Flora.FindTaxon(name)!.Hazards, hazard => hazard.Kind == kind);
}
