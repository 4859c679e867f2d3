using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>Finds the readings that are likely slips.</summary>
internal sealed class Doubts(SieveTable table, double[] prior, Evidence[] evidence, double[] posterior, IReadOnlyList<string>[] held, int slips)
{
    // A kind that would stand this high without the reading comes back; below a fifth of it, it was gone.
    private const double Back = 0.05, Gone = 0.01;
    // Two readings contradict each other where together they are this many times less likely than apart: two bits.
    private const double Contradiction = 1.0 / 4;

    /// <summary>Every reading, the most doubtful first.</summary>
    public Doubt[] Find() => [.. Enumerable.Range(0, evidence.Length).Select(Of).OrderByDescending(doubt => doubt.SlipChance)];

    private Doubt Of(int r)
    {
        var reading = evidence[r].Reading;
        var slipChance = 0.0;
        for (var row = 0; row < posterior.Length; row++) slipChance += posterior[row] * evidence[r].SlipChance(row);
        if (slipChance < Doubt.Threshold / 2) return new Doubt(reading, slipChance, []);

        var without = Posterior.Of(prior, evidence, r);
        var back = Enumerable.Range(0, table.Rows.Taxa)
            .Where(t => (without[t] >= Back && posterior[t] < Gone) || (held[t].Count == slips + 1 && held[t].Contains(reading.Character)))
            .OrderByDescending(t => without[t]).Select(t => table.Flora.Taxa[t]).ToArray();
        var leader = Enumerable.Range(0, table.Rows.Taxa).MaxBy(t => without[t]);
        return new Doubt(reading, slipChance, back) { Without = (table.Flora.Taxa[leader], without[leader]), Contradicts = Opposite(r) };
    }

    // The reading that fits worst with this one, all others put aside: how much less likely the two are together than each alone.
    private Observing.Reading? Opposite(int r)
    {
        var (worst, at) = (Contradiction, -1);
        for (var other = 0; other < evidence.Length; other++)
        {
            if (other == r) continue;
            double both = 0, one = 0, second = 0, all = 0;
            // Over the known kinds alone: of an unknown one anything can be true.
            for (var t = 0; t < table.Rows.Taxa; t++)
            {
                var (a, b) = (evidence[r].Likelihood.Total[t], evidence[other].Likelihood.Total[t]);
                both += prior[t] * a * b;
                one += prior[t] * a;
                second += prior[t] * b;
                all += prior[t];
            }
            if (both * all / (one * second) is var together && together < worst) (worst, at) = (together, other);
        }
        return at < 0 ? null : evidence[at].Reading;
    }
}
