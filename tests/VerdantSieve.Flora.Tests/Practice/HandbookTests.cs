using VerdantSieve.Core.Botany;
using Xunit;

namespace VerdantSieve.Flora.Tests;

/// <summary>Leaf sizes and states as C. L. Hitchcock and A. Cronquist, Flora of the Pacific Northwest, gives them. The figures here
/// are recalled from memory, not copied from the book, so the check asks for overlap and not for equal ends.</summary>
public class HandbookTests
{
    [Theory]
    [InlineData("Acer macrophyllum", "blade-width", 15, 30)]
    [InlineData("Acer circinatum", "blade-width", 4, 12)]
    [InlineData("Alnus rubra", "blade-length", 5, 15)]
    [InlineData("Cornus nuttallii", "blade-length", 4, 10)]
    [InlineData("Fraxinus latifolia", "blade-length", 5, 15)]
    [InlineData("Quercus garryana", "blade-length", 8, 15)]
    [InlineData("Arbutus menziesii", "blade-length", 7, 12)]
    [InlineData("Populus tremuloides", "blade-length", 2, 7)]
    [InlineData("Prunus emarginata", "blade-length", 2, 8)]
    [InlineData("Amelanchier alnifolia", "blade-length", 2, 4)]
    [InlineData("Frangula purshiana", "blade-length", 6, 12)]
    [InlineData("Salix scouleriana", "blade-length", 3, 9)]
    [InlineData("Pinus ponderosa", "needle-length", 10, 25)]
    [InlineData("Abies grandis", "needle-length", 2, 4)]
    [InlineData("Pseudotsuga menziesii", "cone-length", 5, 10)]
    [InlineData("Tsuga heterophylla", "cone-length", 1.5, 2.5)]
    [InlineData("Physocarpus capitatus", "blade-length", 3, 10)]
    [InlineData("Rubus parviflorus", "blade-width", 6, 25)]
    [InlineData("Ribes sanguineum", "blade-width", 2.5, 6)]
    [InlineData("Philadelphus lewisii", "blade-length", 2.5, 7)]
    [InlineData("Symphoricarpos albus", "blade-length", 1.5, 4)]
    [InlineData("Viburnum ellipticum", "blade-length", 2.5, 7)]
    [InlineData("Abies lasiocarpa", "cone-length", 6, 10)]
    [InlineData("Pinus lambertiana", "cone-length", 25, 50)]
    public void Sizes_overlap_with_the_handbook(string name, string character, double low, double high)
    {
        var score = Assert.IsType<RangeScore>(ShippedFlora.Flora.FindTaxon(name)!.Scores[character]);
        var shared = Math.Min(score.High, high) - Math.Max(score.Low, low);
        Assert.True(shared >= 0.5 * Math.Min(score.High - score.Low, high - low), $"{name}: {score.Low}–{score.High} against {low}–{high}");
        Assert.True(
            score.Minimum <= low * 1.35 && score.Maximum >= high * 0.75,
            $"{name}: extremes {score.Minimum} and {score.Maximum} against {low}–{high}"
        );
    }

    [Theory]
    [InlineData("Acer circinatum", "arrangement", "opposite")]
    [InlineData("Fraxinus latifolia", "structure", "odd-pinnate")]
    [InlineData("Toxicodendron diversilobum", "structure", "trifoliate")]
    [InlineData("Alnus rubra", "blade-fold", "rolled-edges")]
    [InlineData("Frangula purshiana", "bud-scales", "none")]
    [InlineData("Salix lasiandra", "bud-scales", "one")]
    [InlineData("Pinus monticola", "needle-grouping", "bundles")]
    [InlineData("Larix occidentalis", "leaf-persistence", "deciduous")]
    [InlineData("Arbutus menziesii", "leaf-persistence", "evergreen")]
    [InlineData("Quercus kelloggii", "lobe-tip", "bristle")]
    [InlineData("Picea sitchensis", "needle-base", "peg")]
    [InlineData("Juniperus scopulorum", "fruit-type", "berry-cone")]
    [InlineData("Physocarpus capitatus", "hair-type", "star-shaped")]
    [InlineData("Rubus parviflorus", "armature", "none")]
    [InlineData("Ribes sanguineum", "arrangement", "alternate")]
    [InlineData("Philadelphus lewisii", "venation", "three-from-base")]
    [InlineData("Symphoricarpos albus", "pith", "hollow")]
    [InlineData("Abies lasiocarpa", "needle-bands", "all-sides")]
    [InlineData("Pinus lambertiana", "needle-grouping", "bundles")]
    public void States_are_the_handbooks(string name, string character, string state)
    {
        var score = Assert.IsType<StateScore>(ShippedFlora.Flora.FindTaxon(name)!.Scores[character]);
        Assert.Contains(score.States, s => s.State == state && s.Frequency == Frequency.Usual);
    }

    /// <summary>Facts of planted kinds: common practice, no source.</summary>
    [Theory]
    [InlineData("Acer pseudoplatanus", "sap", "clear", "milky")]
    [InlineData("Acer platanoides", "sap", "milky", "clear")]
    [InlineData("Acer palmatum", "lobe-depth", "deep", "shallow")]
    [InlineData("Ulmus americana", "margin", "doubly-serrate", "entire")]
    [InlineData("Tilia cordata", "fruit-stalk", "winged", "plain")]
    [InlineData("Fagus sylvatica", "bud-form", "long-pointed", "rounded")]
    [InlineData("Gleditsia triacanthos", "terminal-leaflet", "absent", "long-stalked")]
    [InlineData("Populus alba", "underside-colour", "white", "green")]
    [InlineData("Morus alba", "sap", "milky", "clear")]
    [InlineData("Rubus armeniacus", "underside-colour", "white", "green")]
    public void Planted_kinds_show_one_state_and_not_the_other(string name, string character, string shown, string never)
    {
        var score = Assert.IsType<StateScore>(ShippedFlora.Flora.FindTaxon(name)!.Scores[character]);
        Assert.True(score.Allows(shown));
        Assert.False(score.Allows(never));
    }
}
