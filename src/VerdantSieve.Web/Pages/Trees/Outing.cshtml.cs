using System.Globalization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using NodaTime;
using NodaTime.Extensions;
using NodaTime.Text;
using VerdantSieve.Core;
using VerdantSieve.Core.Formats.Notebook;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Web.Notebooks;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Trees;

/// <summary>One outing: its way, the trees visited on it, and the next tree begun where one stands.</summary>
public sealed class OutingModel(
    OutingBook outings,
    TreeBook trees,
    LookBook looks,
    FloraShelf shelf,
    GroundDesk ground,
    Settings settings,
    IClock clock
) : PageModel
{
    private const int MostSent = 500;

    public Outing Outing { get; private set; } = null!;
    public OutingForm Form { get; private set; } = new();
    public GroundView View { get; private set; } = null!;
    public IReadOnlyList<LookEntry> Visits { get; private set; } = [];
    public string? Problem { get; private set; }

    /// <summary>Whether the simulated GPS can be walked with.</summary>
    public bool Simulates => settings.Demo;

    public async Task<IActionResult> OnGet(string id, CancellationToken cancel) => await Load(id, cancel) ? Page() : NotFound();

    public async Task<IActionResult> OnPostAbout(string id, OutingForm form, CancellationToken cancel)
    {
        if (form.Fill() is { } about)
            return await outings.Change(id, about) ? Back(id) : NotFound();
        if (!await Load(id, cancel))
            return NotFound();
        Form = form;
        return Refused();
    }

    /// <summary>A new tree here, or another visit to one that is known.</summary>
    public async Task<IActionResult> OnPostTree(
        string id,
        string? tree,
        string? place,
        string? latitude,
        string? longitude,
        string? elevation,
        Guid? sent,
        CancellationToken cancel
    )
    {
        if (await outings.Find(id, cancel) is not { } outing)
            return NotFound();
        var today = outing.About.Date is { } day ? LocalDate.FromDateOnly(day) : clock.InTzdbSystemDefaultZone().GetCurrentDate();
        var where = new RawCircumstances
        {
            Region = Habits.RegionOf(Request),
            Date = LocalDatePattern.Iso.Format(today),
            Latitude = Given(latitude),
            Longitude = Given(longitude),
            Elevation = Given(elevation),
        };
        var content = Habits.NewLook(Request) with
        {
            Place = Short(place ?? outing.About.Title),
            Observer = Short(outing.About.Who.Split(',')[0].Trim()),
            Circumstances = CircumstancesDesk.Check(where).Has(out _)
                ? where
                : where with
                {
                    Latitude = null,
                    Longitude = null,
                    Elevation = null,
                },
        };
        if (string.IsNullOrEmpty(tree))
            return To(await looks.Start(shelf.Shipped.Flora.About.Id, content, outing: id, sent: sent));
        var look = await looks.Visit(tree, last => last.Again(today) with { Observer = content.Observer }, id, sent);
        return look is null ? NotFound() : To(look);
    }

    private RedirectToPageResult To(Look look) => RedirectToPage("/Looks/Look", new { id = look.Id });

    private static string? Given(string? number) => string.IsNullOrWhiteSpace(number) ? null : number.Trim();

    private static string Short(string text) => text.Length > 200 ? text[..200] : text;

    /// <summary>Points that a device has passed, sent while one walks.</summary>
    public async Task<IActionResult> OnPostWalk(string id, [FromForm] string[] at)
    {
        var passed = at.Take(MostSent).Select(PointOf).OfType<TrackPoint>().ToArray();
        return await outings.Walk(id, passed) ? new NoContentResult() : NotFound();
    }

    // north,east,up as the page's script writes it.
    private TrackPoint? PointOf(string text)
    {
        double[] numbers =
        [
            .. text.Split(',').Select(part => double.TryParse(part, CultureInfo.InvariantCulture, out var number) ? number : double.NaN),
        ];
        return numbers is [var north, var east, var up] && Position.Of(north, east, up).Has(out var position)
            ? new TrackPoint(position.Latitude, position.Longitude, position.Elevation, clock.GetCurrentInstant().ToDateTimeOffset())
            : null;
    }

    /// <summary>Takes the way of a GPX file.</summary>
    public async Task<IActionResult> OnPostTrack(string id, IFormFile? file, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
            return NotFound();
        if (file is null)
            return Refused("Choose a GPX file.");
        using var reader = new StreamReader(file.OpenReadStream());
        var read = GpxFiles.Read(await reader.ReadToEndAsync(cancel));
        if (!read.Has(out var gpx))
            return Refused(read.Faults[0].Sentence);
        if (gpx.Way.Count == 0)
            return Refused("There is no track and no route in this file.");
        await outings.Replace(
            id,
            [
                .. gpx.Way.Select(point => new TrackPoint(
                    point.At.Latitude,
                    point.At.Longitude,
                    point.At.Elevation,
                    point.Passed?.ToDateTimeOffset()
                )),
            ]
        );
        return Back(id);
    }

    /// <summary>The way and its trees as GPX.</summary>
    public async Task<IActionResult> OnGetGpx(string id, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
            return NotFound();
        var text = GpxFiles.Write(
            View.Trees.Select(tree => new GpxPlace(tree.CalledToOthers, NotebookFiles.Told(tree)!.Value, tree.Name ?? "")),
            // A way that leads to a tree which is not told of tells of it.
            View.Trees.Any(tree => tree.IsSensitive)
                ? []
                :
                [
                    .. Outing.Track.Select(point => new GpxPoint(
                        PositionOf(point),
                        point.At is { } at ? Instant.FromDateTimeOffset(at) : null
                    )),
                ]
        );
        return File(System.Text.Encoding.UTF8.GetBytes(text), GpxFiles.MediaType, "outing.gpx");
    }

    public async Task<IActionResult> OnPostDiscard(string id) =>
        await outings.Discard(id, true) ? RedirectToPage("/Trees/Outings", new { discarded = id }) : NotFound();

    public async Task<IActionResult> OnPostRestore(string id) => await outings.Discard(id, false) ? Back(id) : NotFound();

    /// <summary>The way of an outing.</summary>
    public static IReadOnlyList<Position> WayOf(Outing outing) => [.. outing.Track.Select(PositionOf)];

    private static Position PositionOf(TrackPoint point) => new(point.Latitude, point.Longitude, point.Elevation ?? 0);

    private async Task<bool> Load(string id, CancellationToken cancel)
    {
        if (await outings.Find(id, cancel) is not { } outing)
            return false;
        (Outing, Form) = (outing, OutingForm.Of(outing.About));
        Visits = await outings.Visits(id, cancel);
        // Map and list count the trees alike.
        var visited = Visits.Select(visit => visit.TreeId).Distinct().ToList();
        View = await ground.On(
            [.. (await trees.Points(outing: id, cancel: cancel)).OrderBy(tree => visited.IndexOf(tree.Id))],
            [WayOf(outing)],
            tree => Url.Page("/Trees/Tree", new { id = tree.Id })!,
            cancel: cancel
        );
        return true;
    }

    private RedirectToPageResult Back(string id) => RedirectToPage(null, null, new { id });

    private PageResult Refused(string? problem = null)
    {
        Problem = problem;
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }
}
