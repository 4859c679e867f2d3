using System.Buffers;
using System.Numerics.Tensors;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>All readings of one question as evidence. Their numbers lie in room that is given back when the question is answered.</summary>
internal sealed class EvidenceSet : IDisposable
{
    private readonly double[] room;
    private readonly Evidence[] pieces;
    private readonly RowLayout rows;

    // The logs of all pieces in one, behind those of each; they stand there from when they are first asked for.
    private bool areTogether;

    /// <param name="readings">The readings.</param>
    /// <param name="weights">How much each counts.</param>
    /// <param name="rows">Who stands in which row.</param>
    public EvidenceSet(IReadOnlyList<Reading> readings, IReadOnlyList<double> weights, RowLayout rows)
    {
        this.rows = rows;
        var numbers = Evidence.Numbers(rows);
        room = ArrayPool<double>.Shared.Rent(readings.Count * numbers + rows.All);
        pieces = [.. readings.Select((reading, i) => new Evidence(reading, weights[i], rows, room.AsMemory(i * numbers, numbers)))];
    }

    public int Count => pieces.Length;

    public Evidence this[int i] => pieces[i];

    public IEnumerable<Evidence> All => pieces;

    /// <summary>The chance of each row of an answer by Bayes' rule, leaving out one piece of the evidence or none.</summary>
    public double[] Posterior(ReadOnlySpan<double> prior, int without = -1)
    {
        var posterior = new double[rows.All];
        TensorPrimitives.Log(prior, posterior);
        if (without < 0)
            TensorPrimitives.Add(posterior, Together(), posterior);
        else
            AddLogs(posterior, without);
        TensorPrimitives.Subtract(posterior, TensorPrimitives.Max<double>(posterior), posterior);
        TensorPrimitives.Exp(posterior, posterior);
        TensorPrimitives.Divide(posterior, Sums.Of<double>(posterior), posterior);
        return posterior;
    }

    private ReadOnlySpan<double> Together()
    {
        var together = room.AsSpan(pieces.Length * Evidence.Numbers(rows), rows.All);
        if (!areTogether)
        {
            together.Clear();
            AddLogs(together, -1);
            areTogether = true;
        }
        return together;
    }

    private void AddLogs(Span<double> to, int without)
    {
        for (var i = 0; i < pieces.Length; i++)
            if (i != without)
                TensorPrimitives.Add(to, pieces[i].Logs, to);
    }

    /// <summary>Lets the evidence count for more, as far as nothing in it seems to be at fault: its likelihoods are raised to the power
    /// 1 + <paramref name="most"/> × the chance that neither an observer slipped nor a score left out what was read.</summary>
    /// <param name="plain">The chance of each row as the evidence stands.</param>
    /// <param name="most">By how much at the most, where nothing can be at fault; 0 or more.</param>
    public void Tell(ReadOnlySpan<double> plain, double most)
    {
        if (most == 0)
            return;
        var chances = ArrayPool<double>.Shared.Rent(rows.All);
        var faultless = 1.0;
        foreach (var piece in pieces)
        {
            var (slip, gap) = piece.Faults(plain, chances.AsSpan(0, rows.All));
            faultless *= 1 - slip - gap;
        }
        ArrayPool<double>.Shared.Return(chances);
        foreach (var piece in pieces)
            TensorPrimitives.Multiply(piece.Logs, 1 + most * faultless, piece.Logs);
        areTogether = false;
    }

    public void Dispose() => ArrayPool<double>.Shared.Return(room);
}
