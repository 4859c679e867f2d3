using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing.Parts;

namespace VerdantSieve.Core.Drawing.Plates;

/// <summary>Composes the plate of a kind from its scores: what is not known is left out.</summary>
public static class PlateComposer
{
    // A box on the sheet.
    private readonly record struct Box(double Left, double Low, double Right, double High)
    {
        public double Width => Right - Left;
        public double Height => High - Low;
    }

    private static readonly Box LeafBox = new(5, 9, 80, 146),
        VariationBox = new(84, 78, 126, 146),
        ShootBox = new(84, 6, 126, 74),
        FlowerBox = new(132, 112, 176, 146),
        FruitBox = new(132, 74, 176, 108),
        TwigBox = new(130, 5, 150, 70),
        HabitBox = new(152, 40, 178, 70),
        BarkBox = new(154, 5, 177, 35);

    // The scales a field guide would print.
    private static readonly double[] Scales = [4, 3, 2, 1.5, 1, 0.75, 0.5, 1 / 3.0, 0.25, 1 / 6.0, 0.125, 1 / 12.0, 1 / 20.0];
    private static readonly double[] Bars = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20];

    private const int MostMarks = 6;

    /// <summary>The plate of a taxon.</summary>
    /// <param name="taxon">The taxon.</param>
    /// <param name="drawn">What of its flora is drawn.</param>
    /// <param name="varied">What its leaves vary by; null for those of the kind’s own plate.</param>
    public static Plate Of(Taxon taxon, DrawnVocabulary drawn, int? varied = null)
    {
        var form = drawn.FormOf(taxon);
        var seed = varied ?? Seed(taxon.Name.Slug);
        var parts = new List<PlatePart>();
        PlateScale? scale = null;
        if (form.IsBroad)
            scale = Leaves(form, drawn.VariedFormsOf(taxon), taxon, seed, parts);
        else
            Needles(form, parts);
        Add(parts, PlateOrgan.Flower, FlowerBox, FlowersOf(form));
        Add(parts, PlateOrgan.Fruit, FruitBox, FruitsOf(Ripe(form, taxon)));
        if (form.Has("twig-colour") || form.Has("bud-form") || form.Has("armature") || form.Has("bud-scales"))
            Add(parts, PlateOrgan.Twig, TwigBox, Twigs.Of(form));
        if (form.Has("habit"))
            Add(
                parts,
                PlateOrgan.Habit,
                HabitBox,
                Crowns.Habit(form.State("habit", "tree"), form.State("crown", "rounded"), FoliageOf(form))
            );
        if (form.Has("bark-pattern"))
            Add(
                parts,
                PlateOrgan.Bark,
                BarkBox,
                Barks.Of(form.State("bark-pattern", ""), Tints.Of(form.State("bark-colour", "")) ?? Tint.GreyBrown)
            );
        return new Plate(parts, Marks(taxon, form, parts), scale);
    }

    // The same for the same name on every machine.
    private static int Seed(string slug) => (int)(slug.Aggregate(2166136261u, (hash, letter) => (hash ^ letter) * 16777619u) & 0x7fffffff);

    private static Tint? FoliageOf(LeafForm form) => Tints.Of(form.State("leaf-colour", ""));

    private static PlateScale? Leaves(LeafForm form, IReadOnlyList<LeafForm> varied, Taxon taxon, int seed, List<PlatePart> parts)
    {
        var leaf = LeafDrawing.Of(form, Variation.Of(seed));
        var (low, high) = leaf.Bounds();
        // A unit of the drawing is the blade, or one leaflet of a compound leaf.
        var length = form.Has(CharacterIds.BladeLength) ? form.Number(CharacterIds.BladeLength, 0) * 10 : 0;
        var fits = Math.Min(LeafBox.Width / (high.X - low.X), LeafBox.Height / (high.Y - low.Y));
        var times = length > 0 ? Scales.FirstOrDefault(one => one * length <= fits, fits / length) : 0;
        var unit = length > 0 ? times * length : fits;
        parts.Add(new PlatePart(PlateOrgan.Leaf, leaf, Standing(leaf, LeafBox, unit)));
        Others(form, varied, taxon, seed, unit, parts);
        var shoot = ShootDrawing.Of(varied);
        Add(parts, PlateOrgan.Shoot, ShootBox, shoot);
        if (length == 0)
            return null;
        var bar = Bars.Where(one => one * 10 * times <= 32).DefaultIfEmpty(Bars[0]).Max();
        return new PlateScale(times, bar, new Point(6, 4.5));
    }

    // A small and a large leaf, and every other shape, at the same scale where they fit.
    private static void Others(LeafForm form, IReadOnlyList<LeafForm> varied, Taxon taxon, int seed, double unit, List<PlatePart> parts)
    {
        var shown = Shown(form, varied, taxon.Score(CharacterIds.BladeLength) as RangeScore);
        var drawings = shown.Select((one, i) => (Leaf: LeafDrawing.Of(one.Form, Variation.Of(seed + 1 + i)), one.Size)).ToArray();
        var widths = drawings.Select(one => (one.Leaf.Bounds().High.X - one.Leaf.Bounds().Low.X) * one.Size).ToArray();
        var tallest = drawings.Max(one => (one.Leaf.Bounds().High.Y - one.Leaf.Bounds().Low.Y) * one.Size);
        var fitted = Math.Min(
            unit,
            Math.Min((VariationBox.Width - 3 * (drawings.Length - 1)) / widths.Sum(), VariationBox.Height / tallest)
        );
        var left = VariationBox.Left + (VariationBox.Width - widths.Sum() * fitted - 3 * (drawings.Length - 1)) / 2;
        for (var i = 0; i < drawings.Length; i++)
        {
            var box = new Box(left, VariationBox.Low, left + widths[i] * fitted, VariationBox.High);
            parts.Add(new PlatePart(PlateOrgan.Variation, drawings[i].Leaf, Standing(drawings[i].Leaf, box, fitted * drawings[i].Size)));
            left = box.Right + 3;
        }
    }

    private static (LeafForm Form, double Size)[] Shown(LeafForm form, IReadOnlyList<LeafForm> varied, RangeScore? range)
    {
        if (varied.Count > 1)
            return [.. varied.Skip(1).Take(3).Select((other, i) => (other, i == 0 ? 0.92 : 0.8))];
        if (range is null)
            return [(form, 0.8)];
        var middle = Math.Sqrt(range.Low * range.High);
        return [(form, range.Low / middle), (form, Math.Min(range.High / middle, 1.5))];
    }

    private static void Needles(LeafForm form, List<PlatePart> parts)
    {
        Add(parts, PlateOrgan.Leaf, LeafBox, ShootDrawing.Likeness(form));
        var details = new List<Drawing>();
        if (form.Has("needle-base"))
            details.Add(NeedleDrawing.Foot(form.State("needle-base", "")));
        if (form.Has("needle-section"))
            details.Add(NeedleDrawing.Section(form.State("needle-section", "")));
        if (form.Has("needle-tip"))
            details.Add(NeedleDrawing.TipOf(form.State("needle-tip", "")));
        if (form.Has("needle-bands"))
            details.Add(NeedleDrawing.Bands(form.State("needle-bands", "")));
        for (var i = 0; i < details.Count; i++)
        {
            var (column, row) = (i % 2, i / 2);
            var box = new Box(85 + 21 * column, 112 - 36 * row, 104 + 21 * column, 144 - 36 * row);
            Add(parts, PlateOrgan.Needle, box, details[i]);
        }
    }

    private static Drawing? FlowersOf(LeafForm form)
    {
        var tint = Tints.Of(form.State("flower-colour", ""));
        var petals = (int)Math.Round(form.Number("petal-count", 5));
        if (form.Has("flower-cluster"))
            return Flowers.Cluster(form.State("flower-cluster", ""), tint ?? Tint.YellowGreen, form.State("flower-form", "open"), petals);
        return form.Has("flower-form") ? Flowers.Of(form.State("flower-form", ""), tint ?? Tint.White, petals) : null;
    }

    // Dry fruits and cones are green before they are brown, and last longer so; fleshy ones are what the flora says first.
    private static LeafForm Ripe(LeafForm form, Taxon taxon) =>
        form.State("fruit-type", "")
            is "acorn"
                or "seed-cone"
                or "catkin-cone"
                or "dry-capsule"
                or "pod"
                or "seed-ball"
                or "bract-or-husk-nut"
        && taxon.Score("fruit-colour") is StateScore colours
        && colours.States.Any(state => state.State == "brown")
            ? form.But("fruit-colour", "brown")
            : form;

    private static Drawing? FruitsOf(LeafForm form)
    {
        if (Fruits.Of(form) is not { } fruit)
            return null;
        var together = form.State("fruit-hang", "") is "hanging-cluster" or "upright-cluster" or "pairs";
        return together && HangsWithOthers(form)
            ? FruitDetails.Together(Fruits.Of(form.But("fruit-cut", "whole"))!, form.State("fruit-hang", ""))
            : fruit;
    }

    // Of others, one alone shows more.
    private static bool HangsWithOthers(LeafForm form) =>
        form.State("fruit-type", "") is "drupe" or "berry" or "pome" or "hip" or "paired-samara" or "single-samara" or "dry-capsule"
        || form.State("nut-wrap", "") is "lobed-bract" or "bag";

    private static void Add(List<PlatePart> parts, PlateOrgan organ, Box box, Drawing? drawing)
    {
        if (drawing is null)
            return;
        var (low, high) = drawing.Bounds();
        var unit = Math.Min(box.Width / Math.Max(high.X - low.X, 1e-6), box.Height / Math.Max(high.Y - low.Y, 1e-6));
        parts.Add(new PlatePart(organ, drawing, Standing(drawing, box, unit)));
    }

    // In the middle of its box.
    private static Placement Standing(Drawing drawing, Box box, double unit)
    {
        var (low, high) = drawing.Bounds();
        var above = (box.Height - (high.Y - low.Y) * unit) / 2;
        return new Placement(new Point((box.Left + box.Right - (low.X + high.X) * unit) / 2, box.Low + above - low.Y * unit), 0, unit);
    }

    private static List<PlateMark> Marks(Taxon taxon, LeafForm form, List<PlatePart> parts)
    {
        var marks = new List<PlateMark>();
        foreach (var group in taxon.Doubles.GroupBy(other => other.Mark, StringComparer.Ordinal))
        {
            if (marks.Count == MostMarks)
                break;
            var character = group.First().Marks.FirstOrDefault(mark => AnchorOf(mark, form, parts) is not null);
            if (character is null || AnchorOf(character, form, parts) is not { } at)
                continue;
            // Numbers stand beside what they point at, and not on each other.
            var label = at.Label;
            while (marks.Any(mark => mark.Label.To(label) < 6))
                label = label with { Y = label.Y - 6.5 };
            label = new Point(Math.Clamp(label.X, 4, Plate.Width - 4), Math.Clamp(label.Y, 4, Plate.Height - 4));
            marks.Add(new PlateMark(marks.Count + 1, at.At, label, group.Key, [.. group.Select(other => other.Name)]));
        }
        return marks;
    }

    // Where on the plate a character is seen; null where it is not.
    private static (Point At, Point Label)? AnchorOf(string character, LeafForm form, List<PlatePart> parts)
    {
        var organ = OrganOf(character, form);
        if (organ is not { } found || parts.FirstOrDefault(part => part.Organ == found) is not { } part)
            return null;
        var (low, high) = part.Drawing.Bounds();
        Point On(double x, double y) => new Point(low.X + (high.X - low.X) * x, low.Y + (high.Y - low.Y) * y).Placed(part.At);
        if (found != PlateOrgan.Leaf || !form.IsBroad)
            return (On(0.5, 0.6), On(0.5, 0.6) with { X = On(1, 0.6).X + 3 });
        var stalk = LeafDrawing.StalkOver(form);
        var foot = form.State("structure", "simple") == "simple" ? stalk / (stalk + 1) : 0.3;
        var at = character switch
        {
            "apex" => On(0.5, 1),
            "base" => On(0.5, foot),
            "margin" or "tooth-size" or "tooth-extent" or "tooth-glands" => Edge(part, foot + 0.3 * (1 - foot)),
            "lobing" or "lobe-count" or "lobe-depth" or "lobe-tip" or "lobe-balance" => Edge(part, foot + 0.6 * (1 - foot)),
            _ when character.StartsWith("petiole", StringComparison.Ordinal) || character is "stipules" or "leaf-glands" => On(
                0.5,
                foot * 0.5
            ),
            _ => On(0.42, foot + 0.5 * (1 - foot)),
        };
        var side = character is "apex" ? new Point(at.X + 9, at.Y - 2) : new Point(On(1, 0).X + 2, at.Y);
        return (at, side with { X = Math.Min(side.X, at.X + 26) });
    }

    // The rightmost point of a drawing at a part of its height.
    private static Point Edge(PlatePart part, double height)
    {
        var (low, high) = part.Drawing.Bounds();
        var y = low.Y + (high.Y - low.Y) * height;
        var x = part
            .Drawing.Flat()
            .Where(stroke => stroke.Closed)
            .Select(stroke => Curves.WidestAt(stroke.Points, y))
            .DefaultIfEmpty(0)
            .Max();
        return new Point(x, y).Placed(part.At);
    }

    private static PlateOrgan? OrganOf(string character, LeafForm form)
    {
        return character switch
        {
            "arrangement" or "crowding" or "ranks" => form.IsBroad ? PlateOrgan.Shoot : PlateOrgan.Leaf,
            "needle-base" or "needle-section" or "needle-tip" or "needle-bands" => PlateOrgan.Needle,
            "armature" or "pith" or "pith-colour" or "lenticels" or "end-bud" or "leaf-scars" or "leaf-scar-top" => PlateOrgan.Twig,
            "habit" or "height" or "crown" or "branching" or "base-sprouts" or "climbing-by" or "trunk-thickness" or "trunk-thorns" =>
                PlateOrgan.Habit,
            "flowering" or "petal-count" or "stamen-count" or "sexes" => PlateOrgan.Flower,
            "samara-angle" or "wing-reach" or "seeds-per-fruit" or "old-cones" => PlateOrgan.Fruit,
            "smell" or "sap" or "habitat" or "leaf-persistence" or "autumn-colour" or "dead-leaves-kept" => null,
            _ when Begins("twig", "bud") => PlateOrgan.Twig,
            _ when Begins("bark") => PlateOrgan.Bark,
            _ when Begins("flower") => PlateOrgan.Flower,
            _ when Begins("fruit", "cone", "acorn", "husk") => PlateOrgan.Fruit,
            _ => PlateOrgan.Leaf,
        };

        bool Begins(params ReadOnlySpan<string> starts)
        {
            foreach (var start in starts)
                if (character.StartsWith(start, StringComparison.Ordinal))
                    return true;
            return false;
        }
    }
}
