using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.AspNetCore.Mvc.ViewFeatures;
using NodaTime;
using NodaTime.Extensions;
using NodaTime.Text;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Imaging;
using VerdantSieve.Store.Lists;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Views.Drawings;
using VerdantSieve.Web.Drawings;
using VerdantSieve.Web.Listing;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Lists;

/// <summary>A list: its kinds with plates and notes, and what can be done with the whole.</summary>
public sealed class ListModel(ListBook lists, LookBook looks, Reader reader, FloraShelf shelf, IClock clock, IWebHostEnvironment host)
    : PageModel
{
    /// <summary>Under which what was mended is told on the next page.</summary>
    public const string Mended = "mended",
        Unknown = "unknown";

    // A sheet for each kind: more are no booklet any longer.
    private const int MostSheets = 120;

    private const int LongestNote = 2000,
        MostTold = 40;

    public PlantList List { get; private set; } = null!;
    public OpenFlora Open { get; private set; } = null!;
    public IReadOnlyList<PlantClass> Classes { get; private set; } = [];
    public Fault? Problem { get; private set; }

    /// <summary>What was typed, where it can't be used; else the list as text.</summary>
    public string Text { get; private set; } = "";

    /// <summary>The kinds with their notes; those the flora no longer has are named alone.</summary>
    public IEnumerable<(ListedKind Kind, Taxon? Taxon)> Kinds => List.Content.Kinds.Select(kind => (kind, Open.Flora.FindTaxon(kind.Name)));

    /// <summary>Whether it may be shared: what is kept for a browser or a machine alone has an address only there.</summary>
    public bool CanShare => List.IsOwn && reader.Own.Count > 0;

    public async Task<IActionResult> OnGet(string id, CancellationToken cancel) => await Load(id, cancel) ? Page() : NotFound();

    public async Task<IActionResult> OnPost(string id, long edition, string? title, string? note, string? kinds, CancellationToken cancel)
    {
        if (!await Load(id, cancel) || !List.IsOwn)
            return NotFound();
        var read = ListText.Of(kinds, Open);
        var fault = read.Faults.Concat(Faults(title, note)).FirstOrDefault();
        if (fault is null)
        {
            var content = new ListContent(title!.Trim(), note?.Trim() ?? "", read.Value.Kinds);
            var changed = await lists.Change(id, edition, _ => content);
            if (changed == true)
            {
                Tell(read.Value, TempData);
                return RedirectToPage(new { id });
            }
            fault = new Fault(
                "kinds",
                "The list was changed elsewhere since this page was opened. What you typed is below; what it says now is above."
            );
            await Load(id, cancel);
        }
        (Problem, Text) = (fault, kinds ?? "");
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private static IEnumerable<Fault> Faults(string? title, string? note)
    {
        if (string.IsNullOrWhiteSpace(title) || title.Length > IndexModel.LongestTitle)
            yield return new Fault("title", $"A list has a title of at most {IndexModel.LongestTitle} letters.");
        if (note?.Length > LongestNote)
            yield return new Fault("note", $"At most {LongestNote} letters are kept.");
    }

    /// <summary>Tells on the next page what was mended in a list, and what in it no kind goes by.</summary>
    public static void Tell(ListText.Read read, ITempDataDictionary next)
    {
        next[Mended] = string.Join('\n', read.Mended.Select(pair => $"{pair.Written} → {pair.Meant}").Take(MostTold));
        next[Unknown] = string.Join('\n', read.Unknown.Take(MostTold));
    }

    public async Task<IActionResult> OnPostUndo(string id) => await lists.Undo(id) ? RedirectToPage(new { id }) : NotFound();

    public async Task<IActionResult> OnPostShare(string id, bool shared) =>
        await lists.Share(id, shared) ? RedirectToPage(new { id }) : NotFound();

    public async Task<IActionResult> OnPostDiscard(string id, bool discarded) =>
        await lists.Discard(id, discarded) ? RedirectToPage(new { id }) : NotFound();

    /// <summary>Begins a look at a plant that is most likely one of the list.</summary>
    public async Task<IActionResult> OnPostLook(string id, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
            return NotFound();
        var today = clock.InTzdbSystemDefaultZone().GetCurrentDate();
        var look = await looks.Start(
            List.FloraId,
            Habits.NewLook(Request) with
            {
                Among = new KindsListed(List.Content.Title, [.. List.Content.Kinds.Select(kind => kind.Name)]),
                Circumstances = new() { Region = Habits.RegionOf(Request), Date = LocalDatePattern.Iso.Format(today) },
            }
        );
        return RedirectToPage("/Looks/Look", new { id = look.Id });
    }

    public async Task<IActionResult> OnPostClass(string id, string? title)
    {
        var called = title?.Trim() is { Length: > 0 and <= IndexModel.LongestTitle } named ? named : "A class";
        return await lists.BeginClass(id, called) is { } of ? RedirectToPage("/Lists/Class", new { id = of }) : NotFound();
    }

    /// <summary>The plates with marks, a sheet for each kind.</summary>
    public async Task<IActionResult> OnGetSheets(string id, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
            return NotFound();
        string[] sheets =
        [
            .. Kinds
                .Where(pair => pair.Taxon is not null)
                .Take(MostSheets)
                .Select(pair => PlateSheets.Of(Open, pair.Taxon!, pair.Kind.Note)),
        ];
        if (sheets.Length == 0)
            return NotFound();
        var pdf = PdfSheets.Make(sheets, PlateSvg.SheetWidth, PlateSvg.SheetHeight, List.Content.Title, SheetFaces.Of(host));
        return File(pdf, "application/pdf", "plates.pdf");
    }

    private async Task<bool> Load(string id, CancellationToken cancel)
    {
        if (await lists.Find(id, cancel) is not { } list || await shelf.Take(list.FloraId) is not { } open)
            return false;
        (List, Open) = (list, open);
        Text = ListText.Of(list.Content.Kinds);
        Classes = list.IsOwn ? await lists.Classes(id, cancel) : [];
        return true;
    }
}
