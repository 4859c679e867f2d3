using VerdantSieve.Core.Drawing;

namespace VerdantSieve.Views.Drawings;

/// <summary>How the colours of plants look in drawings: muted, as in water colour, and alike on a light and a dark page.</summary>
public static class Colours
{
    /// <summary>The colour of flesh, petals, bark and the like.</summary>
    public static string Of(Tint tint) =>
        tint switch
        {
            Tint.White => "#f7f5ee",
            Tint.Cream => "#f0e6c4",
            Tint.Yellow => "#e2bf3f",
            Tint.Orange => "#d98a3a",
            Tint.Pink => "#e3a3ad",
            Tint.Red => "#b4413a",
            Tint.Purple => "#7c5280",
            Tint.Blue => "#5f7aa8",
            Tint.Black => "#33313a",
            Tint.Brown => "#8a6a4a",
            Tint.RedBrown => "#8c5138",
            Tint.GreyBrown => "#93836f",
            Tint.Rusty => "#b0682f",
            Tint.Grey => "#9a9a92",
            Tint.PaleGrey => "#c6c5bb",
            Tint.Dark => "#55504a",
            Tint.Green => "#8fa65a",
            Tint.DarkGreen => "#5f7d42",
            Tint.YellowGreen => "#b5be5c",
            Tint.BlueGreen => "#7fa596",
            Tint.GreyGreen => "#a3ae93",
            Tint.Paler => "#cdd8b0",
            Tint.Bluish => "#c3d2cf",
            Tint.Yellowish => "#e0dca0",
            Tint.Variegated => "#dfe3b8",
        };

    /// <summary>The colour of a leaf: greens lighter, so that its veins are seen.</summary>
    public static string OfFoliage(Tint tint) => Lighter.GetValueOrDefault(tint, Of(tint));

    private static readonly Dictionary<Tint, string> Lighter = new()
    {
        [Tint.DarkGreen] = "#a9bd85",
        [Tint.Green] = "#c2d19a",
        [Tint.BlueGreen] = "#b3cbbf",
        [Tint.Purple] = "#b391a8",
    };
}
