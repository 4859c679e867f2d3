using System.Numerics.Tensors;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>One reading as evidence: how likely each row of an answer makes it, and how much of that it counts.</summary>
/// <param name="reading">The reading.</param>
/// <param name="weight">The exponent it counts with: 1, or less where it repeats others or only supports.</param>
/// <param name="rows">Who stands in which row.</param>
/// <param name="room">Room for its numbers, as many as <see cref="Numbers"/> says.</param>
internal sealed class Evidence(Reading reading, double weight, RowLayout rows, Memory<double> room)
{
    /// <summary>How many numbers one reading comes to.</summary>
    public static int Numbers(RowLayout rows) => 2 * rows.All + 2 * rows.Count;

    public Reading Reading => reading;
    public double Weight => weight;

    /// <summary>The chance of the reading in each row of an answer.</summary>
    public Span<double> Total => room.Span[..rows.All];

    /// <summary>The weighed logarithm of the chance in each row of an answer.</summary>
    public Span<double> Logs => room.Span[rows.All..(2 * rows.All)];

    /// <summary>The part of the chance that the score says and nobody slipped, in each row of a column: what an unknown kind does follows
    /// from it.</summary>
    public Span<double> Fitting => room.Span[(2 * rows.All)..(2 * rows.All + rows.Count)];

    /// <summary>The part of it where nobody slipped, what the score leaves out among it, in each row of a column.</summary>
    public Span<double> Unslipped => room.Span[(2 * rows.All + rows.Count)..];

    /// <summary>By how much more the one row speaks for the reading than the other, in bits.</summary>
    public double BitsBetween(Row one, Row other) => (Logs[one.Index] - Logs[other.Index]) / Math.Log(2);

    /// <summary>Whose fault it is where the reading and a score disagree: the chance that the reading is a slip, and that the score leaves
    /// out what was read.</summary>
    /// <param name="chances">The chance of each row of an answer, adding up to 1.</param>
    /// <param name="room">Room for as many numbers.</param>
    public (double Slip, double Gap) Faults(ReadOnlySpan<double> chances, Span<double> room)
    {
        TensorPrimitives.Divide(chances, Total, room);
        var folded = room[..rows.Count];
        rows.FoldUnknown(room, folded);
        var unslipped = Sums.OfProducts<double>(folded, Unslipped);
        var fitting = Sums.OfProducts<double>(folded, Fitting);
        return (Math.Clamp(1 - unslipped, 0, 1), Math.Clamp(unslipped - fitting, 0, 1));
    }
}
