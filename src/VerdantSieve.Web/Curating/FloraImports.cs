using System.Collections.Concurrent;
using System.Security.Cryptography;
using Microsoft.EntityFrameworkCore;
using NodaTime;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats.Exchange;
using VerdantSieve.Store;
using VerdantSieve.Store.Floras;

namespace VerdantSieve.Web.Curating;

/// <summary>Reads floras that were sent, beside all else. What became of each stands in the database, so that it can be said after the
/// process has gone.</summary>
public sealed class FloraImports(IServiceScopeFactory scopes, FloraShelf shelf, IClock clock, Settings settings, ILogger<FloraImports> log)
{
    // So many at a time: a slow one must not keep the others waiting, and many must not keep the pages waiting.
    private const int AtATime = 2,
        MostWaiting = 20;

    private static readonly Duration Silence = Duration.FromSeconds(15),
        HeardEvery = Duration.FromSeconds(2),
        KeptFor = Duration.FromDays(30),
        LeftFor = Duration.FromHours(1);

    private readonly SemaphoreSlim turns = new(AtATime);
    private readonly ConcurrentDictionary<string, CancellationTokenSource> running = new();

    private string Folder => Path.Combine(settings.Run, "imports");

    private DateTimeOffset Now => clock.GetCurrentInstant().ToDateTimeOffset();

    /// <summary>A file of its own for what is being sent; those that a stopped process has left go.</summary>
    public string NewFile()
    {
        Directory.CreateDirectory(Folder);
        foreach (var left in new DirectoryInfo(Folder).EnumerateFiles())
            if (Instant.FromDateTimeUtc(left.LastWriteTimeUtc) < clock.GetCurrentInstant() - LeftFor)
                left.Delete();
        return Path.Combine(Folder, RandomNumberGenerator.GetHexString(16, lowercase: true));
    }

    /// <summary>An import that was begun, or null. One that is not over and of which nothing has been heard was cut short.</summary>
    public async Task<FloraImport?> Find(string id, CancellationToken cancel)
    {
        await using var scope = scopes.CreateAsyncScope();
        var database = scope.ServiceProvider.GetRequiredService<SieveContext>();
        if (
            id.Any(char.IsControl) || await database.Imports.AsNoTracking().SingleOrDefaultAsync(row => row.Id == id, cancel) is not { } row
        )
            return null;
        var stage = EnumWords.TryRead<ImportStage>(row.Stage, out var read) ? read : ImportStage.Stopped;
        var import = new FloraImport(row.Id, row.File, stage, row.Taxa, row.Flora, row.Faults);
        return import.IsOver || Now - row.Heard < Silence.ToTimeSpan() ? import : import with { Stage = ImportStage.CutShort };
    }

    /// <summary>Begins to read a file; what came of it is asked for by the id it gives.</summary>
    /// <param name="path">A file of its own, removed when it has been read.</param>
    /// <param name="name">What it was called where it came from.</param>
    /// <param name="format">The format it is in.</param>
    /// <param name="floraId">The id for a flora whose format names none.</param>
    /// <param name="replace">Whether it takes the place of an own flora of the same id.</param>
    /// <returns>The id of the import; null where too many are waiting already.</returns>
    public async Task<string?> Begin(string path, string name, FloraFormat format, string floraId, bool replace)
    {
        if (running.Count >= MostWaiting)
            return null;
        var row = new ImportRow
        {
            Id = RandomNumberGenerator.GetHexString(12, lowercase: true),
            File = name.Length > 200 ? name[..200] : name,
            Stage = ImportStage.Reading.Word(),
            Begun = Now,
            Heard = Now,
        };
        await using (var scope = scopes.CreateAsyncScope())
        {
            var database = scope.ServiceProvider.GetRequiredService<SieveContext>();
            var old = Now - KeptFor.ToTimeSpan();
            await database.Imports.Where(import => import.Begun < old).ExecuteDeleteAsync();
            database.Imports.Add(row);
            await database.SaveChangesAsync();
        }
        var stop = running[row.Id] = new CancellationTokenSource();
        _ = Task.Factory.StartNew(() => Run(row, path, format, floraId, replace, stop), TaskCreationOptions.LongRunning).Unwrap();
        return row.Id;
    }

    /// <summary>Stops an import; nothing of it is kept.</summary>
    public void Stop(string id)
    {
        if (running.TryGetValue(id, out var stop))
            stop.Cancel();
    }

    private async Task Run(ImportRow row, string path, FloraFormat format, string floraId, bool replace, CancellationTokenSource stop)
    {
        using var beats = new CancellationTokenSource();
        var beating = Beat(row, beats.Token);
        IReadOnlyList<string> faults = [];
        var stage = ImportStage.Stopped;
        var began = false;
        try
        {
            await turns.WaitAsync(stop.Token);
            began = true;
            using var patience = CancellationTokenSource.CreateLinkedTokenSource(stop.Token);
            patience.CancelAfter(FileBounds.Patience);
            var outcome = Read(row, path, format, floraId, patience.Token);
            if (outcome.Has(out var flora))
                outcome = await Keep(row, flora, replace, stop.Token);
            faults = [.. outcome.Faults.Take(FloraImport.MostFaults).Select(FloraImport.Said)];
            stage = faults.Count == 0 ? ImportStage.Done : ImportStage.Refused;
        }
        catch (OperationCanceledException) when (!stop.IsCancellationRequested)
        {
            faults = [$"It took longer than {FileBounds.Patience.TotalSeconds:0} seconds to read, and was given up."];
            stage = ImportStage.Refused;
        }
        catch (OperationCanceledException)
        {
            // The person stopped it.
        }
        catch (Exception trouble)
        {
            // Whatever went wrong, the person is told, and nothing is half kept.
            log.LogError(trouble, "An import could not be kept.");
            faults = [$"{row.File} could not be kept: {trouble.GetBaseException().Message}"];
            stage = ImportStage.Refused;
        }
        finally
        {
            if (began)
                turns.Release();
            await beats.CancelAsync();
            await beating;
            running.TryRemove(row.Id, out _);
            File.Delete(path);
        }
        row.Faults = [.. faults];
        await Tell(row, stage);
    }

    private static Outcome<Flora> Read(ImportRow row, string path, FloraFormat format, string floraId, CancellationToken cancel)
    {
        using var stream = File.OpenRead(path);
        return format.Read(stream, new FloraFileRequest(row.File, floraId, new Counter(row)), cancel);
    }

    private async Task<Outcome<Flora>> Keep(ImportRow row, Flora flora, bool replace, CancellationToken cancel)
    {
        (row.Taxa, row.Flora) = (flora.Taxa.Count, flora.About.Id);
        await Tell(row, ImportStage.Keeping);
        await using var scope = scopes.CreateAsyncScope();
        var kept = await scope.ServiceProvider.GetRequiredService<FloraLibrary>().Keep(flora, replace, cancel);
        shelf.Close(flora.About.Id);
        return kept;
    }

    // Lets be heard that it goes on.
    private async Task Beat(ImportRow row, CancellationToken over)
    {
        using var timer = new PeriodicTimer(HeardEvery.ToTimeSpan());
        try
        {
            while (await timer.WaitForNextTickAsync(over))
                await Tell(row, null);
        }
        catch (OperationCanceledException)
        {
            // It is over.
        }
    }

    private async Task Tell(ImportRow row, ImportStage? stage)
    {
        try
        {
            await using var scope = scopes.CreateAsyncScope();
            var database = scope.ServiceProvider.GetRequiredService<SieveContext>();
            row.Stage = stage?.Word() ?? row.Stage;
            row.Heard = Now;
            database.Imports.Update(row);
            await database.SaveChangesAsync();
        }
        catch (Exception trouble)
        {
            log.LogWarning(trouble, "How far an import is could not be kept.");
        }
    }

    private sealed class Counter(ImportRow row) : IProgress<int>
    {
        public void Report(int value) => row.Taxa = value;
    }
}
