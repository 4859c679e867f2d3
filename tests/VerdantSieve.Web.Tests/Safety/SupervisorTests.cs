using System.Diagnostics;
using Xunit;

namespace VerdantSieve.Web.Tests.Safety;

/// <summary>What keeps the application running and lets one <c>./start</c> at a time, with a stand-in for the application.</summary>
[System.Runtime.Versioning.SupportedOSPlatform("linux")]
public sealed class SupervisorTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("verdant-supervisor-").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    [Fact]
    public async Task A_crash_is_said_in_the_log_and_the_application_started_again()
    {
        var (code, log) = await Supervise("[ -f again ] && exit 0; touch again; kill -9 $$");
        Assert.Equal(0, code);
        Assert.Contains("The application crashed (signal 9); it is started again.", log);
        Assert.Equal(2, Lines(log, "Starting."));
        Assert.Contains("The application ended with code 0.", log);
    }

    [Fact]
    public async Task What_is_wrong_with_the_set_up_is_not_tried_again()
    {
        var (code, log) = await Supervise("exit 1");
        Assert.Equal(1, code);
        Assert.Equal(1, Lines(log, "Starting."));
    }

    [Fact]
    public async Task Five_crashes_in_a_row_are_given_up()
    {
        var (code, log) = await Supervise("exit 134");
        Assert.Equal(1, code);
        Assert.Equal(5, Lines(log, "Starting."));
        Assert.Contains("Five crashes within a minute: given up.", log);
    }

    [Fact]
    public async Task Two_starts_at_once_wait_for_each_other()
    {
        // A copy of its own, so that nothing of the project’s is stopped.
        Directory.CreateDirectory(Path.Combine(folder, "scripts"));
        Directory.CreateDirectory(Path.Combine(folder, ".run"));
        File.Copy(Path.Combine(Application.Root, "start"), Path.Combine(folder, "start"));
        File.Copy(Path.Combine(Application.Root, "scripts", "setup.sh"), Path.Combine(folder, "scripts", "setup.sh"));
        using var first = Run("flock", ".run/start.lock", "sleep", "1.5");
        for (var tries = 0; tries < 50 && !File.Exists(Path.Combine(folder, ".run", "start.lock")); tries++)
            await Task.Delay(20, TestContext.Current.CancellationToken);
        using var second = Run("bash", "start", "--stop");
        var said = await second.StandardOutput.ReadToEndAsync(TestContext.Current.CancellationToken);
        await second.WaitForExitAsync(TestContext.Current.CancellationToken);
        Assert.True(first.HasExited);
        Assert.Contains("Another ./start is at work here; waiting for it", said);
        Assert.Equal(0, second.ExitCode);
        using var third = Run("bash", "start", "--stop");
        Assert.DoesNotContain("Another", await third.StandardOutput.ReadToEndAsync(TestContext.Current.CancellationToken));
    }

    private static int Lines(string log, string end) => log.Split('\n').Count(line => line.EndsWith(end, StringComparison.Ordinal));

    // The program found as “dotnet” does what the test wants of the application.
    private async Task<(int Code, string Log)> Supervise(string application)
    {
        Directory.CreateDirectory(Path.Combine(folder, "app"));
        Directory.CreateDirectory(Path.Combine(folder, "bin"));
        var program = Path.Combine(folder, "bin", "dotnet");
        await File.WriteAllTextAsync(program, "#!/bin/sh\n" + application + "\n", TestContext.Current.CancellationToken);
        File.SetUnixFileMode(program, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute);
        using var keeper = Run("bash", Path.Combine(Application.Root, "scripts", "supervise.sh"), folder);
        await keeper.WaitForExitAsync(TestContext.Current.CancellationToken);
        return (keeper.ExitCode, await File.ReadAllTextAsync(Path.Combine(folder, "web.log"), TestContext.Current.CancellationToken));
    }

    private Process Run(string program, params string[] arguments) =>
        Process.Start(
            new ProcessStartInfo(program, arguments)
            {
                WorkingDirectory = folder,
                RedirectStandardOutput = true,
                RedirectStandardError = true,
                Environment = { ["PATH"] = Path.Combine(folder, "bin") + ":" + Environment.GetEnvironmentVariable("PATH") },
            }
        )!;
}
