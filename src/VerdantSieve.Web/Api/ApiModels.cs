using System.Text.Json.Nodes;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Web.Api;

/// <summary>A place in a request.</summary>
public sealed record PlaceRequest(string? Region, double? Latitude, double? Longitude, double? Elevation);

/// <summary>A question to the sieve.</summary>
/// <param name="Among">What the plant is most likely one of: genera and taxa of the flora by their scientific names.</param>
public sealed record SieveRequest(
    string? Flora,
    PlaceRequest? Place,
    string? Date,
    string? School,
    int? Slips,
    string? Setting,
    string? Age,
    string? Stage,
    double? Certainty,
    bool All,
    IReadOnlyList<string?>? Among,
    IReadOnlyList<RawReading?>? Readings
);

/// <summary>Taxa to tell apart.</summary>
public sealed record TellApartRequest(string? Flora, IReadOnlyList<string?>? Taxa, PlaceRequest? Place, string? Date, string? Stage);

/// <summary>A text to be read.</summary>
/// <param name="Units"><c>metric</c> or <c>inches</c>: the units of sizes that name none; metric where left out.</param>
public sealed record ReadRequest(string? Flora, string? Text, string? Units);

/// <param name="Readings">Each as a question to the sieve takes it, with the <c>span</c> of the text it came from.</param>
/// <param name="Among">What the plant was said to be, as a question to the sieve takes it; null where that was not said.</param>
/// <param name="Left">What was not understood.</param>
public sealed record ReadAnswer(
    IReadOnlyList<JsonObject> Readings,
    ReadPlaceAnswer? Place,
    string? Date,
    string? Setting,
    string? Age,
    string? Stage,
    IReadOnlyList<string>? Among,
    IReadOnlyList<LeftAnswer> Left
);

public sealed record ReadPlaceAnswer(string Region);

public sealed record LeftAnswer(SpanAnswer Span, string Text, IReadOnlyList<NearAnswer> Near);

public sealed record SpanAnswer(int Start, int Length);

public sealed record NearAnswer(string Character, string? State, string Label);

public sealed record CandidateAnswer(
    string Taxon,
    string Rank,
    string CommonName,
    double Probability,
    IReadOnlyList<string> Held,
    bool Passes
);

/// <param name="Form">The garden form the readings are those of, as “a purple form of …”; null where they are those of the wild
/// plant.</param>
public sealed record DeterminationAnswer(
    string? Rank,
    string Name,
    double Probability,
    string Sentence,
    bool SettledByRange,
    bool Hard,
    IReadOnlyList<string> For,
    IReadOnlyList<string> Against,
    string? Form
);

public sealed record NextLookAnswer(string Character, string Question, double Bits, double Effort, bool Contact, string? HeldBack);

public sealed record WithoutAnswer(string Taxon, double Probability);

public sealed record DoubtAnswer(
    string Character,
    double SlipChance,
    double GapChance,
    IReadOnlyList<string> WouldReturn,
    WithoutAnswer? Without,
    string? Contradicts
);

public sealed record GroundsAnswer(string Leader, string Rival, double ByPlace, double ByReadings, double PlaceShare);

public sealed record CheckAnswer(string Leader, string Double, string Mark, string? Character);

public sealed record LastTwoAnswer(
    string One,
    string Other,
    IReadOnlyList<string> Differ,
    IReadOnlyList<string> Shared,
    IReadOnlyList<string> Answered
);

public sealed record HazardAnswer(string Taxon, string Kind, string Part, string Act, string Caution, double Probability);

public sealed record ShareAnswer(string Name, double Probability);

public sealed record RankingAnswer(IReadOnlyList<ShareAnswer> Genus, IReadOnlyList<ShareAnswer> Family);

public sealed record SieveAnswerBody(
    IReadOnlyList<CandidateAnswer> Candidates,
    double NoneOfThese,
    DeterminationAnswer Determination,
    IReadOnlyList<NextLookAnswer> NextLooks,
    IReadOnlyList<DoubtAnswer> Doubts,
    IReadOnlyList<HazardAnswer> Hazards,
    string? KeepAway,
    RankingAnswer Ranking,
    GroundsAnswer? Grounds,
    CheckAnswer? Check,
    LastTwoAnswer? LastTwo
);

public sealed record SeparationAnswer(
    string Character,
    double Bits,
    double Effort,
    bool Mark,
    double Now,
    IReadOnlyDictionary<string, string?> States
);

public sealed record FloraAnswer(string Id, string Title, int Edition, int Taxa, int Characters);

public sealed record StateAnswer(string Id, string Label, string Meaning);

public sealed record CharacterAnswer(
    string Id,
    string? Part,
    string Kind,
    string Label,
    string Question,
    string? Unit,
    string? If,
    bool Contact,
    double Effort,
    bool? Variety,
    IReadOnlyList<StateAnswer>? States
);

/// <param name="Native">Where it is native.</param>
/// <param name="Introduced">Where it was brought: run wild or planted.</param>
/// <param name="RunWild">Where it was brought and has run wild.</param>
/// <param name="Planted">Where it is no more than planted.</param>
/// <param name="Absent">The keyed countries where it was looked for and not found.</param>
/// <param name="PlantedWidely">Whether it is planted in towns all over the temperate zone.</param>
public sealed record RangeAnswer(
    IReadOnlyList<string> Native,
    IReadOnlyList<string> Introduced,
    IReadOnlyList<string> RunWild,
    IReadOnlyList<string> Planted,
    IReadOnlyList<string> Absent,
    bool PlantedWidely
);

public sealed record TaxonAnswer(
    string Name,
    string Rank,
    string? Family,
    IReadOnlyList<string> CommonNames,
    IReadOnlyList<string> Synonyms,
    RangeAnswer Range
);

public sealed record HazardNote(string Kind, string Part, string Act, string Caution);

/// <param name="Bases">How it comes by each of its scores: own, shared, default, parents.</param>
/// <param name="Notes">The source of single scores, or what is unsure of them.</param>
public sealed record TaxonDetail(
    string Name,
    string Rank,
    string? Authority,
    string? Family,
    string? Group,
    IReadOnlyList<string> CommonNames,
    IReadOnlyList<string> Synonyms,
    RangeAnswer Range,
    IReadOnlyList<string> Settings,
    string Abundance,
    IReadOnlyList<HazardNote> Hazards,
    IReadOnlyDictionary<string, string> Doubles,
    string Remember,
    string Provenance,
    IReadOnlyDictionary<string, string> Scores,
    IReadOnlyDictionary<string, string> Bases,
    IReadOnlyDictionary<string, string> Notes
);
