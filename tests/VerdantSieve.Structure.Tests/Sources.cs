using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;

namespace VerdantSieve.Structure.Tests;

/// <summary>A file of the code.</summary>
/// <param name="Path">Where it stands, from the root.</param>
/// <param name="Text">What it says.</param>
public sealed record Source(string Path, string Text)
{
    private readonly Lazy<CompilationUnitSyntax> unit = new(() => CSharpSyntaxTree.ParseText(Text).GetCompilationUnitRoot());

    /// <summary>It, read.</summary>
    public CompilationUnitSyntax Unit => unit.Value;

    /// <summary>A place in it, for messages.</summary>
    public string At(CSharpSyntaxNode node) => $"{Path}:{node.GetLocation().GetLineSpan().StartLinePosition.Line + 1}";
}

/// <summary>The code as it stands in the folders.</summary>
public static class Sources
{
    /// <summary>The folder that holds the solution.</summary>
    public static string Root { get; } = FindRoot();

    /// <summary>All that is written in C#, but what the migration tool wrote.</summary>
    public static IReadOnlyList<Source> All { get; } = [.. Of("*.cs", "src", "tests", "bench")];

    /// <summary>Core, by the folder each file stands in.</summary>
    public static IEnumerable<(string Folder, Source Source)> Core =>
        from source in All
        where source.Path.StartsWith("src/VerdantSieve.Core/", StringComparison.Ordinal)
        let parts = source.Path.Split('/')
        where parts.Length > 3
        select (parts[2], source);

    /// <summary>What is built and shipped.</summary>
    public static IEnumerable<Source> Shipped => All.Where(source => source.Path.StartsWith("src/", StringComparison.Ordinal));

    /// <summary>The pages and their components.</summary>
    public static IEnumerable<Source> Pages => Of("*.cshtml", "src").Concat(Of("*.razor", "src"));

    /// <summary>The style sheets for the screen.</summary>
    public static IEnumerable<Source> Styles =>
        Of("*.css", "src").Where(source => source.Path.Contains("/Styles/") && !source.Path.EndsWith("/print.css"));

    private static IEnumerable<Source> Of(string pattern, params string[] folders) =>
        folders
            .SelectMany(folder => Directory.EnumerateFiles(Path.Combine(Root, folder), pattern, SearchOption.AllDirectories))
            .Select(path => Path.GetRelativePath(Root, path).Replace('\\', '/'))
            .Where(path => !path.Split('/').Any(part => part is "bin" or "obj" or "Migrations" or "StrykerOutput"))
            .Order(StringComparer.Ordinal)
            .Select(path => new Source(path, File.ReadAllText(Path.Combine(Root, path))));

    private static string FindRoot()
    {
        for (var at = new DirectoryInfo(AppContext.BaseDirectory); at is not null; at = at.Parent)
            if (File.Exists(Path.Combine(at.FullName, "VerdantSieve.slnx")))
                return at.FullName;
        throw new DirectoryNotFoundException("No VerdantSieve.slnx above " + AppContext.BaseDirectory);
    }
}
