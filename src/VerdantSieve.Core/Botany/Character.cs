namespace VerdantSieve.Core.Botany;

/// <summary>One feature of a plant that can be looked at, as the flora's vocabulary defines it.</summary>
/// <remarks>The kind of a character is its type: <see cref="StateCharacter"/>, <see cref="CountCharacter"/>,
/// <see cref="MeasureCharacter"/>, <see cref="PresenceCharacter"/> or <see cref="SeasonCharacter"/>.</remarks>
public abstract record Character(string Id)
{
    /// <summary>The part of the plant it belongs to, for example <c>margin</c> or <c>twig</c>.</summary>
    public required string Part { get; init; }

    /// <summary>A short name for lists, for example "leaf margin".</summary>
    public required string Label { get; init; }

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
    public double Effort { get; init; } = 1;

    /// <summary>How much a reading of it counts, above 0 and at most 1: below 1 for what only supports, such as the outline of a crown.</summary>
    public double Weight { get; init; } = 1;

    /// <summary>What says nearly the same thing as this character; null where nothing does.</summary>
    public Echo? Echo { get; init; }

    /// <summary>How planted plants may lack it; null where they are as the wild ones.</summary>
    public GardenForm? GardenForm { get; init; }

    /// <summary>Its place in the natural order of work, counted from 0.</summary>
    public int Order { get; init; }
}

/// <summary>A character with named states.</summary>
public sealed record StateCharacter(string Id) : Character(Id)
{
    /// <summary>The states; in their natural order where <see cref="Ordered"/>.</summary>
    public required IReadOnlyList<State> States { get; init; }

    /// <summary>Whether the states form a series, so that neighbours are confused most.</summary>
    public bool Ordered { get; init; }

    /// <summary>Whether one plant may show several of the states at once.</summary>
    public bool Variety { get; init; }

    /// <summary>Whether it counts one way only: a kind that is at home in many states is not the less at home in each of them.</summary>
    public bool OneSided { get; init; }

    /// <summary>Which states are easily taken for which.</summary>
    public IReadOnlyList<Confusion> Confusions { get; init; } = [];

    /// <summary>The index of a state, or -1 where this character has no such state.</summary>
    public int IndexOf(string stateId)
    {
        for (var i = 0; i < States.Count; i++)
            if (States[i].Id == stateId) return i;
        return -1;
    }

    /// <summary>The state with this id.</summary>
    /// <exception cref="KeyNotFoundException">The character has no such state.</exception>
    public State this[string stateId] =>
        IndexOf(stateId) is >= 0 and var i ? States[i] : throw new KeyNotFoundException($"{Id} has no state '{stateId}'.");
}

/// <summary>A character read as a whole number.</summary>
public sealed record CountCharacter(string Id) : Character(Id)
{
    /// <summary>The largest count the engine keeps apart; anything above is read as this.</summary>
    public const int Largest = 80;
}

/// <summary>A character read as a length or a ratio.</summary>
public sealed record MeasureCharacter(string Id, MeasureUnit Unit) : Character(Id);

/// <summary>A thing that is looked for: seen, or looked for and not seen.</summary>
public sealed record PresenceCharacter(string Id) : Character(Id);

/// <summary>A calendar window, read as "today: yes" or "looked, none".</summary>
public sealed record SeasonCharacter(string Id) : Character(Id);

/// <summary>One state of a character: its id, the plain words for it, and its meaning.</summary>
public sealed record State(string Id, string Label, string Meaning);

/// <summary>Observers take <paramref name="State"/> for <paramref name="TakenFor"/>; <paramref name="Share"/> (0 to 1) is
/// the part of that state's slips which goes there.</summary>
public sealed record Confusion(string State, string TakenFor, double Share);

/// <summary>Characters that say nearly the same thing, such as the length of a blade and its width.</summary>
/// <param name="Group">The name they share.</param>
/// <param name="Share">How far one repeats another: 0 (not at all) to 1 (wholly).</param>
public sealed record Echo(string Group, double Share);

/// <summary>The part of planted plants (0 to 1) that lack what the wild plant has: thornless or fruitless garden forms.</summary>
/// <param name="State">The state such a plant shows; null for characters without states.</param>
/// <param name="Share">How many planted plants are such.</param>
public sealed record GardenForm(string? State, double Share);

/// <summary>The unit a measure is kept in.</summary>
public enum MeasureUnit
{
    /// <summary>Centimetres.</summary>
    Centimetre,
    /// <summary>Metres.</summary>
    Metre,
    /// <summary>A ratio without a unit.</summary>
    Ratio
}

/// <summary>When a character applies: another character shows one of some states (or none of them), or, for flowers and
/// fruit, is in season.</summary>
public sealed record Condition(string CharacterId, IReadOnlyList<string> States, bool Negated)
{
    /// <summary>True where the condition is a season or a presence ("there are flowers") and names no states.</summary>
    public bool IsPresence => States.Count == 0;

    /// <summary>Reads <c>habit=climber</c>, <c>structure!=simple</c>, <c>a=b|c</c> or <c>flowering</c>.</summary>
    public static Condition Parse(string text)
    {
        var negated = text.Contains("!=", StringComparison.Ordinal);
        var halves = text.Split(negated ? "!=" : "=", 2, StringSplitOptions.TrimEntries);
        return halves.Length == 1
            ? new Condition(halves[0], [], false)
            : new Condition(halves[0], halves[1].Split('|', StringSplitOptions.TrimEntries), negated);
    }

    /// <inheritdoc/>
    public override string ToString() =>
        IsPresence ? CharacterId : $"{CharacterId}{(Negated ? "!=" : "=")}{string.Join('|', States)}";
}
