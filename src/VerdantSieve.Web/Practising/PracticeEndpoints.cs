using System.Globalization;
using System.Text;
using CsvHelper;
using VerdantSieve.Core;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Drawing.Plates;
using VerdantSieve.Core.Practising;
using VerdantSieve.Store.Practising;
using VerdantSieve.Views.Drawings;
using VerdantSieve.Web.Drawings;

namespace VerdantSieve.Web.Practising;

/// <summary>What practice serves beside its pages: the drawings of exercises, and files to take out.</summary>
public static class PracticeEndpoints
{
    /// <summary>The names of the addresses, for links.</summary>
    public const string Answers = "practice-answers",
        Schedule = "practice-schedule";

    /// <summary>The address of an exercise’s drawing.</summary>
    public static string PictureOf(string set, int at) => $"/practice/{set}/{at}.svg{DrawingAddresses.Element}";

    /// <summary>Adds them.</summary>
    public static void MapPractice(this IEndpointRouteBuilder routes)
    {
        routes.MapGet("/practice/{id:regex(^[a-z0-9]+$)}/{at:int}.svg", Picture).ExcludeFromDescription();
        routes.MapGet("/practice/answers.csv", SendAnswers).WithName(Answers).ExcludeFromDescription();
        routes.MapGet("/practice/schedule.csv", SendSchedule).WithName(Schedule).ExcludeFromDescription();
    }

    private static async Task<IResult> Picture(string id, int at, PracticeBook book, FloraShelf shelf, HttpContext http)
    {
        if (
            await book.Find(id, http.RequestAborted) is not { } set
            || at < 0
            || at >= set.Queue.Count
            || await shelf.Take(set.FloraId) is not { } open
            || set.Queue[at]
                .Match(
                    name: own => Plate(own, open),
                    part: _ => null,
                    read: own => open.Drawn.Of(own.Character, own.State) is { } drawing ? SvgPen.File(drawing) : null,
                    record: _ => null,
                    measure: own => Specimen.Of(own, open.Flora, open.Drawn) is { } specimen ? SpecimenPicture.Of(specimen) : null
                )
                is not { } file
        )
            return Results.NotFound();
        http.Response.Headers.CacheControl = "private, max-age=3600";
        return Results.Text(file, "image/svg+xml", Encoding.UTF8);
    }

    // Without its marks, which would tell, and with leaves of its own: it is the kind that is to be known, and not the plate.
    private static string? Plate(NamePlant exercise, OpenFlora open) =>
        open.Flora.FindTaxon(exercise.Taxon) is { } taxon
            ? PlateSvg.File(PlateComposer.Of(taxon, open.Drawn, exercise.Seed & 0xffff) with { Marks = [] })
            : null;

    private static async Task<IResult> SendAnswers(PracticeBook book, HttpContext http)
    {
        var answers = await book.Answers(http.RequestAborted);
        return Csv(
            "answers.csv",
            ["given", "exercise", "about", "said", "right", "is_right", "certainty", "grade"],
            answers.Select(pair =>
                new object?[]
                {
                    pair.Given.UtcDateTime.ToString("yyyy-MM-ddTHH:mm:ssZ", CultureInfo.InvariantCulture),
                    pair.Answered.Exercise.Kind.Word(),
                    pair.Answered.Exercise.Subject,
                    pair.Answered.Answer.Said,
                    pair.Answered.Answer.Right,
                    pair.Answered.Answer.IsRight ? "yes" : "no",
                    pair.Answered.Answer.Certainty.Word(),
                    pair.Answered.Answer.Grade,
                }
            )
        );
    }

    private static async Task<IResult> SendSchedule(PracticeBook book, HttpContext http)
    {
        var known = await book.Known(http.RequestAborted);
        return Csv(
            "schedule.csv",
            ["subject", "easiness", "times_in_a_row", "interval_days", "due"],
            known
                .OrderBy(pair => pair.Value.Due)
                .ThenBy(pair => pair.Key, StringComparer.Ordinal)
                .Select(pair =>
                    new object?[]
                    {
                        pair.Key,
                        pair.Value.Easiness,
                        pair.Value.Times,
                        pair.Value.Days,
                        pair.Value.Due?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
                    }
                )
        );
    }

    private static IResult Csv(string name, string[] head, IEnumerable<object?[]> rows)
    {
        var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, CultureInfo.InvariantCulture))
            foreach (var row in rows.Prepend(head))
            {
                foreach (var field in row)
                    csv.WriteField(field);
                csv.NextRecord();
            }
        return Results.File(Encoding.UTF8.GetBytes(text.ToString()), "text/csv; charset=utf-8", name);
    }
}
