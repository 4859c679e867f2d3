using System.Globalization;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Store.Looks;

namespace VerdantSieve.Store.Demo;

/// <summary>A season at Lantern Creek, a reserve that does not exist, by people who do not exist.</summary>
internal static class DemoSeason
{
    public static IReadOnlyList<DemoLook> Looks { get; } =
    [
        new(
            "lantern2",
            At("Lantern Creek Reserve, ford below the mill", "2026-05-16", "Odalys Brandt").On(45.0949, -123.2052, 90),
            [
                State("foliage", "sure", "broad"),
                State("arrangement", "sure", "opposite"),
                State("structure", "sure", "simple"),
                State("lobing", "sure", "palmate"),
                Number("lobe-count", "fair", 5),
                State("sap", "fair", "milky"),
                Measure("blade-length", "fair", 19, 27, 5),
                Seen("fruiting", true),
                State("fruit-hair", "fair", "hairy"),
                State("lobe-depth", "sure", "deep"),
            ],
            Settle: true,
            "Five leaves from a low branch over the water. Young winged fruit in hanging bunches."
        )
        {
            Tag = "LC 1",
        },
        new(
            "lantern3",
            At("Lantern Creek Reserve, alder flat", "2026-06-14", "Pim Achterberg").On(45.0969, -123.199, 97),
            [
                State("foliage", "sure", "broad"),
                State("arrangement", "sure", "alternate"),
                State("structure", "sure", "simple"),
                State("shape", "fair", "ovate", "elliptic"),
                State("blade-fold", "fair", "rolled-edges"),
                State("margin", "fair", "doubly-serrate"),
                State("bud-form", "sure", "stalked"),
                State("fruit-type", "sure", "catkin-cone"),
            ],
            Settle: true,
            "Last year’s little cones still on the tree."
        )
        {
            Tag = "LC 2",
        },
        // Stuck between two willows: neither hair nor flowers could be read.
        new(
            "lantern4",
            At("Lantern Creek Reserve, beaver pond", "2026-07-22", "Odalys Brandt").On(45.0971, -123.1985, 112),
            [
                State("foliage", "sure", "broad"),
                State("arrangement", "sure", "alternate"),
                State("structure", "sure", "simple"),
                State("bud-scales", "fair", "none", "one"),
                State("shape", "fair", "obovate"),
                State("margin", "fair", "entire"),
                State("leaf-persistence", "sure", "deciduous"),
                State("stipules", "guess", "none-or-lost"),
                Unknown("underside-hair"),
                Measure("blade-length", "fair", 5, 7, 4),
                Unknown("flowering"),
            ],
            Settle: false,
            "Leaves chewed; could not see the hair beneath without a lens. Come back with one."
        )
        {
            Tag = "Pond willows",
        },
        // The arrangement was read at a crowded tip: the other readings speak against it.
        new(
            "lantern5",
            At("Lantern Creek Reserve, oak knoll", "2026-06-03", "Wren Okafor-Lind").On(45.0981, -123.2041, 121),
            [
                State("foliage", "sure", "broad"),
                State("arrangement", "fair", "opposite"),
                State("structure", "sure", "simple"),
                State("lobing", "sure", "pinnate"),
                State("lobe-tip", "sure", "rounded"),
                State("end-bud", "fair", "clustered"),
                State("bark-pattern", "fair", "shallow-ridges"),
                State("underside-hair", "fair", "sparse"),
            ],
            Settle: false,
            "Leaves bunched at the end of the shoot."
        )
        {
            Tag = "Knoll oak",
        },
        // Stopped at the red oaks: nothing that parts them was read.
        new(
            "lantern6",
            At("Fernhollow school yard", "2026-08-19", "Pim Achterberg", Setting.Planted).On(45.0893, -123.219, 82),
            [
                State("foliage", "sure", "broad"),
                State("arrangement", "sure", "alternate"),
                State("lobing", "sure", "pinnate"),
                State("lobe-tip", "sure", "bristle"),
                State("end-bud", "sure", "clustered"),
            ],
            Settle: true,
            "A planted row. Two kinds of red oak are planted about here; acorns next month."
        )
        {
            Tag = "School row 3",
        },
        // Not in the flora: a palm in somebody’s garden.
        new(
            "lantern7",
            At("Fernhollow, garden by the ferry landing", "2026-05-02", "Wren Okafor-Lind", Setting.Planted).On(45.0871, -123.2214, 70),
            [
                State("foliage", "sure", "broad"),
                State("habit", "sure", "tree"),
                State("structure", "sure", "simple"),
                State("shape", "sure", "fan"),
                State("lobing", "sure", "palmate"),
                Number("lobe-count", "sure", 40),
                State("lobe-depth", "sure", "deep"),
                State("leaf-persistence", "sure", "evergreen"),
                Measure("petiole-length", "sure", 55, 70, 4),
                State("bark-pattern", "sure", "fibrous"),
                State("crowding", "sure", "crowded-at-tip"),
                State("margin", "fair", "entire"),
            ],
            Settle: false,
            "A shaggy brown trunk and fans at the top. Not a plant of these woods."
        ),
        new(
            "lantern8",
            At("Lantern Creek Reserve, gate", "2026-07-05", "Odalys Brandt").On(45.0951, -123.2062, 96),
            [
                State("structure", "sure", "trifoliate"),
                State("arrangement", "sure", "alternate"),
                State("armature", "fair", "none"),
                State("terminal-leaflet", "sure", "long-stalked"),
            ],
            Settle: true,
            "Not touched. Sign asked for."
        ),
        new(
            "lantern9",
            At("Lantern Creek Reserve, north ridge", "2026-09-12", "Wren Okafor-Lind").On(45.1019, -123.1996, 183),
            [
                State("foliage", "sure", "needle"),
                State("needle-grouping", "sure", "single-two-ranked"),
                State("needle-tip", "fair", "notched"),
                State("needle-bands", "sure", "below"),
                State("smell", "fair", "citrus"),
                Measure("needle-length", "fair", 1.5, 4.5, 8),
            ],
            Settle: true,
            "Needles long and short in one flat spray."
        )
        {
            Tag = "Ridge fir",
            Outing = DemoReserve.RidgeWalk,
        },
        new(
            "lanterna",
            At("Lantern Creek Reserve, north ridge", "2026-09-12", "Wren Okafor-Lind").On(45.1013, -123.1969, 176),
            [State("foliage", "sure", "needle"), State("needle-grouping", "fair", "single-spiral", "single-two-ranked")],
            Settle: false,
            "Begun as the light went."
        )
        {
            Outing = DemoReserve.RidgeWalk,
        },
        new(
            "lanternb",
            At("Lantern Creek Reserve, ash swale", "2026-06-27", "Wren Okafor-Lind").On(45.0997, -123.1957, 150),
            [
                State("foliage", "sure", "broad"),
                State("arrangement", "sure", "opposite"),
                State("structure", "sure", "odd-pinnate"),
                Number("leaflet-count", "sure", 7),
                State("margin", "fair", "entire"),
                State("bark-pattern", "fair", "interlacing-ridges"),
                State("twig-hair", "fair", "sparse"),
            ],
            Settle: true,
            ""
        )
        {
            Tag = "LC 7",
        },
        // Not to be parted out of flower: the black hawthorns.
        new(
            "lanternc",
            At("Lantern Creek Reserve, hedge by the gate", "2026-08-09", "Pim Achterberg").On(45.0953, -123.2059, 97),
            [
                State("foliage", "sure", "broad"),
                State("arrangement", "sure", "alternate"),
                State("armature", "sure", "thorns"),
                State("shape", "fair", "obovate"),
                State("tooth-extent", "sure", "upper-part"),
                State("fruit-type", "sure", "pome"),
                State("fruit-colour", "sure", "black"),
                new RawReading("blade-length") { Values = [4.5, 5, 5.2, 3.8, 8.5], Certainty = "fair" },
                State("bud-form", "fair", "rounded"),
            ],
            Settle: true,
            "Stamens in May would part the two. The one long leaf was on a strong shoot."
        )
        {
            Tag = "Gate hedge",
        },
        // From the litter, out of reach: what lay there says nothing of how the leaves sat.
        new(
            "lanternd",
            At("Lantern Creek Reserve, east bank", "2026-10-03", "Wren Okafor-Lind").On(45.0962, -123.202, 101),
            [
                State("foliage", "sure", "broad"),
                State("structure", "sure", "simple") with
                {
                    Origin = "litter",
                },
                State("lobing", "sure", "palmate") with
                {
                    Origin = "litter",
                },
                new RawReading("blade-length")
                {
                    AtLeast = 18,
                    By = "eye",
                    Certainty = "fair",
                    Origin = "litter",
                },
                State("lobe-depth", "fair", "deep") with
                {
                    Origin = "litter",
                },
                State("bark-pattern", "fair", "interlacing-ridges"),
            ],
            Settle: false,
            "The crown is out of reach over the water. Might be a neighbour’s leaves."
        )
        {
            Tag = "East bank",
        },
        // The same maple in fruit: what hung in May as green bunches is ripe.
        new(
            "lantern2b",
            At("Lantern Creek Reserve, ford below the mill", "2026-09-12", "Odalys Brandt").On(45.0949, -123.2052, 90),
            [Seen("fruiting", true), State("fruit-type", "sure", "paired-samara"), State("bark-pattern", "fair", "interlacing-ridges")],
            Settle: false,
            "Wings at a right angle or less; seeds bristly, sleeves needed."
        )
        {
            TreeId = "lantern2",
            Outing = DemoReserve.RidgeWalk,
        },
        // The pond willows in spring, with a lens: what July left open.
        new(
            "lantern4b",
            At("Lantern Creek Reserve, beaver pond", "2026-09-12", "Odalys Brandt").On(45.0971, -123.1985, 112),
            [State("underside-hair", "fair", "sparse"), State("twig-hair", "fair", "dense"), Seen("fruiting", false)],
            Settle: false,
            "With the lens this time. Catkins are long gone; come back when they flower."
        )
        {
            TreeId = "lantern4",
            Outing = DemoReserve.RidgeWalk,
        },
    ];

    private static LookContent On(this LookContent content, double north, double east, double up) =>
        content with
        {
            Circumstances = content.Circumstances with
            {
                Latitude = north.ToString("R", CultureInfo.InvariantCulture),
                Longitude = east.ToString("R", CultureInfo.InvariantCulture),
                Elevation = up.ToString("R", CultureInfo.InvariantCulture),
            },
        };

    private static LookContent At(string place, string date, string observer, Setting setting = Setting.Wild) =>
        new()
        {
            Place = place,
            Observer = observer,
            Circumstances = new RawCircumstances
            {
                Region = "ORE",
                Date = date,
                Setting = setting.Word(),
            },
        };

    private static RawReading State(string character, string certainty, params string[] states) =>
        new(character)
        {
            States = states,
            Mode = states.Length > 1 ? "either" : "is",
            Certainty = certainty,
        };

    private static RawReading Number(string character, string certainty, double value) =>
        new(character) { Value = value, Certainty = certainty };

    private static RawReading Measure(string character, string certainty, double low, double high, int leaves) =>
        new(character)
        {
            Low = low,
            High = high,
            Leaves = leaves,
            Certainty = certainty,
        };

    private static RawReading Seen(string character, bool today) => new(character) { Today = today, Certainty = "sure" };

    private static RawReading Unknown(string character) => new(character) { Unknown = true };
}
