using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Curating;

/// <summary>How far two drafts of the same scores agree.</summary>
public static class Agreement
{
    /// <summary>Cohen's kappa: agreement beyond what chance would bring, 1 at most and 0 at chance. 1 where there is one answer only and both give it.</summary>
    /// <remarks>J. Cohen 1960, A coefficient of agreement for nominal scales, Educational and Psychological Measurement 20: κ = (p_o − p_e) / (1 − p_e).</remarks>
    /// <exception cref="ArgumentException">There is nothing to compare.</exception>
    public static double Kappa(IReadOnlyCollection<(string One, string Other)> pairs)
    {
        if (pairs.Count == 0) throw new ArgumentException("Kappa needs at least one pair.", nameof(pairs));
        double n = pairs.Count;
        var observed = pairs.Count(pair => pair.One == pair.Other) / n;
        var other = pairs.CountBy(pair => pair.Other).ToDictionary();
        var expected = pairs.CountBy(pair => pair.One).Sum(count => count.Value / n * other.GetValueOrDefault(count.Key) / n);
        return expected >= 1 ? 1 : (observed - expected) / (1 - expected);
    }

    /// <summary>The part of two usual ranges that they share, of all that either covers (0 to 1), on a scale of logarithms as sizes vary on it.</summary>
    /// <remarks>P. Jaccard's index, 1901, of the two spans. Two single values that are the same agree wholly.</remarks>
    public static double Overlap(RangeScore one, RangeScore other)
    {
        var (a, b, c, d) = (Math.Log(one.Low), Math.Log(one.High), Math.Log(other.Low), Math.Log(other.High));
        var all = Math.Max(b, d) - Math.Min(a, c);
        return all == 0 ? 1 : Math.Max(0, Math.Min(b, d) - Math.Max(a, c)) / all;
    }

    /// <summary>The part of two scores for states that they share (0 to 1): the sum over the states of the smaller share.</summary>
    public static double Shared(StateScore one, StateScore other)
    {
        return one.States.Select(state => state.State).Sum(state => Math.Min(Share(one, state), Share(other, state)));

        static double Share(StateScore score, string state) => score.States.Where(s => s.State == state).Sum(s => s.Weight) / score.States.Sum(s => s.Weight);
    }

    /// <summary>How alike two scores for one character are (0 to 1): <see cref="Shared"/> of states, <see cref="Overlap"/> of ranges; of others, whether they are the same.</summary>
    public static double Likeness(Score one, Score other) => (one, other) switch
    {
        (StateScore states, StateScore others) => Shared(states, others),
        (RangeScore range, RangeScore span) => Overlap(range, span),
        _ => one == other ? 1 : 0
    };

    /// <summary>The state a taxon shows most; the first written where several are as usual.</summary>
    public static string Chief(StateScore score) => score.States.MaxBy(state => state.Weight).State;
}
