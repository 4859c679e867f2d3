using System.Diagnostics;
using Npgsql;

namespace VerdantSieve.Web.Tests.Safety;

/// <summary>A PostgreSQL of a test's own, that it may stop as a power cut would.</summary>
public sealed class OwnServer : IDisposable
{
    private readonly string folder = Path.Combine(Path.GetTempPath(), "verdant-" + Guid.NewGuid().ToString("N")[..12]);
    private readonly int port = Application.FreePort();
    private static readonly string Programs = Directory
        .EnumerateDirectories("/usr/lib/postgresql")
        .Select(version => Path.Combine(version, "bin"))
        .Where(bin => File.Exists(Path.Combine(bin, "initdb")))
        .Order()
        .Last();

    public OwnServer()
    {
        Directory.CreateDirectory(folder);
        if (IsRoot)
            Run("chown", "postgres", folder);
        AsItsUser("initdb", "-D", Data, "-U", "verdant", "-A", "trust", "-E", "UTF8", "--locale=C.UTF-8", "--no-sync");
        Start();
    }

    public string Connection => $"Host=127.0.0.1;Port={port};Username=verdant;Database=postgres";

    private string Data => Path.Combine(folder, "data");

    // It refuses to run as root.
    private static bool IsRoot => Environment.UserName == "root";

    public void Start() =>
        AsItsUser(
            "pg_ctl",
            "-D",
            Data,
            "-w",
            "-t",
            "60",
            "-l",
            Path.Combine(folder, "log"),
            "-o",
            $"-p {port} -h 127.0.0.1 -k {folder}",
            "start"
        );

    /// <summary>All of its processes end at once; nothing is written that was not written yet.</summary>
    public void Crash() => AsItsUser("pg_ctl", "-D", Data, "-m", "immediate", "stop");

    public void Dispose()
    {
        NpgsqlConnection.ClearAllPools();
        Crash();
        Directory.Delete(folder, recursive: true);
    }

    private static void AsItsUser(string program, params string[] arguments)
    {
        var path = Path.Combine(Programs, program);
        if (IsRoot)
            Run("runuser", ["-u", "postgres", "--", path, .. arguments]);
        else
            Run(path, arguments);
    }

    private static void Run(string program, params string[] arguments)
    {
        // What it starts would hold an output open that is read from here.
        using var process = Process.Start(
            new ProcessStartInfo("/bin/sh", ["-c", "cd / && exec \"$@\" >/dev/null 2>&1", "sh", program, .. arguments])
        )!;
        process.WaitForExit();
        if (process.ExitCode != 0)
            throw new InvalidOperationException($"{program} {string.Join(' ', arguments)} ended with {process.ExitCode}.");
    }
}
