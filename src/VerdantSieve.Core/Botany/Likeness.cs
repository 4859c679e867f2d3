namespace VerdantSieve.Core.Botany;

/// <summary>How alike the taxa of a flora are over all that is scored of both: what finds doubles that nobody wrote down.</summary>
/// <remarks>J. C. Gower 1971, A general coefficient of similarity and some of its properties, Biometrics 27: the mean over the characters
/// scored in both of a difference from 0 to 1. For states it is 0 where they are the same and 1 where they differ, for states in series and
/// for ranges the distance over the widest distance in the flora. Where a taxon shows several states, or a range, the difference is that of
/// the shares, or of the middles.</remarks>
public sealed class Likeness
{
    private readonly IReadOnlyList<Taxon> taxa;
    private readonly Func<Taxon, Taxon, double?>[] differences;

    /// <summary>Makes the flora ready to be compared.</summary>
    public Likeness(Flora flora)
    {
        taxa = flora.Taxa;
        differences = [.. flora.Characters.Select(character => Difference(character, flora))];
    }

    /// <summary>The difference between two taxa: 0 (alike in all that is scored of both) to 1; NaN where nothing is scored of both.</summary>
    public double Difference(Taxon one, Taxon other)
    {
        var (sum, count) = (0.0, 0);
        foreach (var difference in differences)
        {
            if (difference(one, other) is not { } value) continue;
            sum += value;
            count++;
        }
        return count == 0 ? double.NaN : sum / count;
    }

    /// <summary>The taxa most like this one, the most alike first.</summary>
    public IEnumerable<(Taxon Taxon, double Difference)> Nearest(Taxon taxon) =>
        taxa.Where(other => other.Name != taxon.Name).Select(other => (other, Difference(taxon, other))).Where(pair => !double.IsNaN(pair.Item2)).OrderBy(pair => pair.Item2);

    private static Func<Taxon, Taxon, double?> Difference(Character character, Flora flora)
    {
        var place = character switch
        {
            StateCharacter { Ordered: true } states => score => ((StateScore)score).States is var shown
                ? shown.Sum(state => state.Weight * states.IndexOf(state.State)) / shown.Sum(state => state.Weight) : 0,
            StateCharacter => null,
            PresenceCharacter => score => ((PresenceScore)score).Frequency,
            SeasonCharacter => score => Middle(((SeasonScore)score).Window),
            _ => (Func<Score, double>)(score => (((RangeScore)score).Low + ((RangeScore)score).High) / 2)
        };
        if (place is null) return (one, other) => Both(one, other) is var (a, b) ? Apart((StateScore)a, (StateScore)b) : null;

        var places = flora.Taxa.Where(taxon => taxon.Scores.ContainsKey(character.Id)).Select(taxon => place(taxon.Scores[character.Id])).ToArray();
        var widest = places.Length == 0 ? 0 : places.Max() - places.Min();
        return (one, other) => Both(one, other) is var (a, b) ? widest == 0 ? 0 : Math.Abs(place(a) - place(b)) / widest : null;

        (Score, Score)? Both(Taxon one, Taxon other) =>
            one.Scores.TryGetValue(character.Id, out var a) && other.Scores.TryGetValue(character.Id, out var b) ? (a, b) : null;
    }

    private static double Middle(Seasons.SeasonWindow window) => window.StartDay + window.Length / 2.0;

    // The part of the shares that the two do not have in common: 0 where they show the same states as often, 1 where none in common.
    private static double Apart(StateScore one, StateScore other)
    {
        double Share(StateScore score, string state) => score.States.Where(s => s.State == state).Sum(s => s.Weight) / score.States.Sum(s => s.Weight);
        return one.States.Concat(other.States).Select(state => state.State).Distinct().Sum(state => Math.Abs(Share(one, state) - Share(other, state))) / 2;
    }
}
