using System.Security.Cryptography;
using System.Text;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;

namespace VerdantSieve.Store.Floras;

/// <summary>The files of a flora in a folder.</summary>
internal sealed class FloraFiles
{
    // Changes with the shape in which floras are stored, so that they are stored anew.
    private const string StoredShape = "5";

    private readonly SourceFile about,
        vocabulary;
    private readonly SourceFile[] taxa;

    private FloraFiles(SourceFile about, SourceFile vocabulary, SourceFile[] taxa)
    {
        (this.about, this.vocabulary) = (about, vocabulary);
        this.taxa = taxa;
    }

    /// <summary>Finds the files.</summary>
    /// <exception cref="DirectoryNotFoundException">There is no flora in the folder.</exception>
    public static FloraFiles In(string folder)
    {
        var taxa = Path.Combine(folder, "taxa");
        if (!Directory.Exists(taxa))
            throw new DirectoryNotFoundException($"There is no flora in {folder}: it needs flora.yaml, characters.yaml and a folder taxa.");
        var paths = Directory.EnumerateFiles(taxa, "*.yaml", SearchOption.AllDirectories).Order(StringComparer.Ordinal);
        return new FloraFiles(
            File(Path.Combine(folder, "flora.yaml")),
            File(Path.Combine(folder, "characters.yaml")),
            [.. paths.Select(File)]
        );

        SourceFile File(string path) => new(Path.GetRelativePath(folder, path).Replace('\\', '/'), System.IO.File.ReadAllText(path));
    }

    /// <summary>Changes with any file, and with the shape in which floras are stored.</summary>
    public string Fingerprint()
    {
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        hash.AppendData(Encoding.UTF8.GetBytes(StoredShape));
        foreach (var file in taxa.Prepend(vocabulary).Prepend(about))
            hash.AppendData(Encoding.UTF8.GetBytes($"\0{file.Path}\0{file.Text}"));
        return Convert.ToHexStringLower(hash.GetHashAndReset());
    }

    /// <summary>Reads them.</summary>
    public Outcome<Flora> Read() => FloraReader.Read(about, vocabulary, taxa);
}
