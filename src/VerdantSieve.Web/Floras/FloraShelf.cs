using System.Collections.Concurrent;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Web;

/// <summary>All floras: the shipped one, always open, and own ones, opened when first asked for.</summary>
/// <param name="shipped">The shipped one.</param>
/// <param name="read">Reads an own flora by its id; null where there is none.</param>
public sealed class FloraShelf(OpenFlora shipped, Func<string, Task<Flora?>> read)
{
    /// <summary>The most own floras that stay open; the one not asked for longest is closed for another.</summary>
    public const int MostOpen = 4;

    private readonly ConcurrentDictionary<string, Opening> openings = new();
    private long asked;

    /// <summary>The flora that is used where none is named.</summary>
    public OpenFlora Shipped => shipped;

    /// <summary>The flora of this id, the shipped one where none is named; null where there is no such flora.</summary>
    public async ValueTask<OpenFlora?> Take(string? id)
    {
        if (string.IsNullOrEmpty(id) || id == shipped.Flora.About.Id) return shipped;
        var opening = openings.GetOrAdd(id, _ => new Opening(new Lazy<Task<OpenFlora?>>(() => Open(id))));
        opening.LastAsked = Interlocked.Increment(ref asked);
        OpenFlora? flora = null;
        try { flora = await opening.Flora.Value; }
        finally
        {
            // What is not there, or could not be read, is asked for anew the next time.
            if (flora is null) openings.TryRemove(KeyValuePair.Create(id, opening));
        }
        while (openings.Count > MostOpen) openings.TryRemove(openings.MinBy(pair => pair.Value.LastAsked).Key, out _);
        return flora;
    }

    /// <summary>Closes an own flora that has been replaced or removed.</summary>
    public void Close(string id) => openings.TryRemove(id, out _);

    private async Task<OpenFlora?> Open(string id) => await read(id) is { } flora ? new OpenFlora(flora, isOwn: true) : null;

    private sealed record Opening(Lazy<Task<OpenFlora?>> Flora)
    {
        public long LastAsked { get; set; }
    }
}
