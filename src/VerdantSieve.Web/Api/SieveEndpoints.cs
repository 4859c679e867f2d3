using System.Globalization;
using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Extensions.Options;
using NodaTime;
using NodaTime.Text;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Store.Floras;

namespace VerdantSieve.Web.Api;

/// <summary>The JSON API, version 1.</summary>
public static class SieveEndpoints
{
    /// <summary>The largest request body in bytes: 1 MB.</summary>
    public const long LargestBody = 1_000_000;

    /// <summary>The most readings of one question; more than any vocabulary has characters in use.</summary>
    public const int MostReadings = 150;

    private const double Listed = 1e-6;

    /// <summary>Adds the addresses.</summary>
    public static void MapSieveApi(this IEndpointRouteBuilder routes)
    {
        var api = routes.MapGroup("/api/v1").WithTags("Verdant Sieve");
        api.MapPost("/sieve", Ask).Accepts<SieveRequest>("application/json").Produces<SieveAnswerBody>().ProducesProblem(400).ProducesProblem(413)
            .WithName("Sieve").WithSummary("Narrows a flora by readings: candidates, what can be said, what to look at next.");
        api.MapPost("/tell-apart", TellApart).Accepts<TellApartRequest>("application/json").Produces<SeparationAnswer[]>().ProducesProblem(400).ProducesProblem(413)
            .WithName("TellApart").WithSummary("The characters that separate 2 to 8 taxa, best first.");
        api.MapGet("/floras", Floras).WithName("Floras").WithSummary("The floras served.");
        api.MapGet("/floras/{id}/characters", Characters).Produces<CharacterAnswer[]>().ProducesProblem(404).WithName("Characters").WithSummary("The vocabulary of a flora.");
        api.MapGet("/floras/{id}/taxa", Taxa).Produces<TaxonAnswer[]>().ProducesProblem(404).WithName("Taxa").WithSummary("The taxa of a flora.");
        api.MapGet("/floras/{id}/taxa/{name}", OneTaxon).Produces<TaxonDetail>().ProducesProblem(404).WithName("Taxon").WithSummary("One taxon with all its scores.");
        api.MapFallback((HttpContext context) => Results.Problem(statusCode: 404, title: "No such address", detail: $"{context.Request.Method} {context.Request.Path} is not part of the API; /openapi/v1.json lists what is."))
            .ExcludeFromDescription();
    }

    private static async Task<IResult> Ask(HttpRequest http, FloraShelf shelf, IOptions<Microsoft.AspNetCore.Http.Json.JsonOptions> json)
    {
        var (request, trouble) = await Read<SieveRequest>(http, json.Value.SerializerOptions);
        if (request is null) return trouble!;
        if (await shelf.Take(request.Flora) is not { } open) return WrongFlora(request.Flora, shelf);
        if (Question(request, open.Flora, out var question) is { } problem) return Bad(problem);
        return Results.Ok(Body(open.Sieve.Ask(question), request.All));
    }

    private static FieldProblem? Question(SieveRequest request, Flora flora, out SieveQuestion question)
    {
        question = new SieveQuestion();
        if (Day(request.Date, out var date) is { } wrongDate) return wrongDate;
        if (request.Slips is < 0 or > SieveQuestion.MostSlips) return new FieldProblem("slips", request.Slips.ToString(), "It must be 0, 1, 2 or 3.");
        if (request.Certainty is not (null or (> 0.5 and < 1))) return new FieldProblem("certainty", Number(request.Certainty.Value), "It must be above 0.5 and below 1.");
        if (!OneOf<School>(request.School, out var school)) return new FieldProblem("school", request.School, "It must be strict or weigh.");
        if (!OneOf<Setting>(request.Setting, out var setting)) return new FieldProblem("setting", request.Setting, "It must be wild or planted, or left out.");
        if (!OneOf<Age>(request.Age, out var age)) return new FieldProblem("age", request.Age, "It must be young or grown, or left out.");
        if (Place(request.Place, out var position) is { } wrongPlace) return wrongPlace;
        if (Readings(request.Readings ?? [], flora, out var readings) is { } wrongReading) return wrongReading;
        question = new SieveQuestion
        {
            Circumstances = new Circumstances { Region = request.Place?.Region is { Length: > 0 } region ? region.ToUpperInvariant() : null, Position = position, Date = date, Setting = setting, Age = age },
            Readings = readings, School = school ?? School.Weigh, Slips = request.Slips ?? 1, Certainty = request.Certainty ?? 0.95
        };
        return null;
    }

    private static FieldProblem? Place(PlaceRequest? place, out Position? position)
    {
        position = null;
        if (place is null) return null;
        if (place.Region is { Length: > 0 } region && !Regions.Exists(region.ToUpperInvariant()))
            return new FieldProblem("place.region", region, "It must be a level 3 code of the World Geographical Scheme, such as ORE or BRC.");
        if (place.Latitude is not (null or (>= -90 and <= 90))) return new FieldProblem("place.latitude", Number(place.Latitude.Value), "It must be from -90 to 90.");
        if (place.Longitude is not (null or (>= -180 and <= 180))) return new FieldProblem("place.longitude", Number(place.Longitude.Value), "It must be from -180 to 180.");
        if (place.Elevation is not (null or (>= -500 and <= 9000))) return new FieldProblem("place.elevation", Number(place.Elevation.Value), "It must be metres from -500 to 9000.");
        if (place.Latitude is { } latitude && place.Longitude is { } longitude) position = new Position(latitude, longitude, place.Elevation ?? 0);
        else if (place.Latitude is not null || place.Longitude is not null) return new FieldProblem("place", null, "Give latitude and longitude together.");
        return null;
    }

    private static FieldProblem? Readings(IReadOnlyList<RawReading?> raw, Flora flora, out IReadOnlyList<Reading> readings)
    {
        readings = [];
        if (raw.Count > MostReadings) return new FieldProblem("readings", $"{raw.Count} of them", $"At most {MostReadings} readings can be sent.");
        var read = new Dictionary<string, Reading>();
        for (var i = 0; i < raw.Count; i++)
        {
            if (raw[i] is not { } one) return new FieldProblem($"readings[{i}]", "null", "Each must be an object with a character.");
            var (reading, problem) = ReadingDesk.Check(one, flora);
            if (reading is null) return problem! with { Field = $"readings[{i}].{problem!.Field}" };
            if (!read.TryAdd(reading.Character, reading) && read[reading.Character] != reading)
                return new FieldProblem($"readings[{i}].character", reading.Character, "It was read differently before; send one reading a character, with several states where it shows several.");
        }
        readings = [.. read.Values];
        return null;
    }

    private static SieveAnswerBody Body(SieveAnswer answer, bool all) => new(
        [.. answer.Candidates.Where(c => all || c.Probability > Listed).Select(c =>
            new CandidateAnswer(c.Taxon.Name.Text, Word(c.Taxon.Rank), c.Taxon.CommonName, c.Probability, c.Held, c.Passes))],
        answer.NoneOfThese,
        new DeterminationAnswer(answer.Determination.Rank is { } rank ? Word(rank) : null, answer.Determination.Name, answer.Determination.Probability, answer.Determination.Sentence.ToString(),
            answer.Determination.SettledByRange, answer.Determination.IsHard, [.. answer.Determination.For.Select(reason => reason.ToString())], [.. answer.Determination.Against.Select(reason => reason.ToString())]),
        [.. answer.NextLooks.Select(look => new NextLookAnswer(look.Character.Id, look.Character.Question, look.Bits, look.Character.Effort, look.Character.Contact, look.HeldBack))],
        [.. answer.Doubts.Select(doubt => new DoubtAnswer(doubt.Reading.Character, doubt.SlipChance, [.. doubt.WouldReturn.Select(taxon => taxon.Name.Text)],
            doubt.Without is { } without ? new WithoutAnswer(without.Leader.Name.Text, without.Probability) : null, doubt.Contradicts?.Character))],
        [.. answer.Hazards.Select(h => new HazardAnswer(h.Taxon.Name.Text, Kebab(h.Hazard.Kind), h.Hazard.Caution, h.Probability))],
        new RankingAnswer(Shares(answer, TaxonRank.Genus), Shares(answer, TaxonRank.Family)),
        answer.Grounds is { } grounds ? new GroundsAnswer(grounds.Leader.Name.Text, grounds.Rival.Name.Text, grounds.ByPlace, grounds.ByReadings, grounds.PlaceShare) : null,
        answer.Check is { } check ? new CheckAnswer(check.Leader.Name.Text, check.Double.Name, check.Double.Mark, check.Look?.Character.Id) : null,
        answer.LastTwo is { } two ? new LastTwoAnswer(two.One.Name.Text, two.Other.Name.Text, [.. two.Differ.Select(c => c.Id)], [.. two.Shared.Select(c => c.Id)]) : null);

    private static ShareAnswer[] Shares(SieveAnswer answer, TaxonRank rank) =>
        [.. answer.Ranking.Where(share => share.Rank == rank && share.Probability > Listed).Select(share => new ShareAnswer(share.Name, share.Probability))];

    private static async Task<IResult> TellApart(HttpRequest http, FloraShelf shelf, IOptions<Microsoft.AspNetCore.Http.Json.JsonOptions> json)
    {
        var (request, trouble) = await Read<TellApartRequest>(http, json.Value.SerializerOptions);
        if (request is null) return trouble!;
        if (await shelf.Take(request.Flora) is not { } open) return WrongFlora(request.Flora, shelf);
        if (Day(request.Date, out var date) is { } wrongDate) return Bad(wrongDate);
        var taxa = new List<Taxon>();
        foreach (var name in request.Taxa ?? [])
        {
            if (name is null || open.Flora.FindTaxon(name) is not { } taxon)
                return Bad(new FieldProblem("taxa", name, "It must be the name, without author, of a taxon of this flora, or a synonym."));
            if (!taxa.Contains(taxon)) taxa.Add(taxon);
        }
        if (taxa.Count is < 2 or > 8) return Bad(new FieldProblem("taxa", $"{taxa.Count} different", "Name 2 to 8 taxa."));
        var separations = open.Sieve.TellApart(taxa, new Circumstances { Date = date });
        return Results.Ok(separations.Where(s => s.Bits > 0).Select(s => new SeparationAnswer(s.Character.Id, s.Bits, s.Character.Effort,
            taxa.Select((taxon, i) => (taxon.Name.Text, Score: s.Scores[i] is { } score ? ScoreNotation.Format(score, s.Character) : s.Applies[i] ? null : "does not apply"))
                .ToDictionary(pair => pair.Text, pair => pair.Score))));
    }

    private static async Task<Ok<FloraAnswer[]>> Floras(FloraLibrary library) =>
        TypedResults.Ok((await library.List()).Select(flora => new FloraAnswer(flora.Id, flora.Title, flora.Edition, flora.Taxa, flora.Characters)).ToArray());

    private static async Task<IResult> Characters(string id, FloraShelf shelf) => await shelf.Take(id) is not { Flora: var flora } ? NoFlora(id, shelf) : Results.Ok(flora.Characters.Select(character =>
        new CharacterAnswer(character.Id, character.Part, Kind(character), character.Label, character.Question, Unit(character), character.OnlyIf?.ToString(), character.Contact, character.Effort,
            (character as StateCharacter)?.Variety, (character as StateCharacter)?.States.Select(state => new StateAnswer(state.Id, state.Label, state.Meaning)).ToArray())));

    private static async Task<IResult> Taxa(string id, FloraShelf shelf) => await shelf.Take(id) is not { Flora: var flora } ? NoFlora(id, shelf) : Results.Ok(flora.Taxa.Select(taxon =>
        new TaxonAnswer(taxon.Name.Text, Word(taxon.Rank), taxon.Family, taxon.CommonNames, taxon.Synonyms, new RangeAnswer(taxon.Distribution.Native, taxon.Distribution.Introduced))));

    private static async Task<IResult> OneTaxon(string id, string name, FloraShelf shelf)
    {
        if (await shelf.Take(id) is not { Flora: var flora }) return NoFlora(id, shelf);
        if (flora.FindTaxon(name) is not { } taxon)
            return Results.Problem(statusCode: 404, title: "No such taxon", detail: $"“{name}” is neither a name nor a synonym in this flora.");
        return Results.Ok(new TaxonDetail(taxon.Name.Text, Word(taxon.Rank), taxon.Authority, taxon.Family, taxon.Group, taxon.CommonNames, taxon.Synonyms,
            new RangeAnswer(taxon.Distribution.Native, taxon.Distribution.Introduced), [.. taxon.Settings.Select(setting => Word(setting))], Word(taxon.Abundance),
            [.. taxon.Hazards.Select(hazard => new HazardNote(Kebab(hazard.Kind), hazard.Caution))], taxon.Doubles.ToDictionary(d => d.Name, d => d.Mark), taxon.Remember, taxon.Provenance,
            flora.Characters.Where(c => taxon.Scores.ContainsKey(c.Id)).ToDictionary(c => c.Id, c => ScoreNotation.Format(taxon.Scores[c.Id], c))));
    }

    private static async Task<(T?, IResult?)> Read<T>(HttpRequest http, JsonSerializerOptions options) where T : class
    {
        if (http.ContentLength > LargestBody) return (null, TooLarge(http));
        if (!http.HasJsonContentType())
            return (null, Results.Problem(statusCode: 415, title: "Not JSON", detail: "Send the request as application/json."));
        try
        {
            return await JsonSerializer.DeserializeAsync<T>(http.Body, options) is { } body ? (body, null)
                : (null, Bad(new FieldProblem("body", "null", "It must be a JSON object.")));
        }
        catch (JsonException wrong)
        {
            var field = wrong.Path is { Length: > 2 } path ? path[2..] : "body";
            return (null, Bad(new FieldProblem(field, null, $"The JSON can’t be read at line {wrong.LineNumber + 1}: a value is missing, misplaced or of the wrong kind.")));
        }
        catch (BadHttpRequestException tooLarge) when (tooLarge.StatusCode == 413) { return (null, TooLarge(http)); }
    }

    // The rest of the body is not read, so the connection can't be used again.
    private static IResult TooLarge(HttpRequest http)
    {
        http.HttpContext.Response.Headers.Connection = "close";
        return Results.Problem(statusCode: 413, title: "The request is too large", detail: $"A request may hold {LargestBody / 1000} kB.");
    }

    private static IResult Bad(FieldProblem problem) => Results.Problem(statusCode: 400, title: "The request can’t be used", detail: problem.Sentence,
        extensions: new Dictionary<string, object?> { ["field"] = problem.Field, ["value"] = problem.Value, ["allowed"] = problem.Allowed });

    private static IResult WrongFlora(string? id, FloraShelf shelf) =>
        Bad(new FieldProblem("flora", id, $"It must be {shelf.Shipped.Flora.About.Id}, or an own flora that /api/v1/floras lists."));

    private static IResult NoFlora(string id, FloraShelf shelf) =>
        Results.Problem(statusCode: 404, title: "No such flora", detail: $"“{id}” is not a flora served here; there is {shelf.Shipped.Flora.About.Id}, and the own floras that /api/v1/floras lists.");

    private static FieldProblem? Day(string? text, out LocalDate? date)
    {
        date = null;
        if (string.IsNullOrEmpty(text)) return null;
        var parsed = LocalDatePattern.Iso.Parse(text);
        if (!parsed.Success) return new FieldProblem("date", text, "It must be a day as year-month-day, such as 2026-06-14.");
        date = parsed.Value;
        return null;
    }

    private static bool OneOf<T>(string? text, out T? value) where T : struct, Enum
    {
        value = null;
        if (string.IsNullOrEmpty(text)) return true;
        foreach (var one in Enum.GetValues<T>())
            if (Word(one) == text) value = one;
        return value is not null;
    }

    private static string Kind(Character character) => character switch
    {
        StateCharacter { Ordered: true } => "ordinal", StateCharacter => "nominal", CountCharacter => "count", MeasureCharacter => "measure", PresenceCharacter => "presence", _ => "season"
    };

    private static string? Unit(Character character) => character is MeasureCharacter measure
        ? measure.Unit switch { MeasureUnit.Centimetre => "cm", MeasureUnit.Metre => "m", _ => "ratio" } : null;

    private static string Word<T>(T value) where T : struct, Enum => value.ToString().ToLowerInvariant();
    private static string Kebab(HazardKind kind) => kind == HazardKind.SkinIrritant ? "skin-irritant" : Word(kind);
    private static string Number(double value) => value.ToString(CultureInfo.InvariantCulture);
}
