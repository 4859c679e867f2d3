using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Observing;
using Xunit;

namespace VerdantSieve.Core.Tests.Drawing;

/// <summary>Drawn outlines against the definitions of B. Ellis et al. 2009, Manual of Leaf Architecture (recalled from memory):
/// elliptic widest in the middle fifth, ovate in the lower two fifths, obovate in the upper two fifths, oblong with parallel
/// sides over the middle third, linear ten times as long as wide or more.</summary>
public class DrawnShapeTests
{
    [Fact]
    public void A_plant_of_several_shapes_is_drawn_with_all_of_them()
    {
        var one = LeafForm.AllOf([Seen("lobing", StateMode.Is, "palmate")]);
        var three = LeafForm.AllOf([Seen("lobing", StateMode.AllSeen, "unlobed", "palmate", "one-sided")]);
        Assert.Single(one);
        Assert.Equal(["unlobed", "palmate", "one-sided"], three.Select(form => form.State("lobing", "")));
        Assert.Single(LeafForm.AllOf([Seen("lobing", StateMode.Either, "unlobed", "palmate")]));
        Assert.NotEqual(Points(ShootDrawing.Of(one)), Points(ShootDrawing.Of(three)));
    }

    [Fact]
    public void What_was_read_only_broadly_is_dotted()
    {
        Assert.True(IsDotted(Seen("structure", StateMode.Is, "compound")));
        Assert.False(IsDotted(Seen("structure", StateMode.Is, "pinnate")));
        Assert.False(IsDotted(Seen("margin", StateMode.Is, "toothed")));
    }

    private static bool IsDotted(params Reading[] readings) =>
        ShootDrawing.Likeness(LeafForm.Of(readings)).Flat().All(stroke => stroke.Kind == StrokeKind.Unknown);

    [Fact]
    public void Lobed_leaflets_are_drawn_lobed()
    {
        Reading[] leaf = [Seen("structure", StateMode.Is, "odd-pinnate")];
        var lobed = LeafForm.Of([.. leaf, Seen("lobing", StateMode.Is, "pinnate")]);
        var unlobed = LeafForm.Of([.. leaf, Seen("lobing", StateMode.Is, "unlobed")]);
        Assert.NotEqual(Points(ShootDrawing.Likeness(lobed)), Points(ShootDrawing.Likeness(unlobed)));
        Assert.Equal(Points(ShootDrawing.Likeness(LeafForm.Of(leaf))), Points(ShootDrawing.Likeness(unlobed)));
    }

    [Fact]
    public void What_was_read_of_lobes_makes_no_plain_leaf()
    {
        static string Lobing(params Reading[] readings) => Assert.Single(LeafForm.AllOf(readings)).State("lobing", "unlobed");
        static Reading Lobes(int count) => new("lobe-count", new Counted(count, count), Certainty.Fair);

        Assert.Equal("palmate", Lobing(Lobes(3)));
        Assert.Equal("pinnate", Lobing(Lobes(7)));
        Assert.Equal("palmate", Lobing(Seen("lobe-depth", StateMode.Is, "deep")));
        Assert.Equal("pinnate", Lobing(Lobes(3), Seen("lobing", StateMode.Is, "pinnate")));
        Assert.Equal("unlobed", Lobing(Lobes(1)));
        Assert.True(IsDotted(Lobes(3)));
        Assert.False(IsDotted(Lobes(3), Seen("lobing", StateMode.Is, "palmate")));
    }

    [Fact]
    public void What_was_read_of_leaflets_makes_no_simple_leaf()
    {
        static LeafForm Form(params Reading[] readings) => Assert.Single(LeafForm.AllOf(readings));
        static Reading Leaflets(int count) => new("leaflet-count", new Counted(count, count), Certainty.Fair);
        var alike = Seen("leaflet-likeness", StateMode.Is, "uniform");

        Assert.Equal("trifoliate", Form(Leaflets(3), alike).State("structure", "simple"));
        Assert.Equal("odd-pinnate", Form(Leaflets(7)).State("structure", "simple"));
        Assert.True(Form(alike).Has("structure"));
        Assert.False(Form(Leaflets(1)).Has("structure"));
        // What was read of the leaf itself stands.
        Assert.Equal("palmate", Form(Seen("structure", StateMode.Is, "palmate"), Leaflets(3)).State("structure", ""));
    }

    private static Reading Seen(string character, StateMode mode, params string[] states) =>
        new(character, new StatesSeen(states, mode), Certainty.Fair);

    private static int Points(Core.Drawing.Drawing drawing) => drawing.Flat().Sum(stroke => stroke.Points.Count);

    [Theory]
    [InlineData("elliptic", BladeShape.Elliptic)]
    [InlineData("round", BladeShape.Elliptic)]
    [InlineData("ovate", BladeShape.Ovate)]
    [InlineData("lanceolate", BladeShape.Ovate)]
    [InlineData("heart", BladeShape.Ovate)]
    [InlineData("triangular", BladeShape.Ovate)]
    [InlineData("obovate", BladeShape.Obovate)]
    [InlineData("oblanceolate", BladeShape.Obovate)]
    [InlineData("spatulate", BladeShape.Obovate)]
    [InlineData("oblong", BladeShape.Oblong)]
    [InlineData("linear", BladeShape.Linear)]
    public void A_drawn_shape_is_of_its_class(string shape, BladeShape expected) =>
        Assert.Equal(expected, BladeShapes.Classify(BladeOutline.RightHalf(LeafForm.With(("shape", shape)))));

    [Theory]
    [InlineData("acute")]
    [InlineData("acuminate")]
    [InlineData("rounded")]
    public void The_tip_does_not_change_the_class(string apex) =>
        Assert.Equal(BladeShape.Ovate, BladeShapes.Classify(BladeOutline.RightHalf(LeafForm.With(("shape", "ovate"), ("apex", apex)))));

    // The same manual: a cordate base has its lobes below the point where the stalk joins; an acuminate tip narrows concavely.
    [Fact]
    public void A_heart_shaped_base_hangs_below_the_stalk()
    {
        Assert.True(BladeOutline.RightHalf(LeafForm.With(("shape", "ovate"), ("base", "heart"))).Min(p => p.Y) < -0.03);
        Assert.True(BladeOutline.RightHalf(LeafForm.With(("shape", "ovate"), ("base", "rounded"))).Min(p => p.Y) >= -1e-9);
    }

    [Fact]
    public void A_drawn_out_tip_is_narrower_than_a_pointed_one()
    {
        Assert.True(WidthAt(0.92, "acuminate") < 0.7 * WidthAt(0.92, "acute"));
        Assert.True(WidthAt(0.92, "acute") < WidthAt(0.92, "rounded"));

        static double WidthAt(double y, string apex) =>
            BladeOutline.RightHalf(LeafForm.With(("shape", "elliptic"), ("apex", apex))).MinBy(p => Math.Abs(p.Y - y)).X;
    }

    [Theory]
    [InlineData("serrate", "fine", "coarse")]
    [InlineData("crenate", "fine", "coarse")]
    [InlineData("dentate", "fine", "coarse")]
    public void Finer_teeth_are_more_teeth(string margin, string finer, string coarser) =>
        Assert.True(Turns(margin, finer) > 1.5 * Turns(margin, coarser));

    [Fact]
    public void An_entire_margin_has_no_teeth() => Assert.True(Turns("entire", "medium") < 4);

    [Theory]
    [InlineData(3)]
    [InlineData(5)]
    [InlineData(7)]
    [InlineData(9)]
    public void A_palmate_leaf_has_as_many_points_as_lobes(int lobes)
    {
        var readings = new[]
        {
            new Core.Observing.Reading("lobe-count", new Core.Observing.Counted(lobes, lobes), Core.Observing.Certainty.Sure),
            new Core.Observing.Reading(
                "lobing",
                new Core.Observing.StatesSeen(["palmate"], Core.Observing.StateMode.Is),
                Core.Observing.Certainty.Sure
            ),
        };
        var half = BladeOutline.RightHalf(LeafForm.Of(readings));
        var far = half.Select(p => Math.Sqrt(p.X * p.X + (p.Y - 0.1) * (p.Y - 0.1))).ToArray();
        var tips = Enumerable.Range(1, far.Length - 2).Count(i => far[i] > far[i - 1] && far[i] > far[i + 1]) + 1;
        Assert.Equal((lobes + 1) / 2, tips);
    }

    [Fact]
    public void Every_state_said_to_be_drawn_is_drawn_with_finite_points()
    {
        var drawn = 0;
        foreach (var (character, state) in StateDrawings.All)
        {
            var points = StateDrawings.Of(character, state)!.Flat().SelectMany(stroke => stroke.Points).ToArray();
            Assert.NotEmpty(points);
            Assert.All(points, p => Assert.True(double.IsFinite(p.X) && double.IsFinite(p.Y), $"{character}={state}"));
            drawn++;
        }
        Assert.True(drawn >= 60);
    }

    [Fact]
    public void Every_taxon_has_a_likeness_and_no_two_neighbouring_oaks_share_one()
    {
        foreach (var taxon in SmallFlora.Flora.Taxa)
            Assert.All(
                ShootDrawing.Likeness(SmallFlora.Drawn.FormOf(taxon)).Flat().SelectMany(s => s.Points),
                p => Assert.True(double.IsFinite(p.X + p.Y), taxon.Name.Text)
            );
        Assert.NotEqual(Outline("Quercus garryana"), Outline("Quercus kelloggii"));

        static string Outline(string name) =>
            string.Join(' ', LeafDrawing.Of(SmallFlora.Drawn.FormOf(SmallFlora.Flora.FindTaxon(name)!)).Flat().First(s => s.Closed).Points);
    }

    [Fact]
    public void A_shoot_of_which_nothing_is_known_is_dotted() =>
        Assert.All(ShootDrawing.Of(LeafForm.Unknown).Flat(), stroke => Assert.Equal(StrokeKind.Unknown, stroke.Kind));

    [Fact]
    public void A_tulip_trees_leaf_has_two_lobes_a_side_and_a_waist_between()
    {
        var half = BladeOutline.RightHalf(LeafForm.With(("shape", "saddle")));
        var (low, waist, high) = (WidthAt(0.27), WidthAt(0.6), WidthAt(0.95));
        Assert.True(waist < 0.8 * low && waist < high, $"{low} {waist} {high}");

        double WidthAt(double part) =>
            half.Where(p => Math.Abs(p.Y - part * half.Max(q => q.Y)) < 0.05).Select(p => p.X).DefaultIfEmpty(0).Max();
    }

    [Fact]
    public void An_awl_is_broadest_at_its_foot_and_a_needle_is_not()
    {
        var spiral = LeafForm.With(("needle-grouping", "single-spiral")).But("needle-length", 0.7);
        Assert.True(FootOverMiddle(spiral.But("foliage", "awl")) > 1.2);
        Assert.True(FootOverMiddle(spiral.But("foliage", "needle")) <= 1);

        // Of the first needle, along its own axis.
        static double FootOverMiddle(LeafForm form)
        {
            var needle = ShootDrawing.Likeness(form).Flat().First(stroke => stroke.Kind == StrokeKind.Mark).Points;
            var foot = needle[0].To(needle[^1]);
            var middle = needle[1].To(needle[^2]);
            return foot / middle;
        }
    }

    [Fact]
    public void Glands_are_as_small_as_they_are_on_a_leaf_that_has_its_size_and_large_where_they_are_asked_about()
    {
        var asked = LeafForm.With(("leaf-glands", "on-petiole"));
        Assert.True(Gland(asked.But("blade-length", 9)) < 0.7 * Gland(asked));

        static double Gland(LeafForm form)
        {
            var dot = LeafDrawing.Of(form).Flat().First(stroke => stroke.Kind == StrokeKind.Mark).Points;
            return dot.Max(p => p.X) - dot.Min(p => p.X);
        }
    }

    // How often an outline turns from outward to inward.
    private static int Turns(string margin, string size)
    {
        var form = LeafForm.With(("shape", "elliptic"), ("margin", margin), ("tooth-size", size));
        var smooth = Curves(BladeOutline.RightHalf(form), 400);
        var cut = MarginTeeth.Cut(BladeOutline.RightHalf(form), form);
        var off = cut.Select(p => smooth.Min(q => p.To(q))).ToArray();
        return Enumerable.Range(1, off.Length - 2).Count(i => off[i] > 0.004 && off[i] >= off[i - 1] && off[i] > off[i + 1]);
    }

    private static Point[] Curves(IReadOnlyList<Point> line, int per) =>
        [
            .. line.Zip(line.Skip(1))
                .SelectMany(pair => Enumerable.Range(0, per / 10).Select(i => pair.First.Toward(pair.Second, i * 10.0 / per))),
        ];
}
