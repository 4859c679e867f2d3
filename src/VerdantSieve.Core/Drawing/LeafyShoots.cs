namespace VerdantSieve.Core.Drawing;

/// <summary>Sets leaves along a twig, one way for each arrangement. The twig grows upward from (0, 0).</summary>
internal static class LeafyShoots
{
    private const double Twig = 2.5;

    private static readonly Dictionary<string, Action<Shoot>> Arrangements = new()
    {
        ["alternate"] = OneByOne,
        ["subopposite"] = AlmostInPairs,
        ["opposite"] = InPairs,
        ["whorled"] = InRings,
        ["on-spurs"] = OnSpurs,
    };

    /// <summary>Leaves arranged as named; null where that arrangement is not drawn.</summary>
    public static Drawing? Of(string arrangement, IReadOnlyList<Drawing> leaves, double scale) =>
        Arrangements.TryGetValue(arrangement, out var arrange) ? Drawn(arrange, StrokeKind.Twig, leaves, scale) : null;

    /// <summary>A shoot as a form has it: arranged, crowded and ranked; null where its arrangement is not drawn.</summary>
    public static Drawing? Of(LeafForm form, IReadOnlyList<Drawing> leaves, double scale)
    {
        var arrangement = form.State(Botany.CharacterIds.Arrangement, "");
        if (arrangement == "alternate" && form.State(Botany.CharacterIds.Crowding, "") == "crowded-at-tip")
            return Drawn(AtTip, StrokeKind.Twig, leaves, scale);
        return Of(arrangement, leaves, scale);
    }

    /// <summary>Leaves of which it is not known how they sit: on a dotted twig.</summary>
    public static Drawing NotKnown(IReadOnlyList<Drawing> leaves, double scale) => Drawn(OneByOne, StrokeKind.Unknown, leaves, scale);

    /// <summary>Leaves spread along a twig or crowded at its tip.</summary>
    public static Drawing Crowded(string crowding, Drawing leaf) =>
        crowding == "crowded-at-tip" ? Drawn(AtTip, StrokeKind.Twig, [leaf], 0.95) : Drawn(OneByOne, StrokeKind.Twig, [leaf], 0.95);

    /// <summary>Leaves in two rows, or all round.</summary>
    public static Drawing Ranked(string ranks, Drawing leaf) =>
        ranks == "spiral" ? Drawn(Round, StrokeKind.Twig, [leaf], 0.8) : Drawn(InTwoRows, StrokeKind.Twig, [leaf], 0.8);

    /// <summary>Leaves of one shape on a shoot, or of several.</summary>
    public static Drawing Variety(string variety)
    {
        var plain = LeafDrawing.Blade(LeafForm.With(("shape", "ovate")));
        return variety == "several-shapes"
            ? Drawn(
                OneByOne,
                StrokeKind.Twig,
                [
                    plain,
                    LeafDrawing.Blade(LeafForm.With(("lobing", "palmate"), ("base", "wedge")).But("lobe-count", 3)),
                    LeafDrawing.Blade(LeafForm.With(("lobing", "one-sided"), ("shape", "ovate"))),
                ],
                0.95
            )
            : Drawn(OneByOne, StrokeKind.Twig, [plain], 0.95);
    }

    private static Drawing Drawn(Action<Shoot> arrange, StrokeKind twig, IReadOnlyList<Drawing> leaves, double scale)
    {
        var shoot = new Shoot(leaves, scale);
        arrange(shoot);
        return Drawing.Of([new Drawing([Stroke.Line(twig, new Point(0, -0.15), new Point(0, Twig))]), .. shoot.Parts]);
    }

    // Leaves of several forms stand on it in turn.
    private sealed class Shoot(IReadOnlyList<Drawing> leaves, double scale)
    {
        private int set;

        public List<Drawing> Parts { get; } = [];

        public void Leaf(double y, double turn, double size = 1, bool flip = false) => Leaf(new Point(0, y), turn, size, flip);

        public void Leaf(Point at, double turn, double size, bool flip) =>
            Parts.Add(leaves[set++ % leaves.Count].Placed(new Placement(at, turn, scale * size, flip)));
    }

    private static void OneByOne(Shoot shoot)
    {
        foreach (var (y, side) in new[] { (0.35, 1), (0.9, -1), (1.45, 1), (2.0, -1) })
            shoot.Leaf(y, side * 64, flip: side < 0);
        shoot.Leaf(Twig, 8, 0.85);
    }

    private static void AtTip(Shoot shoot)
    {
        foreach (var (turn, size) in new[] { (98, 0.9), (-98, 0.9), (70, 1.0), (-70, 1.0), (40, 1.0), (-40, 1.0), (8, 0.9) })
            shoot.Leaf(Twig - 0.003 * Math.Abs(turn), turn, size, turn < 0);
    }

    private static void InTwoRows(Shoot shoot)
    {
        for (var i = 0; i < 6; i++)
            shoot.Leaf(0.25 + 0.38 * i, (i % 2 == 0 ? 1 : -1) * 74, flip: i % 2 == 1);
    }

    // Those before and behind the twig are seen shortened.
    private static void Round(Shoot shoot)
    {
        for (var i = 0; i < 8; i++)
        {
            var round = Math.Sin(i * 2.399963 + 0.5);
            shoot.Leaf(0.15 + 0.29 * i, Math.Sign(round) * (10 + 62 * Math.Abs(round)), 0.55 + 0.45 * Math.Abs(round), round < 0);
        }
        shoot.Leaf(Twig, 6, 0.8);
    }

    private static void AlmostInPairs(Shoot shoot)
    {
        foreach (var y in new[] { 0.5, 1.45 })
        {
            shoot.Leaf(y, 66);
            shoot.Leaf(y + 0.16, -66, flip: true);
        }
        shoot.Leaf(Twig, 5, 0.85);
    }

    private static void InPairs(Shoot shoot)
    {
        foreach (var y in new[] { 0.55, 1.5 })
        {
            shoot.Leaf(y, 66);
            shoot.Leaf(y, -66, flip: true);
        }
        shoot.Leaf(Twig, 24, 0.8);
        shoot.Leaf(Twig, -24, 0.8, true);
    }

    private static void InRings(Shoot shoot)
    {
        foreach (var y in new[] { 0.5, 1.55 })
        {
            shoot.Leaf(y, 74);
            shoot.Leaf(y, -74, flip: true);
            shoot.Leaf(y, 16, 0.62);
        }
        shoot.Leaf(Twig, 0, 0.8);
    }

    private static void OnSpurs(Shoot shoot)
    {
        foreach (var (y, side) in new[] { (0.5, 1), (1.2, -1), (1.9, 1) })
        {
            var spur = new Point(side * 0.16, y + 0.06);
            shoot.Parts.Add(new Drawing([Stroke.Line(StrokeKind.Twig, new Point(0, y), spur)]));
            foreach (var turn in new[] { 95, 62, 30 })
                shoot.Leaf(spur, side * turn, 0.75, side < 0);
        }
    }
}
