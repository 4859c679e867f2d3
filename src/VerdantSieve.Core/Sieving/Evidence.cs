using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>One reading as evidence: how likely each row of an answer makes it, and how much of that it counts.</summary>
/// <param name="reading">The reading.</param>
/// <param name="weight">The exponent it counts with: 1, or less where it repeats others or only supports.</param>
/// <param name="room">Room for the four columns of numbers, one after another.</param>
internal sealed class Evidence(Reading reading, double weight, Memory<double> room)
{
    private readonly int rows = room.Length / 4;

    public Reading Reading => reading;
    public double Weight => weight;

    /// <summary>The chance of the reading in each row.</summary>
    public Span<double> Total => room.Span[..rows];

    /// <summary>The part of it that the score says and nobody slipped.</summary>
    public Span<double> Fitting => room.Span[rows..(2 * rows)];

    /// <summary>The part of it where nobody slipped, what the score leaves out among it.</summary>
    public Span<double> Unslipped => room.Span[(2 * rows)..(3 * rows)];

    /// <summary>The weighed logarithm of the chance in each row.</summary>
    public Span<double> Logs => room.Span[(3 * rows)..];

    /// <summary>By how much more the one row speaks for the reading than the other, in bits.</summary>
    public double BitsBetween(Row one, Row other) => (Logs[one.Index] - Logs[other.Index]) / Math.Log(2);

    /// <summary>Whose fault it is where the reading and a score disagree.</summary>
    public Faults Faults => new(Total, Fitting, Unslipped);
}

/// <summary>The chances that a reading is a slip, or that the score leaves it out, row for row.</summary>
internal readonly ref struct Faults(ReadOnlySpan<double> total, ReadOnlySpan<double> fitting, ReadOnlySpan<double> unslipped)
{
    private readonly ReadOnlySpan<double> total = total,
        fitting = fitting,
        unslipped = unslipped;

    /// <summary>The chance that the reading is a slip, for a plant of the row.</summary>
    public double Slip(int row) => Math.Clamp(1 - unslipped[row] / total[row], 0, 1);

    /// <summary>The chance that the score leaves out what was read, for a plant of the row.</summary>
    public double Gap(int row) => Math.Clamp((unslipped[row] - fitting[row]) / total[row], 0, 1);
}
