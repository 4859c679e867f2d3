using VerdantSieve.Core.Drawing.Parts;

namespace VerdantSieve.Core.Drawing;

/// <summary>Drawings of character states, so that a word is never a barrier. They know the ids of the shipped vocabulary; smells and places
/// of growth have none.</summary>
public static class StateDrawings
{
    private static readonly Dictionary<(string Character, string State), Func<Drawing>> Registered = [];

    static StateDrawings()
    {
        Leaves();
        Margins();
        Faces();
        Needles();
        TwigsAndBuds();
        FlowersAndFruits();
        ConesAndScales();
        WholePlants();
        ColoursOf();
    }

    private static void Leaves()
    {
        Each("foliage", "broad", _ => Leaf(("shape", "ovate"), ("venation", "pinnate-straight")));
        Each("foliage", "scale", _ => NeedleShoots.Of("opposite-scales", LeafForm.Unknown)!);
        Each("foliage", "needle", _ => NeedleShoots.Of("single-spiral", LeafForm.Unknown)!);
        Each("foliage", "awl", _ => NeedleShoots.Awls(LeafForm.Unknown));
        Each("arrangement", "alternate subopposite opposite whorled on-spurs", state => LeafyShoots.Of(state, [Plain], 0.95)!);
        Each("crowding", "spread-along-twig crowded-at-tip", state => LeafyShoots.Crowded(state, Plain));
        Each("ranks", "two-ranked spiral", state => LeafyShoots.Ranked(state, Plain));
        Each(
            "structure",
            "simple trifoliate palmate odd-pinnate even-pinnate bipinnate",
            state => Leaf(("structure", state), ("shape", "elliptic"))
        );
        Each(
            "leaflet-likeness",
            "uniform irregular",
            state => Leaf(("structure", "odd-pinnate"), ("shape", "elliptic"), ("leaflet-likeness", state))
        );
        Each(
            "terminal-leaflet",
            "long-stalked short-stalked sessile",
            state => Leaf(("structure", "trifoliate"), ("shape", "ovate"), ("terminal-leaflet", state))
        );
        Each("terminal-leaflet", "absent", _ => Leaf(("structure", "even-pinnate"), ("shape", "elliptic")));
        Each(
            "side-leaflets",
            "symmetric one-sided-lobe unequal-base",
            state => Leaf(("structure", "trifoliate"), ("shape", "ovate"), ("side-leaflets", state))
        );
        Each(
            "side-leaflet-stalk",
            "sessile short long",
            state => Leaf(("structure", "odd-pinnate"), ("shape", "elliptic"), ("side-leaflet-stalk", state))
        );
        Each(
            "end-leaflet-size",
            "like-others larger",
            state => Leaf(("structure", "odd-pinnate"), ("shape", "elliptic"), ("end-leaflet-size", state))
        );
        Each("rachis", "plain winged grooved", CompoundLeaf.AxisOf);
        Each("rachis-hair", "none sparse dense", state => Twigs.Hairy(state, Tint.Green, 0.08));
        Each("blade-curve", "straight sickle", state => Blade(true, ("shape", "lanceolate"), ("blade-curve", state)));
        Each(
            "shape",
            "linear lanceolate oblong elliptic ovate obovate oblanceolate spatulate round heart triangular diamond kidney fan cross saddle",
            state => Blade(true, ("shape", state))
        );
        Each("shape-variety", "one-shape several-shapes", LeafyShoots.Variety);
        Each(
            "apex",
            "acute acuminate abrupt-tip obtuse rounded truncate horned notched",
            state => Blade(true, ("shape", "elliptic"), ("apex", state))
        );
        Each("base", "wedge tapered rounded truncate heart unequal", state => Blade(true, ("shape", "ovate"), ("base", state)));
        Each("lobing", "palmate", state => Blade(true, ("lobing", state), ("shape", "round")));
        Each("lobing", "unlobed pinnate", state => Blade(true, ("lobing", state), ("shape", "obovate"), ("lobe-tip", "rounded")));
        Each("lobing", "one-sided", state => Blade(true, ("lobing", state), ("shape", "obovate"), ("lobe-tip", "rounded")));
        Each(
            "lobe-depth",
            "shallow medium deep",
            state => Blade(false, ("lobing", "pinnate"), ("shape", "elliptic"), ("lobe-depth", state), ("lobe-tip", "rounded"))
        );
        Each(
            "lobe-tip",
            "rounded pointed bristle",
            state => Blade(false, ("lobing", "pinnate"), ("shape", "elliptic"), ("lobe-tip", state))
        );
        Each("lobe-balance", "middle-longest", state => Blade(false, ("lobing", "palmate"), ("shape", "obovate"), ("lobe-balance", state)));
        Each("lobe-balance", "lowest-uneven", state => Blade(true, ("lobing", "palmate"), ("shape", "round"), ("lobe-balance", state)));
        Each(
            "lobe-balance",
            "even upper-largest",
            state => Blade(false, ("lobing", "pinnate"), ("shape", "obovate"), ("lobe-balance", state))
        );
        Each(
            "venation",
            "pinnate-straight pinnate-looping arcuate midrib-only",
            state =>
                Blade(
                    true,
                    ("shape", "elliptic"),
                    ("venation", state),
                    ("margin", state == "pinnate-straight" ? "serrate" : "entire"),
                    ("tooth-size", "coarse")
                )
        );
        Each("venation", "palmate three-from-base", state => Blade(true, ("shape", "heart"), ("venation", state)));
        Each("venation", "fan", state => Blade(true, ("shape", "fan"), ("venation", state)));
    }

    private static void Margins()
    {
        Each(
            "margin",
            "entire wavy serrate doubly-serrate crenate dentate spiny",
            state => Blade(false, ("shape", "ovate"), ("margin", state), ("tooth-size", "coarse"))
        );
        Each("tooth-size", "fine medium coarse", state => Blade(false, ("shape", "ovate"), ("margin", "serrate"), ("tooth-size", state)));
        Each(
            "tooth-extent",
            "all-round upper-part few base-only",
            state => Blade(false, ("shape", "ovate"), ("margin", "serrate"), ("tooth-extent", state), ("tooth-size", "medium"))
        );
        Each(
            "leaf-glands",
            "none on-petiole at-blade-base on-basal-teeth",
            state => Leaf(("shape", "ovate"), ("margin", "serrate"), ("leaf-glands", state))
        );
        Each("leaf-glands", "dotted-blade", _ => Surfaces.Dotted());
    }

    private static void Faces()
    {
        Each("upper-gloss", "glossy dull", Surfaces.Gloss);
        Each("upper-touch", "smooth soft-hairy rough", Surfaces.Touch);
        Each("underside-hair", "none on-veins sparse dense", Surfaces.UndersideHair);
        Each("vein-tufts", "none pale rusty", Surfaces.VeinTufts);
        Each("hair-type", "simple star-shaped scales", Surfaces.HairType);
        Each("texture", "thin medium leathery", Surfaces.Texture);
        Each("blade-fold", "flat folded rolled-edges wrinkled drooping", Surfaces.Fold);
        Each("petiole-form", "round flattened grooved winged hollow-over-bud", Surfaces.PetioleForm);
        Each("petiole-hair", "none sparse dense", state => Twigs.Hairy(state, Tint.YellowGreen, 0.06));
        Each("petiole-hair-type", "soft bristly glandular", Surfaces.PetioleHair);
        Each("stipules", "none-or-lost leafy spines collar", Surfaces.Stipules);
    }

    private static void Needles()
    {
        Each(
            "needle-grouping",
            "single-spiral single-two-ranked paired-two-ranked bundles spur-tufts whorls opposite-scales",
            state => NeedleShoots.Of(state, LeafForm.Unknown.But("needles-per-bundle", 3))!
        );
        Each("needle-section", "flat four-angled half-round", NeedleDrawing.Section);
        Each("needle-tip", "notched blunt pointed sharp", NeedleDrawing.TipOf);
        Each("needle-curve", "straight curved twisted", NeedleDrawing.Curve);
        Each("needle-stiffness", "soft firm prickly", NeedleDrawing.Stiffness);
        Each("needle-bands", "none below above all-sides", NeedleDrawing.Bands);
        Each("needle-base", "peg disc stalk decurrent sheath", NeedleDrawing.Foot);
        Each(
            "needle-posture",
            "all-round right-angled swept-forward pressed-close",
            state => NeedleShoots.Of("single-spiral", LeafForm.With(("needle-posture", state)))!
        );
        Each("needle-posture", "flat-rows", _ => NeedleShoots.Of("single-two-ranked", LeafForm.Unknown)!);
    }

    private static void TwigsAndBuds()
    {
        Each("twig-hair", "none sparse dense", state => Twigs.Hairy(state, Tint.Brown));
        Each("twig-form", "plain zigzag corky-wings angled waxy-bloom striped spur-shoots warty swollen-joints", Twigs.Form);
        Each(
            "armature",
            "none paired-spines thorns branched-thorns prickles hooked-prickles bristles thorn-tipped-shoots",
            state => Twigs.Armed(state)
        );
        Each("twig-thickness", "slender medium stout", Twigs.Thickness);
        Each("lenticels", "faint dots conspicuous", Twigs.Lenticels);
        Each("pith", "solid chambered hollow", state => Twigs.Pith(state));
        Each("bud-scales", "none one two several", Twigs.Scales);
        Each("bud-form", "hidden stalked long-pointed pointed triangular rounded", state => Twigs.BudForm(state));
        Each("bud-hair", "none sparse dense", Twigs.BudHair);
        Each("bud-stance", "pressed-to-twig standing-out", Twigs.Stance);
        Each("end-bud", "single clustered absent", Twigs.End);
        Each("leaf-scars", "meeting-in-a-point joined-by-line apart", Twigs.Scars);
        Each("leaf-scar-top", "straight notched", Twigs.ScarTop);
        Each("leaf-scar-shape", "crescent half-round round heart three-lobed horseshoe v-shaped", Twigs.ScarShape);
        Each("bundle-scars", "one three more", Twigs.BundleScars);
        Each("sap", "clear milky", Twigs.Sap);
    }

    private static void FlowersAndFruits()
    {
        Each(
            "flower-cluster",
            "single pair-or-few catkin hanging-raceme upright-spike panicle flat-head umbel ball",
            state => Flowers.Cluster(state, state == "catkin" ? Tint.YellowGreen : Tint.White)!
        );
        Each("sexes", "bisexual both-on-one-tree separate-trees", Flowers.Sexes);
        Each(
            "flower-form",
            "open bell-or-urn pea trumpet tassel tiny",
            state => Flowers.Of(state, state == "tassel" ? Tint.Purple : Tint.White)
        );
        Each(
            "fruit-type",
            "paired-samara single-samara round-winged acorn husked-nut bract-or-husk-nut spiny-capsule dry-capsule cottony-capsule pod "
                + "drupe berry pome compound-berry hip aggregate-cone plumed-seeds seed-ball seed-cone "
                + "catkin-cone berry-cone aril naked-seed",
            state => Fruits.Of(LeafForm.With(("fruit-type", state)))!
        );
        Each("fruit-shape", "round egg long flat twisted lobed", FruitDetails.Shape);
        Each("fruit-hair", "none hairy", state => FruitDetails.Hair(state == "hairy"));
        Each("fruit-hang", "single pairs hanging-cluster upright-cluster drooping-heads", FruitDetails.Hang);
        Each("fruit-stalk", "plain red-club winged none", FruitDetails.StalkOf);
        Each("samara-angle", "narrow right-angle wide", state => DryFruits.PairedSamara(state, Tint.YellowGreen));
        Each("wing-reach", "tip-only halfway to-the-base", state => DryFruits.SingleSamara(state, Tint.YellowGreen));
        Each("husk", "thin middling thick", DryFruits.Husk);
        Each("nut-wrap", "ragged-cup beak fringe lobed-bract bag", state => DryFruits.WrappedNut(state, Tint.Brown));
        Each("husk-splitting", "not partly to-the-base", state => DryFruits.HuskedNut(state, "round", Tint.YellowGreen));
        Each(
            "acorn-cup",
            "under-quarter quarter-to-half half-to-most nearly-all",
            state => DryFruits.Acorn(state, "flat", "none", Tint.Brown)
        );
        Each("acorn-cup-scales", "flat knobbly fringed", state => DryFruits.Acorn("half-to-most", state, "none", Tint.Brown));
        Each("acorn-cup-hair", "none sparse dense", DryFruits.CupHair);
        Each("acorn-stalk", "none short long", state => DryFruits.Acorn("quarter-to-half", "flat", state, Tint.Brown));
    }

    private static void ConesAndScales()
    {
        Each("cone-shape", "globe egg cylinder", state => Cones.Cone(LeafForm.With(("cone-shape", state))));
        Each("cone-hang", "upright hanging sessile-on-branch", Cones.ConeHang);
        Each("cone-scale-edge", "rounded ragged pointed", Cones.ScaleEdge);
        Each("cone-scales", "unarmed prickle bracts-showing", state => Cones.Cone(LeafForm.With(("cone-scales", state))));
    }

    private static void WholePlants()
    {
        Each("habit", "tree multi-stemmed-tree shrub climber", state => Crowns.Habit(state));
        Each("leaf-persistence", "deciduous half-evergreen evergreen", Crowns.Persistence);
        Each("crown", "columnar conical rounded spreading weeping irregular", state => Crowns.Crown(state));
        Each("climbing-by", "tendrils discs aerial-roots twining", Crowns.ClimbingBy);
        Each("branching", "ascending right-angled drooping contorted", Crowns.Branching);
        Each(
            "bark-pattern",
            "smooth horizontal-lines shallow-ridges deep-furrows interlacing-ridges blocks scales plates loose-strips "
                + "papery mottled-flaking fibrous corky warty target-rings striped fluted spiral",
            state => Barks.Of(state, BarkTint(state))
        );
        Each("bark-hold", "tight flakes-off", Barks.Hold);
    }

    // Papery bark is pale and fibrous bark reddish nearly everywhere: the picture of the pattern may say so.
    private static Tint BarkTint(string pattern) =>
        pattern switch
        {
            "papery" or "horizontal-lines" => Tint.PaleGrey,
            "fibrous" or "loose-strips" => Tint.RedBrown,
            "striped" => Tint.Green,
            "smooth" or "fluted" or "warty" => Tint.Grey,
            _ => Tint.GreyBrown,
        };

    private static void ColoursOf()
    {
        Colour("leaf-colour", "yellow-green green dark-green blue-green grey-green yellow purple variegated", Swatches.Leaf);
        Colour("autumn-colour", "yellow orange red purple brown", Swatches.Leaf);
        Colour("underside-colour", "green paler white bluish yellowish rusty", Swatches.Underside);
        Colour("petiole-colour", "green red yellow", Swatches.Petiole);
        Colour("twig-colour", "green yellow orange red brown grey purple", Swatches.Twig);
        Colour("pith-colour", "white pink orange brown", Swatches.Pith);
        Colour("bud-colour", "green yellow red brown grey black white purple", Swatches.Bud);
        Colour("flower-colour", "white cream green yellow orange pink red purple blue brown", Swatches.Flower);
        Colour("fruit-colour", "green yellow orange red pink blue purple black white brown", Swatches.Fruit);
        Colour("bark-colour", "white pale-grey grey grey-brown brown red-brown orange green dark", Swatches.Bark);
        Colour("bark-inner", "orange yellow green red cream", tint => Swatches.InnerBark(tint));
        One("bark-inner", "like-outside", () => Swatches.InnerBark(null));
    }

    /// <summary>The characters and states that are drawn.</summary>
    public static IEnumerable<(string Character, string State)> All => Registered.Keys;

    /// <summary>The drawing of a state, or null where words must do.</summary>
    public static Drawing? Of(string character, string state) => Registered.TryGetValue((character, state), out var draw) ? draw() : null;

    private static Drawing Plain => LeafDrawing.Blade(LeafForm.With(("shape", "elliptic")), veins: false);

    private static void Each(string character, string states, Func<string, Drawing> draw)
    {
        foreach (var state in states.Split(' '))
            One(character, state, () => draw(state));
    }

    private static void Colour(string character, string states, Func<Tint, Drawing> draw) =>
        Each(character, states, state => draw(Tints.Of(state) ?? throw new InvalidOperationException($"{state} is not a colour.")));

    private static void One(string character, string state, Func<Drawing> draw) => Registered.Add((character, state), draw);

    private static Drawing Blade(bool veins, params (string, string)[] form) => LeafDrawing.Blade(LeafForm.With(form), veins);

    private static Drawing Leaf(params (string, string)[] form) => LeafDrawing.Of(LeafForm.With(form));
}
