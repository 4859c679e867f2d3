using Microsoft.AspNetCore.Http.Timeouts;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Formats.Exchange;
using VerdantSieve.Store.Floras;
using VerdantSieve.Web.Curating;
using VerdantSieve.Web.Safety;

namespace VerdantSieve.Web.Pages.Desk;

/// <summary>All floras: taken out, brought in, made, put together, removed.</summary>
[RequestSizeLimit(MostSent)]
[RequestFormLimits(MultipartBodyLengthLimit = MostSent)]
[RequestTimeout(MostMilliseconds)]
[AuthorizePosts(CuratorAccess.KeepsFloras)]
public sealed class FlorasModel(FloraShelf shelf, FloraLibrary library, FloraImports imports) : PageModel
{
    public const int MostFaults = 60;

    // Somewhat more than is taken in, so that what is a little too large is answered with a sentence and not with a cut connection.
    private const long MostSent = 4 * FileBounds.MostBytes;
    private const int MostMilliseconds = 300_000;

    public IReadOnlyList<FloraEntry> Floras { get; private set; } = [];

    /// <summary>Those taken off the list.</summary>
    public IReadOnlyList<FloraEntry> Removed { get; private set; } = [];
    public FloraImport? Import { get; private set; }
    public string? Problem { get; private set; }
    public IReadOnlyList<string> Kept { get; private set; } = [];
    public bool MayKeep => User.MayKeepFloras();
    public string Id { get; private set; } = "";
    public string NewTitle { get; private set; } = "";
    public string Genera { get; private set; } = "";

    public async Task OnGet(string? import, CancellationToken cancel)
    {
        Import = import is null ? null : await imports.Find(import, cancel);
        (Floras, Removed) = (await library.List(cancel: cancel), await library.List(removed: true, cancel));
    }

    public async Task<IActionResult> OnPostImport(IFormFile? file, string? id, bool replace, CancellationToken cancel)
    {
        Id = id?.Trim() ?? "";
        if (file is null || file.Length == 0)
            return await Refused($"Choose a file: a {FloraFormats.Listed("or")}.");
        if (FloraFormats.OfFile(file.FileName) is not { } format)
            return await Refused($"“{file.FileName}” is of none of the formats taken in: a {FloraFormats.Listed("or")}.");
        if (!format.NamesTheFlora && !FloraGate.IsId(Id))
            return await Refused($"Give an id for the flora: {FloraGate.IdAllowed}.");
        if (file.Length > FileBounds.MostBytes)
            return await Refused(
                $"The file has {file.Length / 1024 / 1024} MB, and at most {FileBounds.MostBytes / 1024 / 1024} MB are taken in."
            );
        var path = imports.NewFile();
        await using (var target = System.IO.File.Create(path))
            await file.CopyToAsync(target, cancel);
        if (await imports.Begin(path, PlainText.Of(Path.GetFileName(file.FileName)), format, Id, replace) is { } import)
            return RedirectToPage(null, null, new { import });
        System.IO.File.Delete(path);
        return await Refused("Many files are being read just now. Send this one again in a minute.");
    }

    public IActionResult OnPostStop(string? import)
    {
        imports.Stop(import ?? "");
        return RedirectToPage(null, null, new { import });
    }

    public async Task<IActionResult> OnPostMake(string? id, string? title, string? genera, CancellationToken cancel)
    {
        (Id, NewTitle) = (id?.Trim() ?? "", title?.Trim() ?? "");
        Genera = genera?.Trim() ?? "";
        if (Named() is { } wrong)
            return await Refused(wrong);
        var shipped = shelf.Shipped.Flora;
        var asked = Genera.Split([',', ' '], StringSplitOptions.RemoveEmptyEntries).ToHashSet(StringComparer.OrdinalIgnoreCase);
        Taxon[] taxa = [.. shipped.Taxa.Where(taxon => asked.Contains(taxon.Name.Genus))];
        var found = taxa.Select(taxon => taxon.Name.Genus).ToHashSet(StringComparer.OrdinalIgnoreCase);
        if (asked.FirstOrDefault(genus => !found.Contains(genus)) is { } unknown)
            return await Refused($"The shipped flora has no genus “{unknown}”.");
        if (taxa.Length == 0)
            return await Refused("Name at least one genus of the shipped flora.");
        var about = shipped.About with
        {
            Id = Id,
            Title = NewTitle,
            Edition = 1,
            NearAlike = shipped.About.NearAlike.Where(pair => found.Contains(pair.Key)).ToDictionary(),
            MissingKinds = shipped.About.MissingKinds.Where(pair => found.Contains(pair.Key)).ToDictionary(),
        };
        return await Keep(new Flora(about, shipped.Vocabulary, taxa), stay: false, cancel);
    }

    public async Task<IActionResult> OnPostMerge(string first, string second, string? id, string? title, CancellationToken cancel)
    {
        (Id, NewTitle) = (id?.Trim() ?? "", title?.Trim() ?? "");
        if (Named() is { } wrong)
            return await Refused(wrong);
        if (first == second)
            return await Refused("Choose two different floras.");
        if (await library.Read(first, cancel) is not { } one || await library.Read(second, cancel) is not { } other)
            return await Refused("One of the floras is not there any more.");
        var merged = FloraMerge.Of(one, other, Id, NewTitle);
        Kept = merged.Kept;
        return await Keep(merged.Flora, stay: Kept.Count > 0, cancel);
    }

    public async Task<IActionResult> OnPostRemove(string id)
    {
        return await library.Remove(id) ? RedirectToPage() : await Refused("Only own floras can be taken off the list.");
    }

    public async Task<IActionResult> OnPostPutBack(string id)
    {
        return await library.Remove(id, removed: false) ? RedirectToPage() : await Refused("That flora is not there any more.");
    }

    private async Task<IActionResult> Keep(Flora flora, bool stay, CancellationToken cancel)
    {
        var kept = await library.Keep(flora, cancel: cancel);
        if (kept.Faults.Count > 0)
            return await Refused(kept.Faults[0].Message);
        shelf.Close(flora.About.Id);
        if (!stay)
            return RedirectToPage();
        await OnGet(null, cancel);
        return Page();
    }

    private string? Named()
    {
        if (!FloraGate.IsId(Id))
            return $"“{Id}” is no id: use {FloraGate.IdAllowed}.";
        return NewTitle.Length is 0 or > FloraGate.LongestTitle ? $"Give it a title of 1 to {FloraGate.LongestTitle} letters." : null;
    }

    private async Task<IActionResult> Refused(string problem)
    {
        Problem = problem;
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        await OnGet(null, HttpContext.RequestAborted);
        return Page();
    }
}
