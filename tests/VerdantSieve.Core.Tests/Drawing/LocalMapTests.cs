using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Drawing.Maps;
using VerdantSieve.Core.Planning;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Simulating;
using Xunit;

namespace VerdantSieve.Core.Tests.Drawing;

/// <summary>Maps of a small piece of ground.</summary>
public class LocalMapTests
{
    private static readonly Position South = new(45.09, -123.21, 0),
        North = new(45.11, -123.19, 0);

    [Theory]
    [InlineData(45.1, -123.2)]
    [InlineData(-33.9, 18.4)]
    [InlineData(64.1, -21.9)]
    public void A_place_comes_back_from_where_it_was_tapped(double north, double east)
    {
        Position here = new(north, east, 12),
            there = new(north + 0.01, east + 0.01, 0);
        var map = LocalMap.Of([here, there], 720, 560);
        var back = map.PositionAt(map.At(here), 12);
        Assert.True(WalkingOrder.Metres(here, back) < 0.5, $"{WalkingOrder.Metres(here, back)} m off");
    }

    [Fact]
    public void North_is_up_east_is_right_and_all_of_it_is_in_the_frame()
    {
        var map = LocalMap.Of([South, North], 720, 560);
        Assert.True(map.At(North).Y < map.At(South).Y);
        Assert.True(map.At(North).X > map.At(South).X);
        foreach (var at in new[] { map.At(South), map.At(North) })
            Assert.True(at is { X: > 0 and < 720, Y: > 0 and < 560 }, at.ToString());
    }

    // The haversine on a sphere and the ellipsoid of UTM differ by up to a third of a per cent.
    [Fact]
    public void The_scale_bar_is_as_long_as_it_says()
    {
        var map = LocalMap.Of([South, North], 720, 560);
        var (metres, drawn) = map.Bar;
        var from = map.PositionAt(new Point(100, 300), 0);
        var to = map.PositionAt(new Point(100 + drawn, 300), 0);
        Assert.InRange(WalkingOrder.Metres(from, to), metres * 0.995, metres * 1.005);
        Assert.True(drawn <= 720 * 0.25);
        Assert.Contains(metres / Math.Pow(10, Math.Floor(Math.Log10(metres))), new[] { 1.0, 2.0, 5.0 });
    }

    [Fact]
    public void One_tree_alone_is_drawn_with_the_ground_about_it()
    {
        var map = LocalMap.Of([South], 720, 560);
        Assert.Equal(360, map.At(South).X, 3);
        Assert.True(WalkingOrder.Metres(map.PositionAt(new Point(0, 280), 0), map.PositionAt(new Point(720, 280), 0)) > 200);
        Assert.Throws<ArgumentException>(() => LocalMap.Of([], 720, 560));
    }

    [Fact]
    public void The_simulated_GPS_walks_its_path_and_is_never_far_off_it()
    {
        var gps = new SimulatedGps([South, North], 1000);
        Assert.True(WalkingOrder.Metres(South, gps.At(-5)) < 12);
        Assert.True(WalkingOrder.Metres(North, gps.At(5000)) < 12);
        Position half = new((South.Latitude + North.Latitude) / 2, (South.Longitude + North.Longitude) / 2, 0);
        Assert.True(WalkingOrder.Metres(half, gps.At(500)) < 12);
        Assert.NotEqual(half.Latitude, gps.At(500).Latitude);
        Assert.Equal(gps.At(333), gps.At(333));
    }
}
