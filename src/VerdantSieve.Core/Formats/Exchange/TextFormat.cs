using System.Text;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>A format whose files are text in UTF-8.</summary>
public abstract class TextFormat : FloraFormat
{
    /// <summary>The text of the file.</summary>
    public abstract string WriteText(Flora flora);

    /// <summary>Reads a flora from the text of a file.</summary>
    /// <param name="source">The file.</param>
    /// <param name="id">The id the flora is to have.</param>
    /// <param name="cancel">Stops the work.</param>
    public abstract Outcome<Flora> ReadText(SourceFile source, string id, CancellationToken cancel = default);

    /// <inheritdoc/>
    public override void Write(Flora flora, Stream stream) => stream.Write(Encoding.UTF8.GetBytes(WriteText(flora)));

    /// <inheritdoc/>
    public override Outcome<Flora> Read(Stream stream, FloraFileRequest asked, CancellationToken cancel = default)
    {
        using var reader = new StreamReader(stream, new UTF8Encoding(false, throwOnInvalidBytes: true), leaveOpen: true);
        try
        {
            if (stream.Length > FileBounds.MostUnpacked)
                return Fault.InFile(asked.File, 1, $"it is larger than {FileBounds.MostUnpacked / 1024 / 1024} MB");
            return ReadText(new SourceFile(asked.File, reader.ReadToEnd()), asked.FloraId, cancel);
        }
        catch (DecoderFallbackException)
        {
            return Fault.InFile(asked.File, 1, "the file is not UTF-8");
        }
    }
}
