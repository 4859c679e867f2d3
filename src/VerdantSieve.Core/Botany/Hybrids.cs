namespace VerdantSieve.Core.Botany;

/// <summary>What a hybrid shows where the flora does not say: the marks of both parents, or something between them.</summary>
public static class Hybrids
{
    /// <summary>The taxa, each hybrid with the scores it lacks made from those of its parents.</summary>
    public static IEnumerable<Taxon> WithScores(IReadOnlyList<Taxon> taxa)
    {
        var byName = taxa.GroupBy(taxon => ScientificName.Fold(taxon.Name.Text)).ToDictionary(group => group.Key, group => group.First());
        return taxa.Select(taxon => taxon with { InferredScores = Inferred(taxon, byName) });
    }

    private static Dictionary<string, Score> Inferred(Taxon taxon, Dictionary<string, Taxon> byName)
    {
        var inferred = new Dictionary<string, Score>();
        if (taxon.HybridOf.Select(parent => byName.GetValueOrDefault(ScientificName.Fold(parent))).ToArray() is not [{ } one, { } other])
            return inferred;
        foreach (var (character, score) in one.OwnScores)
            if (
                !taxon.OwnScores.ContainsKey(character)
                && other.OwnScores.TryGetValue(character, out var second)
                && Between(score, second) is { } between
            )
                inferred[character] = between;
        return inferred;
    }

    /// <summary>A score that allows all that either parent shows and all that lies between them; null where the two are of different kinds.
    /// Of seasons
    /// the first is taken.</summary>
    public static Score? Between(Score one, Score other) =>
        one.Match(
            states: a => other is StateScore b ? Mixture(a, b) : null,
            range: a => other is RangeScore b ? Spanning(a, b) : null,
            presence: a => other is PresenceScore b ? new PresenceScore((a.Frequency + b.Frequency) / 2) : null,
            season: a => other is SeasonScore ? (Score?)a : null
        );

    private static StateScore Mixture(StateScore one, StateScore other) =>
        new([
            .. one
                .States.Concat(other.States)
                .Select(state => state.State)
                .Distinct()
                .Select(state => new StateFrequency(state, Frequency.Of((one.Share(state) + other.Share(state)) / 2))),
        ]);

    private static RangeScore Spanning(RangeScore one, RangeScore other) =>
        new(
            Math.Min(one.Minimum, other.Minimum),
            Math.Min(one.Low, other.Low),
            Math.Max(one.High, other.High),
            Math.Max(one.Maximum, other.Maximum)
        );
}
