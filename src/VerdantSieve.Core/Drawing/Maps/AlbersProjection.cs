namespace VerdantSieve.Core.Drawing.Maps;

/// <summary>The equal-area conic projection of the sphere, so that a range looks as large as it is.</summary>
/// <remarks>J. P. Snyder 1987, Map Projections: A Working Manual (U.S. Geological Survey Professional Paper 1395), formulas 14-1 to
/// 14-6.</remarks>
public sealed class AlbersProjection
{
    private readonly double n,
        c,
        rho0,
        meridian;

    /// <summary>The projection with two standard parallels about an origin; all in degrees.</summary>
    /// <param name="southern">The southern standard parallel.</param>
    /// <param name="northern">The northern one; not that of the southern mirrored at the equator.</param>
    /// <param name="latitude">The latitude of the origin.</param>
    /// <param name="longitude">The meridian that stands upright.</param>
    /// <exception cref="ArgumentException">The parallels lie as far south as north of the equator.</exception>
    public AlbersProjection(double southern, double northern, double latitude, double longitude)
    {
        if (Math.Abs(southern + northern) < 1e-9)
            throw new ArgumentException("The standard parallels must not mirror each other at the equator.", nameof(northern));
        n = (Sin(southern) + Sin(northern)) / 2;
        c = Math.Pow(Math.Cos(Radians(southern)), 2) + 2 * n * Sin(southern);
        rho0 = Rho(latitude);
        meridian = longitude;
    }

    /// <summary>The point of a place, in radii of the globe from the origin: east and north are positive.</summary>
    public Point Project(double latitude, double longitude)
    {
        var theta = n * Radians(longitude - meridian);
        var rho = Rho(latitude);
        return new Point(rho * Math.Sin(theta), rho0 - rho * Math.Cos(theta));
    }

    private double Rho(double latitude) => Math.Sqrt(c - 2 * n * Sin(latitude)) / n;

    private static double Sin(double degrees) => Math.Sin(Radians(degrees));

    private static double Radians(double degrees) => degrees * Math.PI / 180;
}
