using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Formats.Notebook;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Web.Notebooks;

namespace VerdantSieve.Web.Pages.Trees;

/// <summary>The reader's trees on a map, where one stands set by a tap, and the maps of their own that lie under it.</summary>
[RequestSizeLimit(LargestFile + RoomForTheForm)]
[RequestFormLimits(MultipartBodyLengthLimit = LargestFile + RoomForTheForm)]
public sealed class MapModel(TreeBook trees, OutingBook outings, MapBook maps, GroundDesk ground) : PageModel
{
    /// <summary>How many trees are listed beside the map.</summary>
    public const int Listed = 200;

    private const int LargestFile = 3_000_000,
        RoomForTheForm = 100_000;

    public GroundView View { get; private set; } = null!;

    /// <summary>The tree whose place is being set; null where none is.</summary>
    public Tree? Placing { get; private set; }

    /// <summary>The reader's own maps.</summary>
    public IReadOnlyList<MapEntry> Own { get; private set; } = [];

    /// <summary>The map all of which is shown; null where the trees are.</summary>
    public MapEntry? Whole { get; private set; }

    /// <summary>What is wrong with a map that was to be loaded.</summary>
    public Fault? Problem { get; private set; }

    /// <summary>What it was to be called.</summary>
    public string Title { get; private set; } = "";

    /// <summary>One that was just thrown away.</summary>
    public MapEntry? Discarded { get; private set; }

    public async Task<IActionResult> OnGet(string? place, string? map, string? discarded, CancellationToken cancel)
    {
        if (place is not null && (Placing = await trees.Find(place, cancel)) is not { May: Sharing.Own })
            return NotFound();
        if (discarded is not null && await maps.Find(discarded, cancel) is { IsDiscarded: true } gone)
            Discarded = gone;
        return await Load(map, cancel) ? Page() : NotFound();
    }

    /// <summary>The ground alone, as a picture.</summary>
    public async Task<IActionResult> OnGetGround(string? map, CancellationToken cancel) =>
        await Load(map, cancel) ? Content(View.Ground, "image/svg+xml") : NotFound();

    /// <summary>Takes the place that was tapped.</summary>
    public async Task<IActionResult> OnPostPlace(string place, double x, double y, string? map, CancellationToken cancel)
    {
        if (await trees.Find(place, cancel) is not { May: Sharing.Own } tree || !await Load(map, cancel))
            return NotFound();
        if (x is not (>= 0 and <= GroundView.Width) || y is not (>= 0 and <= GroundView.Height))
            return RedirectToPage(new { place, map });
        await trees.Place(place, View.Map.PositionAt(new Point(x, y), tree.Position?.Elevation ?? 0));
        return RedirectToPage("/Trees/Tree", null, new { id = place }, "details");
    }

    /// <summary>Loads a map of one's own.</summary>
    public async Task<IActionResult> OnPostLoad(IFormFile? file, string? title, CancellationToken cancel)
    {
        Title = title ?? "";
        if (file is null)
            return await Refused(new Fault("file", "Choose a GeoJSON file."), cancel);
        if (file.Length > LargestFile)
            return await Refused(new Fault("file", $"A map of up to {LargestFile / 1_000_000} MB is read; cut it out closer."), cancel);
        using var reader = new StreamReader(file.OpenReadStream());
        var text = await reader.ReadToEndAsync(cancel);
        var read = GroundMap.Read(Title, file.FileName, text);
        if (!read.Has(out var found))
            return await Refused(read.Faults[0], cancel);
        var kept = await maps.Add(found, text);
        return kept.Has(out var id) ? RedirectToPage(new { map = id }) : await Refused(kept.Faults[0], cancel);
    }

    /// <summary>The file of a map, as it came.</summary>
    public async Task<IActionResult> OnGetFile(string? map, CancellationToken cancel) =>
        await maps.File(map ?? "", cancel) is { } text
            ? File(System.Text.Encoding.UTF8.GetBytes(text), "application/geo+json", "map.geojson")
            : NotFound();

    public async Task<IActionResult> OnPostDiscard(string? map) =>
        await maps.Discard(map ?? "", true) ? RedirectToPage(new { discarded = map }) : NotFound();

    public async Task<IActionResult> OnPostRestore(string? map) =>
        await maps.Discard(map ?? "", false) ? RedirectToPage(new { map }) : NotFound();

    private async Task<bool> Load(string? map, CancellationToken cancel)
    {
        if (map is not null && (Whole = await maps.Find(map, cancel)) is not { IsDiscarded: false })
            return false;
        Own = await maps.List(cancel);
        var ways = (await outings.List(cancel)).Take(1).Select(outing => OutingModel.WayOf(outing)).ToArray();
        var points = await trees.Points(cancel: cancel);
        View = await ground.On(points, ways, tree => Url.Page("/Trees/Tree", new { id = tree.Id })!, Whole, cancel);
        return true;
    }

    private async Task<PageResult> Refused(Fault problem, CancellationToken cancel)
    {
        Problem = problem;
        await Load(null, cancel);
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }
}
