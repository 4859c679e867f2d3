using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>How readings are turned into an answer.</summary>
public enum School
{
    /// <summary>A reading that a taxon's score cannot allow holds the taxon; a few slips may be allowed.</summary>
    Strict,
    /// <summary>Every reading weighs for or against; nothing is excluded.</summary>
    Weigh
}

/// <summary>A question to the sieve.</summary>
public sealed record SieveQuestion
{
    /// <summary>The most slips that can be allowed.</summary>
    public const int MostSlips = 3;

    /// <summary>Where and when.</summary>
    public Circumstances Circumstances { get; init; } = Circumstances.Unknown;

    /// <summary>What was read; each character at most once.</summary>
    public IReadOnlyList<Reading> Readings { get; init; } = [];

    /// <summary>Which school orders the answer.</summary>
    public School School { get; init; } = School.Weigh;

    /// <summary>How many readings may disagree before strict holds a taxon back: 0 to <see cref="MostSlips"/>.</summary>
    public int Slips { get; init; } = 1;

    /// <summary>The certainty asked of a determination, above 0.5 and below 1.</summary>
    public double Certainty { get; init; } = 0.95;
}

/// <summary>A taxon with how it fared.</summary>
/// <param name="Taxon">The taxon.</param>
/// <param name="Probability">The chance that the plant is this, by weighing.</param>
/// <param name="Held">The ids of the characters whose readings it cannot allow.</param>
/// <param name="Passes">Whether it is in the pan: held no more often than the slips allowed.</param>
public sealed record Candidate(Taxon Taxon, double Probability, IReadOnlyList<string> Held, bool Passes);

/// <summary>A character worth looking at now.</summary>
/// <param name="Character">The character.</param>
/// <param name="Bits">What its answer is expected to tell.</param>
/// <param name="Chance">The chance that it can be seen on this plant now.</param>
/// <param name="Leaves">How many kinds would be left of those open, on average (2 to the power of the entropy).</param>
/// <param name="HeldBack">Why it must wait; null where it need not.</param>
public sealed record NextLook(Character Character, double Bits, double Chance, double Leaves, string? HeldBack)
{
    /// <summary>Bits × chance ÷ effort: what the looks are ordered by.</summary>
    public double Worth => Bits * Chance / Character.Effort;
}

/// <summary>How likely a reading is a slip, and what would come back without it.</summary>
public sealed record Doubt(Reading Reading, double SlipChance, IReadOnlyList<Taxon> WouldReturn)
{
    /// <summary>From this chance on a reading is pointed at.</summary>
    public const double Threshold = 0.5;
}

/// <summary>A hazard of a kind that is still possible.</summary>
public sealed record PossibleHazard(Taxon Taxon, Hazard Hazard, double Probability);

/// <summary>A genus or family with the chance that the plant belongs to it.</summary>
public sealed record RankShare(TaxonRank Rank, string Name, double Probability);

/// <summary>What can be said of the plant.</summary>
/// <param name="Rank">The rank that is reached; null where none is.</param>
/// <param name="Name">The name at that rank, or of the likeliest taxon where none is reached.</param>
/// <param name="Probability">Its chance.</param>
/// <param name="Sentence">All of it in plain words.</param>
public sealed record Determination(TaxonRank? Rank, string Name, double Probability, Prose Sentence);

/// <summary>All that the sieve answers.</summary>
public sealed record SieveAnswer
{
    /// <summary>The question answered.</summary>
    public required SieveQuestion Question { get; init; }
    /// <summary>Every taxon, best first as the school asked for has it.</summary>
    public required IReadOnlyList<Candidate> Candidates { get; init; }
    /// <summary>The chance that it is none of them.</summary>
    public required double NoneOfThese { get; init; }
    /// <summary>What can be said.</summary>
    public required Determination Determination { get; init; }
    /// <summary>What to look at, best first; those held back last.</summary>
    public required IReadOnlyList<NextLook> NextLooks { get; init; }
    /// <summary>Every reading with its slip chance, most doubtful first.</summary>
    public required IReadOnlyList<Doubt> Doubts { get; init; }
    /// <summary>What could hurt, of the kinds still possible.</summary>
    public required IReadOnlyList<PossibleHazard> Hazards { get; init; }
    /// <summary>Genera and families, likeliest first.</summary>
    public required IReadOnlyList<RankShare> Ranking { get; init; }

    /// <summary>The taxa that came through.</summary>
    public IEnumerable<Candidate> Pan => Candidates.Where(candidate => candidate.Passes);

    /// <summary>How many taxa a reading holds.</summary>
    public int HeldBy(string characterId) => Candidates.Count(candidate => candidate.Held.Contains(characterId));
}
