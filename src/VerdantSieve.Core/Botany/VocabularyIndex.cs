namespace VerdantSieve.Core.Botany;

/// <summary>Finds characters and their states by any of the words people say for them, forgiving of spelling.</summary>
public sealed class VocabularyIndex
{
    private readonly (Named Item, string[][] Names)[] words;

    /// <summary>Reads the labels, ids and further words of a vocabulary.</summary>
    public VocabularyIndex(Vocabulary vocabulary) => words = [.. vocabulary.Characters.SelectMany(Of)];

    private sealed record Named(VocabularyWord Word, string[][] Names, string[] Texts)
    {
        // The name that says least beyond what was asked.
        public VocabularyWord FoundBy(string[] asked)
        {
            var best = Enumerable.Range(0, Names.Length).MinBy(at => (WordMatch.Rank(asked, Names[at]), Spare(asked, Names[at])));
            return Word with { Said = Texts[best] };
        }
    }

    /// <summary>What answers to all of the words, best first: whole words before beginnings, beginnings before parts, and words spelt
    /// nearly so only where nothing else is found. Empty where nothing comes near, or there are no words.</summary>
    public IReadOnlyList<VocabularyWord> Find(string text)
    {
        var asked = WordMatch.Words(text);
        if (asked.Length == 0)
            return [];
        return
        [
            .. WordMatch
                .Find(asked, words)
                .Found.OrderBy(pair => pair.Rank)
                .ThenBy(pair => pair.Item.Names.Min(name => Spare(asked, name)))
                .ThenBy(pair => pair.Item.Word.Character.Order)
                .Select(pair => pair.Item.FoundBy(asked)),
        ];
    }

    // By how many words the name says more than was asked; a name that does not answer says the most.
    private static int Spare(string[] asked, string[] name) =>
        WordMatch.Rank(asked, name) == WordMatch.None ? int.MaxValue : Math.Max(0, name.Length - asked.Length);

    private static IEnumerable<(Named, string[][])> Of(Character character)
    {
        yield return Names(character, null, character.Id, character.Label, character.Also);
        foreach (var state in (character as StateCharacter)?.States ?? [])
            yield return Names(character, state, state.Id, state.Label, state.Also);
        foreach (var broad in (character as StateCharacter)?.BroadWords ?? [])
            yield return Names(character, null, broad.Id, broad.Label, broad.Also);
    }

    private static (Named, string[][]) Names(Character character, State? state, string id, string label, IReadOnlyList<string> also)
    {
        string[] texts = [.. also.Prepend(label).Prepend(id).Where(text => WordMatch.Words(text).Length > 0)];
        string[][] names = [.. texts.Select(WordMatch.Words)];
        return (new Named(new VocabularyWord(character, state), names, texts), names);
    }
}

/// <summary>A character, or one of its states, that answers to words.</summary>
/// <param name="Character">The character.</param>
/// <param name="State">The state; null where the words are the character's own.</param>
public sealed record VocabularyWord(Character Character, State? State)
{
    /// <summary>The words of the vocabulary that it was found by; null where it was not looked for.</summary>
    public string? Said { get; init; }
}
