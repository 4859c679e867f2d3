using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Tests;

/// <summary>Some seventy kinds with the whole vocabulary, read once for all tests. The rules are tested on it; what ships is tested
/// elsewhere.</summary>
public static class SmallFlora
{
    private static readonly Lazy<Outcome<Flora>> Loaded = new(Load);
    private static readonly Lazy<Sieve> Made = new(() => new Sieve(Flora));

    public static Outcome<Flora> Reading => Loaded.Value;

    public static Flora Flora => Reading.Value;

    public static Sieve Sieve => Made.Value;

    public static DrawnVocabulary Drawn { get; } = new(Flora.Vocabulary, Flora.Vocabulary);

    /// <summary>Its folder, beside the tests.</summary>
    public static string Folder => Path.Combine(AppContext.BaseDirectory, "small-flora");

    /// <summary>A file of it.</summary>
    public static string Text(string path) => System.IO.File.ReadAllText(Path.Combine(Folder, path));

    private static Outcome<Flora> Load() =>
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
