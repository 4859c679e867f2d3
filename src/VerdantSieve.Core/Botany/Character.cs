using System.Text.Json.Serialization;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Botany;

/// <summary>One feature of a plant that can be looked at, as the flora's vocabulary defines it.</summary>
/// <remarks>The kinds are closed: <see cref="StateCharacter"/>, <see cref="CountCharacter"/>, <see cref="MeasureCharacter"/>,
/// <see cref="PresenceCharacter"/> and <see cref="SeasonCharacter"/>. Whoever must do something else for each asks <see cref="Match"/>, so
/// that a new
/// kind does not compile until all of them have said what it does.</remarks>
public abstract record Character
{
    private protected Character(string id) => Id = id.Length > 0 ? id : throw new ArgumentException("A character has an id.", nameof(id));

    /// <summary>What it is called in files and requests.</summary>
    public string Id { get; }

    /// <summary>The part of the plant it belongs to, for example <c>margin</c> or <c>twig</c>; null where the flora does not say, as in a
    /// plain matrix.</summary>
    public required string? Part { get; init; }

    /// <summary>A short name for lists, for example "leaf margin".</summary>
    public required string Label { get; init; }

    /// <summary>What else people call it.</summary>
    public IReadOnlyList<string> Also { get; init; } = [];

    /// <summary>What earlier editions of the vocabulary called it.</summary>
    public IReadOnlyList<FormerWord> Formerly { get; init; } = [];

    /// <summary>What the observer is asked.</summary>
    public required string Question { get; init; }

    /// <summary>How to look, in a sentence or two; empty where the question says it all.</summary>
    public string HowToLook { get; init; } = "";

    /// <summary>How a reading of this character is said, with <c>{}</c> where the value goes.</summary>
    public required string Phrase { get; init; }

    /// <summary>When the character applies; null where it always does.</summary>
    public Condition? OnlyIf { get; init; }

    /// <summary>Whether reading it needs touching, crushing or cutting the plant.</summary>
    public bool Contact { get; init; }

    /// <summary>What it costs to look, where 1 is a glance at the twig in the hand. Always above 0.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It is not above 0.</exception>
    public double Effort
    {
        get;
        init => field = value > 0 ? value : throw new ArgumentOutOfRangeException(nameof(Effort), value, "An effort is above 0.");
    } = 1;

    /// <summary>Whether it is seen in one glance with the rest, before anything is asked: its effort is below one half.</summary>
    [JsonIgnore]
    public bool IsGlance => Effort < 0.5;

    /// <summary>How much a reading of it counts, above 0 and at most 1: below 1 for what only supports, such as the outline of a
    /// crown.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It is not above 0 and at most 1.</exception>
    public double Weight
    {
        get;
        init =>
            field = value is > 0 and <= 1
                ? value
                : throw new ArgumentOutOfRangeException(nameof(Weight), value, "A weight is above 0 and at most 1.");
    } = 1;

    /// <summary>How often a plant that was looked at well is still described in another word than the flora’s, 0 to below 1; null where
    /// the vocabulary does not say.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It is not from 0 to below 1.</exception>
    public double? Looseness
    {
        get;
        init => field = Part01(value, nameof(Looseness));
    }

    /// <summary>How often a plant shows what a careful score leaves out, 0 to below 1; null where the vocabulary does not say.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It is not from 0 to below 1.</exception>
    public double? Gaps
    {
        get;
        init => field = Part01(value, nameof(Gaps));
    }

    private static double? Part01(double? value, string name) =>
        value is null or (>= 0 and < 1) ? value : throw new ArgumentOutOfRangeException(name, value, "A share is from 0 to below 1.");

    /// <summary>Whether it only supports, as bark, colours and outline do: what rests on nothing else is not taken for a
    /// stranger.</summary>
    public bool OnlySupports { get; init; }

    /// <summary>What says nearly the same thing as this character; null where nothing does.</summary>
    public Correlation? Correlation { get; init; }

    /// <summary>How planted plants may lack it; null where they are as the wild ones.</summary>
    public GardenForm? GardenForm { get; init; }

    /// <summary>The stages of the leaves in which it can be seen; empty where it has nothing to do with them, or can be seen wherever there
    /// are leaves.</summary>
    public IReadOnlyList<LeafStage> Stages { get; init; } = [];

    /// <summary>Its place in the natural order of work, counted from 0.</summary>
    public int Order { get; init; }

    /// <summary>What each kind of character answers.</summary>
    public abstract T Match<T>(
        Func<StateCharacter, T> states,
        Func<CountCharacter, T> count,
        Func<MeasureCharacter, T> measure,
        Func<PresenceCharacter, T> presence,
        Func<SeasonCharacter, T> season
    );
}
