namespace VerdantSieve.Core.Drawing;

/// <summary>Cuts the teeth of a margin into a smooth outline.</summary>
public static class MarginTeeth
{
    // One tooth between two bays: how far along (0 to 1) and how high (0 to 1).
    private static readonly Dictionary<string, (double Along, double High)[]> Teeth = new()
    {
        ["serrate"] = [(0, 0), (0.3, 0.38), (0.62, 0.74), (0.98, 1)],
        ["doubly-serrate"] =
        [
            (0, 0),
            (0.16, 0.3),
            (0.3, 0.46),
            (0.31, 0.24),
            (0.5, 0.56),
            (0.66, 0.76),
            (0.67, 0.52),
            (0.84, 0.82),
            (1.02, 1.02),
        ],
        ["dentate"] = [(0, 0), (0.25, 0.38), (0.5, 1), (0.75, 0.38)],
        ["crenate"] = [(0, 0), (0.06, 0.42), (0.2, 0.78), (0.4, 0.98), (0.6, 0.98), (0.8, 0.78), (0.94, 0.42)],
        ["spiny"] = [(0, 1.1), (0.08, 0.5), (0.22, 0.14), (0.5, 0), (0.78, 0.14), (0.92, 0.5)],
        ["wavy"] = [.. Enumerable.Range(0, 12).Select(i => i / 12.0).Select(t => (t, Math.Sin(2 * Math.PI * t)))],
    };

    /// <summary>The right half of an outline with its teeth.</summary>
    public static IReadOnlyList<Point> Cut(IReadOnlyList<Point> outline, LeafForm form) => Cut(outline, form, out _);

    /// <summary>The same, and where the teeth’s tips are.</summary>
    internal static IReadOnlyList<Point> Cut(IReadOnlyList<Point> outline, LeafForm form, out IReadOnlyList<Point> tips)
    {
        tips = [];
        // A margin that nobody has drawn yet is left smooth.
        if (!Teeth.TryGetValue(form.State("margin", "entire"), out var tooth))
            return outline;
        var margin = form.State("margin", "entire");
        var length = Curves.Length(outline);
        var count = Count(margin, form.State("tooth-size", margin is "dentate" ? "coarse" : "medium"), length);
        var height = length / count * Height(margin);
        var (from, to) = Extent(form.State("tooth-extent", "all-round"));
        var walk = new Walk(outline, length);
        var (cut, found) = (new List<Point>(count * tooth.Length), new List<Point>());
        for (var i = 0; i < count; i++)
        {
            if (
                (i + 0.5) / count is var middle
                && (middle < from || middle > to || (form.State("tooth-extent", "") == "few" && i % 3 != 1))
            )
            {
                walk.Copy(i * length / count, (i + 1) * length / count, cut);
                continue;
            }
            var highest = new Point(0, 0);
            foreach (var (along, high) in tooth)
            {
                var (at, way, bend) = walk.At((i + along) * length / count);
                // Outward is to the right of the way from base to tip. Teeth end where the blade does, and in bays.
                var fade = Math.Clamp((i + along) / count / 0.05 - 0.4, 0, 1) * Math.Clamp((1 - (i + along) / count) / 0.06, 0, 1);
                var lift = Math.Min(height * fade * bend, 0.45 * at.X) * high;
                var point = new Point(at.X + way.Y * lift, at.Y - way.X * lift);
                cut.Add(point);
                if (high >= 0.98)
                    highest = point;
            }
            if (highest.X > 0.02)
                found.Add(highest);
        }
        cut[0] = outline[0];
        cut.Add(outline[^1]);
        tips = found;
        return cut;
    }

    private static int Count(string margin, string size, double length)
    {
        var usual = (margin, size) switch
        {
            ("spiny", _) => 6,
            ("wavy", _) => 6,
            (_, "fine") => 34,
            (_, "coarse") => 12,
            _ => 20,
        };
        return Math.Max(4, (int)Math.Round(usual * Math.Clamp(length / 1.15, 0.5, 2.4)));
    }

    // Of a tooth, over its length along the margin.
    private static double Height(string margin) =>
        margin switch
        {
            "wavy" => 0.09,
            "spiny" => 0.42,
            "crenate" => 0.36,
            "doubly-serrate" => 0.5,
            _ => 0.42,
        };

    private static (double From, double To) Extent(string extent) =>
        extent switch
        {
            "upper-part" => (0.5, 1),
            "base-only" => (0, 0.3),
            "few" => (0.3, 0.92),
            _ => (0, 1),
        };

    // Goes along an outline and knows the way there.
    private sealed class Walk(IReadOnlyList<Point> outline, double length)
    {
        private const int Places = 600;
        private readonly IReadOnlyList<Point> even = Curves.Even(outline, Places + 1);

        // The place, the direction of the way, and how far teeth stand out there: not in bays.
        public (Point At, Point Way, double Bend) At(double far)
        {
            var place = Math.Clamp(far / length, 0, 1) * Places;
            var low = Math.Min((int)place, Places - 1);
            var (before, here, after) = (even[Math.Max(0, low - 9)], even[low], even[Math.Min(Places, low + 9)]);
            var (first, second) = (before.Towards(here), here.Towards(after));
            // Turning right on the way is turning inward: a bay.
            var turn = first.X * second.Y - first.Y * second.X;
            return (here.Toward(even[low + 1], place - low), before.Towards(after), turn < -0.12 ? 0.15 : 1);
        }

        public void Copy(double from, double to, List<Point> into)
        {
            for (var i = (int)(from / length * Places); i < to / length * Places; i += 4)
                into.Add(even[Math.Clamp(i, 0, Places)]);
        }
    }
}
