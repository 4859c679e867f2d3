using System.Net.Sockets;
using Microsoft.EntityFrameworkCore;
using Npgsql;

namespace VerdantSieve.Web.Safety;

/// <summary>Tells a database that can't be reached just now from a fault of ours.</summary>
public static class Outage
{
    /// <summary>How soon to try again, in seconds.</summary>
    public const int RetryAfter = 2;

    /// <summary>Whether an error says that the database is away, starting, or stopping.</summary>
    public static bool Is(Exception error)
    {
        for (var at = error; at is not null; at = at.InnerException)
            if (at is PostgresException said)
                return said.IsTransient || IsOfTheServer(said.SqlState);
            else if (at is NpgsqlException or SocketException)
                return true;
        return error is DbUpdateException { InnerException: TimeoutException };
    }

    // Classes of PostgreSQL's error codes (its manual, appendix A): 08 connection, 53 resources, 57P the operator stopped it.
    private static bool IsOfTheServer(string state) =>
        state.StartsWith("08", StringComparison.Ordinal)
        || state.StartsWith("53", StringComparison.Ordinal)
        || state.StartsWith("57P", StringComparison.Ordinal);
}
