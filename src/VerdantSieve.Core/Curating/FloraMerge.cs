using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;

namespace VerdantSieve.Core.Curating;

/// <summary>Two floras put together by character.</summary>
/// <param name="Flora">The flora that comes of it.</param>
/// <param name="Kept">Where both said something different, and what was kept of the first, in sentences.</param>
public sealed record FloraMerge(Flora Flora, IReadOnlyList<string> Kept)
{
    /// <summary>Puts two floras together. Characters of the same id are one; their states are those of both. Of a taxon that both hold, the
    /// first
    /// has the say, and the second fills what it leaves open. Taxa, words and places of the second that the first lacks are taken
    /// over.</summary>
    /// <param name="first">The flora that has the say.</param>
    /// <param name="second">The flora that fills the gaps.</param>
    /// <param name="id">The id of the flora that comes of it.</param>
    /// <param name="title">Its title.</param>
    public static FloraMerge Of(Flora first, Flora second, string id, string title)
    {
        var kept = new List<string>();
        var vocabulary = new Vocabulary(Characters(first, second, kept));
        var taxa = first
            .Taxa.Select(taxon => second.FindTaxon(taxon.Name.Text) is { } other ? Filled(taxon, other, vocabulary, kept) : taxon)
            .Concat(
                second
                    .Taxa.Where(taxon => first.FindTaxon(taxon.Name.Text) is null)
                    .Select(taxon => taxon with { OwnScores = Fitting(taxon, vocabulary, kept) })
            )
            .ToList();
        return new FloraMerge(new Flora(About(first.About, second.About, id, title), vocabulary, taxa), kept);
    }

    private static FloraAbout About(FloraAbout one, FloraAbout other, string id, string title) =>
        new(id, title)
        {
            ReferencePlace = one.ReferencePlace,
            Places = Both(one.Places, other.Places),
            GenusWords = Both(one.GenusWords, other.GenusWords),
            FamilyWords = Both(one.FamilyWords, other.FamilyWords),
            Aggregates = Both(one.Aggregates, other.Aggregates),
            NearAlike = Both(one.NearAlike, other.NearAlike),
            MissingKinds = Both(one.MissingKinds, other.MissingKinds),
        };

    private static List<Character> Characters(Flora first, Flora second, List<string> kept)
    {
        var characters = new List<Character>();
        foreach (var character in first.Characters)
            Add(second.FindCharacter(character.Id) is { } other ? Together(character, other, second.About.Title, kept) : character);
        foreach (var character in second.Characters)
            if (first.FindCharacter(character.Id) is null)
                Add(character);
        return characters;

        void Add(Character character) => characters.Add(character with { Order = characters.Count });
    }

    private static Character Together(Character character, Character other, string second, List<string> kept)
    {
        return character.Match(
            states: own => other is StateCharacter more ? WithStatesOf(own, more) : Apart(),
            count: own => other is CountCharacter ? own : Apart(),
            measure: own => other is MeasureCharacter measure && measure.Unit == own.Unit ? own : Apart(),
            presence: own => other is PresenceCharacter ? own : Apart(),
            season: own => other is SeasonCharacter ? own : Apart()
        );

        Character Apart()
        {
            kept.Add($"{character.Id} is another kind of character in {second}; what it says of it is left out.");
            return character;
        }
    }

    private static StateCharacter WithStatesOf(StateCharacter character, StateCharacter other) =>
        character with
        {
            States = [.. character.States, .. other.States.Where(state => character.IndexOf(state.Id) < 0)],
        };

    private static Taxon Filled(Taxon taxon, Taxon other, Vocabulary vocabulary, List<string> kept)
    {
        var scores = taxon.OwnScores.ToDictionary();
        foreach (var (id, score) in Fitting(other, vocabulary, kept))
            if (!scores.TryAdd(id, score) && scores[id] != score)
                kept.Add($"{taxon.Name}, {id}: “{Written(id, scores[id])}” kept, not “{Written(id, score)}”.");
        return taxon with
        {
            OwnScores = scores,
            Distribution = Together(taxon.Distribution, other.Distribution),
            Provenance = taxon.Provenance == other.Provenance ? taxon.Provenance : $"{taxon.Provenance} Filled from: {other.Provenance}",
        };

        string Written(string id, Score score) => ScoreNotation.Format(new Scored(vocabulary[id], score));
    }

    private static Distribution Together(Distribution one, Distribution other)
    {
        // What the one says of a country stands; of all others, what the other says.
        string[] Added(IReadOnlyList<string> mine, IReadOnlyList<string> theirs) =>
            [.. mine, .. theirs.Where(code => one.In(code) == Occurrence.NotLooked)];
        return new Distribution(
            Added(one.Native, other.Native),
            Added(one.RunWild, other.RunWild),
            Added(one.Planted, other.Planted),
            Added(one.Absent, other.Absent)
        )
        {
            Local = Both(one.Local, other.Local),
            Looked = one.Looked && other.Looked,
            PlantedWidely = one.PlantedWidely || other.PlantedWidely,
        };
    }

    // Scores whose character both floras mean alike, with states that there are.
    private static Dictionary<string, Score> Fitting(Taxon taxon, Vocabulary vocabulary, List<string> kept)
    {
        var fitting = new Dictionary<string, Score>();
        foreach (var (id, score) in taxon.EnteredScores)
            if (Scored.Fits(vocabulary[id], score))
                fitting[id] = score;
            else
                kept.Add($"{taxon.Name}, {id}: left out, since the character is of another kind.");
        return fitting;
    }

    private static Dictionary<string, T> Both<T>(IReadOnlyDictionary<string, T> one, IReadOnlyDictionary<string, T> other)
    {
        var both = one.ToDictionary();
        foreach (var (key, value) in other)
            both.TryAdd(key, value);
        return both;
    }
}
