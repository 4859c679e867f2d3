namespace VerdantSieve.Core;

/// <summary>The words of enumerations, the one way they are written in files, requests, forms and the database: <c>SkinIrritant</c> is
/// <c>skin-irritant</c>.</summary>
public static class EnumWords
{
    /// <summary>The word for a value.</summary>
    /// <exception cref="KeyNotFoundException">The enumeration has no such value.</exception>
    public static string Word<T>(this T value)
        where T : struct, Enum => Words<T>.ByValue[value];

    /// <summary>All words, in the order of the values.</summary>
    public static IReadOnlyList<string> All<T>()
        where T : struct, Enum => Words<T>.InOrder;

    /// <summary>All words as they stand in a message: “sure, fair or guess”.</summary>
    public static string Listed<T>()
        where T : struct, Enum => $"{string.Join(", ", All<T>().SkipLast(1))} or {All<T>()[^1]}";

    /// <summary>The value a word stands for.</summary>
    /// <returns>Whether there is one.</returns>
    public static bool TryRead<T>(string? word, out T value)
        where T : struct, Enum
    {
        value = default;
        return word is not null && Words<T>.ByWord.TryGetValue(word, out value);
    }

    private static string Hyphenated(string name) =>
        string.Concat(
            name.Select(
                (letter, at) => char.IsUpper(letter) && at > 0 ? $"-{char.ToLowerInvariant(letter)}" : $"{char.ToLowerInvariant(letter)}"
            )
        );

    private static class Words<T>
        where T : struct, Enum
    {
        public static readonly Dictionary<T, string> ByValue = Enum.GetValues<T>()
            .ToDictionary(value => value, value => Hyphenated(value.ToString()));
        public static readonly Dictionary<string, T> ByWord = ByValue.ToDictionary(pair => pair.Value, pair => pair.Key);
        public static readonly string[] InOrder = [.. Enum.GetValues<T>().Select(value => ByValue[value])];
    }
}
