using System.Buffers;
using System.Numerics.Tensors;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>All readings of one question as evidence. Their numbers lie in room that is given back when the question is answered.</summary>
internal sealed class EvidenceSet : IDisposable
{
    private readonly double[] room;
    private readonly Evidence[] pieces;
    private readonly int rows;

    /// <param name="readings">The readings.</param>
    /// <param name="weights">How much each counts.</param>
    /// <param name="rows">How many rows an answer has.</param>
    public EvidenceSet(IReadOnlyList<Reading> readings, IReadOnlyList<double> weights, int rows)
    {
        this.rows = rows;
        room = ArrayPool<double>.Shared.Rent(Math.Max(1, readings.Count * 4 * rows));
        pieces = [.. readings.Select((reading, i) => new Evidence(reading, weights[i], room.AsMemory(i * 4 * rows, 4 * rows)))];
    }

    public int Count => pieces.Length;

    public Evidence this[int i] => pieces[i];

    public IEnumerable<Evidence> All => pieces;

    /// <summary>The chance of each row of an answer by Bayes' rule, leaving out one piece of the evidence or none.</summary>
    public double[] Posterior(ReadOnlySpan<double> prior, int without = -1)
    {
        var posterior = new double[rows];
        TensorPrimitives.Log(prior, posterior);
        for (var i = 0; i < pieces.Length; i++)
            if (i != without)
                TensorPrimitives.Add(posterior, pieces[i].Logs, posterior);
        TensorPrimitives.Subtract(posterior, TensorPrimitives.Max<double>(posterior), posterior);
        TensorPrimitives.Exp(posterior, posterior);
        TensorPrimitives.Divide(posterior, Sum(posterior), posterior);
        return posterior;
    }

    /// <summary>Lets the evidence count for more, as far as nothing in it seems to be at fault: its likelihoods are raised to the power
    /// 1 + <paramref name="most"/> × the chance that neither an observer slipped nor a score left out what was read.</summary>
    /// <param name="plain">The chance of each row as the evidence stands.</param>
    /// <param name="most">By how much at the most, where nothing can be at fault; 0 or more.</param>
    public void Tell(ReadOnlySpan<double> plain, double most)
    {
        if (most == 0)
            return;
        var chances = ArrayPool<double>.Shared.Rent(rows);
        var faultless = 1.0;
        foreach (var piece in pieces)
        {
            var (slip, gap) = piece.Faults(plain, chances.AsSpan(0, rows));
            faultless *= 1 - slip - gap;
        }
        ArrayPool<double>.Shared.Return(chances);
        foreach (var piece in pieces)
            TensorPrimitives.Multiply(piece.Logs, 1 + most * faultless, piece.Logs);
    }

    // One after another: what is added in blocks comes out otherwise in the last digit, by where in memory it happens to lie.
    private static double Sum(double[] values)
    {
        var sum = 0.0;
        foreach (var value in values)
            sum += value;
        return sum;
    }

    public void Dispose() => ArrayPool<double>.Shared.Return(room);
}
