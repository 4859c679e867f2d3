using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>A format that floras come and go in: what its files are called, how they are written and read, and what they can’t hold. Each
/// is one class,
/// registered in <see cref="FloraFormats"/>; addresses, links, accepted files and messages come from there.</summary>
public abstract class FloraFormat
{
    /// <summary>What addresses call it, in small letters.</summary>
    public abstract string Id { get; }

    /// <summary>What people call it.</summary>
    public abstract string Name { get; }

    /// <summary>What ends the names of its files, with the point; the first is the one that is written.</summary>
    public abstract IReadOnlyList<string> Extensions { get; }

    /// <summary>The media type of its files.</summary>
    public abstract string MediaType { get; }

    /// <summary>What it holds, after “it holds”.</summary>
    public abstract string Holds { get; }

    /// <summary>Whether its files say which id the flora has.</summary>
    public virtual bool NamesTheFlora => false;

    /// <summary>Writes a flora, or as much of it as the format can hold.</summary>
    public abstract void Write(Flora flora, Stream stream);

    /// <summary>Reads a flora.</summary>
    /// <param name="stream">The file; must allow seeking.</param>
    /// <param name="asked">How it is to be read.</param>
    /// <param name="cancel">Stops the work.</param>
    /// <returns>The flora, or everything that is wrong, each with its file and line.</returns>
    public abstract Outcome<Flora> Read(Stream stream, FloraFileRequest asked, CancellationToken cancel = default);

    /// <summary>What the format can’t hold of a flora, in sentences; empty where it holds all.</summary>
    public abstract IReadOnlyList<string> Lost(Flora flora);
}

/// <summary>How a file is to be read.</summary>
/// <param name="File">What the file is called, for messages.</param>
/// <param name="FloraId">The id the flora is to have, where its file names none.</param>
/// <param name="Progress">Told how many taxa have been taken in; null where nobody asks.</param>
public sealed record FloraFileRequest(string File, string FloraId = "", IProgress<int>? Progress = null);
