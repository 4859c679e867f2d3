using static VerdantSieve.Core.Drawing.Point;

namespace VerdantSieve.Core.Drawing.Parts;

/// <summary>Draws a patch of bark, 1 by 1.2, by pattern and colour.</summary>
internal static class Barks
{
    private const double Wide = 1,
        High = 1.2;

    /// <summary>A patch of bark.</summary>
    public static Drawing Of(string pattern, Tint tint) => new Pen(tint).Drawn(pattern);

    private static Point Within(Point p) => At(Math.Clamp(p.X, 0, Wide), Math.Clamp(p.Y, 0, High));

    private static Point[] Clipped(Point from, Point to)
    {
        var points = Enumerable.Range(0, 21).Select(i => from.Toward(to, i / 20.0)).Where(p => p.Y is >= 0 and <= High).ToArray();
        return points.Length < 2 ? [] : [points[0], points[^1]];
    }

    private static Point[] Box(double x, double y, double w, double h, double cut) =>
        [
            At(x + cut, y),
            At(x + w - cut, y),
            At(x + w, y + cut),
            At(x + w, y + h - cut),
            At(x + w - cut, y + h),
            At(x + cut, y + h),
            At(x, y + h - cut),
            At(x, y + cut),
        ];

    /// <summary>How it holds: tight, or in flakes that come away.</summary>
    public static Drawing Hold(string hold)
    {
        var patch = Of("smooth", Tint.GreyBrown);
        if (hold == "tight")
            return Of("shallow-ridges", Tint.GreyBrown);
        return Drawing.Of(
            patch,
            new Drawing([
                .. new[] { (0.16, 0.3), (0.56, 0.2), (0.3, 0.72), (0.7, 0.8) }.SelectMany(flake =>
                    new[]
                    {
                        Stroke.Area(Tint.Orange, Box(flake.Item1, flake.Item2, 0.26, 0.3, 0.04)),
                        Stroke.Area(
                            Tint.GreyBrown,
                            At(flake.Item1, flake.Item2 + 0.3),
                            At(flake.Item1 + 0.26, flake.Item2 + 0.3),
                            At(flake.Item1 + 0.36, flake.Item2 + 0.08),
                            At(flake.Item1 + 0.12, flake.Item2 + 0.06)
                        ),
                    }
                ),
            ])
        );
    }

    private static readonly IReadOnlyList<Point> Whole = [At(0, 0), At(Wide, 0), At(Wide, High), At(0, High)];

    // Draws each pattern on a patch of one colour.
    private sealed class Pen(Tint tint)
    {
        private static readonly Dictionary<string, Action<Pen>> Patterns = new()
        {
            ["smooth"] = pen => pen.Smooth(),
            ["horizontal-lines"] = pen => pen.HorizontalLines(),
            ["shallow-ridges"] = pen => pen.ShallowRidges(),
            ["deep-furrows"] = pen => pen.DeepFurrows(),
            ["interlacing-ridges"] = pen => pen.InterlacingRidges(),
            ["blocks"] = pen => pen.Blocks(),
            ["scales"] = pen => pen.Scales(),
            ["plates"] = pen => pen.Plates(),
            ["loose-strips"] = pen => pen.LooseStrips(),
            ["papery"] = pen => pen.Papery(),
            ["mottled-flaking"] = pen => pen.MottledFlaking(),
            ["fibrous"] = pen => pen.Fibrous(),
            ["corky"] = pen => pen.Corky(),
            ["warty"] = pen => pen.Warty(),
            ["target-rings"] = pen => pen.TargetRings(),
            ["striped"] = pen => pen.Striped(),
            ["fluted"] = pen => pen.Fluted(),
            ["spiral"] = pen => pen.Spiral(),
        };

        private readonly List<Stroke> strokes = [];

        // The same each time.
        private readonly Random noise = new(7);

        private Tint Dark => tint is Tint.Dark or Tint.Black ? Tint.Black : Tint.Dark;

        public Drawing Drawn(string pattern)
        {
            if (Patterns.TryGetValue(pattern, out var draw))
                draw(this);
            return new Drawing([Stroke.Area(tint, Whole), .. strokes.Where(stroke => stroke.Points.Count > 1)]);
        }

        private void Add(Stroke stroke) => strokes.Add(stroke);

        private void Under(Stroke stroke) => strokes.Insert(0, stroke);

        private void Line(params IReadOnlyList<Point> points) => Add(Stroke.Line(StrokeKind.Stalk, points));

        private void Fine(params IReadOnlyList<Point> points) => Add(Stroke.Line(StrokeKind.Hair, points));

        private void Plate(IReadOnlyList<Point> outline, Tint? colour = null) =>
            Add(Stroke.Area(colour ?? tint, [.. outline.Select(Within)]));

        private double Off(double by) => (noise.NextDouble() * 2 - 1) * by;

        // A line up the trunk that wanders.
        private Point[] Up(double x, double by, double from = 0, double to = High, int steps = 7) =>
            [.. Enumerable.Range(0, steps + 1).Select(i => At(Math.Clamp(x + Off(by), 0, Wide), from + (to - from) * i / steps))];

        private void Smooth()
        {
            Fine(Curves.Bend(At(0.1, 0.4), At(0.3, 0.44), At(0.42, 0.38)));
            Fine(Curves.Bend(At(0.6, 0.8), At(0.75, 0.83), At(0.9, 0.78)));
        }

        private void HorizontalLines()
        {
            for (var i = 0; i < 24; i++)
            {
                var (x, y) = (noise.NextDouble() * 0.8, 0.04 + 1.12 * i / 24);
                Add(
                    Stroke.Area(
                        Dark,
                        At(x, y),
                        At(x + 0.12 + noise.NextDouble() * 0.16, y),
                        At(x + 0.1, y + 0.018),
                        At(x + 0.02, y + 0.018)
                    )
                );
            }
        }

        private void ShallowRidges()
        {
            for (var i = 0; i < 9; i++)
                Fine(Up(0.06 + 0.11 * i, 0.025));
        }

        private void DeepFurrows()
        {
            for (var i = 0; i < 4; i++)
            {
                var middle = Up(0.14 + 0.24 * i, 0.05);
                Add(
                    Stroke.Area(
                        Dark,
                        [
                            .. middle.Select((p, k) => Within(At(p.X + 0.03 + 0.02 * (k % 2), p.Y))),
                            .. middle.Reverse().Select((p, k) => Within(At(p.X - 0.04 + 0.015 * (k % 2), p.Y))),
                        ]
                    )
                );
            }
        }

        private void InterlacingRidges()
        {
            for (var row = -1; row < 5; row++)
                for (var i = 0; i < 4; i++)
                {
                    var centre = At(0.12 + 0.25 * i + (row % 2 == 0 ? 0 : 0.125), 0.14 + 0.27 * row);
                    Add(
                        Stroke.Area(
                            Dark,
                            [
                                .. new[] { At(0, -0.2), At(0.055, 0), At(0, 0.2), At(-0.055, 0) }.Select(p =>
                                Within(At(centre.X + p.X, centre.Y + p.Y))
                            ),
                            ]
                        )
                    );
                }
        }

        private void Blocks()
        {
            for (var row = 0; row < 6; row++)
                for (var i = 0; i < 5; i++)
                    Plate(Box(0.2 * i + 0.015, 0.2 * row + 0.015, 0.165 + Off(0.01), 0.165 + Off(0.01), 0.02));
            Under(Stroke.Area(Dark, Whole));
        }

        private void Scales()
        {
            for (var row = 0; row < 9; row++)
                for (var i = 0; i < 7; i++)
                    Fine([
                        .. Curves
                        .Bend(
                            At(0.15 * i - (row % 2 == 0 ? 0.04 : 0.11), 0.14 * row + 0.1),
                            At(0.15 * i + (row % 2 == 0 ? 0.035 : -0.035), 0.14 * row - 0.05),
                            At(0.15 * i + (row % 2 == 0 ? 0.11 : 0.04), 0.14 * row + 0.1)
                        )
                        .Select(Within),
                ]);
        }

        private void Plates()
        {
            Add(Stroke.Area(Dark, Whole));
            foreach (
                var (x, y, w, h) in new[]
                {
                    (0.02, 0.02, 0.44, 0.34),
                    (0.5, 0.02, 0.47, 0.5),
                    (0.02, 0.4, 0.3, 0.44),
                    (0.36, 0.56, 0.36, 0.34),
                    (0.76, 0.56, 0.22, 0.34),
                    (0.02, 0.88, 0.5, 0.3),
                    (0.56, 0.94, 0.42, 0.24),
                }
            )
                Plate(Box(x, y, w, h, 0.05));
        }

        private void LooseStrips()
        {
            foreach (
                var (x, y, w, h) in new[]
                {
                    (0.04, 0.0, 0.16, 0.6),
                    (0.26, 0.2, 0.17, 0.75),
                    (0.48, 0.0, 0.16, 0.52),
                    (0.7, 0.25, 0.18, 0.8),
                    (0.06, 0.66, 0.15, 0.54),
                    (0.5, 0.6, 0.15, 0.6),
                }
            )
            {
                Plate([
                    At(x, y + h),
                    At(x + w, y + h),
                    At(x + w * 0.9, y + 0.1),
                    At(x + w * 1.25, y),
                    At(x + 0.02, y + 0.02),
                    At(x + 0.03, y + 0.14),
                ]);
                Line(Within(At(x + w * 1.25, y)), Within(At(x + 0.02, y + 0.02)));
            }
        }

        private void Papery()
        {
            foreach (var (y, x, w) in new[] { (0.16, 0.1, 0.5), (0.42, 0.4, 0.55), (0.68, 0.05, 0.45), (0.92, 0.35, 0.6) })
            {
                Plate(
                    [
                        .. Curves.Bend(At(x, y), At(x + w / 2, y + 0.05), At(x + w, y)),
                        .. Curves.Bend(At(x + w, y), At(x + w * 0.7, y - 0.16), At(x + w * 0.2, y - 0.05)),
                    ],
                    Tint.Cream
                );
                for (var i = 0; i < 3; i++)
                    Fine(At(x + 0.1 * i, y + 0.12), At(Math.Min(x + 0.1 * i + 0.09, 1), y + 0.12));
            }
        }

        private void MottledFlaking()
        {
            foreach (
                var (x, y, r, colour) in new[]
                {
                    (0.22, 0.25, 0.2, Tint.Cream),
                    (0.7, 0.2, 0.22, Tint.GreyGreen),
                    (0.45, 0.6, 0.2, Tint.Yellowish),
                    (0.85, 0.65, 0.16, Tint.Cream),
                    (0.15, 0.8, 0.17, Tint.GreyGreen),
                    (0.55, 0.98, 0.2, Tint.Cream),
                    (0.9, 1.05, 0.14, Tint.GreyGreen),
                }
            )
                Plate(
                    Curves.Smooth(
                        [
                            At(x - r, y),
                            At(x - 0.4 * r, y + 0.8 * r),
                            At(x + 0.6 * r, y + 0.7 * r),
                            At(x + r, y - 0.2 * r),
                            At(x + 0.3 * r, y - 0.9 * r),
                            At(x - 0.7 * r, y - 0.6 * r),
                        ],
                        closed: true,
                        steps: 4
                    ),
                    colour
                );
        }

        private void Fibrous()
        {
            for (var i = 0; i < 26; i++)
                Fine(Up(0.02 + 0.038 * i, 0.012, noise.NextDouble() * 0.3, 0.85 + noise.NextDouble() * 0.35, 4));
        }

        private void Corky()
        {
            for (var i = 0; i < 4; i++)
            {
                var x = 0.06 + 0.25 * i;
                Plate(
                    Curves.Smooth(
                        [
                            At(x, 0.02),
                            At(x + 0.19, 0.06),
                            At(x + 0.15, 0.35),
                            At(x + 0.21, 0.62),
                            At(x + 0.16, 0.9),
                            At(x + 0.2, 1.18),
                            At(x + 0.02, 1.16),
                            At(x + 0.04, 0.85),
                            At(x - 0.02, 0.58),
                            At(x + 0.03, 0.3),
                        ],
                        closed: true,
                        steps: 4
                    ),
                    Tint.PaleGrey
                );
                Fine(At(x + 0.06, 0.2), At(x + 0.08, 1.0));
            }
        }

        private void Warty()
        {
            foreach (var at in Scatter.Places(At(0.5, 0.6), 0.46, 0.56, 26))
            {
                Add(Stroke.Area(tint, Curves.Circle(Within(at), 0.045, 0.9, 10)));
                Add(
                    Stroke.Line(
                        StrokeKind.Hair,
                        Curves.Bend(At(at.X - 0.05, at.Y - 0.03), At(at.X, at.Y - 0.075), At(at.X + 0.05, at.Y - 0.03), 4)
                    )
                );
            }
        }

        private void TargetRings()
        {
            foreach (var centre in new[] { At(0.3, 0.32), At(0.68, 0.82) })
                for (var ring = 1; ring <= 5; ring++)
                    Line([
                        .. Curves.Circle(centre, 0.06 * ring, 1.25, 24).Select(Within),
                        Within(Curves.Circle(centre, 0.06 * ring, 1.25, 24)[0]),
                    ]);
        }

        private void Striped()
        {
            for (var i = 0; i < 5; i++)
            {
                var line = Up(0.1 + 0.2 * i, 0.02);
                Add(
                    Stroke.Area(
                        Tint.White,
                        [.. line.Select(p => Within(At(p.X + 0.028, p.Y))), .. line.Reverse().Select(p => Within(At(p.X - 0.02, p.Y)))]
                    )
                );
            }
        }

        private void Fluted()
        {
            foreach (var x in new[] { 0.16, 0.42, 0.64, 0.88 })
            {
                Add(
                    Stroke.Area(
                        Dark,
                        [
                            .. Curves.Bend(At(x - 0.05, 0), At(x + 0.06, 0.6), At(x - 0.05, High)),
                            .. Curves.Bend(At(x + 0.05, High), At(x + 0.1, 0.6), At(x + 0.05, 0)),
                        ]
                    )
                );
                Fine(Curves.Bend(At(x + 0.1, 0), At(x + 0.19, 0.6), At(x + 0.1, High)));
            }
        }

        private void Spiral()
        {
            for (var i = -5; i < 7; i++)
                Line(Clipped(At(0, 0.17 * i), At(1, 0.17 * i + 0.75)));
        }
    }
}
