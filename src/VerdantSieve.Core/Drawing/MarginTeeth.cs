namespace VerdantSieve.Core.Drawing;

/// <summary>Cuts the teeth of a margin into a smooth outline.</summary>
public static class MarginTeeth
{
    /// <summary>The right half of an outline with its teeth.</summary>
    public static IReadOnlyList<Point> Cut(IReadOnlyList<Point> outline, LeafForm form)
    {
        var margin = form.State("margin", "entire");
        if (margin == "entire")
            return outline;
        var size = form.State("tooth-size", margin is "dentate" or "wavy" or "spiny" ? "coarse" : "medium");
        var count = size switch
        {
            "fine" => 30,
            "coarse" => 10,
            _ => 18,
        };
        if (margin is "spiny" or "wavy")
            count = 6;
        var length = Curves.Length(outline);
        count = Math.Max(4, (int)Math.Round(count * Math.Clamp(length / 1.15, 0.5, 2.2)));
        var height =
            length
            / count
            * (
                margin switch
                {
                    "wavy" => 0.16,
                    "spiny" => 0.42,
                    "crenate" => 0.36,
                    "doubly-serrate" => 0.5,
                    "serrate" or "dentate" => 0.46,
                    // A margin that nobody has drawn yet is left smooth.
                    _ => 0,
                }
            );
        const int perTooth = 14;
        var even = Curves.Even(outline, count * perTooth + 1);
        var (from, to) = Extent(form.State("tooth-extent", "all-round"));
        var cut = new List<Point>(even.Count);
        for (var i = 0; i < even.Count; i++)
        {
            var along = (double)i / (even.Count - 1);
            var phase = (double)(i % perTooth) / perTooth;
            var fade = Math.Min(Math.Clamp((along - 0.03) / 0.05, 0, 1), Math.Clamp((0.99 - along) / 0.05, 0, 1));
            var (before, after) = (even[Math.Max(0, i - 3)], even[Math.Min(even.Count - 1, i + 3)]);
            var (dx, dy) = (after.X - before.X, after.Y - before.Y);
            var run = Math.Max(Math.Sqrt(dx * dx + dy * dy), 1e-9);
            // Walking from base to tip on the right, outward is to the right of the way.
            var (outX, outY) = (dy / run, -dx / run);
            var lift = along >= from && along <= to ? fade * height * Lift(margin, phase) : 0;
            // A saw's teeth lean toward the tip.
            var lean = margin is "serrate" or "doubly-serrate" ? 0.55 * lift : 0;
            cut.Add(new Point(even[i].X + outX * lift + dx / run * lean, even[i].Y + outY * lift + dy / run * lean));
        }
        cut[0] = outline[0];
        cut[^1] = outline[^1];
        return cut;
    }

    private static (double From, double To) Extent(string extent) =>
        extent switch
        {
            "upper-part" => (0.5, 1),
            "base-only" => (0, 0.2),
            "few" => (0.55, 0.85),
            _ => (0, 1),
        };

    private static double Lift(string margin, double phase) =>
        margin switch
        {
            "serrate" => phase < 0.8 ? phase / 0.8 : (1 - phase) / 0.2,
            "doubly-serrate" => (phase < 0.8 ? phase / 0.8 : (1 - phase) / 0.2) * 0.72 + 0.38 * (phase * 3 % 1),
            "dentate" => 1 - Math.Abs(2 * phase - 1),
            "crenate" => Math.Pow(Math.Abs(Math.Sin(Math.PI * phase)), 0.55),
            "spiny" => Math.Pow(Math.Abs(2 * phase - 1), 3) * 1.2,
            "wavy" => Math.Sin(2 * Math.PI * phase),
            _ => 0,
        };
}
