namespace VerdantSieve.Core.Drawing;

/// <summary>Draws the states of a character, from the generator that draws every leaf.</summary>
public static class StateDrawings
{
    private static readonly HashSet<string> BladeCharacters =
        ["shape", "apex", "base", "lobing", "lobe-depth", "lobe-tip", "margin", "tooth-size", "tooth-extent", "venation", "lobe-balance"];

    private static readonly HashSet<string> LeafCharacters = ["structure", "terminal-leaflet", "side-leaflet-stalk", "end-leaflet-size"];

    /// <summary>The drawing of a state, or null where words must do.</summary>
    public static Drawing? Of(string character, string state)
    {
        if (BladeCharacters.Contains(character)) return LeafDrawing.Blade(Blade(character, state), veins: character is "venation" or "lobing" or "shape");
        if (LeafCharacters.Contains(character)) return LeafDrawing.Of(Leaf(character, state));
        return character switch
        {
            "arrangement" => ShootDrawing.Arranged(state, LeafDrawing.Blade(LeafForm.With(("shape", "elliptic")), veins: false), 0.95),
            "needle-grouping" => ShootDrawing.Grouped(state, 3),
            "foliage" => Foliage(state),
            "samara-angle" => Samara(state switch { "narrow" => 24, "right-angle" => 52, _ => 84 }),
            "acorn-cup" => Acorn(state switch { "under-quarter" => 0.2, "quarter-to-half" => 0.4, "half-to-most" => 0.65, _ => 0.9 }),
            "cone-shape" => Cone(state),
            "needle-tip" => NeedleTip(state),
            _ => null
        };
    }

    /// <summary>Whether a character's states are drawn.</summary>
    public static bool Draws(string character) =>
        BladeCharacters.Contains(character) || LeafCharacters.Contains(character)
        || character is "arrangement" or "needle-grouping" or "foliage" or "samara-angle" or "acorn-cup" or "cone-shape" or "needle-tip";

    // The other features are chosen so that the one asked for stands out.
    private static LeafForm Blade(string character, string state) => character switch
    {
        "apex" => LeafForm.With(("shape", state is "truncate" or "notched" ? "obovate" : "elliptic"), ("base", "rounded"), ("apex", state)),
        "base" => LeafForm.With(("shape", "ovate"), ("apex", "acute"), ("base", state)),
        "lobing" when state == "palmate" => LeafForm.With(("lobing", state), ("shape", "round")),
        "lobing" when state == "one-sided" => LeafForm.With(("lobing", "pinnate"), ("shape", "ovate"), ("lobe-depth", "shallow"), ("lobe-tip", "rounded")),
        "lobing" => LeafForm.With(("lobing", state), ("shape", "obovate"), ("lobe-tip", "rounded")),
        "lobe-depth" or "lobe-tip" => LeafForm.With(("lobing", "pinnate"), ("shape", "elliptic"), (character, state), ("lobe-tip", character == "lobe-tip" ? state : "rounded")),
        "lobe-balance" => LeafForm.With(("lobing", state == "middle-longest" ? "palmate" : "pinnate"), ("shape", "obovate"), (character, state)),
        "margin" => LeafForm.With(("shape", "ovate"), ("margin", state), ("tooth-size", "coarse")),
        "tooth-size" => LeafForm.With(("shape", "ovate"), ("margin", "serrate"), ("tooth-size", state)),
        "tooth-extent" => LeafForm.With(("shape", "ovate"), ("margin", "serrate"), ("tooth-extent", state), ("tooth-size", "medium")),
        "venation" => LeafForm.With(("shape", state == "fan" ? "fan" : state is "palmate" or "three-from-base" ? "heart" : "elliptic"), ("venation", state)),
        _ => LeafForm.With((character, state), ("venation", "midrib-only"))
    };

    private static LeafForm Leaf(string character, string state) => character switch
    {
        "structure" => LeafForm.With((character, state), ("shape", "elliptic")),
        "terminal-leaflet" when state == "absent" => LeafForm.With(("structure", "even-pinnate"), ("shape", "elliptic")),
        "terminal-leaflet" => LeafForm.With(("structure", "trifoliate"), ("shape", "ovate"), (character, state)),
        _ => LeafForm.With(("structure", "odd-pinnate"), ("shape", "elliptic"), (character, state))
    };

    private static Drawing Foliage(string state) => state switch
    {
        "broad" => LeafDrawing.Of(LeafForm.With(("shape", "ovate"), ("venation", "pinnate-straight"))),
        "scale" => ShootDrawing.Grouped("opposite-scales", 0),
        "awl" => new Drawing([Stroke.Line(StrokeKind.Twig, new Point(0, -0.1), new Point(0, 2.2)), .. Enumerable.Range(0, 20).Select(i =>
        {
            var (y, side) = (0.1 + i * 0.1, i % 2 == 0 ? 1 : -1);
            return new Stroke(StrokeKind.Blade, [new Point(side * 0.03, y), new Point(side * 0.24, y + 0.3), new Point(side * 0.02, y + 0.16)], true);
        })]),
        _ => ShootDrawing.Grouped("single-spiral", 0)
    };

    private static Drawing Samara(double angle)
    {
        var wing = new Stroke(StrokeKind.Blade, [new(0, 0), .. Curves.Bend(new Point(0.10, -0.02), new Point(0.3, 0.75), new Point(0.14, 1.15)), .. Curves.Bend(new Point(0.05, 1.18), new Point(-0.12, 0.7), new Point(-0.05, 0.05))], true);
        var nut = new Stroke(StrokeKind.Body, Curves.Circle(new Point(0.0, 0.06), 0.12, 1.2), true);
        Drawing half = new([wing, nut]);
        return Drawing.Of(new Drawing([Stroke.Line(StrokeKind.Stalk, new Point(0, 0.55), new Point(0, 0))]),
            half.Placed(new Placement(new Point(0.06, 0), 180 - angle, 1, true)), half.Placed(new Placement(new Point(-0.06, 0), 180 + angle, 1)));
    }

    private static Drawing NeedleTip(string state)
    {
        Point[] right = state switch
        {
            "notched" => [new(0.16, 0), new(0.16, 0.86), new(0.12, 0.97), new(0.06, 0.99), new(0, 0.9)],
            "blunt" => [new(0.16, 0), new(0.16, 0.84), new(0.12, 0.95), new(0.05, 0.995), new(0, 1)],
            "pointed" => [new(0.16, 0), new(0.15, 0.62), new(0.09, 0.85), new(0, 1)],
            _ => [new(0.13, 0), new(0.12, 0.5), new(0.04, 0.84), new(0.008, 0.95), new(0, 1.06)]
        };
        return new Drawing([new Stroke(StrokeKind.Blade, [.. right, .. right.Reverse().Skip(1).Select(p => p.Mirrored)], true),
            Stroke.Line(StrokeKind.Vein, new Point(0, 0), new Point(0, 0.8))]);
    }

    private static Drawing Acorn(double covered)
    {
        var nut = new Stroke(StrokeKind.Blade, [.. Curves.Circle(new Point(0, 0.5), 0.36, 1.4, 28)], true);
        // The cup is the upper part of a somewhat larger oval, cut off level.
        var (radius, flatten) = (0.42, 1.32);
        var end = Math.Acos(Math.Clamp((1.02 - covered - 0.52) / (radius * flatten), -1, 1));
        var cup = new Stroke(StrokeKind.Body, [.. Enumerable.Range(0, 31).Select(i => end * (i - 15) / 15)
            .Select(a => new Point(radius * Math.Sin(a), 0.52 + radius * flatten * Math.Cos(a)))], true);
        return new Drawing([nut, cup, Stroke.Line(StrokeKind.Stalk, new Point(0, 1.07), new Point(0, 1.25))]);
    }

    private static Drawing Cone(string state)
    {
        var (width, height) = state switch { "globe" => (0.5, 0.5), "cylinder" => (0.3, 0.95), _ => (0.42, 0.68) };
        Point[] body = [.. Enumerable.Range(0, 40).Select(i => i * Math.PI / 20).Select(a =>
        {
            var x = width * Math.Sin(a);
            var y = height * Math.Cos(a);
            if (state == "egg") x *= 1 + 0.28 * -y / height;
            if (state == "cylinder") x = width * Math.Sign(Math.Sin(a)) * Math.Pow(Math.Abs(Math.Sin(a)), 0.5);
            return new Point(x, y);
        })];
        var rows = (int)Math.Round(height * 8);
        var scales = Enumerable.Range(1, rows - 1).Select(i => -height + 2 * height * i / rows).SelectMany(y =>
        {
            var half = width * 0.86 * Math.Sqrt(Math.Max(0, 1 - y * y / (height * height)));
            return new[] { new Stroke(StrokeKind.Vein, Curves.Bend(new Point(-half, y), new Point(-half / 2, y - 0.12), new Point(0, y))), new Stroke(StrokeKind.Vein, Curves.Bend(new Point(0, y), new Point(half / 2, y - 0.12), new Point(half, y))) };
        });
        return new Drawing([new Stroke(StrokeKind.Body, body, true), .. scales]);
    }
}
