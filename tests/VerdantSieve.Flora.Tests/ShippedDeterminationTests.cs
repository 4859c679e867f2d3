using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Tests;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;
using static VerdantSieve.Core.Tests.Sieving.Readings;

namespace VerdantSieve.Flora.Tests;

/// <summary>What is said of plants that only the whole flora can place.</summary>
public class ShippedDeterminationTests
{
    private static Sieve Sieve => ShippedFlora.Sieve;

    [Fact]
    public void A_variety_is_named_on_its_own_mark_only()
    {
        Reading[] common =
        [
            Is("foliage", "needle", Certainty.Sure),
            Is("needle-grouping", "bundles", Certainty.Sure),
            new Reading("needles-per-bundle", new Counted(2, 2), Certainty.Sure),
            Long("needle-length", 5),
            Is("cone-scales", "prickle", Certainty.Sure),
            Long("cone-length", 4),
            Is("needle-bands", "none", Certainty.Sure),
            Is("cone-shape", "egg", Certainty.Sure),
            Is("needle-section", "half-round", Certainty.Sure),
            Is("leaf-persistence", "evergreen", Certainty.Sure),
        ];
        var here = new Circumstances { Region = "BRC", Setting = Setting.Wild };
        var species = Sieve.Ask(here, common).Determination;
        Assert.True(species.Rank == TaxonRank.Species && species.Name == "Pinus contorta", species.Sentence.ToString());
        var variety = Sieve
            .Ask(
                here,
                [
                    .. common,
                    Is("bark-pattern", "scales", Certainty.Sure),
                    Is("habitat", "mountain", Certainty.Sure),
                    Is("leaf-colour", "yellow-green", Certainty.Sure),
                    Is("crown", "columnar", Certainty.Sure),
                    Is("branching", "ascending", Certainty.Sure),
                ]
            )
            .Determination;
        Assert.Equal((TaxonRank.Variety, "Pinus contorta var. latifolia"), (variety.Rank, variety.Name));
    }

    [Fact]
    public void Groups_of_a_large_genus_come_before_its_species()
    {
        var said = Sieve
            .Ask(
                Is("needle-grouping", "bundles", Certainty.Sure),
                Is("cone-scales", "prickle", Certainty.Sure),
                Is("needle-base", "sheath", Certainty.Sure),
                Is("needle-bands", "none")
            )
            .Determination;
        Assert.Equal((TaxonRank.Group, "hard pines"), (said.Rank, said.Name));
    }

    [Fact]
    public void What_can_hurt_is_named_however_unlikely_but_not_where_it_does_not_grow()
    {
        Reading[] readings = [Is("structure", "trifoliate"), Is("arrangement", "alternate")];
        bool Warned(string region, string name) =>
            Sieve.Ask(new Circumstances { Region = region }, readings).Hazards.Any(hazard => hazard.Taxon.Name.Text == name);
        Assert.True(Warned("ORE", "Toxicodendron diversilobum"));
        Assert.True(Warned("ONT", "Toxicodendron radicans"));
        Assert.False(Warned("GRB", "Toxicodendron diversilobum"));
    }

    [Fact]
    public void Notorious_doubles_are_found_by_likeness_too()
    {
        var likeness = new Likeness(ShippedFlora.Flora);
        string[] Nearest(string name) =>
            [.. likeness.Nearest(ShippedFlora.Flora.FindTaxon(name)!).Take(4).Select(pair => pair.Taxon.Name.Text)];
        Assert.Contains("Crataegus gaylussacia", Nearest("Crataegus douglasii"));
        Assert.Contains("Pinus contorta var. latifolia", Nearest("Pinus contorta var. contorta"));
        Assert.Contains("Acer palmatum", Nearest("Acer circinatum"));
    }
}
