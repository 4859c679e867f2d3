using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;

namespace VerdantSieve.Store.Floras;

/// <summary>Turns a flora into rows and back.</summary>
internal static class FloraMapping
{
    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower) },
        // The database keeps the keys of an object in an order of its own.
        AllowOutOfOrderMetadataProperties = true,
        TypeInfoResolver = new DefaultJsonTypeInfoResolver { Modifiers = { NameKinds } },
    };

    public static FloraRow Row(Flora flora, string fingerprint, bool isOwn, DateTimeOffset loaded)
    {
        var about = flora.About;
        return new()
        {
            Id = about.Id,
            Title = about.Title,
            Edition = about.Edition,
            ReferencePlace = JsonSerializer.Serialize(about.ReferencePlace, Json),
            Places = JsonSerializer.Serialize(about.Places, Json),
            GenusWords = JsonSerializer.Serialize(about.GenusWords, Json),
            FamilyWords = JsonSerializer.Serialize(about.FamilyWords, Json),
            Aggregates = JsonSerializer.Serialize(about.Aggregates, Json),
            NearAlike = JsonSerializer.Serialize(about.NearAlike, Json),
            MissingKinds = JsonSerializer.Serialize(about.MissingKinds, Json),
            Keyed = JsonSerializer.Serialize(about.Keyed, Json),
            Shared = JsonSerializer.Serialize(about.Shared.Select(one => Written(one, flora.Vocabulary)), Json),
            Fingerprint = fingerprint,
            IsOwn = isOwn,
            Loaded = loaded,
        };
    }

    // What many taxa share, each score in its notation.
    private sealed record SharedText(string? Genus, string? Group, Dictionary<string, string> Scores);

    private static SharedText Written(SharedScores shared, Vocabulary vocabulary) =>
        new(
            shared.Genus,
            shared.Group,
            shared.Scores.ToDictionary(pair => pair.Key, pair => ScoreNotation.Format(new Scored(vocabulary[pair.Key], pair.Value)))
        );

    private static SharedScores Shared(SharedText text, Vocabulary vocabulary) =>
        new(
            text.Genus,
            text.Group,
            text.Scores.ToDictionary(pair => pair.Key, pair => Score(pair.Value, text.Genus, vocabulary[pair.Key]))
        );

    public static FloraAbout About(FloraRow row, Vocabulary vocabulary) =>
        new(row.Id, row.Title)
        {
            Edition = row.Edition,
            ReferencePlace = Read<Place>(row.ReferencePlace),
            Places = Read<Dictionary<string, Place>>(row.Places),
            GenusWords = Words(row.GenusWords),
            FamilyWords = Words(row.FamilyWords),
            Aggregates = Words(row.Aggregates),
            NearAlike = Words(row.NearAlike),
            MissingKinds = Read<Dictionary<string, int>>(row.MissingKinds),
            Keyed = Read<string[]>(row.Keyed),
            Shared = [.. Read<SharedText[]>(row.Shared).Select(one => Shared(one, vocabulary))],
        };

    public static CharacterRow Row(string flora, Character character) =>
        new()
        {
            FloraId = flora,
            Id = character.Id,
            Order = character.Order,
            Definition = JsonSerializer.Serialize(character, Json),
        };

    public static Character Character(CharacterRow row) => Read<Character>(row.Definition);

    public static TaxonRow Row(string flora, Taxon taxon) =>
        new()
        {
            FloraId = flora,
            Name = taxon.Name.Text,
            Definition = JsonSerializer.Serialize(taxon, Json),
        };

    /// <summary>The taxa of the rows. Most scores are another taxon's to the letter: each notation is read once.</summary>
    public static IEnumerable<Taxon> Taxa(IEnumerable<TaxonRow> rows, ILookup<string, ScoreRow> scores, Vocabulary vocabulary)
    {
        var read = new Dictionary<(string Character, string Notation), Score>();
        return rows.Select(row =>
            Read<Taxon>(row.Definition) with
            {
                OwnScores = scores[row.Name].ToDictionary(score => score.CharacterId, Once),
            }
        );

        Score Once(ScoreRow score)
        {
            var key = (score.CharacterId, score.Notation);
            return read.TryGetValue(key, out var known)
                ? known
                : read[key] = Score(score.Notation, score.TaxonName, vocabulary[score.CharacterId]);
        }
    }

    /// <summary>What the flora itself says of a taxon: what a hybrid takes from its parents is not stored, but worked out when the flora is
    /// made.</summary>
    public static IEnumerable<ScoreRow> Scores(Flora flora, Taxon taxon) =>
        taxon.OwnScores.Select(score => new ScoreRow
        {
            FloraId = flora.About.Id,
            TaxonName = taxon.Name.Text,
            CharacterId = score.Key,
            Notation = ScoreNotation.Format(new Scored(flora.Character(score.Key), score.Value)),
        });

    private static Score Score(string notation, string? whose, Character character)
    {
        var score = ScoreNotation.Parse(notation, character);
        return score.Has(out var read)
            ? read
            : throw new InvalidOperationException(
                $"The database has a score that can’t be read: {whose ?? "all taxa"}, {character.Id}: {score.Faults[0].Message}"
            );
    }

    private static void NameKinds(JsonTypeInfo type)
    {
        if (type.Type != typeof(Character))
            return;
        type.PolymorphismOptions = new JsonPolymorphismOptions
        {
            TypeDiscriminatorPropertyName = "kind",
            DerivedTypes =
            {
                new JsonDerivedType(typeof(StateCharacter), "state"),
                new JsonDerivedType(typeof(CountCharacter), "count"),
                new JsonDerivedType(typeof(MeasureCharacter), "measure"),
                new JsonDerivedType(typeof(PresenceCharacter), "presence"),
                new JsonDerivedType(typeof(SeasonCharacter), "season"),
            },
        };
    }

    private static Dictionary<string, string> Words(string json) => Read<Dictionary<string, string>>(json);

    private static T Read<T>(string json) => JsonSerializer.Deserialize<T>(json, Json)!;
}
