using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;

namespace VerdantSieve.Core.Curating;

/// <summary>Two floras put together by character.</summary>
/// <param name="Flora">The flora that comes of it.</param>
/// <param name="Kept">Where both said something different, and what was kept of the first, in sentences.</param>
public sealed record FloraMerge(Flora Flora, IReadOnlyList<string> Kept)
{
    /// <summary>Puts two floras together. Characters of the same id are one; their states are those of both. Of a taxon that both hold, the first
    /// has the say, and the second fills what it leaves open. Taxa, words and places of the second that the first lacks are taken over.</summary>
    /// <param name="first">The flora that has the say.</param>
    /// <param name="second">The flora that fills the gaps.</param>
    /// <param name="id">The id of the flora that comes of it.</param>
    /// <param name="title">Its title.</param>
    public static FloraMerge Of(Flora first, Flora second, string id, string title)
    {
        var kept = new List<string>();
        var characters = Characters(first, second, kept);
        var known = characters.ToDictionary(character => character.Id);
        var taxa = first.Taxa.Select(taxon => second.FindTaxon(taxon.Name.Text) is { } other ? Filled(taxon, other, known, kept) : Own(taxon, taxon.Scores))
            .Concat(second.Taxa.Where(taxon => first.FindTaxon(taxon.Name.Text) is null).Select(taxon => Own(taxon, Fitting(taxon, known, kept)))).ToList();
        var (a, b) = (first.About, second.About);
        var about = new FloraAbout(id, title)
        {
            ReferencePlace = a.ReferencePlace, Places = Both(a.Places, b.Places), GenusWords = Both(a.GenusWords, b.GenusWords), FamilyWords = Both(a.FamilyWords, b.FamilyWords),
            Aggregates = Both(a.Aggregates, b.Aggregates), NearAlike = Both(a.NearAlike, b.NearAlike)
        };
        return new FloraMerge(new Flora(about, characters, taxa), kept);
    }

    private static List<Character> Characters(Flora first, Flora second, List<string> kept)
    {
        var characters = new List<Character>();
        foreach (var character in first.Characters.Concat(second.Characters.Where(character => first.FindCharacter(character.Id) is null)))
        {
            var merged = character;
            if (first.FindCharacter(character.Id) is not null && second.FindCharacter(character.Id) is { } other && !ReferenceEquals(other, character))
            {
                if (other.GetType() != character.GetType() || character is MeasureCharacter one && other is MeasureCharacter measure && one.Unit != measure.Unit)
                    kept.Add($"{character.Id} is another kind of character in {second.About.Title}; what it says of it is left out.");
                else if (character is StateCharacter states && other is StateCharacter more && more.States.Any(state => states.IndexOf(state.Id) < 0))
                    merged = states with { States = [.. states.States, .. more.States.Where(state => states.IndexOf(state.Id) < 0)] };
            }
            characters.Add(merged with { Order = characters.Count });
        }
        return characters;
    }

    private static Taxon Filled(Taxon taxon, Taxon other, Dictionary<string, Character> known, List<string> kept)
    {
        var scores = taxon.Scores.Where(score => !taxon.Inferred.Contains(score.Key)).ToDictionary();
        foreach (var (id, score) in Fitting(other, known, kept))
            if (!scores.TryAdd(id, score) && ScoreNotation.Format(scores[id], known[id]) is var mine && ScoreNotation.Format(score, known[id]) is var theirs && mine != theirs)
                kept.Add($"{taxon.Name}, {id}: “{mine}” kept, not “{theirs}”.");
        var distribution = new Distribution([.. taxon.Distribution.Native.Union(other.Distribution.Native)],
            [.. taxon.Distribution.Introduced.Union(other.Distribution.Introduced).Except(taxon.Distribution.Native).Except(other.Distribution.Native)]) { Local = Both(taxon.Distribution.Local, other.Distribution.Local) };
        return Own(taxon with { Distribution = distribution, Provenance = taxon.Provenance == other.Provenance ? taxon.Provenance : $"{taxon.Provenance} Filled from: {other.Provenance}" }, scores);
    }

    // Scores whose character both floras mean alike, with states that there are.
    private static Dictionary<string, Score> Fitting(Taxon taxon, Dictionary<string, Character> known, List<string> kept)
    {
        var fitting = new Dictionary<string, Score>();
        foreach (var (id, score) in taxon.Scores.Where(score => !taxon.Inferred.Contains(score.Key)))
            if ((known[id], score) is (StateCharacter, StateScore) or (CountCharacter or MeasureCharacter, RangeScore) or (PresenceCharacter, PresenceScore) or (SeasonCharacter, SeasonScore)) fitting[id] = score;
            else kept.Add($"{taxon.Name}, {id}: left out, since the character is of another kind.");
        return fitting;
    }

    private static Taxon Own(Taxon taxon, IReadOnlyDictionary<string, Score> scores) =>
        taxon with { Scores = scores.Where(score => !taxon.Inferred.Contains(score.Key)).ToDictionary(), Inferred = new HashSet<string>() };

    private static Dictionary<string, T> Both<T>(IReadOnlyDictionary<string, T> one, IReadOnlyDictionary<string, T> other)
    {
        var both = one.ToDictionary();
        foreach (var (key, value) in other) both.TryAdd(key, value);
        return both;
    }
}
