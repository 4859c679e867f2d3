using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using NodaTime;
using NodaTime.Text;
using VerdantSieve.Core;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Observing.Speech;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Web.Notebooks;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Trees;

/// <summary>A filled sheet entered on one page, in words: each line becomes a visit to its tree. The
/// trees of the sheet, or else the open ones first, those last touched at the head.</summary>
public sealed class EnterModel(OpenTrees open, TreeBook trees, LookBook looks, FloraShelf shelf) : PageModel
{
    private const int MostLines = 200,
        LongestObserver = 200;

    /// <summary>A line of the page: a tree, what was typed, and what became of it.</summary>
    public sealed record Line(string Id, string Called, string Said, string? LookId, string Kept, string Left);

    public IReadOnlyList<Line> Lines { get; private set; } = [];

    /// <summary>How many trees have no line here.</summary>
    public int Others { get; private set; }
    public string Date { get; private set; } = "";
    public string Observer { get; private set; } = "";
    public string? Problem { get; private set; }

    /// <summary>How many visits were kept just now.</summary>
    public int Kept => Lines.Count(line => line.LookId is not null);

    public async Task OnGet(string[] tree, CancellationToken cancel)
    {
        Date = LocalDatePattern.Iso.Format(open.Today);
        var known = await Known(cancel);
        var offered = tree.Where(known.ContainsKey).Distinct().Select(id => known[id]).ToArray();
        if (offered.Length == 0)
            offered = [.. known.Values.OrderByDescending(one => one.IsOpen).ThenByDescending(one => one.Changed)];
        Lines = [.. offered.Take(MostLines).Select(one => new Line(one.Id, one.Called, "", null, "", ""))];
        Others = known.Count - Lines.Count;
    }

    public async Task<IActionResult> OnPost(string? date, string? observer, string[] tree, string[] said, CancellationToken cancel)
    {
        (Date, Observer) = (date?.Trim() ?? "", observer?.Trim() ?? "");
        var known = await Known(cancel);
        var typed = tree.Zip(said, (id, words) => (Id: id, Words: words ?? ""))
            .Where(line => known.ContainsKey(line.Id))
            .Take(MostLines)
            .ToArray();
        var day = LocalDatePattern.Iso.Parse(Date);
        if (!day.Success || Observer.Length > LongestObserver)
        {
            Problem = day.Success
                ? $"A name has at most {LongestObserver} letters."
                : $"“{Date}” can’t be used. Write the day as year-month-day, such as 2026-06-14.";
            Lines = [.. typed.Select(line => new Line(line.Id, known[line.Id].Called, line.Words, null, "", ""))];
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
            return Page();
        }
        var lines = new List<Line>();
        foreach (var (id, words) in typed)
            lines.Add(
                words.Trim().Length == 0
                    ? new Line(id, known[id].Called, "", null, "", "")
                    : await Take(id, known[id].Called, words, day.Value)
            );
        Lines = lines;
        return Page();
    }

    // What was understood is kept as a visit; what was not stays in its field.
    private async Task<Line> Take(string id, string called, string words, LocalDate day)
    {
        var flora = shelf.Shipped;
        var heard = flora.Speech.Read(
            words.Length > SpeechReader.Longest ? words[..SpeechReader.Longest] : words,
            new SpokenAbout(day, Units.Of(Request), false, null)
        );
        Reading[] readings = [.. heard.Readings.Select(item => item.Reading)];
        var left = string.Join(", ", heard.Left.Select(rest => rest.Text));
        if (readings.Length == 0)
            return new Line(id, called, words, null, "", left.Length > 0 ? left : words);
        var kept = string.Join("; ", readings.Select(reading => Wording.Of(reading, flora.Flora, Units.Of(Request))));
        // A page that is sent twice, since its answer was lost, makes one visit of each line.
        string? there = null;
        var look = await looks.Visit(
            id,
            last =>
            {
                var before = LookQuestion.Of(last, flora.Flora).Own.Select(reading => Wording.Of(reading, flora.Flora, Units.Of(Request)));
                if (last.Circumstances.Date == LocalDatePattern.Iso.Format(day) && string.Join("; ", before) == kept)
                {
                    there = kept;
                    return null;
                }
                var again = last.Again(day).With(readings);
                return again with
                {
                    Observer = Observer.Length > 0 ? Observer : again.Observer,
                    Circumstances = again.Circumstances with { Stage = heard.Stage?.Word() },
                };
            }
        );
        return new Line(id, called, left, look?.Id, there is null ? kept : $"{kept} (already there)", left);
    }

    private async Task<IReadOnlyDictionary<string, TreePoint>> Known(CancellationToken cancel) =>
        (await trees.Points(shelf.Shipped.Flora.About.Id, cancel: cancel)).ToDictionary(tree => tree.Id);
}
