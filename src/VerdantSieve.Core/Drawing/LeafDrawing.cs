namespace VerdantSieve.Core.Drawing;

/// <summary>Draws one leaf, simple or compound, with its stalk. The stalk starts at (0, 0).</summary>
public static class LeafDrawing
{
    /// <summary>The leaf of a form.</summary>
    public static Drawing Of(LeafForm form) => Of(form, Variation.None);

    /// <summary>One leaf of a form, as it varies.</summary>
    public static Drawing Of(LeafForm form, Variation vary) =>
        form.State("structure", "simple") switch
        {
            "trifoliate" => CompoundLeaf.Trifoliate(form, vary),
            "palmate" => CompoundLeaf.Palmate(form, vary),
            "odd-pinnate" => CompoundLeaf.Pinnate(form, endLeaflet: true, vary),
            "even-pinnate" => CompoundLeaf.Pinnate(form, endLeaflet: false, vary),
            "bipinnate" => CompoundLeaf.Bipinnate(form, vary),
            _ => Simple(form, vary),
        };

    /// <summary>A blade alone, its stalk joining at (0, 0).</summary>
    public static Drawing Blade(LeafForm form, bool veins = true) => Blade(form, Variation.None, veins);

    /// <summary>A blade alone, as it varies.</summary>
    public static Drawing Blade(LeafForm form, Variation vary, bool veins = true)
    {
        var (rightForm, leftForm) = Halves(form);
        var right = Half(rightForm, vary);
        // Without variation and unlike halves the one is the other mirrored.
        var left = rightForm == leftForm && vary.IsNone ? right : Half(leftForm, vary);
        var unequal = form.State("base", "") == "unequal";
        var bend = (form.State("blade-curve", "") == "sickle" ? 0.34 : 0) + vary.Off(0.025);
        Point Left(Point p) => Bent(unequal ? new Point(-0.84 * p.X, p.Y + 0.09 * Math.Pow(1 - Math.Clamp(p.Y, 0, 1), 3)) : p.Mirrored);
        Point Right(Point p) => Bent(unequal ? new Point(1.06 * p.X, p.Y - 0.04 * Math.Pow(1 - Math.Clamp(p.Y, 0, 1), 4)) : p);
        Point Bent(Point p) => bend == 0 ? p : new Point(p.X + bend * p.Y * (1 - p.Y) * (p.Y > 0 ? 1 : 0), p.Y);

        var tint = Tints.Of(form.State("leaf-colour", ""));
        var strokes = new List<Stroke>
        {
            new(StrokeKind.Blade, Curves.Joined(right.Cut.Select(Right).ToArray(), left.Cut.Reverse().Select(Left).ToArray()), Closed: true)
            {
                Tint = tint is Tint.Green ? null : tint,
            },
        };
        if (veins)
        {
            var tip = right.Side.Line[^1];
            strokes.Add(Stroke.Line(StrokeKind.Vein, Midrib(tip, form).Select(Bent).ToArray()));
            strokes.AddRange(
                Veins.Of(rightForm, right.Side, right.Teeth).Select(vein => Stroke.Line(StrokeKind.Vein, vein.Select(Right).ToArray()))
            );
            strokes.AddRange(
                Veins.Of(leftForm, left.Side, left.Teeth).Select(vein => Stroke.Line(StrokeKind.Vein, vein.Select(Left).ToArray()))
            );
        }
        foreach (var bristle in right.Side.Bristles)
            strokes.Add(LobedOutline.Bristle((Right(bristle.At), bristle.Direction)));
        foreach (var bristle in left.Side.Bristles.Where(bristle => bristle.At.X > 1e-6))
            strokes.Add(LobedOutline.Bristle((Left(bristle.At), bristle.Direction.Mirrored)));
        strokes.AddRange(Glands(form, right, left, Right, Left));
        return new Drawing(strokes);
    }

    // A mitten is half a leaf of three lobes and half a whole one; a lopsided base is round on one side and cut away on the other.
    private static (LeafForm Right, LeafForm Left) Halves(LeafForm form)
    {
        if (form.State("lobing", "") == "one-sided")
            return (form.But("lobing", "palmate").But("lobe-count", 3).But("base", "wedge"), form.But("lobing", "unlobed"));
        if (form.State("base", "") == "unequal")
            return (form, form.But("base", "wedge"));
        return (form, form);
    }

    private sealed record CutHalf(BladeSide Side, IReadOnlyList<Point> Cut, IReadOnlyList<Point> Teeth);

    private static CutHalf Half(LeafForm form, Variation vary)
    {
        var side = BladeOutline.Side(form, vary);
        var cut = MarginTeeth.Cut(side.Line, form, out var teeth);
        // Neither half reaches over the midrib.
        return new CutHalf(side, Curves.WithoutLoops([.. cut.Select(point => point with { X = Math.Max(point.X, 0) })]), teeth);
    }

    private static Point[] Midrib(Point tip, LeafForm form)
    {
        // A ginkgo has none.
        var top = form.State("shape", "") == "fan" ? 0.02 : tip.Y * 0.985;
        return [.. Enumerable.Range(0, 9).Select(i => new Point(0, top * i / 8))];
    }

    private static IEnumerable<Stroke> Glands(
        LeafForm form,
        CutHalf right,
        CutHalf left,
        Func<Point, Point> atRight,
        Func<Point, Point> atLeft
    )
    {
        var size = GlandSize(form);
        switch (form.State("leaf-glands", ""))
        {
            case "at-blade-base":
                foreach (var (x, y) in new[] { (0.05, 0.035), (-0.05, 0.035) })
                    yield return Stroke.Dot(new Point(x, y), 1.5 * size, Tint.Red);
                break;
            case "on-basal-teeth":
                foreach (var at in right.Teeth.Take(2).Select(atRight).Concat(left.Teeth.Take(2).Select(atLeft)))
                    yield return Stroke.Dot(at, size, Tint.Red);
                break;
        }
        if (!form.Shows("tooth-glands"))
            yield break;
        foreach (var at in right.Teeth.Select(atRight).Concat(left.Teeth.Select(atLeft)))
            yield return Stroke.Dot(at, 0.007);
    }

    // As it is where the leaf has its size; large enough to be seen where the picture is about glands.
    private static double GlandSize(LeafForm form) => form.Has("blade-length") ? 0.015 : 0.026;

    /// <summary>How long the stalk is over the blade.</summary>
    internal static double StalkOver(LeafForm form)
    {
        var stalk = form.Has("petiole-length") ? form.Number("petiole-length", 0) / Math.Max(0.5, form.Number("blade-length", 0)) : 0;
        if (stalk == 0)
            stalk = form.State("lobing", "") == "palmate" ? 0.5 : 0.22;
        return Math.Clamp(stalk, 0.03, 1.1);
    }

    private static Drawing Simple(LeafForm form, Variation vary)
    {
        var stalk = StalkOver(form) * vary.By(0.08);
        var lean = vary.Off(0.05) * stalk;
        var join = new Point(lean, stalk);
        var parts = new List<Drawing>
        {
            new([Stroke.Line(StrokeKind.Stalk, Curves.Bend(new Point(0, 0), new Point(0, 0.6 * stalk), join, 5))]),
            Blade(form, vary).Placed(new Placement(join, 0, 1)),
        };
        if (form.State("leaf-glands", "") == "on-petiole")
        {
            var size = 1.5 * GlandSize(form);
            parts.Add(
                new([
                    Stroke.Dot(new Point(lean + size, stalk - 0.05), size, Tint.Red),
                    Stroke.Dot(new Point(lean - size, stalk - 0.08), size, Tint.Red),
                ])
            );
        }
        return Drawing.Of(parts);
    }
}
