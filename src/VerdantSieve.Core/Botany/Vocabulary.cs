using System.Collections.Frozen;

namespace VerdantSieve.Core.Botany;

/// <summary>The characters of a flora in the natural order of work, and what hangs on what.</summary>
public sealed class Vocabulary
{
    private readonly FrozenDictionary<string, Character> byId;
    private readonly FrozenDictionary<string, Condition[]> conditions;
    private readonly FrozenDictionary<string, Character> formerly;
    private readonly FrozenDictionary<string, FrozenDictionary<string, Character>> moved;

    /// <summary>Puts characters together.</summary>
    /// <exception cref="ArgumentException">An id stands twice, or a condition is about a character that is not there or hangs on
    /// itself.</exception>
    public Vocabulary(IEnumerable<Character> characters)
    {
        Characters = [.. characters];
        byId = Characters.ToFrozenDictionary(character => character.Id);
        foreach (var character in Characters)
            if (!Rests(character))
                throw new ArgumentException($"What {character.Id} hangs on is not there, or hangs on it.", nameof(characters));
        conditions = Characters.ToFrozenDictionary(character => character.Id, character => Chain(character).ToArray());
        var former = Characters
            .SelectMany(now => now.Formerly.Select(word => (Now: now, Word: word)))
            .ToLookup(pair => pair.Word.State is null);
        formerly = former[true].ToFrozenDictionary(pair => pair.Word.Character, pair => pair.Now);
        moved = former[false]
            .GroupBy(pair => pair.Word.Character)
            .ToFrozenDictionary(group => group.Key, group => group.ToFrozenDictionary(pair => pair.Word.State!, pair => pair.Now));
    }

    /// <summary>The characters, in order.</summary>
    public IReadOnlyList<Character> Characters { get; }

    /// <summary>The character with this id, now or formerly, or null.</summary>
    public Character? Find(string id) => byId.GetValueOrDefault(id) ?? formerly.GetValueOrDefault(id);

    /// <summary>Whether states of a character have become characters of their own.</summary>
    public bool HasMoved(string character) => moved.ContainsKey(character);

    /// <summary>The character that a state of another one has become, or null.</summary>
    public Character? MovedTo(string character, string state) => moved.GetValueOrDefault(character)?.GetValueOrDefault(state);

    /// <summary>The character with this id.</summary>
    /// <exception cref="KeyNotFoundException">There is no such character.</exception>
    public Character this[string id] => byId[id];

    /// <summary>The conditions a character hangs on: its own, that of the character it is about, and so on.</summary>
    public IReadOnlyList<Condition> ConditionsOf(Character character) => conditions[character.Id];

    /// <summary>Whether a kind with these scores can show the character at all. Only what is scored can rule it out.</summary>
    public bool CanApply(Character character, IReadOnlyDictionary<string, Score> scores) =>
        ConditionsOf(character).All(condition => condition.CanBeMet(scores.GetValueOrDefault(condition.CharacterId)));

    /// <summary>Whether a condition names states of a character that is there.</summary>
    public bool Knows(Condition condition) =>
        Find(condition.CharacterId) is StateCharacter on && condition.States.All(state => on.IndexOf(state) >= 0);

    private bool Rests(Character character)
    {
        var met = new HashSet<string>();
        for (var at = character; at.OnlyIf is { } condition; at = byId[condition.CharacterId])
            if (!met.Add(at.Id) || !byId.ContainsKey(condition.CharacterId))
                return false;
        return true;
    }

    private IEnumerable<Condition> Chain(Character character)
    {
        for (var at = character; at.OnlyIf is { } condition; at = byId[condition.CharacterId])
            yield return condition;
    }
}
