using VerdantSieve.Core.Botany;
using Xunit;

namespace VerdantSieve.Flora.Tests.Practice;

/// <summary>The forty commonest woody plants of eight countries, written down from memory without the flora in sight: wild (native or run
/// wild) before the bar, no more than planted after it.</summary>
public class CommonestPlants
{
    [Theory]
    [InlineData(
        "OHI",
        "Acer saccharum, Acer rubrum, Acer saccharinum, Acer negundo, Quercus rubra, Quercus alba, Quercus palustris, Quercus velutina, "
            + "Quercus macrocarpa, Fagus grandifolia, Carya ovata, Carya cordiformis, Juglans nigra, Fraxinus americana, "
            + "Fraxinus pennsylvanica, Ulmus americana, Ulmus rubra, Celtis occidentalis, Platanus occidentalis, Liriodendron tulipifera, "
            + "Prunus serotina, Cercis canadensis, Cornus florida, Sassafras albidum, Gleditsia triacanthos, Robinia pseudoacacia, "
            + "Populus deltoides, Tilia americana, Ailanthus altissima, Lonicera maackii, Rosa multiflora, Toxicodendron radicans, "
            + "Parthenocissus quinquefolia, Lindera benzoin, Asimina triloba, Rhus typhina, Pyrus calleryana",
        "Picea pungens, Ginkgo biloba, Forsythia × intermedia"
    )]
    [InlineData(
        "VER",
        "Acer saccharum, Acer rubrum, Acer pensylvanicum, Acer spicatum, Acer saccharinum, Betula alleghaniensis, Betula papyrifera, "
            + "Betula populifolia, Betula lenta, Fagus grandifolia, Fraxinus americana, Fraxinus nigra, Populus tremuloides, "
            + "Populus grandidentata, Quercus rubra, Prunus serotina, Prunus pensylvanica, Prunus virginiana, Ulmus americana, "
            + "Tilia americana, Ostrya virginiana, Tsuga canadensis, Pinus strobus, Picea rubens, Abies balsamea, Thuja occidentalis, "
            + "Larix laricina, Pinus resinosa, Cornus sericea, Viburnum lantanoides, Alnus incana, Rubus idaeus, Rubus allegheniensis, "
            + "Sambucus canadensis, Rhus typhina, Hamamelis virginiana, Robinia pseudoacacia, Acer platanoides",
        "Gleditsia triacanthos, Picea pungens"
    )]
    [InlineData(
        "ONT",
        "Acer saccharum, Acer rubrum, Acer negundo, Acer platanoides, Betula papyrifera, Betula alleghaniensis, Fagus grandifolia, "
            + "Fraxinus pennsylvanica, Fraxinus americana, Quercus rubra, Quercus macrocarpa, Quercus alba, Populus tremuloides, "
            + "Populus balsamifera, Populus deltoides, Populus grandidentata, Tilia americana, Ulmus americana, "
            + "Ulmus pumila, Prunus serotina, "
            + "Prunus virginiana, Juglans nigra, Tsuga canadensis, Pinus strobus, Pinus resinosa, Pinus banksiana, Pinus sylvestris, "
            + "Picea glauca, Picea mariana, Abies balsamea, Thuja occidentalis, Larix laricina, Rhamnus cathartica, Cornus sericea, "
            + "Rhus typhina, Salix nigra, Corylus cornuta",
        "Ginkgo biloba, Picea pungens, Syringa reticulata"
    )]
    [InlineData(
        "GEO",
        "Pinus taeda, Pinus echinata, Pinus palustris, Pinus elliottii, Liquidambar styraciflua, Liriodendron tulipifera, Acer rubrum, "
            + "Acer floridanum, Quercus nigra, Quercus alba, Quercus falcata, Quercus phellos, Quercus stellata, Quercus marilandica, "
            + "Quercus rubra, Quercus virginiana, Carya tomentosa, Carya glabra, Fagus grandifolia, Nyssa sylvatica, Cornus florida, "
            + "Oxydendrum arboreum, Cercis canadensis, Magnolia grandiflora, Magnolia virginiana, Prunus serotina, Juniperus virginiana, "
            + "Ilex opaca, Ilex vomitoria, Morella cerifera, Ligustrum sinense, Lonicera japonica, Pyrus calleryana, Melia azedarach, "
            + "Callicarpa americana, Taxodium distichum, Betula nigra",
        "Photinia × fraseri, Camellia japonica, Cupressus × leylandii"
    )]
    [InlineData(
        "TEX",
        "Quercus stellata, Quercus fusiformis, Quercus virginiana, Quercus marilandica, Quercus nigra, Quercus phellos, Quercus falcata, "
            + "Quercus shumardii, Quercus muehlenbergii, Quercus macrocarpa, Prosopis glandulosa, Juniperus ashei, Juniperus virginiana, "
            + "Ulmus crassifolia, Ulmus americana, Celtis laevigata, Carya illinoinensis, Diospyros texana, Diospyros virginiana, "
            + "Sapindus drummondii, Maclura pomifera, Ilex vomitoria, Ilex decidua, Rhus lanceolata, Rhus copallinum, Rhus virens, "
            + "Berberis trifoliolata, Dermatophyllum secundiflorum, Pinus taeda, Pinus echinata, "
            + "Liquidambar styraciflua, Taxodium distichum, "
            + "Platanus occidentalis, Salix nigra, Toxicodendron radicans, Cercis canadensis, Melia azedarach, Ligustrum lucidum",
        "Lagerstroemia indica, Photinia × fraseri"
    )]
    [InlineData(
        "ORE",
        "Pseudotsuga menziesii, Tsuga heterophylla, Thuja plicata, Picea sitchensis, Abies grandis, "
            + "Pinus ponderosa, Pinus contorta var. contorta, "
            + "Taxus brevifolia, Calocedrus decurrens, Juniperus occidentalis, Acer macrophyllum, Acer circinatum, Alnus rubra, "
            + "Populus trichocarpa, Fraxinus latifolia, Quercus garryana, Arbutus menziesii, Cornus nuttallii, Cornus sericea, "
            + "Corylus cornuta, Crataegus monogyna, Crataegus gaylussacia, Frangula purshiana, Oemleria cerasiformis, Prunus emarginata, "
            + "Prunus avium, Malus pumila, Rubus armeniacus, Rubus spectabilis, Rubus parviflorus, Rosa nutkana, Gaultheria shallon, "
            + "Symphoricarpos albus, Holodiscus discolor, Sambucus racemosa, Hedera helix, Ilex aquifolium",
        "Acer palmatum, Liquidambar styraciflua, Photinia × fraseri"
    )]
    [InlineData(
        "GRB",
        "Crataegus monogyna, Fraxinus excelsior, Quercus robur, Quercus petraea, Acer pseudoplatanus, Acer campestre, Acer platanoides, "
            + "Betula pendula, Betula pubescens, Fagus sylvatica, Carpinus betulus, Corylus avellana, Alnus glutinosa, Salix caprea, "
            + "Salix cinerea, Salix fragilis, Prunus spinosa, Prunus avium, Sambucus nigra, Ilex aquifolium, "
            + "Hedera helix, Sorbus aucuparia, "
            + "Rosa canina, Rubus fruticosus agg., Lonicera periclymenum, Ligustrum vulgare, Cornus sanguinea, "
            + "Ulmus glabra, Taxus baccata, "
            + "Pinus sylvestris, Picea sitchensis, Larix decidua, Aesculus hippocastanum, Tilia × europaea, Buddleja davidii, "
            + "Ulex europaeus, Platanus × hispanica, Prunus laurocerasus",
        "Magnolia × soulangeana, Photinia × fraseri"
    )]
    [InlineData(
        "GER",
        "Fagus sylvatica, Picea abies, Pinus sylvestris, Quercus robur, Quercus petraea, Quercus rubra, Acer pseudoplatanus, "
            + "Acer platanoides, Acer campestre, Fraxinus excelsior, Carpinus betulus, Betula pendula, Alnus glutinosa, Tilia cordata, "
            + "Tilia platyphyllos, Larix decidua, Abies alba, Pseudotsuga menziesii, Populus tremula, Populus × canadensis, Salix caprea, "
            + "Salix alba, Sorbus aucuparia, Prunus avium, Prunus padus, Prunus serotina, Prunus spinosa, Crataegus monogyna, "
            + "Crataegus laevigata, Corylus avellana, Sambucus nigra, Sambucus racemosa, Euonymus europaeus, Cornus sanguinea, "
            + "Robinia pseudoacacia, Rosa canina, Aesculus hippocastanum, Viburnum opulus",
        "Ginkgo biloba, Forsythia × intermedia"
    )]
    public void Are_there_as_they_are(string country, string wild, string planted)
    {
        var flora = ShippedFlora.Flora;
        string[] wrong =
        [
            .. Names(wild).Where(name => Standing(name) is not (Occurrence.Native or Occurrence.RunWild)),
            .. Names(planted).Where(name => Standing(name) != Occurrence.Planted),
        ];
        Assert.Equal([], wrong);
        Assert.Equal(40, Names(wild).Length + Names(planted).Length);

        Occurrence? Standing(string name) => flora.FindTaxon(name) is { } taxon ? flora.OccurrenceOf(taxon, country) : null;

        static string[] Names(string list) => list.Split(", ");
    }

    // Their commonness is that of common plants there: what everybody meets is not scarce.
    [Theory]
    [InlineData("OHI", "Quercus rubra, Acer saccharum, Acer saccharinum, Gleditsia triacanthos, Fraxinus pennsylvanica, Fagus grandifolia")]
    [InlineData("GRB", "Quercus robur, Fagus sylvatica, Crataegus monogyna, Fraxinus excelsior, Acer pseudoplatanus, Betula pendula")]
    [InlineData("VER", "Acer rubrum, Acer saccharum, Betula papyrifera, Fagus grandifolia")]
    [InlineData("GEO", "Liquidambar styraciflua, Pinus taeda, Acer rubrum, Quercus nigra")]
    public void And_are_said_to_be_common(string country, string names) =>
        Assert.All(
            names.Split(", "),
            name => Assert.True(ShippedFlora.Flora.FindTaxon(name)!.AbundanceIn(country) <= Abundance.Frequent, name)
        );

    [Fact]
    public void No_keyed_country_is_left_unlooked() =>
        Assert.Equal(
            [],
            from taxon in ShippedFlora.Flora.Taxa
            from code in ShippedFlora.Flora.About.Keyed
            where ShippedFlora.Flora.OccurrenceOf(taxon, code) == Occurrence.NotLooked
            select $"{taxon.Name} {code}"
        );
}
