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
/// <param name="HeldBack">Why it must wait; null where it need not.</param>
public sealed record NextLook(Character Character, double Bits, double Chance, string? HeldBack)
{
    /// <summary>How many kinds would be left of those open, on average (2 to the power of the entropy); said of the first few looks only.</summary>
    public double? Leaves { get; init; }

    /// <summary>Bits × chance ÷ effort: what the looks are ordered by.</summary>
    public double Worth => Bits * Chance / Character.Effort;
}

/// <summary>How likely a reading is a slip, and what would come back without it.</summary>
public sealed record Doubt(Reading Reading, double SlipChance, IReadOnlyList<Taxon> WouldReturn)
{
    /// <summary>From this chance on a reading is pointed at.</summary>
    public const double Threshold = 0.5;

    /// <summary>The leading kind without the reading, and its chance then; null where the reading is not doubtful.</summary>
    public (Taxon Leader, double Probability)? Without { get; init; }

    /// <summary>The reading it fits worst with; null where it fits with each alone.</summary>
    public Reading? Contradicts { get; init; }
}

/// <summary>A notorious double of the leading kind, with the look that would tell the two apart; null where all such looks are taken.</summary>
public sealed record LeaderCheck(Taxon Leader, LookAlike Double, NextLook? Look);

/// <summary>The last two kinds: the characters they do not share, best first, and those they do, on which no time need be spent.</summary>
public sealed record LastTwo(Taxon One, Taxon Other, IReadOnlyList<Character> Differ, IReadOnlyList<Character> Shared);

/// <summary>What the lead of the first kind over its strongest rival rests on, in bits.</summary>
/// <param name="Leader">The leading kind.</param>
/// <param name="Rival">The kind that comes nearest by the readings alone.</param>
/// <param name="ByPlace">What place, abundance and setting add to the lead; negative where they speak against it.</param>
/// <param name="ByReadings">What the readings add.</param>
public sealed record Grounds(Taxon Leader, Taxon Rival, double ByPlace, double ByReadings)
{
    /// <summary>The part of the lead that rests on the place: 0 to 1.</summary>
    public double PlaceShare => ByPlace <= 0 ? 0 : ByPlace / (ByPlace + Math.Max(0, ByReadings));
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
public sealed record Determination(TaxonRank? Rank, string Name, double Probability, Prose Sentence)
{
    internal static readonly Determination Nothing = new(null, "", 0, new Prose());

    /// <summary>Whether the place decided between kinds that the readings leave open.</summary>
    public bool SettledByRange { get; init; }

    /// <summary>Whether much was read and little is left to look at, and still more than one kind fits.</summary>
    public bool IsHard { get; init; }

    /// <summary>The readings that speak for the leading kind over its rival, strongest first, as sentences.</summary>
    public IReadOnlyList<Prose> For { get; init; } = [];

    /// <summary>The readings that speak against the leading kind, strongest first, as sentences.</summary>
    public IReadOnlyList<Prose> Against { get; init; } = [];
}

/// <summary>All that the sieve answers.</summary>
public sealed record SieveAnswer
{
    /// <summary>The question answered.</summary>
    public required SieveQuestion Question { get; init; }
    /// <summary>Every taxon, best first as the school asked for has it.</summary>
    public required IReadOnlyList<Candidate> Candidates { get; init; }
    /// <summary>The chance that it is none of them: an unknown relative of theirs, or something else altogether.</summary>
    public required double NoneOfThese { get; init; }
    /// <summary>What can be said.</summary>
    public required Determination Determination { get; init; }
    /// <summary>How many kinds are open: as many equally likely ones would leave as much doubt.</summary>
    public required double Open { get; init; }
    /// <summary>What to look at, best first; those held back last.</summary>
    public required IReadOnlyList<NextLook> NextLooks { get; init; }
    /// <summary>Every reading with its slip chance, most doubtful first.</summary>
    public required IReadOnlyList<Doubt> Doubts { get; init; }
    /// <summary>What could hurt, of the kinds still possible.</summary>
    public required IReadOnlyList<PossibleHazard> Hazards { get; init; }
    /// <summary>Genera and families, likeliest first.</summary>
    public required IReadOnlyList<RankShare> Ranking { get; init; }

    /// <summary>What the lead rests on; null with fewer than two kinds.</summary>
    public Grounds? Grounds { get; init; }
    /// <summary>The check that is due before the leader is believed; null where none is.</summary>
    public LeaderCheck? Check { get; init; }
    /// <summary>The last two kinds; null where more or fewer are left.</summary>
    public LastTwo? LastTwo { get; init; }

    /// <summary>The best look, then the best of each other organ, so that one is at hand.</summary>
    /// <param name="count">How many to offer.</param>
    public IReadOnlyList<NextLook> Offered(int count) =>
    [
        .. NextLooks.Select((look, place) => (look, place)).GroupBy(pair => Organs.Of(pair.look.Character))
            .SelectMany(group => group.Select((pair, within) => (pair.look, pair.place, within)))
            .Where(item => item.within < (count + 2) / 3).OrderBy(item => item.look.HeldBack is not null).ThenBy(item => item.within).ThenBy(item => item.place)
            .Take(count).Select(item => item.look)
    ];

    /// <summary>The taxa that came through.</summary>
    public IEnumerable<Candidate> Pan => Candidates.Where(candidate => candidate.Passes);

    /// <summary>How many taxa a reading holds.</summary>
    public int HeldBy(string characterId) => Candidates.Count(candidate => candidate.Held.Contains(characterId));
}
