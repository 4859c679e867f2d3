using System.Text.Json;

namespace VerdantSieve.Core.Drawing.Maps;

/// <summary>The outlines of botanical countries, as scripts/boundaries.mjs has made them.</summary>
internal static class Outlines
{
    /// <summary>Longitude and latitude in hundredths of a degree, by turns, of every part of each country.</summary>
    public static IReadOnlyDictionary<string, int[][]> ByCode { get; } = Read();

    private static Dictionary<string, int[][]> Read()
    {
        using var file = typeof(Outlines).Assembly.GetManifestResourceStream("boundaries.json")!;
        return JsonSerializer.Deserialize<Dictionary<string, int[][]>>(file)!;
    }
}
