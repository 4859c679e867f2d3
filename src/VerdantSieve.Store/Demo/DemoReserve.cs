using VerdantSieve.Core.Trees;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Store.Demo;

/// <summary>Lantern Creek Reserve, which does not exist: its walker, its trees as they stand, and the ways walked there.</summary>
public static class DemoReserve
{
    /// <summary>The account of the walker, whose notebook the demonstration's season is.</summary>
    public const string Walker = "demo-odalys";

    /// <summary>The account of the second reader, with whom the notebook is shared.</summary>
    public const string SecondReaderId = "demo-pim";

    internal const string RidgeWalk = "outridge";
    internal const string SpringWalk = "outspring";

    internal static IReadOnlyList<OutingRow> Outings =>
        [
            new()
            {
                Id = RidgeWalk,
                Owner = Walker,
                Title = "North ridge and back by the pond",
                Date = new DateOnly(2026, 9, 12),
                Who = "Wren Okafor-Lind, Odalys Brandt",
                Weather = "Dry, 17 °C, wind from the west",
                Access = "From the gate; leave had from the warden for twigs of this year.",
                Hazards = "Loose stones below the ridge. Poison-oak along the lower path. A dead limb over the bend at the ford.",
                Track = TrackFrom(
                    new DateTimeOffset(2026, 9, 12, 9, 10, 0, TimeSpan.Zero),
                    (45.0952, -123.2061, 96),
                    (45.0966, -123.2049, 104),
                    (45.0981, -123.2041, 121),
                    (45.0997, -123.2034, 148),
                    (45.1012, -123.2021, 171),
                    (45.1019, -123.1996, 183),
                    (45.1013, -123.1969, 176),
                    (45.0997, -123.1957, 150),
                    (45.0981, -123.1966, 127),
                    (45.0971, -123.1989, 112),
                    (45.0961, -123.2021, 101),
                    (45.0952, -123.2061, 96)
                ),
                IsDemo = true,
                Created = new DateTimeOffset(2026, 9, 12, 8, 0, 0, TimeSpan.Zero),
            },
            new()
            {
                Id = SpringWalk,
                Owner = Walker,
                Title = "Ford and alder flat in spring",
                Date = new DateOnly(2026, 4, 18),
                Who = "Odalys Brandt",
                Weather = "Showers, 11 °C",
                Access = "From the mill.",
                Hazards = "High water at the ford; the planks are slippery.",
                Track = TrackFrom(
                    new DateTimeOffset(2026, 4, 18, 10, 0, 0, TimeSpan.Zero),
                    (45.0941, -123.2078, 88),
                    (45.0949, -123.2052, 90),
                    (45.0957, -123.2027, 93),
                    (45.0969, -123.1990, 97)
                ),
                IsDemo = true,
                Created = new DateTimeOffset(2026, 4, 18, 8, 0, 0, TimeSpan.Zero),
            },
        ];

    internal static TreeDetails DetailsOf(DemoLook demo) =>
        Measured.GetValueOrDefault(demo.TreeId, new TreeDetails()) with
        {
            Tag = demo.Tag,
        };

    private static readonly Dictionary<string, TreeDetails> Measured = new()
    {
        ["lantern2"] = new()
        {
            Girth = new Girth(212),
            Height = TreeHeight.ByStick(62, 65, 24).Value,
            Note = "Leans over the water; look from the far bank.",
        },
        ["lantern4"] = new() { Individuals = 6 },
        ["lantern5"] = new() { Girth = new Girth(268), Height = TreeHeight.ByClinometer(41, -4, 20).Value },
        ["lanternc"] = new() { Girth = new Girth(31), IsSensitive = true },
    };

    // The second reader's lines: one agrees, one doubts.
    internal static IReadOnlyList<OpinionRow> SecondReader(int edition) =>
        [
            Line("lantern2", OpinionKind.Agreed, "Acer macrophyllum", "Hair on the young fruit, and leaves as broad as two hands."),
            Line(
                "lanternb",
                OpinionKind.Doubted,
                "",
                "The leaflets are said to be entire, and only fairly surely; no stalk of a side leaflet was looked at. "
                    + "A planted ash stands at the road."
            ),
        ];

    private static OpinionRow Line(string tree, OpinionKind kind, string name, string reasons) =>
        new()
        {
            TreeId = tree,
            Kind = kind,
            Name = name,
            Reasons = reasons,
            From = SecondReaderId,
            By = "Pim Achterberg",
            At = new DateTimeOffset(2026, 10, 20, 18, 30, 0, TimeSpan.Zero),
        };

    private static List<TrackPoint> TrackFrom(DateTimeOffset start, params (double North, double East, double Up)[] points) =>
        [.. points.Select((point, at) => new TrackPoint(point.North, point.East, point.Up, start.AddMinutes(9 * at)))];
}
