using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing.Plates;
using VerdantSieve.Views.Drawings;

namespace VerdantSieve.Web.Drawings;

/// <summary>The A4 sheet of a kind: its plate with marks, its names and cautions.</summary>
public static class PlateSheets
{
    /// <summary>The sheet as SVG.</summary>
    /// <param name="open">The flora.</param>
    /// <param name="taxon">The kind.</param>
    /// <param name="note">What else is written on it; null where nothing.</param>
    public static string Of(OpenFlora open, Taxon taxon, string? note = null)
    {
        string[] notes =
        [
            taxon.Remember,
            .. note is { Length: > 0 } ? new[] { note } : [],
            "Drawn from what the flora says of this kind: the usual leaf at the scale given, all else not to scale. "
                + $"{open.Flora.About.Title}, edition {open.Flora.About.Edition}.",
        ];
        var words = new SheetWords(
            taxon.Name.Text,
            string.Join(", ", taxon.CommonNames.Append(taxon.Family).OfType<string>()),
            [.. taxon.Hazards.Select(hazard => $"Caution: {Say.Of(hazard.Kind)}. {hazard.Caution}")],
            notes
        );
        return PlateSvg.Sheet(PlateComposer.Of(taxon, open.Drawn), words);
    }
}
