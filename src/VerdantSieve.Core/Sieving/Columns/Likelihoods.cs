namespace VerdantSieve.Core.Sieving.Columns;

/// <summary>The chance of one reading for each row, and how much of it is nobody's fault.</summary>
/// <param name="total">The chance of the reading.</param>
/// <param name="fitting">The part of it where the score says so and nobody slipped: in the flora's word, or in another for the same
/// thing.</param>
/// <param name="unslipped">The part of it where nobody slipped, what scores leave out among it.</param>
internal readonly ref struct Likelihoods(Span<double> total, Span<double> fitting, Span<double> unslipped)
{
    public Span<double> Total { get; } = total;
    public Span<double> Fitting { get; } = fitting;
    public Span<double> Unslipped { get; } = unslipped;

    /// <summary>The reading says nothing, and so can't contradict anything.</summary>
    public void SayNothing()
    {
        Total.Fill(1);
        Fitting.Fill(1);
        Unslipped.Fill(1);
    }

    public void Clear()
    {
        Total.Clear();
        Fitting.Clear();
        Unslipped.Clear();
    }
}
