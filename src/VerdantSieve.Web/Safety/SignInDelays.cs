using System.Collections.Concurrent;
using NodaTime;

namespace VerdantSieve.Web.Safety;

/// <summary>Wrong passwords cost time: each one from an address for a name doubles the wait before the next is looked at. Nobody is locked
/// out: who comes from another address is not made to wait for what others tried.</summary>
public sealed class SignInDelays(IClock clock)
{
    private static readonly Duration First = Duration.FromMilliseconds(250),
        Longest = Duration.FromSeconds(8),
        Forgotten = Duration.FromMinutes(15);

    private const int MostKept = 10_000;

    private readonly ConcurrentDictionary<string, (int Wrong, Instant Last)> tries = new();

    /// <summary>How long the next try from an address for a name waits.</summary>
    public Duration Of(string address, string name)
    {
        if (!tries.TryGetValue(Key(address, name), out var tried) || clock.GetCurrentInstant() - tried.Last > Forgotten)
            return Duration.Zero;
        // Doubled so often that it is longer than the longest, it need not be worked out.
        return tried.Wrong > 5 ? Longest : Duration.Min(Longest, First * Math.Pow(2, tried.Wrong - 1));
    }

    /// <summary>Remembers a wrong password.</summary>
    public void Wrong(string address, string name)
    {
        var now = clock.GetCurrentInstant();
        if (tries.Count > MostKept)
            foreach (var (key, tried) in tries)
                if (now - tried.Last > Forgotten || tries.Count > 2 * MostKept)
                    tries.TryRemove(key, out _);
        tries.AddOrUpdate(Key(address, name), (1, now), (_, tried) => (now - tried.Last > Forgotten ? 1 : tried.Wrong + 1, now));
    }

    /// <summary>Forgets them after the right one.</summary>
    public void Right(string address, string name) => tries.TryRemove(Key(address, name), out _);

    private static string Key(string address, string name) => $"{address} {name.ToUpperInvariant()}";
}
