using System.Text.Json.Serialization;

namespace VerdantSieve.Core.Seasons;

/// <summary>A point on the ground.</summary>
public readonly record struct Position
{
    private static readonly (string Field, double Least, double Most, string What)[] Limits =
    [
        ("latitude", -90, 90, "degrees north"),
        ("longitude", -180, 180, "degrees east (west is negative)"),
        ("elevation", -500, 9000, "metres above the sea"),
    ];

    /// <summary>A point on the ground.</summary>
    /// <param name="latitude">Degrees north, −90 to 90.</param>
    /// <param name="longitude">Degrees east, −180 to 180.</param>
    /// <param name="elevation">Metres above the sea, −500 to 9000.</param>
    /// <exception cref="ArgumentOutOfRangeException">One of them lies beyond that.</exception>
    [JsonConstructor]
    public Position(double latitude, double longitude, double elevation)
    {
        if (FaultsOf(latitude, longitude, elevation) is [var fault, ..])
            throw new ArgumentOutOfRangeException(fault.At, fault.Value, fault.Message);
        (Latitude, Longitude) = (latitude, longitude);
        Elevation = elevation;
    }

    /// <summary>Degrees north.</summary>
    public double Latitude { get; }

    /// <summary>Degrees east.</summary>
    public double Longitude { get; }

    /// <summary>Metres above the sea.</summary>
    public double Elevation { get; }

    /// <summary>A point on the ground, or what is wrong with it, at the fields <c>latitude</c>, <c>longitude</c> and
    /// <c>elevation</c>.</summary>
    public static Outcome<Position> Of(double latitude, double longitude, double elevation) =>
        FaultsOf(latitude, longitude, elevation) is { Length: > 0 } faults
            ? Outcome.Faulty<Position>(faults)
            : Outcome.Of(new Position(latitude, longitude, elevation));

    /// <summary>What is allowed in one of the fields <c>latitude</c>, <c>longitude</c> and <c>elevation</c>, as a sentence.</summary>
    public static string Allowed(string field) => Allowed(Limits.Single(limit => limit.Field == field));

    private static Fault[] FaultsOf(params double[] values) =>
        [
            .. Limits
                .Zip(values)
                .Where(pair => !(pair.Second >= pair.First.Least && pair.Second <= pair.First.Most))
                .Select(pair => Fault.AtField(pair.First.Field, FormattableString.Invariant($"{pair.Second}"), Allowed(pair.First))),
        ];

    private static string Allowed((string Field, double Least, double Most, string What) limit) =>
        FormattableString.Invariant($"Give {limit.What}, a number from {limit.Least:0} to {limit.Most:0}.");
}
