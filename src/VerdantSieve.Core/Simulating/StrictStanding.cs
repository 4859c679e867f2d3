using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Simulating;

/// <summary>Where the strict rule puts the right kind: all it knows is how often a kind is held.</summary>
/// <param name="Better">How many kinds are held less often.</param>
/// <param name="Tied">How many are held as often, itself among them.</param>
/// <param name="InPan">Whether it passes with the disagreements allowed.</param>
public readonly record struct StrictStanding(int Better, int Tied, bool InPan)
{
    /// <summary>The chance that a pick among the first <paramref name="places"/> hits it, ties broken by lot: 0 to 1.</summary>
    public double Within(int places) => InPan ? Math.Clamp((places - Better) / (double)Tied, 0, 1) : 0;

    internal static StrictStanding Of(SieveAnswer answer, Taxon taxon, int allowed) =>
        answer.Candidates.FirstOrDefault(candidate => candidate.Taxon.Name == taxon.Name) is { Held.Count: var held }
            ? new(answer.Candidates.Count(c => c.Held.Count < held), answer.Candidates.Count(c => c.Held.Count == held), held <= allowed)
            : default;
}
