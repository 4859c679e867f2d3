namespace VerdantSieve.Store.Floras;

/// <summary>A flora as a list shows it.</summary>
public sealed record FloraEntry(string Id, string Title, int Edition, int Taxa, int Characters, bool IsOwn, DateTimeOffset Loaded);
