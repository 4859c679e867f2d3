using System.Text.Json;
using System.Text.Json.Serialization;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;

namespace VerdantSieve.Store.Floras;

/// <summary>Turns a flora into rows and back.</summary>
internal static class FloraMapping
{
    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower) }
    };

    public static FloraRow Row(FloraAbout about, string fingerprint, bool isOwn = false) => new()
    {
        Id = about.Id, Title = about.Title, Edition = about.Edition,
        ReferencePlace = JsonSerializer.Serialize(about.ReferencePlace, Json), Places = JsonSerializer.Serialize(about.Places, Json),
        GenusWords = JsonSerializer.Serialize(about.GenusWords, Json), FamilyWords = JsonSerializer.Serialize(about.FamilyWords, Json),
        Aggregates = JsonSerializer.Serialize(about.Aggregates, Json), NearAlike = JsonSerializer.Serialize(about.NearAlike, Json),
        Fingerprint = fingerprint, IsOwn = isOwn, Loaded = DateTimeOffset.UtcNow
    };

    public static FloraAbout About(FloraRow row) => new(row.Id, row.Title)
    {
        Edition = row.Edition,
        ReferencePlace = Read<Place>(row.ReferencePlace), Places = Read<Dictionary<string, Place>>(row.Places),
        GenusWords = Words(row.GenusWords), FamilyWords = Words(row.FamilyWords), Aggregates = Words(row.Aggregates), NearAlike = Words(row.NearAlike)
    };

    public static CharacterRow Row(string flora, Character character) => new()
    {
        FloraId = flora, Id = character.Id, Part = character.Part, Order = character.Order, Kind = KindOf(character),
        Definition = JsonSerializer.Serialize(character, character.GetType(), Json)
    };

    public static Character Character(CharacterRow row) => row.Kind switch
    {
        "state" => Read<StateCharacter>(row.Definition),
        "count" => Read<CountCharacter>(row.Definition),
        "measure" => Read<MeasureCharacter>(row.Definition),
        "presence" => Read<PresenceCharacter>(row.Definition),
        "season" => Read<SeasonCharacter>(row.Definition),
        _ => throw new InvalidOperationException($"The database has a character of the unknown kind “{row.Kind}”.")
    };

    public static TaxonRow Row(string flora, Taxon taxon) => new()
    {
        FloraId = flora, Name = taxon.Name.Text, Rank = Word(taxon.Rank), Authority = taxon.Authority, Family = taxon.Family, Group = taxon.Group, Aggregate = taxon.Aggregate, HybridOf = [.. taxon.HybridOf],
        CommonNames = [.. taxon.CommonNames], Synonyms = [.. taxon.Synonyms],
        Native = [.. taxon.Distribution.Native], Introduced = [.. taxon.Distribution.Introduced],
        Settings = [.. taxon.Settings.Select(setting => Word(setting))], Abundance = Word(taxon.Abundance), LocalAbundance = JsonSerializer.Serialize(taxon.Distribution.Local, Json), WindowsAt = taxon.WindowsAt,
        Hazards = JsonSerializer.Serialize(taxon.Hazards, Json), Doubles = JsonSerializer.Serialize(taxon.Doubles, Json),
        Remember = taxon.Remember, Meaning = taxon.Meaning, Provenance = taxon.Provenance
    };

    public static Taxon Taxon(TaxonRow row, IEnumerable<ScoreRow> scores, IReadOnlyDictionary<string, Character> characters) => new(new ScientificName(row.Name))
    {
        Rank = Enum.Parse<TaxonRank>(row.Rank, ignoreCase: true), Authority = row.Authority, Family = row.Family, Group = row.Group, Aggregate = row.Aggregate, HybridOf = row.HybridOf,
        CommonNames = row.CommonNames, Synonyms = row.Synonyms, Distribution = new Distribution(row.Native, row.Introduced) { Local = Read<Dictionary<string, Abundance>>(row.LocalAbundance) },
        Settings = [.. row.Settings.Select(setting => Enum.Parse<Setting>(setting, ignoreCase: true))],
        Abundance = Enum.Parse<Abundance>(row.Abundance, ignoreCase: true),
        Hazards = Read<Hazard[]>(row.Hazards), Doubles = Read<LookAlike[]>(row.Doubles),
        WindowsAt = row.WindowsAt, Remember = row.Remember, Meaning = row.Meaning, Provenance = row.Provenance,
        Scores = scores.ToDictionary(score => score.CharacterId, score => Score(score, characters[score.CharacterId]))
    };

    private static Score Score(ScoreRow row, Character character) =>
        ScoreNotation.TryParse(row.Notation, character, out var score, out var problem) ? score
            : throw new InvalidOperationException($"The database has a score that can’t be read: {row.TaxonName}, {row.CharacterId}: {problem}");

    private static string KindOf(Character character) => character switch
    {
        StateCharacter => "state", CountCharacter => "count", MeasureCharacter => "measure", PresenceCharacter => "presence", _ => "season"
    };

    private static string Word<T>(T value) where T : struct, Enum => value.ToString().ToLowerInvariant();

    private static Dictionary<string, string> Words(string json) => Read<Dictionary<string, string>>(json);

    private static T Read<T>(string json) => JsonSerializer.Deserialize<T>(json, Json)!;
}
