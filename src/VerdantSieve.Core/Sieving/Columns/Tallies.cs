using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

/// <summary>The chance of a tally: leaves of one plant are more alike than leaves of the whole kind.</summary>
internal static class Tallies
{
    /// <summary>Up to this part of a sample is an odd leaf, which holds nothing.</summary>
    public const double OddLeaf = 0.15;

    /// <summary>The chance of a tally, in the order in which the leaves were looked at.</summary>
    /// <remarks>The Dirichlet-multinomial distribution (J. E. Mosimann 1962, On the compound multinomial distribution, Biometrika 49): the
    /// shares of a plant are drawn about those of its kind, and leaves from the shares of the plant.</remarks>
    /// <param name="tally">What was counted.</param>
    /// <param name="chances">The chance of each line of the tally for one leaf of the kind, above 0.</param>
    /// <param name="alike">How like the kind's the shares of a plant are: large where all plants are alike, near 0 where each plant shows
    /// one
    /// thing only.</param>
    public static double Chance(Tallied tally, ReadOnlySpan<double> chances, double alike)
    {
        var (chance, before) = (1.0, 0);
        for (var line = 0; line < chances.Length; line++)
            for (var leaf = 0; leaf < tally.Of[line].Leaves; leaf++)
                chance *= (alike * chances[line] + leaf) / (alike + before++);
        return Math.Max(chance, double.Epsilon * 1e100);
    }
}
