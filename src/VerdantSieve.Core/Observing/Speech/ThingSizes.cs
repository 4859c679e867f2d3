using System.Collections.Frozen;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>What people hold a size against: “the size of a tennis ball”, “as wide as a dinner plate”, “pea-sized”.</summary>
/// <remarks>Common practice, no source; in centimetres, from memory. Balls of games have the sizes of their rules, all else strays by a
/// quarter, as do sizes taken by eye.</remarks>
internal static class ThingSizes
{
    private static readonly (double Centimetres, string Words)[] Sizes =
    [
        (0.2, "pinhead, pin head"),
        (0.5, "peppercorn, lentil"),
        (0.8, "pea, chickpea"),
        (1.2, "blueberry, fingernail, finger nail"),
        (1.6, "marble, hazelnut, thumbnail, thumb nail"),
        (2, "cherry, grape, olive, penny, dime"),
        (2.3, "coin, postage stamp"),
        (4, "walnut, ping pong ball, table tennis ball"),
        (4.3, "golf ball"),
        (4.5, "plum"),
        (5.5, "egg, hen egg, chicken egg"),
        (6, "thumb, little finger, pinky"),
        (6.6, "tennis ball"),
        (7.4, "apple, orange, peach, lemon, baseball, base ball"),
        (8, "finger"),
        (8.5, "credit card, playing card"),
        (9, "fist"),
        (10, "palm, palm of my hand, palm of a hand, palm of your hand, softball"),
        (12, "grapefruit"),
        (15, "saucer"),
        (18, "hand"),
        (25, "plate, football, soccer ball"),
        (27, "dinner plate"),
    ];

    /// <summary>The thing's longest side, in centimetres, by its words in their one form, a space between them.</summary>
    public static FrozenDictionary<string, double> ByWords { get; } =
        Sizes
            .SelectMany(size => size.Words.Split(',', StringSplitOptions.TrimEntries).Select(words => (words, size.Centimetres)))
            .ToFrozenDictionary(pair => string.Join(' ', pair.words.Split(' ').Select(WordForms.Of)), pair => pair.Centimetres);

    /// <summary>Of how many words a thing's name is at most.</summary>
    public const int MostWords = 4;

    /// <summary>The words that a thing's name begins with.</summary>
    public static FrozenSet<string> Beginnings { get; } = ByWords.Keys.Select(words => words.Split(' ')[0]).ToFrozenSet();

    /// <summary>Balls and plates, which nothing is said to be like but for their size.</summary>
    public static bool IsBallOrPlate(string words) =>
        words.EndsWith("ball", StringComparison.Ordinal) || words.EndsWith("plate", StringComparison.Ordinal);

    /// <summary>Plants and their fruits, which a plant may be held against otherwise than in this size: “narrower than a plum’s”.</summary>
    public static FrozenSet<string> Plants { get; } =
        "peppercorn lentil chickpea blueberry hazelnut cherry grape olive walnut plum apple orange peach lemon grapefruit"
            .Split(' ')
            .ToFrozenSet();
}
