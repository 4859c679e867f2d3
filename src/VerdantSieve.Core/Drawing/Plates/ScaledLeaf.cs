using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Drawing.Plates;

/// <summary>The usual leaf of a kind in millimetres of the plant, so that leaves stand side by side at one scale.</summary>
/// <param name="Taxon">The kind.</param>
/// <param name="Width">Of the whole leaf with its stalk.</param>
/// <param name="Height">Of the same.</param>
/// <param name="Foot">How far above its lower end the blade begins.</param>
public sealed record ScaledLeaf(Taxon Taxon, double Width, double Height, double Foot)
{
    /// <summary>The leaf; null where it has no broad leaves or their size is not known.</summary>
    public static ScaledLeaf? Of(Taxon taxon, DrawnVocabulary drawn)
    {
        var form = drawn.FormOf(taxon);
        if (!form.IsBroad || !form.Has(CharacterIds.BladeLength))
            return null;
        var (low, high) = ShootDrawing.Likeness(form).Bounds();
        var unit = form.Number(CharacterIds.BladeLength, 0) * 10;
        // The likeness has its stalk’s foot at 0; a heart’s sides may hang below where the blade begins.
        var simple = form.State(CharacterIds.Structure, "simple") == "simple";
        return new ScaledLeaf(
            taxon,
            (high.X - low.X) * unit,
            (high.Y - low.Y) * unit,
            simple ? (LeafDrawing.StalkOver(form) - low.Y) * unit : 0
        );
    }
}
