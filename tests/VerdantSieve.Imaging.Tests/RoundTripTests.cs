using VerdantSieve.Core.Leaves;
using Xunit;
using static VerdantSieve.Imaging.Tests.LeafTrip;

namespace VerdantSieve.Imaging.Tests;

/// <summary>Leaves that are drawn, photographed, traced and measured: what comes out is what went in. What went in is measured on the
/// drawing itself, or is what it was drawn from.</summary>
[Trait("Kind", "sweep")]
public class RoundTripTests
{
    // docs/measuring.md tells of three times as many.
    private const int Leaves = 100;

    private static readonly Lazy<LeafTrip[]> All = new(() => [.. Enumerable.Range(0, Leaves).AsParallel().AsOrdered().Select(LeafTrip.Go)]);

    [Fact]
    public void Length_and_width_are_within_two_per_cent_once_foot_and_tip_are_set()
    {
        Assert.InRange(Share(trip => Off(trip.True.Length, trip.Set.Length) <= 0.02), 0.95, 1);
        Assert.InRange(Share(trip => Off(trip.True.Width, trip.Set.Width) <= 0.02), 0.9, 1);
    }

    [Fact]
    public void As_they_are_found_nine_lengths_in_ten_are_within_two_per_cent_and_nearly_all_within_six()
    {
        Assert.InRange(Share(trip => Off(trip.True.Length, trip.Found.Length) <= 0.02), 0.88, 1);
        Assert.InRange(Share(trip => Off(trip.True.Length, trip.Found.Length) <= 0.06), 0.95, 1);
        Assert.InRange(Share(trip => Off(trip.True.Width, trip.Found.Width) <= 0.02), 0.9, 1);
    }

    [Fact]
    public void Of_unlobed_leaves_nearly_all_are_within_two_per_cent_and_of_the_shape_they_were_drawn_in_or_the_next()
    {
        var unlobed = All.Value.Where(trip => trip.Form.State("lobing", "") == "unlobed").ToArray();
        Assert.InRange(unlobed.Count(trip => Off(trip.True.Length, trip.Found.Length) <= 0.02) / (double)unlobed.Length, 0.95, 1);
        Assert.InRange(unlobed.Count(trip => trip.IsOfItsShape) / (double)unlobed.Length, 0.95, 1);
    }

    [Fact]
    public void No_whole_leaf_is_taken_for_a_torn_one() => Assert.DoesNotContain(All.Value, trip => trip.Found.LooksTorn);

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

    private static double Share(Func<LeafTrip, bool> holds) => (double)All.Value.Count(holds) / Leaves;

    private static double Off(double is_, double found) => Math.Abs(found - is_) / Math.Max(is_, 1e-9);
}
