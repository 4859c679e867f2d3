using System.Net.Sockets;
using Microsoft.EntityFrameworkCore;
using NodaTime;
using Npgsql;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Store;
using VerdantSieve.Store.Demo;
using VerdantSieve.Store.Floras;

namespace VerdantSieve.Web;

/// <summary>What must stand before the first page: the tables, the flora, the demonstration.</summary>
public static class Foundation
{
    /// <summary>Sees to it that all of it stands.</summary>
    /// <param name="settings">The database, and the folder of the flora.</param>
    /// <param name="resetDemo">Whether the demonstration looks are put back as they were.</param>
    /// <returns>The shipped flora, or what stands in the way.</returns>
    public static async Task<Outcome<Flora>> Lay(Settings settings, bool resetDemo)
    {
        try
        {
            // A connection string that can't be read is told as such, and not as a database that does not answer.
            _ = new NpgsqlConnectionStringBuilder(settings.Database);
        }
        catch (ArgumentException wrong)
        {
            return new Fault("database", $"VERDANT_DATABASE is no Npgsql connection string: {wrong.Message}");
        }
        try
        {
            return await Lay(settings.Database, settings.ShippedFlora, resetDemo);
        }
        catch (FloraFaultException faults)
        {
            return new Fault("flora", faults.Message);
        }
        catch (DirectoryNotFoundException missing)
        {
            return new Fault("flora", missing.Message);
        }
        catch (Exception trouble) when (trouble.GetBaseException() is NpgsqlException or SocketException)
        {
            return new Fault(
                "database",
                $"The database does not answer: {trouble.GetBaseException().Message} Check that PostgreSQL runs, and VERDANT_DATABASE."
            );
        }
    }

    private static async Task<Flora> Lay(string connection, string folder, bool resetDemo)
    {
        var options = new DbContextOptionsBuilder<SieveContext>();
        SieveContext.Configure(options, connection);
        await using var database = new SieveContext(options.Options);
        // Asking costs less than migrating where there is nothing to do: the model is not compared with itself.
        if ((await database.Database.GetPendingMigrationsAsync()).Any())
            await database.Database.MigrateAsync();
        var flora = await new FloraLoader(database, SystemClock.Instance).Load(folder);
        foreach (var (character, state) in DrawnVocabulary.WithoutState(flora.Vocabulary))
            Serilog.Log.Warning("A drawing is registered for {Character}, {State}, which the vocabulary does not have.", character, state);
        var demo = new DemoLooks(database, flora);
        if (resetDemo)
            await demo.Reset();
        else
            await demo.LoadOnce();
        return flora;
    }
}
