using System.IO.Hashing;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>Reads a file out of a package and holds it to its word: no longer than allowed, whatever its header says, and with the checksum
/// (CRC-32 of the ZIP application note) that stands there.</summary>
internal sealed class CheckedStream(Stream inner, uint checksum, long most) : Stream
{
    private readonly Crc32 sum = new();
    private long read;

    public override bool CanRead => true;
    public override bool CanSeek => false;
    public override bool CanWrite => false;
    public override long Length => throw new NotSupportedException();

    public override long Position
    {
        get => read;
        set => throw new NotSupportedException();
    }

    /// <exception cref="InvalidDataException">It is longer than allowed, or not what was packed.</exception>
    public override int Read(byte[] buffer, int offset, int count) => Read(buffer.AsSpan(offset, count));

    /// <exception cref="InvalidDataException">It is longer than allowed, or not what was packed.</exception>
    public override int Read(Span<byte> buffer)
    {
        var got = inner.Read(buffer);
        sum.Append(buffer[..got]);
        read += got;
        if (read > most || (got == 0 && buffer.Length > 0 && sum.GetCurrentHashAsUInt32() != checksum))
            throw new InvalidDataException();
        return got;
    }

    public override void Flush() => inner.Flush();

    public override long Seek(long offset, SeekOrigin origin) => throw new NotSupportedException();

    public override void SetLength(long value) => throw new NotSupportedException();

    public override void Write(byte[] buffer, int offset, int count) => throw new NotSupportedException();

    protected override void Dispose(bool disposing)
    {
        if (disposing)
            inner.Dispose();
        base.Dispose(disposing);
    }
}
