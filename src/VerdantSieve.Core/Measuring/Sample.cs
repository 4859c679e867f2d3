namespace VerdantSieve.Core.Measuring;

/// <summary>Several measures of one thing.</summary>
public sealed record Sample
{
    /// <summary>The measures.</summary>
    /// <param name="values">At least one.</param>
    /// <exception cref="ArgumentException">There is none.</exception>
    public Sample(IReadOnlyList<double> values) =>
        Values = values.Count > 0 ? values : throw new ArgumentException("A sample has at least one measure.", nameof(values));

    /// <summary>The measures, as they came.</summary>
    public IReadOnlyList<double> Values { get; }

    /// <summary>Their mean.</summary>
    public double Mean => Values.Average();

    /// <summary>Their standard deviation, the squares parted by one fewer than there are; null for one.</summary>
    public double? Spread => Values.Count > 1 ? Math.Sqrt(Values.Sum(value => (value - Mean) * (value - Mean)) / (Values.Count - 1)) : null;

    /// <summary>The least.</summary>
    public double Least => Values.Min();

    /// <summary>The most.</summary>
    public double Most => Values.Max();
}
