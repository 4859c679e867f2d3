using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Flora.Tests;

/// <summary>The flora that ships with the application, read once for all tests.</summary>
public static class ShippedFlora
{
    private static readonly Lazy<Outcome<Core.Botany.Flora>> Loaded = new(Load);
    private static readonly Lazy<Sieve> Made = new(() => new Sieve(Flora));

    public static Outcome<Core.Botany.Flora> Reading => Loaded.Value;

    public static Core.Botany.Flora Flora => Reading.Value;

    public static DrawnVocabulary Drawn { get; } = new(Flora.Vocabulary, Flora.Vocabulary);

    public static Sieve Sieve => Made.Value;

    /// <summary>The folder of the shipped flora, found from where the tests run.</summary>
    public static string Folder
    {
        get
        {
            for (var at = new DirectoryInfo(AppContext.BaseDirectory); at is not null; at = at.Parent)
                if (Directory.Exists(Path.Combine(at.FullName, "floras")))
                    return Path.Combine(at.FullName, "floras", "temperate-trees");
            throw new DirectoryNotFoundException("No folder “floras” above " + AppContext.BaseDirectory);
        }
    }

    /// <summary>A file of the shipped flora.</summary>
    public static string Text(string path) => System.IO.File.ReadAllText(Path.Combine(Folder, path));

    /// <summary>A page of the documents.</summary>
    public static string Document(string name) => System.IO.File.ReadAllText(Path.Combine(Folder, "..", "..", "docs", name));

    private static Outcome<Core.Botany.Flora> Load() =>
        FloraReader.Read(
            File("flora.yaml"),
            File("characters.yaml"),
            Directory
                .EnumerateFiles(Path.Combine(Folder, "taxa"), "*.yaml", SearchOption.AllDirectories)
                .Order(StringComparer.Ordinal)
                .Select(path => File(Path.GetRelativePath(Folder, path)))
        );

    private static SourceFile File(string path) => new(path, Text(path));
}
