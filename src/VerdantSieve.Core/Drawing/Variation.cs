namespace VerdantSieve.Core.Drawing;

/// <summary>Natural variation from a seed: the same seed varies alike each time. Pictures of words have none.</summary>
public sealed class Variation
{
    private readonly Random? random;

    private Variation(Random? random) => this.random = random;

    /// <summary>No variation: every leaf as the words say.</summary>
    public static Variation None { get; } = new(null);

    /// <summary>The variation of one leaf.</summary>
    public static Variation Of(int seed) => new(new Random(seed));

    /// <summary>Whether two halves of one leaf may differ.</summary>
    internal bool IsNone => random is null;

    /// <summary>A factor about 1, seldom farther off than twice <paramref name="share"/> and never than thrice.</summary>
    internal double By(double share) => 1 + Off(share);

    /// <summary>A number about 0, seldom farther off than twice <paramref name="spread"/> and never than thrice.</summary>
    internal double Off(double spread)
    {
        if (random is null)
            return 0;
        // The sum of twelve even numbers is nearly normal, and bounded.
        var sum = -6.0;
        for (var i = 0; i < 12; i++)
            sum += random.NextDouble();
        return spread * Math.Clamp(sum, -3, 3);
    }
}
