namespace VerdantSieve.Core.Drawing;

/// <summary>Draws a shoot: a twig with its leaves or needles, or what is known of them. The twig grows upward from (0, 0).</summary>
public static class ShootDrawing
{
    /// <summary>The shoot as it is known; what is not known is dotted.</summary>
    public static Drawing Of(LeafForm form) => form.IsBroad ? Broad(form) : Needled(form);

    /// <summary>A small likeness for lists: one leaf, or a needled shoot.</summary>
    public static Drawing Likeness(LeafForm form) => form.IsBroad ? Leaf(form) : Needled(form);

    private static Drawing Broad(LeafForm form)
    {
        var leaf = Leaf(form);
        var height = leaf.Flat().Max(stroke => stroke.Points.Max(point => point.Y));
        return Arranged(form.State("arrangement", ""), leaf, 1.25 / height);
    }

    // A leaf of which nothing is known is dotted.
    private static Drawing Leaf(LeafForm form)
    {
        var known = form.Has("structure") || form.Has("shape") || form.Has("lobing") || form.Has("margin") || form.Has("venation") || form.Has("base") || form.Has("apex");
        var leaf = LeafDrawing.Of(form);
        return known ? leaf : leaf.AsUnknown();
    }

    /// <summary>Leaves set along a twig.</summary>
    internal static Drawing Arranged(string arrangement, Drawing leaf, double scale)
    {
        const double twig = 2.5;
        var parts = new List<Drawing>();
        void Leaf(double y, double turn, double size = 1, bool flip = false) =>
            parts.Add(leaf.Placed(new Placement(new Point(0, y), turn, scale * size, flip)));

        switch (arrangement)
        {
            case "opposite":
                foreach (var y in new[] { 0.55, 1.5 }) { Leaf(y, 66); Leaf(y, -66, flip: true); }
                Leaf(twig, 24, 0.8); Leaf(twig, -24, 0.8, true);
                break;
            case "subopposite":
                foreach (var y in new[] { 0.5, 1.45 }) { Leaf(y, 66); Leaf(y + 0.16, -66, flip: true); }
                Leaf(twig, 5, 0.85);
                break;
            case "whorled":
                foreach (var y in new[] { 0.5, 1.55 }) { Leaf(y, 74); Leaf(y, -74, flip: true); Leaf(y, 16, 0.62); }
                Leaf(twig, 0, 0.8);
                break;
            case "on-spurs":
                foreach (var (y, side) in new[] { (0.5, 1), (1.2, -1), (1.9, 1) })
                {
                    var spur = new Point(side * 0.16, y + 0.06);
                    parts.Add(new Drawing([Stroke.Line(StrokeKind.Twig, new Point(0, y), spur)]));
                    foreach (var turn in new[] { 95, 62, 30 })
                        parts.Add(leaf.Placed(new Placement(spur, side * turn, scale * 0.75, side < 0)));
                }
                break;
            default:
                foreach (var (y, side) in new[] { (0.35, 1), (0.9, -1), (1.45, 1), (2.0, -1) }) Leaf(y, side * 64, flip: side < 0);
                Leaf(twig, 8, 0.85);
                break;
        }
        var unknown = arrangement.Length == 0;
        var stem = Stroke.Line(unknown ? StrokeKind.Unknown : StrokeKind.Twig, new Point(0, -0.15), new Point(0, twig));
        return Drawing.Of([new Drawing([stem]), .. parts]);
    }

    private static Drawing Needled(LeafForm form)
    {
        var usual = form.State("foliage", "needle") == "scale" ? "opposite-scales" : "single-spiral";
        var known = form.Has("needle-grouping") || form.State("foliage", "") is "scale" or "awl";
        var drawing = Grouped(form.State("needle-grouping", usual), (int)Math.Round(form.Number("needles-per-bundle", 2)));
        return known ? drawing : drawing.AsUnknown();
    }

    /// <summary>A shoot with needles grouped as named.</summary>
    internal static Drawing Grouped(string grouping, int perBundle)
    {
        const double twig = 2.4;
        var strokes = new List<Stroke> { Stroke.Line(StrokeKind.Twig, new Point(0, -0.1), new Point(0, twig)) };
        void Needle(Point at, double turn, double length)
        {
            var (sin, cos) = Math.SinCos(turn * Math.PI / 180);
            strokes.Add(Stroke.Line(StrokeKind.Needle, at, new Point(at.X + length * sin, at.Y + length * cos)));
        }
        switch (grouping)
        {
            case "single-two-ranked":
                for (var i = 0; i < 17; i++)
                    foreach (var side in new[] { 78, -78 }) Needle(new Point(0, 0.2 + 2.15 * i / 16), side, 0.62 * (1 - 0.35 * Math.Pow(i / 16.0 - 0.4, 2)));
                break;
            case "bundles":
                var count = Math.Clamp(perBundle, 2, 5);
                foreach (var (y, turn) in new[] { (0.5, 58), (0.8, -55), (1.25, 50), (1.55, -48), (2.0, 36), (2.2, -32), (2.4, 4) })
                    for (var i = 0; i < count; i++) Needle(new Point(0, y), turn + (i - (count - 1) / 2.0) * (count > 3 ? 6 : 9), 1.0);
                break;
            case "spur-tufts":
                foreach (var (y, side) in new[] { (0.4, 1), (0.9, -1), (1.4, 1), (1.9, -1), (2.35, 0) })
                {
                    var spur = new Point(side * 0.14, y);
                    strokes.Add(new Stroke(StrokeKind.Body, Curves.Circle(spur, 0.07), true));
                    for (var i = 0; i < 11; i++) Needle(spur, side * 78 + (i - 5) * 15, 0.5);
                }
                break;
            case "whorls":
                foreach (var y in new[] { 0.4, 0.85, 1.3, 1.75, 2.2 })
                    foreach (var turn in new[] { 72, -72, 12 }) Needle(new Point(0, y), turn, 0.48);
                break;
            case "opposite-scales":
                for (var i = 0; i < 12; i++) Scale(new Point(0, 0.05 + i * 0.19), 0, 0.2);
                foreach (var (y, side) in new[] { (0.5, 1), (0.7, -1), (1.1, 1), (1.3, -1), (1.7, 1), (1.9, -1) })
                    for (var i = 0; i < (y > 1.5 ? 4 : 6); i++)
                    {
                        var (sin, cos) = Math.SinCos(side * 52 * Math.PI / 180);
                        Scale(new Point((0.08 + i * 0.15) * sin, y + (0.08 + i * 0.15) * cos), side * 52, 0.17);
                    }
                break;
            default:
                for (var i = 0; i < 26; i++)
                    Needle(new Point(0, 0.15 + 2.25 * i / 25), (i % 4) switch { 0 => 62, 1 => -62, 2 => 38, _ => -38 }, i % 4 < 2 ? 0.55 : 0.42);
                Needle(new Point(0, twig), 0, 0.4);
                break;
        }
        return new Drawing(strokes);

        void Scale(Point at, double turn, double size) => strokes.Add(new Stroke(StrokeKind.Blade,
            [.. new Point[] { new(-0.32, 0), new(-0.42, 0.5), new(0, 1.15), new(0.42, 0.5), new(0.32, 0) }.Select(p => p.Placed(new Placement(at, turn, size)))], true));
    }
}
