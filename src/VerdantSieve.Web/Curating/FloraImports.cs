using System.Collections.Concurrent;
using System.Security.Cryptography;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Formats.Exchange;
using VerdantSieve.Store.Floras;

namespace VerdantSieve.Web.Curating;

/// <summary>How far an import is.</summary>
public enum ImportStage
{
    /// <summary>The rows are being taken in and checked.</summary>
    Reading,
    /// <summary>All is well with it, and it is being kept.</summary>
    Keeping,
    /// <summary>It is kept.</summary>
    Done,
    /// <summary>Nothing was kept.</summary>
    Refused,
    /// <summary>It was stopped, and nothing was kept.</summary>
    Stopped
}

/// <summary>The formats that floras come and go in.</summary>
public enum FloraFormat
{
    /// <summary>A tabular data package (.zip), which holds all of a flora.</summary>
    DataPackage,
    /// <summary>NEXUS (.nex), which holds states.</summary>
    Nexus,
    /// <summary>Structured Descriptive Data (.xml), which holds states and ranges.</summary>
    StructuredDescriptions
}

/// <summary>Tells formats by the names of files.</summary>
public static class FloraFormats
{
    /// <summary>The format of a file of this name; null where it is none of them.</summary>
    public static FloraFormat? Of(string file) => Path.GetExtension(file).ToLowerInvariant() switch
    {
        ".zip" => FloraFormat.DataPackage, ".nex" or ".nxs" => FloraFormat.Nexus, ".xml" or ".sdd" => FloraFormat.StructuredDescriptions, _ => null
    };
}

/// <summary>One import: how far it is, and what came of it.</summary>
public sealed class FloraImport
{
    public required string Id { get; init; }
    public required string File { get; init; }
    public ImportStage Stage { get; set; }
    public int Taxa { get; set; }
    public string Flora { get; set; } = "";
    public IReadOnlyList<Fault> Faults { get; set; } = [];
    public CancellationTokenSource Stop { get; } = new();
    public bool IsOver => Stage is not (ImportStage.Reading or ImportStage.Keeping);
}

/// <summary>Reads floras that were sent, beside all else, one after another.</summary>
public sealed class FloraImports(IServiceScopeFactory scopes, FloraShelf shelf)
{
    /// <summary>The most that may be sent, in bytes.</summary>
    public const long Largest = 64L * 1024 * 1024;

    private const int Kept = 50;
    private readonly ConcurrentDictionary<string, FloraImport> imports = new();
    private readonly SemaphoreSlim one = new(1);

    /// <summary>An import that was begun, or null.</summary>
    public FloraImport? Find(string id) => imports.GetValueOrDefault(id);

    /// <summary>Begins to read a file; what came of it is asked for by the id of the import.</summary>
    /// <param name="path">A file of its own, removed when it has been read.</param>
    /// <param name="name">What it was called where it came from.</param>
    /// <param name="floraId">The id for a flora whose format names none.</param>
    /// <param name="replace">Whether it takes the place of an own flora of the same id.</param>
    public FloraImport Begin(string path, string name, string floraId, bool replace)
    {
        foreach (var old in imports.Values.Where(import => import.IsOver).Take(Math.Max(0, imports.Count - Kept))) imports.TryRemove(old.Id, out _);
        var import = new FloraImport { Id = RandomNumberGenerator.GetHexString(12, lowercase: true), File = name };
        imports[import.Id] = import;
        _ = Task.Run(() => Run(import, path, floraId, replace));
        return import;
    }

    private async Task Run(FloraImport import, string path, string floraId, bool replace)
    {
        await one.WaitAsync();
        try
        {
            var reading = Read(import, path, floraId);
            if (reading.Flora is not { } flora)
            {
                (import.Faults, import.Stage) = (reading.Faults, ImportStage.Refused);
                return;
            }
            (import.Stage, import.Taxa, import.Flora) = (ImportStage.Keeping, flora.Taxa.Count, flora.About.Id);
            await using var scope = scopes.CreateAsyncScope();
            var problem = await scope.ServiceProvider.GetRequiredService<FloraLibrary>().Keep(flora, replace, import.Stop.Token);
            shelf.Close(flora.About.Id);
            if (problem is not null) import.Faults = [new Fault(import.File, 1, problem)];
            import.Stage = problem is null ? ImportStage.Done : ImportStage.Refused;
        }
        catch (OperationCanceledException) { import.Stage = ImportStage.Stopped; }
        catch (Exception trouble)
        {
            // Whatever went wrong, the person is told, and nothing is half kept.
            (import.Faults, import.Stage) = ([new Fault(import.File, 1, $"it could not be kept: {trouble.GetBaseException().Message}")], ImportStage.Refused);
        }
        finally
        {
            File.Delete(path);
            one.Release();
        }
    }

    private static FloraReading Read(FloraImport import, string path, string floraId)
    {
        using var stream = File.OpenRead(path);
        var format = FloraFormats.Of(import.File);
        if (format == FloraFormat.DataPackage) return DataPackage.Read(stream, new Counter(import), import.Stop.Token);
        using var text = new StreamReader(stream, new System.Text.UTF8Encoding(false, throwOnInvalidBytes: true));
        try
        {
            var source = new SourceFile(import.File, text.ReadToEnd());
            return format == FloraFormat.Nexus ? Nexus.Read(source, floraId) : StructuredDescriptions.Read(source, floraId);
        }
        catch (System.Text.DecoderFallbackException) { return new FloraReading(null, [new Fault(import.File, 1, "the file is not UTF-8")]); }
    }

    private sealed class Counter(FloraImport import) : IProgress<int>
    {
        public void Report(int value) => import.Taxa = value;
    }
}
