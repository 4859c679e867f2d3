using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing.Maps;
using Xunit;

namespace VerdantSieve.Core.Tests.Drawing;

public class RangeMapTests
{
    // J. P. Snyder 1987, Map Projections: A Working Manual, U.S. Geological Survey Professional Paper 1395, numerical example of the Albers
    // projection of the sphere (R = 1, parallels 29°30′ and 45°30′ N, origin 23° N 96° W; 35° N 75° W), as remembered.
    [Fact]
    public void The_projection_gives_the_worked_example()
    {
        var point = new AlbersProjection(29.5, 45.5, 23, -96).Project(35, -75);
        Assert.Equal(0.2952720, point.X, 6);
        Assert.Equal(0.2416774, point.Y, 6);
        Assert.Throws<ArgumentException>(() => new AlbersProjection(30, -30, 0, 0));
    }

    // An equal-area projection keeps areas: one degree by one degree at any place is as large as on the globe.
    [Theory]
    [InlineData(30, -100)]
    [InlineData(55, -70)]
    public void Areas_are_kept(double latitude, double longitude)
    {
        var projection = new AlbersProjection(29.5, 50, 38, -97);
        const double Small = 0.01;
        var (a, b, d) = (
            projection.Project(latitude, longitude),
            projection.Project(latitude, longitude + Small),
            projection.Project(latitude + Small, longitude)
        );
        var drawn = Math.Abs((b.X - a.X) * (d.Y - a.Y) - (b.Y - a.Y) * (d.X - a.X));
        var onGlobe = Math.Pow(Small * Math.PI / 180, 2) * Math.Cos((latitude + Small / 2) * Math.PI / 180);
        Assert.Equal(1, drawn / onGlobe, 3);
    }

    // The centres are written down from memory, and the outlines come from open boundaries: the one must lie within the other.
    [Fact]
    public void The_centre_of_a_country_lies_within_its_outline()
    {
        string[] outside =
        [
            .. RangeMap
                .All.SelectMany(map => map.Countries)
                .Where(country => Regions.Exists(country.Code) && Regions.CentreOf(country.Code) is not null)
                .Where(country => !country.Rings.Any(ring => Holds(ring, Regions.CentreOf(country.Code)!.Value)))
                .Select(country => country.Code),
        ];
        // The District of Columbia is smaller than the outlines are exact.
        Assert.Equal(["WDC"], outside);

        static bool Holds(IReadOnlyList<int> ring, Core.Seasons.Position place)
        {
            var (x, y, inside) = (place.Longitude * 100, place.Latitude * 100, false);
            for (int i = 0, j = ring.Count - 2; i < ring.Count; j = i, i += 2)
                if (
                    ring[i + 1] > y != ring[j + 1] > y
                    && x < (ring[j] - ring[i]) * (y - ring[i + 1]) / (ring[j + 1] - ring[i + 1]) + ring[i]
                )
                    inside = !inside;
            return inside;
        }
    }

    [Fact]
    public void Every_country_of_the_two_continents_is_on_a_map_and_north_is_up()
    {
        string[] blocks =
        [
            .. Blocks.Names.Where(name => name.EndsWith("-usa", StringComparison.Ordinal) || name is "eastern-canada" or "western-canada"),
        ];
        Assert.All(blocks.SelectMany(Blocks.Of), code => Assert.True(RangeMap.America.Shows(code), code));
        Assert.All(
            new[] { "northern-europe", "middle-europe" }.SelectMany(Blocks.Of),
            code => Assert.True(RangeMap.Europe.Shows(code), code)
        );
        var (maine, florida, oregon) = (At("MAI"), At("FLA"), At("ORE"));
        Assert.True(maine.Y < florida.Y);
        Assert.True(oregon.X < maine.X);
        Assert.InRange(oregon.X, 0, RangeMap.America.Width);
        Assert.InRange(florida.Y, 0, RangeMap.America.Height);

        static Core.Drawing.Point At(string code) => RangeMap.America.At(Regions.CentreOf(code)!.Value);
    }
}
