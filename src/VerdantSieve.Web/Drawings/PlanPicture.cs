using System.Globalization;
using System.Net;
using System.Text;
using VerdantSieve.Core.Planning;

namespace VerdantSieve.Web.Drawings;

/// <summary>Draws the coming year of many trees, a line for each: the fuller a week, the likelier a visit settles the tree.</summary>
public static class PlanPicture
{
    private const double Names = 150,
        Week = 11,
        Line = 17,
        Top = 18,
        Most = 12;
    private const int MostLines = 40,
        LongestName = 22,
        DaysInWeek = 7;

    /// <summary>The picture; empty where there is no tree.</summary>
    /// <param name="trees">The trees.</param>
    /// <param name="called">What each is called.</param>
    /// <param name="label">What it shows, in a sentence.</param>
    public static string Draw(IReadOnlyList<PlannedTree> trees, Func<PlannedTree, string> called, string label)
    {
        PlannedTree[] shown = [.. trees.OrderByDescending(tree => tree.Year.Best?.Settles ?? 0).Take(MostLines)];
        if (shown.Length == 0)
            return "";
        var weeks = shown[0].Year.Weeks;
        var svg = new StringBuilder();
        svg.Append(
            CultureInfo.InvariantCulture,
            $"<svg class=\"year\" viewBox=\"0 0 {Names + Week * weeks.Count} {Top + Line * shown.Length}\" role=\"img\" "
                + $"aria-label=\"{WebUtility.HtmlEncode(label)}\">"
        );
        for (var week = 0; week < weeks.Count - 2; week++)
            if (weeks[week].Day.Day <= DaysInWeek)
                svg.Append(
                    CultureInfo.InvariantCulture,
                    $"<text x=\"{Names + Week * week}\" y=\"10\">{weeks[week].Day.ToString("MMM", CultureInfo.InvariantCulture)}</text>"
                );
        for (var at = 0; at < shown.Length; at++)
        {
            var y = Top + Line * at;
            var name = called(shown[at]);
            svg.Append(
                CultureInfo.InvariantCulture,
                $"<text x=\"0\" y=\"{y + 12}\">{WebUtility.HtmlEncode(name.Length > LongestName ? name[..LongestName] + "…" : name)}</text>"
            );
            for (var week = 0; week < weeks.Count; week++)
            {
                // By its height as well as by its place, so that colour is not needed.
                var high = Most * shown[at].Year.Weeks[week].Settles;
                if (high >= 0.5)
                    svg.Append(
                        CultureInfo.InvariantCulture,
                        $"<rect class=\"best\" x=\"{Names + Week * week}\" y=\"{y + 2 + Most - high:0.#}\" "
                            + $"width=\"{Week - 2}\" height=\"{high:0.#}\"/>"
                    );
            }
            svg.Append(
                CultureInfo.InvariantCulture,
                $"<path class=\"ground\" d=\"M{Names} {y + Most + 2.5}H{Names + Week * weeks.Count}\"/>"
            );
        }
        return svg.Append("</svg>").ToString();
    }
}
