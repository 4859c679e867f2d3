using System.Globalization;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Leaves;

/// <summary>A reading that measured leaves propose, to take or to leave.</summary>
/// <param name="Character">The character’s id.</param>
/// <param name="States">The states; empty where it is a number.</param>
/// <param name="Text">The number or numbers as one would type them; null where it is states.</param>
/// <param name="Certainty">How sure: fair where it is well inside its class, a guess where it is near the border of another.</param>
/// <param name="Why">What it rests on.</param>
public sealed record LeafProposal(string Character, IReadOnlyList<string> States, string? Text, Certainty Certainty, string Why);

/// <summary>What measured leaves say in the terms of the key.</summary>
/// <remarks>Classes after B. Ellis et al. 2009, Manual of Leaf Architecture (from memory): elliptic widest in the middle fifth, ovate below
/// it, obovate above; a tip or base under 90° is acute.</remarks>
public static class LeafProposals
{
    // Slenderer than this an ovate blade is called lanceolate.
    private const double Lanceolate = 2.6;
    private const double Linear = 9;

    /// <summary>The readings that a sample proposes.</summary>
    /// <param name="leaves">One leaf or several of one plant; at least one.</param>
    public static IReadOnlyList<LeafProposal> Of(IReadOnlyList<LeafMeasures> leaves)
    {
        var lobed = leaves.Count(leaf => leaf.Lobes.Count > 1) * 2 > leaves.Count;
        List<LeafProposal> proposals =
        [
            Sizes("blade-length", leaves, leaf => leaf.Length, " cm", "along the midrib"),
            Sizes("blade-width", leaves, leaf => leaf.Width, " cm", "across the widest place"),
            Sizes("slenderness", leaves, leaf => leaf.Slenderness, "", "length over width"),
            Named("lobing", leaves, leaf => Lobing(leaf)),
        ];
        if (lobed)
        {
            proposals.Add(Counts(leaves));
            proposals.Add(Named("lobe-depth", leaves, leaf => Depth(leaf.Lobes.Depth)));
        }
        else
        {
            proposals.Add(Named("shape", leaves, Shape));
            proposals.Add(Named("apex", leaves, Apex));
        }
        proposals.Add(Named("base", leaves, Base));
        proposals.Add(Named("margin", leaves, Margin));
        return proposals;
    }

    private static LeafProposal Sizes(
        string character,
        IReadOnlyList<LeafMeasures> leaves,
        Func<LeafMeasures, double> of,
        string unit,
        string why
    ) =>
        new(
            character,
            [],
            string.Join(", ", leaves.Select(leaf => of(leaf).ToString("0.0#", CultureInfo.InvariantCulture))) + unit,
            Certainty.Sure,
            leaves.Count == 1 ? why : $"{why}, {leaves.Count} leaves"
        );

    private static LeafProposal Counts(IReadOnlyList<LeafMeasures> leaves)
    {
        int[] counts = [.. leaves.Select(leaf => leaf.Lobes.Count).Where(count => count > 1).Order()];
        var text = counts[0] == counts[^1] ? $"{counts[0]}" : $"{counts[0]}-{counts[^1]}";
        return new("lobe-count", [], text, Certainty.Fair, "bays that lie inside the line from tip to tip");
    }

    // What most leaves show; a guess where they disagree or one is near a border.
    private static LeafProposal Named(
        string character,
        IReadOnlyList<LeafMeasures> leaves,
        Func<LeafMeasures, (string State, bool Near, string Why)> name
    )
    {
        var named = leaves.Select(name).ToArray();
        var most = named.GroupBy(one => one.State, StringComparer.Ordinal).OrderByDescending(group => group.Count()).First();
        var sure = most.Count() == named.Length && !most.Any(one => one.Near);
        return new(character, [most.Key], null, sure ? Certainty.Fair : Certainty.Guess, most.First().Why);
    }

    private static string Say(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);

    private static (string, bool, string) Lobing(LeafMeasures leaf)
    {
        if (leaf.Lobes.Count == 1)
            return ("unlobed", false, "no bay deeper than a tooth");
        var why = $"{leaf.Lobes.Count} lobes {(leaf.Lobes.IsPalmate ? "spread from the stalk" : "along the midrib")}";
        return (leaf.Lobes.IsPalmate ? "palmate" : "pinnate", leaf.Lobes.Count == 3, why);
    }

    private static (string, bool, string) Depth(double depth)
    {
        var why = $"bays go {Say(Math.Round(100 * depth))} % of the way in";
        return depth switch
        {
            < 0.33 => ("shallow", depth > 0.27, why),
            < 0.57 => ("medium", depth is < 0.38 or > 0.52, why),
            _ => ("deep", depth < 0.62, why),
        };
    }

    private static (string, bool, string) Shape(LeafMeasures leaf)
    {
        var (slender, widest) = (leaf.Slenderness, leaf.Widest);
        var why = $"{Say(slender)} times as long as wide, widest at {Say(Math.Round(100 * widest))} % of its length";
        if (slender >= Linear)
            return ("linear", slender < 11, why);
        // Sides about parallel over the middle third and more.
        if (slender > 1.4 && leaf.Profile[3] > 0.95 && leaf.Profile[6] > 0.95)
            return ("oblong", leaf.Profile[2] < 0.85, why);
        var near = Math.Min(Math.Abs(widest - 0.4), Math.Abs(widest - 0.6)) < 0.03;
        if (widest < 0.4)
            return (Ovate(leaf, slender), near || Math.Abs(slender - Lanceolate) < 0.3, why);
        if (widest > 0.6)
            return (slender > Lanceolate ? "oblanceolate" : "obovate", near || Math.Abs(slender - Lanceolate) < 0.3, why);
        return slender < 1.2 ? ("round", near || slender > 1.12, why) : ("elliptic", near, why);
    }

    private static string Ovate(LeafMeasures leaf, double slender)
    {
        if (slender > Lanceolate)
            return "lanceolate";
        return leaf.Hanging > 0.04 && slender < 1.6 ? "heart" : "ovate";
    }

    private static (string, bool, string) Apex(LeafMeasures leaf)
    {
        var why = $"the tip’s angle is {Say(Math.Round(leaf.TipAngle))}°";
        // Drawn out: much narrower in the last tenth than a straight-sided tip would be.
        if (leaf.Profile[9] < 0.3 * leaf.Profile[8] && leaf.Profile[8] < 0.62)
            return ("acuminate", leaf.Profile[9] > 0.22 * leaf.Profile[8], why + " and drawn out");
        return leaf.TipAngle switch
        {
            < 85 => ("acute", leaf.TipAngle > 75, why),
            < 115 => ("obtuse", leaf.TipAngle is < 92 or > 105, why),
            _ => ("rounded", leaf.TipAngle < 125, why),
        };
    }

    private static (string, bool, string) Base(LeafMeasures leaf)
    {
        if (leaf.BaseAsymmetry > 1.4)
            return (
                "unequal",
                leaf.BaseAsymmetry < 1.6,
                $"one half is {Say(leaf.BaseAsymmetry)} times as wide as the other near the stalk"
            );
        if (leaf.Hanging > 0.03)
            return ("heart", leaf.Hanging < 0.05, $"the sides hang {Say(Math.Round(100 * leaf.Hanging))} % of the length below the stalk");
        // Straight sides are a fifth as wide a fifth of the way; round ones much wider, a cut-off base nearly as wide.
        var fullness = leaf.Profile[0] / Math.Max(leaf.Profile[2], 0.01);
        var why = $"close to the stalk it is {Say(Math.Round(100 * fullness))} % as wide as a quarter of the way up";
        return fullness switch
        {
            < 0.45 => ("wedge", fullness > 0.38, why),
            < 0.82 => ("rounded", fullness is < 0.5 or > 0.74, why),
            _ => ("truncate", fullness < 0.88, why),
        };
    }

    private static (string, bool, string) Margin(LeafMeasures leaf)
    {
        if (leaf.Teeth.Count == 0)
            return ("entire", false, "nothing stands out from it");
        var why = $"{leaf.Teeth.Count} teeth, {Say(leaf.Teeth.PerCentimetre)} to the centimetre, {Say(10 * leaf.Teeth.Height)} mm high";
        if (leaf.Teeth.Lean > 0.58)
            return ("serrate", leaf.Teeth.Lean < 0.64, why + ", leaning forward");
        return leaf.Teeth.Roundness > 0.58
            ? ("crenate", leaf.Teeth.Roundness < 0.64, why + ", round")
            : ("dentate", true, why + ", standing straight out");
    }
}
