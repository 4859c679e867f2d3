using System.Collections.Concurrent;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Store.Floras;

namespace VerdantSieve.Web;

/// <summary>All floras: the shipped one, always open, and own ones, opened when first asked for. What it gives out never changes; a changed
/// flora is
/// another, put in its place here and nowhere else.</summary>
/// <param name="shipped">The shipped one.</param>
/// <param name="read">Reads a flora by its id; null where there is none.</param>
public sealed class FloraShelf(OpenFlora shipped, Func<string, Task<Flora?>> read)
{
    /// <summary>The most own floras that stay open; the one not asked for longest is closed for another.</summary>
    public const int MostOpen = 4;

    private readonly ConcurrentDictionary<string, Opening> openings = new();
    private readonly Lock putting = new();
    private volatile OpenFlora shipped = shipped;
    private long asked;

    /// <summary>The flora that is used where none is named.</summary>
    public OpenFlora Shipped => shipped;

    /// <summary>The flora of this id, the shipped one where none is named; null where there is no such flora.</summary>
    public async ValueTask<OpenFlora?> Take(string? id)
    {
        if (string.IsNullOrEmpty(id) || id == shipped.Flora.About.Id)
            return shipped;
        if (!FloraGate.IsId(id))
            return null;
        var opening = openings.GetOrAdd(id, _ => new Opening(new Lazy<Task<OpenFlora?>>(() => Open(id))));
        opening.LastAsked = Interlocked.Increment(ref asked);
        OpenFlora? flora = null;
        try
        {
            flora = await opening.Flora.Value;
        }
        finally
        {
            // What is not there, or could not be read, is asked for anew the next time.
            if (flora is null)
                openings.TryRemove(KeyValuePair.Create(id, opening));
        }
        CloseOldest();
        return flora;
    }

    /// <summary>Puts a flora in the place of an older edition of it.</summary>
    public void Put(Flora changed)
    {
        var open = new OpenFlora(changed, shipped.Flora.Vocabulary, changed.About.Id != shipped.Flora.About.Id);
        if (open.IsOwn)
        {
            openings[changed.About.Id] = new Opening(new Lazy<Task<OpenFlora?>>(Task.FromResult<OpenFlora?>(open)))
            {
                LastAsked = Interlocked.Increment(ref asked),
            };
            CloseOldest();
            return;
        }
        // Two changes one after the other may be read in either order.
        lock (putting)
            if (open.Flora.About.Edition >= shipped.Flora.About.Edition)
                shipped = open;
        shipped.StartReport();
    }

    /// <summary>Closes an own flora that has been replaced or removed.</summary>
    public void Close(string id) => openings.TryRemove(id, out _);

    /// <summary>Takes in what another process says has changed.</summary>
    public async Task Hear(FloraNotice notice)
    {
        if (notice.Id != shipped.Flora.About.Id)
        {
            if (notice.Replaced || EditionOf(notice.Id) < notice.Edition)
                Close(notice.Id);
            return;
        }
        if (shipped.Flora.About.Edition < notice.Edition && await read(notice.Id) is { } changed)
            Put(changed);
    }

    // Of an own flora that is just being opened nothing is known: it may be older.
    private int EditionOf(string id) =>
        openings.TryGetValue(id, out var opening)
        && opening.Flora is { IsValueCreated: true, Value: { IsCompletedSuccessfully: true, Result: { } open } }
            ? open.Flora.About.Edition
            : 0;

    private void CloseOldest()
    {
        while (openings.Count > MostOpen)
            openings.TryRemove(openings.MinBy(pair => pair.Value.LastAsked).Key, out _);
    }

    private async Task<OpenFlora?> Open(string id) =>
        await read(id) is { } flora ? new OpenFlora(flora, shipped.Flora.Vocabulary, isOwn: true) : null;

    private sealed record Opening(Lazy<Task<OpenFlora?>> Flora)
    {
        public long LastAsked { get; set; }
    }
}
