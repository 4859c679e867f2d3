using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Practising;

/// <summary>How near two kinds are, by what the best looks tell of the one bit between them: the fewer bits, the harder they are to
/// part.</summary>
/// <param name="sieve">The sieve over their flora.</param>
public sealed class Nearness(Sieve sieve)
{
    private const int BestLooks = 5;
    private const double SeenOnMost = 0.5,
        Whole = 1;

    /// <summary>The bits that the five best looks in leaf tell between two kinds, 0 to 5. Looks are taken as if each stood alone.</summary>
    public double Bits(Taxon one, Taxon other) =>
        sieve
            .TellApart([one, other], Circumstances.Unknown)
            .Where(separation => separation.Now > SeenOnMost)
            // What one of them can’t show at all parts it from the other.
            .Select(separation => separation.Applies.All(applies => applies) ? separation.Bits : Whole)
            .OrderDescending()
            .Take(BestLooks)
            .Sum();

    /// <summary>How hard that is, in words.</summary>
    public static string Words(double bits) =>
        bits switch
        {
            < 1 => "very near",
            < 2 => "near",
            < 3.5 => "unlike",
            _ => "far apart",
        };
}
