using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>What the sieve assumes of observers, and of plants that the flora does not hold. The values are choices, written up in
/// docs/method.md.</summary>
public sealed record SieveModel
{
    /// <summary>What the application uses.</summary>
    public static readonly SieveModel Standard = new();

    /// <summary>Bayes' rule and nothing else: observers never slip, every plant is in the flora, every reading counts in full.</summary>
    public static readonly SieveModel Plain = new()
    {
        SlipWhenSure = 0,
        SlipWhenFair = 0,
        SlipWhenGuessing = 0,
        Strangers = 0,
        Damping = false,
    };

    /// <summary>The chance that a sure reading is a slip; 0 to 0.5.</summary>
    public double SlipWhenSure { get; init; } = 0.02;

    /// <summary>The chance that a fairly sure reading is a slip; 0 to 0.5.</summary>
    public double SlipWhenFair { get; init; } = 0.10;

    /// <summary>The chance that a guess is a slip; 0 to 0.5.</summary>
    public double SlipWhenGuessing { get; init; } = 0.30;

    /// <summary>The chance, before any reading, that the plant is in none of the flora's taxa; 0 to below 1. Gardens hold twice as many
    /// such plants.</summary>
    public double Strangers { get; init; } = 0.12;

    /// <summary>Below this chance of so many slips a kind is not named, however far it leads; 0 to 1.</summary>
    public double BelievableSlips { get; init; } = 0.08;

    /// <summary>Whether readings that repeat each other, and those that only support, count for less.</summary>
    public bool Damping { get; init; } = true;

    /// <summary>The chance that a reading is a slip.</summary>
    public double SlipRate(Certainty certainty) =>
        certainty switch
        {
            Certainty.Sure => SlipWhenSure,
            Certainty.Fair => SlipWhenFair,
            Certainty.Guess => SlipWhenGuessing,
        };

    /// <summary>The error of a measurement as a standard deviation in log units: 4, 8 or 25 % with a ruler; at least 15 % in hand-widths
    /// and 25 % by eye.</summary>
    public static double MeasuringError(Certainty certainty, MeasuredBy by)
    {
        var byCertainty = certainty switch
        {
            Certainty.Sure => 0.04,
            Certainty.Fair => 0.08,
            Certainty.Guess => 0.25,
        };
        var byWay = by switch
        {
            MeasuredBy.Ruler => 0,
            MeasuredBy.Hand => 0.15,
            MeasuredBy.Eye => 0.25,
        };
        return Math.Max(byCertainty, byWay);
    }
}
