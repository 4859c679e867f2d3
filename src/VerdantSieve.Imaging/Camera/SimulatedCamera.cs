using SkiaSharp;
using VerdantSieve.Core.Drawing;

namespace VerdantSieve.Imaging.Camera;

/// <summary>A stand-in for a camera: photographs leaves that were drawn, on a sheet with a ruler, as a hand would take them. What is true
/// of
/// them is known.</summary>
public static class SimulatedCamera
{
    /// <summary>The sheet’s width, in centimetres.</summary>
    public const double SheetWidth = 21;

    /// <summary>The sheet’s height, in centimetres.</summary>
    public const double SheetHeight = 29.7;

    // The drawing before it is photographed: fine enough that the photograph is what limits.
    private const float Fine = 56;

    private static readonly SKColor LeafGreen = new(92, 128, 58);

    /// <summary>Takes a picture.</summary>
    /// <param name="leaves">The leaves on the sheet.</param>
    /// <param name="shot">How it is taken.</param>
    public static Photograph Take(IReadOnlyList<LeafOnSheet> leaves, Shot shot)
    {
        using var sheet = Sheet(leaves, shot);
        var random = new Random(shot.Seed);
        var (width, height) = (shot.Width, (int)(shot.Width * 1.36));
        // A tilted sheet: its far side is shorter, and it is turned a little.
        var corners = Corners(width, height, shot.TiltDegrees, shot.TurnDegrees);
        using var bitmap = new SKBitmap(width, height, SKColorType.Rgba8888, SKAlphaType.Opaque);
        using (var canvas = new SKCanvas(bitmap))
        {
            canvas.Clear(new SKColor(96, 84, 72));
            canvas.SetMatrix(ToCorners(sheet.Width, sheet.Height, corners));
            using var image = SKImage.FromBitmap(sheet);
            canvas.DrawImage(image, 0, 0, new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear), null);
        }
        Light(bitmap, shot.UnevenLight, shot.Noise, random);
        using var written = SKImage.FromBitmap(bitmap).Encode(SKEncodedImageFormat.Jpeg, 90);
        return new Photograph(written.ToArray(), width, height, corners);
    }

    // Seen from above a tilted sheet’s far side is shorter by its tangent over the camera’s distance, about one and a half sheets.
    private static IReadOnlyList<Point> Corners(int width, int height, double tilt, double turn)
    {
        var (w, h) = (0.86 * width, 0.86 * width * SheetHeight / SheetWidth);
        var lean = Math.Tan(tilt * Math.PI / 180) / 3;
        Point[] flat =
        [
            new(-w / 2 * (1 - lean), -h / 2 * (1 - lean / 2)),
            new(w / 2 * (1 - lean), -h / 2 * (1 - lean / 2)),
            new(w / 2, h / 2),
            new(-w / 2, h / 2),
        ];
        var (sin, cos) = Math.SinCos(turn * Math.PI / 180);
        return [.. flat.Select(p => new Point(width / 2.0 + p.X * cos - p.Y * sin, height / 2.0 + p.X * sin + p.Y * cos))];
    }

    // The projective map of a rectangle to four corners (Heckbert 1989, Fundamentals of texture mapping and image warping).
    private static SKMatrix ToCorners(float width, float height, IReadOnlyList<Point> to)
    {
        var (a, b, c, d) = (to[0], to[1], to[2], to[3]);
        var (dx1, dx2, sx) = (b.X - c.X, d.X - c.X, a.X - b.X + c.X - d.X);
        var (dy1, dy2, sy) = (b.Y - c.Y, d.Y - c.Y, a.Y - b.Y + c.Y - d.Y);
        var below = dx1 * dy2 - dx2 * dy1;
        var (g, h) = ((sx * dy2 - dx2 * sy) / below, (dx1 * sy - sx * dy1) / below);
        return new SKMatrix(
            (float)((b.X - a.X + g * b.X) / width),
            (float)((d.X - a.X + h * d.X) / height),
            (float)a.X,
            (float)((b.Y - a.Y + g * b.Y) / width),
            (float)((d.Y - a.Y + h * d.Y) / height),
            (float)a.Y,
            (float)(g / width),
            (float)(h / height),
            1
        );
    }

    private static SKBitmap Sheet(IReadOnlyList<LeafOnSheet> leaves, Shot shot)
    {
        var bitmap = new SKBitmap((int)(SheetWidth * Fine), (int)(SheetHeight * Fine), SKColorType.Rgba8888, SKAlphaType.Opaque);
        using var canvas = new SKCanvas(bitmap);
        canvas.Clear(new SKColor(243, 240, 232));
        if (shot.SquaredPaper)
            Squares(canvas);
        Ruler(canvas);
        foreach (var leaf in leaves)
        {
            using var blade = Path(leaf.Blade);
            using var shadow = new SKPaint
            {
                Color = new SKColor(70, 66, 60, 110),
                IsAntialias = true,
                MaskFilter = SKMaskFilter.CreateBlur(SKBlurStyle.Normal, 6),
            };
            canvas.Save();
            canvas.Translate(9, 11);
            canvas.DrawPath(blade, shadow);
            canvas.Restore();
            using var green = new SKPaint { Color = LeafGreen, IsAntialias = true };
            canvas.DrawPath(blade, green);
            using var line = new SKPaint
            {
                Color = LeafGreen,
                IsAntialias = true,
                IsStroke = true,
                StrokeWidth = 0.11f * Fine,
                StrokeCap = SKStrokeCap.Round,
            };
            if (leaf.Stalk.Count > 1)
            {
                using var stalk = Path(leaf.Stalk, closed: false);
                canvas.DrawPath(stalk, line);
            }
            using var vein = new SKPaint
            {
                Color = new SKColor(190, 205, 140, 150),
                IsAntialias = true,
                IsStroke = true,
                StrokeWidth = 2,
            };
            foreach (var one in leaf.Veins)
            {
                using var path = Path(one, closed: false);
                canvas.DrawPath(path, vein);
            }
        }
        return bitmap;
    }

    private static SKPath Path(IReadOnlyList<Point> points, bool closed = true)
    {
        using var path = new SKPathBuilder();
        path.MoveTo((float)points[0].X * Fine, (float)points[0].Y * Fine);
        foreach (var point in points.Skip(1))
            path.LineTo((float)point.X * Fine, (float)point.Y * Fine);
        if (closed)
            path.Close();
        return path.Detach();
    }

    private static void Squares(SKCanvas canvas)
    {
        using var paint = new SKPaint
        {
            Color = new SKColor(196, 206, 220),
            StrokeWidth = 2,
            IsStroke = true,
        };
        for (var x = 0.5f; x < SheetWidth; x += 0.5f)
            canvas.DrawLine(x * Fine, 0, x * Fine, (float)SheetHeight * Fine, paint);
        for (var y = 0.5f; y < SheetHeight; y += 0.5f)
            canvas.DrawLine(0, y * Fine, (float)SheetWidth * Fine, y * Fine, paint);
    }

    // Along the foot of the sheet: centimetres from 1 to 16.
    private static void Ruler(SKCanvas canvas)
    {
        using var body = new SKPaint { Color = new SKColor(226, 224, 218) };
        using var tick = new SKPaint
        {
            Color = new SKColor(40, 40, 40),
            StrokeWidth = 3,
            IsStroke = true,
        };
        canvas.DrawRect(0.6f * Fine, 27.6f * Fine, 16.8f * Fine, 1.4f * Fine, body);
        for (var i = 0; i <= 160; i++)
        {
            var length = (i % 10, i % 5) switch
            {
                (0, _) => 0.7f,
                (_, 0) => 0.5f,
                _ => 0.3f,
            };
            canvas.DrawLine((1 + i * 0.1f) * Fine, 27.6f * Fine, (1 + i * 0.1f) * Fine, (27.6f + length) * Fine, tick);
        }
    }

    private static void Light(SKBitmap bitmap, double uneven, double noise, Random random)
    {
        var pixels = bitmap.GetPixelSpan();
        // Grain by the triangle’s law, drawn once and strewn: a picture has millions of pixels.
        var grains = new int[16_411];
        for (var i = 0; i < grains.Length; i++)
            grains[i] = (int)(noise * (random.NextDouble() + random.NextDouble() - 1) * 255);
        var next = 0;
        var (width, height) = (bitmap.Width, bitmap.Height);
        for (var y = 0; y < height; y++)
            for (var x = 0; x < width; x++)
            {
                // Darker towards the lower right, as beside a window.
                var light = 1 - uneven * ((double)x / width + (double)y / height) / 2;
                var grain = grains[next = next + 1 == grains.Length ? random.Next(64) : next + 1];
                var at = pixels.Slice(4 * (y * width + x), 3);
                for (var channel = 0; channel < 3; channel++)
                    at[channel] = (byte)Math.Clamp(at[channel] * light + grain, 0, 255);
            }
    }
}
