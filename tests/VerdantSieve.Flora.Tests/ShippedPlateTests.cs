using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Drawing.Plates;
using Xunit;

namespace VerdantSieve.Flora.Tests;

/// <summary>The plates of the shipped flora.</summary>
public class ShippedPlateTests
{
    [Fact]
    public void Every_state_that_can_be_drawn_is_drawn()
    {
        // Smells and places of growth are told in words.
        string[] unseen = ["smell", "twig-smell", "habitat"];
        var missing =
            from character in ShippedFlora.Flora.Characters.OfType<Core.Botany.StateCharacter>()
            where !unseen.Contains(character.Id)
            from state in character.States
            where StateDrawings.Of(character.Id, state.Id) is null
            select $"{character.Id}={state.Id}";
        Assert.Empty(missing);
    }

    [Fact]
    [Trait("Kind", "sweep")]
    public void Kinds_of_one_genus_are_told_apart_by_their_plates()
    {
        foreach (var genus in ShippedFlora.Flora.Taxa.GroupBy(taxon => taxon.Name.Genus))
        {
            var drawn = genus.Select(taxon =>
                string.Join(
                    ' ',
                    PlateComposer
                        .Of(taxon, ShippedFlora.Drawn)
                        .Parts.SelectMany(part => part.Drawing.Flat())
                        .SelectMany(stroke => stroke.Points)
                )
            );
            Assert.Equal(genus.Count(), drawn.Distinct().Count());
        }
    }

    [Theory]
    [InlineData("Carpinus betulus", true)]
    [InlineData("Ostrya virginiana", true)]
    [InlineData("Corylus cornuta", false)]
    [InlineData("Quercus alba", false)]
    public void Nuts_on_bracts_and_in_bags_hang_together_and_of_a_hazel_or_an_oak_one_is_drawn(string name, bool together)
    {
        var fruit = Plate(name).Parts.Single(part => part.Organ == PlateOrgan.Fruit).Drawing;
        Assert.Equal(together, fruit.Parts.Count > 5);
    }

    [Fact]
    public void Hornbeam_hop_hornbeam_and_hazels_are_told_apart_by_their_fruit()
    {
        string[] names = ["Carpinus betulus", "Ostrya virginiana", "Corylus avellana", "Corylus cornuta", "Corylus colurna"];
        var drawn = names.Select(name =>
            string.Join(' ', Plate(name).Parts.Single(part => part.Organ == PlateOrgan.Fruit).Drawing.Flat().SelectMany(s => s.Points))
        );
        Assert.Equal(names.Length, drawn.Distinct().Count());
    }

    private static Plate Plate(string name) => PlateComposer.Of(ShippedFlora.Flora.FindTaxon(name)!, ShippedFlora.Drawn);

    [Fact]
    public void Marks_against_doubles_are_numbered_and_say_against_which()
    {
        var marked = ShippedFlora
            .Flora.Taxa.Select(taxon => (Taxon: taxon, Plate: PlateComposer.Of(taxon, ShippedFlora.Drawn)))
            .Where(pair => pair.Plate.Marks.Count > 0)
            .ToArray();
        Assert.True(marked.Length > 400);
        foreach (var (taxon, plate) in marked)
        {
            Assert.Equal(Enumerable.Range(1, plate.Marks.Count), plate.Marks.Select(mark => mark.Number));
            Assert.All(
                plate.Marks,
                mark => Assert.Contains(taxon.Doubles, other => other.Mark == mark.Text && mark.Doubles.Contains(other.Name))
            );
            // Numbers do not stand on each other.
            foreach (var one in plate.Marks)
                Assert.All(plate.Marks.Where(other => other != one), other => Assert.True(one.Label.To(other.Label) > 4));
        }
    }
}
