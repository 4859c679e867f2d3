using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Drawing;

/// <summary>Draws a shoot: a twig with its leaves or needles, or what is known of them. The twig grows upward from (0, 0).</summary>
public static class ShootDrawing
{
    private const double TallestLeaf = 1.25;

    // What is drawn of a leaf shows in these; without any of them it is dotted.
    private static readonly string[] Telling = [CharacterIds.Structure, "shape", "lobing", "margin", "venation", "base", "apex"];

    // How needles sit where that is not read, by the foliage.
    private const string UsualScales = "opposite-scales",
        UsualNeedles = "single-spiral";

    /// <summary>The shoot as it is known; what is not known is dotted.</summary>
    public static Drawing Of(LeafForm form) => Of([form]);

    /// <summary>The shoot as it is known, with leaves of several forms in turn.</summary>
    /// <param name="forms">The forms, the commonest first; at least one.</param>
    public static Drawing Of(IReadOnlyList<LeafForm> forms) => forms[0].IsBroad ? Broad(forms) : Needled(forms[0]);

    /// <summary>A small likeness for lists: one leaf, or a needled shoot.</summary>
    public static Drawing Likeness(LeafForm form) => form.IsBroad ? Leaf(form) : Needled(form);

    private static Drawing Broad(IReadOnlyList<LeafForm> forms)
    {
        Drawing[] leaves = [.. forms.Select(Leaf)];
        var scale = TallestLeaf / leaves.Max(leaf => leaf.Flat().Max(stroke => stroke.Points.Max(point => point.Y)));
        return LeafyShoots.Of(forms[0], leaves, scale) ?? LeafyShoots.NotKnown(leaves, scale);
    }

    private static Drawing Leaf(LeafForm form)
    {
        var leaf = LeafDrawing.Of(form);
        return Telling.Any(form.Has) && !form.IsLoose ? leaf : leaf.AsUnknown();
    }

    private static Drawing Needled(LeafForm form)
    {
        var foliage = form.State(CharacterIds.Foliage, "");
        if (foliage == "awl" && !form.Has(LeafForm.NeedleGrouping))
            return NeedleShoots.Awls(form);
        // Scales in threes look as those in pairs do, until they are under a lens; it is awls that stand off in threes.
        var grouping = foliage == "scale" ? UsualScales : form.State(LeafForm.NeedleGrouping, "");
        if (NeedleShoots.Of(grouping, form) is { } drawn)
            return drawn;
        var guessed = NeedleShoots.Of(UsualNeedles, form)!;
        return foliage == "awl" ? guessed : guessed.AsUnknown();
    }
}
