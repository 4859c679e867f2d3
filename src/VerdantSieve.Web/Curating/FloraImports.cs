using System.Collections.Concurrent;
using System.Security.Cryptography;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats.Exchange;
using VerdantSieve.Store.Floras;

namespace VerdantSieve.Web.Curating;

/// <summary>Reads floras that were sent, beside all else, one after another.</summary>
public sealed class FloraImports(IServiceScopeFactory scopes, FloraShelf shelf, ILogger<FloraImports> log)
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
    /// <param name="format">The format it is in.</param>
    /// <param name="floraId">The id for a flora whose format names none.</param>
    /// <param name="replace">Whether it takes the place of an own flora of the same id.</param>
    public FloraImport Begin(string path, string name, FloraFormat format, string floraId, bool replace)
    {
        foreach (var old in imports.Values.Where(import => import.IsOver).Take(Math.Max(0, imports.Count - Kept)))
            imports.TryRemove(old.Id, out _);
        var import = new FloraImport { Id = RandomNumberGenerator.GetHexString(12, lowercase: true), File = name };
        imports[import.Id] = import;
        _ = Task.Run(() => Run(import, path, format, floraId, replace));
        return import;
    }

    private async Task Run(FloraImport import, string path, FloraFormat format, string floraId, bool replace)
    {
        await one.WaitAsync();
        try
        {
            await using var stream = File.OpenRead(path);
            var reading = format.Read(stream, new FloraFileRequest(import.File, floraId, new Counter(import)), import.Stop.Token);
            import.Faults = reading.Has(out var flora) ? await Keep(import, flora, replace) : reading.Faults;
            import.Stage = import.Faults.Count == 0 ? ImportStage.Done : ImportStage.Refused;
        }
        catch (OperationCanceledException)
        {
            import.Stage = ImportStage.Stopped;
        }
        catch (Exception trouble)
        {
            // Whatever went wrong, the person is told, and nothing is half kept.
            log.LogError(trouble, "An import could not be kept.");
            import.Faults = [Fault.InFile(import.File, 1, $"it could not be kept: {trouble.GetBaseException().Message}")];
            import.Stage = ImportStage.Refused;
        }
        finally
        {
            File.Delete(path);
            one.Release();
        }
    }

    private async Task<IReadOnlyList<Fault>> Keep(FloraImport import, Flora flora, bool replace)
    {
        (import.Stage, import.Taxa) = (ImportStage.Keeping, flora.Taxa.Count);
        import.Flora = flora.About.Id;
        await using var scope = scopes.CreateAsyncScope();
        var kept = await scope.ServiceProvider.GetRequiredService<FloraLibrary>().Keep(flora, replace, import.Stop.Token);
        shelf.Close(flora.About.Id);
        return kept.Faults;
    }

    private sealed class Counter(FloraImport import) : IProgress<int>
    {
        public void Report(int value) => import.Taxa = value;
    }
}
