namespace VerdantSieve.Core.Botany;

/// <summary>What a hybrid shows where the flora does not say: something between its parents where there is something between, else the
/// marks
/// of both.</summary>
public static class Hybrids
{
    /// <summary>The taxa, each hybrid with the scores it lacks made from those of its parents.</summary>
    public static IEnumerable<Taxon> WithScores(IReadOnlyList<Taxon> taxa, Vocabulary vocabulary)
    {
        var byName = taxa.GroupBy(taxon => ScientificName.Fold(taxon.Name.Text)).ToDictionary(group => group.Key, group => group.First());
        return taxa.Select(taxon => taxon with { InferredScores = Inferred(taxon, byName, vocabulary) });
    }

    private static Dictionary<string, Score> Inferred(Taxon taxon, Dictionary<string, Taxon> byName, Vocabulary vocabulary)
    {
        var inferred = new Dictionary<string, Score>();
        if (taxon.HybridOf.Select(parent => byName.GetValueOrDefault(ScientificName.Fold(parent))).ToArray() is not [{ } one, { } other])
            return inferred;
        foreach (var (character, score) in one.EnteredScores)
            if (
                !taxon.OwnScores.ContainsKey(character)
                && other.Scores.TryGetValue(character, out var second)
                && vocabulary.Find(character) is { } known
                && Between(score, second, known) is { } between
            )
                inferred[character] = between;
        return inferred;
    }

    /// <summary>A score that allows all that either parent shows and favours what lies between them; null where the two are of different
    /// kinds.</summary>
    /// <param name="one">The score of one parent.</param>
    /// <param name="other">That of the other.</param>
    /// <param name="character">The character.</param>
    public static Score? Between(Score one, Score other, Character character) =>
        one.Match(
            states: a => other is StateScore b && character is StateCharacter states ? Mixture(a, b, states) : null,
            range: a => other is RangeScore b ? Spanning(a, b) : null,
            presence: a => other is PresenceScore b ? new PresenceScore((a.Frequency + b.Frequency) / 2) : null,
            season: a => other is SeasonScore b ? (Score?)new SeasonScore(a.Window.Through(b.Window)) : null
        );

    // In a series the states between those of the parents are shown most, though neither parent shows them: thin hair between felt and
    // none is the hybrid's own mark.
    private static StateScore Mixture(StateScore one, StateScore other, StateCharacter character)
    {
        if (!character.Ordered)
            return Halves(one, other, character);
        var (a, b) = (character.MiddleOf(one), character.MiddleOf(other));
        var between = character
            .States.Where((_, i) => i > Math.Min(a, b) + NextTo && i < Math.Max(a, b) - NextTo)
            .Select(state => new StateFrequency(state.Id, Frequency.Usual))
            .ToArray();
        if (between.Length == 0)
            return Halves(one, other, character);
        return new StateScore([
            .. between,
            .. one
                .States.Concat(other.States)
                .Select(state => state.State)
                .Distinct()
                .Where(state => between.All(shown => shown.State != state))
                .Select(state => new StateFrequency(state, Frequency.Sometimes)),
        ]);
    }

    // What lies less than half a step from what a parent shows is what that parent shows.
    private const double NextTo = 0.5;

    // Half of what each parent shows, in the order in which the parents name it.
    private static StateScore Halves(StateScore one, StateScore other, StateCharacter character)
    {
        var (a, b) = (character.SharesOf(one), character.SharesOf(other));
        return new StateScore([
            .. one
                .States.Concat(other.States)
                .Select(state => state.State)
                .Distinct()
                .Select(state => (Id: state, At: character.IndexOf(state)))
                .Select(state => new StateFrequency(state.Id, Frequency.Of((a[state.At] + b[state.At]) / 2))),
        ]);
    }

    // As far as either parent goes, most often between the two.
    private static RangeScore Spanning(RangeScore one, RangeScore other) =>
        new(
            Math.Min(one.Minimum, other.Minimum),
            Mean(one.Low, other.Low),
            Mean(one.High, other.High),
            Math.Max(one.Maximum, other.Maximum)
        );

    // Sizes lie between by proportion; of counts the whole number.
    private static double Mean(double a, double b) => a == Math.Floor(a) && b == Math.Floor(b) ? Math.Round((a + b) / 2) : Math.Sqrt(a * b);
}
