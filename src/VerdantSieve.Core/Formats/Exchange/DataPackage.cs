using System.IO.Compression;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>A whole flora as a tabular data package: a zip of CSV tables with a description of their columns. It holds all that a flora
/// holds.</summary>
/// <remarks>Frictionless Data: the specifications Data Package, Tabular Data Resource and Table Schema, version 1 (as remembered; the rules
/// that matter
/// are checked in the tests). The tables: <c>about</c>, <c>characters</c>, <c>states</c> and <c>taxa</c>, the last with a column for each
/// character.</remarks>
public sealed class DataPackage : FloraFormat
{
    /// <inheritdoc/>
    public override string Id => "package";

    /// <inheritdoc/>
    public override string Name => "data package";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Extensions { get; } = [".zip"];

    /// <inheritdoc/>
    public override string MediaType => "application/zip";

    /// <inheritdoc/>
    public override string Holds => "all of a flora";

    /// <inheritdoc/>
    public override bool NamesTheFlora => true;

    /// <inheritdoc/>
    public override IReadOnlyList<string> Lost(Flora flora) =>
        flora.About.Shared.Count == 0 ? [] : ["What a genus or all taxa share stands with each taxon as its own."];

    /// <inheritdoc/>
    public override void Write(Flora flora, Stream stream)
    {
        using var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true);
        var tables = PackageTables.Of(flora);
        foreach (var table in tables)
            PackageCsv.Write(zip, table);
        using var descriptor = new StreamWriter(zip.CreateEntry("datapackage.json").Open());
        descriptor.Write(PackageDescriptor.Of(flora, tables));
    }

    /// <inheritdoc/>
    public override Outcome<Flora> Read(Stream stream, FloraFileRequest asked, CancellationToken cancel = default)
    {
        try
        {
            using var zip = new ZipArchive(stream, ZipArchiveMode.Read, leaveOpen: true);
            if (zip.Entries.Sum(entry => entry.Length) > FileBounds.MostUnpacked)
                return Fault.InFile("the package", 1, $"it unpacks to more than {FileBounds.MostUnpacked / 1024 / 1024} MB");
            return FloraReader.ReadEntries(PackageEntries.Read(zip, asked.Progress, cancel), cancel);
        }
        catch (InvalidDataException)
        {
            return Fault.InFile("the package", 1, "it is not a zip file, or is cut short");
        }
        catch (UnreadableException unreadable)
        {
            return unreadable.Fault;
        }
    }
}
