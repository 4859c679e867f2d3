namespace VerdantSieve.Core.Observing.Speech;

/// <summary>Phrases by their words, so that the longest that begins at a place in a text is found in one walk.</summary>
internal sealed class PhraseTree<T>
    where T : class, new()
{
    private sealed class Node
    {
        public Dictionary<string, Node> Next { get; } = [];
        public T? Meaning { get; set; }
    }

    private readonly Node root = new();

    /// <summary>The words of a phrase, each in its one form.</summary>
    public static string[] Words(string phrase) =>
        [.. SpeechTokens.Of(phrase).Where(token => token.Kind is TokenKind.Word or TokenKind.Number).Select(token => token.Form)];

    /// <summary>What a phrase means so far, to be added to; null where the phrase has no words.</summary>
    public T? At(string phrase)
    {
        var words = Words(phrase);
        if (words.Length == 0)
            return null;
        var node = root;
        foreach (var word in words)
            node = node.Next.TryGetValue(word, out var next) ? next : node.Next[word] = new Node();
        return node.Meaning ??= new T();
    }

    /// <summary>What one word means; null where it is no phrase.</summary>
    public T? Find(string word) => root.Next.GetValueOrDefault(word)?.Meaning;

    /// <summary>The longest phrase that begins at a place; hyphens within it do not matter.</summary>
    /// <returns>What it means, and the place behind it; null where none begins there.</returns>
    public (T Meaning, int End)? Longest(IReadOnlyList<SpokenToken> tokens, int start) => Longest(tokens, start, tokens.Count);

    /// <summary>The longest phrase that begins at a place and ends before another.</summary>
    public (T Meaning, int End)? Longest(IReadOnlyList<SpokenToken> tokens, int start, int before)
    {
        (T, int)? longest = null;
        var node = root;
        for (var at = start; at < before; at++)
        {
            if (tokens[at].Kind == TokenKind.Dash && at > start)
                continue;
            if (tokens[at].Kind is not (TokenKind.Word or TokenKind.Number) || !node.Next.TryGetValue(tokens[at].Form, out var next))
                break;
            node = next;
            if (node.Meaning is { } meaning)
                longest = (meaning, at + 1);
        }
        return longest;
    }
}
