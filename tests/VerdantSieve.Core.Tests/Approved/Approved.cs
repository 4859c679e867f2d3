using System.Globalization;
using System.Runtime.CompilerServices;
using Xunit;

namespace VerdantSieve.Core.Tests.Approved;

/// <summary>Holds what comes out of something large against what came out of it when it was last looked through and found right. The tests
/// of single
/// rules say what must be; this says that nothing else has moved. After a change that is meant, run with APPROVE=yes and read the
/// difference.</summary>
internal static class Approve
{
    public static void Same(IEnumerable<string> lines, [CallerMemberName] string name = "", [CallerFilePath] string file = "")
    {
        string[] now = [.. lines.SelectMany(line => line.Split('\n'))];
        if (Environment.GetEnvironmentVariable("APPROVE") == "yes")
        {
            File.WriteAllLines(Path.Combine(Path.GetDirectoryName(file)!, name + ".txt"), now);
            return;
        }
        var before = File.ReadAllLines(Path.Combine(AppContext.BaseDirectory, "Approved", name + ".txt"));
        for (var i = 0; i < Math.Min(now.Length, before.Length); i++)
            Assert.True(AreSame(now[i], before[i]), $"{name}, line {i + 1}\nbefore: {before[i]}\nnow:    {now[i]}");
        Assert.Equal(before.Length, now.Length);
    }

    // Numbers need not be the same to the last digit, which hangs on the processor.
    private static bool AreSame(string one, string other)
    {
        if (one == other)
            return true;
        var (words, others) = (one.Split(' '), other.Split(' '));
        return words.Length == others.Length
            && words.Zip(others, (word, another) => word == another || AreNear(word, another)).All(same => same);
    }

    private static bool AreNear(string one, string other) =>
        double.TryParse(one, NumberStyles.Float, CultureInfo.InvariantCulture, out var a)
        && double.TryParse(other, NumberStyles.Float, CultureInfo.InvariantCulture, out var b)
        && Math.Abs(a - b) <= 1e-6 + 1e-4 * Math.Abs(b);
}
