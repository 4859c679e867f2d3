using System.Text;
using SkiaSharp;
using Svg.Skia;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Drawing.Plates;
using VerdantSieve.Core.Leaves;
using VerdantSieve.Imaging.Camera;
using VerdantSieve.Imaging.Tracing;
using VerdantSieve.Views.Drawings;
using Xunit;

namespace VerdantSieve.Imaging.Tests;

/// <summary>Pictures as they are seen: at the size of a choice, and as a sheet to print.</summary>
public class PictureTests
{
    private const int Size = 96;

    // Of the pixels that either of two pictures covers, how many must differ.
    private const double Told = 0.02;

    public static TheoryData<string> Characters => [.. StateDrawings.All.Select(pair => pair.Character).Distinct()];

    [Theory]
    [MemberData(nameof(Characters))]
    public void States_of_a_character_are_told_apart_at_96_pixels(string character)
    {
        var states = StateDrawings.All.Where(pair => pair.Character == character).Select(pair => pair.State).ToArray();
        var pictures = states.Select(state => Raster(StateDrawings.Of(character, state)!)).ToArray();
        for (var i = 0; i < states.Length; i++)
            for (var j = i + 1; j < states.Length; j++)
            {
                var (differ, covered) = (0, 0);
                for (var k = 0; k < Size * Size; k++)
                {
                    var (a, b) = (pictures[i][k], pictures[j][k]);
                    if (a == Ground && b == Ground)
                        continue;
                    covered++;
                    if (Math.Abs(a.Red - b.Red) + Math.Abs(a.Green - b.Green) + Math.Abs(a.Blue - b.Blue) > 30)
                        differ++;
                }
                Assert.True(differ >= Told * covered, $"{character}: {states[i]} and {states[j]} differ in {differ} of {covered} pixels");
            }
    }

    [Fact]
    public void A_sheet_becomes_a_pdf_of_one_page()
    {
        var leaf = LeafDrawing.Of(LeafForm.With(("shape", "ovate")));
        var plate = new Plate([new PlatePart(PlateOrgan.Leaf, leaf, new Placement(new Point(40, 20), 0, 60))], [], null);
        var svg = PlateSvg.Sheet(plate, new SheetWords("Alnus rubra", "red alder", [], ["A note."]));
        var pdf = Encoding.Latin1.GetString(PdfSheets.Make(svg, PlateSvg.SheetWidth, PlateSvg.SheetHeight, "Alnus rubra"));
        Assert.StartsWith("%PDF-", pdf);
        Assert.Contains("/Title (Alnus rubra)", pdf);
        Assert.EndsWith("%%EOF", pdf.TrimEnd());
        Assert.DoesNotContain("var(", svg);
    }

    [Fact]
    public void What_is_no_picture_or_too_large_a_one_is_refused_in_a_sentence()
    {
        var scale = PictureScale.Between(new Point(0, 0), new Point(100, 0), 10).Value;
        Assert.Contains("no picture", LeafTracer.Trace(Encoding.ASCII.GetBytes("GIF89a nonsense"), scale).Faults[0].Sentence);
        Assert.Contains("no picture", LeafTracer.Trace(new byte[1000], scale).Faults[0].Sentence);
        using var wide = new SKBitmap(6000, 4100);
        using var png = SKImage.FromBitmap(wide).Encode(SKEncodedImageFormat.Png, 50);
        Assert.Contains("24 million", LeafTracer.Trace(png.ToArray(), scale).Faults[0].Sentence);
    }

    [Fact]
    public void A_scale_that_makes_no_sense_is_refused()
    {
        Point[] square = [new(0, 0), new(100, 0), new(100, 100), new(0, 100)];
        Assert.Empty(PictureScale.Sheet(square, 21, 29.7).Faults);
        Assert.NotEmpty(PictureScale.Sheet([square[0], square[2], square[1], square[3]], 21, 29.7).Faults);
        Assert.NotEmpty(PictureScale.Sheet(square, 0, 29.7).Faults);
        // So narrow that nothing would be left of it on the straightened picture.
        Assert.NotEmpty(PictureScale.Sheet(square, 1000, 1.5).Faults);
        Assert.NotEmpty(PictureScale.Between(square[0], new Point(3, 0), 10).Faults);
        Assert.NotEmpty(PictureScale.Between(square[0], square[1], double.NaN).Faults);
        Assert.Empty(PictureScale.Between(square[0], square[1], 10).Faults);
    }

    [Fact]
    public void Leaves_that_touch_are_parted_by_a_cut_and_a_ruler_is_no_leaf()
    {
        LeafOnSheet Leaf(int seed, double x) =>
            LeafOnSheet.Of(LeafDrawing.Of(LeafForm.With(("shape", "elliptic")), Variation.Of(seed)), 9, new Point(x, 20), 0);
        var photograph = SimulatedCamera.Take([Leaf(1, 8.3), Leaf(2, 12.4)], new Shot { Width = 1300 });
        var sheet = PictureScale.Sheet(photograph.Corners, SimulatedCamera.SheetWidth, SimulatedCamera.SheetHeight).Value;
        var apart = SimulatedCamera.Take([Leaf(1, 5), Leaf(2, 15)], new Shot { Width = 1300 });
        var wide = LeafTracer.Trace(apart.Jpeg, sheet).Value;
        Assert.Equal(2, wide.Leaves.Count);
        var touching = LeafTracer.Trace(photograph.Jpeg, sheet).Value;
        Assert.Single(touching.Leaves);
        var x = 10.35 * touching.PixelsPerCentimetre;
        var cut = LeafTracer.Trace(photograph.Jpeg, sheet, [(new Point(x, 0), new Point(x, touching.Height))]).Value;
        Assert.Equal(2, cut.Leaves.Count);
    }

    [Fact]
    public void A_torn_leaf_is_told_from_a_whole_one()
    {
        var whole = LeafTrip.Sheet(2);
        var shot = SimulatedCamera.Take([whole[0].Torn(0.75), whole[1]], new Shot { TiltDegrees = 5 });
        var scale = PictureScale.Sheet(shot.Corners, SimulatedCamera.SheetWidth, SimulatedCamera.SheetHeight).Value;
        var traced = LeafTracer.Trace(shot.Jpeg, scale).Value;
        var measured = traced.Leaves.Select(leaf => LeafMeasures.Of(leaf.InCentimetres(traced.PixelsPerCentimetre).Value)).ToArray();
        Assert.Equal([true, false], measured.Select(leaf => leaf.LooksTorn));
        Assert.InRange(measured[0].MissingAt, 0.4, 0.68);
    }

    [Fact]
    public async Task Tracing_stops_when_told_to()
    {
        var photograph = SimulatedCamera.Take([], new Shot { Width = 900 });
        using var stopped = new CancellationTokenSource();
        await stopped.CancelAsync();
        var scale = PictureScale.Between(new Point(0, 0), new Point(100, 0), 10).Value;
        Assert.Throws<OperationCanceledException>(() => LeafTracer.Trace(photograph.Jpeg, scale, cancel: stopped.Token));
    }

    private static readonly SKColor Ground = new(251, 248, 240);

    private static SKColor[] Raster(Drawing drawing)
    {
        using var svg = new SKSvg();
        // What a page would give is written out.
        var text = SvgPen.Inline(drawing, "", "").Replace("<svg ", "<svg xmlns=\"http://www.w3.org/2000/svg\" ");
        using var picture = svg.FromSvg(System.Text.RegularExpressions.Regex.Replace(text, @"var\(--[a-z-]+,(#[0-9a-f]+)\)", "$1"))!;
        using var bitmap = new SKBitmap(Size, Size, SKColorType.Rgba8888, SKAlphaType.Opaque);
        using var canvas = new SKCanvas(bitmap);
        canvas.Clear(Ground);
        var scale = Size / Math.Max(picture.CullRect.Width, picture.CullRect.Height);
        canvas.Translate((Size - picture.CullRect.Width * scale) / 2, (Size - picture.CullRect.Height * scale) / 2);
        canvas.Scale(scale);
        canvas.Translate(-picture.CullRect.Left, -picture.CullRect.Top);
        canvas.DrawPicture(picture);
        return bitmap.Pixels;
    }
}
