using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Drawing.Plates;
using Xunit;

namespace VerdantSieve.Core.Tests.Drawing;

/// <summary>Plates of kinds.</summary>
public class PlateTests(PlateTests.Composed composed) : IClassFixture<PlateTests.Composed>
{
    public static TheoryData<string> Names => [.. SmallFlora.Flora.Taxa.Select(taxon => taxon.Name.Text)];

    [Theory]
    [MemberData(nameof(Names))]
    public void Everything_on_a_plate_is_on_the_sheet_and_drawn_the_same_each_time(string name)
    {
        var plate = Of(name);
        Assert.Contains(plate.Parts, part => part.Organ == PlateOrgan.Leaf);
        foreach (var part in plate.Parts)
        {
            var box = part.Drawing.Placed(part.At).Bounds();
            Assert.InRange(box.Low.X, -0.5, Plate.Width);
            Assert.InRange(box.High.X, 0, Plate.Width + 0.5);
            Assert.InRange(box.Low.Y, -0.5, Plate.Height);
            Assert.InRange(box.High.Y, 0, Plate.Height + 0.5);
        }
        Assert.All(plate.Marks, mark => Assert.InRange(mark.At.X, 0, Plate.Width));
        Assert.True(Points(plate).SequenceEqual(Points(Compose(name))));
    }

    [Fact]
    public void The_usual_leaf_is_as_long_as_the_scale_says()
    {
        foreach (var taxon in SmallFlora.Flora.Taxa.Where(taxon => Of(taxon.Name.Text).Scale is not null))
        {
            var form = SmallFlora.Drawn.FormOf(taxon);
            var plate = Of(taxon.Name.Text);
            // A blade is a unit of its drawing.
            var leaf = plate.Parts.First(part => part.Organ == PlateOrgan.Leaf);
            Assert.Equal(form.Number(CharacterIds.BladeLength, 0) * 10 * plate.Scale!.Times, leaf.At.Scale, 6);
            Assert.Equal(plate.Scale.BarCentimetres * 10 * plate.Scale.Times, plate.Scale.BarLength, 6);
        }
    }

    [Fact]
    public void What_is_not_known_is_left_out()
    {
        foreach (var taxon in SmallFlora.Flora.Taxa)
        {
            var plate = Of(taxon.Name.Text);
            Assert.Equal(SmallFlora.Drawn.FormOf(taxon).Has("bark-pattern"), plate.Parts.Any(part => part.Organ == PlateOrgan.Bark));
            Assert.Equal(SmallFlora.Drawn.FormOf(taxon).Has("habit"), plate.Parts.Any(part => part.Organ == PlateOrgan.Habit));
        }
    }

    private Plate Of(string name) => composed.Of(name);

    private static Plate Compose(string name) => PlateComposer.Of(SmallFlora.Flora.FindTaxon(name)!, SmallFlora.Drawn);

    /// <summary>What was composed before: composing a plate takes longer than what is asked of it.</summary>
    public sealed class Composed
    {
        private readonly Dictionary<string, Plate> plates = [];

        public Plate Of(string name) => plates.TryGetValue(name, out var plate) ? plate : plates[name] = Compose(name);
    }

    private static IEnumerable<Point> Points(Plate plate) =>
        plate.Parts.SelectMany(part => part.Drawing.Flat()).SelectMany(stroke => stroke.Points);
}
