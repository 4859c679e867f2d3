using Microsoft.EntityFrameworkCore;

namespace VerdantSieve.Store.Floras;

/// <summary>What one process tells all others on the same database when a flora has changed. PostgreSQL passes it on when the change is
/// committed.</summary>
/// <param name="Id">The flora.</param>
/// <param name="Edition">The edition it is at now.</param>
/// <param name="Replaced">Whether all of it was replaced, so that its editions do not follow on each other.</param>
public sealed record FloraNotice(string Id, int Edition, bool Replaced)
{
    /// <summary>The channel it is told on.</summary>
    public const string Channel = "verdant_floras";

    /// <summary>Reads what was told; null where it is something else.</summary>
    public static FloraNotice? Read(string payload) =>
        payload.Split(' ') is [var word, var id, var number] && (word is Changed or Whole) && int.TryParse(number, out var edition)
            ? new FloraNotice(id, edition, word == Whole)
            : null;

    private const string Changed = "changed",
        Whole = "replaced";

    internal Task Tell(SieveContext database, CancellationToken cancel)
    {
        var payload = $"{(Replaced ? Whole : Changed)} {Id} {Edition}";
        return database.Database.ExecuteSqlAsync($"select pg_notify({Channel}, {payload})", cancel);
    }
}
