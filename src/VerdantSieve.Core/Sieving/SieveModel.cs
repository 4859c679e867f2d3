using VerdantSieve.Core.Botany;
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
        Telling = 0,
        Looseness = 0,
        Gaps = 0,
    };

    // Where the vocabulary does not say how loose its words and how careful its scores are.
    private const double UsualLooseness = 0.015,
        UsualGaps = 0.015;

    // A score that was entered once for a whole genus, or not at all, leaves out more; one that names a single state, less.
    private const double SharedByGenus = 1.5,
        TakenAsGiven = 2,
        TakenFromKin = 2,
        OfOneState = 0.8,
        OfSeveral = 1.2,
        MostGaps = 0.5;

    /// <summary>The chance that a sure reading is a slip; 0 to 0.5.</summary>
    public double SlipWhenSure { get; init; } = 0.01;

    /// <summary>The chance that a fairly sure reading is a slip; 0 to 0.5.</summary>
    public double SlipWhenFair { get; init; } = 0.07;

    /// <summary>The chance that a guess is a slip; 0 to 0.5.</summary>
    public double SlipWhenGuessing { get; init; } = 0.2;

    /// <summary>The chance, before any reading, that the plant is in none of the flora's taxa; 0 to below 1. Gardens hold twice as many
    /// such plants.</summary>
    public double Strangers { get; init; } = 0.04;

    /// <summary>Below this chance of so many slips a kind is not named, however far it leads; 0 to 1.</summary>
    public double BelievableSlips { get; init; } = 0.08;

    /// <summary>Whether readings that repeat each other, and those that only support, count for less.</summary>
    public bool Damping { get; init; } = true;

    /// <summary>By how much more readings count that fit together, 0 or more; 0 where people name characters without regard to the
    /// plant.</summary>
    /// <remarks>People name what sets a plant apart, so that a mark was named says more than that the plant has it: of the things they
    /// could say, speakers choose each in proportion to a power of what it tells (M. C. Frank and N. D. Goodman 2012, Predicting pragmatic
    /// reasoning in language games, Science 336). How much was taken from plants as people described them; see docs/method.md.</remarks>
    public double Telling { get; init; } = 0.35;

    /// <summary>By how much words are looser than the vocabulary says: 1 as it says, 0 not at all.</summary>
    public double Looseness { get; init; } = 1;

    /// <summary>By how much scores leave out more than the vocabulary says: 1 as it says, 0 not at all.</summary>
    public double Gaps { get; init; } = 1;

    /// <summary>The chance that what a plant shows of a character is called by another word, however well it was looked at; 0 to below
    /// 1.</summary>
    public double LoosenessOf(Character character) => Looseness * (character.Looseness ?? UsualLooseness);

    /// <summary>The chance that a plant shows what the score leaves out; 0 to 0.5.</summary>
    /// <param name="character">The character.</param>
    /// <param name="basis">How the score came to be; null where there is none, and it is taken from the nearest kin.</param>
    /// <param name="several">Whether it names several states.</param>
    internal double GapOf(Character character, ScoreBasis? basis, bool several)
    {
        var byBasis = basis switch
        {
            ScoreBasis.Own => 1,
            ScoreBasis.Shared => SharedByGenus,
            ScoreBasis.Default => TakenAsGiven,
            ScoreBasis.Parents or null => TakenFromKin,
        };
        return Math.Min(MostGaps, Gaps * (character.Gaps ?? UsualGaps) * byBasis * (several ? OfSeveral : OfOneState));
    }

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
