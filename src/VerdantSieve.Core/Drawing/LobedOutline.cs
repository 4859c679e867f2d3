namespace VerdantSieve.Core.Drawing;

/// <summary>Lobes about a midrib or spread from the stalk. Each lobe has an axis, a tip and two sides that meet its neighbours’ in
/// bays.</summary>
internal static class LobedOutline
{
    private const int SideSteps = 24;
    private const double BristleLength = 0.035;

    /// <summary>Lobes along the midrib, within an outline.</summary>
    public static BladeSide Pinnate(LeafForm form, IReadOnlyList<Point> within, Variation vary)
    {
        var style = new Style(form);
        var pairs = Math.Clamp((int)Math.Round((form.Number("lobe-count", 7) - 1) / 2), 1, 9);
        var balance = form.State("lobe-balance", "even");
        // A few lobes at the upper end stand above a wedge, and the one in the middle is no narrower than they are.
        var few = style.HasFewAbove;
        var low = (few, balance) switch
        {
            (true, "upper-largest") => 0.44,
            (true, _) => 0.32,
            (false, _) => 0.2,
        };
        var span = few ? 0.64 : 0.72;
        var lobes = new List<Lobe>();
        for (var i = 0; i < pairs; i++)
        {
            var part = (i + 0.5) / (pairs + 0.35);
            var height = low + span * part + vary.Off(0.012);
            var reach = Curves.WidestAt(within, height) * vary.By(0.06);
            if (balance == "upper-largest" && i < pairs - 2)
                reach *= 0.45 + 0.4 * (i + 1) / pairs;
            // Lobes ascend: their axes leave the midrib below their tips.
            var foot = Math.Max(height - (style.IsRounded ? 0.62 : 0.8) * reach, 0.05 + 0.6 * height * i / pairs);
            lobes.Add(new Lobe(new Point(0, foot), new Point(Math.Max(reach, 0.04), height)));
        }
        var top = lobes[^1].Foot.Y;
        lobes.Add(new Lobe(new Point(0, Math.Min(0.9, top + 0.8 * (1 - top) / (pairs + 1))), new Point(0, 1)));
        return Outline(
            lobes,
            style,
            // Bays are shallower below the topmost lobe, which else would hang by a thread.
            (index, lower, upper) => BayOf(lower, upper, style.Depth * Share(index))
        );

        double Share(int index)
        {
            if (index == pairs - 1)
                return few ? 0.5 : 0.75;
            return balance == "upper-largest" && index < pairs - 2 ? 0.75 : 1;
        }
    }

    /// <summary>Lobes spread from where the stalk joins.</summary>
    public static BladeSide Palmate(LeafForm form, double width, Variation vary)
    {
        var style = new Style(form);
        // An odd number: one lobe stands in the middle.
        var count = Math.Clamp((int)Math.Round(form.Number("lobe-count", 5)), 3, 11) | 1;
        var side = count / 2;
        var spread = Spread(count, form.State("base", "heart"));
        var balance = form.State("lobe-balance", "even");
        var shrink = (balance, side) switch
        {
            ("middle-longest", 1) => 0.36,
            ("middle-longest", _) => 0.46,
            (_, 1) => 0.16,
            (_, _) => 0.4,
        };
        var lobes = new List<Lobe>();
        for (var i = side; i >= 0; i--)
        {
            var part = (double)i / side;
            var reach = 1 - shrink * Math.Pow(part, balance == "middle-longest" ? 0.8 : 1.5);
            if (balance == "lowest-uneven" && i == side)
                reach *= 0.6;
            var turn = i == 0 ? 0 : spread * Math.Pow(part, 0.94) + vary.Off(2);
            lobes.Add(new Lobe(new Point(0, 0), new Point(0, 0).Along(Point.Direction(turn), i == 0 ? 1 : reach * vary.By(0.04))));
        }
        var drawn = Outline(lobes, style, (_, low, high) => BayOf(low, high, style.Depth));
        var stretch = Math.Clamp(width / drawn.Line.Max(p => p.X), 0.62, 1.3);
        Point Wide(Point p) => p with { X = p.X * stretch };
        return new BladeSide([.. drawn.Line.Select(Wide)])
        {
            Tips = [.. drawn.Tips.Select(Wide)],
            Bristles = [.. drawn.Bristles.Select(bristle => (Wide(bristle.At), bristle.Direction))],
        };
    }

    // Degrees from the middle to the lowest lobe.
    private static double Spread(int count, string foot) =>
        (foot, count) switch
        {
            ("heart", 3) => 60,
            ("heart", 5) => 114,
            ("heart", 7) => 134,
            ("heart", _) => 152,
            ("wedge" or "tapered", 3) => 40,
            ("wedge" or "tapered", 5) => 74,
            ("wedge" or "tapered", _) => 92,
            (_, 3) => 54,
            (_, 5) => 94,
            (_, 7) => 108,
            _ => 124,
        };

    private sealed class Style(LeafForm form)
    {
        public double Depth { get; } =
            form.State("lobe-depth", "medium") switch
            {
                "shallow" => 0.22,
                "deep" => form.State("lobing", "") == "palmate" ? 0.62 : 0.7,
                _ => 0.43,
            };

        public bool IsRounded { get; } = form.State("lobe-tip", form.State("lobing", "") == "palmate" ? "pointed" : "rounded") == "rounded";
        public bool IsPinnate { get; } = form.State("lobing", "") != "palmate";

        // Of the distance between two tips. Round lobes part in round bays; pointed ones in narrow ones, the narrower where they are spread
        // from one point.
        public double BayWidth =>
            (IsRounded, IsPinnate) switch
            {
                (true, _) => 0.085,
                (false, true) => 0.1,
                (false, false) => 0.05,
            };

        // As a hawthorn's and a blackjack oak's: the leaf is widest where they stand.
        public bool HasFewAbove { get; } =
            form.Number("lobe-count", 7) <= 5
            && (form.State("shape", "") == "obovate" || form.State("lobe-balance", "even") == "upper-largest");

        public bool IsBristled { get; } = form.State("lobe-tip", "") == "bristle";
        public bool IsLobedAgain { get; } = form.Shows("lobes-again-lobed");
    }

    // A lobe’s axis: from where it leaves the midrib, or the stalk, to its tip.
    private readonly record struct Lobe(Point Foot, Point Tip)
    {
        public Point Axis => Foot.Towards(Tip);
    }

    // How deep the bay between two lobes is cut, towards the middle between their feet.
    private static Point BayOf(Lobe low, Lobe high, double depth)
    {
        var foot = low.Foot.Toward(high.Foot, 0.5);
        // Between lobes spread from one point the bay lies as far out as the shorter of them allows.
        var turned = foot == low.Foot;
        var middle = low.Tip.Toward(high.Tip, 0.5);
        if (turned)
        {
            var direction = foot.Towards(middle);
            middle = foot.Along(direction, Math.Min(low.Foot.To(low.Tip), high.Foot.To(high.Tip)));
        }
        return foot.Toward(middle, 1 - depth);
    }

    private static BladeSide Outline(IReadOnlyList<Lobe> lobes, Style style, Func<int, Lobe, Lobe, Point> bay)
    {
        var parts = new List<IReadOnlyList<Point>> { FirstSide(lobes[0], style) };
        var bristles = new List<(Point, Point)>();
        for (var i = 0; i < lobes.Count - 1; i++)
        {
            var (low, high) = (lobes[i], lobes[i + 1]);
            var middle = bay(i, low, high);
            var across = low.Tip.Towards(high.Tip);
            var room = Math.Min(style.BayWidth * low.Tip.To(high.Tip), 0.5 * Math.Min(middle.To(low.Tip), middle.To(high.Tip)));
            var (below, above) = (middle.Along(across, -room), middle.Along(across, room));
            below = below with { X = Math.Max(below.X, 0.012) };
            above = above with { X = Math.Max(above.X, 0.012) };
            var outward = new Point((low.Axis.X + high.Axis.X) / 2, (low.Axis.Y + high.Axis.Y) / 2);
            var deep = middle.Along(outward, -0.9 * room);
            deep = deep with { X = Math.Max(deep.X, 0.008) };
            parts.Add([.. Side(low, below, style, bristles).Reverse()]);
            parts.Add(Curves.Bend(below, deep, above, 6));
            parts.Add(Side(high, above, style, bristles));
        }
        var line = Curves.Joined(parts);
        if (style.IsBristled)
            bristles.AddRange(lobes.Select(lobe => (lobe.Tip, lobe.Axis)));
        return new BladeSide(line) { Tips = [.. lobes.SkipLast(1).Select(lobe => lobe.Tip)], Bristles = bristles };
    }

    // The side of a lobe from a bay to its tip.
    private static IReadOnlyList<Point> Side(Lobe lobe, Point from, Style style, List<(Point, Point)> bristles)
    {
        var (tip, axis) = (lobe.Tip, lobe.Axis);
        var far = (tip.X - from.X) * axis.X + (tip.Y - from.Y) * axis.Y;
        var beside = new Point(from.X - tip.X + far * axis.X, from.Y - tip.Y + far * axis.Y);
        Point Off(Point at, double along, double aside) =>
            new(at.X + axis.X * along + beside.X * aside, at.Y + axis.Y * along + beside.Y * aside);
        var line = style.IsRounded
            ? Curves.Cubic(from, Off(from, 0.6 * far, 0.22), Off(tip, 0, 1.05), tip, SideSteps)
            : Curves.Cubic(
                from,
                Off(from, 0.42 * far, style.IsPinnate ? 0 : 0.16),
                Off(tip, -0.36 * far, style.IsPinnate ? 0.32 : 0.42),
                tip,
                SideSteps
            );
        return style.IsLobedAgain && far > 0.12 ? Again(line, axis, beside, far, style, bristles) : line;
    }

    // A lobe’s side with a smaller lobe on it, that points on along the side.
    private static IReadOnlyList<Point> Again(
        IReadOnlyList<Point> line,
        Point axis,
        Point beside,
        double far,
        Style style,
        List<(Point, Point)> bristles
    )
    {
        const int from = 9,
            top = 15,
            to = 18;
        var width = Math.Sqrt(beside.X * beside.X + beside.Y * beside.Y);
        if (width < 0.015)
            return line;
        var aside = new Point(beside.X / width, beside.Y / width);
        var height = Math.Min(0.5 * width, 0.22 * far);
        var points = line.ToArray();
        for (var i = from + 1; i < to; i++)
        {
            var rise = i <= top ? (double)(i - from) / (top - from) : (double)(to - i) / (to - top);
            if (style.IsRounded)
                rise = Math.Sin(rise * Math.PI / 2);
            points[i] = new Point(
                points[i].X + (aside.X * 0.7 + axis.X * 0.7) * height * rise,
                points[i].Y + (aside.Y * 0.7 + axis.Y * 0.7) * height * rise
            );
        }
        points = [.. points.Select(p => p with { X = Math.Max(p.X, 0) })];
        if (style.IsBristled)
            bristles.Add((points[top], new Point(0, 0).Towards(new Point(0.6 * aside.X + axis.X, 0.6 * aside.Y + axis.Y))));
        return points;
    }

    // From the stalk to the tip of the lowest lobe.
    private static IReadOnlyList<Point> FirstSide(Lobe lobe, Style style)
    {
        var (stalk, tip, axis) = (new Point(0, 0), lobe.Tip, lobe.Axis);
        var far = stalk.To(tip);
        // Outward and down: a quarter turn on from the axis.
        var beside = new Point(axis.Y, -axis.X);
        var turn = Math.Atan2(axis.X, axis.Y) * 180 / Math.PI;
        if (lobe.Foot.Y > 1e-9)
        {
            // A wedge, hollow below the first lobe.
            var leave = new Point(0.16 * tip.X, 0.55 * lobe.Foot.Y);
            return Curves.Joined(
                Curves.Cubic(
                    stalk,
                    leave,
                    style.IsRounded ? tip.Along(beside, 0.16 * far) : tip.Along(axis, -0.3 * far).Along(beside, 0.06 * far),
                    tip,
                    SideSteps
                )
            );
        }
        var leaving = Point.Direction(Math.Min(turn + 42, 150));
        return Curves.Cubic(
            stalk,
            stalk.Along(leaving, 0.5 * far),
            style.IsRounded ? tip.Along(beside, 0.34 * far) : tip.Along(axis, -0.36 * far).Along(beside, 0.16 * far),
            tip,
            SideSteps
        );
    }

    /// <summary>The line of a bristle.</summary>
    public static Stroke Bristle((Point At, Point Direction) bristle) =>
        Stroke.Line(StrokeKind.Hair, bristle.At, bristle.At.Along(bristle.Direction, BristleLength));
}
