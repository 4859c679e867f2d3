using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;
using NodaTime.Extensions;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Observing.Speech;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Store.Floras;

namespace VerdantSieve.Web.Api;

/// <summary>The JSON API, version 1.</summary>
public static class SieveEndpoints
{
    private const double Listed = 1e-6;

    /// <summary>Adds the addresses.</summary>
    public static void MapSieveApi(this IEndpointRouteBuilder routes)
    {
        var api = routes.MapGroup("/api/v1").WithTags("Verdant Sieve");
        api.MapPost("/sieve", Ask)
            .Accepts<SieveRequest>("application/json")
            .Produces<SieveAnswerBody>()
            .ProducesProblem(400)
            .ProducesProblem(413)
            .WithName("Sieve")
            .WithSummary("Narrows a flora by readings: candidates, what can be said, what to look at next.");
        api.MapPost("/tell-apart", TellApart)
            .Accepts<TellApartRequest>("application/json")
            .Produces<SeparationAnswer[]>()
            .ProducesProblem(400)
            .ProducesProblem(413)
            .WithName("TellApart")
            .WithSummary("The characters that separate 2 to 8 taxa, best first.");
        api.MapPost("/read", Read)
            .Accepts<ReadRequest>("application/json")
            .Produces<ReadAnswer>()
            .ProducesProblem(400)
            .ProducesProblem(413)
            .WithName("Read")
            .WithSummary("Reads what people say of a plant: readings, where and when, and what was not understood.");
        api.MapGet("/floras", Floras).WithName("Floras").WithSummary("The floras served.");
        api.MapGet("/floras/{id}/characters", Characters)
            .Produces<CharacterAnswer[]>()
            .ProducesProblem(404)
            .WithName("Characters")
            .WithSummary("The vocabulary of a flora.");
        api.MapGet("/floras/{id}/taxa", Taxa)
            .Produces<TaxonAnswer[]>()
            .ProducesProblem(404)
            .WithName("Taxa")
            .WithSummary("The taxa of a flora.");
        api.MapGet("/floras/{id}/taxa/{name}", OneTaxon)
            .Produces<TaxonDetail>()
            .ProducesProblem(404)
            .WithName("Taxon")
            .WithSummary("One taxon with all its scores.");
        api.MapFallback(
                (HttpContext context) =>
                    Results.Problem(
                        statusCode: 404,
                        title: "No such address",
                        detail: $"{context.Request.Method} {context.Request.Path} is not part of the API; /openapi/v1.json lists what is."
                    )
            )
            .ExcludeFromDescription();
    }

    private static async Task<IResult> Ask(ApiRequest<SieveRequest> sent, FloraShelf shelf)
    {
        if (sent.Body is not { } request)
            return sent.Trouble!;
        if (await shelf.Take(request.Flora) is not { } open)
            return WrongFlora(request.Flora, shelf);
        var question = SieveQuestions.Read(request, open.Flora);
        return question.Has(out var asked) ? Results.Ok(Body(open.Sieve.Ask(asked), request.All)) : ApiProblems.Bad(question.Faults[0]);
    }

    private static SieveAnswerBody Body(SieveAnswer answer, bool all) =>
        new(
            [
                .. answer
                    .Candidates.Where(c => all || c.Probability > Listed)
                    .Select(c => new CandidateAnswer(
                        c.Taxon.Name.Text,
                        c.Taxon.Rank.Word(),
                        c.Taxon.CommonName,
                        c.Probability,
                        c.Held,
                        c.Passes
                    )),
            ],
            answer.NoneOfThese,
            new DeterminationAnswer(
                answer.Determination.Rank?.Word(),
                answer.Determination.Name,
                answer.Determination.Probability,
                answer.Determination.Sentence.ToString(),
                answer.Determination.SettledByRange,
                answer.Determination.IsHard,
                [.. answer.Determination.For.Select(reason => reason.ToString())],
                [.. answer.Determination.Against.Select(reason => reason.ToString())],
                answer.Form?.Of(answer.Candidates[0].Taxon)
            ),
            [
                .. answer.NextLooks.Select(look => new NextLookAnswer(
                    look.Character.Id,
                    look.Character.Question,
                    look.Bits,
                    look.Character.Effort,
                    look.Character.Contact,
                    look.HeldBack
                )),
            ],
            [
                .. answer.Doubts.Select(doubt => new DoubtAnswer(
                    doubt.Reading.Character,
                    doubt.SlipChance,
                    doubt.GapChance,
                    [.. doubt.WouldReturn.Select(taxon => taxon.Name.Text)],
                    doubt.Without is { } without ? new WithoutAnswer(without.Leader.Name.Text, without.Probability) : null,
                    doubt.Contradicts?.Character
                )),
            ],
            [
                .. answer.Hazards.Select(h => new HazardAnswer(
                    h.Taxon.Name.Text,
                    h.Hazard.Kind.Word(),
                    h.Hazard.Part.Word(),
                    h.Hazard.Act.Word(),
                    h.Hazard.Caution,
                    h.Probability
                )),
            ],
            answer.Enough is { } hazard ? $"That is enough to keep away. {hazard.Caution}" : null,
            new RankingAnswer(Shares(answer, TaxonRank.Genus), Shares(answer, TaxonRank.Family)),
            answer.Grounds is { } grounds
                ? new GroundsAnswer(
                    grounds.Leader.Name.Text,
                    grounds.Rival.Name.Text,
                    grounds.ByPlace,
                    grounds.ByReadings,
                    grounds.PlaceShare
                )
                : null,
            answer.Check is { } check
                ? new CheckAnswer(check.Leader.Name.Text, check.Double.Name, check.Double.Mark, check.Look?.Character.Id)
                : null,
            answer.LastTwo is { } two
                ? new LastTwoAnswer(
                    two.One.Name.Text,
                    two.Other.Name.Text,
                    [.. two.Differ.Select(c => c.Id)],
                    [.. two.Shared.Select(c => c.Id)],
                    [.. two.Answered.Select(c => c.Id)]
                )
                : null
        );

    private static ShareAnswer[] Shares(SieveAnswer answer, TaxonRank rank) =>
        [
            .. answer
                .Ranking.Where(share => share.Rank == rank && share.Probability > Listed)
                .Select(share => new ShareAnswer(share.Name, share.Probability)),
        ];

    private static async Task<IResult> Read(ApiRequest<ReadRequest> sent, FloraShelf shelf, IClock clock)
    {
        if (sent.Body is not { } request)
            return sent.Trouble!;
        if (await shelf.Take(request.Flora) is not { } open)
            return WrongFlora(request.Flora, shelf);
        if (request.Text is not { Length: > 0 and <= SpeechReader.Longest } text)
            return ApiProblems.Bad(Fault.AtField("text", null, $"It must be a text of 1 to {SpeechReader.Longest} letters."));
        if (!EnumWords.TryRead<LengthStyle>(request.Units ?? LengthStyle.Metric.Word(), out var style))
            return ApiProblems.Bad(Fault.AtField("units", request.Units, $"It must be {EnumWords.Listed<LengthStyle>()}."));
        var heard = open.Speech.Read(text, new SpokenAbout(clock.InTzdbSystemDefaultZone().GetCurrentDate(), style));
        return Results.Ok(SpokenAnswers.Of(heard));
    }

    private static async Task<IResult> TellApart(ApiRequest<TellApartRequest> sent, FloraShelf shelf)
    {
        if (sent.Body is not { } request)
            return sent.Trouble!;
        if (await shelf.Take(request.Flora) is not { } open)
            return WrongFlora(request.Flora, shelf);
        var when = SieveQuestions.Circumstances(request.Place, new RawCircumstances { Date = request.Date, Stage = request.Stage });
        if (!when.Has(out var circumstances))
            return ApiProblems.Bad(when.Faults[0]);
        var taxa = new List<Taxon>();
        foreach (var name in request.Taxa ?? [])
        {
            if (name is null || open.Flora.FindTaxon(name) is not { } taxon)
                return ApiProblems.Bad(
                    Fault.AtField("taxa", name, "It must be the name, without author, of a taxon of this flora, or a synonym.")
                );
            if (!taxa.Contains(taxon))
                taxa.Add(taxon);
        }
        if (taxa.Count is < 2 or > 8)
            return ApiProblems.Bad(Fault.AtField("taxa", $"{taxa.Count} different", "Name 2 to 8 taxa."));
        var separations = open.Sieve.TellApart(taxa, circumstances);
        return Results.Ok(separations.Where(separation => separation.Bits > 0).Select(separation => Answer(separation, taxa)));
    }

    private static SeparationAnswer Answer(Separation separation, List<Taxon> taxa)
    {
        var states = new Dictionary<string, string?>();
        for (var i = 0; i < taxa.Count; i++)
        {
            var score = separation.Scores[i];
            var silent = separation.Applies[i] ? null : "does not apply";
            states[taxa[i].Name.Text] = score is null ? silent : ScoreNotation.Format(new Scored(separation.Character, score));
        }
        return new SeparationAnswer(
            separation.Character.Id,
            separation.Bits,
            separation.Character.Effort,
            separation.IsMark,
            separation.Now,
            states
        );
    }

    private static async Task<Ok<FloraAnswer[]>> Floras(FloraLibrary library, CancellationToken cancel) =>
        TypedResults.Ok(
            (await library.List(cancel: cancel))
                .Select(flora => new FloraAnswer(flora.Id, flora.Title, flora.Edition, flora.Taxa, flora.Characters))
                .ToArray()
        );

    private static async Task<IResult> Characters(string id, FloraShelf shelf) =>
        await shelf.Take(id) is { Flora: var flora } ? Results.Ok(flora.Characters.Select(Answer)) : NoFlora(id, shelf);

    private static CharacterAnswer Answer(Character character)
    {
        var states = character as StateCharacter;
        return new CharacterAnswer(
            character.Id,
            character.Part,
            CharacterNotation.Kind(character),
            character.Label,
            character.Question,
            CharacterNotation.Unit(character),
            character.OnlyIf?.ToString(),
            character.Contact,
            character.Effort,
            states?.Variety,
            states?.States.Select(state => new StateAnswer(state.Id, state.Label, state.Meaning)).ToArray()
        );
    }

    private static async Task<IResult> Taxa(string id, FloraShelf shelf) =>
        await shelf.Take(id) is { Flora: var flora } ? Results.Ok(flora.Taxa.Select(taxon => Answer(taxon, flora))) : NoFlora(id, shelf);

    private static TaxonAnswer Answer(Taxon taxon, Flora flora) =>
        new(taxon.Name.Text, taxon.Rank.Word(), taxon.Family, taxon.CommonNames, taxon.Synonyms, Range(taxon, flora));

    private static RangeAnswer Range(Taxon taxon, Flora flora) =>
        new(
            taxon.Distribution.Native,
            [.. taxon.Distribution.Introduced],
            taxon.Distribution.RunWild,
            taxon.Distribution.Planted,
            [.. flora.AbsentFrom(taxon)],
            taxon.Distribution.PlantedWidely
        );

    private static async Task<IResult> OneTaxon(string id, string name, FloraShelf shelf)
    {
        if (await shelf.Take(id) is not { Flora: var flora })
            return NoFlora(id, shelf);
        if (flora.FindTaxon(name) is { } taxon)
            return Results.Ok(Detail(taxon, flora));
        return Results.Problem(statusCode: 404, title: "No such taxon", detail: $"“{name}” is neither a name nor a synonym in this flora.");
    }

    private static TaxonDetail Detail(Taxon taxon, Flora flora) =>
        new(
            taxon.Name.Text,
            taxon.Rank.Word(),
            taxon.Authority,
            taxon.Family,
            taxon.Group,
            taxon.CommonNames,
            taxon.Synonyms,
            Range(taxon, flora),
            [.. taxon.Settings.Select(setting => setting.Word())],
            taxon.Abundance.Word(),
            [.. taxon.Hazards.Select(hazard => new HazardNote(hazard.Kind.Word(), hazard.Part.Word(), hazard.Act.Word(), hazard.Caution))],
            taxon.Doubles.ToDictionary(alike => alike.Name, alike => alike.Mark),
            taxon.Remember,
            taxon.Provenance,
            flora.Characters.Where(c => taxon.Scores.ContainsKey(c.Id)).ToDictionary(c => c.Id, c => ScoreNotation.Format(taxon, c)),
            taxon.Scores.Keys.ToDictionary(id => id, id => taxon.BasisOf(id)!.Value.Word()),
            taxon.Notes
        );

    private static IResult WrongFlora(string? id, FloraShelf shelf) =>
        ApiProblems.Bad(
            Fault.AtField("flora", id, $"It must be {shelf.Shipped.Flora.About.Id}, or an own flora that /api/v1/floras lists.")
        );

    private static IResult NoFlora(string id, FloraShelf shelf)
    {
        var shipped = shelf.Shipped.Flora.About.Id;
        var detail = $"“{id}” is not a flora served here; there is {shipped}, and the own floras that /api/v1/floras lists.";
        return Results.Problem(statusCode: 404, title: "No such flora", detail: detail);
    }
}
