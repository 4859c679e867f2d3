namespace VerdantSieve.Core.Drawing;

/// <summary>Draws fruits, cones and tips of needles.</summary>
internal static class SmallDrawings
{
    public static Drawing Awls() =>
        new([
            Stroke.Line(StrokeKind.Twig, new Point(0, -0.1), new Point(0, 2.2)),
            .. Enumerable
                .Range(0, 20)
                .Select(i =>
                {
                    var (y, side) = (0.1 + i * 0.1, i % 2 == 0 ? 1 : -1);
                    return new Stroke(
                        StrokeKind.Blade,
                        [new Point(side * 0.03, y), new Point(side * 0.24, y + 0.3), new Point(side * 0.02, y + 0.16)],
                        true
                    );
                }),
        ]);

    /// <summary>A pair of winged fruits.</summary>
    /// <param name="angle">Degrees from the middle to each wing.</param>
    public static Drawing Samara(double angle)
    {
        var wing = new Stroke(
            StrokeKind.Blade,
            [
                new(0, 0),
                .. Curves.Bend(new Point(0.10, -0.02), new Point(0.3, 0.75), new Point(0.14, 1.15)),
                .. Curves.Bend(new Point(0.05, 1.18), new Point(-0.12, 0.7), new Point(-0.05, 0.05)),
            ],
            true
        );
        var nut = new Stroke(StrokeKind.Body, Curves.Circle(new Point(0.0, 0.06), 0.12, 1.2), true);
        Drawing half = new([wing, nut]);
        return Drawing.Of(
            new Drawing([Stroke.Line(StrokeKind.Stalk, new Point(0, 0.55), new Point(0, 0))]),
            half.Placed(new Placement(new Point(0.06, 0), 180 - angle, 1, true)),
            half.Placed(new Placement(new Point(-0.06, 0), 180 + angle, 1))
        );
    }

    /// <summary>The tip of a needle with its midrib.</summary>
    /// <param name="right">The right half of its outline, from below to the tip.</param>
    public static Drawing Needle(params Point[] right) =>
        new([
            new Stroke(StrokeKind.Blade, [.. right, .. right.Reverse().Skip(1).Select(point => point.Mirrored)], true),
            Stroke.Line(StrokeKind.Vein, new Point(0, 0), new Point(0, 0.8)),
        ]);

    /// <summary>An acorn, hanging.</summary>
    /// <param name="covered">The part of its height that the cup covers: 0 to 1.</param>
    public static Drawing Acorn(double covered)
    {
        var nut = new Stroke(StrokeKind.Blade, [.. Curves.Circle(new Point(0, 0.5), 0.36, 1.4, 28)], true);
        // The cup is the upper part of a somewhat larger oval, cut off level.
        var (radius, flatten) = (0.42, 1.32);
        var end = Math.Acos(Math.Clamp((1.02 - covered - 0.52) / (radius * flatten), -1, 1));
        var cup = new Stroke(
            StrokeKind.Body,
            [
                .. Enumerable
                    .Range(0, 31)
                    .Select(i => end * (i - 15) / 15)
                    .Select(angle => new Point(radius * Math.Sin(angle), 0.52 + radius * flatten * Math.Cos(angle))),
            ],
            true
        );
        return new Drawing([nut, cup, Stroke.Line(StrokeKind.Stalk, new Point(0, 1.07), new Point(0, 1.25))]);
    }

    /// <summary>A seed cone with its scales.</summary>
    /// <param name="width">Half its width.</param>
    /// <param name="height">Half its height.</param>
    /// <param name="narrowed">How much narrower it is towards the tip than towards the stalk; 0 for not at all.</param>
    /// <param name="flattened">How much its ends are flattened: 1 for an oval, towards 0 for a box.</param>
    public static Drawing Cone(double width, double height, double narrowed, double flattened)
    {
        Point[] body =
        [
            .. Enumerable
                .Range(0, 40)
                .Select(i => i * Math.PI / 20)
                .Select(angle =>
                {
                    var (sin, y) = (Math.Sin(angle), height * Math.Cos(angle));
                    return new Point(width * Math.Sign(sin) * Math.Pow(Math.Abs(sin), flattened) * (1 - narrowed * y / height), y);
                }),
        ];
        var rows = (int)Math.Round(height * 8);
        var scales = Enumerable
            .Range(1, rows - 1)
            .Select(i => -height + 2 * height * i / rows)
            .SelectMany(y =>
            {
                var half = width * 0.86 * Math.Sqrt(Math.Max(0, 1 - y * y / (height * height)));
                return new[]
                {
                    new Stroke(StrokeKind.Vein, Curves.Bend(new Point(-half, y), new Point(-half / 2, y - 0.12), new Point(0, y))),
                    new Stroke(StrokeKind.Vein, Curves.Bend(new Point(0, y), new Point(half / 2, y - 0.12), new Point(half, y))),
                };
            });
        return new Drawing([new Stroke(StrokeKind.Body, body, true), .. scales]);
    }
}
