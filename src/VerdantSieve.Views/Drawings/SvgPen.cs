using System.Globalization;
using System.Text;
using VerdantSieve.Core.Drawing;

namespace VerdantSieve.Views.Drawings;

/// <summary>Writes drawings as SVG. The one pen: widths, ends and tones come from here and from the page's colour tokens.</summary>
public static class SvgPen
{
    // Units of the picture to one blade length: enough for whole numbers and one decimal.
    private const double Unit = 100;

    // How far a simplified line may stray, in picture units.
    private const double Tolerance = 0.35;

    /// <summary>A whole SVG file whose drawing has the id <c>d</c>, for use from a page by reference.</summary>
    public static string File(Drawing drawing)
    {
        var (box, content) = Body(drawing);
        return $"""<svg xmlns="http://www.w3.org/2000/svg"><symbol id="d" viewBox="{box}">{content}</symbol><use href="#d"/></svg>""";
    }

    /// <summary>An SVG element to stand in a page.</summary>
    public static string Inline(Drawing drawing, string cssClass, string label)
    {
        var (box, content) = Body(drawing);
        var said = System.Net.WebUtility.HtmlEncode(label);
        return $"""<svg class="{cssClass}" viewBox="{box}" role="img" aria-label="{said}">{content}</svg>""";
    }

    private static (string Box, string Content) Body(Drawing drawing)
    {
        var points = drawing.Flat().SelectMany(stroke => stroke.Points).ToArray();
        var (left, right) = (points.Min(p => p.X), points.Max(p => p.X));
        var (low, high) = (points.Min(p => p.Y), points.Max(p => p.Y));
        var margin = 0.03 * Math.Max(right - left, high - low);
        double[] edges = [left - margin, -(high + margin), right - left + 2 * margin, high - low + 2 * margin];
        var box = string.Join(' ', edges.Select(edge => (edge * Unit).ToString("0.#", CultureInfo.InvariantCulture)));
        var uses = new Dictionary<Drawing, int>(ReferenceEqualityComparer.Instance);
        Count(drawing, uses);
        var text = new StringBuilder();
        Write(drawing, text, uses, []);
        return (box, text.ToString());
    }

    private static void Count(Drawing drawing, Dictionary<Drawing, int> uses)
    {
        uses[drawing] = uses.GetValueOrDefault(drawing) + 1;
        if (uses[drawing] > 1)
            return;
        foreach (var (part, _) in drawing.Parts)
            Count(part, uses);
    }

    // A drawing met twice is written once and then referred to.
    private static void Write(Drawing drawing, StringBuilder text, Dictionary<Drawing, int> uses, Dictionary<Drawing, string> written)
    {
        foreach (var stroke in drawing.Strokes)
            Write(stroke, text);
        foreach (var (part, at) in drawing.Parts)
        {
            var transform = Transform(at);
            if (written.TryGetValue(part, out var id))
            {
                text.Append("<use href=\"#").Append(id).Append('"').Append(transform).Append("/>");
                continue;
            }
            if (uses[part] > 1)
            {
                id = "p" + written.Count;
                written[part] = id;
                text.Append("<g").Append(transform).Append("><g id=\"").Append(id).Append("\">");
                Write(part, text, uses, written);
                text.Append("</g></g>");
            }
            else if (transform.Length == 0)
                Write(part, text, uses, written);
            else
            {
                text.Append("<g").Append(transform).Append('>');
                Write(part, text, uses, written);
                text.Append("</g>");
            }
        }
    }

    private static string Transform(Placement at)
    {
        if (at == new Placement(new Point(0, 0), 0, 1))
            return "";
        var flip = at.Flip ? -at.Scale : at.Scale;
        return string.Create(
            CultureInfo.InvariantCulture,
            $" transform=\"translate({at.At.X * Unit:0.#} {-at.At.Y * Unit:0.#})rotate({at.Turn:0.#})scale({flip:0.###} {at.Scale:0.###})\""
        );
    }

    private static void Write(Stroke stroke, StringBuilder text)
    {
        text.Append("<path ").Append(Style(stroke)).Append(" d=\"");
        var points = Simplify(stroke.Points);
        var (x, y) = (0.0, 0.0);
        for (var i = 0; i < points.Count; i++)
        {
            // Relative steps from what was written, so that roundings do not add up.
            var (toX, toY) = (Math.Round(points[i].X * Unit, 1), Math.Round(-points[i].Y * Unit, 1));
            text.Append(" lM"[Math.Max(0, 2 - i)]).Append(Number(toX - x)).Append(' ').Append(Number(toY - y));
            (x, y) = (toX, toY);
        }
        if (stroke.Closed)
            text.Append('z');
        text.Append("\"/>");
    }

    private static string Number(double value) =>
        Math.Round(value, 1).ToString("0.#", CultureInfo.InvariantCulture) is var text && text == "-0" ? "0" : text;

    // Inherited colours, so that a drawing fetched on its own follows the page, light or dark.
    private static string Style(Stroke stroke) => Look(stroke.Kind) + """ vector-effect="non-scaling-stroke" """.TrimEnd();

    private static string Look(StrokeKind kind) =>
        kind switch
        {
            StrokeKind.Blade => Filled("var(--leaf,#c9d3a4)", Line, "1.4"),
            StrokeKind.Vein => Drawn(Line, ".8", """ opacity=".6" """.TrimEnd()),
            StrokeKind.Stalk => Drawn(Line, "1.6"),
            StrokeKind.Twig => Drawn(Bark, "3.2"),
            StrokeKind.Needle => Drawn("var(--moss,#5b7432)", "1.8"),
            StrokeKind.Body => Filled("var(--bark-pale,#c8b097)", Bark, "1.4"),
            StrokeKind.Unknown => Drawn("var(--quiet,#84877a)", "1.2", """ stroke-dasharray="2 3.5" """.TrimEnd()),
        };

    private const string Line = "var(--line,#2b3f30)",
        Bark = "var(--bark,#6b5140)";

    private static string Filled(string fill, string line, string width) =>
        $"""fill="{fill}" stroke="{line}" stroke-width="{width}" stroke-linejoin="round" """.TrimEnd();

    private static string Drawn(string line, string width, string more = "") =>
        $"""fill="none" stroke="{line}" stroke-width="{width}" stroke-linecap="round"{more}""";

    // Ramer, Douglas and Peucker: keeps the points that the line would miss by more than the tolerance.
    private static List<Point> Simplify(IReadOnlyList<Point> points)
    {
        if (points.Count < 3)
            return [.. points];
        var keep = new bool[points.Count];
        keep[0] = keep[^1] = true;
        Split(0, points.Count - 1);
        return [.. points.Where((_, i) => keep[i])];

        void Split(int from, int to)
        {
            var (worst, at) = (Tolerance / Unit, -1);
            for (var i = from + 1; i < to; i++)
                if (Off(points[i], points[from], points[to]) is var off && off > worst)
                    (worst, at) = (off, i);
            if (at < 0)
                return;
            keep[at] = true;
            Split(from, at);
            Split(at, to);
        }
    }

    private static double Off(Point p, Point a, Point b)
    {
        var length = a.To(b);
        if (length < 1e-9)
            return p.To(a);
        var t = Math.Clamp(((p.X - a.X) * (b.X - a.X) + (p.Y - a.Y) * (b.Y - a.Y)) / (length * length), 0, 1);
        return p.To(a.Toward(b, t));
    }
}
