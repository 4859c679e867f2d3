using System.Collections.Concurrent;
using System.Globalization;
using System.Text;
using VerdantSieve.Core.Drawing;

namespace VerdantSieve.Views.Drawings;

/// <summary>Writes drawings as SVG. The one pen: widths, ends and tones come from here and from the page's colour tokens; on paper, where
/// no
/// page gives any, the tones are written out and lines have their width in millimetres.</summary>
public sealed class SvgPen
{
    // Units of the picture to one blade length: enough for whole numbers and one decimal.
    private const double Unit = 100;

    // A line of a pixel's width on a screen, in picture units of a plate whose millimetre is one unit of the drawing.
    private const double PaperWidth = 18;

    private readonly bool onPaper;

    // How far a simplified line may stray, in picture units.
    private readonly double tolerance;

    private SvgPen(bool onPaper, double tolerance) => (this.onPaper, this.tolerance) = (onPaper, tolerance);

    private static SvgPen ForPage { get; } = new(onPaper: false, tolerance: 0.35);

    // Larger, so that lines must be truer.
    private static SvgPen ForPlate { get; } = new(onPaper: false, tolerance: 0.32);

    private static SvgPen ForPaper { get; } = new(onPaper: true, tolerance: 4);

    /// <summary>A whole SVG file whose drawing has the id <c>d</c>, for use from a page by reference.</summary>
    public static string File(Drawing drawing)
    {
        var (box, content) = ForPage.Body(drawing);
        return $"""<svg xmlns="http://www.w3.org/2000/svg"><symbol id="d" viewBox="{box}">{content}</symbol><use href="#d"/></svg>""";
    }

    /// <summary>A file of several drawings, each an element of its own name.</summary>
    public static string File(IEnumerable<(string Name, Drawing Drawing)> drawings)
    {
        var text = new StringBuilder("""<svg xmlns="http://www.w3.org/2000/svg">""");
        foreach (var (name, drawing) in drawings)
        {
            var (box, content) = ForPage.Body(drawing);
            text.Append($"""<symbol id="{name}" viewBox="{box}">{content}</symbol>""");
        }
        return text.Append("</svg>").ToString();
    }

    /// <summary>An SVG element to stand in a page.</summary>
    public static string Inline(Drawing drawing, string cssClass, string label)
    {
        var (box, content) = ForPage.Body(drawing);
        var said = System.Net.WebUtility.HtmlEncode(label);
        return $"""<svg class="{cssClass}" viewBox="{box}" role="img" aria-label="{said}">{content}</svg>""";
    }

    /// <summary>What a plate’s picture consists of, 100 units to a millimetre, its foot at y = 0.</summary>
    /// <param name="drawing">The picture, in millimetres.</param>
    /// <param name="onPaper">Whether it is for paper, where no page gives colours and nothing scales lines.</param>
    public static string Plate(Drawing drawing, bool onPaper)
    {
        var text = new StringBuilder();
        if (onPaper)
            foreach (var stroke in drawing.Flat())
                ForPaper.Write(stroke, text);
        else
        {
            var uses = new Dictionary<Drawing, int>(ReferenceEqualityComparer.Instance);
            Count(drawing, uses);
            ForPlate.Write(drawing, text, uses, []);
        }
        return text.ToString();
    }

    private (string Box, string Content) Body(Drawing drawing)
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
    private void Write(Drawing drawing, StringBuilder text, Dictionary<Drawing, int> uses, Dictionary<Drawing, string> written)
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

    private void Write(Stroke stroke, StringBuilder text)
    {
        text.Append("<path ").Append(Style(stroke)).Append(" d=\"");
        var points = Simplify(stroke.Points);
        var (x, y) = (0.0, 0.0);
        for (var i = 0; i < points.Length; i++)
        {
            // Relative steps from what was written, so that roundings do not add up.
            var (toX, toY) = (Math.Round(points[i].X * Unit, 1), Math.Round(-points[i].Y * Unit, 1));
            text.Append(" lM"[Math.Max(0, 2 - i)]);
            Tenths(text, toX - x);
            text.Append(' ');
            Tenths(text, toY - y);
            (x, y) = (toX, toY);
        }
        if (stroke.Closed)
            text.Append('z');
        text.Append("\"/>");
    }

    // A number with at most one decimal; most of the time that goes into a file goes into these.
    private static void Tenths(StringBuilder text, double value)
    {
        var tenths = (long)Math.Round(value * 10);
        if (tenths < 0)
            text.Append('-');
        tenths = Math.Abs(tenths);
        text.Append(tenths / 10);
        if (tenths % 10 is var rest and > 0)
            text.Append('.').Append(rest);
    }

    private readonly ConcurrentDictionary<(StrokeKind Kind, Tint? Tint), string> styles = new();

    // Inherited colours, so that a drawing fetched on its own follows the page, light or dark. A plate has many more strokes than
    // styles.
    private string Style(Stroke stroke) =>
        styles.GetOrAdd(
            (stroke.Kind, stroke.Tint),
            static (_, of) => of.Pen.onPaper ? of.Pen.Look(of.Stroke) : of.Pen.Look(of.Stroke) + " vector-effect=\"non-scaling-stroke\"",
            (Pen: this, Stroke: stroke)
        );

    private string Look(Stroke stroke) =>
        stroke.Kind switch
        {
            StrokeKind.Blade => Filled(stroke.Tint is { } leaf ? Foliage(leaf) : Tone("leaf", "#c9d3a4"), Line, 1.4),
            StrokeKind.Vein => Drawn(Line, .8, " opacity=\".6\""),
            StrokeKind.Stalk => Drawn(Colour(stroke, Line), 1.6),
            StrokeKind.Twig => Drawn(Colour(stroke, Bark), 3.2),
            StrokeKind.Needle => Drawn(stroke.Tint is { } needle ? Foliage(needle) : Tone("moss", "#5b7432"), 1.8),
            StrokeKind.Body => Filled(Colour(stroke, Tone("bark-pale", "#c8b097")), Bark, 1.4),
            StrokeKind.Unknown => Drawn(Tone("quiet", "#84877a"), 1.2, " stroke-dasharray=\"2 3.5\""),
            StrokeKind.Hair => Drawn(Colour(stroke, Line), .9),
            StrokeKind.Area => Filled(Colour(stroke, Tone("paper", "#fbf8f0")), Line, 1.1),
            StrokeKind.Mark => $"fill=\"{Colour(stroke, Line)}\"",
        };

    private static string Colour(Stroke stroke, string otherwise) => stroke.Tint is { } tint ? Colours.Of(tint) : otherwise;

    // Leaves are drawn paler than they are, so that their veins are seen.
    private static string Foliage(Tint tint) => Colours.OfFoliage(tint);

    private string Tone(string token, string written) => onPaper ? written : $"var(--{token},{written})";

    private string Line => Tone("line", "#2b3f30");
    private string Bark => Tone("bark", "#6b5140");

    private string Filled(string fill, string line, double width) =>
        $"fill=\"{fill}\" stroke=\"{line}\" stroke-width=\"{Width(width)}\" stroke-linejoin=\"round\"";

    private string Drawn(string line, double width, string more = "") =>
        $"fill=\"none\" stroke=\"{line}\" stroke-width=\"{Width(width)}\" stroke-linecap=\"round\"{more}";

    private string Width(double pixels) => (onPaper ? pixels * PaperWidth : pixels).ToString("0.##", CultureInfo.InvariantCulture);

    // Ramer, Douglas and Peucker: keeps the points that the line would miss by more than the tolerance.
    private ReadOnlySpan<Point> Simplify(IReadOnlyList<Point> line)
    {
        Point[] points = [.. line];
        if (points.Length < 3)
            return points;
        var keep = new bool[points.Length];
        keep[0] = keep[^1] = true;
        Split(0, points.Length - 1);
        var kept = 0;
        for (var i = 0; i < points.Length; i++)
            if (keep[i])
                points[kept++] = points[i];
        return points.AsSpan(0, kept);

        void Split(int from, int to)
        {
            // By squares: nothing else here is done as often.
            var (worst, at) = (tolerance * tolerance / (Unit * Unit), -1);
            var (a, b) = (points[from], points[to]);
            var (dx, dy) = (b.X - a.X, b.Y - a.Y);
            var length = dx * dx + dy * dy;
            for (var i = from + 1; i < to; i++)
            {
                var (x, y) = (points[i].X - a.X, points[i].Y - a.Y);
                var t = length < 1e-18 ? 0 : Math.Clamp((x * dx + y * dy) / length, 0, 1);
                var (offX, offY) = (x - t * dx, y - t * dy);
                if (offX * offX + offY * offY is var off && off > worst)
                    (worst, at) = (off, i);
            }
            if (at < 0)
                return;
            keep[at] = true;
            Split(from, at);
            Split(at, to);
        }
    }
}
