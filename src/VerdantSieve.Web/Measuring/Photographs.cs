using System.Collections.Concurrent;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Imaging.Camera;

namespace VerdantSieve.Web.Measuring;

/// <summary>Photographs of made-up leaves from the demonstration’s reserve, to try the board with.</summary>
public static class Photographs
{
    /// <summary>How many there are.</summary>
    public const int Count = 5;

    private static readonly ConcurrentDictionary<int, Photograph> Taken = new();

    /// <summary>What each shows, in words.</summary>
    public static IReadOnlyList<string> Titles { get; } =
    [
        "Three alder-like leaves on white paper",
        "A maple-like leaf on squared paper, tilted",
        "Two oak-like leaves, dim light",
        "Two leaves that touch",
        "A torn leaf beside a whole one",
    ];

    /// <summary>One of them, taken when it is first asked for.</summary>
    /// <param name="number">1 to <see cref="Count"/>.</param>
    public static Photograph Take(int number) => Taken.GetOrAdd(number, Make);

    private static Photograph Make(int number)
    {
        var toothed = LeafForm.With(("shape", "ovate"), ("margin", "serrate"), ("tooth-size", "medium"), ("venation", "pinnate-straight"));
        var maple = LeafForm.With(("lobing", "palmate"), ("lobe-tip", "pointed"), ("lobe-depth", "medium")).But("lobe-count", 5);
        var oak = LeafForm
            .With(("lobing", "pinnate"), ("lobe-tip", "rounded"), ("shape", "obovate"), ("lobe-depth", "medium"))
            .But("lobe-count", 7);
        LeafOnSheet Leaf(LeafForm form, int seed, double length, double x, double y, double turn) =>
            LeafOnSheet.Of(LeafDrawing.Of(form, Variation.Of(seed)), length, new Point(x, y), turn);
        return number switch
        {
            1 => SimulatedCamera.Take(
                [Leaf(toothed, 1, 7.6, 4, 12.5, -6), Leaf(toothed, 2, 9.1, 14.5, 13, 8), Leaf(toothed, 3, 8.3, 9.5, 25, 2)],
                new Shot
                {
                    Seed = 1,
                    TiltDegrees = 4,
                    TurnDegrees = 1.5,
                }
            ),
            2 => SimulatedCamera.Take(
                [Leaf(maple, 4, 11, 10.5, 23, 7)],
                new Shot
                {
                    Seed = 2,
                    TiltDegrees = 14,
                    TurnDegrees = -3,
                    SquaredPaper = true,
                }
            ),
            3 => SimulatedCamera.Take(
                [Leaf(oak, 5, 10, 6, 22, -4), Leaf(oak, 6, 8.5, 15.5, 20, 10)],
                new Shot
                {
                    Seed = 3,
                    TiltDegrees = 6,
                    UnevenLight = 0.55,
                    Noise = 0.08,
                }
            ),
            4 => SimulatedCamera.Take(
                [Leaf(toothed, 7, 9, 7.2, 20, 4), Leaf(toothed, 8, 9.5, 12.0, 20.5, -4)],
                new Shot { Seed = 4, TiltDegrees = 3 }
            ),
            _ => SimulatedCamera.Take(
                [Leaf(toothed, 9, 9, 6, 20, -5).Torn(0.75), Leaf(toothed, 10, 8.6, 15, 20, 6)],
                new Shot { Seed = 5, TiltDegrees = 5 }
            ),
        };
    }
}
