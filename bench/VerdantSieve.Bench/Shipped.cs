using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;

namespace VerdantSieve.Bench;

/// <summary>The project's own files, found from where the bench runs.</summary>
internal static class Shipped
{
    public static string Root
    {
        get
        {
            var folder = AppContext.BaseDirectory;
            while (!Directory.Exists(Path.Combine(folder, "floras")))
                folder = Path.GetDirectoryName(folder.TrimEnd('/'))!;
            return folder;
        }
    }

    public static Flora Flora()
    {
        var folder = Path.Combine(Root, "floras", "temperate-trees");
        SourceFile File(string path) => new(Path.GetRelativePath(folder, path), System.IO.File.ReadAllText(path));
        return FloraReader
            .Read(
                File(Path.Combine(folder, "flora.yaml")),
                File(Path.Combine(folder, "characters.yaml")),
                Directory
                    .EnumerateFiles(Path.Combine(folder, "taxa"), "*.yaml", SearchOption.AllDirectories)
                    .Order(StringComparer.Ordinal)
                    .Select(File)
            )
            .Value;
    }
}
