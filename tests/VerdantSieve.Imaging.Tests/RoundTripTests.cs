using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Leaves;
using VerdantSieve.Imaging.Camera;
using VerdantSieve.Imaging.Tracing;
using Xunit;

namespace VerdantSieve.Imaging.Tests;

/// <summary>Leaves that are drawn, photographed, traced and measured: what comes out is what went in. What went in is measured on the
/// drawing
/// itself, or is what it was drawn from.</summary>
public class RoundTripTests
{
    // docs/measuring.md tells of three times as many.
    private const int Leaves = 100;

    /// <summary>One leaf there and back: as it was, as it was found, and as it is after a person has set the foot and the tip
    /// right.</summary>
    private sealed record Trip(LeafForm Form, LeafMeasures True, LeafMeasures Found, LeafMeasures Set);

    private static readonly Lazy<Trip[]> All = new(() => [.. Enumerable.Range(0, Leaves).AsParallel().AsOrdered().Select(Go)]);

    [Fact]
    public void Length_and_width_are_within_two_per_cent_once_foot_and_tip_are_set()
    {
        Assert.InRange(Share(trip => Off(trip.True.Length, trip.Set.Length) <= 0.02), 0.95, 1);
        Assert.InRange(Share(trip => Off(trip.True.Width, trip.Set.Width) <= 0.02), 0.9, 1);
    }

    [Fact]
    public void As_they_are_found_most_lengths_are_within_two_per_cent_and_nearly_all_within_six()
    {
        Assert.InRange(Share(trip => Off(trip.True.Length, trip.Found.Length) <= 0.02), 0.7, 1);
        Assert.InRange(Share(trip => Off(trip.True.Length, trip.Found.Length) <= 0.06), 0.93, 1);
        Assert.InRange(Share(trip => Off(trip.True.Width, trip.Found.Width) <= 0.035), 0.95, 1);
    }

    [Fact]
    public void Area_is_within_three_per_cent() => Assert.InRange(Share(trip => Off(trip.True.Area, trip.Found.Area) <= 0.03), 0.97, 1);

    [Fact]
    public void Lobes_are_counted() => Assert.InRange(Share(trip => trip.Found.Lobes.Count == trip.True.Lobes.Count), 0.95, 1);

    // Small teeth on teeth are seen or not as the picture is sharp, so that leaves toothed doubly are left out.
    [Fact]
    public void Teeth_are_counted_within_a_tenth()
    {
        var toothed = All.Value.Where(trip => trip.Form.State("margin", "") is not ("entire" or "doubly-serrate")).ToArray();
        var near = toothed.Count(trip => Off(trip.True.Teeth.Count, trip.Found.Teeth.Count) <= 0.1);
        Assert.InRange((double)near / toothed.Length, 0.9, 1);
        var smooth = All.Value.Where(trip => trip.Form.State("margin", "") == "entire").ToArray();
        Assert.InRange((double)smooth.Count(trip => trip.Found.Teeth.Count == 0) / smooth.Length, 0.9, 1);
    }

    private static double Share(Func<Trip, bool> holds) => (double)All.Value.Count(holds) / Leaves;

    private static double Off(double is_, double found) => Math.Abs(found - is_) / Math.Max(is_, 1e-9);

    private static Trip Go(int seed)
    {
        var random = new Random(seed);
        string One(params string[] of) => of[random.Next(of.Length)];
        var form = LeafForm
            .With(
                ("shape", One("elliptic", "ovate", "obovate", "oblong", "lanceolate", "round", "heart")),
                ("base", One("wedge", "rounded", "truncate")),
                ("apex", One("acute", "acuminate", "obtuse", "rounded")),
                ("margin", One("entire", "serrate", "dentate", "crenate", "doubly-serrate")),
                ("tooth-size", One("fine", "medium", "coarse")),
                ("lobing", One("unlobed", "unlobed", "palmate", "pinnate")),
                ("lobe-depth", One("medium", "deep")),
                ("lobe-tip", One("rounded", "pointed"))
            )
            .But("lobe-count", 2 * random.Next(1, 4) + 1)
            .But("petiole-length", 2)
            .But("blade-length", 10);
        if (form.State("lobing", "") != "unlobed")
            form = form.But("margin", "entire");
        var length = 5 + 7 * random.NextDouble();
        var leaf = LeafDrawing.Of(form, Variation.Of(seed));
        var onSheet = LeafOnSheet.Of(leaf, length, new Point(10.5, 22), 40 * (random.NextDouble() - 0.5));
        var shot = new Shot
        {
            Width = 1400,
            TiltDegrees = 15 * random.NextDouble(),
            TurnDegrees = 8 * (random.NextDouble() - 0.5),
            UnevenLight = 0.45 * random.NextDouble(),
            Noise = 0.06 * random.NextDouble(),
            SquaredPaper = random.Next(3) == 0,
            Seed = seed,
        };
        var photograph = SimulatedCamera.Take([onSheet], shot);
        var sheet = PictureScale.Sheet(photograph.Corners, SimulatedCamera.SheetWidth, SimulatedCamera.SheetHeight).Value;
        var traced = LeafTracer.Trace(photograph.Jpeg, sheet).Value;
        var found = traced.Leaves.MaxBy(one => Polygon.Perimeter(one.Outline))!;
        Point Pixel(Point p) => new(p.X * traced.PixelsPerCentimetre, p.Y * traced.PixelsPerCentimetre);
        var set = found with { Foot = Pixel(onSheet.Stalk[^1]), Tip = Pixel(TipOf(onSheet)) };
        LeafMeasures Measured(TracedLeaf leaf) => LeafMeasures.Of(leaf.InCentimetres(traced.PixelsPerCentimetre).Value);
        return new Trip(form, Truth(onSheet), Measured(found), Measured(set));
    }

    // Of the drawing: its foot is where its stalk ends, its tip where the midrib ends.
    private static LeafMeasures Truth(LeafOnSheet leaf)
    {
        Point Up(Point p) => p with { Y = -p.Y };
        return LeafMeasures.Of(LeafOutline.Of([.. leaf.Blade.Select(Up)], Up(leaf.Stalk[^1]), Up(TipOf(leaf))).Value);
    }

    // The midrib ends a little below it.
    private static Point TipOf(LeafOnSheet leaf)
    {
        var (foot, end) = (leaf.Stalk[^1], leaf.Veins[0][^1]);
        var beyond = foot.Toward(end, 1 / 0.985);
        return leaf.Blade.MinBy(point => point.To(beyond));
    }
}
