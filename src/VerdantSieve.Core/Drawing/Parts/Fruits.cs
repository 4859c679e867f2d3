namespace VerdantSieve.Core.Drawing.Parts;

/// <summary>Fruits and cones by their kind. A fruit hangs by its stalk from (0, 0.2) and is about 1 high.</summary>
internal static class Fruits
{
    private static readonly Dictionary<string, Func<LeafForm, Drawing>> Types = new()
    {
        ["paired-samara"] = form => DryFruits.PairedSamara(form.State("samara-angle", "right-angle"), Colour(form, Tint.YellowGreen)),
        ["single-samara"] = form => DryFruits.SingleSamara(form.State("wing-reach", "halfway"), Colour(form, Tint.YellowGreen)),
        ["round-winged"] = form => DryFruits.RoundWinged(Colour(form, Tint.YellowGreen)),
        ["acorn"] = form =>
            DryFruits.Acorn(
                form.State("acorn-cup", "quarter-to-half"),
                form.State("acorn-cup-scales", "flat"),
                form.State("acorn-stalk", "none"),
                Colour(form, Tint.Brown)
            ),
        ["husked-nut"] = form =>
            DryFruits.HuskedNut(form.State("husk-splitting", "partly"), form.State("fruit-shape", "round"), Colour(form, Tint.YellowGreen)),
        ["bract-or-husk-nut"] = form => DryFruits.WrappedNut(form.State("nut-wrap", "ragged-cup"), Colour(form, Tint.Brown)),
        ["spiny-capsule"] = form => DryFruits.SpinyCapsule(Colour(form, Tint.YellowGreen)),
        ["dry-capsule"] = form => DryFruits.DryCapsule(form.State("fruit-shape", "egg"), Colour(form, Tint.Brown)),
        ["cottony-capsule"] = _ => DryFruits.CottonyCapsule(),
        ["pod"] = form => DryFruits.Pod(Colour(form, Tint.Brown), form.State("fruit-shape", "flat") == "twisted"),
        ["drupe"] = form => FleshyFruits.Fleshy(form, Tint.Red, stones: 1),
        ["berry"] = form => FleshyFruits.Fleshy(form, Tint.Purple, stones: 3),
        ["pome"] = form => FleshyFruits.Pome(Colour(form, Tint.Red), form.State("fruit-shape", "round")),
        ["compound-berry"] = form => FleshyFruits.CompoundBerry(Colour(form, Tint.Purple), form.State("fruit-shape", "egg")),
        ["hip"] = form => FleshyFruits.Hip(Colour(form, Tint.Red), form.State("fruit-shape", "egg")),
        ["aggregate-cone"] = form => Cones.AggregateCone(Colour(form, Tint.Pink)),
        ["plumed-seeds"] = _ => DryFruits.PlumedSeeds(),
        ["seed-ball"] = form => DryFruits.SeedBall(Colour(form, Tint.Brown)),
        ["seed-cone"] = form => Cones.Cone(form),
        ["catkin-cone"] = form => Cones.CatkinCone(Colour(form, Tint.Brown), form.State("fruit-shape", "egg")),
        ["berry-cone"] = form => Cones.BerryCone(Colour(form, Tint.Blue)),
        ["aril"] = form => FleshyFruits.Aril(Colour(form, Tint.Red)),
        ["naked-seed"] = form => FleshyFruits.NakedSeeds(Colour(form, Tint.Yellow)),
    };

    /// <summary>One fruit of a plant; null where nothing is known of its type.</summary>
    public static Drawing? Of(LeafForm form) => Types.TryGetValue(form.State("fruit-type", ""), out var draw) ? draw(form) : null;

    internal static Tint Colour(LeafForm form, Tint usual) => Tints.Of(form.State("fruit-colour", "")) ?? usual;

    internal static Stroke Hanging(double from = 0) => Stroke.Line(StrokeKind.Stalk, new Point(0, 0.25), new Point(0, from));
}
