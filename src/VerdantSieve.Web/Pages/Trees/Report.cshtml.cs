using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Imaging;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Views.Drawings;
using VerdantSieve.Web.Drawings;
using VerdantSieve.Web.Notebooks;

namespace VerdantSieve.Web.Pages.Trees;

/// <summary>The report of an outing: who, where, when, what was found and on what grounds; as a page and as PDF.</summary>
public sealed class ReportModel(
    OutingBook outings,
    TreeBook trees,
    FloraShelf shelf,
    OpenTrees open,
    GroundDesk ground,
    IWebHostEnvironment host,
    PictureBook pictures
) : PageModel
{
    private const int PicturesOfATree = 4;

    public Outing Outing { get; private set; } = null!;
    public GroundView View { get; private set; } = null!;
    public IReadOnlyList<TreeView> Trees { get; private set; } = [];

    /// <summary>What each tree is called, as others may learn it.</summary>
    public IReadOnlyDictionary<string, string> Called { get; private set; } = null!;

    /// <summary>The pictures kept with each visit.</summary>
    public ILookup<string, KeptPicture> Pictures { get; private set; } = null!;

    public async Task<IActionResult> OnGet(string id, CancellationToken cancel) => await Load(id, cancel) ? Page() : NotFound();

    public async Task<IActionResult> OnGetPdf(string id, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
            return NotFound();
        var images = new Dictionary<string, IReadOnlyList<byte[]>>();
        foreach (var tree in Trees)
        {
            var shown = new List<byte[]>();
            foreach (var picture in tree.Tree.Visits.SelectMany(visit => Pictures[visit.LookId]).Take(PicturesOfATree))
                if (await pictures.Bytes(picture.Id, small: true, cancel) is { } jpeg)
                    shown.Add(jpeg);
            images[tree.Tree.Id] = shown;
        }
        var pages = ReportSheets.Of(Outing, View, [.. Trees.Select(tree => (Called[tree.Tree.Id], tree))], images);
        var pdf = PdfSheets.Make(pages, PlateSvg.SheetWidth, PlateSvg.SheetHeight, Outing.About.Title, SheetFaces.Of(host));
        return File(pdf, "application/pdf", "outing.pdf");
    }

    private async Task<bool> Load(string id, CancellationToken cancel)
    {
        if (await outings.Find(id, cancel) is not { } outing)
            return false;
        Outing = outing;
        var points = await trees.Points(outing: id, cancel: cancel);
        // A report goes to others: where a tree stands that is not told of stands on no map of it, and neither does the way there.
        var told = points.Select(point => point.IsSensitive ? point with { Latitude = null, Longitude = null } : point).ToArray();
        var tellsTheWay = !points.Any(tree => tree.IsSensitive);
        View = await ground.On(told, tellsTheWay ? [OutingModel.WayOf(outing)] : [], tree => $"#tree-{tree.Id}", cancel: cancel);
        Called = points.ToDictionary(point => point.Id, point => point.CalledToOthers);
        var found = new List<TreeView>();
        foreach (var point in View.Trees.Concat(View.Unplaced))
            if (await trees.Find(point.Id, cancel) is { } tree && await shelf.Take(tree.FloraId) is { } flora)
                found.Add(new TreeView(tree, flora, open.Today));
        Trees = found;
        Pictures = (await pictures.Of([.. found.SelectMany(tree => tree.Tree.Visits).Select(visit => visit.LookId)], cancel)).ToLookup(
            picture => picture.LookId
        );
        return true;
    }

    /// <summary>The likeness of the kind that stands; null where none stands that is drawn.</summary>
    public static Core.Botany.Taxon? Drawn(TreeView tree) =>
        tree.Tree.Standing.Stands is { } stands ? tree.Open.Flora.FindTaxon(stands.Name) : null;

    /// <summary>What speaks for the name, in sentences.</summary>
    public static IEnumerable<string> Reasons(TreeView tree) => tree.Answer.Determination.For.Take(3).Select(reason => reason.ToString());
}
