#if MUTANTS
using System.Reflection;
using System.Runtime.CompilerServices;
using VerdantSieve.Core.Tests;
using Xunit;

[assembly: AssemblyFixture(typeof(ChangeUnderTest))]

namespace VerdantSieve.Core.Tests;

/// <summary>Which of the changes that ./test mutants makes to Core is in force, while all tests run once.</summary>
/// <remarks>All changes stand in one build, each behind a question whether it is the one. The tool has every such question read a file,
/// millions of times a run, so that the tests took minutes and were counted as not ended. Here the file is read once, before the first
/// test.</remarks>
public sealed class ChangeUnderTest : IDisposable
{
    private const string WhereTheFileIs = "STRYKER_MUTANT_FILE";
    private const int None = -1;

    private static string? path;

    // Not there while all tests are first run on Core as it is.
    private readonly FieldInfo? active = typeof(Core.Botany.Flora)
        .Assembly.GetTypes()
        .SingleOrDefault(type => type.Name == "MutantControl")
        ?.GetField("ActiveMutant");

    public ChangeUnderTest()
    {
        MakeReady();
        active?.SetValue(null, path is null ? None : BitConverter.ToInt32(File.ReadAllBytes(path)));
    }

    public void Dispose() => active?.SetValue(null, None);

    // One process runs the tests for one change after another. What it keeps for good is made before any of them is in force: else the
    // first would go on working behind the others, which would seem to be noticed.
    private static void MakeReady()
    {
        foreach (var type in typeof(Core.Botany.Flora).Assembly.GetTypes().Where(type => !type.ContainsGenericParameters))
            RuntimeHelpers.RunClassConstructor(type.TypeHandle);
        _ = (SmallFlora.Sieve, SmallFlora.Drawn);
    }

    /// <summary>Before Core is first called: where no file is named, what was set above counts.</summary>
    [ModuleInitializer]
    internal static void KeepFromReadingTheFile()
    {
        path = Environment.GetEnvironmentVariable(WhereTheFileIs);
        Environment.SetEnvironmentVariable(WhereTheFileIs, null);
    }
}
#endif
