using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Leaves;
using VerdantSieve.Core.Observing;
using Xunit;

namespace VerdantSieve.Core.Tests.Leaves;

/// <summary>What is measured of outlines whose measures are known, and what they propose. Classes of shape, tip and base after B. Ellis et
/// al. 2009, Manual of Leaf Architecture; classes of size after Webb 1959; both from memory.</summary>
public class LeafMeasuresTests
{
    private const double Length = 8;

    [Theory]
    [InlineData("elliptic", 0.4, 0.6)]
    [InlineData("ovate", 0.2, 0.4)]
    [InlineData("obovate", 0.6, 0.8)]
    public void The_widest_place_is_where_the_shape_has_it(string shape, double low, double high)
    {
        var leaf = Measured(LeafForm.With(("shape", shape)));
        Assert.InRange(leaf.Widest, low, high);
        Assert.Equal(Length, leaf.Length, 1);
        Assert.Equal(1, leaf.Lobes.Count);
        Assert.Equal(0, leaf.Teeth.Count);
    }

    // F. G. Montgomery 1911 found three quarters for maize; two thirds is common practice for leaves of trees.
    [Theory]
    [InlineData("elliptic")]
    [InlineData("ovate")]
    [InlineData("lanceolate")]
    public void The_area_of_an_unlobed_blade_is_about_two_thirds_of_length_by_width(string shape)
    {
        var leaf = Measured(LeafForm.With(("shape", shape)));
        Assert.InRange(leaf.Area / (leaf.Length * leaf.Width), 0.6, 0.76);
    }

    [Theory]
    [InlineData("palmate", 3)]
    [InlineData("palmate", 5)]
    [InlineData("palmate", 7)]
    [InlineData("pinnate", 5)]
    [InlineData("pinnate", 7)]
    [InlineData("pinnate", 9)]
    public void Lobes_are_counted_and_told_apart(string lobing, int lobes)
    {
        var leaf = Measured(LeafForm.With(("lobing", lobing), ("lobe-depth", "deep"), ("shape", "elliptic")).But("lobe-count", lobes));
        Assert.Equal(lobes, leaf.Lobes.Count);
        Assert.Equal(lobing == "palmate", leaf.Lobes.IsPalmate);
        Assert.Equal(lobing, Proposed(leaf, "lobing").States.Single());
    }

    [Theory]
    [InlineData(0.0, false)]
    [InlineData(0.3, false)]
    [InlineData(0.8, true)]
    public void What_lacks_much_of_one_side_looks_torn_and_what_leans_does_not(double taken, bool torn)
    {
        // An ellipse of 8 by 4, of which a part of the right side is taken away halfway up; all of it leans to the left.
        Point On(int i)
        {
            var (sin, cos) = Math.SinCos(2 * Math.PI * i / 200);
            var x = 2 * sin * (sin > 0 && Math.Abs(cos) < 0.3 ? 1 - taken : 1);
            return new Point(x * (sin > 0 ? 0.8 : 1.2), 4 - 4 * cos);
        }
        var leaf = LeafMeasures.Of(LeafOutline.Of([.. Enumerable.Range(0, 200).Select(On)], new Point(0, 0), new Point(0, 8)).Value);
        Assert.Equal(torn, leaf.LooksTorn);
    }

    [Fact]
    public void Deeper_bays_are_measured_deeper()
    {
        double Depth(string depth) => Measured(LeafForm.With(("lobing", "palmate"), ("lobe-depth", depth))).Lobes.Depth;
        Assert.True(Depth("shallow") < Depth("medium") && Depth("medium") < Depth("deep"));
    }

    [Theory]
    [InlineData("serrate")]
    [InlineData("crenate")]
    [InlineData("dentate")]
    [InlineData("entire")]
    public void The_margin_is_proposed_as_it_was_drawn(string margin)
    {
        var leaf = Measured(LeafForm.With(("shape", "ovate"), ("margin", margin), ("tooth-size", "coarse")));
        Assert.Equal(margin, Proposed(leaf, "margin").States.Single());
    }

    [Theory]
    [InlineData("shape", "elliptic", "elliptic")]
    [InlineData("shape", "ovate", "ovate")]
    [InlineData("shape", "obovate", "obovate")]
    [InlineData("shape", "oblong", "oblong")]
    [InlineData("shape", "lanceolate", "lanceolate")]
    [InlineData("shape", "heart", "heart")]
    [InlineData("shape", "round", "round")]
    public void The_shape_is_proposed_as_it_was_drawn(string character, string drawn, string proposed) =>
        Assert.Equal(proposed, Proposed(Measured(LeafForm.With((character, drawn))), "shape").States.Single());

    [Theory]
    [InlineData("heart")]
    [InlineData("unequal")]
    [InlineData("wedge")]
    [InlineData("rounded")]
    [InlineData("truncate")]
    public void The_base_is_proposed_as_it_was_drawn(string foot) =>
        Assert.Equal(foot, Proposed(Measured(LeafForm.With(("shape", "ovate"), ("base", foot))), "base").States.Single());

    [Fact]
    public void Leaves_that_disagree_propose_a_guess()
    {
        var (entire, toothed) = (
            LeafForm.With(("shape", "elliptic")),
            LeafForm.With(("shape", "elliptic"), ("margin", "serrate"), ("tooth-size", "coarse"))
        );
        LeafMeasures[] mixed = [Measured(toothed), Measured(toothed), Measured(entire)];
        Assert.Equal(Certainty.Fair, Proposed(Measured(toothed), "margin").Certainty);
        var margin = LeafProposals.Of(mixed).Single(one => one.Character == "margin");
        Assert.Equal(("serrate", Certainty.Guess), (margin.States.Single(), margin.Certainty));
        Assert.Equal("8.0, 8.0, 8.0 cm", LeafProposals.Of(mixed)[0].Text);
    }

    [Theory]
    [InlineData(0.24, LeafSizeClass.Leptophyll)]
    [InlineData(2.0, LeafSizeClass.Nanophyll)]
    [InlineData(20, LeafSizeClass.Microphyll)]
    [InlineData(44, LeafSizeClass.Notophyll)]
    [InlineData(182, LeafSizeClass.Mesophyll)]
    [InlineData(1640, LeafSizeClass.Macrophyll)]
    [InlineData(1641, LeafSizeClass.Megaphyll)]
    public void Classes_of_size_have_their_limits(double area, LeafSizeClass expected) => Assert.Equal(expected, LeafSizeClasses.Of(area));

    [Fact]
    public void Measures_grow_with_the_leaf_and_not_its_form()
    {
        var form = LeafForm.With(("shape", "ovate"), ("margin", "serrate"), ("tooth-size", "coarse"));
        var (small, large) = (Measured(form), Measured(form, 2 * Length));
        Assert.Equal(2, large.Length / small.Length, 2);
        Assert.Equal(4, large.Area / small.Area, 2);
        Assert.Equal(small.Slenderness, large.Slenderness, 3);
        Assert.Equal(small.TipAngle, large.TipAngle, 1);
    }

    [Fact]
    public void What_is_no_outline_is_refused()
    {
        var foot = new Point(0, 0);
        Assert.NotEmpty(LeafOutline.Of([foot, new(1, 1), new(0, 2)], foot, new(0, 2)).Faults);
        Point[] round = [.. Enumerable.Range(0, 20).Select(i => Point.Direction(18 * i))];
        Assert.NotEmpty(LeafOutline.Of(round, foot, foot).Faults);
        Assert.NotEmpty(LeafOutline.Of([.. round, new(double.NaN, 0)], new(0, -1), new(0, 1)).Faults);
        Assert.Empty(LeafOutline.Of(round, new(0, -1), new(0, 1)).Faults);
    }

    private static LeafMeasures Measured(LeafForm form, double length = Length)
    {
        var points = LeafDrawing.Blade(form).Strokes[0].Points.Select(point => new Point(point.X * length, point.Y * length)).ToArray();
        return LeafMeasures.Of(LeafOutline.Of(points, new Point(0, 0), new Point(0, length)).Value);
    }

    private static LeafProposal Proposed(LeafMeasures leaf, string character) =>
        LeafProposals.Of([leaf]).Single(one => one.Character == character);
}
