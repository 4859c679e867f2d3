using System.Numerics.Tensors;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>Finds the readings that are likely slips.</summary>
internal sealed class Doubts(Weighed weighed)
{
    // A kind that would stand this high without the reading comes back; below a fifth of it, it was gone.
    private const double Back = 0.05,
        Gone = 0.01;

    // Two readings contradict each other where together they are this many times less likely than apart: two bits.
    private const double Contradiction = 1.0 / 4;

    // Below this nobody would ask what the reading did.
    private const double WorthExplaining = Doubt.Threshold / 2;

    private readonly SieveTable table = weighed.Table;
    private readonly EvidenceSet evidence = weighed.Evidence;
    private readonly double[] room = new double[weighed.Posterior.Length];

    /// <summary>Every reading, the most doubtful first.</summary>
    public Doubt[] Find() =>
        [.. Enumerable.Range(0, evidence.Count).Select(Of).OrderByDescending(doubt => doubt.SlipChance + doubt.GapChance)];

    private Doubt Of(int at)
    {
        var reading = evidence[at].Reading;
        var (slipChance, gapChance) = evidence[at].Faults(weighed.Posterior, room);
        if (slipChance + gapChance < WorthExplaining)
            return new Doubt(reading, slipChance, []) { GapChance = gapChance };

        var without = evidence.Posterior(weighed.Prior, at);
        var leader = new Row(TensorPrimitives.IndexOfMax<double>(without.AsSpan(0, table.Rows.Taxa)));
        return new Doubt(reading, slipChance, WouldReturn(reading, without))
        {
            GapChance = gapChance,
            AgainstOthers = evidence.Count > 1 && Alone(at) < (slipChance + gapChance) / 2,
            Without = (table.TaxonOf(leader), without[leader.Index]),
            Contradicts = Opposite(at),
        };
    }

    // The chance that it does not fit, were it the only reading.
    private double Alone(int at)
    {
        var alone = new double[weighed.Prior.Length];
        TensorPrimitives.Multiply(weighed.Prior, evidence[at].Total, alone);
        TensorPrimitives.Divide(alone, Sums.Of<double>(alone), alone);
        var (slip, gap) = evidence[at].Faults(alone, room);
        return slip + gap;
    }

    private Taxon[] WouldReturn(Reading reading, double[] without) =>
        [
            .. Enumerable
                .Range(0, table.Rows.Taxa)
                .Where(t => (without[t] >= Back && weighed.Posterior[t] < Gone) || HeldByThisAlone(new Row(t), reading))
                .OrderByDescending(t => without[t])
                .Select(t => table.TaxonOf(new Row(t))),
        ];

    private bool HeldByThisAlone(Row taxon, Reading reading) =>
        weighed.Held.Of(taxon) is var held && held.Count == weighed.Question.AllowedDisagreements + 1 && held.Contains(reading.Character);

    // The reading that fits worst with this one, all others put aside: how much less likely the two are together than each alone.
    private Reading? Opposite(int at)
    {
        // Over the known kinds alone: of an unknown one anything can be true.
        var taxa = table.Rows.Taxa;
        var prior = weighed.Prior.AsSpan(0, taxa);
        var all = Sums.Of<double>(prior);
        var withThis = new double[taxa];
        TensorPrimitives.Multiply(prior, evidence[at].Total[..taxa], withThis);
        var one = Sums.Of<double>(withThis);
        var (worst, opposite) = (Contradiction, (Reading?)null);
        foreach (var other in evidence.All.Where(other => other != evidence[at]))
        {
            var total = other.Total[..taxa];
            var together = Sums.OfProducts<double>(withThis, total) * all / (one * Sums.OfProducts(prior, total));
            if (together < worst)
                (worst, opposite) = (together, other.Reading);
        }
        return opposite;
    }
}
