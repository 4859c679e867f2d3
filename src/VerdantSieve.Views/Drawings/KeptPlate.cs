using System.Text;
using VerdantSieve.Core.Drawing.Plates;

namespace VerdantSieve.Views.Drawings;

/// <summary>What is kept of a plate once it is written: its geometry is not needed again.</summary>
/// <param name="File">The SVG file.</param>
/// <param name="Marks">The marks it points at.</param>
/// <param name="Organs">What it shows.</param>
public sealed record KeptPlate(byte[] File, IReadOnlyList<PlateMark> Marks, IReadOnlyList<PlateOrgan> Organs)
{
    internal static KeptPlate Of(Plate plate) =>
        new(Encoding.UTF8.GetBytes(PlateSvg.File(plate)), plate.Marks, [.. plate.Parts.Select(part => part.Organ).Distinct()]);
}
