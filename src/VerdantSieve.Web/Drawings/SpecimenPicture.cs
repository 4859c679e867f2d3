using System.Globalization;
using System.Text;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Practising;
using VerdantSieve.Views.Drawings;

namespace VerdantSieve.Web.Drawings;

/// <summary>A specimen beside a ruler or, where it is counted, by itself.</summary>
public static class SpecimenPicture
{
    // Units of the picture to a millimetre, as the pen has it.
    private const double Unit = 100;

    // The ruler stands off the leaf, and its nought is not where the blade begins: who reads only its end reads wrong.
    private const double Off = 4,
        Nought = 10;

    // A long ruler is drawn small: its figures grow with it, and there are fewer.
    private const double RulerOver = 16,
        FiguresOver = 27,
        LeastRuler = 10,
        LeastFigures = 3.2;

    /// <summary>The picture as a file whose drawing has the id <c>d</c>.</summary>
    public static string Of(Specimen specimen)
    {
        if (specimen.Character is CountCharacter)
            return SvgPen.File(specimen.Drawing);
        var (low, high) = specimen.Drawing.Bounds();
        var text = new StringBuilder(SvgPen.Plate(specimen.Drawing, onPaper: false));
        var isTall = specimen.Character.Id == CharacterIds.BladeLength;
        // As long as the leaf and a little more, in whole centimetres.
        var (from, length) = isTall ? (-Nought, high.Y + 2 * Nought) : (low.X - Nought, high.X - low.X + 2 * Nought);
        length = Math.Ceiling(length / 10) * 10;
        var edge = isTall ? low.X - Off : low.Y - Off;
        var broad = Math.Max(LeastRuler, length / RulerOver);
        Ruler(text, isTall, from, length, edge, broad);
        var (top, foot) = isTall ? (Math.Max(high.Y, from + length), Math.Min(low.Y, from)) : (high.Y, edge - broad);
        var (left, right) = isTall ? (edge - broad, high.X) : (from, Math.Max(high.X, from + length));
        double[] box = [left - 2, -top - 2, right - left + 4, top - foot + 4];
        var view = string.Join(' ', box.Select(Number));
        return $"""<svg xmlns="http://www.w3.org/2000/svg"><symbol id="d" viewBox="{view}">{text}</symbol><use href="#d"/></svg>""";
    }

    private static void Ruler(StringBuilder text, bool isTall, double from, double length, double edge, double broad)
    {
        // Along is the way the ruler runs, away is towards its back.
        string At(double along, double away) =>
            isTall ? $"{Number(edge - away)} {Number(-(from + along))}" : $"{Number(from + along)} {Number(-(edge - away))}";
        text.Append("<path fill=\"var(--ochre-pale,#f3e2b4)\" stroke=\"var(--ochre,#7f5606)\" stroke-width=\"20\" ");
        text.Append($"""d="M{At(0, 0)}L{At(length, 0)}L{At(length, broad)}L{At(0, broad)}Z"/>""");
        text.Append("<path fill=\"none\" stroke=\"var(--line,#2b3f30)\" stroke-width=\"16\" d=\"");
        for (var millimetre = 0; millimetre <= length; millimetre++)
            text.Append('M').Append(At(millimetre, 0)).Append('L').Append(At(millimetre, broad * TickOf(millimetre)));
        text.Append("\"/>");
        var figures = Number(Math.Max(LeastFigures, length / FiguresOver));
        var step = length switch
        {
            <= 80 => 1,
            <= 150 => 2,
            _ => 5,
        };
        text.Append("<g fill=\"var(--ink,#24352a)\" text-anchor=\"middle\" dominant-baseline=\"middle\" font-family=\"sans-serif\" ");
        text.Append($"""font-size="{figures}">""");
        for (var centimetre = 0; centimetre * 10 <= length; centimetre += step)
        {
            var place = At(centimetre * 10, broad * FiguresAt).Split(' ');
            text.Append($"""<text x="{place[0]}" y="{place[1]}">{centimetre}</text>""");
        }
        text.Append("</g>");
    }

    // Where the figures stand, and how long ticks are, over the ruler’s breadth.
    private const double FiguresAt = 0.72;

    private static double TickOf(int millimetre) =>
        (millimetre % 10, millimetre % 5) switch
        {
            (0, _) => 0.42,
            (_, 0) => 0.3,
            _ => 0.18,
        };

    private static string Number(double millimetres) => (millimetres * Unit).ToString("0.#", CultureInfo.InvariantCulture);
}
