using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Diagnostics;
using Npgsql;
using VerdantSieve.Store;
using Xunit;

[assembly: AssemblyFixture(typeof(VerdantSieve.Store.Tests.TestDatabase))]

namespace VerdantSieve.Store.Tests;

/// <summary>A real PostgreSQL database of the tests' own, made anew for each run beside the one that VERDANT_DATABASE names.</summary>
public sealed class TestDatabase : IAsyncLifetime
{
    private string connection = "";

    public SieveContext Open(params IInterceptor[] listening)
    {
        var options = new DbContextOptionsBuilder<SieveContext>();
        SieveContext.Configure(options, connection);
        options.AddInterceptors(listening);
        return new SieveContext(options.Options);
    }

    public static string FloraFolder
    {
        get
        {
            for (var at = new DirectoryInfo(AppContext.BaseDirectory); at is not null; at = at.Parent)
                if (Directory.Exists(Path.Combine(at.FullName, "floras")))
                    return Path.Combine(at.FullName, "floras", "temperate-trees");
            throw new DirectoryNotFoundException("No folder “floras” above " + AppContext.BaseDirectory);
        }
    }

    public async ValueTask InitializeAsync()
    {
        var named =
            Environment.GetEnvironmentVariable("VERDANT_DATABASE")
            ?? throw new InvalidOperationException("VERDANT_DATABASE is not set: run the tests through ./test.");
        connection = new NpgsqlConnectionStringBuilder(named) { Database = "verdant_store_test" }.ConnectionString;
        await using var database = Open();
        await database.Database.EnsureDeletedAsync();
        await database.Database.MigrateAsync();
    }

    public async ValueTask DisposeAsync()
    {
        await using var database = Open();
        await database.Database.EnsureDeletedAsync();
    }
}
