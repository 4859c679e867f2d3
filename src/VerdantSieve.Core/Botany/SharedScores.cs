namespace VerdantSieve.Core.Botany;

/// <summary>Scores that are written once and hold for many taxa: for a genus, for a group within it, or for all.</summary>
/// <param name="Genus">The genus; null for what is taken as given of every taxon.</param>
/// <param name="Group">The section or informal group within the genus, as taxa name it; null for the whole genus.</param>
/// <param name="Scores">The scores by character id.</param>
public sealed record SharedScores(string? Genus, string? Group, IReadOnlyDictionary<string, Score> Scores)
{
    /// <summary>How a taxon comes by them.</summary>
    public ScoreBasis Basis => Genus is null ? ScoreBasis.Default : ScoreBasis.Shared;

    /// <summary>Whether they hold for a taxon.</summary>
    public bool HoldFor(Taxon taxon) => Genus is null || Genus == taxon.Name.Genus && (Group is null || Group == taxon.Group);

    /// <summary>The taxa, each with the scores that it shares and does not have of its own. What the nearer group says goes before what the
    /// genus says, and both before what is taken as given; what cannot apply to a taxon is left out.</summary>
    /// <param name="taxa">The taxa.</param>
    /// <param name="shared">All that is shared.</param>
    /// <param name="vocabulary">Says what can apply.</param>
    public static IEnumerable<Taxon> Added(IEnumerable<Taxon> taxa, IReadOnlyList<SharedScores> shared, Vocabulary vocabulary)
    {
        SharedScores[] nearestFirst = [.. shared.OrderBy(one => one.Group is null).ThenBy(one => one.Genus is null)];
        return taxa.Select(taxon => taxon with { Shared = Of(taxon) });

        Dictionary<string, (Score, ScoreBasis)> Of(Taxon taxon)
        {
            var all = taxon.Scores.Where(pair => taxon.BasisOf(pair.Key) is ScoreBasis.Own or ScoreBasis.Parents).ToDictionary();
            var added = new Dictionary<string, (Score, ScoreBasis)>();
            foreach (var one in nearestFirst.Where(one => one.HoldFor(taxon)))
                foreach (var (character, score) in one.Scores)
                    if (all.TryAdd(character, score))
                        added[character] = (score, one.Basis);
            // What hangs on another character may be ruled out by what the taxon has of its own.
            foreach (var character in added.Keys.Where(id => !vocabulary.CanApply(vocabulary[id], all)).ToArray())
                added.Remove(character);
            return added;
        }
    }
}
