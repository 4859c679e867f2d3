using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Simulating;

/// <summary>What came of one made-up look.</summary>
/// <param name="Plant">The taxon the plant was of.</param>
/// <param name="Readings">How many readings were told.</param>
/// <param name="Effort">What all looks cost, those that told nothing too; 1 is a glance at the twig.</param>
/// <param name="Answer">The last answer.</param>
/// <param name="Wrong">Which readings were wrong, by character id.</param>
public sealed record LookResult(Taxon Plant, int Readings, double Effort, SieveAnswer Answer, IReadOnlyDictionary<string, bool> Wrong)
{
    /// <summary>The place of the right kind among the candidates, 1 for the first.</summary>
    public int Place { get; } = Answer.Candidates.TakeWhile(candidate => candidate.Taxon.Name != Plant.Name).Count() + 1;

    /// <summary>Whether the right kind is among those that make up 95 % of the weight of the known kinds; what falls to unknown ones would
    /// else let in any.</summary>
    public bool InSet { get; } =
        Answer.Candidates.TakeWhile(candidate => candidate.Taxon.Name != Plant.Name).Sum(candidate => candidate.Probability)
        < 0.95 * (1 - Answer.NoneOfThese);

    /// <summary>Where the strict rule puts it.</summary>
    public StrictStanding Strictly(int allowed) => StrictStanding.Of(Answer, Plant, allowed);
}
