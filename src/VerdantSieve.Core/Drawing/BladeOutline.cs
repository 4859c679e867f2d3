namespace VerdantSieve.Core.Drawing;

/// <summary>The outline of a blade without its teeth: one generator for every shape, base, tip and lobing.</summary>
public static class BladeOutline
{
    private const int Steps = 48;

    /// <summary>The right half of the outline, from where the stalk joins to the tip.</summary>
    public static IReadOnlyList<Point> RightHalf(LeafForm form)
    {
        var shape = form.State("shape", "elliptic");
        var width = form.WidthOver(UsualWidth(shape)) / 2;
        return form.State("lobing", "unlobed") switch
        {
            "palmate" when shape != "fan" => PalmateLobes(form, width),
            "palmate" => Fan(width, split: true, "rounded"),
            "pinnate" => PinnateLobes(form, Plain(form, shape, width)),
            "one-sided" => PinnateLobes(form, Plain(form, shape, width)),
            _ => Plain(form, shape, width),
        };
    }

    /// <summary>The width over the length that a shape has where nothing else is known.</summary>
    /// <remarks>Ratios of the shape classes in Ellis et al. 2009, Manual of Leaf Architecture.</remarks>
    private static double UsualWidth(string shape) =>
        shape switch
        {
            "linear" => 0.08,
            "lanceolate" => 0.27,
            "oblanceolate" => 0.3,
            "oblong" => 0.4,
            "spatulate" => 0.34,
            "elliptic" => 0.5,
            "ovate" or "obovate" => 0.62,
            "diamond" => 0.7,
            "triangular" => 0.8,
            "heart" => 0.85,
            "round" => 0.98,
            "kidney" => 1.3,
            "fan" => 1.25,
            "cross" or "saddle" => 0.95,
            _ => 0.5,
        };

    private static IReadOnlyList<Point> Plain(LeafForm form, string shape, double width) =>
        shape switch
        {
            "fan" => Fan(width, split: form.State("apex", "") == "notched", form.State("apex", "rounded")),
            "cross" => Softened(width, (0, 0), (.34, .03), (.42, .2), (.36, .33), (1, .5), (.95, .72), (.45, .66), (.42, .95), (0, 1)),
            "saddle" => Softened(width, (0, 0), (.45, .03), (.95, .22), (1, .34), (.72, .5), (.9, .8), (.82, .95), (.4, .92), (0, .84)),
            _ => Profile(form, shape, width),
        };

    // How far up the blade the widest place is, and the usual base and tip of each shape.
    private static (double Widest, string Base, string Apex) Habit(string shape) =>
        shape switch
        {
            "ovate" => (0.32, "rounded", "acute"),
            "lanceolate" => (0.32, "wedge", "acute"),
            "obovate" => (0.68, "wedge", "obtuse"),
            "oblanceolate" => (0.7, "wedge", "acute"),
            "spatulate" => (0.78, "tapered", "rounded"),
            "heart" => (0.27, "heart", "acute"),
            "kidney" => (0.42, "heart", "rounded"),
            "triangular" => (0.1, "truncate", "acute"),
            "diamond" => (0.45, "wedge", "acute"),
            "round" => (0.5, "rounded", "rounded"),
            _ => (0.5, "rounded", "acute"),
        };

    private static IReadOnlyList<Point> Profile(LeafForm form, string shape, double width)
    {
        var (widest, usualBase, usualApex) = Habit(shape);
        var foot = form.State("base", usualBase);
        var tip = form.State("apex", usualApex);
        var flat = shape is "oblong" or "linear" ? 0.3 : 0;
        var points = new List<Point>();
        if (foot is "heart" or "truncate")
            for (var i = 0; i < 10; i++)
                points.Add(new Point(width * FootWidth(shape) * i / 10, 0));
        for (var i = 0; i <= Steps; i++)
        {
            // Closer together at both ends, where the outline bends most.
            var u = (1 - Math.Cos(Math.PI * i / Steps)) / 2;
            double x;
            if (u < widest - flat)
                x = FootProfile(foot, shape, (widest - flat - u) / (widest - flat));
            else if (u <= widest + flat)
                x = 1;
            else
                x = TipProfile(tip, shape, (u - widest - flat) / (1 - widest - flat));
            points.Add(new Point(width * x, u));
        }
        if (foot == "heart")
            points = [.. points.Select(p => p with { Y = p.Y - HeartDrop(p, width, shape) })];
        if (tip == "notched")
            points =
            [
                .. points.Select(p => p with { Y = p.Y - 0.09 * Math.Exp(-Math.Pow(p.X / (width * 0.22), 2)) * (p.Y > 0.7 ? 1 : 0) }),
            ];
        if (tip == "abrupt-tip")
            points.AddRange([new Point(width * 0.05, 1.0), new Point(0, 1.07)]);
        points[0] = new Point(0, points[0].X == 0 ? points[0].Y : 0);
        points[^1] = points[^1] with { X = 0 };
        return points;
    }

    private static double FootWidth(string shape) =>
        shape switch
        {
            "triangular" => 0.86,
            "kidney" or "heart" or "round" => 0.72,
            _ => 0.6,
        };

    // t is 1 where the stalk joins and 0 at the widest place; the result is a part of the greatest half-width.
    private static double FootProfile(string foot, string shape, double t) =>
        foot switch
        {
            "wedge" => shape == "diamond" ? 1 - t : 1 - Math.Pow(t, 1.5),
            "tapered" => Math.Pow(1 - t, 1.9) * (1 + 1.2 * t),
            "truncate" or "heart" => FootWidth(shape) + (1 - FootWidth(shape)) * Math.Sqrt(1 - t * t),
            _ => Math.Sqrt(1 - t * t),
        };

    // t is 0 at the widest place and 1 at the tip.
    private static double TipProfile(string tip, string shape, double t) =>
        tip switch
        {
            "acuminate" => Math.Max(Math.Pow(1 - t, 0.95) * (1 - 0.75 * Math.Pow(t, 1.1)) + 0.12 * t * (1 - t), 0.028 * (1 - t) / 0.2),
            "obtuse" => Math.Pow(1 - Math.Pow(t, 2), 0.72),
            "rounded" or "notched" or "abrupt-tip" => Math.Sqrt(1 - t * t),
            "truncate" => t < 0.72 ? Math.Sqrt(1 - 0.25 * t * t) : Math.Sqrt(1 - 0.25 * 0.52) * (1 - Math.Pow((t - 0.72) / 0.28, 6)),
            _ => shape is "triangular" or "diamond" ? 1 - t : 1 - Math.Pow(t, 1.65),
        };

    private static double HeartDrop(Point p, double width, string shape)
    {
        var depth = shape is "heart" or "kidney" ? 0.17 : 0.11;
        var near = Math.Clamp(1 - p.Y / 0.34, 0, 1);
        return depth * near * Math.Sin(Math.PI * Math.Clamp(p.X / (width * 1.02), 0, 1));
    }

    private static IReadOnlyList<Point> Fan(double width, bool split, string edge)
    {
        // A sector from the stalk; the upper edge is an arc, cut in the middle where split.
        var spread = Math.Atan2(width, 0.62);
        var arc = Enumerable
            .Range(0, 25)
            .Select(i => i / 24.0)
            .Select(t =>
            {
                var angle = spread * (1 - t);
                var radius = edge == "truncate" ? 0.94 / Math.Max(Math.Cos(angle), 0.55) : 0.95 + 0.05 * t;
                if (split)
                    radius -= 0.4 * Math.Exp(-Math.Pow(angle / 0.09, 2));
                return new Point(radius * Math.Sin(angle), radius * Math.Cos(angle));
            })
            .ToArray();
        return
        [
            .. Curves.Bend(new Point(0, 0), new Point(arc[0].X * 0.35, arc[0].Y * 0.55), arc[0]),
            .. arc.Skip(1).SkipLast(1),
            arc[^1] with
            {
                X = 0,
            },
        ];
    }

    // Corners rounded off twice (Chaikin's way), then scaled to the half-width.
    private static IReadOnlyList<Point> Softened(double width, params (double X, double Y)[] corners)
    {
        IReadOnlyList<Point> line = [.. corners.Select(p => new Point(p.X * width, p.Y))];
        for (var round = 0; round < 2; round++)
            line =
            [
                line[0],
                .. line.Zip(line.Skip(1))
                    .SelectMany(pair => new[] { pair.First.Toward(pair.Second, 0.25), pair.First.Toward(pair.Second, 0.75) }),
                line[^1],
            ];
        return line;
    }

    private static double Depth(LeafForm form) =>
        form.State("lobe-depth", "medium") switch
        {
            "shallow" => 0.24,
            "deep" => 0.66,
            _ => 0.44,
        };

    private static IReadOnlyList<Point> PinnateLobes(LeafForm form, IReadOnlyList<Point> outline)
    {
        var pairs = Math.Clamp((int)Math.Round((form.Number("lobe-count", 7) - 1) / 2), 1, 6);
        var (depth, tip) = (Depth(form), form.State("lobe-tip", "rounded"));
        var upper = form.State("lobe-balance", "even") == "upper-largest" ? 0.75 : 1.0;
        var even = Curves.Even(outline, 40 * pairs + 60);
        var lobed = new List<Point>(even.Count);
        foreach (var p in even)
        {
            // Sinuses lie between the lobes; the topmost lobe is the leaf's own tip.
            var along = Math.Pow(Math.Clamp(p.Y, 0, 1), 1 / upper) * (pairs + 0.55) + 0.12;
            var phase = along - Math.Floor(along);
            var cut = tip == "rounded" ? Math.Pow((1 + Math.Cos(2 * Math.PI * phase)) / 2, 2.2) : Pointed(phase);
            if (along < 0.35 || along > pairs + 0.5)
                cut *= tip == "rounded" ? 0.25 : 0.4;
            var narrowed = p.X * (1 - depth * Math.Clamp(cut, 0, 1));
            lobed.Add(new Point(narrowed, p.Y + 0.10 * (p.X - 0.5 * (p.X - narrowed)) * (1 - p.Y)));
        }
        lobed[^1] = even[^1];
        return tip == "bristle" ? Bristled(lobed, 0.035) : lobed;
    }

    private static IReadOnlyList<Point> PalmateLobes(LeafForm form, double width)
    {
        // An odd number: one lobe stands in the middle.
        var count = Math.Clamp((int)Math.Round(form.Number("lobe-count", 5)), 3, 11) | 1;
        var (depth, tip) = (0.85 * Depth(form), form.State("lobe-tip", "pointed"));
        var heart = form.State("base", "heart") == "heart";
        var spread =
            (
                count switch
                {
                    3 => 58,
                    5 => heart ? 112 : 98,
                    7 => heart ? 128 : 110,
                    _ => heart ? 136 : 118,
                }
            )
            * Math.PI
            / 180;
        var step = 2 * spread / (count - 1);
        var shrink = form.State("lobe-balance", "even") == "middle-longest" ? 0.36 : 0.2;
        const double foot = 0.1;
        const int steps = 9;
        double Reach(double angle) => 0.94 * (1 - shrink * Math.Pow(angle / 2.4, 1.2));
        Point At(double angle, double radius) => new(radius * Math.Sin(angle), foot + radius * Math.Cos(angle));

        var points = new List<Point> { new(0, 0) };
        var lowest = Reach(spread);
        for (var i = steps - 1; i > 0; i--)
        {
            var t = (double)i / steps;
            points.Add(
                heart || count == 3
                    ? At(spread + (Math.PI - spread) * t, foot + (lowest - foot) * Math.Pow(1 - t, heart ? 1.25 : 1.9))
                    : At(spread, lowest).Toward(new Point(0, 0), t)
            );
        }
        for (var lobe = count / 2; lobe >= 0; lobe--)
        {
            var (angle, reach) = (lobe * step, Reach(lobe * step));
            points.Add(At(angle, reach));
            if (lobe == 0)
                break;
            var bay = Math.Min(reach, Reach(angle - step)) * (1 - depth);
            for (var i = 1; i < steps; i++)
                points.Add(At(angle - step / 2 * i / steps, bay + (reach - bay) * Side((double)i / steps)));
            points.Add(At(angle - step / 2, bay));
            var next = Reach(angle - step);
            for (var i = steps - 1; i > 0; i--)
                points.Add(At(angle - step + step / 2 * i / steps, bay + (next - bay) * Side((double)i / steps)));
        }
        var stretch = Math.Clamp(width / points.Max(p => p.X), 0.55, 1.35);
        points = [.. points.Select(p => p with { X = p.X * stretch })];
        points[^1] = points[^1] with { X = 0 };
        return tip == "bristle" ? Bristled(points, 0.04) : points;

        // How far out a lobe's side still is, from its tip (0) to the bay (1): round lobes stay out, pointed ones fall off at once.
        double Side(double t) => tip == "rounded" ? 1 - Math.Pow(t, 2.6) : Math.Pow(1 - t, 0.8);
    }

    private static IReadOnlyList<Point> Bristled(IReadOnlyList<Point> points, double length)
    {
        var result = new List<Point>(points.Count + 24);
        for (var i = 0; i < points.Count; i++)
        {
            var p = points[i];
            result.Add(p);
            if (i < 2 || i > points.Count - 3)
                continue;
            // A tip is where the outline is farthest from the midrib's middle among its neighbours.
            var (before, after) = (Out(points[i - 2]), Out(points[i + 2]));
            if (Out(p) <= before || Out(p) < after || Out(points[i - 1]) > Out(p) || Out(points[i + 1]) > Out(p) || p.X < 0.05)
                continue;
            var reach = Math.Max(Out(p), 0.1);
            result.Add(new Point(p.X + length * p.X / reach, p.Y + length * (p.Y - 0.3) / reach));
            result.Add(p with { Y = p.Y + 0.004 });
        }
        result.Add(new Point(0, result[^1].Y + length));
        return result;

        static double Out(Point p) => Math.Sqrt(p.X * p.X + (p.Y - 0.3) * (p.Y - 0.3));
    }

    // How deep the sinus is beside a pointed lobe, which leans towards the tip.
    private static double Pointed(double phase) => phase < 0.72 ? 1 - Math.Pow(phase / 0.72, 0.9) : (phase - 0.72) / 0.28;
}
