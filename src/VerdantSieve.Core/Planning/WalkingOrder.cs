using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Planning;

/// <summary>Distances on the ground, and an order to walk in.</summary>
public static class WalkingOrder
{
    // The mean radius of the Earth (IUGG), in metres.
    private const double EarthRadius = 6_371_008.8;

    /// <summary>The distance between two points along the ground, in metres.</summary>
    /// <remarks>The haversine formula on a sphere of the Earth's mean radius: right within half a per cent.</remarks>
    public static double Metres(Position one, Position other)
    {
        double Radians(double degrees) => degrees * Math.PI / 180;
        var (north, east) = (Radians(other.Latitude - one.Latitude) / 2, Radians(other.Longitude - one.Longitude) / 2);
        var half =
            Math.Pow(Math.Sin(north), 2)
            + Math.Cos(Radians(one.Latitude)) * Math.Cos(Radians(other.Latitude)) * Math.Pow(Math.Sin(east), 2);
        return 2 * EarthRadius * Math.Asin(Math.Min(1, Math.Sqrt(half)));
    }

    /// <summary>A short way past all points, as their numbers in order; it begins where it likes.</summary>
    /// <remarks>The nearest next from the westernmost, then crossings undone (2-opt, G. A. Croes 1958).</remarks>
    public static int[] Of(IReadOnlyList<Position> points)
    {
        if (points.Count < 3)
            return [.. Enumerable.Range(0, points.Count)];
        var order = new List<int> { Enumerable.Range(0, points.Count).MinBy(i => points[i].Longitude) };
        var left = Enumerable.Range(0, points.Count).Where(i => i != order[0]).ToHashSet();
        while (left.Count > 0)
        {
            var next = left.MinBy(i => (Metres(points[order[^1]], points[i]), i));
            order.Add(next);
            left.Remove(next);
        }
        while (Shorten(order, points)) { }
        return [.. order];
    }

    private static bool Shorten(List<int> order, IReadOnlyList<Position> points)
    {
        double Between(int one, int other) => one < 0 || other >= order.Count ? 0 : Metres(points[order[one]], points[order[other]]);
        for (var from = 0; from < order.Count - 1; from++)
            for (var to = from + 1; to < order.Count; to++)
            {
                // Turning a stretch round changes only its two ends.
                var before = Between(from - 1, from) + Between(to, to + 1);
                var after =
                    (from == 0 ? 0 : Metres(points[order[from - 1]], points[order[to]]))
                    + (to == order.Count - 1 ? 0 : Metres(points[order[from]], points[order[to + 1]]));
                if (after < before - 1e-6)
                {
                    order.Reverse(from, to - from + 1);
                    return true;
                }
            }
        return false;
    }
}
