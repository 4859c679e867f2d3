using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Simulating;

/// <summary>A stand-in for a GPS: it walks a path at an even pace and is off by a few metres, as such devices are under trees.</summary>
/// <param name="path">The points walked past, at least two.</param>
/// <param name="seconds">How long the whole way takes.</param>
public sealed class SimulatedGps(IReadOnlyList<Position> path, double seconds)
{
    // Under trees a receiver is off by so much, in metres (common practice), and drifts rather than jumps.
    private const double OffBy = 4,
        DriftSeconds = 40;

    private const double MetresPerDegree = 111_195;

    /// <summary>What the device says at a moment; before the start and after the end it stands still.</summary>
    /// <param name="at">Seconds since the walk began.</param>
    public Position At(double at)
    {
        var on = OnThePath(Math.Clamp(at / seconds, 0, 1));
        var (north, east) = (Drift(at, 0.3), Drift(at, 1.9));
        return new Position(
            Math.Round(on.Latitude + north / MetresPerDegree, 6),
            Math.Round(on.Longitude + east / (MetresPerDegree * Math.Cos(on.Latitude * Math.PI / 180)), 6),
            Math.Round(on.Elevation + Drift(at, 4.4))
        );
    }

    private Position OnThePath(double part)
    {
        var along = part * (path.Count - 1);
        var from = Math.Min((int)along, path.Count - 2);
        var (one, other) = (path[from], path[from + 1]);
        double Between(double first, double second) => first + (second - first) * (along - from);
        return new Position(
            Between(one.Latitude, other.Latitude),
            Between(one.Longitude, other.Longitude),
            Between(one.Elevation, other.Elevation)
        );
    }

    // Two slow waves that do not fall in step.
    private static double Drift(double at, double phase) =>
        OffBy / 2 * (Math.Sin(at / DriftSeconds + phase) + Math.Sin(at / DriftSeconds * 1.618 + 2 * phase));
}
