using System.Globalization;
using VerdantSieve.Core.Curating;

namespace VerdantSieve.Bench;

/// <summary>Prints how far a second draft of the flora’s scores agrees with the first, and every place where the two cannot both be
/// right.</summary>
internal static class Drafts
{
    public static int Run(string file, string? log, string? mended)
    {
        var flora = Shipped.Flora();
        var characters = SecondDraft
            .Read(File.ReadAllText(file), flora)
            .Against(
                flora,
                log is null ? null : Settlement.Read(File.ReadAllText(log), flora),
                mended is null ? null : Mending.Read(File.ReadAllText(mended), flora)
            );
        Console.WriteLine("| Character | taxa | κ | likeness | to be settled | of these cannot both be right |\n|---|---|---|---|---|---|");
        foreach (var one in characters)
            Console.WriteLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"| {one.Character.Label} | {one.Taxa} | {one.Kappa:0.00} | {100 * one.Likeness:0} % | "
                        + $"{one.Disagreements.Count} | {one.Disagreements.Count(apart => apart.Apart)} |"
                )
            );
        foreach (var one in characters)
            foreach (var apart in one.Disagreements)
                Console.WriteLine($"{apart.Taxon}, {one.Character.Id}: {apart.First} / {apart.Second}");
        return 0;
    }
}
