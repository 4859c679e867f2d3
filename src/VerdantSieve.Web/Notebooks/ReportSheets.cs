using System.Globalization;
using System.Net;
using System.Text;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Views.Drawings;
using VerdantSieve.Web.Drawings;

namespace VerdantSieve.Web.Notebooks;

/// <summary>The report of an outing as A4 sheets, each an SVG of its own.</summary>
public static class ReportSheets
{
    // Millimetres, and letters that fit a line of the size used.
    private const double Left = 18,
        Top = 20,
        Bottom = 280,
        Line = 4.8,
        MapWidth = 174,
        MapHeight = MapWidth * GroundView.Height / GroundView.Width;
    private const int LettersALine = 104;

    /// <summary>The sheets.</summary>
    public static IReadOnlyList<string> Of(Outing outing, GroundView view, IReadOnlyList<TreeView> trees)
    {
        var sheets = new Sheets();
        var about = outing.About;
        sheets.Write(about.Title, 7);
        sheets.Write(string.Join(", ", new[] { about.Date is { } day ? Say.Date(day) : "", about.Who, about.Weather }.Where(text => text.Length > 0)));
        sheets.Write(about.Access);
        if (about.Hazards.Length > 0)
            sheets.Write($"Watch for: {about.Hazards}");
        sheets.Draw(MapPicture.OnPaper(view), MapHeight);
        for (var at = 0; at < trees.Count; at++)
        {
            var (tree, standing) = (trees[at].Tree, trees[at].Tree.Standing);
            sheets.Gap();
            sheets.Write($"{at + 1}. {tree.Called}{(standing.Stands is { } stands ? $": {stands.Written}" : "")}", 4.6);
            sheets.Write(trees[at].Answer.Determination.Sentence.ToString());
            foreach (var visit in tree.Visits)
                sheets.Write($"{(visit.Day is { } on ? Say.Date(on) : "No date")}: {trees[at].WordsOf(visit)} {visit.Content.Notes}");
            foreach (var doubt in standing.Doubts)
                sheets.Write($"{doubt.By} sees it otherwise: {doubt.Written} {doubt.Reasons}");
        }
        return sheets.Done();
    }

    private sealed class Sheets
    {
        private readonly List<string> done = [];
        private readonly StringBuilder open = new();
        private double y = Top;

        public void Gap() => y += Line / 2;

        public void Write(string text, double size = 3.4)
        {
            var perLine = (int)(LettersALine * 3.4 / size);
            foreach (var line in Wrapped(text, perLine))
            {
                Room(Line * size / 3.4);
                y += Line * size / 3.4;
                open.Append(
                    CultureInfo.InvariantCulture,
                    $"<text x=\"{Left}\" y=\"{y:0.##}\" font-family=\"DejaVu Sans\" font-size=\"{size}\" fill=\"#111\">{WebUtility.HtmlEncode(line)}</text>"
                );
            }
        }

        public void Draw(string svg, double high)
        {
            Room(high + Line);
            open.Append(CultureInfo.InvariantCulture, $"<g transform=\"translate({Left} {y + Line / 2:0.##}) scale({MapWidth / GroundView.Width:0.#####})\">{svg}</g>");
            y += high + Line;
        }

        private void Room(double high)
        {
            if (y + high > Bottom)
                Turn();
        }

        private void Turn()
        {
            done.Add(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{PlateSvg.SheetWidth}\" height=\"{PlateSvg.SheetHeight}\" viewBox=\"0 0 {PlateSvg.SheetWidth} {PlateSvg.SheetHeight}\"><rect width=\"{PlateSvg.SheetWidth}\" height=\"{PlateSvg.SheetHeight}\" fill=\"#fff\"/>{open}</svg>"
                )
            );
            open.Clear();
            y = Top;
        }

        public IReadOnlyList<string> Done()
        {
            Turn();
            return done;
        }

        private static IEnumerable<string> Wrapped(string text, int letters)
        {
            var line = new StringBuilder();
            foreach (var word in text.Split([' ', '\n'], StringSplitOptions.RemoveEmptyEntries))
            {
                if (line.Length > 0 && line.Length + 1 + word.Length > letters)
                {
                    yield return line.ToString();
                    line.Clear();
                }
                line.Append(line.Length > 0 ? " " : "").Append(word);
            }
            if (line.Length > 0)
                yield return line.ToString();
        }
    }
}
