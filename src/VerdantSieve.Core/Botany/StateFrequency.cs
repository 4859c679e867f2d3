namespace VerdantSieve.Core.Botany;

/// <summary>A state with how often it is met.</summary>
public sealed record StateFrequency(string State, Frequency Frequency)
{
    /// <summary>1, 1/4, 1/20 or what was counted, before the weights of a score are normalised.</summary>
    public double Weight => Frequency.Weight;
}
