using System.Globalization;
using System.Net;
using System.Text;
using VerdantSieve.Core.Drawing.Plates;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Views.Drawings;
using VerdantSieve.Web.Drawings;

namespace VerdantSieve.Web.Notebooks;

/// <summary>The report of an outing as A4 sheets, each an SVG of its own.</summary>
public static class ReportSheets
{
    private const double Left = 18,
        MapWidth = 174;

    /// <summary>The sheets.</summary>
    /// <param name="outing">The outing.</param>
    /// <param name="view">Its map.</param>
    /// <param name="trees">Its trees, with what each is called.</param>
    /// <param name="pictures">Pictures of each tree, as JPEG.</param>
    public static IReadOnlyList<string> Of(
        Outing outing,
        GroundView view,
        IReadOnlyList<(string Called, TreeView View)> trees,
        IReadOnlyDictionary<string, IReadOnlyList<byte[]>> pictures
    )
    {
        var sheets = new PaperSheets(PlateSvg.SheetWidth, PlateSvg.SheetHeight, Left);
        var about = outing.About;
        sheets.Write(about.Title, 7);
        sheets.Write(
            string.Join(", ", new[] { about.Date is { } day ? Say.Date(day) : "", about.Who, about.Weather }.Where(text => text.Length > 0))
        );
        sheets.Write(about.Access);
        if (about.Hazards.Length > 0)
            sheets.Write($"Watch for: {about.Hazards}");
        sheets.Draw(MapPicture.OnPaper(view), GroundView.Width, GroundView.Height, MapWidth);
        for (var at = 0; at < trees.Count; at++)
        {
            var (called, seen) = trees[at];
            var (tree, standing) = (seen.Tree, seen.Tree.Standing);
            sheets.Gap();
            sheets.Write($"{at + 1}. {called}{(standing.Stands is { } stands ? $": {stands.Written}" : "")}", 4.6);
            sheets.Write(seen.Answer.Determination.Sentence.ToString());
            foreach (var visit in tree.Visits)
                sheets.Write($"{(visit.Day is { } on ? Say.Date(on) : "No date")}: {seen.WordsOf(visit)} {visit.Content.Notes}");
            foreach (var doubt in standing.Doubts)
                sheets.Write($"{doubt.By} sees it otherwise: {doubt.Written} {doubt.Reasons}");
            foreach (var reason in seen.Answer.Determination.For.Take(3))
                sheets.Write(reason.ToString());
            // The plate of the kind that stands, and beside it what was photographed.
            var plate =
                standing.Stands is { } named && seen.Open.Flora.FindTaxon(named.Name) is { } taxon
                    ? PlateSvg.OnPaper(PlateComposer.Of(taxon, seen.Open.Drawn))
                    : null;
            sheets.Show(plate, pictures.GetValueOrDefault(tree.Id, []));
        }
        return sheets.Done();
    }
}
