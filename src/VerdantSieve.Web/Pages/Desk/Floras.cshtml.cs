using System.Text.RegularExpressions;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Formats.Exchange;
using VerdantSieve.Store.Floras;
using VerdantSieve.Web.Curating;

namespace VerdantSieve.Web.Pages.Desk;

/// <summary>All floras: taken out, brought in, made, put together, removed.</summary>
[RequestSizeLimit(FloraImports.Largest)]
public sealed partial class FlorasModel(FloraShelf shelf, FloraLibrary library, FloraImports imports) : PageModel
{
    public const int MostFaults = 60;

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

    public async Task OnGet(string? import)
    {
        Import = import is null ? null : imports.Find(import);
        (Floras, Removed) = (await library.List(), await library.List(removed: true));
    }

    public async Task<IActionResult> OnPostImport(IFormFile? file, string? id, bool replace)
    {
        if (!MayKeep) return Forbid();
        Id = id?.Trim() ?? "";
        if (file is null || file.Length == 0) return await Refused("Choose a file: a data package (.zip), NEXUS (.nex) or SDD (.xml).");
        if (FloraFormats.Of(file.FileName) is not { } format) return await Refused($"“{file.FileName}” is neither a data package (.zip), nor NEXUS (.nex), nor SDD (.xml).");
        if (format != FloraFormat.DataPackage && !IdPattern().IsMatch(Id)) return await Refused("Give an id for the flora: small letters, digits and hyphens, such as my-flora.");
        var path = System.IO.Path.GetTempFileName();
        await using (var target = System.IO.File.Create(path)) await file.CopyToAsync(target);
        return RedirectToPage("/Desk/Floras", new { import = imports.Begin(path, System.IO.Path.GetFileName(file.FileName), Id, replace).Id });
    }

    public IActionResult OnPostStop(string import)
    {
        if (!MayKeep) return Forbid();
        imports.Find(import)?.Stop.Cancel();
        return RedirectToPage("/Desk/Floras", new { import });
    }

    public async Task<IActionResult> OnPostMake(string? id, string? title, string? genera)
    {
        if (!MayKeep) return Forbid();
        (Id, NewTitle, Genera) = (id?.Trim() ?? "", title?.Trim() ?? "", genera?.Trim() ?? "");
        if (Named() is { } wrong) return await Refused(wrong);
        var asked = Genera.Split([',', ' '], StringSplitOptions.RemoveEmptyEntries);
        if (asked.FirstOrDefault(genus => shelf.Shipped.Flora.Taxa.All(taxon => !taxon.Name.Genus.Equals(genus, StringComparison.OrdinalIgnoreCase))) is { } unknown) return await Refused($"The shipped flora has no genus “{unknown}”.");
        var taxa = shelf.Shipped.Flora.Taxa.Where(taxon => asked.Contains(taxon.Name.Genus, StringComparer.OrdinalIgnoreCase)).ToArray();
        if (taxa.Length == 0) return await Refused("Name at least one genus of the shipped flora.");
        var about = shelf.Shipped.Flora.About with { Id = Id, Title = NewTitle, Edition = 1, NearAlike = shelf.Shipped.Flora.About.NearAlike.Where(pair => taxa.Any(taxon => taxon.Name.Genus == pair.Key)).ToDictionary() };
        return await Keep(new Flora(about, shelf.Shipped.Flora.Characters, taxa));
    }

    public async Task<IActionResult> OnPostMerge(string first, string second, string? id, string? title)
    {
        if (!MayKeep) return Forbid();
        (Id, NewTitle) = (id?.Trim() ?? "", title?.Trim() ?? "");
        if (Named() is { } wrong) return await Refused(wrong);
        if (first == second) return await Refused("Choose two different floras.");
        if (await library.Read(first) is not { } one || await library.Read(second) is not { } other) return await Refused("One of the floras is not there any more.");
        var merged = FloraMerge.Of(one, other, Id, NewTitle);
        Kept = merged.Kept;
        return await Keep(merged.Flora, stay: Kept.Count > 0);
    }

    public async Task<IActionResult> OnPostRemove(string id)
    {
        if (!MayKeep) return Forbid();
        return await library.Remove(id) ? RedirectToPage("/Desk/Floras") : await Refused("Only own floras can be taken off the list.");
    }

    public async Task<IActionResult> OnPostPutBack(string id)
    {
        if (!MayKeep) return Forbid();
        return await library.Remove(id, removed: false) ? RedirectToPage("/Desk/Floras") : await Refused("That flora is not there any more.");
    }

    /// <summary>Sends a flora as a file.</summary>
    public static async Task<IResult> File(FloraLibrary library, string id, string format)
    {
        if (await library.Read(id) is not { } flora) return Results.NotFound();
        if (format == "nexus") return Results.File(System.Text.Encoding.UTF8.GetBytes(Nexus.Write(flora).Text), "text/plain; charset=utf-8", $"{id}.nex");
        if (format == "sdd") return Results.File(System.Text.Encoding.UTF8.GetBytes(StructuredDescriptions.Write(flora).Text), "application/xml", $"{id}.xml");
        var stream = new MemoryStream();
        DataPackage.Write(flora, stream, template: format == "template");
        stream.Position = 0;
        return Results.File(stream, "application/zip", format == "template" ? $"{id}-template.zip" : $"{id}.zip");
    }

    /// <summary>What NEXUS and SDD can’t hold of a flora, as text.</summary>
    public static async Task<IResult> Lost(FloraLibrary library, string id) =>
        await library.Read(id) is { } flora ? Results.Text($"NEXUS\n{string.Join('\n', Nexus.Write(flora).Lost)}\n\nSDD\n{string.Join('\n', StructuredDescriptions.Write(flora).Lost)}") : Results.NotFound();

    private async Task<IActionResult> Keep(Flora flora, bool stay = false)
    {
        if (await library.Keep(flora) is { } problem) return await Refused(problem);
        shelf.Close(flora.About.Id);
        if (!stay) return RedirectToPage("/Desk/Floras");
        await OnGet(null);
        return Page();
    }

    private string? Named() => !IdPattern().IsMatch(Id) ? $"“{Id}” is no id: use small letters, digits and hyphens, such as my-flora." : NewTitle.Length == 0 ? "Give it a title." : null;

    private async Task<IActionResult> Refused(string problem)
    {
        Problem = problem;
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        await OnGet(null);
        return Page();
    }

    [GeneratedRegex("^[a-z0-9][a-z0-9-]{0,60}$")]
    private static partial Regex IdPattern();
}
