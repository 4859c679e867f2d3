using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Curating;

/// <summary>How far two drafts of the same scores agree.</summary>
public static class Agreement
{
    /// <summary>Cohen's kappa: agreement beyond what chance would bring, 1 at most and 0 at chance. 1 where there is one answer only and
    /// both give it.</summary>
    /// <remarks>J. Cohen 1960, A coefficient of agreement for nominal scales, Educational and Psychological Measurement 20: κ = (p_o − p_e)
    /// / (1 − p_e).</remarks>
    /// <exception cref="ArgumentException">There is nothing to compare.</exception>
    public static double Kappa(IReadOnlyCollection<(string One, string Other)> pairs)
    {
        if (pairs.Count == 0)
            throw new ArgumentException("Kappa needs at least one pair.", nameof(pairs));
        double n = pairs.Count;
        var observed = pairs.Count(pair => pair.One == pair.Other) / n;
        var other = pairs.CountBy(pair => pair.Other).ToDictionary();
        var expected = pairs.CountBy(pair => pair.One).Sum(count => count.Value / n * other.GetValueOrDefault(count.Key) / n);
        return expected >= 1 ? 1 : (observed - expected) / (1 - expected);
    }

    /// <summary>The part of two usual ranges that they share, of all that either covers (0 to 1), on a scale of logarithms as sizes vary on
    /// it.</summary>
    /// <remarks>P. Jaccard's index, 1901, of the two spans. Two single values that are the same agree wholly.</remarks>
    public static double Overlap(RangeScore one, RangeScore other)
    {
        var shared = Math.Log(Math.Min(one.High, other.High) / Math.Max(one.Low, other.Low));
        var all = Math.Log(Math.Max(one.High, other.High) / Math.Min(one.Low, other.Low));
        return all == 0 ? 1 : Math.Max(0, shared) / all;
    }

    /// <summary>The part of two scores for states that they share (0 to 1): the sum over the states of the smaller weight. The order in
    /// which a draft names them is its writer's and counts for nothing here.</summary>
    public static double Shared(StateScore one, StateScore other)
    {
        var (a, b) = (Weights(one), Weights(other));
        return a.Sum(state => Math.Min(state.Value, b.GetValueOrDefault(state.Key)));
    }

    private static Dictionary<string, double> Weights(StateScore score)
    {
        var sum = score.States.Sum(state => state.Weight);
        return score.States.ToDictionary(state => state.State, state => state.Weight / sum);
    }

    /// <summary>How alike two scores for one character are (0 to 1): <see cref="Shared"/> of states, <see cref="Overlap"/> of ranges; of
    /// others, whether they are the same.</summary>
    /// <exception cref="InvalidCastException">The scores are of different kinds.</exception>
    public static double Likeness(Score one, Score other) =>
        one.Match(
            states: states => Shared(states, (StateScore)other),
            range: range => Overlap(range, (RangeScore)other),
            presence: presence => presence == (PresenceScore)other ? 1.0 : 0,
            season: season => season == (SeasonScore)other ? 1 : 0
        );

    /// <summary>Whether two scores for one character cannot both be right: neither's chief state is among the other's, the ranges do not
    /// touch, or
    /// they are not the same.</summary>
    /// <exception cref="InvalidCastException">The scores are of different kinds.</exception>
    public static bool Excludes(Score one, Score other) =>
        one.Match(
            states: states => !states.Allows(((StateScore)other).Chief) && !((StateScore)other).Allows(states.Chief),
            range: range => range.High < ((RangeScore)other).Low || ((RangeScore)other).High < range.Low,
            presence: presence => presence != (PresenceScore)other,
            season: season => season != (SeasonScore)other
        );
}
