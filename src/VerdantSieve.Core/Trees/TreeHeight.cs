using System.Globalization;
using System.Text.Json.Serialization;

namespace VerdantSieve.Core.Trees;

/// <summary>How a height was found.</summary>
public enum HeightBy
{
    /// <summary>With a stick held at arm's length: similar triangles.</summary>
    Stick,

    /// <summary>With a clinometer: the tangents of two angles.</summary>
    Clinometer,

    /// <summary>By eye.</summary>
    Eye,
}

/// <summary>The height of a tree with the arithmetic that gave it.</summary>
/// <param name="Metres">Metres, above 0 and at most <see cref="Most"/>.</param>
/// <param name="By">How it was found.</param>
/// <param name="Arithmetic">How the number was made, as it is written beside it.</param>
/// <param name="Error">What it may be off by, in metres.</param>
[method: JsonConstructor]
public sealed record TreeHeight(double Metres, HeightBy By, string Arithmetic, double Error)
{
    /// <summary>The most that is allowed, in metres; no tree is higher.</summary>
    public const double Most = 130;

    // What people are off by (common practice): a stride, a degree on a clinometer, the length of a stick, a third by eye.
    private const double StrideError = 0.03,
        AngleError = 1,
        StickError = 0.03,
        ByEye = 0.3;

    /// <summary>By a stick held upright at arm's length, so that it just covers the tree from foot to top.</summary>
    /// <param name="stick">How much of the stick covers the tree, in centimetres, above 0 to 200.</param>
    /// <param name="arm">From the eye to the stick, in centimetres, 20 to 120.</param>
    /// <param name="away">From the eye to the trunk, in metres, above 0 to 500.</param>
    /// <remarks>Similar triangles: height ÷ distance = stick ÷ arm. It holds on level ground.</remarks>
    public static Outcome<TreeHeight> ByStick(double stick, double arm, double away)
    {
        Fault[] faults =
        [
            .. Beyond("stick", stick, 0.1, 200, "centimetres of the stick"),
            .. Beyond("arm", arm, 20, 120, "centimetres from the eye to the stick"),
            .. Beyond("away", away, 0.5, 500, "metres to the trunk"),
        ];
        if (faults.Length > 0)
            return Outcome.Faulty<TreeHeight>(faults);
        var height = away * stick / arm;
        var error = height * Math.Sqrt(StrideError * StrideError + 2 * StickError * StickError);
        return Checked(height, HeightBy.Stick, $"{N(away)} m × {N(stick)} cm ÷ {N(arm)} cm", error);
    }

    /// <summary>By a clinometer, from the angles to the top and to the foot.</summary>
    /// <param name="top">The angle up to the top, in degrees, −30 to 85.</param>
    /// <param name="foot">The angle to the foot, in degrees, −80 to 60; below the eye it is negative.</param>
    /// <param name="away">To the trunk, on the level, in metres, above 0 to 500.</param>
    /// <remarks>Height = distance × (tan top − tan foot). Leaning trees are measured too high or too low: the top must stand above the
    /// foot.</remarks>
    public static Outcome<TreeHeight> ByClinometer(double top, double foot, double away)
    {
        Fault[] faults =
        [
            .. Beyond("top", top, -30, 85, "degrees up to the top"),
            .. Beyond("foot", foot, -80, 60, "degrees to the foot, negative below the eye"),
            .. Beyond("away", away, 0.5, 500, "metres to the trunk"),
        ];
        if (faults.Length > 0)
            return Outcome.Faulty<TreeHeight>(faults);
        if (top <= foot)
            return new Fault("top", "The top has to stand higher than the foot: give the larger angle for the top.");
        double Tan(double degrees) => Math.Tan(degrees * Math.PI / 180);
        var height = away * (Tan(top) - Tan(foot));
        // The derivative of the tangent is 1 + tan².
        var degree = AngleError * Math.PI / 180;
        var angles = away * degree * Math.Sqrt(Math.Pow(1 + Tan(top) * Tan(top), 2) + Math.Pow(1 + Tan(foot) * Tan(foot), 2));
        var error = Math.Sqrt(angles * angles + Math.Pow(height * StrideError, 2));
        return Checked(height, HeightBy.Clinometer, $"{N(away)} m × (tan {N(top)}° − tan {N(foot)}°)", error);
    }

    /// <summary>By eye.</summary>
    /// <param name="metres">Metres.</param>
    public static Outcome<TreeHeight> Guessed(double metres) => Checked(metres, HeightBy.Eye, "by eye", metres * ByEye);

    private static Outcome<TreeHeight> Checked(double metres, HeightBy by, string arithmetic, double error) =>
        metres is > 0 and <= Most
            ? new TreeHeight(Math.Round(metres, 1), by, arithmetic, Math.Max(0.1, Math.Round(error, 1)))
            : Fault.AtField("height", N(metres), FormattableString.Invariant($"A tree is above 0 and at most {Most:0} m high."));

    private static Fault[] Beyond(string field, double value, double least, double most, string what) =>
        value >= least && value <= most
            ? []
            : [Fault.AtField(field, N(value), FormattableString.Invariant($"Give {what}, a number from {least} to {most}."))];

    private static string N(double value) => Math.Round(value, 2).ToString(CultureInfo.InvariantCulture);
}
