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

    /// <summary>The difference between two taxa: 0 (alike in all that is scored of both) to 1; NaN where nothing is scored of
    /// both.</summary>
    public double Difference(Taxon one, Taxon other)
    {
        var (sum, count) = (0.0, 0);
        foreach (var difference in differences)
        {
            if (difference(one, other) is not { } value)
                continue;
            sum += value;
            count++;
        }
        return count == 0 ? double.NaN : sum / count;
    }

    /// <summary>The taxa most like this one, the most alike first.</summary>
    public IEnumerable<(Taxon Taxon, double Difference)> Nearest(Taxon taxon) =>
        taxa.Where(other => other.Name != taxon.Name)
            .Select(other => (Taxon: other, Difference: Difference(taxon, other)))
            .Where(pair => !double.IsNaN(pair.Difference))
            .OrderBy(pair => pair.Difference);

    private static Func<Taxon, Taxon, double?> Difference(Character character, Flora flora)
    {
        // Made once for each taxon, since all are compared with all.
        if (character is StateCharacter { Ordered: false } states)
        {
            var shares = flora
                .Taxa.Where(taxon => taxon.Scores.ContainsKey(character.Id))
                .ToDictionary(taxon => taxon.Name, taxon => states.SharesOf((StateScore)taxon.Scores[character.Id]));
            return (one, other) =>
                shares.TryGetValue(one.Name, out var a) && shares.TryGetValue(other.Name, out var b) ? Apart(a, b) : null;
        }
        var places = flora
            .Taxa.Where(taxon => taxon.Scores.ContainsKey(character.Id))
            .ToDictionary(taxon => taxon.Name, taxon => PlaceOf(new Scored(character, taxon.Scores[character.Id])));
        var widest = places.Count == 0 ? 0 : places.Values.Max() - places.Values.Min();
        return (one, other) =>
        {
            if (!places.TryGetValue(one.Name, out var a) || !places.TryGetValue(other.Name, out var b))
                return null;
            return widest == 0 ? 0 : Math.Abs(a - b) / widest;
        };
    }

    // Where a score stands in its series or on its scale.
    private static double PlaceOf(Scored scored) =>
        scored.Match(
            states: (character, shown) => character.MiddleOf(shown),
            count: (_, range) => (range.Low + range.High) / 2,
            measure: (_, range) => (range.Low + range.High) / 2,
            presence: (_, presence) => presence.Frequency,
            season: (_, season) => season.Window.StartDay + season.Window.Length / 2.0
        );

    // The part of the shares that the two do not have in common: 0 where they show the same states as often, 1 where none in common.
    private static double Apart(double[] one, double[] other) => one.Zip(other, (a, b) => Math.Abs(a - b)).Sum() / 2;
}
