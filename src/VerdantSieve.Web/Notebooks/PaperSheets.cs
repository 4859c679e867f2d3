using System.Globalization;
using System.Net;
using System.Text;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Views.Drawings;

namespace VerdantSieve.Web.Notebooks;

/// <summary>Sheets of paper written from top to bottom, each an SVG of its own; what does not fit goes onto the next.</summary>
/// <param name="width">How wide a sheet is, in millimetres.</param>
/// <param name="height">How high.</param>
/// <param name="left">Its margins.</param>
public sealed class PaperSheets(double width, double height, double left)
{
    // Millimetres; and how wide a letter is for its size, on average.
    private const double Line = 4.8,
        UsualSize = 3.4,
        LetterWidth = 0.5,
        DrawnHigh = 9,
        DrawnGap = 1.2,
        RowHeight = 34,
        PlateShape = 1.25;

    private double Bottom => height - left;

    private readonly List<string> done = [];
    private readonly StringBuilder open = new();
    private double down;

    // Where the next line stands, from the upper edge.
    private double Y
    {
        get => left + down;
        set => down = value - left;
    }

    /// <summary>Leaves half a line.</summary>
    public void Gap() => Y += Line / 2;

    /// <summary>Writes text, in lines as long as the sheet is wide.</summary>
    /// <param name="text">The text.</param>
    /// <param name="size">How high its letters are, in millimetres.</param>
    /// <param name="indent">How far it stands in, in millimetres.</param>
    /// <param name="beside">Small drawings that stand before it.</param>
    public void Write(string text, double size = UsualSize, double indent = 0, params IReadOnlyList<Drawing> beside)
    {
        var at = left + indent;
        var from = at + beside.Count * (DrawnHigh + DrawnGap);
        string[] lines = [.. Wrapped(text, (int)((width - left - from) / (LetterWidth * size)))];
        var step = Line * size / UsualSize;
        // What stands beside its drawings stays on one sheet with them.
        var high = beside.Count > 0 ? Math.Max(lines.Length * step, DrawnHigh) + DrawnGap : 0;
        if (beside.Count > 0)
            Room(high);
        var top = Y;
        for (var i = 0; i < beside.Count; i++)
            Draw(beside[i], at + i * (DrawnHigh + DrawnGap), top + DrawnGap);
        foreach (var line in lines)
        {
            Room(step);
            Y += step;
            open.Append(
                CultureInfo.InvariantCulture,
                $"<text x=\"{from:0.##}\" y=\"{Y:0.##}\" font-family=\"DejaVu Sans\" font-size=\"{size}\" fill=\"#111\">"
                    + $"{WebUtility.HtmlEncode(line)}</text>"
            );
        }
        if (beside.Count > 0)
            Y = Math.Max(Y, top + high);
    }

    // A drawing in the middle of its place.
    private void Draw(Drawing drawing, double x, double y)
    {
        var (low, high) = drawing.Bounds();
        var unit = DrawnHigh / Math.Max(Math.Max(high.X - low.X, high.Y - low.Y), 1e-6);
        var middle = new Point(-(low.X + high.X) / 2 * unit, -(low.Y + high.Y) / 2 * unit);
        var placed = Drawing.Of(drawing).Placed(new Placement(middle, 0, unit));
        open.Append(
            CultureInfo.InvariantCulture,
            $"<g transform=\"translate({x + DrawnHigh / 2:0.##} {y + DrawnHigh / 2:0.##}) scale(0.01)\">"
                + $"{SvgPen.Plate(placed, onPaper: true)}</g>"
        );
    }

    /// <summary>Draws something as large as it is said to be, scaled to a width.</summary>
    public void Draw(string svg, double itsWidth, double itsHeight, double drawnWidth)
    {
        var high = itsHeight * drawnWidth / itsWidth;
        Room(high + Line);
        open.Append(
            CultureInfo.InvariantCulture,
            $"<clipPath id=\"map\"><rect width=\"{itsWidth}\" height=\"{itsHeight}\"/></clipPath><g "
                + $"transform=\"translate({left} {Y + Line / 2:0.##}) scale({drawnWidth / itsWidth:0.#####})\"><g "
                + $"clip-path=\"url(#map)\">{svg}</g><rect width=\"{itsWidth}\" height=\"{itsHeight}\" fill=\"none\" "
                + $"stroke=\"#777\"/></g>"
        );
        Y += high + Line;
    }

    /// <summary>A row of pictures, each as high as the row.</summary>
    public void Show(string? plate, IReadOnlyList<byte[]> pictures)
    {
        if (plate is null && pictures.Count == 0)
            return;
        Room(RowHeight + Line);
        var x = left;
        if (plate is not null)
        {
            open.Append(
                CultureInfo.InvariantCulture,
                $"<image x=\"{x}\" y=\"{Y + Line / 2:0.##}\" width=\"{RowHeight * PlateShape:0.#}\" "
                    + $"height=\"{RowHeight}\" href=\"data:image/svg+xml;base64,"
                    + $"{Convert.ToBase64String(Encoding.UTF8.GetBytes(plate))}\"/>"
            );
            x += RowHeight * PlateShape + Line / 2;
        }
        foreach (var picture in pictures)
        {
            open.Append(
                CultureInfo.InvariantCulture,
                $"<image x=\"{x:0.##}\" y=\"{Y + Line / 2:0.##}\" width=\"{RowHeight}\" height=\"{RowHeight}\" "
                    + $"href=\"data:image/jpeg;base64,{Convert.ToBase64String(picture)}\"/>"
            );
            x += RowHeight + Line / 2;
        }
        Y += RowHeight + Line;
    }

    private void Room(double high)
    {
        if (Y + high > Bottom)
            Turn();
    }

    /// <summary>Goes on to the next sheet.</summary>
    public void Turn()
    {
        done.Add(
            string.Create(
                CultureInfo.InvariantCulture,
                $"<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{width}\" height=\"{height}\" viewBox=\"0 0 {width} "
                    + $"{height}\"><rect width=\"{width}\" height=\"{height}\" fill=\"#fff\"/>{open}</svg>"
            )
        );
        open.Clear();
        down = 0;
    }

    /// <summary>The sheets.</summary>
    public IReadOnlyList<string> Done()
    {
        Turn();
        return done;
    }

    /// <summary>A line to write on.</summary>
    public void Rule()
    {
        Room(1.6 * Line);
        Y += 1.6 * Line;
        open.Append(CultureInfo.InvariantCulture, $"<path d=\"M{left} {Y:0.##}H{width - left}\" stroke=\"#999\" stroke-width=\"0.2\"/>");
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
