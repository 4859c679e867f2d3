using VerdantSieve.Core.Drawing;
using Xunit;

namespace VerdantSieve.Core.Tests.Drawing;

/// <summary>What holds of every leaf that is drawn, whatever is known of it.</summary>
public class LeafGeometryTests
{
    private static readonly string[] Shapes =
    [
        "linear",
        "lanceolate",
        "oblong",
        "elliptic",
        "ovate",
        "obovate",
        "oblanceolate",
        "spatulate",
        "round",
        "heart",
        "triangular",
        "diamond",
        "kidney",
        "fan",
        "cross",
        "saddle",
    ];

    private static readonly string[] Bases = ["wedge", "tapered", "rounded", "truncate", "heart", "unequal"];
    private static readonly string[] Tips = ["acute", "acuminate", "abrupt-tip", "obtuse", "rounded", "truncate", "notched"];
    private static readonly string[] Margins = ["entire", "wavy", "serrate", "doubly-serrate", "crenate", "dentate", "spiny"];
    private static readonly string[] Sizes = ["fine", "medium", "coarse"];
    private static readonly string[] Lobings = ["unlobed", "unlobed", "palmate", "pinnate", "one-sided"];
    private static readonly string[] Depths = ["shallow", "medium", "deep"];
    private static readonly string[] LobeTips = ["rounded", "pointed", "bristle"];
    private static readonly string[] Balances = ["even", "upper-largest", "lowest-uneven", "middle-longest"];

    public static TheoryData<int> Seeds => [.. Enumerable.Range(0, Cases.Many)];

    // A leaf of any kind.
    private static LeafForm Any(int seed)
    {
        var random = new Random(seed);
        string One(string[] of) => of[random.Next(of.Length)];
        var form = LeafForm.With(
            ("shape", One(Shapes)),
            ("base", One(Bases)),
            ("apex", One(Tips)),
            ("margin", One(Margins)),
            ("tooth-size", One(Sizes)),
            ("lobing", One(Lobings)),
            ("lobe-depth", One(Depths)),
            ("lobe-tip", One(LobeTips)),
            ("lobe-balance", One(Balances))
        );
        return form.But("lobe-count", 3 + random.Next(9)).But("slenderness", 0.8 + 3 * random.NextDouble());
    }

    [Theory]
    [MemberData(nameof(Seeds))]
    public void An_outline_is_closed_does_not_cross_itself_and_stays_in_its_box(int seed)
    {
        var blade = LeafDrawing.Blade(Any(seed), Variation.Of(seed)).Strokes.First(stroke => stroke.Kind == StrokeKind.Blade);
        Assert.True(blade.Closed);
        Assert.Empty(Crossings(blade.Points));
        Assert.InRange(blade.Points.Min(point => point.Y), -0.75, 1.1);
        Assert.InRange(blade.Points.Max(point => point.Y), -0.75, 1.1);
        Assert.InRange(blade.Points.Max(point => Math.Abs(point.X)), 0, 1.2);
    }

    [Fact]
    public void The_same_seed_draws_the_same_leaf_and_another_another()
    {
        var form = LeafForm.With(("shape", "ovate"), ("margin", "serrate"));
        Assert.Equal(Outline(form, 7), Outline(form, 7));
        Assert.NotEqual(Outline(form, 7), Outline(form, 8));
        // Without variation both halves are alike.
        var plain = LeafDrawing.Blade(form).Strokes[0].Points;
        Assert.Equal(plain.Max(point => point.X), -plain.Min(point => point.X), 12);

        static IReadOnlyList<Point> Outline(LeafForm form, int seed) => LeafDrawing.Blade(form, Variation.Of(seed)).Strokes[0].Points;
    }

    [Theory]
    [InlineData("palmate", "pointed")]
    [InlineData("palmate", "rounded")]
    [InlineData("pinnate", "pointed")]
    [InlineData("pinnate", "rounded")]
    public void Deeper_lobes_leave_less_of_the_blade(string lobing, string tip)
    {
        var areas = Depths.Select(depth => Area(LeafForm.With(("lobing", lobing), ("lobe-tip", tip), ("lobe-depth", depth)))).ToArray();
        Assert.True(areas[0] > 1.05 * areas[1] && areas[1] > 1.05 * areas[2], string.Join(", ", areas));
    }

    [Theory]
    [InlineData(1.2)]
    [InlineData(2.0)]
    [InlineData(3.5)]
    public void A_blade_is_as_slender_as_was_measured(double slenderness)
    {
        var points = BladeOutline.RightHalf(LeafForm.With(("shape", "elliptic")).But("slenderness", slenderness));
        Assert.Equal(slenderness, 1 / (2 * points.Max(point => point.X)), 2);
    }

    [Theory]
    [InlineData(5)]
    [InlineData(7)]
    [InlineData(9)]
    [InlineData(11)]
    public void A_pinnate_leaf_has_as_many_lobes_as_were_counted(int lobes)
    {
        var form = LeafForm.With(("lobing", "pinnate"), ("lobe-tip", "rounded"), ("shape", "elliptic"), ("lobe-depth", "deep"));
        var half = BladeOutline.RightHalf(form.But("lobe-count", lobes)).Select(point => point.X).ToArray();
        var tips = Enumerable.Range(1, half.Length - 2).Count(i => half[i] > half[i - 1] && half[i] >= half[i + 1] && half[i] > 0.1);
        Assert.Equal((lobes - 1) / 2, tips);
    }

    [Theory]
    [InlineData("pinnate-straight")]
    [InlineData("pinnate-looping")]
    [InlineData("arcuate")]
    [InlineData("palmate")]
    [InlineData("three-from-base")]
    public void Veins_stay_within_the_blade(string venation)
    {
        foreach (var shape in Shapes.Except(["fan", "linear"]))
        {
            var form = LeafForm.With(("shape", shape), ("venation", venation), ("lobing", "unlobed"));
            var strokes = LeafDrawing.Blade(form).Strokes;
            var outline = strokes[0].Points;
            foreach (var vein in strokes.Where(stroke => stroke.Kind == StrokeKind.Vein))
                Assert.All(
                    vein.Points.Where(point => point.Y > 0.02),
                    point => Assert.True(IsWithin(outline, point) || Distance(outline, point) < 0.03, $"{shape}: {point}")
                );
        }
    }

    [Fact]
    public void Straight_veins_end_in_teeth_and_looping_ones_do_not()
    {
        double Nearest(string venation)
        {
            var strokes = LeafDrawing
                .Blade(LeafForm.With(("shape", "elliptic"), ("venation", venation), ("margin", "serrate"), ("tooth-size", "coarse")))
                .Strokes;
            return strokes
                .Skip(2)
                .Where(stroke => stroke.Kind == StrokeKind.Vein)
                .Average(vein => Distance(strokes[0].Points, vein.Points[^1]));
        }
        Assert.InRange(Nearest("pinnate-straight"), 0, 0.6 * Nearest("pinnate-looping"));
    }

    [Fact]
    public void A_winged_axis_irregular_leaflets_and_a_thumb_are_seen()
    {
        var leaf = LeafForm.With(("structure", "odd-pinnate"), ("shape", "elliptic"));
        string[] Drawn(LeafForm form) =>
            [.. LeafDrawing.Of(form).Flat().SelectMany(stroke => stroke.Points).Select(point => point.ToString())];
        var plain = Drawn(leaf);
        Assert.NotEqual(plain, Drawn(leaf.But("rachis", "winged")));
        Assert.NotEqual(plain, Drawn(leaf.But("leaflet-likeness", "irregular")));
        Assert.NotEqual(plain, Drawn(leaf.But("side-leaflets", "one-sided-lobe")));
        Assert.NotEqual(plain, Drawn(leaf.But("terminal-leaflet", "long-stalked")));
        Assert.Equal(plain, Drawn(leaf.But("side-leaflets", "symmetric")));
    }

    private static double Area(LeafForm form)
    {
        var points = LeafDrawing.Blade(form).Strokes[0].Points;
        return Math.Abs(points.Zip(points.Skip(1).Append(points[0]), (a, b) => a.X * b.Y - b.X * a.Y).Sum()) / 2;
    }

    private static IEnumerable<(Point, Point)> Crossings(IReadOnlyList<Point> points)
    {
        for (var i = 0; i < points.Count; i++)
        {
            var (a, b) = (points[i], points[(i + 1) % points.Count]);
            for (var j = i + 2; j < points.Count - (i == 0 ? 1 : 0); j++)
            {
                var (c, d) = (points[j], points[(j + 1) % points.Count]);
                // What only touches, as both halves do at the midrib, does not cross.
                if (Turn(a, b, c) * Turn(a, b, d) < -1e-13 && Turn(c, d, a) * Turn(c, d, b) < -1e-13)
                    yield return (a, c);
            }
        }
    }

    private static double Turn(Point a, Point b, Point c) => (b.X - a.X) * (c.Y - a.Y) - (b.Y - a.Y) * (c.X - a.X);

    private static bool IsWithin(IReadOnlyList<Point> outline, Point point)
    {
        var inside = false;
        for (var i = 0; i < outline.Count; i++)
        {
            var (a, b) = (outline[i], outline[(i + 1) % outline.Count]);
            if (a.Y > point.Y != b.Y > point.Y && point.X < a.X + (b.X - a.X) * (point.Y - a.Y) / (b.Y - a.Y))
                inside = !inside;
        }
        return inside;
    }

    private static double Distance(IReadOnlyList<Point> outline, Point point) => outline.Min(other => other.To(point));
}
