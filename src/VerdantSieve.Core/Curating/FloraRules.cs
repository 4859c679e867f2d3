using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Curating;

/// <summary>Rules about what a flora says of countries, of doubles and of its states.</summary>
internal static class FloraRules
{
    private const int FewestNeighbours = 3;

    /// <summary>Keyed countries of which a taxon says nothing, and others that it lacks though it is native to all their
    /// neighbours.</summary>
    public static IEnumerable<Finding> NotLooked(Flora flora, IEnumerable<Taxon> taxa)
    {
        foreach (var taxon in taxa)
        {
            string[] unsaid = [.. flora.About.Keyed.Where(code => flora.OccurrenceOf(taxon, code) == Occurrence.NotLooked)];
            if (unsaid.Length > 0)
                yield return new Finding(FindingKind.NotLooked, $"{taxon.Name} has not been looked for in {Names(unsaid)}.", [taxon]);
            foreach (var code in Regions.Codes.Where(code => IsHole(flora, taxon, code)))
                yield return new Finding(
                    FindingKind.RangeHole,
                    $"{taxon.Name} is native to all that surrounds {Regions.Name(code)}, and nothing is said of it there.",
                    [taxon]
                );
        }
    }

    private static bool IsHole(Flora flora, Taxon taxon, string code) =>
        flora.OccurrenceOf(taxon, code) == Occurrence.NotLooked
        && Regions.Neighbours(code) is { Count: >= FewestNeighbours } around
        && around.All(near => taxon.Distribution.In(near) == Occurrence.Native);

    private static string Names(string[] codes) =>
        codes.Length > 4 ? $"{codes.Length} countries, such as {Regions.Name(codes[0])}" : string.Join(", ", codes.Select(Regions.Name));

    /// <summary>A double that does not name its double in turn, and one whose mark is no difference by the scores.</summary>
    public static IEnumerable<Finding> Doubles(Flora flora, IEnumerable<Taxon> taxa) =>
        from taxon in taxa
        from alike in taxon.Doubles
        let other = flora.FindTaxon(alike.Name)
        where other is not null
        from finding in Of(taxon, alike, other)
        select finding;

    private static IEnumerable<Finding> Of(Taxon taxon, PlantDouble alike, Taxon other)
    {
        if (other.Doubles.All(back => back.Name != taxon.Name.Text && !taxon.Synonyms.Contains(back.Name)))
            yield return new Finding(
                FindingKind.OneWayDouble,
                $"{other.Name} is a double of {taxon.Name}, but does not name it in turn.",
                [taxon, other]
            );
        if (alike.Marks.FirstOrDefault(mark => taxon.Score(mark) is { } one && one.Equals(other.Score(mark))) is { } empty)
            yield return new Finding(
                FindingKind.EmptyMark,
                $"{taxon.Name} is told from {other.Name} by {empty}, of which both have the same score.",
                [taxon, other]
            );
    }

    /// <summary>States that no taxon shows, and states that a single one shows without having been scored for it by itself.</summary>
    public static IEnumerable<Finding> States(Flora flora)
    {
        var shown = new Dictionary<(string, string), List<Taxon>>();
        foreach (var taxon in flora.Taxa)
            foreach (var (character, score) in taxon.Scores)
                if (score is StateScore states)
                    foreach (var state in states.States.Concat(states.Elsewhere.Values.SelectMany(there => there.States)))
                    {
                        if (!shown.TryGetValue((character, state.State), out var list))
                            shown[(character, state.State)] = list = [];
                        list.Add(taxon);
                    }
        foreach (var character in flora.Characters.OfType<StateCharacter>())
            foreach (var state in character.States)
                if (!shown.TryGetValue((character.Id, state.Id), out var taxa))
                    yield return new Finding(
                        FindingKind.UnusedState,
                        $"No taxon shows the state {state.Id} of {character.Label} ({character.Id}).",
                        []
                    );
                else if (taxa is [var only])
                    yield return new Finding(
                        FindingKind.LoneState,
                        $"Only {only.Name} shows the state {state.Id} of {character.Label} ({character.Id}).",
                        [only],
                        only.BasisOf(character.Id) == ScoreBasis.Own ? "scored for it by itself" : null
                    );
    }
}
