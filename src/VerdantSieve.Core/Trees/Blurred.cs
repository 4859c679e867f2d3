using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Trees;

/// <summary>Positions that are not told to others: what leaves the notebook names a square of a tenth of a degree.</summary>
/// <remarks>Generalising to a tenth of a degree is a usual grade for sensitive records (A. D. Chapman 2020, Current Best Practices for
/// Generalizing Sensitive Species Occurrence Data, GBIF; from memory).</remarks>
public static class Blurred
{
    private const double Square = 0.1;

    /// <summary>How far the position told may be from the true one, in metres: half the diagonal of a square at the equator.</summary>
    public const double UncertaintyMetres = 7900;

    /// <summary>The middle of the square that a position lies in; how high it stands is not told.</summary>
    public static Position Of(Position position) => new(Middle(position.Latitude, 90), Middle(position.Longitude, 180), 0);

    private static double Middle(double degrees, double most) =>
        Math.Round(Math.Clamp((Math.Floor(Math.Round(degrees / Square, 9)) + 0.5) * Square, -most, most), 2);
}
