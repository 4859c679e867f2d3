using System.Buffers.Binary;
using System.Text;
using SkiaSharp;
using VerdantSieve.Imaging.Pictures;
using Xunit;

namespace VerdantSieve.Imaging.Tests;

/// <summary>Pictures written anew: what is seen stays, all else goes, and what is hostile is refused.</summary>
public class CleanPictureTests
{
    // Red on the left and blue on the right.
    private static byte[] Picture(SKEncodedImageFormat format = SKEncodedImageFormat.Jpeg, int width = 400, int height = 200)
    {
        using var bitmap = new SKBitmap(width, height);
        using (var canvas = new SKCanvas(bitmap))
        {
            canvas.Clear(SKColors.Blue);
            using var red = new SKPaint { Color = SKColors.Red };
            canvas.DrawRect(0, 0, width / 2f, height, red);
        }
        using var image = SKImage.FromBitmap(bitmap);
        return image.Encode(format, 92).ToArray();
    }

    // An EXIF block (TIFF, little-endian; Exif 2.3, section 4.6) with orientation, a place and a time, put behind the first marker.
    private static byte[] WithExif(byte[] jpeg, ushort orientation = 1)
    {
        var tiff = new MemoryStream();
        var w = new BinaryWriter(tiff);
        void Entry(ushort tag, ushort type, uint count, uint value)
        {
            w.Write(tag);
            w.Write(type);
            w.Write(count);
            w.Write(value);
        }
        w.Write("II*\0"u8.ToArray());
        w.Write(8u);
        // The first directory, at 8: three entries end at 50.
        w.Write((ushort)3);
        Entry(0x0112, 3, 1, orientation);
        Entry(0x8769, 4, 1, 50);
        Entry(0x8825, 4, 1, 68);
        w.Write(0u);
        // The directory of the photograph, at 50: one entry ends at 68.
        w.Write((ushort)1);
        Entry(0x9003, 2, 20, 146);
        w.Write(0u);
        // The directory of the place, at 68: six entries end at 146.
        w.Write((ushort)6);
        Entry(0x0001, 2, 2, 'N');
        Entry(0x0002, 5, 3, 166);
        Entry(0x0003, 2, 2, 'W');
        Entry(0x0004, 5, 3, 190);
        Entry(0x0005, 1, 1, 0);
        Entry(0x0006, 5, 1, 214);
        w.Write(0u);
        w.Write(Encoding.ASCII.GetBytes("2026:09:12 10:31:00\0"));
        foreach (var (over, under) in new (uint, uint)[] { (45, 1), (6, 1), (0, 1), (123, 1), (12, 1), (0, 1), (183, 1) })
        {
            w.Write(over);
            w.Write(under);
        }
        var body = Encoding.ASCII.GetBytes("Exif\0\0").Concat(tiff.ToArray()).ToArray();
        var length = body.Length + 2;
        byte[] marker = [0xFF, 0xE1, (byte)(length >> 8), (byte)length];
        return [.. jpeg.Take(2), .. marker, .. body, .. jpeg.Skip(2)];
    }

    private static string Text(byte[] bytes) => Encoding.Latin1.GetString(bytes);

    [Theory]
    [InlineData(SKEncodedImageFormat.Jpeg)]
    [InlineData(SKEncodedImageFormat.Png)]
    [InlineData(SKEncodedImageFormat.Webp)]
    public void A_picture_is_written_anew_as_JPEG_large_and_small(SKEncodedImageFormat format)
    {
        var clean = CleanPicture.Of(Picture(format, 4000, 2000), false).Value;
        Assert.Equal((2048, 1024), (clean.Width, clean.Height));
        using var small = SKBitmap.Decode(clean.Small);
        Assert.Equal((320, 160), (small.Width, small.Height));
        Assert.True(small.GetPixel(40, 80).Red > 200 && small.GetPixel(280, 80).Blue > 200);
    }

    [Fact]
    public void Place_and_time_are_read_on_asking_alone_and_are_in_the_picture_no_more()
    {
        var sent = WithExif(Picture());
        Assert.Contains("2026:09:12", Text(sent));
        var asked = CleanPicture.Of(sent, true).Value;
        Assert.Equal(45.1, asked.At!.Value.Latitude, 6);
        Assert.Equal(-123.2, asked.At.Value.Longitude, 6);
        Assert.Equal(183, asked.At.Value.Elevation);
        Assert.Equal(new DateTime(2026, 9, 12, 10, 31, 0), asked.Taken);
        var unasked = CleanPicture.Of(sent, false).Value;
        Assert.Null(unasked.At);
        Assert.Null(unasked.Taken);
        foreach (var written in new[] { asked.Jpeg, asked.Small })
        {
            Assert.DoesNotContain("Exif", Text(written));
            Assert.DoesNotContain("2026:09:12", Text(written));
        }
    }

    // Orientation 6: the camera was held so that the picture's right side is up.
    [Fact]
    public void A_camera_held_on_its_side_gives_an_upright_picture()
    {
        var clean = CleanPicture.Of(WithExif(Picture(), orientation: 6), false).Value;
        Assert.Equal((200, 400), (clean.Width, clean.Height));
        using var seen = SKBitmap.Decode(clean.Jpeg);
        Assert.True(seen.GetPixel(100, 60).Red > 200, "what was left is above");
        Assert.True(seen.GetPixel(100, 340).Blue > 200);
    }

    [Fact]
    public void A_hostile_or_broken_file_is_refused_in_plain_words()
    {
        string Said(byte[] bytes) => CleanPicture.Of(bytes, true).Faults.Single().Sentence;
        Assert.Contains("no picture", Said([]));
        Assert.Contains("no picture", Said(Encoding.UTF8.GetBytes("<svg onload=alert(1)>")));
        Assert.Contains("no picture", Said([.. "GIF89a"u8, .. new byte[100]]));
        Assert.Contains("broken", Said([.. Picture(SKEncodedImageFormat.Png).Take(300)]));
        Assert.Contains("At most 16 MB", Said(new byte[PictureBounds.MostBytes + 1]));
        // A small file that claims to be as large as a house: the width in the head of a PNG.
        var bomb = Picture(SKEncodedImageFormat.Png);
        BinaryPrimitives.WriteInt32BigEndian(bomb.AsSpan(16), 60_000);
        BinaryPrimitives.WriteInt32BigEndian(bomb.AsSpan(20), 60_000);
        // Its checksum is that of its kind and its content.
        BinaryPrimitives.WriteUInt32BigEndian(bomb.AsSpan(29), System.IO.Hashing.Crc32.HashToUInt32(bomb.AsSpan(12, 17)));
        Assert.Contains("60000 × 60000 pixels", Said(bomb));
    }
}
