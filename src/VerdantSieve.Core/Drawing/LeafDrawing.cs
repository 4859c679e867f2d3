namespace VerdantSieve.Core.Drawing;

/// <summary>Draws one leaf, simple or compound, with its stalk. The stalk starts at (0, 0).</summary>
public static class LeafDrawing
{
    /// <summary>The leaf of a form.</summary>
    public static Drawing Of(LeafForm form)
    {
        var structure = form.State("structure", "simple");
        return structure switch
        {
            "trifoliate" => Trifoliate(form),
            "palmate" => Palmate(form),
            "odd-pinnate" => Pinnate(form, endLeaflet: true),
            "even-pinnate" => Pinnate(form, endLeaflet: false),
            "bipinnate" => Bipinnate(form),
            _ => Simple(form),
        };
    }

    /// <summary>A blade alone, its stalk joining at (0, 0).</summary>
    public static Drawing Blade(LeafForm form, bool veins = true)
    {
        var lopsided = form.State("base", "") == "unequal";
        var mitten = form.State("lobing", "") == "one-sided";
        // A mitten is half a leaf of three lobes and half a whole one.
        var lobed = mitten ? form.But("lobing", "palmate").But("lobe-count", 3) : form;
        var right = MarginTeeth.Cut(BladeOutline.RightHalf(lobed), lobed);
        var whole = mitten ? form.But("lobing", "unlobed") : form;
        // A lopsided base is round on one side and cut away on the other.
        var otherForm = lopsided ? whole.But("base", "wedge") : whole;
        var other = lopsided || mitten ? MarginTeeth.Cut(BladeOutline.RightHalf(otherForm), form) : right;
        var left = other.Reverse().Select(p => lopsided ? new Point(-0.86 * p.X, p.Y + 0.07 * (1 - p.Y)) : p.Mirrored);
        var outline = new Stroke(StrokeKind.Blade, [.. right, .. left], Closed: true);
        return new Drawing(veins ? [outline, .. Veins.Of(whole, BladeOutline.RightHalf(whole))] : [outline]);
    }

    private static Drawing Simple(LeafForm form)
    {
        var stalk = Math.Clamp(form.Number("petiole-length", 0) / Math.Max(0.5, form.Number("blade-length", 0)), 0, 0.8);
        if (stalk == 0)
            stalk = form.State("lobing", "") == "palmate" ? 0.5 : 0.22;
        stalk = Math.Max(stalk, 0.05);
        return Drawing.Of(
            new Drawing([Stroke.Line(StrokeKind.Stalk, new Point(0, 0), new Point(0, stalk))]),
            Blade(form).Placed(new Placement(new Point(0, stalk), 0, 1))
        );
    }

    private static Drawing Trifoliate(LeafForm form)
    {
        var endStalk = form.State("terminal-leaflet", "short-stalked") switch
        {
            "long-stalked" => 0.38,
            "sessile" => 0.02,
            _ => 0.14,
        };
        var join = new Point(0, 0.55);
        var end = join with { Y = join.Y + endStalk };
        var larger = form.State("end-leaflet-size", "like-others") == "larger" ? 1.15 : 1;
        var leaflet = Blade(form);
        return Drawing.Of(
            new Drawing([Stroke.Line(StrokeKind.Stalk, new Point(0, 0), end)]),
            leaflet.Placed(new Placement(join, 62, 0.82)),
            leaflet.Placed(new Placement(join, -62, 0.82, Flip: true)),
            leaflet.Placed(new Placement(end, 0, 0.92 * larger))
        );
    }

    private static Drawing Palmate(LeafForm form)
    {
        var count = Math.Clamp((int)Math.Round(form.Number("leaflet-count", 5)), 3, 9);
        var join = new Point(0, 0.6);
        var spread = count <= 3 ? 55 : 105;
        var leaflet = Blade(form);
        return Drawing.Of([
            new Drawing([Stroke.Line(StrokeKind.Stalk, new Point(0, 0), join)]),
            .. Enumerable
                .Range(0, count)
                .Select(i => -spread + 2.0 * spread * i / (count - 1))
                .OrderByDescending(Math.Abs)
                .Select(angle => leaflet.Placed(new Placement(join, angle, 0.95 - 0.32 * Math.Abs(angle) / 105))),
        ]);
    }

    private static Drawing Pinnate(LeafForm form, bool endLeaflet)
    {
        var usual = endLeaflet ? 7 : 8;
        var pairs = Math.Clamp((int)Math.Round(form.Number("leaflet-count", usual) - (endLeaflet ? 1 : 0)) / 2, 1, 7);
        var gap = 0.42;
        const double scale = 0.62;
        // Many leaflets are drawn small: veins would only blacken them.
        var leaflet = Blade(form, veins: pairs <= 4);
        var foot = 0.4;
        var top = foot + gap * (pairs - 1);
        var endStalk = form.State("terminal-leaflet", "short-stalked") switch
        {
            "long-stalked" => 0.26,
            "sessile" => 0.03,
            _ => 0.14,
        };
        var axisEnd = endLeaflet ? top + endStalk : top + 0.06;
        var sideStalk = form.State("side-leaflet-stalk", "sessile") switch
        {
            "long" => 0.12,
            "short" => 0.06,
            _ => 0,
        };
        var parts = new List<Drawing> { new([Stroke.Line(StrokeKind.Stalk, new Point(0, 0), new Point(0, axisEnd))]) };
        for (var i = 0; i < pairs; i++)
        {
            var at = new Point(0, foot + gap * i);
            foreach (var side in new[] { 1, -1 })
            {
                var (sin, cos) = Math.SinCos(side * 64 * Math.PI / 180);
                var start = new Point(at.X + sideStalk * sin, at.Y + sideStalk * cos);
                if (sideStalk > 0)
                    parts.Add(new Drawing([Stroke.Line(StrokeKind.Stalk, at, start)]));
                parts.Add(leaflet.Placed(new Placement(start, side * 64, scale, Flip: side < 0)));
            }
        }
        if (endLeaflet)
        {
            var larger = form.State("end-leaflet-size", "like-others") == "larger" ? 1.25 : 1;
            parts.Add(leaflet.Placed(new Placement(new Point(0, axisEnd), 0, scale * larger)));
        }
        return Drawing.Of(parts);
    }

    private static Drawing Bipinnate(LeafForm form)
    {
        var branch = Pinnate(LeafForm.With(("shape", "elliptic"), ("margin", form.State("margin", "entire"))), endLeaflet: true);
        var parts = new List<Drawing> { new([Stroke.Line(StrokeKind.Stalk, new Point(0, 0), new Point(0, 1.9))]) };
        for (var i = 0; i < 3; i++)
            foreach (var side in new[] { 62, -62 })
                parts.Add(branch.Placed(new Placement(new Point(0, 0.5 + 0.6 * i), side, 0.42, side < 0)));
        parts.Add(branch.Placed(new Placement(new Point(0, 1.9), 0, 0.42)));
        return Drawing.Of(parts);
    }
}
