using System.Globalization;
using System.Net;
using System.Text;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Drawing.Plates;

namespace VerdantSieve.Views.Drawings;

/// <summary>Writes plates as SVG: one to stand in a page, and a sheet of A4 to print.</summary>
public static class PlateSvg
{
    // Units of the picture to a millimetre.
    private const double Unit = 100;

    /// <summary>The width of a sheet, in millimetres.</summary>
    public const double SheetWidth = 210;

    /// <summary>The height of a sheet, in millimetres.</summary>
    public const double SheetHeight = 297;

    private const double SheetMargin = 15;

    private const string Ink = "#2b3f30",
        QuietInk = "#5c6358",
        DangerInk = "#9b2c22";

    // The faces that sheets are set in, for those who make them into PDF; a page has its own.
    private const string Plain = "DejaVu Sans,sans-serif",
        Italic = "DejaVu Serif,serif";

    /// <summary>A file whose plate has the id <c>d</c>, for use from a page by reference.</summary>
    public static string File(Plate plate)
    {
        var (width, height, top) = (Number(Plate.Width), Number(Plate.Height), Number(-Plate.Height));
        var box = $"0 {top} {width} {height}";
        var symbol = $"""<symbol id="d" viewBox="{box}">{Picture(plate, onPaper: false)}</symbol>""";
        var use = $"""<use href="#d" y="{top}" width="{width}" height="{height}"/>""";
        return $"""<svg xmlns="http://www.w3.org/2000/svg" viewBox="{box}">{symbol}{use}</svg>""";
    }

    /// <summary>The plate in inks of its own, to be put on a sheet of paper.</summary>
    public static string OnPaper(Plate plate)
    {
        var box = $"0 {Number(-Plate.Height)} {Number(Plate.Width)} {Number(Plate.Height)}";
        return $"""<svg xmlns="http://www.w3.org/2000/svg" viewBox="{box}">{Picture(plate, onPaper: true)}</svg>""";
    }

    /// <summary>A sheet of A4.</summary>
    /// <param name="plate">The plate.</param>
    /// <param name="words">What is written on it.</param>
    public static string Sheet(Plate plate, SheetWords words)
    {
        const double width = SheetWidth - 2 * SheetMargin;
        var text = new StringBuilder();
        var size = string.Create(CultureInfo.InvariantCulture, $"width=\"{SheetWidth}mm\" height=\"{SheetHeight}mm\"");
        text.Append($"""<svg xmlns="http://www.w3.org/2000/svg" {size} viewBox="0 0 {Number(SheetWidth)} {Number(SheetHeight)}">""");
        text.Append("<rect width=\"100%\" height=\"100%\" fill=\"#ffffff\"/>");
        var column = new Column(text) { Y = 24 };
        Write(text, SheetMargin, column.Y, 7, words.Name, Ink, Italic);
        column.Y += 8;
        column.Write(SheetMargin, width, 4, words.Subtitle, QuietInk);
        foreach (var caution in words.Cautions)
            column.Write(SheetMargin, width, 4, caution, DangerInk);
        text.Append($"""<g transform="translate({Number(SheetMargin)} {Number(column.Y + Plate.Height)})">""")
            .Append(Picture(plate, onPaper: true))
            .Append("</g>");
        column.Y += Plate.Height + 9;
        foreach (var mark in plate.Marks)
        {
            Disc(text, SheetMargin + 2.4, column.Y - 1.3, mark.Number);
            column.Write(SheetMargin + 8, width - 8, 3.8, $"{mark.Text}; not so: {string.Join(", ", mark.Doubles)}", Ink);
            column.Y += 1.2;
        }
        foreach (var note in words.Notes)
            column.Write(SheetMargin, width, 3.8, note, Ink);
        return text.Append("</svg>").ToString();
    }

    private static string Picture(Plate plate, bool onPaper)
    {
        var text = new StringBuilder(SvgPen.Plate(Drawing.Of(plate.Parts.Select(part => part.Drawing.Placed(part.At))), onPaper));
        var ink = onPaper ? Ink : $"var(--line,{Ink})";
        foreach (var mark in plate.Marks)
        {
            Line(text, ink, 22, $"M{Number(mark.At.X)} {Number(-mark.At.Y)}L{Number(mark.Label.X)} {Number(-mark.Label.Y)}");
            Disc(text, mark.Label.X, -mark.Label.Y, mark.Number);
        }
        if (plate.Scale is { } scale)
        {
            var (left, right, y) = (scale.Bar.X, scale.Bar.X + scale.BarLength, -scale.Bar.Y);
            Line(text, ink, 35, $"M{Number(left)} {Number(y - 1)}v100m0 -50H{Number(right)}m0 -50v100");
            Write(text, right + 2, y + 1.2, 3.6, $"{LengthOf(scale.BarCentimetres)}, × {TimesOf(scale.Times)}", ink, Plain);
        }
        return text.ToString();
    }

    private static string LengthOf(double centimetres) => centimetres < 1 ? $"{Short(centimetres * 10)} mm" : $"{Short(centimetres)} cm";

    // As a printer writes it: ¾ and 1/3, not 0.75 and 0.33.
    private static string TimesOf(double times)
    {
        if (times >= 1)
            return Short(times);
        var parts = Math.Round(1 / times);
        if (Math.Abs(1 / times - parts) < 1e-6)
            return $"1/{parts:0}";
        return Math.Abs(times - 0.75) < 1e-9 ? "¾" : Short(times);
    }

    private static string Short(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);

    private static void Line(StringBuilder text, string ink, int width, string path) =>
        text.Append(CultureInfo.InvariantCulture, $"""<path d="{path}" fill="none" stroke="{ink}" stroke-width="{width}"/>""");

    private static void Disc(StringBuilder text, double x, double y, int number)
    {
        text.Append($"""<circle cx="{Number(x)}" cy="{Number(y)}" r="250" fill="#fbf8f0" stroke="{Ink}" stroke-width="25"/>""");
        var at = $"x=\"{Number(x)}\" y=\"{Number(y + 1.25)}\" font-size=\"350\" text-anchor=\"middle\"";
        text.Append(CultureInfo.InvariantCulture, $"""<text {at} font-family="{Plain}" fill="{Ink}">{number}</text>""");
    }

    private static void Write(StringBuilder text, double x, double y, double size, string words, string ink, string face)
    {
        var style = face == Italic ? " font-style=\"italic\"" : "";
        text.Append($"""<text x="{Number(x)}" y="{Number(y)}" font-size="{Number(size)}" font-family="{face}"{style} fill="{ink}">""");
        text.Append(WebUtility.HtmlEncode(words)).Append("</text>");
    }

    // Lines one below the other. What does not fit on one sheet is on the plant’s page.
    private sealed class Column(StringBuilder text)
    {
        public double Y { get; set; }

        public void Write(double x, double width, double size, string words, string ink)
        {
            foreach (var line in Wrap(words, size, width).TakeWhile(_ => Y < SheetHeight - SheetMargin / 2))
            {
                PlateSvg.Write(text, x, Y, size, line, ink, Plain);
                Y += size * 1.35;
            }
        }
    }

    // A letter of a plain face is about half as wide as the face is high.
    private static IEnumerable<string> Wrap(string words, double size, double width)
    {
        var most = (int)(width / (size * 0.5));
        var line = new StringBuilder();
        foreach (var word in words.Split(' ', StringSplitOptions.RemoveEmptyEntries))
        {
            if (line.Length > 0 && line.Length + 1 + word.Length > most)
            {
                yield return line.ToString();
                line.Clear();
            }
            if (line.Length > 0)
                line.Append(' ');
            line.Append(word);
        }
        if (line.Length > 0)
            yield return line.ToString();
    }

    private static string Number(double millimetres) => (millimetres * Unit).ToString("0.#", CultureInfo.InvariantCulture);
}

/// <summary>What is written on a sheet.</summary>
/// <param name="Name">The scientific name.</param>
/// <param name="Subtitle">Its other names and family.</param>
/// <param name="Cautions">What to beware of.</param>
/// <param name="Notes">What to remember, and where the drawing comes from.</param>
public sealed record SheetWords(string Name, string Subtitle, IReadOnlyList<string> Cautions, IReadOnlyList<string> Notes);
