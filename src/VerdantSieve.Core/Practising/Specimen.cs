using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;

namespace VerdantSieve.Core.Practising;

/// <summary>A drawn leaf whose true size or number is known, since the drawing was made from it.</summary>
/// <param name="Taxon">Its kind.</param>
/// <param name="Character">What is asked of it.</param>
/// <param name="Drawing">The leaf, in millimetres where it is measured: its blade begins at (0, 0) and grows upward.</param>
/// <param name="Truth">The size in millimetres, or the number.</param>
public sealed record Specimen(Taxon Taxon, Character Character, Drawing.Drawing Drawing, double Truth)
{
    // A careful reader of a ruler is that near; who is within the second has done it roughly right.
    private const double Careful = 0.05,
        Rough = 0.12,
        RulerMillimetre = 1.0;

    private const double StalkOver = 0.14;

    /// <summary>What can be asked of a drawn leaf of a kind.</summary>
    public static IEnumerable<Character> AskedOf(Taxon taxon, Flora flora, DrawnVocabulary drawn)
    {
        var form = drawn.FormOf(taxon);
        if (!form.IsBroad)
            yield break;
        if (
            form.State(CharacterIds.Structure, "") is "odd-pinnate" or "even-pinnate" or "palmate"
            && taxon.Score(CharacterIds.LeafletCount) is RangeScore
            && flora.FindCharacter(CharacterIds.LeafletCount) is CountCharacter leaflets
        )
            yield return leaflets;
        if (form.State(CharacterIds.Structure, "simple") != "simple" || !form.Has(CharacterIds.BladeLength))
            yield break;
        foreach (var id in new[] { CharacterIds.BladeLength, CharacterIds.BladeWidth })
            if (flora.FindCharacter(id) is MeasureCharacter size)
                yield return size;
    }

    /// <summary>The specimen of an exercise; null where the flora no longer has it.</summary>
    public static Specimen? Of(MeasureLeaf exercise, Flora flora, DrawnVocabulary drawn)
    {
        if (
            flora.FindTaxon(exercise.Taxon) is not { } taxon
            || AskedOf(taxon, flora, drawn).FirstOrDefault(character => character.Id == exercise.Character) is not { } character
        )
            return null;
        var form = drawn.FormOf(taxon);
        var random = new Random(exercise.Seed);
        return character is CountCharacter ? Counted(taxon, character, form, random) : Measured(taxon, character, form, random);
    }

    private static Specimen Counted(Taxon taxon, Character character, LeafForm form, Random random)
    {
        var range = (RangeScore)taxon.Score(character.Id)!;
        var number = random.Next((int)range.Low, (int)range.High + 1);
        // Those with an end leaflet have an odd number, those without an even one, and so far as it can be drawn.
        number = form.State(CharacterIds.Structure, "") switch
        {
            "odd-pinnate" => Math.Clamp(number | 1, 3, 25),
            "even-pinnate" => Math.Clamp((number + 1) & ~1, 2, 24),
            _ => Math.Clamp(number, 3, 9),
        };
        return new Specimen(
            taxon,
            character,
            LeafDrawing.Of(form.But(CharacterIds.LeafletCount, number), Variation.Of(random.Next())),
            number
        );
    }

    private static Specimen Measured(Taxon taxon, Character character, LeafForm form, Random random)
    {
        var usual = form.Number(CharacterIds.BladeLength, 0) * 10;
        var length = taxon.Score(CharacterIds.BladeLength) is RangeScore range
            ? 10 * Math.Exp(Math.Log(range.Low) + random.NextDouble() * Math.Log(range.High / range.Low))
            : usual;
        var blade = LeafDrawing.Blade(form, Variation.Of(random.Next()));
        var outline = blade.Strokes.First(stroke => stroke.Kind == StrokeKind.Blade).Points;
        // Measured from where the stalk joins to the tip, and at the widest.
        var (tall, wide) = (outline.Max(point => point.Y), outline.Max(point => point.X) - outline.Min(point => point.X));
        var millimetres = length / tall;
        var leaf = Core.Drawing.Drawing.Of(
            new Drawing.Drawing([Stroke.Line(StrokeKind.Stalk, new Point(0, -StalkOver), new Point(0, 0))]),
            blade
        );
        return new Specimen(
            taxon,
            character,
            leaf.Placed(new Placement(new Point(0, 0), 0, millimetres)),
            (character.Id == CharacterIds.BladeLength ? tall : wide) * millimetres
        );
    }

    /// <summary>Whether a number is what was asked: right, and if not, roughly so. Sizes are in millimetres.</summary>
    public (bool IsRight, bool IsNear) Judge(double said)
    {
        if (Character is CountCharacter)
            return (said == Truth, Math.Abs(said - Truth) <= 2);
        var off = Math.Abs(said - Truth);
        return (off <= Math.Max(RulerMillimetre, Careful * Truth), off <= Math.Max(2 * RulerMillimetre, Rough * Truth));
    }
}
