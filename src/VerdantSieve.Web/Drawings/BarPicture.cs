using System.Globalization;
using System.Net;
using System.Text;

namespace VerdantSieve.Web.Drawings;

/// <summary>Draws counts as bars with their numbers.</summary>
public static class BarPicture
{
    private const double Wide = 44,
        High = 90,
        Words = 18;

    /// <summary>The picture.</summary>
    /// <param name="bars">What each bar stands for, and how many.</param>
    /// <param name="label">What it shows.</param>
    public static string Draw(IReadOnlyList<(string Name, int Count)> bars, string label)
    {
        if (bars.Count == 0)
            return "";
        var most = bars.Max(bar => bar.Count);
        var said = string.Join(", ", bars.Select(bar => $"{bar.Name}: {bar.Count}"));
        var svg = new StringBuilder();
        svg.Append(
            CultureInfo.InvariantCulture,
            $"<svg class=\"year bars\" width=\"{Wide * bars.Count}\" height=\"{High + 2 * Words}\" viewBox=\"0 0 "
                + $"{Wide * bars.Count} {High + 2 * Words}\" role=\"img\" aria-label=\""
                + $"{WebUtility.HtmlEncode($"{label}: {said}")}\">"
        );
        for (var at = 0; at < bars.Count; at++)
        {
            var (x, high) = (at * Wide, High * bars[at].Count / Math.Max(1, most));
            svg.Append(
                CultureInfo.InvariantCulture,
                $"<rect class=\"best\" x=\"{x + 8}\" y=\"{Words + High - high:0.#}\" width=\"{Wide - 16}\" "
                    + $"height=\"{high:0.#}\"/><text x=\"{x + Wide / 2}\" y=\"{Words + High - high - 4:0.#}\" "
                    + $"text-anchor=\"middle\">{bars[at].Count}</text><text x=\"{x + Wide / 2}\" y=\"{High + 2 * Words - 4}\" "
                    + $"text-anchor=\"middle\">{WebUtility.HtmlEncode(bars[at].Name)}</text>"
            );
        }
        return svg.Append("</svg>").ToString();
    }
}
