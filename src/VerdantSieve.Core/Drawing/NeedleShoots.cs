namespace VerdantSieve.Core.Drawing;

/// <summary>Draws shoots with needles or scales: by grouping, number, length, section, posture and foot. The twig grows upward from
/// (0, 0).</summary>
internal static class NeedleShoots
{
    private const double Twig = 2.4;

    private static readonly Dictionary<string, Action<Pen>> Groupings = new()
    {
        ["single-spiral"] = Spiral,
        ["single-two-ranked"] = pen => TwoRanked(pen, 24, step: 0.5),
        ["paired-two-ranked"] = pen => TwoRanked(pen, 15, step: 0),
        ["bundles"] = Bundles,
        ["spur-tufts"] = SpurTufts,
        ["whorls"] = Whorls,
        ["opposite-scales"] = Scales,
    };

    /// <summary>A shoot with needles grouped as named; null where that grouping is not drawn.</summary>
    public static Drawing? Of(string grouping, LeafForm form) => Of(grouping, form, Variation.None);

    /// <summary>The same as it varies.</summary>
    public static Drawing? Of(string grouping, LeafForm form, Variation vary)
    {
        if (!Groupings.TryGetValue(grouping, out var draw))
            return null;
        var pen = new Pen(form.But(LeafForm.NeedleGrouping, grouping), vary);
        draw(pen);
        return pen.Drawn;
    }

    /// <summary>Short stiff leaves, broad at the base, along a twig.</summary>
    public static Drawing Awls(LeafForm form)
    {
        var pen = new Pen(form, Variation.None);
        var awl = new Drawing([
            new Stroke(StrokeKind.Blade, [new(-0.055, 0), new(-0.045, 0.12), new(0, 0.4), new(0.045, 0.12), new(0.055, 0)], Closed: true)
            {
                Tint = pen.Colour,
            },
        ]);
        for (var i = 0; i < 24; i++)
            pen.Put(awl, new Point(0, 0.05 + i * 0.1), (i % 2 == 0 ? 1 : -1) * (24 + 8 * (i % 3)), 1);
        return pen.Drawn;
    }

    private sealed class Pen
    {
        private readonly List<Drawing> parts = [];
        private readonly Drawing needle;
        private readonly Variation vary;
        private readonly string foot;

        public Pen(LeafForm form, Variation vary)
        {
            this.vary = vary;
            Form = form;
            foot = form.State("needle-base", "");
            Colour = Tints.Of(form.State("leaf-colour", ""));
            // Twenty centimetres are not drawn ten times as long as two, or neither could be seen.
            Length =
                0.34
                * Math.Pow(
                    Math.Clamp(form.Number("needle-length", form.State(LeafForm.NeedleGrouping, "") == "bundles" ? 8 : 2.4), 0.4, 40),
                    0.58
                );
            PerBundle = Math.Clamp((int)Math.Round(form.Number("needles-per-bundle", 2)), 2, 5);
            needle = NeedleDrawing.Needle(form, Length, Colour);
        }

        public LeafForm Form { get; }
        public Tint? Colour { get; }
        public double Length { get; }
        public int PerBundle { get; }

        public Drawing Drawn => Drawing.Of([new Drawing([Stroke.Line(StrokeKind.Twig, new Point(0, -0.1), new Point(0, Twig))]), .. parts]);

        // Degrees from the twig to its needles, where the grouping says nothing else.
        public double Spread =>
            Form.State("needle-posture", "") switch
            {
                "pressed-close" => 14,
                "swept-forward" => 38,
                "right-angled" => 84,
                _ => 62,
            };

        public void Needle(Point at, double turn, double size = 1)
        {
            turn += vary.Off(3);
            if (foot == "peg")
            {
                var (from, to) = (at, at.Along(Point.Direction(turn), 0.05));
                parts.Add(new Drawing([Stroke.Line(StrokeKind.Stalk, from, to) with { Tint = Tint.Brown }]));
                at = to;
            }
            if (foot == "decurrent")
                parts.Add(new Drawing([Stroke.Line(StrokeKind.Hair, at, new Point(Math.Sign(turn) * 0.025, at.Y - 0.11))]));
            if (foot == "disc")
                parts.Add(new Drawing([Stroke.Dot(at.Along(Point.Direction(turn), 0.03), 0.028, Colour ?? Tint.Green)]));
            Put(needle, foot == "stalk" ? at.Along(Point.Direction(turn), 0.04) : at, turn, size * vary.By(0.06));
            if (foot == "stalk")
                parts.Add(new Drawing([Stroke.Line(StrokeKind.Hair, at, at.Along(Point.Direction(turn), 0.05))]));
        }

        // Without a foot of its own: a bundle has one.
        public void Bare(Point at, double turn) => Put(needle, at, turn + vary.Off(2), vary.By(0.05));

        public void Put(Drawing part, Point at, double turn, double size) =>
            parts.Add(part.Placed(new Placement(at, turn, size, turn < 0)));

        public void Add(Stroke stroke) => parts.Add(new Drawing([stroke]));
    }

    private static void Spiral(Pen pen)
    {
        // Round the twig: at its sides as long as they are, before and behind it shorter.
        var count = pen.Length < 0.5 ? 64 : 48;
        for (var i = 0; i < count; i++)
        {
            var round = Math.Sin(i * 2.399963);
            var turn = Math.Sign(round) * (8 + (pen.Spread - 8) * Math.Pow(Math.Abs(round), 0.6));
            pen.Needle(new Point(0, 0.1 + 2.25 * i / (count - 1)), turn, 0.62 + 0.38 * Math.Abs(round));
        }
        pen.Needle(new Point(0, Twig), 0, 0.7);
    }

    // Two flat rows: face to face, or the one row half a step behind the other.
    private static void TwoRanked(Pen pen, int count, double step)
    {
        var gap = 2.15 / (count - 1);
        var turn = pen.Form.State("needle-posture", "") is "swept-forward" or "pressed-close" ? pen.Spread + 12 : 78;
        for (var i = 0; i < count; i++)
        {
            var size = 1 - 0.5 * Math.Pow(i / (count - 1.0) - 0.4, 2) - (i > count - 4 ? 0.12 * (i - count + 4) : 0);
            pen.Needle(new Point(0, 0.2 + gap * i), turn, size);
            pen.Needle(new Point(0, 0.2 + gap * (i - step)), -turn, size);
        }
        if (step > 0)
            pen.Needle(new Point(0, Twig - 0.05), 6, 0.5);
    }

    private static void Bundles(Pen pen)
    {
        var apart = pen.PerBundle > 3 ? 6 : 9;
        foreach (
            var (y, turn) in new[]
            {
                (0.4, 62),
                (0.6, -60),
                (0.85, 58),
                (1.05, -56),
                (1.3, 52),
                (1.5, -50),
                (1.72, 44),
                (1.9, -40),
                (2.08, 33),
                (2.22, -27),
                (2.32, 18),
                (2.38, -11),
                (2.4, 4),
            }
        )
        {
            var at = new Point(0, y);
            var sheath = at.Along(Point.Direction(turn), 0.12);
            pen.Add(Stroke.Line(StrokeKind.Stalk, at, sheath) with { Tint = Tint.Brown });
            for (var i = 0; i < pen.PerBundle; i++)
                pen.Bare(at.Along(Point.Direction(turn), 0.08), turn + (i - (pen.PerBundle - 1) / 2.0) * apart);
        }
    }

    private static void SpurTufts(Pen pen)
    {
        foreach (var (y, side) in new[] { (0.4, 1), (0.9, -1), (1.4, 1), (1.9, -1), (2.35, 0) })
        {
            var spur = new Point(side * 0.14, y);
            pen.Add(new Stroke(StrokeKind.Body, Curves.Circle(spur, 0.07), true));
            for (var i = 0; i < 13; i++)
                pen.Needle(spur, side * 78 + (i - 6) * 14, 0.8 + 0.2 * (i % 2));
        }
    }

    private static void Whorls(Pen pen)
    {
        foreach (var y in new[] { 0.3, 0.72, 1.14, 1.56, 1.98, 2.35 })
            foreach (var (turn, size) in new[] { (72, 1), (-72, 1), (14, 0.8) })
                pen.Needle(new Point(0, y), turn * pen.Spread / 62, size);
    }

    private static void Scales(Pen pen)
    {
        var scale = new Drawing([
            new Stroke(StrokeKind.Blade, [new(-0.32, 0), new(-0.42, 0.5), new(0, 1.15), new(0.42, 0.5), new(0.32, 0)], true)
            {
                Tint = pen.Colour,
            },
        ]);
        for (var i = 0; i < 12; i++)
            pen.Put(scale, new Point(0, 0.05 + i * 0.19), 0, 0.2);
        foreach (var (y, side) in new[] { (0.5, 1), (0.7, -1), (1.1, 1), (1.3, -1), (1.7, 1), (1.9, -1) })
        {
            var direction = Point.Direction(side * 52);
            for (var i = 0; i < (y > 1.5 ? 4 : 6); i++)
                pen.Put(scale, new Point(0, y).Along(direction, 0.08 + i * 0.15), side * 52, 0.17);
        }
    }
}
