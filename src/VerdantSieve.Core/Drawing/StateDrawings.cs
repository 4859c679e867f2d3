namespace VerdantSieve.Core.Drawing;

/// <summary>The drawings of states: each is registered here by its character and state, and what is not registered is told in words
/// only.</summary>
public static class StateDrawings
{
    private static readonly Dictionary<(string Character, string State), Func<Drawing>> Registered = [];

    static StateDrawings()
    {
        // The other features of each are chosen so that the one asked for stands out.
        Each(
            "shape",
            "linear lanceolate oblong elliptic ovate obovate oblanceolate spatulate round heart triangular diamond kidney fan cross saddle",
            state => Blade(true, ("shape", state), ("venation", "midrib-only"))
        );
        Each(
            "apex",
            "acute acuminate abrupt-tip obtuse rounded",
            state => Blade(false, ("shape", "elliptic"), ("base", "rounded"), ("apex", state))
        );
        Each("apex", "truncate notched", state => Blade(false, ("shape", "obovate"), ("base", "rounded"), ("apex", state)));
        Each(
            "base",
            "wedge tapered rounded truncate heart unequal",
            state => Blade(false, ("shape", "ovate"), ("apex", "acute"), ("base", state))
        );
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
        Each(
            "lobe-balance",
            "even upper-largest",
            state => Blade(false, ("lobing", "pinnate"), ("shape", "obovate"), ("lobe-balance", state))
        );
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
            "venation",
            "pinnate-straight pinnate-looping arcuate midrib-only",
            state => Blade(true, ("shape", "elliptic"), ("venation", state))
        );
        Each("venation", "palmate three-from-base", state => Blade(true, ("shape", "heart"), ("venation", state)));
        Each("venation", "fan", state => Blade(true, ("shape", "fan"), ("venation", state)));
        Each(
            "structure",
            "simple trifoliate palmate odd-pinnate even-pinnate bipinnate",
            state => Leaf(("structure", state), ("shape", "elliptic"))
        );
        Each(
            "terminal-leaflet",
            "long-stalked short-stalked sessile",
            state => Leaf(("structure", "trifoliate"), ("shape", "ovate"), ("terminal-leaflet", state))
        );
        Each("terminal-leaflet", "absent", _ => Leaf(("structure", "even-pinnate"), ("shape", "elliptic")));
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
        Each(
            "arrangement",
            "alternate subopposite opposite whorled on-spurs",
            state => LeafyShoots.Of(state, [LeafDrawing.Blade(LeafForm.With(("shape", "elliptic")), veins: false)], 0.95)!
        );
        Each(
            "needle-grouping",
            "single-spiral single-two-ranked paired-two-ranked bundles spur-tufts whorls opposite-scales",
            state => NeedleShoots.Of(state, perBundle: 3)!
        );
        Each("foliage", "broad", _ => Leaf(("shape", "ovate"), ("venation", "pinnate-straight")));
        Each("foliage", "scale", _ => NeedleShoots.Of("opposite-scales", perBundle: 2)!);
        Each("foliage", "needle", _ => NeedleShoots.Of("single-spiral", perBundle: 2)!);
        Each("foliage", "awl", _ => SmallDrawings.Awls());
        One("samara-angle", "narrow", () => SmallDrawings.Samara(24));
        One("samara-angle", "right-angle", () => SmallDrawings.Samara(52));
        One("samara-angle", "wide", () => SmallDrawings.Samara(84));
        One("acorn-cup", "under-quarter", () => SmallDrawings.Acorn(0.2));
        One("acorn-cup", "quarter-to-half", () => SmallDrawings.Acorn(0.4));
        One("acorn-cup", "half-to-most", () => SmallDrawings.Acorn(0.65));
        One("acorn-cup", "nearly-all", () => SmallDrawings.Acorn(0.9));
        One("cone-shape", "globe", () => SmallDrawings.Cone(0.5, 0.5, narrowed: 0, flattened: 1));
        One("cone-shape", "egg", () => SmallDrawings.Cone(0.42, 0.68, narrowed: 0.28, flattened: 1));
        One("cone-shape", "cylinder", () => SmallDrawings.Cone(0.3, 0.95, narrowed: 0, flattened: 0.5));
        One(
            "needle-tip",
            "notched",
            () => SmallDrawings.Needle(new(0.16, 0), new(0.16, 0.86), new(0.12, 0.97), new(0.06, 0.99), new(0, 0.9))
        );
        One("needle-tip", "blunt", () => SmallDrawings.Needle(new(0.16, 0), new(0.16, 0.84), new(0.12, 0.95), new(0.05, 0.995), new(0, 1)));
        One("needle-tip", "pointed", () => SmallDrawings.Needle(new(0.16, 0), new(0.15, 0.62), new(0.09, 0.85), new(0, 1)));
        One(
            "needle-tip",
            "sharp",
            () => SmallDrawings.Needle(new(0.13, 0), new(0.12, 0.5), new(0.04, 0.84), new(0.008, 0.95), new(0, 1.06))
        );
    }

    /// <summary>The characters and states that are drawn.</summary>
    public static IEnumerable<(string Character, string State)> All => Registered.Keys;

    /// <summary>The drawing of a state, or null where words must do.</summary>
    public static Drawing? Of(string character, string state) => Registered.TryGetValue((character, state), out var draw) ? draw() : null;

    private static void Each(string character, string states, Func<string, Drawing> draw)
    {
        foreach (var state in states.Split(' '))
            One(character, state, () => draw(state));
    }

    private static void One(string character, string state, Func<Drawing> draw) => Registered.Add((character, state), draw);

    private static Drawing Blade(bool veins, params (string, string)[] form) => LeafDrawing.Blade(LeafForm.With(form), veins);

    private static Drawing Leaf(params (string, string)[] form) => LeafDrawing.Of(LeafForm.With(form));
}
