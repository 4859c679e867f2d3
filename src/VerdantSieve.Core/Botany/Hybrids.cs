namespace VerdantSieve.Core.Botany;

/// <summary>What a hybrid shows where the flora does not say: the marks of both parents, or something between them.</summary>
public static class Hybrids
{
    /// <summary>The taxa, each hybrid with the scores it lacks made from those of its parents.</summary>
    public static IEnumerable<Taxon> WithScores(IReadOnlyList<Taxon> taxa)
    {
        if (taxa.All(taxon => taxon.HybridOf.Count == 0)) return taxa;
        var byName = taxa.GroupBy(taxon => ScientificName.Fold(taxon.Name.Text)).ToDictionary(group => group.Key, group => group.First());
        return taxa.Select(taxon => taxon.HybridOf.Select(parent => byName.GetValueOrDefault(ScientificName.Fold(parent))).ToArray() is [{ } one, { } other]
            ? With(taxon, Fill(taxon.Scores, one.Scores, other.Scores)) : taxon);
    }

    private static Taxon With(Taxon hybrid, Dictionary<string, Score> scores) =>
        hybrid with { Scores = scores, Inferred = scores.Keys.Except(hybrid.Scores.Keys).Union(hybrid.Inferred).ToHashSet() };

    private static Dictionary<string, Score> Fill(IReadOnlyDictionary<string, Score> own, IReadOnlyDictionary<string, Score> one, IReadOnlyDictionary<string, Score> other)
    {
        var scores = own.ToDictionary();
        foreach (var (character, score) in one)
            if (other.TryGetValue(character, out var second) && Between(score, second) is { } between) scores.TryAdd(character, between);
        return scores;
    }

    /// <summary>A score that allows all that either parent shows and all that lies between them; null where the two cannot be joined.</summary>
    public static Score? Between(Score one, Score other) => (one, other) switch
    {
        (StateScore a, StateScore b) => new StateScore([.. Shares(a).Concat(Shares(b)).GroupBy(pair => pair.State)
            .Select(group => new StateFrequency(group.Key, Frequency.Of(group.Sum(pair => pair.Share) / 2)))]),
        (RangeScore a, RangeScore b) => new RangeScore(Math.Min(a.Minimum, b.Minimum), Math.Min(a.Low, b.Low), Math.Max(a.High, b.High), Math.Max(a.Maximum, b.Maximum)),
        (PresenceScore a, PresenceScore b) => new PresenceScore((a.Frequency + b.Frequency) / 2),
        (SeasonScore a, SeasonScore) => a,
        _ => null
    };

    private static IEnumerable<(string State, double Share)> Shares(StateScore score)
    {
        var sum = score.States.Sum(state => state.Weight);
        return score.States.Select(state => (state.State, state.Weight / sum));
    }
}
