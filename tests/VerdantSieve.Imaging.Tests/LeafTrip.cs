using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Leaves;
using VerdantSieve.Imaging.Camera;
using VerdantSieve.Imaging.Tracing;

namespace VerdantSieve.Imaging.Tests;

/// <summary>One leaf there and back: drawn, photographed, traced and measured.</summary>
/// <param name="Form">What it was drawn from.</param>
/// <param name="True">As it was, measured on the drawing.</param>
/// <param name="Found">As it was found.</param>
/// <param name="Set">As it is after a person has set the foot and the tip right.</param>
public sealed record LeafTrip(LeafForm Form, LeafMeasures True, LeafMeasures Found, LeafMeasures Set)
{
    /// <summary>How far what was found is from what is, as a share of it.</summary>
    public static double Off(double is_, double found) => Math.Abs(found - is_) / Math.Max(is_, 1e-9);

    /// <summary>Sends a random leaf there and back.</summary>
    /// <param name="seed">Where chance comes from.</param>
    public static LeafTrip Go(int seed)
    {
        var random = new Random(seed);
        string One(params string[] of) => of[random.Next(of.Length)];
        var form = LeafForm
            .With(
                ("shape", One("elliptic", "ovate", "obovate", "oblong", "lanceolate", "round", "heart")),
                ("base", One("wedge", "rounded", "truncate")),
                ("apex", One("acute", "acuminate", "obtuse", "rounded")),
                ("margin", One("entire", "serrate", "dentate", "crenate", "doubly-serrate")),
                ("tooth-size", One("fine", "medium", "coarse")),
                ("lobing", One("unlobed", "unlobed", "palmate", "pinnate")),
                ("lobe-depth", One("medium", "deep")),
                ("lobe-tip", One("rounded", "pointed"))
            )
            .But("lobe-count", 2 * random.Next(1, 4) + 1)
            .But("petiole-length", 2)
            .But("blade-length", 10);
        if (form.State("lobing", "") != "unlobed")
            form = form.But("margin", "entire");
        var length = 5 + 7 * random.NextDouble();
        var leaf = LeafDrawing.Of(form, Variation.Of(seed));
        var onSheet = LeafOnSheet.Of(leaf, length, new Point(10.5, 22), 40 * (random.NextDouble() - 0.5));
        var shot = new Shot
        {
            Width = 1400,
            TiltDegrees = 15 * random.NextDouble(),
            TurnDegrees = 8 * (random.NextDouble() - 0.5),
            UnevenLight = 0.45 * random.NextDouble(),
            Noise = 0.06 * random.NextDouble(),
            SquaredPaper = random.Next(3) == 0,
            Seed = seed,
        };
        var photograph = SimulatedCamera.Take([onSheet], shot);
        var sheet = PictureScale.Sheet(photograph.Corners, SimulatedCamera.SheetWidth, SimulatedCamera.SheetHeight).Value;
        var traced = LeafTracer.Trace(photograph.Jpeg, sheet).Value;
        var found = traced.Leaves.MaxBy(one => Polygon.Perimeter(one.Outline))!;
        Point Pixel(Point p) => new(p.X * traced.PixelsPerCentimetre, p.Y * traced.PixelsPerCentimetre);
        var set = found with { Foot = Pixel(onSheet.Stalk[^1]), Tip = Pixel(TipOf(onSheet)) };
        LeafMeasures Measured(TracedLeaf leaf) => LeafMeasures.Of(leaf.InCentimetres(traced.PixelsPerCentimetre).Value);
        return new LeafTrip(form, Truth(onSheet), Measured(found), Measured(set));
    }

    // The shapes that border on each, after the limits of the classes.
    private static readonly Dictionary<string, string[]> Borders = new()
    {
        ["elliptic"] = ["ovate", "obovate", "oblong", "round", "lanceolate"],
        ["ovate"] = ["elliptic", "lanceolate", "heart", "round", "triangular", "oblong"],
        ["obovate"] = ["elliptic", "oblanceolate", "round", "spatulate", "oblong"],
        ["oblong"] = ["elliptic", "linear", "lanceolate", "ovate", "obovate"],
        ["lanceolate"] = ["ovate", "elliptic", "linear", "oblong"],
        ["round"] = ["elliptic", "ovate", "obovate", "heart", "kidney"],
        ["heart"] = ["ovate", "round", "triangular", "kidney"],
    };

    /// <summary>Whether the shape that is proposed is the one it was drawn as, or borders on it; true of lobed leaves, which have none
    /// proposed.</summary>
    public bool IsOfItsShape
    {
        get
        {
            var drawn = Form.State("shape", "");
            var proposed = LeafProposals.Of([Found]).FirstOrDefault(one => one.Character == "shape")?.States[0];
            return proposed is null || proposed == drawn || Borders[drawn].Contains(proposed);
        }
    }

    /// <summary>Some leaves side by side on a sheet.</summary>
    /// <param name="count">How many, up to six.</param>
    public static IReadOnlyList<LeafOnSheet> Sheet(int count) =>
        [
            .. Enumerable
                .Range(0, count)
                .Select(at =>
                {
                    var leaf = LeafDrawing.Of(
                        LeafForm.With(("shape", "ovate"), ("margin", "serrate"), ("base", "rounded")),
                        Variation.Of(at)
                    );
                    return LeafOnSheet.Of(leaf, 7, new Point(4 + 6.5 * (at % 3), 12 + 12 * (at / 3)), 10 * (at % 3 - 1));
                }),
        ];

    // Of the drawing: its foot is where its stalk ends, its tip where the midrib ends.
    private static LeafMeasures Truth(LeafOnSheet leaf)
    {
        Point Up(Point p) => p with { Y = -p.Y };
        return LeafMeasures.Of(LeafOutline.Of([.. leaf.Blade.Select(Up)], Up(leaf.Stalk[^1]), Up(TipOf(leaf))).Value);
    }

    // The midrib ends a little below it.
    private static Point TipOf(LeafOnSheet leaf)
    {
        var (foot, end) = (leaf.Stalk[^1], leaf.Veins[0][^1]);
        var beyond = foot.Toward(end, 1 / 0.985);
        return leaf.Blade.MinBy(point => point.To(beyond));
    }
}
