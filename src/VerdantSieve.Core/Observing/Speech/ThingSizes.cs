using System.Collections.Frozen;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>What people hold a size against: “the size of a tennis ball”, “as wide as a dinner plate”, “pea-sized”.</summary>
/// <remarks>Common practice, no source; in centimetres, from memory. Balls of games have the sizes of their rules, all else strays by a
/// quarter, as do sizes taken by eye.</remarks>
internal static class ThingSizes
{
    // Plants and their fruits stand apart: a plant may be held against them otherwise than in this size.
    private static readonly (double Centimetres, string Things, string Plants)[] Sizes =
    [
        (0.2, "pinhead, pin head", ""),
        (0.5, "", "peppercorn, lentil"),
        (0.8, "pea", "chickpea"),
        (1.2, "fingernail, finger nail", "blueberry"),
        (1.6, "marble, thumbnail, thumb nail", "hazelnut"),
        (2, "penny, dime", "cherry, grape, olive"),
        (2.3, "coin, postage stamp", ""),
        (4, "ping pong ball, table tennis ball", "walnut"),
        (4.3, "golf ball", ""),
        (4.5, "", "plum"),
        (5.5, "egg, hen egg, chicken egg", ""),
        (6, "thumb, little finger, pinky", ""),
        (6.6, "tennis ball", ""),
        (7.4, "baseball, base ball", "apple, orange, peach, lemon"),
        (8, "finger", ""),
        (8.5, "credit card, playing card", ""),
        (9, "fist", ""),
        (10, "palm, palm of my hand, palm of a hand, palm of your hand, softball", ""),
        (12, "", "grapefruit"),
        (15, "saucer", ""),
        (18, "hand", ""),
        (25, "plate, football, soccer ball", ""),
        (27, "dinner plate", ""),
    ];

    /// <summary>The thing's longest side, in centimetres, by its words in their one form, a space between them.</summary>
    public static FrozenDictionary<string, double> ByWords { get; } =
        Sizes
            .SelectMany(size => Forms(size.Things).Concat(Forms(size.Plants)).Select(words => (words, size.Centimetres)))
            .ToFrozenDictionary(pair => pair.words, pair => pair.Centimetres);

    /// <summary>Those that are plants or their fruits, which a plant may be held against otherwise: “narrower than a plum’s”.</summary>
    public static FrozenSet<string> Plants { get; } = Sizes.SelectMany(size => Forms(size.Plants)).ToFrozenSet();

    /// <summary>Of how many words a thing's name is at most.</summary>
    public static int MostWords { get; } = ByWords.Keys.Max(words => words.Split(' ').Length);

    /// <summary>The words that a thing's name begins with.</summary>
    public static FrozenSet<string> Beginnings { get; } = ByWords.Keys.Select(words => words.Split(' ')[0]).ToFrozenSet();

    /// <summary>Balls and plates, which nothing is said to be like but for their size.</summary>
    public static bool IsBallOrPlate(string words) =>
        words.EndsWith("ball", StringComparison.Ordinal) || words.EndsWith("plate", StringComparison.Ordinal);

    private static IEnumerable<string> Forms(string names) =>
        names
            .Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)
            .Select(name => string.Join(' ', name.Split(' ').Select(WordForms.Of)));
}
