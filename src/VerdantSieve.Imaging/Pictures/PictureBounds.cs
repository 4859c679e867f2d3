using SkiaSharp;
using VerdantSieve.Core;

namespace VerdantSieve.Imaging.Pictures;

/// <summary>Which pictures are let in.</summary>
public static class PictureBounds
{
    /// <summary>The most bytes of a file: 16 MB.</summary>
    public const int MostBytes = 16 * 1024 * 1024;

    /// <summary>The most pixels of a picture.</summary>
    public const int MostPixels = 24_000_000;

    /// <summary>What is said of a file that is no picture.</summary>
    public static Fault Unreadable => Fault.AtField("picture", null, "This is no picture that can be read; JPEG, PNG and WebP can.");

    /// <summary>Looks at a file before it is unpacked: a small file may unpack to more than there is memory for, and other formats are not
    /// let in.</summary>
    /// <returns>What is wrong with it; null where nothing is.</returns>
    public static Fault? Amiss(ReadOnlySpan<byte> picture)
    {
        if (picture.Length > MostBytes)
            return Fault.AtField("picture", null, $"At most {MostBytes / 1024 / 1024} MB can be read.");
        using var data = SKData.CreateCopy(picture);
        using var codec = SKCodec.Create(data);
        if (
            codec is null
            || codec.EncodedFormat is not (SKEncodedImageFormat.Jpeg or SKEncodedImageFormat.Png or SKEncodedImageFormat.Webp)
        )
            return Unreadable;
        var (width, height) = (codec.Info.Width, codec.Info.Height);
        return (long)width * height > MostPixels
            ? Fault.AtField(
                "picture",
                null,
                $"The picture has {width} × {height} pixels; at most {MostPixels / 1_000_000} million can be read."
            )
            : null;
    }
}
