using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using Xunit;

namespace VerdantSieve.Flora.Tests;

public class ShippedFloraTests
{
    private static readonly HashSet<string> Conifers = ["Pinaceae", "Cupressaceae", "Taxaceae"];

    [Fact]
    public void Has_no_fault() => Assert.True(ShippedFlora.Reading.Faults.Count == 0, string.Join("\n", ShippedFlora.Reading.Faults));

    [Fact]
    public void Is_broad_and_deep()
    {
        var taxa = ShippedFlora.Flora.Taxa;
        Assert.True(taxa.Count >= 350);
        Assert.True(Median(taxa.Where(taxon => !Conifers.Contains(taxon.Family!))) >= 45);
        Assert.True(Median(taxa.Where(taxon => Conifers.Contains(taxon.Family!))) >= 35);
        Assert.All(taxa, taxon => Assert.True(taxon.Scores.Count >= 25, $"{taxon.Name}: {taxon.Scores.Count}"));

        static int Median(IEnumerable<Taxon> some) =>
            some.Select(taxon => taxon.Scores.Count).Order().ToArray() is var counts ? counts[counts.Length / 2] : 0;
    }

    // What the flora is meant to hold: every genus of trees and tall shrubs that is met with in its regions.
    [Theory]
    [InlineData(
        30,
        "NCA",
        "Acer Quercus Ulmus Celtis Fraxinus Carya Juglans Betula Alnus Corylus Carpinus Ostrya Prunus Amelanchier Crataegus "
            + "Malus Sorbus Populus Salix Cornus Nyssa Viburnum Sambucus Robinia Gleditsia Cercis Cladrastis Magnolia Liriodendron "
            + "Asimina Sassafras Lindera Persea Catalpa Aesculus Morus Tilia Frangula Hamamelis Rhus Toxicodendron Ribes Rubus Vitis "
            + "Parthenocissus Celastrus Pinus Picea Abies Tsuga Juniperus Taxodium Chamaecyparis"
    )]
    [InlineData(
        30,
        "ONT",
        "Acer Quercus Ulmus Celtis Fraxinus Carya Juglans Betula Alnus Corylus Carpinus Ostrya Prunus Amelanchier Crataegus "
            + "Sorbus Populus Salix Cornus Viburnum Sambucus Gymnocladus Liriodendron Asimina Sassafras Morus Tilia Rhamnus Hamamelis "
            + "Rhus Toxicodendron Ptelea Ribes Rubus Vitis Celastrus Pinus Picea Abies Larix Tsuga Juniperus Taxus Thuja"
    )]
    [InlineData(
        30,
        "GRB",
        "Acer Quercus Ulmus Fraxinus Betula Alnus Corylus Carpinus Fagus Castanea Prunus Crataegus Malus Pyrus Sorbus Populus "
            + "Salix Cornus Viburnum Sambucus Ulex Cytisus Laburnum Tilia Rhamnus Frangula Ribes Rubus Rosa Hedera Clematis Lonicera "
            + "Ilex Euonymus Ligustrum Buxus Platanus Aesculus Juglans Pinus Picea Abies Larix Taxus Juniperus Cedrus Araucaria "
            + "Sequoiadendron Cupressus"
    )]
    [InlineData(8, "TEX", "Rhus Pistacia Cotinus Toxicodendron Ptelea Sapindus Quercus Juniperus")]
    [InlineData(6, "CAL", "Rhus Malosma Schinus Toxicodendron Quercus Pinus Aesculus Umbellularia Arbutus")]
    public void Holds_the_genera_of_its_regions(int least, string region, string genera)
    {
        var here = ShippedFlora.Flora.Taxa.Where(taxon => taxon.Distribution.Includes(region)).ToArray();
        Assert.Empty(genera.Split(' ').Except(here.Select(taxon => taxon.Name.Genus)));
        Assert.True(here.Length >= least);
    }

    [Fact]
    public void Every_taxon_says_what_its_name_means_and_how_to_remember_it_and_has_doubles_or_stands_alone()
    {
        Assert.All(ShippedFlora.Flora.Taxa, taxon => Assert.True(taxon.Meaning.Length >= 3 && taxon.Remember.Length > 10, taxon.Name.Text));
        Assert.True(ShippedFlora.Flora.Taxa.Count(taxon => taxon.Doubles.Count > 0) >= 0.95 * ShippedFlora.Flora.Taxa.Count);
        Assert.True(ShippedFlora.Flora.Taxa.Count(taxon => taxon.Distribution.Local.Count > 0) > 150);
        Assert.True(ShippedFlora.Flora.Taxa.Count(taxon => taxon.HybridOf.Count == 2) >= 12);
        Assert.True(
            ShippedFlora.Flora.About.Aggregates.Keys.All(name => ShippedFlora.Flora.Taxa.Count(taxon => taxon.Aggregate == name) >= 2)
        );
    }

    [Fact]
    public void Every_taxon_has_seasons_a_provenance_and_a_place()
    {
        foreach (var taxon in ShippedFlora.Flora.Taxa)
        {
            Assert.True(taxon.Scores.GetValueOrDefault("flowering") is SeasonScore, $"{taxon.Name}: flowering");
            Assert.True(taxon.Scores.GetValueOrDefault("fruiting") is SeasonScore, $"{taxon.Name}: fruiting");
            Assert.False(string.IsNullOrWhiteSpace(taxon.Provenance), $"{taxon.Name}: provenance");
            Assert.True(taxon.Distribution.Countries.Any(), $"{taxon.Name}: range");
        }
    }

    [Fact]
    public void Every_double_is_a_taxon_of_the_flora()
    {
        foreach (var taxon in ShippedFlora.Flora.Taxa)
            foreach (var look in taxon.Doubles)
                Assert.True(ShippedFlora.Flora.FindTaxon(look.Name) is not null, $"{taxon.Name}: {look.Name} is not here");
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
            foreach (var (id, score) in taxon.EnteredScores)
            {
                var character = ShippedFlora.Flora.Character(id);
                Assert.Equal(score, ScoreNotation.Parse(ScoreNotation.Format(taxon, character), character).Value);
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

    // Common practice, no source: what pricks is named before anybody is told to feel it.
    [Fact]
    public void Whatever_is_usually_armed_is_named_as_thorny() =>
        Assert.Equal(
            [],
            ShippedFlora
                .Flora.Taxa.Where(taxon =>
                    taxon.Score("armature") is StateScore armature
                    && armature.States.Any(state => state.Frequency == Frequency.Usual && state.State is not ("none" or "bristles"))
                    && taxon.Hazards.All(hazard => hazard.Kind is not (HazardKind.Thorns or HazardKind.Hairs))
                )
                .Select(taxon => taxon.Name.Text)
        );

    // Betula × utahensis was described from Utah, where paper birch is not known today.
    [Fact]
    public void Hybrids_grow_wild_where_both_parents_are_known() =>
        Assert.Equal(
            ["Betula × utahensis without Betula papyrifera in UTA"],
            from hybrid in ShippedFlora.Flora.Taxa
            from parent in hybrid.HybridOf
            from code in hybrid.Distribution.Native
            where !ShippedFlora.Flora.FindTaxon(parent)!.Distribution.Includes(code)
            select $"{hybrid.Name} without {parent} in {code}"
        );

    // Whatever is said of a plant is for telling it apart; nothing is said of its use.
    [Fact]
    public void Nothing_is_said_of_taste_or_use()
    {
        string[] words =
        [
            "sour",
            "bitter",
            "taste",
            "tasty",
            "edible",
            "eaten",
            "delicious",
            "juicy",
            "medicine",
            "medicinal",
            "remedy",
            "tea",
            "jam",
        ];
        Assert.Equal(
            [],
            ShippedFlora
                .Flora.Taxa.SelectMany(taxon =>
                    taxon
                        .Doubles.Select(look => look.Mark)
                        .Append(taxon.Remember)
                        .Concat(taxon.Hazards.Select(hazard => hazard.Caution))
                        .Select(text => (taxon.Name, text))
                )
                .Where(said =>
                    said.text.Split([' ', ',', '.', ';', '-', ':'], StringSplitOptions.RemoveEmptyEntries)
                        .Intersect(words, StringComparer.OrdinalIgnoreCase)
                        .Any()
                )
                .Select(said => $"{said.Name}: {said.text}")
        );
    }
}
