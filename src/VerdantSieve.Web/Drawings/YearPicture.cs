using System.Globalization;
using System.Net;
using System.Text;
using NodaTime;
using VerdantSieve.Core.Planning;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Web.Drawings;

/// <summary>Draws the coming year of a tree: for every week how likely a visit settles it, and under it the seasons of what it may
/// be.</summary>
public static class YearPicture
{
    private const double Week = 12,
        Top = 12,
        Bars = 96,
        Months = 18,
        Line = 19;

    private const int MostSeasons = 5,
        DaysInWeek = 7,
        RoomForName = 130;

    /// <summary>The picture, with its words for those who do not see it.</summary>
    /// <param name="year">The coming year.</param>
    /// <param name="seasons">The seasons drawn under the weeks.</param>
    /// <param name="label">What the picture says, in a sentence.</param>
    public static string Draw(YearAhead year, IReadOnlyList<SeasonHere> seasons, string label)
    {
        SeasonHere[] shown = [.. seasons.Take(MostSeasons)];
        var width = Week * year.Weeks.Count;
        var height = Top + Bars + Months + Line * shown.Length + 4;
        var svg = new StringBuilder();
        svg.Append(
            CultureInfo.InvariantCulture,
            $"<svg class=\"year\" viewBox=\"0 0 {N(width)} {N(height)}\" role=\"img\" aria-label=\"{WebUtility.HtmlEncode(label)}\">"
        );
        var best = year.BestSpan();
        for (var i = 0; i < year.Weeks.Count; i++)
        {
            var week = year.Weeks[i];
            var high = Math.Max(1, Bars * week.Settles);
            var isBest = best is { } span && week.Day >= span.From && week.Day <= span.To;
            svg.Append(
                CultureInfo.InvariantCulture,
                $"<rect class=\"{(isBest ? "best" : "week")}\" x=\"{N(i * Week + 1)}\" y=\"{N(Top + Bars - high)}\" "
                    + $"width=\"{N(Week - 2)}\" height=\"{N(high)}\"><title>{Title(week.Day, week.Settles)}</title></rect>"
            );
            // A month that has only just room for its line has none for its name.
            if (week.Day.Day <= DaysInWeek && i < year.Weeks.Count - 2)
                svg.Append(
                    CultureInfo.InvariantCulture,
                    $"<path class=\"month\" d=\"M{N(i * Week)} {N(Top + Bars)}v5\"/><text x=\"{N(i * Week + 2)}\" "
                        + $"y=\"{N(Top + Bars + 13)}\">{week.Day.ToString("MMM", CultureInfo.InvariantCulture)}</text>"
                );
        }
        foreach (var part in new[] { 0.5, 1.0 })
            svg.Append(
                CultureInfo.InvariantCulture,
                $"<path class=\"level\" d=\"M0 {N(Top + Bars * (1 - part))}H{N(width)}\"/><text x=\"{N(width)}\" "
                    + $"text-anchor=\"end\" y=\"{N(Top + Bars * (1 - part) - 2)}\">{part * 100:0} %</text>"
            );
        svg.Append(CultureInfo.InvariantCulture, $"<path class=\"ground\" d=\"M0 {N(Top + Bars)}H{N(width)}\"/>");
        for (var at = 0; at < shown.Length; at++)
            Season(svg, shown[at], year.Weeks[0].Day, width, Top + Bars + Months + Line * at + 8);
        return svg.Append("</svg>").ToString();
    }

    private static string Title(LocalDate day, double settles) => $"week of {Say.Date(day)}: settles it {Say.Percent(settles)}";

    // A season may begin before the year drawn and end after it.
    private static void Season(StringBuilder svg, SeasonHere season, LocalDate from, double width, double y)
    {
        var start = SeasonWindow.Wrap(season.Window.StartDay - (Math.Min(from.DayOfYear, SeasonWindow.DaysInYear) - 1));
        var first = true;
        foreach (var shift in new[] { start, start - SeasonWindow.DaysInYear })
        {
            var (left, right) = (Math.Max(0, shift / 7.0 * Week), Math.Min(width, (shift + season.Window.Length) / 7.0 * Week));
            if (right <= left)
                continue;
            svg.Append(
                CultureInfo.InvariantCulture,
                $"<path class=\"{(season.Fruit ? "fruit" : "flowers")}\" d=\"M{N(left)} {N(y)}H{N(right)}\"/>"
            );
            if (!first)
                continue;
            var words = $"{(season.Fruit ? "fruit" : "flowers")} of {season.Taxon.CommonName}";
            // Where there is no room behind it, its name stands before it.
            var atEnd = right > width - RoomForName && left > RoomForName;
            svg.Append(
                CultureInfo.InvariantCulture,
                $"<text x=\"{N(atEnd ? left - 4 : right + 4)}\" y=\"{N(y + 4)}\"{(atEnd ? " text-anchor=\"end\"" : "")}>"
                    + $"{WebUtility.HtmlEncode(words)}</text>"
            );
            first = false;
        }
    }

    private static string N(double value) => Math.Round(value, 1).ToString(CultureInfo.InvariantCulture);
}
