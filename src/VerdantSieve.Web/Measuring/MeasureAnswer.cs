using VerdantSieve.Core;
using VerdantSieve.Core.Leaves;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Web.Measuring;

/// <summary>What was measured, with how each number was made.</summary>
/// <param name="Leaves">Of each leaf.</param>
/// <param name="Sample">Of all, where there are several: mean and spread.</param>
/// <param name="Proposals">Readings to take or to leave.</param>
public sealed record MeasureAnswer(
    IReadOnlyList<IReadOnlyList<MeasureLine>> Leaves,
    IReadOnlyList<MeasureLine> Sample,
    IReadOnlyList<ProposalLine> Proposals
)
{
    internal static MeasureAnswer Of(IReadOnlyList<LeafMeasures> leaves, double perCentimetre) =>
        new([.. leaves.Select(leaf => Lines(leaf, perCentimetre))], Spread(leaves), [.. LeafProposals.Of(leaves).Select(ProposalLine.Of)]);

    private static IReadOnlyList<MeasureLine> Lines(LeafMeasures leaf, double perCentimetre)
    {
        string Pixels(double centimetres) => $"{centimetres * perCentimetre:0} pixels ÷ {perCentimetre:0.0} to the centimetre";
        // A pixel at each end, and a hundredth of the scale.
        string Error(double centimetres) => $"± {Math.Max(0.05, 2 / perCentimetre + 0.01 * centimetres):0.0#} cm";
        var square = perCentimetre * perCentimetre;
        return
        [
            new("Length", $"{leaf.Length:0.0#} cm", $"{Pixels(leaf.Length)}, along the midrib, {Error(leaf.Length)}"),
            new("Width", $"{leaf.Width:0.0#} cm", $"{Pixels(leaf.Width)}, across the midrib at the widest place, {Error(leaf.Width)}"),
            new("Length over width", $"{leaf.Slenderness:0.0#}", $"{leaf.Length:0.0#} ÷ {leaf.Width:0.0#}"),
            new("Widest place", $"{100 * leaf.Widest:0} % of its length", "the middle of where the width is within 1.5 % of the greatest"),
            new(
                "Area",
                $"{leaf.Area:0.0} cm²",
                $"{leaf.Area * square:0} square pixels ÷ {square:0}, {leaf.SizeClass.ToString().ToLowerInvariant()}"
            ),
            new("Perimeter", $"{leaf.Perimeter:0.0} cm", "teeth and lobes followed"),
            new(
                "Area ÷ (length × width)",
                $"{leaf.Area / (leaf.Length * leaf.Width):0.00}",
                "about two thirds in most unlobed blades (Montgomery’s rule)"
            ),
            new(
                "Lobes",
                $"{leaf.Lobes.Count}",
                leaf.Lobes.Count > 1 ? $"bays {100 * leaf.Lobes.Depth:0} % of the way in" : "no bay deeper than 7.5 % of the width"
            ),
            new(
                "Teeth",
                $"{leaf.Teeth.Count}",
                leaf.Teeth.Count > 0
                    ? $"{leaf.Teeth.PerCentimetre:0.0#} to the centimetre, {10 * leaf.Teeth.Height:0.0} mm high"
                    : "nothing stands out"
            ),
            new("Tip angle", $"{leaf.TipAngle:0}°", "between the lines to both margins a quarter of the length below"),
            new(
                "Base angle",
                $"{leaf.BaseAngle:0}°",
                "likewise a quarter of the length above; sides that hang below the stalk go round it"
            ),
            new("Base asymmetry", $"{leaf.BaseAsymmetry:0.0#}", "the wider over the narrower, a quarter of the way up"),
            new(
                "Whole",
                leaf.LooksTorn ? "torn?" : "yes",
                leaf.LooksTorn
                    ? $"one side lacks {100 * leaf.Missing:0} % of the other at {100 * leaf.MissingAt:0} % of the length: drag its edge to "
                        + "where it was, or leave the leaf out; a leaf lobed on one side alone is whole"
                    : "both sides go alike"
            ),
        ];
    }

    private static IReadOnlyList<MeasureLine> Spread(IReadOnlyList<LeafMeasures> leaves)
    {
        if (leaves.Count < 2)
            return [];
        return
        [
            Of("Length", leaf => leaf.Length, " cm"),
            Of("Width", leaf => leaf.Width, " cm"),
            Of("Length over width", leaf => leaf.Slenderness, ""),
            Of("Area", leaf => leaf.Area, " cm²"),
        ];

        MeasureLine Of(string name, Func<LeafMeasures, double> of, string unit)
        {
            var sample = new Sample([.. leaves.Select(of)]);
            return new(
                name,
                $"{sample.Mean:0.0#}{unit}",
                $"mean of {leaves.Count}; standard deviation {sample.Spread:0.0#}; from {sample.Least:0.0#} to {sample.Most:0.0#}"
            );
        }
    }
}

/// <summary>One number, with how it was made and what error it carries.</summary>
public sealed record MeasureLine(string Name, string Value, string How);

/// <summary>A reading that is proposed.</summary>
public sealed record ProposalLine(string Character, IReadOnlyList<string> States, string? Text, string Certainty, string Why)
{
    internal static ProposalLine Of(LeafProposal proposal) =>
        new(proposal.Character, proposal.States, proposal.Text, proposal.Certainty.Word(), proposal.Why);
}
