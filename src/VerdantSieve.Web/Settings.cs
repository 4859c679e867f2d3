namespace VerdantSieve.Web;

/// <summary>What is set from outside, through the environment (<c>VERDANT_DATABASE</c> and so on) or any other source of
/// configuration.</summary>
/// <param name="Database">The connection string of PostgreSQL.</param>
/// <param name="Floras">The folder with the shipped floras.</param>
/// <param name="Run">The folder for what the application writes: keys and logs.</param>
/// <param name="Demo">Whether the demonstration's curators are there.</param>
public sealed record Settings(string Database, string Floras, string Run, bool Demo)
{
    /// <summary>What the names of environment variables begin with.</summary>
    public const string Prefix = "VERDANT_";

    /// <summary>The folder of the flora that is served where no other is named.</summary>
    public string ShippedFlora => Path.Combine(Floras, "temperate-trees");

    /// <summary>Reads the settings.</summary>
    /// <param name="configuration">Where they come from.</param>
    /// <param name="root">The folder the application runs in; what is not set lies two folders above it.</param>
    /// <returns>The settings; null where no database is named.</returns>
    public static Settings? From(IConfiguration configuration, string root)
    {
        if (configuration["DATABASE"] is not { Length: > 0 } database)
            return null;
        var project = Path.GetFullPath(Path.Combine(root, "..", ".."));
        return new Settings(
            database,
            configuration["FLORAS"] ?? Path.Combine(project, "floras"),
            configuration["RUN"] ?? Path.Combine(project, ".run"),
            !string.Equals(configuration["DEMO"], "off", StringComparison.OrdinalIgnoreCase)
        );
    }
}
