using MetadataExtractor;
using MetadataExtractor.Formats.Exif;
using SkiaSharp;
using VerdantSieve.Core;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Imaging.Pictures;

/// <summary>A picture written anew, so that nothing is left of the file it came in but what is seen.</summary>
/// <param name="Jpeg">The picture.</param>
/// <param name="Small">The same, small, for lists.</param>
/// <param name="Width">How wide it is, in pixels.</param>
/// <param name="Height">How high it is.</param>
public sealed record CleanPicture(byte[] Jpeg, byte[] Small, int Width, int Height)
{
    // Longest sides, and how much is kept of the finest detail.
    private const int Side = 2048,
        SmallSide = 320,
        Quality = 86;

    /// <summary>Where it says it was taken; null where it does not.</summary>
    public Position? At { get; init; }

    /// <summary>When it says it was taken, by the clock of the camera; null where it does not.</summary>
    public DateTime? Taken { get; init; }

    /// <summary>Writes a picture anew.</summary>
    /// <param name="bytes">The file.</param>
    /// <param name="readsPlaceAndTime">Whether what the file says of where and when is read; it is never written.</param>
    /// <returns>The picture, or in plain words why it can't be taken.</returns>
    public static Outcome<CleanPicture> Of(byte[] bytes, bool readsPlaceAndTime)
    {
        if (PictureBounds.Amiss(bytes) is { } amiss)
            return amiss;
        using var data = SKData.CreateCopy(bytes);
        using var codec = SKCodec.Create(data);
        using var seen = Unpacked(codec);
        if (seen is null)
            return Fault.AtField("picture", null, "This picture is broken: it ends too soon, or part of it can’t be read.");
        using var upright = Upright(seen, codec.EncodedOrigin);
        using var large = Within(upright, Side);
        using var small = Within(upright, SmallSide);
        var (at, taken) = readsPlaceAndTime ? Said(bytes) : default;
        return new CleanPicture(Written(large), Written(small), large.Width, large.Height) { At = at, Taken = taken };
    }

    // What is far larger than it is kept is unpacked at half or a quarter of its size, where its format can do that.
    private static SKBitmap? Unpacked(SKCodec codec)
    {
        var longest = Math.Max(codec.Info.Width, codec.Info.Height);
        var size = codec.GetScaledDimensions(Math.Min(1, 2f * Side / longest));
        var bitmap = new SKBitmap(new SKImageInfo(size.Width, size.Height, SKColorType.Rgba8888, SKAlphaType.Premul));
        if (codec.GetPixels(bitmap.Info, bitmap.GetPixels()) == SKCodecResult.Success)
            return bitmap;
        bitmap.Dispose();
        return null;
    }

    // A camera held on its side says so beside the picture; what is written says nothing beside it.
    private static SKBitmap Upright(SKBitmap seen, SKEncodedOrigin origin)
    {
        var turned =
            origin is SKEncodedOrigin.LeftTop or SKEncodedOrigin.RightTop or SKEncodedOrigin.RightBottom or SKEncodedOrigin.LeftBottom;
        var upright = new SKBitmap(turned ? seen.Height : seen.Width, turned ? seen.Width : seen.Height);
        using var canvas = new SKCanvas(upright);
        // On white, where the picture has holes.
        canvas.Clear(SKColors.White);
        var (w, h) = ((float)seen.Width, (float)seen.Height);
        var matrix = origin switch
        {
            SKEncodedOrigin.TopLeft => SKMatrix.Identity,
            SKEncodedOrigin.TopRight => new SKMatrix(-1, 0, w, 0, 1, 0, 0, 0, 1),
            SKEncodedOrigin.BottomRight => new SKMatrix(-1, 0, w, 0, -1, h, 0, 0, 1),
            SKEncodedOrigin.BottomLeft => new SKMatrix(1, 0, 0, 0, -1, h, 0, 0, 1),
            SKEncodedOrigin.LeftTop => new SKMatrix(0, 1, 0, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightTop => new SKMatrix(0, -1, h, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightBottom => new SKMatrix(0, -1, h, -1, 0, w, 0, 0, 1),
            SKEncodedOrigin.LeftBottom => new SKMatrix(0, 1, 0, -1, 0, w, 0, 0, 1),
        };
        canvas.SetMatrix(matrix);
        canvas.DrawBitmap(seen, 0, 0, new SKSamplingOptions(SKFilterMode.Linear));
        return upright;
    }

    private static SKBitmap Within(SKBitmap picture, int side)
    {
        var part = Math.Min(1, (double)side / Math.Max(picture.Width, picture.Height));
        var info = new SKImageInfo(
            Math.Max(1, (int)Math.Round(picture.Width * part)),
            Math.Max(1, (int)Math.Round(picture.Height * part)),
            SKColorType.Rgba8888,
            SKAlphaType.Premul
        );
        return picture.Resize(info, new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
    }

    private static byte[] Written(SKBitmap picture)
    {
        using var image = SKImage.FromBitmap(picture);
        using var jpeg = image.Encode(SKEncodedImageFormat.Jpeg, Quality);
        return jpeg.ToArray();
    }

    private static (Position? At, DateTime? Taken) Said(byte[] bytes)
    {
        try
        {
            var said = ImageMetadataReader.ReadMetadata(new MemoryStream(bytes));
            var gps = said.OfType<GpsDirectory>().FirstOrDefault();
            var exif = said.OfType<ExifSubIfdDirectory>().FirstOrDefault();
            var taken =
                exif is not null && exif.TryGetDateTime(ExifDirectoryBase.TagDateTimeOriginal, out var when) ? when : (DateTime?)null;
            var up =
                gps is not null && gps.TryGetRational(GpsDirectory.TagAltitude, out var metres) && metres.Denominator != 0
                    ? metres.ToDouble()
                    : 0;
            return (
                gps?.GetGeoLocation() is { IsZero: false } at && Position.Of(at.Latitude, at.Longitude, up).Has(out var position)
                    ? position
                    : null,
                taken
            );
        }
        catch (Exception broken) when (broken is ImageProcessingException or MetadataException or IOException or ArgumentException)
        {
            // The picture can be seen; what stands beside it can't be read.
            return default;
        }
    }
}
