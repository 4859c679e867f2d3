using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;

namespace VerdantSieve.Store;

/// <summary>Lets the migration tool make a context without the application.</summary>
public sealed class SieveContextFactory : IDesignTimeDbContextFactory<SieveContext>
{
    public SieveContext CreateDbContext(string[] args)
    {
        var options = new DbContextOptionsBuilder<SieveContext>();
        SieveContext.Configure(options, Environment.GetEnvironmentVariable("VERDANT_DATABASE") ?? "Host=localhost;Database=verdant");
        return new SieveContext(options.Options);
    }
}
