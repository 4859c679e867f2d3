using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving.Columns;

namespace VerdantSieve.Core.Sieving;

/// <summary>One reading as evidence: how likely each row makes it, and how much of that it counts.</summary>
/// <param name="Reading">The reading.</param>
/// <param name="Likelihood">Its chance in each row, and the part of it that is no slip.</param>
/// <param name="Weight">The exponent it counts with: 1, or less where it repeats others or only supports.</param>
internal sealed record Evidence(Reading Reading, Likelihood Likelihood, double Weight)
{
    /// <summary>The weighed logarithm of the chance in each row.</summary>
    public double[] Logs { get; } = [.. Likelihood.Total.Select(chance => Weight * Math.Log(chance))];

    /// <summary>The chance that the reading is a slip, for a plant of the row.</summary>
    public double SlipChance(int row) => Math.Clamp(1 - Likelihood.Fitting[row] / Likelihood.Total[row], 0, 1);
}
