using System.Globalization;
using System.Net;
using System.Text;
using VerdantSieve.Core.Trees;

namespace VerdantSieve.Web.Drawings;

/// <summary>Draws how certain determinations fared: where they fared as was said, the discs lie on the line.</summary>
public static class CalibrationPicture
{
    private const double Side = 200,
        Edge = 30;

    /// <summary>The picture.</summary>
    /// <param name="bins">The determinations by how certain they were.</param>
    /// <param name="label">What it shows.</param>
    public static string Draw(IReadOnlyList<CertaintyBin> bins, string label)
    {
        var svg = new StringBuilder();
        svg.Append(
            CultureInfo.InvariantCulture,
            $"<svg class=\"year calibration\" viewBox=\"0 0 {Side + 2 * Edge} {Side + 2 * Edge}\" role=\"img\" "
                + $"aria-label=\"{WebUtility.HtmlEncode(label)}; the table below says the same.\">"
        );
        svg.Append(
            CultureInfo.InvariantCulture,
            $"<path class=\"ground\" d=\"M{Edge} {Edge}V{Edge + Side}H{Edge + Side}\"/><path class=\"level\" "
                + $"d=\"M{Edge} {Edge + Side}L{Edge + Side} {Edge}\"/>"
        );
        foreach (var part in new[] { 0, 0.5, 1 })
            svg.Append(
                CultureInfo.InvariantCulture,
                $"<text x=\"{Edge + Side * part}\" y=\"{Edge + Side + 12}\" text-anchor=\"middle\">{part * 100:0} "
                    + $"%</text><text x=\"{Edge - 4}\" y=\"{Edge + Side * (1 - part) + 3}\" text-anchor=\"end\">{part * 100:0}"
                    + $" %</text>"
            );
        foreach (var bin in bins)
            if (bin.Share is { } share)
                svg.Append(
                    CultureInfo.InvariantCulture,
                    $"<circle class=\"best\" cx=\"{Edge + Side * (bin.From + bin.To) / 2:0.#}\" "
                        + $"cy=\"{Edge + Side * (1 - share):0.#}\" r=\"{Math.Min(12, 3 + Math.Sqrt(bin.Count) * 1.5):0.#}\">"
                        + $"<title>{bin.Stood} of {bin.Count}</title></circle>"
                );
        svg.Append(
            CultureInfo.InvariantCulture,
            $"<text x=\"{Edge + Side / 2}\" y=\"{2 * Edge + Side - 5}\" text-anchor=\"middle\">how certain it was</text>"
                + $"<text x=\"{Edge}\" y=\"{Edge - 10}\">still stands</text>"
        );
        return svg.Append("</svg>").ToString();
    }
}
